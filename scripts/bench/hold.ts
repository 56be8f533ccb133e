/** Figures that are held, in one run; and how times are taken. */

let missed = 0;
/** How many figures of this run were missed. */
export const missedSoFar = (): number => missed;

function tell(ok: boolean, said: string, note: string): void {
  if (!ok) missed += 1;
  console.log(`${ok ? 'holds ' : 'MISSED'}  ${said}${note ? `; ${note}` : ''}`);
}
export const hold = (name: string, value: number, limit: number, unit: string, note = ''): void =>
  tell(value <= limit, `${name}: ${value.toFixed(1)} ${unit} (at most ${limit} ${unit})`, note);
export const atLeast = (
  name: string,
  value: number,
  limit: number,
  unit: string,
  note = '',
): void =>
  tell(value >= limit, `${name}: ${value.toFixed(1)} ${unit} (at least ${limit} ${unit})`, note);

export const median = (xs: readonly number[]): number =>
  [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;
/** How long work takes once, ms. */
export const once = (work: () => void): number => {
  const t = performance.now();
  work();
  return performance.now() - t;
};
/** How long it takes in the median of some runs, warm, ms. */
export function timed(work: () => void, runs = 15): number {
  work();
  return median(Array.from({ length: runs }, () => once(work)));
}
