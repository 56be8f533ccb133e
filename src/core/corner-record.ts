import { type Static, Type } from '@sinclair/typebox';
import { type Corner, SideId } from './corner.ts';
import { familyCodes } from './families/families.data.ts';
import type { Fastener } from './torque/fastener.ts';
import type { Procedure } from './torque/stage.ts';
import { closed, Id, Maybe, Mm, oneOf, Text } from './schemas/common.ts';

/** What is known of one corner of one vehicle: the parts round its bearing, all in mm. */

const Studs = Type.Integer({ minimum: 3, maximum: 12 });
const ToleranceClass = Type.String({
  pattern: '^([fghkmnprstFGHKMNPRS]|js|JS|j|J)\\d{1,2}$',
  description: 'an ISO 286 class such as P7 or k6',
});

export const materials = ['steel', 'grey-iron', 'ductile-iron', 'aluminium'] as const;
const MaterialId = oneOf(materials);

/** Target of the wheel-speed sensor, in the seal of the bearing or on it. */
export const EncoderSchema = closed({
  kind: oneOf(['magnetic', 'toothed', 'none'] as const),
  /** Pole PAIRS of a magnetic encoder, teeth of a toothed one; 0 for none. */
  pairs: Type.Integer({ minimum: 0, maximum: 200 }),
});
export type Encoder = Static<typeof EncoderSchema>;

/** What rolls. A cylindrical roller takes no side load, so it never stands in for a taper roller or a ball. */
export const RollingId = oneOf(['ball', 'taper', 'cylindrical', 'needle'] as const);
export type Rolling = Static<typeof RollingId>;
const SealKindId = oneOf(['contact', 'shield', 'open'] as const);
export type SealKind = Static<typeof SealKindId>;
export const SealsSchema = closed({ inboard: SealKindId, outboard: SealKindId });
export const SpacerId = oneOf(['none', 'built-in', 'separate'] as const);
export type Spacer = Static<typeof SpacerId>;

/** A ring set. Both faces are alike but for the encoder. */
export const BearingSchema = closed({
  outerMm: Mm(),
  boreMm: Mm(),
  widthMm: Mm(),
  /** Width over both inner rings. */
  innerWidthMm: Mm(),
  /** Clean metal of the outer ring's face runs from the outside down to this diameter. */
  outerFaceInnerMm: Mm(),
  /** Clean metal of the inner ring's face runs from the bore up to this diameter. */
  innerFaceOuterMm: Mm(),
  balls: Type.Integer({ minimum: 3, maximum: 60 }),
  ballMm: Mm(),
  pitchMm: Mm(),
  contactAngleDeg: Type.Number({ minimum: 0, maximum: 60 }),
  /** Basic static radial load rating of the double row, kN. */
  staticRatingKn: Type.Number({ exclusiveMinimum: 0, maximum: 2000 }),
  encoder: EncoderSchema,
});
export type Bearing = Static<typeof BearingSchema>;

/** The housing of the outer ring, measured from the face on the snap-ring side. */
const KnuckleSchema = closed({
  boreMm: Mm(),
  boreClass: ToleranceClass,
  /** Opening in the shoulder. */
  shoulderMm: Mm(),
  seatDepthMm: Mm(),
  grooveFromFaceMm: Mm(),
  grooveWidthMm: Mm(),
  grooveMm: Mm(),
  bossDepthMm: Mm(),
  /** Outside of solid metal round the bore, on the snap-ring face. */
  bossOuterMm: Mm(),
  /** Outside to which solid metal reaches on the shoulder face. */
  farFaceOuterMm: Mm(),
  /** Outside to which arms and bosses reach on the wheel side: what the knuckle can stand on. */
  wheelSideReachMm: Mm(),
  snapRingSide: SideId,
  material: MaterialId,
});
export type Knuckle = Static<typeof KnuckleSchema>;

const HubSchema = closed({
  journalMm: Mm(),
  journalClass: ToleranceClass,
  journalLengthMm: Mm(),
  /** Major diameter of the spline, or the bore. */
  boreMm: Mm(),
  flangeMm: Mm(),
  flangeThickMm: Mm(),
  /** Flat of the flange inside the studs. */
  insideStudsMm: Mm(),
  studs: Studs,
  studCircleMm: Mm(),
  /** How far the hub's outer face stands off the knuckle's wheel side when fitted. */
  overhangMm: Mm(),
});
export type Hub = Static<typeof HubSchema>;

/** A bore that a shell, a ring, a cup or a cartridge is pressed into; depths from the face it goes in by. */
const HousingSchema = closed({
  boreMm: Mm(),
  boreClass: ToleranceClass,
  /** Depth at which the leading face stops. */
  seatDepthMm: Mm(),
  /** Opening beyond the stop. */
  shoulderMm: Mm(),
  /** A wider bore in front of the seat, of the seal for one; absent when the seat begins at the face. */
  entry: Maybe(closed({ boreMm: Mm(), depthMm: Mm() })),
  /** Whole depth of the part along the axis. */
  depthMm: Mm(),
  /** Outside of solid metal round the bore. */
  outerMm: Mm(),
  material: MaterialId,
});
export type Housing = Static<typeof HousingSchema>;

