import { printed, spread } from '../printed.ts';
import { verdict, type Verdict } from '../verdict.ts';
import type { SeatKind } from './seat.ts';

/** What a hand and an eye find on a seat that is not measured. */
export const seatMarks = ['marks', 'rust', 'blued'] as const;
export type SeatMark = (typeof seatMarks)[number];
export const seatMarkNames: Record<SeatMark, string> = {
  marks: 'polished or scored in a ring',
  rust: 'rust on it',
  blued: 'blue from heat',
};
export const grips = ['grips', 'slides', 'not-tried'] as const;
export type Grip = (typeof grips)[number];

/** A seat told by feel and eye. */
export interface FeltSeat {
  /** How the ring that was on it came off, or the new one offers to go on. */
  grip: Grip;
  seen: readonly SeatMark[];
  /** A caliper across it twice, a quarter turn apart, mm. */
  caliperMm?: readonly number[] | undefined;
}

/** Two caliper readings apart by more than this are no round seat, mm. Our judgement: twice what a caliper can be off. */
const ovalMm = 0.08;
/** A caliper that finds this much off the nominal has found wear, mm. Our judgement. */
const wornMm = 0.1;

/**
 * What can be said of a seat that nobody measured. It is never Good: out of round, taper and grip in hundredths stay
 * open. Common practice, no published source, but for what is said at each limit.
 */
export function judgeFelt(
  kind: SeatKind,
  part: string,
  nominalMm: number,
  { grip, seen, caliperMm = [] }: FeltSeat,
): Verdict[] {
  const out: Verdict[] = [];
  const way = kind === 'bore' ? 'into' : 'on to';
  if (grip === 'slides') out.push(verdict('seat.slides', { part, with: { way } }));
  for (const mm of caliperMm) {
    // Wear opens a bore and thins a journal.
    const worn = printed(kind === 'bore' ? mm - nominalMm : nominalMm - mm);
    if (worn > wornMm && !out.some((v) => v.rule === 'seat.worn'))
      out.push(verdict('seat.worn', { part, value: mm, with: { nominal: nominalMm.toFixed(1) } }));
  }
  const apart = caliperMm.length > 1 ? spread(caliperMm) : 0;
  if (apart > ovalMm) out.push(verdict('seat.oval', { part, value: apart, max: ovalMm }));
  if (seen.includes('marks')) out.push(verdict('seat.marks', { part }));
  if (seen.includes('blued')) out.push(verdict('seat.blued', { part }));
  if (seen.includes('rust')) out.push(verdict('seat.rust', { part }));
  if (out.length > 0) return out;
  const tried = grip === 'grips' ? 'yes' : '';
  return [verdict('seat.by-feel', { part, with: { tried } })];
}
