import { type Life, z95 } from './survival.ts';

/** A life of which only is known between which times it failed. */
export interface IntervalLife {
  from: number;
  to: number;
}

export interface Weibull {
  /** Below 1 early failures, near 1 chance, above 1 wear. */
  shape: number;
  /** Time by which 63 % have failed. */
  scale: number;
  /** Ninety-five per cent: where twice the loss of log-likelihood is at most 3.841, by the curvature where there are many lives. */
  shapeRange: readonly [number, number];
  scaleRange: readonly [number, number];
}

/** Chi-squared of one degree at 95 %. */
const chi95 = 3.841458820694124;
/** From so many lives on the curvature tells the interval as well. */
const manyLives = 5000;

/** Sums that the likelihood of a shape needs, with the largest time taken as one so that no power runs over. */
class Sample {
  readonly #logs: Float64Array;
  readonly #entries: Float64Array;
  readonly #intervals: readonly (readonly [number, number])[];
  readonly failed: number;
  readonly sumLogFailed: number;
  readonly unit: number;
  readonly count: number;
  /** Failures at two different times at least. */
  readonly hasSpread: boolean;

  constructor(lives: readonly Life[], intervals: readonly IntervalLife[]) {
    let unit = intervals.reduce((m, i) => Math.max(m, i.to), 0);
    for (const l of lives) unit = Math.max(unit, l.time);
    this.unit = unit;
    const log = (t: number) => Math.log(t / unit);
    const lasting = lives.filter((l) => l.time > 0);
    this.#logs = Float64Array.from(lasting, (l) => log(l.time));
    this.#entries = Float64Array.from(
      lasting.filter((l) => l.entry !== undefined && l.entry > 0),
      (l) => log(l.entry ?? 0),
    );
    this.#intervals = intervals.map((i) => [i.from > 0 ? log(i.from) : -Infinity, log(i.to)]);
    let [failed, sum, first, spread] = [0, 0, Number.NaN, intervals.length > 1];
    lasting.forEach((l, i) => {
      if (!l.failed) return;
      failed += 1;
      sum += this.#logs[i] ?? 0;
      if (failed === 1) first = l.time;
      else if (l.time !== first) spread = true;
    });
    this.failed = failed;
    this.sumLogFailed = sum;
    this.hasSpread = spread || (failed > 0 && intervals.length > 0);
    this.count = lasting.length + intervals.length;
  }
  get hasIntervals(): boolean {
    return this.#intervals.length > 0;
  }
  /** Σ tᵏ over the time under watch. */
  #exposure(k: number): number {
    let sum = 0;
    for (const x of this.#logs) sum += Math.exp(k * x);
    for (const x of this.#entries) sum -= Math.exp(k * x);
    return sum;
  }
  /** Σ tᵏ, Σ tᵏ ln t and Σ tᵏ ln² t over the time under watch. */
  moments(k: number): [number, number, number] {
    let [s0, s1, s2] = [0, 0, 0];
    for (const x of this.#logs) {
      const p = Math.exp(k * x);
      s0 += p;
      s1 += p * x;
      s2 += p * x * x;
    }
    for (const x of this.#entries) {
      const p = Math.exp(k * x);
      s0 -= p;
      s1 -= p * x;
      s2 -= p * x * x;
    }
    return [s0, s1, s2];
  }
  /** Log-likelihood of shape and log of the scale; `exposure` of that shape where it is known. */
  likelihood(k: number, logScale: number, exposure = this.#exposure(k)): number {
    let sum =
      this.failed * (Math.log(k) - k * logScale) +
      (k - 1) * this.sumLogFailed -
      exposure * Math.exp(-k * logScale);
    for (const [a, b] of this.#intervals) {
      const [ha, hb] = [Math.exp(k * (a - logScale)), Math.exp(k * (b - logScale))];
      sum += -ha + Math.log(-Math.expm1(ha - hb));
    }
    return sum;
  }
  /** The best scale for a shape, and its likelihood. */
  best(k: number): { logScale: number; value: number } {
    const exposure = this.#exposure(k);
    if (!this.hasIntervals) {
      const logScale = Math.log(exposure / this.failed) / k;
      return { logScale, value: this.likelihood(k, logScale, exposure) };
    }
    const logScale = highest((x) => this.likelihood(k, x, exposure), -12, 12);
    return { logScale, value: this.likelihood(k, logScale, exposure) };
  }
  /** The best shape for a scale. */
  bestShape(logScale: number): number {
    const log = highest((x) => this.likelihood(Math.exp(x), logScale), logK.least, logK.most);
    return this.likelihood(Math.exp(log), logScale);
  }
}

/** Shapes that are looked at, as logarithms: 0.02 to 50. */
const logK = { least: Math.log(0.02), most: Math.log(50) };

