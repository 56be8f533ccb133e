import type { Material } from './fits/index.ts';

export type Corner = 'LF' | 'RF' | 'LR' | 'RR';
export const corners: readonly Corner[] = ['LF', 'RF', 'LR', 'RR'];
/** A job may begin before anyone can say which corner it is. */
export type JobCorner = Corner | 'unknown';
export const cornerNames: Record<JobCorner, string> = {
  LF: 'Left front',
  RF: 'Right front',
  LR: 'Left rear',
  RR: 'Right rear',
  unknown: 'Corner not known',
};

/** Which way a face looks on the vehicle. */
export type Side = 'inboard' | 'outboard';
export const opposite = (side: Side): Side => (side === 'inboard' ? 'outboard' : 'inboard');

/** Target of the wheel-speed sensor, in the seal of the bearing or on it. */
export interface Encoder {
  kind: 'magnetic' | 'toothed' | 'none';
  /** Pole PAIRS of a magnetic encoder, teeth of a toothed one; 0 for none. */
  pairs: number;
}

/** What rolls. A cylindrical roller takes no side load, so it never stands in for a taper roller or a ball. */
export type Rolling = 'ball' | 'taper' | 'cylindrical' | 'needle';
export type SealKind = 'contact' | 'shield' | 'open';
export type Spacer = 'none' | 'built-in' | 'separate';

/** A flange with its holes, mm. */
export interface Flange {
  bolts: number;
  boltCircleMm: number;
  pilotMm: number;
  studs: number;
  studLengthMm: number;
}

/** A ring set, all in mm. Both faces are alike but for the encoder. */
export interface Bearing {
  outerMm: number;
  boreMm: number;
  widthMm: number;
  /** Width over both inner rings. */
  innerWidthMm: number;
  /** Clean metal of the outer ring's face runs from the outside down to this diameter. */
  outerFaceInnerMm: number;
  /** Clean metal of the inner ring's face runs from the bore up to this diameter. */
  innerFaceOuterMm: number;
  balls: number;
  ballMm: number;
  pitchMm: number;
  contactAngleDeg: number;
  /** Basic static radial load rating of the double row, kN. */
  staticRatingKn: number;
  encoder: Encoder;
}

/** The housing of the outer ring, mm, measured from the face on the snap-ring side. */
export interface Knuckle {
  boreMm: number;
  boreClass: string;
  /** Opening in the shoulder. */
  shoulderMm: number;
  seatDepthMm: number;
  grooveFromFaceMm: number;
  grooveWidthMm: number;
  grooveMm: number;
  bossDepthMm: number;
  /** Outside of solid metal round the bore, on the snap-ring face. */
  bossOuterMm: number;
  /** Outside to which solid metal reaches on the shoulder face. */
  farFaceOuterMm: number;
  /** Outside to which arms and bosses reach on the wheel side: what the knuckle can stand on. */
  wheelSideReachMm: number;
  snapRingSide: Side;
  material: Material;
}

export interface Hub {
  journalMm: number;
  journalClass: string;
  journalLengthMm: number;
  /** Major diameter of the spline, or the bore. */
  boreMm: number;
  flangeMm: number;
  flangeThickMm: number;
  /** Flat of the flange inside the studs. */
  insideStudsMm: number;
  studs: number;
  studCircleMm: number;
  /** How far the hub's outer face stands off the knuckle's wheel side when fitted. */
  overhangMm: number;
}

/** A bore that a shell, a ring, a cup or a cartridge is pressed into; mm, depths from the face it goes in by. */
export interface Housing {
  boreMm: number;
  boreClass: string;
  /** Depth at which the leading face stops. */
  seatDepthMm: number;
  /** Opening beyond the stop. */
  shoulderMm: number;
  /** A wider bore in front of the seat, of the seal for one; absent when the seat begins at the face. */
  entry?: { boreMm: number; depthMm: number };
  /** Whole depth of the part along the axis. */
  depthMm: number;
  /** Outside of solid metal round the bore. */
  outerMm: number;
  material: Material;
}

/** A cartridge with its wheel flange: what half-shells need to get behind its shoulder, mm. */
export interface Cartridge {
  /** Shoulder of the outer ring that sets the depth. */
  shoulderMm: number;
  shoulderThickMm: number;
  /** Outer ring beside the shoulder, on both sides of it. */
  neckMm: number;
  /** Room between shoulder and wheel flange, and in the relief behind the shoulder. */
  gapMm: number;
  reliefMm: number;
  flangeMm: number;
  flangeThickMm: number;
  hubBoreMm: number;
}

/** A ring that grips a shaft and holds its bearing. */
export interface PressRing {
  outerMm: number;
  widthMm: number;
  /** Interference, mm, as its maker gives it. */
  lowMm: number;
  highMm: number;
}

/** An axle shaft that carries its own bearing, mm from the shoulder the bearing stops at. */
export interface AxleShaft {
  journalMm: number;
  journalClass: string;
  /** Length that the bearing is pressed over, the seat of the press ring included. */
  journalLengthMm: number;
  shoulderMm: number;
  /** From the shoulder to the shaft's end. */
  reachMm: number;
  /** From the shoulder to the inner face of the flange. */
  flangeFromShoulderMm: number;
  flangeMm: number;
  flangeThickMm: number;
  insideStudsMm: number;
  studs: number;
  studLengthMm: number;
  ring: PressRing;
}

/** A radial seal, its bore, and how deep it sits; 0 is flush. */
export interface Seal {
  outerMm: number;
  innerMm: number;
  widthMm: number;
  depthMm: number;
}

/** A wheel stud with a knurl, and room round its head. */
export interface Stud {
  knurlMm: number;
  threadMm: number;
  headMm: number;
  headHeightMm: number;
  lengthMm: number;
  flangeThickMm: number;
  /** Widest piece that stands on the flange beside the stud, mm. */
  roomMm: number;
  /** Interference of a plain fit that holds as the knurl does, mm. */
  lowMm: number;
  highMm: number;
}

/** What is known of one corner of one vehicle, with the word of where it comes from. */
export interface CornerRecord {
  family: string;
  partNumber?: string;
  procedureId?: string;
  sensorSide?: Side;
  knuckle?: Knuckle;
  hub?: Hub;
  /** Bore of families without a P1 knuckle, and the one at the hub's other end. */
  housing?: Housing;
  far?: Housing;
  cartridge?: Cartridge;
  shaft?: AxleShaft;
  /** Journal of a shaft that is known by its diameter alone. */
  journal?: { diameterMm: number; toleranceClass: string };
  seal?: Seal;
  stud?: Stud;
  /** The vehicle maker's limits, with where they stand. */
  limits?: {
    endPlayMm?: number;
    runoutMm?: number;
    /** Radial load of the wheel, N. */ radialN?: number;
    source: string;
  };
  source: string;
}
