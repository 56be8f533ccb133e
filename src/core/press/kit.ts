import { type Static, Type } from '@sinclair/typebox';
import { printed } from '../printed.ts';
import { closed, Id, Maybe, Mm, oneOf, Text } from '../schemas/common.ts';
import { ScrewToolSchema } from './screw.ts';

/** A shop's own pieces and presses. */
export const adapterShapes = [
  'plate',
  'sleeve',
  'cup',
  'disc',
  'mandrel',
  'socket',
  'old-ring',
  'legs',
  'block',
  'half-shells',
  'split-plate',
] as const;
export type AdapterShape = (typeof adapterShapes)[number];

/** Kits a shop keeps apart. */
export const kitNames = ['bench', 'van', 'borrowed'] as const;
export type KitName = (typeof kitNames)[number];

/** A piece of the kit. */
export const AdapterSchema = closed({
  id: Id,
  name: Text(60),
  shape: oneOf(adapterShapes),
  outerMm: Mm(),
  /** Inside diameter; 0 for a solid piece. For legs: the clear opening between them. */
  innerMm: Type.Number({ minimum: 0, maximum: 2000 }),
  heightMm: Mm(),
  /** Depth of a blind recess; absent for a hole right through and for a solid piece. */
  recessMm: Maybe(Mm()),
  /** Diameter of a nose below the working face that centres it in a bore. */
  pilotMm: Maybe(Mm()),
  material: oneOf(['steel', 'hardened-steel', 'aluminium', 'chrome', 'wood'] as const),
  ratingKn: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
  /** Where it is kept; the bench unless said. */
  kit: Maybe(oneOf(kitNames)),
  retired: Maybe(Text()),
  note: Maybe(Text()),
});
export type Adapter = Static<typeof AdapterSchema>;

/** What gives the force. A portable ram is a press without a frame; a screw goes through the work. */
export const pressKinds = ['press', 'ram', 'screw'] as const;
export type PressKind = (typeof pressKinds)[number];

/** A press, a ram or a screw tool as the shop has it. */
export const PressSchema = closed({
  id: Id,
  name: Text(60),
  /** A bench press unless said. */
  kind: Maybe(oneOf(pressKinds)),
  capacityKn: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
  /** Diameter of the ram's nose, or of the thrust washer of a screw. */
  ramMm: Mm(),
  /** Clear height between bed and ram, or the screw's usable length. */
  daylightMm: Mm(),
  /** How far the ram goes in one reach; not judged where it is not on record. */
  strokeMm: Maybe(Mm()),
  /** Diameter of the piston: force from a gauge that reads pressure. */
  pistonMm: Maybe(Mm()),
  /** Thread of a screw tool, and the outside of the screw: what has to pass through the work. */
  screw: Maybe(closed({ ...ScrewToolSchema.properties, rodMm: Mm() })),
  /** Why it is used no more; jobs that were pressed with it keep it. */
  retired: Maybe(Text(60)),
});
/** `hammer` is no record of the shop: it is always at hand. */
export type Press = Omit<Static<typeof PressSchema>, 'kind'> & { kind?: PressKind | 'hammer' };

/** A hammer and a driver: no gauge, no travel. A school with its own limits, see the requirement of the stroke. */
export const hammer: Press = {
  id: 'hammer',
  name: 'Hammer and driver',
  kind: 'hammer',
  capacityKn: Number.MAX_VALUE,
  ramMm: Number.MAX_VALUE,
  daylightMm: Number.MAX_VALUE,
};

/** What is wrong with the figures of a press, a ram or a screw tool; empty when it is sound. */
export function pressFaults(p: Press): { field: string; reason: string }[] {
  const faults: { field: string; reason: string }[] = [];
  if (p.kind === 'screw' && !p.screw)
    faults.push({
      field: 'screw',
      reason: 'A screw tool needs its thread: pitch, flank diameter, angle, outside.',
    });
  if (p.kind !== 'screw' && p.screw)
    faults.push({ field: 'kind', reason: 'Only a screw tool has a thread.' });
  if (p.screw && !(p.screw.flankMm > p.screw.pitchMm))
    faults.push({
      field: 'screw.flankMm',
      reason: `The thread of ${p.screw.flankMm} mm must be thicker than its pitch, ${p.screw.pitchMm} mm.`,
    });
  if (p.screw && p.ramMm <= p.screw.rodMm)
    faults.push({
      field: 'ramMm',
      reason: `The thrust washer (${p.ramMm} mm) must be wider than the screw, ${p.screw.rodMm} mm.`,
    });
  if (p.strokeMm !== undefined && p.strokeMm > p.daylightMm)
    faults.push({
      field: 'strokeMm',
      reason: `A stroke of ${p.strokeMm} mm is more than the daylight, ${p.daylightMm} mm.`,
    });
  return faults;
}

/** What is ground off an old ring, so that it comes out of the bore again, mm on diameter (common practice, no published source). */
export const grindMm = 0.3;
/** What an old ring may carry as a driver, kN: far under what hardened steel of its wall bears (judgement). */
const oldRingKn = 100;

