/** Torque arithmetic. Torque in N·m, lengths in mm, forces in N unless said otherwise. */

/** From the nut to the grip along the wrench, through an offset at an angle to it, mm; not over 0: the nut lies behind the grip. */
export const armMm = (wrenchMm: number, offsetMm: number, angleDeg: number): number =>
  wrenchMm + offsetMm * Math.cos((angleDeg * Math.PI) / 180);

/** What to set on a wrench with an extension: T·L/(L + E cos θ); θ from the wrench's own line. Machinery's Handbook (memory). */
export function wrenchSetting(
  wantedNm: number,
  wrenchMm: number,
  offsetMm: number,
  angleDeg = 0,
): number {
  if (!(wrenchMm > 0))
    throw new RangeError('wrenchMm: the length from square to grip must be more than 0');
  const arm = armMm(wrenchMm, offsetMm, angleDeg);
  if (!(arm > 0))
    throw new RangeError('offsetMm: turned back so far that the nut lies behind the grip');
  return (wantedNm * wrenchMm) / arm;
}

/** Where to stand on a level bar so that body weight alone gives the torque, m from the nut. Stop-gap, ±10 % at best. */
export function standOnBarM(torqueNm: number, weightN: number): number {
  if (!(weightN > 0)) throw new RangeError('weightN: weight must be more than 0');
  return torqueNm / weightN;
}

/**
 * Where to stand on a level bar so that body weight and the bar's own give the torque, m from the nut; the bar is even
 * and held at its end. A stop-gap, ±10 % at best. Throws where the bar alone gives more.
 */
export function standWithBarM(
  torqueNm: number,
  weightN: number,
  bar: { lengthM: number; weightN: number },
): number {
  const own = (bar.weightN * bar.lengthM) / 2;
  if (own >= torqueNm) throw new RangeError('bar: its own weight gives more than this torque');
  return standOnBarM(torqueNm - own, weightN);
}

/** How far the hand travels round the nut, mm: arc of an angle at a length. */
export const handTravelMm = (angleDeg: number, lengthMm: number): number =>
  ((angleDeg * Math.PI) / 180) * lengthMm;
