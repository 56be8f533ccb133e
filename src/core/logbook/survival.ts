/** How long lives last when many have not ended yet. Times in one unit throughout (the app: km since fitted). */
export interface Life {
  /** When it failed, or was last known to run. */
  time: number;
  /** False: still running, sold, or taken off before it failed. */
  failed: boolean;
  /** When it came under watch; before that nobody would have seen it fail. */
  entry?: number | undefined;
}

export interface CurvePoint {
  time: number;
  /** Under watch right before this time. */
  atRisk: number;
  failed: number;
  survival: number;
  /** 95 % band by Greenwood on the log-log scale; undefined where all or none live. */
  low?: number;
  high?: number;
}

export interface Median {
  time: number | undefined;
  low: number | undefined;
  high: number | undefined;
}

/** Two-sided 95 % of the normal distribution. */
export const z95 = 1.959963984540054;

const sortedTimes = (lives: readonly Life[], of: (l: Life) => number): Float64Array =>
  Float64Array.from(lives, of).sort();

/** Why lives give no curve; undefined where they do. */
export function lifeFault({ time, entry = 0 }: Life): string | undefined {
  if (!Number.isFinite(time) || time < 0) return 'A life lasts from 0 up.';
  if (!(entry >= 0)) return 'It comes under watch at 0 or later.';
  return entry > 0 && entry >= time ? 'It ends before it comes under watch.' : undefined;
}

/**
 * Share of lives still running after each failure (Kaplan and Meier 1958), with delayed entry: a life counts as under
 * watch only after its entry. Failures at a time come before what leaves watch at it. One point for each time at which
 * something failed.
 */
export function survivalCurve(lives: readonly Life[]): CurvePoint[] {
  const exits = sortedTimes(lives, (l) => l.time);
  const late = lives.filter((l) => l.entry !== undefined && l.entry > 0);
  const entries = sortedTimes(late, (l) => l.entry ?? 0);
  const fromStart = lives.length - late.length;
  const fails = sortedTimes(
    lives.filter((l) => l.failed),
    (l) => l.time,
  );
  const points: CurvePoint[] = [];
  let [survival, variance, in_, out] = [1, 0, 0, 0];
  for (let i = 0; i < fails.length;) {
    const time = fails[i]!;
    let failed = 0;
    while (fails[i] === time) {
      failed += 1;
      i += 1;
    }
    while (in_ < entries.length && entries[in_]! < time) in_ += 1;
    while (out < exits.length && exits[out]! < time) out += 1;
    const atRisk = fromStart + in_ - out;
    survival *= 1 - failed / atRisk;
    // Sums of shares leave dust where the last one fails.
    if (atRisk === failed) survival = 0;
    variance += atRisk > failed ? failed / (atRisk * (atRisk - failed)) : 0;
    points.push({ time, atRisk, failed, survival, ...band(survival, variance) });
  }
  return points;
}

/** Greenwood's variance on the log-log scale (Kalbfleisch and Prentice). */
function band(survival: number, variance: number): { low?: number; high?: number } {
  if (!(survival > 0 && survival < 1)) return {};
  const half = (z95 * Math.sqrt(variance)) / Math.abs(Math.log(survival));
  return { low: survival ** Math.exp(half), high: survival ** Math.exp(-half) };
}

/** The time by which half have failed, and where the band crosses a half (Brookmeyer and Crowley); undefined where it is not reached. */
export function medianOf(curve: readonly CurvePoint[]): Median {
  const dust = 1e-9;
  const crosses = (of: (p: CurvePoint) => number | undefined) =>
    curve.find((p) => (of(p) ?? 1) <= 0.5 + dust)?.time;
  return {
    time: crosses((p) => p.survival),
    low: crosses((p) => p.low ?? (p.survival === 0 ? 0 : undefined)),
    high: crosses((p) => p.high),
  };
}

/** Share still running at a time. */
export const survivalAt = (curve: readonly CurvePoint[], time: number): number =>
  curve.findLast((p) => p.time <= time)?.survival ?? 1;

/** Lives under watch at a time. */
export const underWatch = (lives: readonly Life[], time: number): number =>
  lives.filter((l) => (l.entry ?? 0) <= time && l.time >= time).length;