/** A cartridge with its wheel flange: what half-shells need to get behind its shoulder. */
const CartridgeSchema = closed({
  /** Shoulder of the outer ring that sets the depth. */
  shoulderMm: Mm(),
  shoulderThickMm: Mm(),
  /** Outer ring beside the shoulder, on both sides of it. */
  neckMm: Mm(),
  /** Room between shoulder and wheel flange, and in the relief behind the shoulder. */
  gapMm: Mm(),
  reliefMm: Mm(),
  flangeMm: Mm(),
  flangeThickMm: Mm(),
  hubBoreMm: Mm(),
});
export type Cartridge = Static<typeof CartridgeSchema>;

/** A ring that grips a shaft and holds its bearing; its interference as its maker gives it. */
const PressRingSchema = closed({ outerMm: Mm(), widthMm: Mm(), lowMm: Mm(), highMm: Mm() });

/** An axle shaft that carries its own bearing, from the shoulder the bearing stops at. */
const ShaftSchema = closed({
  journalMm: Mm(),
  journalClass: ToleranceClass,
  /** Length that the bearing is pressed over, the seat of the press ring included. */
  journalLengthMm: Mm(),
  shoulderMm: Mm(),
  /** From the shoulder to the shaft's end. */
  reachMm: Mm(),
  /** From the shoulder to the inner face of the flange. */
  flangeFromShoulderMm: Mm(),
  flangeMm: Mm(),
  flangeThickMm: Mm(),
  insideStudsMm: Mm(),
  studs: Studs,
  studLengthMm: Mm(),
  ring: PressRingSchema,
});
export type AxleShaft = Static<typeof ShaftSchema>;

/** A radial seal, and how deep it sits; 0 is flush. */
const SealSchema = closed({
  outerMm: Mm(),
  innerMm: Mm(),
  widthMm: Mm(),
  depthMm: Type.Number({ minimum: 0, maximum: 200 }),
});
export type Seal = Static<typeof SealSchema>;

/** A wheel stud with a knurl, and room round its head. */
const StudSchema = closed({
  knurlMm: Mm(),
  threadMm: Mm(),
  headMm: Mm(),
  headHeightMm: Mm(),
  lengthMm: Mm(),
  flangeThickMm: Mm(),
  /** Widest piece that stands on the flange beside the stud. */
  roomMm: Mm(),
  /** Interference of a plain fit that holds as the knurl does. */
  lowMm: Mm(),
  highMm: Mm(),
});
export type Stud = Static<typeof StudSchema>;

/** The centre nut: thread, hand and how it is locked; a nut of the wrong hand spoils the shaft. */
export const NutSchema = closed({
  threadMm: Mm(),
  pitchMm: Mm(),
  hand: oneOf(['right', 'left'] as const),
  lock: oneOf(['stake', 'split-pin', 'plate', 'self'] as const),
});

/** What is known of one corner, with the word of where it comes from. */
export const CornerRecordSchema = closed({
  family: oneOf(familyCodes),
  partNumber: Maybe(Id),
  procedureId: Maybe(Id),
  sensorSide: Maybe(SideId),
  knuckle: Maybe(KnuckleSchema),
  hub: Maybe(HubSchema),
  /** Bore of families without a knuckle of this kind, and the one at the hub's other end. */
  housing: Maybe(HousingSchema),
  far: Maybe(HousingSchema),
  cartridge: Maybe(CartridgeSchema),
  shaft: Maybe(ShaftSchema),
  /** Journal of a shaft that is known by its diameter alone. */
  journal: Maybe(closed({ diameterMm: Mm(), toleranceClass: ToleranceClass })),
  seal: Maybe(SealSchema),
  stud: Maybe(StudSchema),
  nut: Maybe(NutSchema),
  /** What feeds the bearing, where a job changed it: the next hand has to know. */
  feed: Maybe(oneOf(['grease', 'oil'] as const)),
  /** The vehicle maker's limits for this corner, with where they stand; the wheel's radial load in N. */
  limits: Maybe(
    closed({
      endPlayMm: Maybe(Mm()),
      runoutMm: Maybe(Mm()),
      radialN: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
      source: Text(),
    }),
  ),
  /** Paths of figures that were only drawn from what is usual: nothing is judged by them. */
  outlined: Maybe(Type.Array(Text(40), { maxItems: 60 })),
  /** Paths of figures that were taken over from another corner and not measured here yet. */
  takenOver: Maybe(Type.Array(Text(40), { maxItems: 60 })),
  source: Text(),
});
export type CornerRecord = Static<typeof CornerRecordSchema>;

/** A corner of another unit, or another of the same, that may be built alike. */
export interface AlikeCorner {
  fleetNo: string;
  name: string;
  corner: Corner;
  record: CornerRecord;
  /** Its centre nut's procedure, and the unit's fasteners. */
  procedure?: Procedure;
  fasteners: Readonly<Record<string, Fastener>>;
}
