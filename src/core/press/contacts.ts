import { printed } from '../printed.ts';
import { type Adapter, openBehind } from './kit.ts';
import type { PartNode, Requirement, Touch } from './requirement.ts';
import type { Role, Stack } from './stack.ts';

/** One end of a stack: what meets the work there, and what stands behind it. */
export type End = Touch['role'];
/** What of the stack can meet the work. */
export type Carrier = Role | 'bed';
export type Contact = readonly [Carrier, PartNode];

/** A flat of a piece that looks at the work: an annulus, and how far back it lies from the foremost one, mm. */
interface Flat {
  by: Carrier;
  innerMm: number;
  outerMm: number;
  backMm: number;
}

/** Radial width from which two flats bear on each other, mm. */
const leastMm = 0.1;
/** Flats that meet within this close together, mm: they give that much under load. Our judgement. */
const togetherMm = 0.05;

/** The flats of one piece: its rim, and the floor of a hollow that is not open behind. */
function flatsOf(a: Adapter, by: Carrier, backMm: number): Flat[] {
  const rim: Flat = { by, innerMm: a.innerMm, outerMm: a.outerMm, backMm };
  const blind = a.innerMm > 0 && !openBehind(a) && a.recessMm !== undefined;
  return blind
    ? [rim, { by, innerMm: 0, outerMm: a.innerMm, backMm: backMm + (a.recessMm ?? 0) }]
    : [rim];
}

/** All flats that look at the work from one end, the bed with them. */
function flatsAt(end: End, s: Partial<Stack>, r: Requirement): Flat[] {
  const [piece, behind, by, behindBy] =
    end === 'pusher'
      ? ([s.pusher, s.cap, 'pusher', 'cap'] as const)
      : ([s.support, s.riser, 'support', 'riser'] as const);
  if (!piece) return [];
  const own = flatsOf(piece, by, 0);
  // What draws stands round the work and hangs on a screw: nothing behind it looks at the work.
  if (r.drawn) return own;
  const flats = behind ? [...own, ...flatsOf(behind, behindBy, piece.heightMm)] : own;
  if (end === 'pusher') return flats;
  const backMm = piece.heightMm + (behind?.heightMm ?? 0);
  return [...flats, { by: 'bed', innerMm: 0, outerMm: Infinity, backMm }];
}

/** One flat that may meet one face, and the way it has to go until it does, mm. */
interface Meeting {
  pair: Contact;
  /** They overlap whatever is measured. */
  sure: boolean;
  least: number;
  most: number;
}

const facesAt = (end: End, r: Requirement): Touch[] => r.touches.filter((t) => t.role === end);

function meetingsOf(flats: readonly Flat[], faces: readonly Touch[]): Meeting[] {
  return flats.flatMap((flat) =>
    faces.flatMap((face): Meeting[] => {
      const { innerMm, outerMm, proudMm } = face.reach ?? exactly(face);
      const widest = { innerMm: innerMm.low, outerMm: outerMm.high };
      const narrowest = { innerMm: innerMm.high, outerMm: outerMm.low };
      if (overlapMm(flat, widest) <= leastMm) return [];
      return [
        {
          pair: [flat.by, face.node],
          sure: overlapMm(flat, narrowest) > leastMm,
          least: printed(flat.backMm - proudMm.high),
          most: printed(flat.backMm - proudMm.low),
        },
      ];
    }),
  );
}

const exactly = (t: Touch): NonNullable<Touch['reach']> => {
  const at = (mm: number) => ({ low: mm, high: mm });
  return { innerMm: at(t.innerMm), outerMm: at(t.outerMm), proudMm: at(t.proudMm ?? 0) };
};

/** The way after which something surely meets, mm. */
const firstOf = (all: readonly Meeting[]): number =>
  Math.min(...all.map((m) => (m.sure ? m.most : Infinity)));

/**
 * The contacts that one end of a stack makes, as it closes on the work: whatever has the least way to go meets first and
 * carries; what would meet later stays in the air. Faces of the work stand proud of the one that is meant, or behind it.
 * One list where all is known; else every list that some value of the unknown figures can make.
 */
export function contactsAt(end: End, s: Partial<Stack>, r: Requirement): Contact[][] {
  const all = meetingsOf(flatsAt(end, s, r), facesAt(end, r));
  const first = firstOf(all);
  const may = all.filter((m) => m.least <= printed(first + togetherMm));
  const must = may.filter(
    (m) => m.sure && may.every((o) => o === m || m.most <= printed(o.least + togetherMm)),
  );
  const open = may.filter((m) => !must.includes(m));
  const lists = subsets(open).map((extra) =>
    may.filter((m) => must.includes(m) || extra.includes(m)),
  );
  // Something always meets where something surely can.
  const made = may.some((m) => m.sure) ? lists.filter((l) => l.length > 0) : lists;
  return made.map((l) => l.map((m) => m.pair));
}

const subsets = <T>(of: readonly T[]): T[][] =>
  of.reduce<T[][]>((all, x) => [...all, ...all.map((l) => [...l, x])], [[]]);

const overlapMm = (
  a: { innerMm: number; outerMm: number },
  b: { innerMm: number; outerMm: number },
): number => printed((Math.min(a.outerMm, b.outerMm) - Math.max(a.innerMm, b.innerMm)) / 2);

/** Whether a piece surely meets the work before anything behind it can: then what stands there changes no contact. */
export function meetsAlone(end: End, a: Adapter, r: Requirement): boolean {
  const faces = facesAt(end, r);
  const furthest = Math.max(...faces.map((f) => (f.reach ?? exactly(f)).proudMm.high));
  const first = firstOf(meetingsOf(flatsOf(a, end, 0), faces));
  return r.drawn === true || a.heightMm - furthest > first + togetherMm;
}

/** The contacts of an end as a key: ends with the same key carry the force the same way. */
export const contactKey = (end: End, s: Partial<Stack>, r: Requirement): string =>
  contactsAt(end, s, r)
    .map((list) => list.map((c) => c.join('-')).join(' '))
    .join('/');
