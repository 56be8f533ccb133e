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

/**
 * The contacts that one end of a stack makes, as it closes on the work: whatever has the least way to go meets first and
 * carries; what would meet later stays in the air. Faces of the work stand proud of the one that is meant, or behind it.
 */
export function contactsAt(end: End, s: Partial<Stack>, r: Requirement): Contact[] {
  const faces = r.touches.filter((t) => t.role === end);
  const meetings = flatsAt(end, s, r).flatMap((flat) =>
    faces
      .filter((face) => overlapMm(flat, face) > leastMm)
      .map((face) => ({
        pair: [flat.by, face.node] as const,
        wayMm: flat.backMm - (face.proudMm ?? 0),
      })),
  );
  const first = Math.min(...meetings.map((m) => m.wayMm));
  return meetings.filter((m) => m.wayMm <= first + togetherMm).map((m) => m.pair);
}

const overlapMm = (a: { innerMm: number; outerMm: number }, b: typeof a): number =>
  (Math.min(a.outerMm, b.outerMm) - Math.max(a.innerMm, b.innerMm)) / 2;

/** The contacts of an end as a key: ends with the same key carry the force the same way. */
export const contactKey = (end: End, s: Partial<Stack>, r: Requirement): string =>
  contactsAt(end, s, r)
    .map((c) => c.join('-'))
    .join(' ');
