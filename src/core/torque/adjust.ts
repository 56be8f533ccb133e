import { printed } from '../printed.ts';
import { endPlayMm } from './end-play.ts';

/** A pair of taper bearings set by its nut: end play in mm, negative is preload. Angles in degrees, tightening positive. */

/** One place in which the lock holds the nut. */
export interface LockPlace {
  /** How far the nut is turned from where it stands; positive tightens. */
  turnDeg: number;
  /** End play that it leaves. */
  playMm: number;
  inWindow: boolean;
  /** How far inside its window, mm; below 0 it is outside. */
  insideMm: number;
}

export interface PlayWindow {
  lowMm: number;
  highMm: number;
}

/**
 * Places of the lock round where the nut stands, from tight to loose, each with the end play it would leave. `pastDeg`:
 * how far the nut stands past the last place; `stepDeg`: from place to place. Throws RangeError.
 */
export function lockPlaces(
  playMm: number,
  nut: { pitchMm: number; stepDeg: number; pastDeg: number },
  window: PlayWindow,
  around = 3,
): LockPlace[] {
  const { pitchMm, stepDeg, pastDeg } = nut;
  if (!(stepDeg > 0 && stepDeg <= 360)) throw new RangeError('stepDeg: over 0, up to 360°');
  if (!(window.highMm > window.lowMm))
    throw new RangeError('window: its end is over its beginning');
  const back = ((pastDeg % stepDeg) + stepDeg) % stepDeg;
  return Array.from({ length: 2 * around + 1 }, (_, i) => {
    const turnDeg = (around - i) * stepDeg - back;
    const left = printed(playMm - endPlayMm(pitchMm, turnDeg));
    const insideMm = printed(Math.min(left - window.lowMm, window.highMm - left));
    return { turnDeg, playMm: left, inWindow: insideMm >= 0, insideMm };
  });
}

/** Two places are as far inside when they differ by less than nobody reads, mm. Our judgement. */
const asFarMm = 0.002;

/**
 * The place to lock in: the one furthest from both limits, so that the doubt of reading and place keeps off them; of two
 * that are as far the looser. None inside: undefined, another washer or the other face of the nut, never tighter. Common
 * practice, no published source.
 */
export const safePlace = (places: readonly LockPlace[]): LockPlace | undefined =>
  places
    .filter((p) => p.inWindow)
    .sort((a, b) =>
      Math.abs(a.insideMm - b.insideMm) > asFarMm ? b.insideMm - a.insideMm : b.playMm - a.playMm,
    )[0];

/** One taper row as its warmth moves it. */
export interface TaperRow {
  /** Mean radius of the raceway, mm. */
  radiusMm: number;
  /** Half angle of the cup, degrees. */
  cupDeg: number;
}

/**
 * How end play changes as the hub runs warm, mm: the hub grows more than the spindle by the strain ε. Back to back, the
 * usual hub, the distance of the rows takes some away again; face to face it adds. Geometry, upper bound: the steel cup
 * follows the hub less.
 */
export function warmShiftMm(
  strain: number,
  rows: readonly [TaperRow, TaperRow],
  distanceMm: number,
  mounted: 'back-to-back' | 'face-to-face',
): number {
  const cones = rows.reduce((sum, { radiusMm, cupDeg }) => {
    if (!(cupDeg > 0 && cupDeg < 90)) throw new RangeError('cupDeg: between 0° and 90°');
    return sum + radiusMm / Math.tan((cupDeg * Math.PI) / 180);
  }, 0);
  return strain * (cones + (mounted === 'back-to-back' ? -distanceMm : distanceMm));
}
