import quantile from '@stdlib/stats-base-dists-normal-quantile';
import { z95 } from './survival.ts';

/** Interval of a share by its counts, 95 % (Wilson 1927). Throws RangeError. */
export function wilson(count: number, of: number): { share: number; low: number; high: number } {
  if (!(of > 0 && count >= 0 && count <= of)) throw new RangeError('count: from 0 to the number');
  const p = count / of;
  const z2 = z95 ** 2;
  const middle = (p + z2 / (2 * of)) / (1 + z2 / of);
  const half = (z95 / (1 + z2 / of)) * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of ** 2));
  return { share: p, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** Power with which a difference is to be found. Common practice, no published source. */
const power = 0.8;

/**
 * Failures that a log-rank test needs to see one group fail so many times as fast as the other (Schoenfeld 1981), 5 %
 * two-sided; `share`: the first group's share of the lives. Throws RangeError.
 */
export function failuresNeeded(ratio: number, share = 0.5): number {
  if (!(ratio > 0) || ratio === 1) throw new RangeError('ratio: over 0, not 1');
  if (!(share > 0 && share < 1)) throw new RangeError('share: between 0 and 1');
  return (z95 + quantile(power, 0, 1)) ** 2 / (share * (1 - share) * Math.log(ratio) ** 2);
}

/** A difference that matters to a shop: one kind fails twice as fast. Our judgement. */
export const worthKnowing = 2;

/** About how many lives more tell a difference of that size, from the failures so far; 0 where there are enough. */
export function livesMissing(groups: readonly { lives: number; failed: number }[]): number {
  const lives = groups.reduce((s, g) => s + g.lives, 0);
  const failed = groups.reduce((s, g) => s + g.failed, 0);
  const [first] = groups;
  if (!first || lives === 0 || first.lives === 0 || first.lives === lives) return Infinity;
  const wanted = Math.ceil(failuresNeeded(worthKnowing, first.lives / lives)) - failed;
  if (wanted <= 0) return 0;
  // Where nothing failed yet, one of all that run is taken to be about to.
  return Math.ceil((wanted * lives) / Math.max(1, failed));
}
