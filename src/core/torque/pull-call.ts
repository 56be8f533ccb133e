import { lineThrough } from './line.ts';
import type { PullCall } from './pull.ts';
import type { Pull } from './pulls.ts';

/** What is seen of a nut while it is pulled, whatever its figure. */

/** Torque lost within so many readings while the hand goes on: the socket slipped. Our judgement. */
const slipShare = 0.4;
const slipReadings = 4;
const slipDeg = 2;
/** From a third of snug to snug a sound nut turns less than this, degrees; one that is crossed, more. Our judgement. */
export const longSnugDeg = 130;
/** A thread that gives: the slope falls to this share of what it was. Our judgement. */
const givingShare = 0.45;
/** Degrees over which a slope is read. */
const slopeDeg = 8;

/** A socket that rides up: the torque falls away while the hand still goes on. */
export const slips = ({ all }: Pick<Pull, 'all'>, snugNm: number): boolean =>
  all.some((b, i) => {
    const a = all[i - slipReadings];
    if (!a || a.torqueNm < snugNm / 3) return false;
    const lost = a.torqueNm - b.torqueNm;
    return lost > slipShare * a.torqueNm && b.angleDeg - a.angleDeg > slipDeg;
  });

/** Whether torque grows much less for each degree at the end than it did just past snug. */
export function gives(curve: readonly (readonly [number, number])[]): boolean {
  const far = curve.reduce((most, [deg]) => Math.max(most, deg), 0);
  if (far < 2 * slopeDeg) return false;
  const slopeIn = (from: number): number | undefined => {
    const part = curve.filter(([deg]) => deg >= from && deg < from + slopeDeg);
    return part.length > 5 ? lineThrough(part)?.slope : undefined;
  };
  const [first, end] = [slopeIn(1), slopeIn(far - slopeDeg)];
  return first !== undefined && end !== undefined && first > 0 && end < givingShare * first;
}

export function callOf(
  x: Record<'slipped' | 'crossed' | 'gives' | 'snug' | 'free', boolean>,
): PullCall {
  if (x.slipped) return 'slipped';
  if (x.crossed) return 'cross-threaded';
  if (x.gives) return 'yielding';
  if (!x.snug) return x.free ? 'waiting' : 'snugging';
  return x.free ? 'let-go' : 'turning';
}
