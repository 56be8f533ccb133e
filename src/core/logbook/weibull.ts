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
  readonly #sumLogFailed: number;
  readonly unit: number;
  readonly count: number;

  constructor(lives: readonly Life[], intervals: readonly IntervalLife[]) {
    this.unit = Math.max(
      ...[0],
      lives.reduce((m, l) => Math.max(m, l.time), 0),
      ...intervals.map((i) => i.to),
    );
    const log = (t: number) => Math.log(t / this.unit);
    const lasting = lives.filter((l) => l.time > 0);
    this.#logs = Float64Array.from(lasting, (l) => log(l.time));
    this.#entries = Float64Array.from(
      lasting.filter((l) => (l.entry ?? 0) > 0),
      (l) => log(l.entry ?? 0),
    );
    this.#intervals = intervals.map((i) => [i.from > 0 ? log(i.from) : -Infinity, log(i.to)]);
    const ended = lasting.filter((l) => l.failed);
    this.failed = ended.length;
    this.#sumLogFailed = ended.reduce((s, l) => s + log(l.time), 0);
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
  /** Log-likelihood of shape and log of the scale; `exposure` of that shape where it is known. */
  likelihood(k: number, logScale: number, exposure = this.#exposure(k)): number {
    let sum =
      this.failed * (Math.log(k) - k * logScale) +
      (k - 1) * this.#sumLogFailed -
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

/** Where a function with one top is highest (golden section). */
function highest(f: (x: number) => number, from: number, to: number): number {
  const g = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [from, to];
  let [c, d] = [b - g * (b - a), a + g * (b - a)];
  let [fc, fd] = [f(c), f(d)];
  while (b - a > 1e-7) {
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
  for (let i = 0; i < 60 && Math.abs(outside - inside) > 1e-6; i += 1) {
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
  const times = new Set(lives.filter((l) => l.failed && l.time > 0).map((l) => l.time));
  if (times.size + intervals.length < 2) return undefined;
  const s = new Sample(lives, intervals);
  const profile = (x: number) => s.best(Math.exp(x)).value;
  const topLog = s.count > manyLives ? narrowed(profile) : highest(profile, logK.least, logK.most);
  const shape = Math.exp(topLog);
  const { logScale, value } = s.best(shape);
  const scaleOf = (x: number) => Math.exp(x) * s.unit;
  const range =
    s.count > manyLives
      ? curvature(s, topLog, logScale)
      : within(s, profile, { topLog, logScale, level: value - chi95 / 2 });
  return {
    shape,
    scale: scaleOf(logScale),
    shapeRange: [Math.exp(range.shape[0]), Math.exp(range.shape[1])],
    scaleRange: [scaleOf(range.scale[0]), scaleOf(range.scale[1])],
  };
}

interface Range {
  shape: readonly [number, number];
  scale: readonly [number, number];
}

function within(
  s: Sample,
  profile: (x: number) => number,
  { topLog, logScale, level }: { topLog: number; logScale: number; level: number },
): Range {
  const byScale = (x: number) => s.bestShape(x);
  return {
    shape: [
      crossing(profile, topLog, logK.least, level),
      crossing(profile, topLog, logK.most, level),
    ],
    scale: [
      crossing(byScale, logScale, logScale - 8, level),
      crossing(byScale, logScale, logScale + 8, level),
    ],
  };
}

/** The top of a smooth likelihood of very many lives, by parabolas: few looks, each of which costs. */
function narrowed(f: (x: number) => number): number {
  const step = 1e-3;
  let x = 0;
  for (let i = 0; i < 12; i += 1) {
    const [a, b, c] = [f(x - step), f(x), f(x + step)];
    const slope = (c - a) / (2 * step);
    const bend = (c - 2 * b + a) / step ** 2;
    const move = bend < 0 ? Math.max(-1, Math.min(1, -slope / bend)) : Math.sign(slope);
    x = Math.min(logK.most, Math.max(logK.least, x + move));
    if (Math.abs(move) < 1e-7) break;
  }
  return x;
}

/** The interval from the curvature at the top (Wald), on the logarithms of both. */
function curvature(s: Sample, x: number, y: number): Range {
  const h = 1e-3;
  const f = (dx: number, dy: number) => s.likelihood(Math.exp(x + dx * h), y + dy * h);
  const middle = f(0, 0);
  const xx = -(f(1, 0) - 2 * middle + f(-1, 0)) / h ** 2;
  const yy = -(f(0, 1) - 2 * middle + f(0, -1)) / h ** 2;
  const xy = -(f(1, 1) - f(1, -1) - f(-1, 1) + f(-1, -1)) / (4 * h ** 2);
  const det = xx * yy - xy ** 2;
  const [sx, sy] = [z95 * Math.sqrt(yy / det), z95 * Math.sqrt(xx / det)];
  return { shape: [x - sx, x + sx], scale: [y - sy, y + sy] };
}

/** What a shape says of why they fail, where its interval leaves one answer. */
export function shapeInWords({ shapeRange: [low, high] }: Weibull): string {
  if (high < 1) return 'early failures: look at the fitting';
  if (low > 1) return 'wear: they last and then give out together';
  return 'chance, or too few to tell early failures from wear';
}