/** The old outer ring as a piece of the kit, once it is ground: the best driver for the next of its size. */
export const keptRing = (
  jobNumber: string,
  outerMm: number,
  faceInnerMm: number,
  widthMm: number,
): Adapter => ({
  id: `old-ring-${jobNumber}`,
  name: `Old outer ring ${Math.round(outerMm)}`,
  shape: 'old-ring',
  outerMm: Number((outerMm - grindMm).toFixed(1)),
  innerMm: faceInnerMm,
  heightMm: Number(widthMm.toFixed(1)),
  material: 'hardened-steel',
  ratingKn: oldRingKn,
  note: `ground ${grindMm} mm off, from job ${jobNumber}`,
});

/** Wall of half-shells outside their lip, mm (made so that they pass round a wheel flange). */
export const shellWallMm = 8;

/** How deep the piece is hollow from its working face. Half-shells are hollow behind their lip, not before it. */
export function hollowMm(a: Adapter): number {
  if (a.innerMm === 0) return 0;
  return a.shape === 'half-shells' ? a.heightMm : (a.recessMm ?? a.heightMm);
}

/** Open at the back too, so that a smaller ram would fall through, and how wide. */
export const openBehind = (a: Adapter): boolean =>
  a.innerMm > 0 && (a.recessMm === undefined || a.shape === 'half-shells');
export const backMm = (a: Adapter): number =>
  a.shape === 'half-shells' && a.recessMm !== undefined ? a.outerMm - 2 * shellWallMm : a.innerMm;

/** Web of a hollow piece: its height less its recess. */
export const lipMm = (a: Adapter): number => printed(a.heightMm - (a.recessMm ?? 0));

/** Inside diameter of the face that bears; a recess too shallow for what stands proud does not count. */
export const bearingInnerMm = (a: Adapter, proudMm: number): number =>
  hollowMm(a) > printed(proudMm) ? a.innerMm : 0;

/** A pusher and the piece on it as one: the upper adds reach where it follows through the opening. */
export const headOf = (pusher: Adapter, cap: Adapter | undefined, entryMm: number): Adapter => {
  if (!cap || cap.outerMm > entryMm) return pusher;
  const hollow = hollowMm(pusher);
  const heightMm = printed(pusher.heightMm + cap.heightMm);
  return {
    ...pusher,
    heightMm,
    ...(hollow > 0 && pusher.shape !== 'half-shells' ? { recessMm: hollow } : {}),
  };
};

/** How deep a support is hollow with what is under it. */
export const footHollowMm = (support: Adapter, riser: Adapter, wayOutMm: number): number =>
  openBehind(support)
    ? printed(support.heightMm + (riser.innerMm >= printed(wayOutMm) ? hollowMm(riser) : 0))
    : hollowMm(support);

/** A support and the piece under it as one: higher, and deeper where both are open wide enough for the work to come out. */
export const footOf = (support: Adapter, riser: Adapter | undefined, wayOutMm: number): Adapter => {
  if (!riser) return support;
  const heightMm = printed(support.heightMm + riser.heightMm);
  const { recessMm: _recess, ...open } = support;
  const hollow = footHollowMm(support, riser, wayOutMm);
  return hollow === 0 || hollow >= heightMm
    ? { ...open, heightMm }
    : { ...open, heightMm, recessMm: hollow };
};

/** What is wrong with a piece's own figures; empty when it is sound. */
export function adapterFaults(a: Adapter): { field: string; reason: string }[] {
  const faults: { field: string; reason: string }[] = [];
  const positive = (field: 'outerMm' | 'heightMm' | 'ratingKn', what: string) => {
    if (!(a[field] > 0))
      faults.push({ field, reason: `${what} must be more than 0, not ${a[field]}.` });
  };
  positive('outerMm', 'Outside diameter');
  positive('heightMm', 'Height');
  positive('ratingKn', 'Rating');
  if (a.innerMm < 0)
    faults.push({ field: 'innerMm', reason: `Inside diameter cannot be negative (${a.innerMm}).` });
  if (a.innerMm >= a.outerMm)
    faults.push({
      field: 'innerMm',
      reason: `Inside diameter ${a.innerMm} mm must be smaller than the outside, ${a.outerMm} mm.`,
    });
  if (a.recessMm !== undefined && !(a.recessMm > 0 && a.recessMm < a.heightMm))
    faults.push({
      field: 'recessMm',
      reason: `A recess of ${a.recessMm} mm must be more than 0 and less than the height, ${a.heightMm} mm.`,
    });
  if (a.pilotMm !== undefined && !(a.pilotMm > 0 && a.pilotMm < a.outerMm))
    faults.push({
      field: 'pilotMm',
      reason: `A nose of ${a.pilotMm} mm must be more than 0 and smaller than the outside, ${a.outerMm} mm.`,
    });
  return faults;
}
