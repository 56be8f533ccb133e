import type { CornerRecord } from '../corner-record.ts';

/** Share of the hub's room that is filled: more is churned and runs hot. Common practice, no published source. */
export const filledShare = { low: 1 / 3, high: 1 / 2 };

/** Grease for a hub on two taper rows, besides what fills the rollers, cm³. */
export interface GreaseVolume {
  /** Room between the two cups round the spindle. */
  roomCm3: number;
  low: number;
  high: number;
}

/**
 * Room between the cups of a hub by its record, taken as a plain ring: the opening behind the cups outside, the bore of
 * the cones inside. Undefined where the record does not have the hub or the cones' bore is not known.
 */
export function greaseVolume(
  { housing, far }: Pick<CornerRecord, 'housing' | 'far'>,
  coneBoreMm: number | undefined,
): GreaseVolume | undefined {
  if (!housing || coneBoreMm === undefined) return undefined;
  const lengthMm = housing.depthMm - housing.seatDepthMm - (far ?? housing).seatDepthMm;
  const openMm = Math.min(housing.shoulderMm, (far ?? housing).shoulderMm);
  if (!(lengthMm > 0) || !(openMm > coneBoreMm)) return undefined;
  const roomCm3 = ((Math.PI / 4) * (openMm ** 2 - coneBoreMm ** 2) * lengthMm) / 1000;
  return { roomCm3, low: roomCm3 * filledShare.low, high: roomCm3 * filledShare.high };
}
