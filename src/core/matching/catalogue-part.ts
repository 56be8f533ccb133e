import { type Static, Type } from '@sinclair/typebox';
import { type Bearing, BearingSchema, RollingId, SealsSchema, SpacerId } from '../corner-record.ts';
import { clearanceClasses, type ClearanceType } from '../fits/iso5753.ts';
import { closed, Currency, Id, Maybe, Mm, oneOf, Text } from '../schemas/common.ts';

/** Kinds of bearing part, one a way of building it. */
export const partKinds = [
  'ring-set',
  'cartridge',
  'hub-unit',
  'ball-set',
  'taper-set',
  'axle-roller',
  'axle-bearing',
  'needle',
] as const;
export type PartKind = (typeof partKinds)[number];
export const kindNames: Record<PartKind, string> = {
  'ring-set': 'pressed-in ring set',
  cartridge: 'flanged cartridge',
  'hub-unit': 'bolt-on hub unit',
  'ball-set': 'pair of ball bearings',
  'taper-set': 'cone and cup',
  'axle-roller': 'axle roller in the housing',
  'axle-bearing': 'axle bearing with press ring',
  needle: 'needle bearing',
};

const Count = (most: number) => Type.Integer({ minimum: 1, maximum: most });

/** A part that can be bought, as a catalogue lists it. What it does not say is left out, and then nothing is assumed. */
export const PartSchema = closed({
  number: Id,
  maker: Text(60),
  kind: oneOf(partKinds),
  bearing: BearingSchema,
  rolling: Maybe(RollingId),
  /** Class of radial internal clearance, as its number says it (ISO 5753-1). */
  clearance: Maybe(oneOf(clearanceClasses)),
  seals: Maybe(SealsSchema),
  spacer: Maybe(SpacerId),
  /** A flange with its holes. */
  flange: Maybe(
    closed({
      bolts: Count(12),
      boltCircleMm: Mm(),
      pilotMm: Mm(),
      studs: Count(12),
      studLengthMm: Mm(),
    }),
  ),
  splines: Maybe(closed({ count: Count(80), majorMm: Mm() })),
  /** The other half's number where cone and cup are sold apart. */
  partner: Maybe(Id),
  /** In stock here, price in minor units, days to come otherwise. */
  stock: Type.Integer({ minimum: 0, maximum: 10_000 }),
  priceMinor: Type.Integer({ minimum: 0 }),
  currency: Currency,
  leadDays: Type.Integer({ minimum: 0, maximum: 365 }),
  snapRingIncluded: Type.Boolean(),
});
/** `byHand`: entered from a part on the counter, not from a catalogue. */
export type CataloguePart = Static<typeof PartSchema> & { byHand?: boolean };

/** What can be read with an instrument or counted on a part. */
export const dimensions = [
  'outerMm',
  'boreMm',
  'widthMm',
  'boltCount',
  'boltCircleMm',
  'pilotMm',
  'studCount',
  'splineCount',
  'splineMajorMm',
] as const;
export type DimensionId = (typeof dimensions)[number];
export const dimensionNames: Record<DimensionId, string> = {
  outerMm: 'Outer diameter',
  boreMm: 'Bore',
  widthMm: 'Width',
  boltCount: 'Bolts',
  boltCircleMm: 'Bolt circle',
  pilotMm: 'Pilot',
  studCount: 'Wheel studs',
  splineCount: 'Splines',
  splineMajorMm: 'Spline major diameter',
};
export const dimensionShort: Record<DimensionId, string> = {
  outerMm: 'outer',
  boreMm: 'bore',
  widthMm: 'width',
  boltCount: 'bolts',
  boltCircleMm: 'circle',
  pilotMm: 'pilot',
  studCount: 'studs',
  splineCount: 'splines',
  splineMajorMm: 'spline',
};

/** A whole number that is counted, not measured. */
export const isCount = (d: DimensionId): boolean =>
  d === 'boltCount' || d === 'studCount' || d === 'splineCount';
