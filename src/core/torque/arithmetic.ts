/** Torque arithmetic. Torque in N·m, lengths in mm, forces in N unless said otherwise. */

/** What to set on a wrench with an extension: T·L/(L + E cos θ); θ from the wrench's own line. Machinery's Handbook (memory). */
export function wrenchSetting(
  wantedNm: number,
  wrenchMm: number,
  extensionMm: number,
  angleDeg = 0,
): number {
  if (!(wrenchMm > 0))
    throw new RangeError('wrenchMm: the length from square to grip must be more than 0');
  return (wantedNm * wrenchMm) / (wrenchMm + extensionMm * Math.cos((angleDeg * Math.PI) / 180));
}

/** Where to stand on a level bar so that body weight alone gives the torque, m from the nut. Stop-gap, ±10 % at best. */
export function standOnBarM(torqueNm: number, weightN: number): number {
  if (!(weightN > 0)) throw new RangeError('weightN: weight must be more than 0');
  return torqueNm / weightN;
}

/** Degrees between positions of a castle nut that let the pin through: 360/lcm(slots, hole ends). Geometry. */
export function castleStepDeg(slots: number, holeEnds: number): number {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  return 360 / ((slots * holeEnds) / gcd(slots, holeEnds));
}

/** Tensile stress area of a metric thread, mm²: π/4 (d − 0.9382 P)². ISO 898-1. */
export const stressAreaMm2 = (diameterMm: number, pitchMm: number): number =>
  (Math.PI / 4) * (diameterMm - 0.9382 * pitchMm) ** 2;
