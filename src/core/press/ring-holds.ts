import { type Verdict, verdict } from '../verdict.ts';

/** Side load of a hard bend as a share of the load on the axle. Common practice, no published source. */
export const bendShare = 0.8;

/** Below this the ring holds the bend and no more. Our judgement. */
const spare = 2;

/**
 * How a press ring stands to a hard bend: what it holds at least before it slides along the shaft, kN, against the
 * outward pull of the inner wheel, taken as if that wheel alone took the whole side load. `axleLoadN`: load of the axle
 * on the ground, N. Throws RangeError.
 */
export function judgeRingHolds(holdsKn: number, axleLoadN: number): Verdict {
  if (!(axleLoadN > 0)) throw new RangeError('axleLoadN: over 0 N');
  const bendKn = (bendShare * axleLoadN) / 1000;
  const factor = holdsKn / bendKn;
  const found = {
    value: holdsKn,
    min: bendKn,
    unit: 'kN' as const,
    with: { factor: factor.toFixed(1) },
  };
  if (factor < 1) return verdict('press.ring-holds', found, 'stop');
  return verdict('press.ring-holds', found, factor < spare ? 'check' : 'good');
}
