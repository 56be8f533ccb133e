import type { Requirement } from './requirement.ts';

/** Share of an outer ring's travel that an impact tool may start (common practice, no published source). */
const startShare = 0.75;

/** How far an impact tool may go on a screw in this stroke. Common practice, no published source. */
export function impactAdvice(r: Requirement): string {
  if (r.lastByHandMm !== undefined)
    return `The last ${r.lastByHandMm} mm by hand: an impact gun hides the moment it seats and hammers the balls.`;
  if (!r.fitting) return 'An impact gun is fine for removal.';
  if (r.carries === 'inner ring' || r.carries === 'press ring')
    return 'By hand all the way: the end is felt, not heard.';
  const from = (startShare * r.travelMm).toFixed(0);
  return `An impact gun may start an outer ring; from ${from} mm on it goes by hand.`;
}
