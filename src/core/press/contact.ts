import { type Material, yieldMpa } from '../fits/index.ts';
import { type Adapter, bearingInnerMm } from './kit.ts';
import type { Need } from './requirement.ts';

/** A sphere on a sphere or, with an infinite diameter, on a flat: radius of the contact in mm, greatest pressure in MPa. Hertz, as in Shigley's Mechanical Engineering Design, contact stresses. */
export function hertzSpheres(
  forceN: number,
  d1Mm: number,
  d2Mm: number,
  e1Mpa: number,
  nu1: number,
  e2Mpa: number,
  nu2: number,
): { radiusMm: number; pressureMpa: number } {
  const give = (1 - nu1 ** 2) / e1Mpa + (1 - nu2 ** 2) / e2Mpa;
  const radiusMm = Math.cbrt((3 * forceN * give) / (8 * (1 / d1Mm + 1 / d2Mm)));
  return { radiusMm, pressureMpa: (3 * forceN) / (2 * Math.PI * radiusMm ** 2) };
}

/** Contact stress of a ball at the static rating, MPa (ISO 76, ball bearings). */
export const stressAtRatingMpa = 4200;

/**
 * What an axial force through the balls leaves in the raceway, by the definition of the static rating (ISO 76): at the rating
 * the lasting dent is 0.0001 of the ball; it grows with the square of the load (Palmgren), the Hertz stress with its cube root.
 */
export function dentOf(
  axialKn: number,
  ratedAxialKn: number,
  ballMm: number,
): { depthUm: number; stressMpa: number } {
  const share = axialKn / ratedAxialKn;
  return { depthUm: 0.1 * ballMm * share ** 2, stressMpa: stressAtRatingMpa * Math.cbrt(share) };
}

/** Yield of a piece's material, MPa; handbook means, from memory. Chrome and wood are refused by other rules. */
const pieceYield: Record<Adapter['material'], number> = {
  steel: yieldMpa.steel,
  'hardened-steel': 1200,
  aluminium: yieldMpa.aluminium,
  chrome: 900,
  wood: 5,
};

/** Mean pressure of a piece on the face it bears on, MPa; infinite where it does not touch. */
export function facePressureMpa(a: Adapter, need: Need, forceKn: number): number {
  const outer = Math.min(a.outerMm, need.face.outerMm);
  const inner = Math.max(bearingInnerMm(a, need.proudMm), need.face.innerMm);
  return outer > inner ? (forceKn * 1000) / ((Math.PI / 4) * (outer ** 2 - inner ** 2)) : Infinity;
}

/** A face may bear this share of the softer body's yield: an edge that is not quite flat carries more (judgement). */
export const faceShare = 0.6;
export const faceLimitMpa = (a: Adapter, other: Material = 'steel'): number =>
  faceShare * Math.min(pieceYield[a.material], yieldMpa[other]);