/** A diameter is read twice across 90°, a width once at two places; a count once. */
export const readingsNeeded = (d: DimensionId): number =>
  isCount(d) || d === 'boltCircleMm' ? 1 : 2;

const rings: readonly DimensionId[] = ['outerMm', 'boreMm', 'widthMm'];
/** What is asked of the old part, by its kind, in the order of the hand. */
export function dimensionsOf(kind: PartKind): readonly DimensionId[] {
  switch (kind) {
    case 'hub-unit':
      return ['pilotMm', 'boltCount', 'boltCircleMm', 'studCount', 'splineCount'];
    case 'cartridge':
      return ['outerMm', 'widthMm', 'studCount', 'splineCount'];
    default:
      return rings;
  }
}

/** Built of one row; the others have two rows of balls. */
export const oneRow = (kind: PartKind): boolean =>
  !['ring-set', 'cartridge', 'hub-unit'].includes(kind);

/** Types whose clearance has a class; two-row wheel bearings are made to run with a little preload, and only their maker says how much. */
export function clearanceTypeOf({
  kind,
  rolling,
  bearing,
}: Pick<CataloguePart, 'kind' | 'rolling' | 'bearing'>): ClearanceType | undefined {
  if (!oneRow(kind)) return undefined;
  if (rolling === 'ball') return bearing.contactAngleDeg === 0 ? 'deep-groove' : undefined;
  return rolling === 'cylindrical' || rolling === 'needle' ? 'cylindrical' : undefined;
}

/** A candidate's figure; undefined where its catalogue does not say. */
export function sizeOf(part: CataloguePart, d: DimensionId): number | undefined {
  switch (d) {
    case 'outerMm':
    case 'boreMm':
    case 'widthMm':
      return part.bearing[d];
    case 'boltCount':
      return part.flange?.bolts;
    case 'boltCircleMm':
      return part.flange?.boltCircleMm;
    case 'pilotMm':
      return part.flange?.pilotMm;
    case 'studCount':
      return part.flange?.studs;
    case 'splineCount':
      return part.splines?.count;
    case 'splineMajorMm':
      return part.splines?.majorMm;
  }
}

/** "40 × 76 × 37": bore, outside, width, as it stands on the box. */
export const sizeInShort = (b: Bearing): string => `${b.boreMm} × ${b.outerMm} × ${b.widthMm}`;

/** A part in few words: its rings, or its flange where that is what is matched. */
export const partInShort = (p: CataloguePart): string =>
  p.flange && p.kind === 'hub-unit'
    ? `pilot ${p.flange.pilotMm}, ${p.flange.bolts} on ${p.flange.boltCircleMm}`
    : sizeInShort(p.bearing);

/** Why a candidate's own figures cannot be a bearing; empty when they can. */
export function bearingFaults(b: Bearing): { field: string; reason: string }[] {
  const faults: { field: string; reason: string }[] = [];
  for (const f of ['outerMm', 'boreMm', 'widthMm', 'innerWidthMm', 'ballMm', 'pitchMm'] as const) {
    if (!(b[f] > 0)) faults.push({ field: f, reason: `${f} must be more than 0 mm, not ${b[f]}.` });
  }
  if (b.boreMm >= b.outerMm)
    faults.push({
      field: 'boreMm',
      reason: `Bore ${b.boreMm} mm must be smaller than the outside, ${b.outerMm} mm.`,
    });
  if (!(b.innerFaceOuterMm > b.boreMm && b.innerFaceOuterMm < b.outerFaceInnerMm))
    faults.push({
      field: 'innerFaceOuterMm',
      reason: `The inner ring's face must end between bore and outer ring, not at ${b.innerFaceOuterMm} mm.`,
    });
  if (!(b.outerFaceInnerMm < b.outerMm))
    faults.push({
      field: 'outerFaceInnerMm',
      reason: `The outer ring's face must begin inside ${b.outerMm} mm, not at ${b.outerFaceInnerMm} mm.`,
    });
  return faults;
}
