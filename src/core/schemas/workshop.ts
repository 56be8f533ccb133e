import { Type, type Static } from '@sinclair/typebox';
import { closed, DateOnly, Id, Mm, oneOf, SideId, Text } from './common.ts';
import { familyCodes } from '../families/families.data.ts';
import { exposures } from '../diagnosis/history.ts';
import { partKinds } from '../matching/part.ts';
import { adapterShapes, kitNames, pressKinds } from '../press/kit.ts';

/** The open file formats of a workshop: what the demo data is written in, and what a user may import. */

export const AdapterSchema = closed({
  id: Id,
  name: Text(60),
  shape: oneOf(adapterShapes),
  outerMm: Mm(),
  innerMm: Type.Number({ minimum: 0, maximum: 2000 }),
  heightMm: Mm(),
  recessMm: Type.Optional(Mm()),
  pilotMm: Type.Optional(Mm()),
  material: oneOf(['steel', 'hardened-steel', 'aluminium', 'chrome', 'wood'] as const),
  ratingKn: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
  kit: Type.Optional(oneOf(kitNames)),
  retired: Type.Optional(Text()),
  note: Type.Optional(Text()),
});

export const PressSchema = closed({
  id: Id,
  name: Text(60),
  kind: Type.Optional(oneOf(pressKinds)),
  capacityKn: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
  ramMm: Mm(),
  daylightMm: Mm(),
  strokeMm: Type.Optional(Mm()),
  pistonMm: Type.Optional(Mm()),
  screw: Type.Optional(
    closed({
      rodMm: Mm(),
      pitchMm: Mm(),
      flankMm: Mm(),
      threadDeg: Type.Number({ minimum: 0, exclusiveMaximum: 120 }),
      faceMm: Type.Number({ minimum: 0, maximum: 200 }),
      threadFriction: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
      faceFriction: Type.Number({ minimum: 0, maximum: 1 }),
    }),
  ),
});

export const EncoderSchema = closed({
  kind: oneOf(['magnetic', 'toothed', 'none'] as const),
  pairs: Type.Integer({ minimum: 0, maximum: 200 }),
});

export const BearingSchema = closed({
  outerMm: Mm(),
  boreMm: Mm(),
  widthMm: Mm(),
  innerWidthMm: Mm(),
  outerFaceInnerMm: Mm(),
  innerFaceOuterMm: Mm(),
  balls: Type.Integer({ minimum: 3, maximum: 60 }),
  ballMm: Mm(),
  pitchMm: Mm(),
  contactAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
  staticRatingKn: Type.Number({ exclusiveMinimum: 0, maximum: 2000 }),
  encoder: EncoderSchema,
});

export const RollingId = oneOf(['ball', 'taper', 'cylindrical', 'needle'] as const);
export const SpacerId = oneOf(['none', 'built-in', 'separate'] as const);
const SealId = oneOf(['contact', 'shield', 'open'] as const);
export const SealsSchema = closed({ inboard: SealId, outboard: SealId });
const Count = (most: number) => Type.Integer({ minimum: 1, maximum: most });

export const PartSchema = closed({
  number: Id,
  maker: Text(60),
  kind: oneOf(partKinds),
  bearing: BearingSchema,
  rolling: Type.Optional(RollingId),
  seals: Type.Optional(SealsSchema),
  spacer: Type.Optional(SpacerId),
  flange: Type.Optional(
    closed({
      bolts: Count(12),
      boltCircleMm: Mm(),
      pilotMm: Mm(),
      studs: Count(12),
      studLengthMm: Mm(),
    }),
  ),
  splines: Type.Optional(closed({ count: Count(80), majorMm: Mm() })),
  partner: Type.Optional(Id),
  stock: Type.Integer({ minimum: 0, maximum: 10_000 }),
  priceMinor: Type.Integer({ minimum: 0 }),
  currency: Type.String({ pattern: '^[A-Z]{3}$' }),
  leadDays: Type.Integer({ minimum: 0, maximum: 365 }),
  snapRingIncluded: Type.Boolean(),
});

