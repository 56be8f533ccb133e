import type { BearingGeometry } from './orders.ts';

/** All that is known of a bearing whose part is not: what a calliper reads on its rings. */
export interface RingSize {
  boreMm: number;
  outerMm: number;
}

/**
 * What wheel bearings of one ring size have inside, as shares: ball of the ring's section, balls of a full row, angle.
 * Our judgement; nothing here is any maker's figure.
 */
const ballShare = [0.29, 0.34] as const;
const fullness = [0.78, 0.92] as const;
const middleAngleDeg = 35;
/** Ball sizes tried over the share: each comb's own slack reaches half-way to the next. */
const ballSteps = 4;

/** Geometries a bearing of this ring size is likely to have, so that its orders are bands. Throws RangeError naming the field. */
export function likelyGeometries(
  { boreMm, outerMm }: RingSize,
  rotating: BearingGeometry['rotating'],
): BearingGeometry[] {
  if (!(boreMm > 0 && boreMm < outerMm))
    throw new RangeError(`boreMm: ${boreMm} mm must be over 0 and smaller than ${outerMm} mm`);
  const pitchMm = (outerMm + boreMm) / 2;
  const [small, large] = ballShare.map((x) => x * (outerMm - boreMm)) as [number, number];
  return Array.from({ length: ballSteps }, (_, i) => {
    const ballMm = small + ((large - small) * i) / (ballSteps - 1);
    const full = (Math.PI * pitchMm) / ballMm;
    const least = Math.ceil(fullness[0] * full);
    const most = Math.floor(fullness[1] * full);
    return Array.from({ length: Math.max(0, most - least + 1) }, (__, n) => ({
      balls: least + n,
      ballMm,
      pitchMm,
      angleDeg: middleAngleDeg,
      rotating,
    }));
  }).flat();
}
