import type { Bearing } from '../corner-record.ts';
import type { FamilyCode } from '../families/index.ts';

type Rolling = Pick<Bearing, 'pitchMm' | 'ballMm' | 'contactAngleDeg' | 'balls'>;
export type Ring = 'outer' | 'inner';

/** Diameter of the track where the balls run, mm. Geometry. */
export const trackMm = ({ pitchMm, ballMm, contactAngleDeg }: Rolling, ring: Ring): number =>
  pitchMm + (ring === 'outer' ? 1 : -1) * ballMm * Math.cos((contactAngleDeg * Math.PI) / 180);

/** Angle from ball to ball, degrees. */
export const pitchDeg = ({ balls }: Pick<Bearing, 'balls'>): number => 360 / balls;

/** From dent to dent along the track, where the balls made them standing, mm. */
export const dentGapMm = (b: Rolling, ring: Ring): number => (Math.PI * trackMm(b, ring)) / b.balls;

/** Two angles of marks are the same as the balls' within this share, or this much of a hand's reading. Our judgement. */
const gapShare = 0.06;
const gapDeg = 1.5;

/** Whether marks stand as far apart as the balls: then the balls made them. */
export const atBallPitch = (readDeg: number, balls: number): boolean =>
  Math.abs(readDeg - 360 / balls) <= Math.max(gapDeg, (gapShare * 360) / balls);

/** Families whose hub turns round a standing spindle: their outer rings turn with the wheel. */
const outerTurns: readonly FamilyCode[] = ['T2', 'A3'];
export const standingRing = (family: FamilyCode | undefined): Ring =>
  family !== undefined && outerTurns.includes(family) ? 'inner' : 'outer';

/** Width of the loaded arc of a standing ring, degrees. Common practice, no published source. */
export const loadZoneDeg = 130;

/** Middle of the loaded arc: the road lifts the hub, so a standing outer ring carries at its top, a spindle at its bottom. */
export const loadZoneAt = (standing: Ring): number => (standing === 'outer' ? 0 : 180);

/** The shorter way round from one angle to another, degrees. */
export const apartDeg = (a: number, b: number): number => {
  const d = Math.abs((((a - b) % 360) + 360) % 360);
  return Math.min(d, 360 - d);
};

export const inLoadZone = (deg: number, standing: Ring): boolean =>
  apartDeg(deg, loadZoneAt(standing)) <= loadZoneDeg / 2;