/** How near a logarithm is taken: a hundredth of a per mille of the figure itself. */
const fine = 1e-5;

/** Where a function with one top is highest (golden section). */
function highest(f: (x: number) => number, from: number, to: number): number {
  const g = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [from, to];
  let [c, d] = [b - g * (b - a), a + g * (b - a)];
  let [fc, fd] = [f(c), f(d)];
  while (b - a > fine) {
    if (fc > fd) {
      [b, d, fd] = [d, c, fc];
      c = b - g * (b - a);
      fc = f(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + g * (b - a);
      fd = f(d);
    }
  }
  return (a + b) / 2;
}

/** Where a falling-off from the top crosses a level, going from the top towards `end`; `end` where it never does. */
function crossing(f: (x: number) => number, top: number, end: number, level: number): number {
  if (f(end) > level) return end;
  let [inside, outside] = [top, end];
  for (let i = 0; i < 60 && Math.abs(outside - inside) > fine; i += 1) {
    const middle = (inside + outside) / 2;
    if (f(middle) > level) inside = middle;
    else outside = middle;
  }
  return (inside + outside) / 2;
}

/**
 * Weibull's distribution by maximum likelihood, with lives that have not ended, come under watch late, or failed
 * somewhere between two times. Undefined with fewer than two different times of failure: no shape fits one.
 */
export function fitWeibull(
  lives: readonly Life[],
  intervals: readonly IntervalLife[] = [],
): Weibull | undefined {
  const s = new Sample(lives, intervals);
  if (!s.hasSpread) return undefined;
  const top = s.count > manyLives && !s.hasIntervals ? byCurvature(s) : byLikelihood(s);
  const { topLog, logScale, range } = top;
  const scaleOf = (x: number) => Math.exp(x) * s.unit;
  return {
    shape: Math.exp(topLog),
    scale: scaleOf(logScale),
    shapeRange: [Math.exp(range.shape[0]), Math.exp(range.shape[1])],
    scaleRange: [scaleOf(range.scale[0]), scaleOf(range.scale[1])],
  };
}

interface Range {
  shape: readonly [number, number];
  scale: readonly [number, number];
}

function byLikelihood(s: Sample): { topLog: number; logScale: number; range: Range } {
  const byShape = (x: number) => s.best(Math.exp(x)).value;
  const byScale = (x: number) => s.bestShape(x);
  const topLog = highest(byShape, logK.least, logK.most);
  const { logScale, value } = s.best(Math.exp(topLog));
  const level = value - chi95 / 2;
  return {
    topLog,
    logScale,
    range: {
      shape: [
        crossing(byShape, topLog, logK.least, level),
        crossing(byShape, topLog, logK.most, level),
      ],
      scale: [
        crossing(byScale, logScale, logScale - 8, level),
        crossing(byScale, logScale, logScale + 8, level),
      ],
    },
  };
}

/**
 * Very many lives with known ends: the shape by Newton's steps, and both intervals from the curvature at the top (Wald),
 * on the logarithms of shape and scale. One look at the lives a step.
 */
function byCurvature(s: Sample): { topLog: number; logScale: number; range: Range } {
  const r = s.failed;
  let k = 1;
  for (let i = 0; i < 50; i += 1) {
    const [s0, s1, s2] = s.moments(k);
    const slope = s1 / s0 - 1 / k - s.sumLogFailed / r;
    const move = slope / (s2 / s0 - (s1 / s0) ** 2 + 1 / k ** 2);
    k = Math.min(50, Math.max(k / 2, k - move));
    if (Math.abs(move) < 1e-8 * k) break;
  }
  const [s0, s1, s2] = s.moments(k);
  const logScale = Math.log(s0 / r) / k;
  // Sums over (t/η)ᵏ, weighted by ln(t/η) and its square.
  const w1 = (r * s1) / s0 - r * logScale;
  const w2 = (r * s2) / s0 - 2 * logScale * ((r * s1) / s0) + r * logScale ** 2;
  const [xx, xy, yy] = [r + k ** 2 * w2, -(k ** 2) * w1, k ** 2 * r];
  const det = xx * yy - xy ** 2;
  const [dx, dy] = [z95 * Math.sqrt(yy / det), z95 * Math.sqrt(xx / det)];
  const x = Math.log(k);
  return {
    topLog: x,
    logScale,
    range: { shape: [x - dx, x + dx], scale: [logScale - dy, logScale + dy] },
  };
}

/** What a shape says of why they fail, where its interval leaves one answer. */
export function shapeInWords({ shapeRange: [low, high] }: Weibull): string {
  if (high < 1) return 'early failures: look at the fitting';
  if (low > 1) return 'wear: they last and then give out together';
  return 'chance, or too few to tell early failures from wear';
}