const MaterialId = oneOf(['steel', 'grey-iron', 'ductile-iron', 'aluminium'] as const);
const KnuckleSchema = closed({
  boreMm: Mm(),
  boreClass: Text(4),
  shoulderMm: Mm(),
  seatDepthMm: Mm(),
  grooveFromFaceMm: Mm(),
  grooveWidthMm: Mm(),
  grooveMm: Mm(),
  bossDepthMm: Mm(),
  bossOuterMm: Mm(),
  farFaceOuterMm: Mm(),
  wheelSideReachMm: Mm(),
  snapRingSide: SideId,
  material: MaterialId,
});
const HubSchema = closed({
  journalMm: Mm(),
  journalClass: Text(4),
  journalLengthMm: Mm(),
  boreMm: Mm(),
  flangeMm: Mm(),
  flangeThickMm: Mm(),
  insideStudsMm: Mm(),
  studs: Type.Integer({ minimum: 3, maximum: 12 }),
  studCircleMm: Mm(),
  overhangMm: Mm(),
});

const HousingSchema = closed({
  boreMm: Mm(),
  boreClass: Text(4),
  seatDepthMm: Mm(),
  shoulderMm: Mm(),
  entry: Type.Optional(closed({ boreMm: Mm(), depthMm: Mm() })),
  depthMm: Mm(),
  outerMm: Mm(),
  material: MaterialId,
});
const CartridgeSchema = closed({
  shoulderMm: Mm(),
  shoulderThickMm: Mm(),
  neckMm: Mm(),
  gapMm: Mm(),
  reliefMm: Mm(),
  flangeMm: Mm(),
  flangeThickMm: Mm(),
  hubBoreMm: Mm(),
});
const ShaftSchema = closed({
  journalMm: Mm(),
  journalClass: Text(4),
  journalLengthMm: Mm(),
  shoulderMm: Mm(),
  reachMm: Mm(),
  flangeFromShoulderMm: Mm(),
  flangeMm: Mm(),
  flangeThickMm: Mm(),
  insideStudsMm: Mm(),
  studs: Type.Integer({ minimum: 3, maximum: 12 }),
  studLengthMm: Mm(),
  ring: closed({ outerMm: Mm(), widthMm: Mm(), lowMm: Mm(), highMm: Mm() }),
});
const SealSchema = closed({
  outerMm: Mm(),
  innerMm: Mm(),
  widthMm: Mm(),
  depthMm: Type.Number({ minimum: 0, maximum: 200 }),
});
const StudSchema = closed({
  knurlMm: Mm(),
  threadMm: Mm(),
  headMm: Mm(),
  headHeightMm: Mm(),
  lengthMm: Mm(),
  flangeThickMm: Mm(),
  roomMm: Mm(),
  lowMm: Mm(),
  highMm: Mm(),
});

export const CornerRecordSchema = closed({
  family: oneOf(familyCodes),
  partNumber: Type.Optional(Id),
  procedureId: Type.Optional(Id),
  sensorSide: Type.Optional(SideId),
  knuckle: Type.Optional(KnuckleSchema),
  hub: Type.Optional(HubSchema),
  housing: Type.Optional(HousingSchema),
  far: Type.Optional(HousingSchema),
  cartridge: Type.Optional(CartridgeSchema),
  shaft: Type.Optional(ShaftSchema),
  journal: Type.Optional(closed({ diameterMm: Mm(), toleranceClass: Text(4) })),
  seal: Type.Optional(SealSchema),
  stud: Type.Optional(StudSchema),
  /** The vehicle maker's limits for this corner, with where they stand. */
  limits: Type.Optional(
    closed({
      endPlayMm: Type.Optional(Mm()),
      runoutMm: Type.Optional(Mm()),
      radialN: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
      source: Text(),
    }),
  ),
  source: Text(),
});

/** When the bearing of a corner was fitted, and by whom: the factory or a workshop. */
const FittedSchema = closed({
  atKm: Type.Integer({ minimum: 0, maximum: 5_000_000 }),
  again: Type.Boolean(),
  note: Type.Optional(Text(80)),
});

export const UnitSchema = closed({
  id: Id,
  fleetNo: Type.String({ pattern: '^[0-9A-Z-]{1,8}$' }),
  name: Text(60),
  maker: Text(60),
  layout: oneOf(['front', 'rear', 'all', 'solid-rear'] as const),
  odometerKm: Type.Integer({ minimum: 0, maximum: 5_000_000 }),
  tyre: Text(20),
  corners: Type.Partial(
    closed({
      LF: CornerRecordSchema,
      RF: CornerRecordSchema,
      LR: CornerRecordSchema,
      RR: CornerRecordSchema,
    }),
  ),
  fitted: Type.Optional(
    Type.Partial(
      closed({ LF: FittedSchema, RF: FittedSchema, LR: FittedSchema, RR: FittedSchema }),
    ),
  ),
  exposure: Type.Optional(
    Type.Array(oneOf(exposures), { uniqueItems: true, maxItems: exposures.length }),
  ),
  fasteners: Type.Record(Id, closed({ name: Text(60), figure: Text(40), source: Text() })),
});

export const ProcedureSchema = closed({
  id: Id,
  name: Text(80),
  fastener: Text(60),
  stretch: Type.Boolean(),
  singleUse: Type.Boolean(),
  thread: oneOf(['dry', 'oiled', 'threadlocker'] as const),
  hexMm: Mm(),
  stages: Type.Array(
    closed({
      id: Id,
      kind: oneOf(['torque', 'angle', 'back-off', 'turn-hub', 'lock'] as const),
      value: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 3000 })),
      tolerance: Type.Optional(Type.Number({ minimum: 0, maximum: 300 })),
      text: Text(80),
      why: Text(),
      wheel: oneOf(['air', 'ground'] as const),
    }),
    { minItems: 1, maxItems: 20 },
  ),
  source: Text(),
  checkedBy: Type.Optional(Text(60)),
  checkedOn: Type.Optional(DateOnly),
});

export const WrenchSchema = closed({
  id: Id,
  name: Text(60),
  type: oneOf(['click', 'beam', 'digital', 'angle-gauge', 'hand'] as const),
  minNm: Type.Optional(Type.Number({ exclusiveMinimum: 0 })),
  maxNm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
  lengthMm: Type.Optional(Mm()),
  calibrationDue: Type.Optional(DateOnly),
});
/** A thing that the job uses up and that is bought by its own number: nut, ring, seal, bolt, grease. */
export const ConsumableSchema = closed({
  number: Id,
  maker: Text(60),
  item: Id,
  sizeText: Text(60),
  stock: Type.Integer({ minimum: 0, maximum: 10_000 }),
  priceMinor: Type.Integer({ minimum: 0 }),
  currency: Type.String({ pattern: '^[A-Z]{3}$' }),
  leadDays: Type.Integer({ minimum: 0, maximum: 365 }),
});
export type Consumable = Static<typeof ConsumableSchema>;

export const InstrumentSchema = closed({
  id: Id,
  name: Text(60),
  doubtMm: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
});

export const TechnicianSchema = closed({
  id: Id,
  name: Text(60),
  lead: Type.Boolean(),
  pin: Type.String({ pattern: '^\\d{4,8}$', description: 'Kept only as a scrypt hash' }),
});

/** A whole workshop, or any part of one. */
export const WorkshopSchema = closed({
  format: Type.Literal('true-spindle/workshop'),
  version: Type.Literal(1),
  name: Type.Optional(Text(80)),
  technicians: Type.Optional(Type.Array(TechnicianSchema)),
  units: Type.Optional(Type.Array(UnitSchema)),
  parts: Type.Optional(Type.Array(PartSchema)),
  consumables: Type.Optional(Type.Array(ConsumableSchema)),
  adapters: Type.Optional(Type.Array(AdapterSchema)),
  presses: Type.Optional(Type.Array(PressSchema)),
  procedures: Type.Optional(Type.Array(ProcedureSchema)),
  wrenches: Type.Optional(Type.Array(WrenchSchema)),
  instruments: Type.Optional(Type.Array(InstrumentSchema)),
});
export type WorkshopFile = Static<typeof WorkshopSchema>;
export type UnitRecord = Static<typeof UnitSchema>;

/** What the workshop's file kinds are called in a route and in a table. */
export const workshopKinds = [
  'units',
  'parts',
  'consumables',
  'adapters',
  'presses',
  'procedures',
  'wrenches',
  'instruments',
] as const;
export type WorkshopKind = (typeof workshopKinds)[number];
