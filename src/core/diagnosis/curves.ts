import type { TestKind } from './tests.ts';

type Numeric = Extract<TestKind, { numeric: object }>;
type Bells = Numeric['bells'];

/** Points of a curve for each step of its test. */
const finer = 4;
/** Share of a curve that lies evenly over the whole scale, so that one wild reading rules nothing out for ever. */
const floorShare = 0.03;

/** Likelihoods of a test's readings, by row: logarithms on a fine grid over its scale. */
interface Curves {
  from: number;
  step: number;
  logs: ReadonlyMap<string, Float64Array>;
}

const kept = new WeakMap<Bells, Curves>();

/**
 * The curves of a numeric test from its bells, so that worse is never better: seen from a sound part, a row that lies
 * further out gains on every row within it all the way to the end of the scale, as a bell alone does not. What lies
 * further out than a bearing (a dragging brake, a loose nut) goes along with the bearing's curve: more of a reading never
 * clears the bearing, and other tests part the two. Each sums to one over the test's own grid. Engineering judgement.
 */
export function curvesOf(t: Numeric): Curves {
  const known = kept.get(t.bells);
  if (known) return known;
  const { from, to, step } = t.numeric;
  const fine = step / finer;
  const n = Math.round((to - from) / fine) + 1;
  const rest = bellLogs(t.bells['rest']!, from, fine, n);
  const logs = new Map<string, Float64Array>([['rest', rest]]);
  for (const outward of [1, -1] as const) {
    const side = Object.entries(t.bells)
      .filter(([key, [mean]]) => key !== 'rest' && outward * (mean - t.bells['rest']![0]) > 0)
      .sort(([, [a]], [, [b]]) => outward * (a - b));
    let within: Float64Array = rest;
    let bearing: Float64Array | undefined;
    for (const [key, bell] of side) {
      const own = bearing ?? gaining(bellLogs(bell, from, fine, n), within, outward);
      logs.set(key, own);
      within = own;
      if (key.startsWith('bearing')) bearing = own;
    }
  }
  // A row that is centred on the sound one only spreads wider: it stays the bell it is.
  for (const [key, bell] of Object.entries(t.bells))
    if (!logs.has(key)) logs.set(key, bellLogs(bell, from, fine, n));
  const curves = { from, step: fine, logs: mapValues(logs, (l) => normalised(l, step)) };
  kept.set(t.bells, curves);
  return curves;
}

const mapValues = (m: ReadonlyMap<string, Float64Array>, f: (l: Float64Array) => Float64Array) =>
  new Map([...m].map(([k, l]) => [k, f(l)]));

function bellLogs(
  [mean, spread]: readonly [number, number],
  from: number,
  step: number,
  n: number,
) {
  const bell = Float64Array.from({ length: n }, (_, i) =>
    Math.exp(-0.5 * ((from + i * step - mean) / spread) ** 2),
  );
  const sum = bell.reduce((a, b) => a + b, 0);
  return bell.map((b) => Math.log(((1 - floorShare) * b) / sum + floorShare / n));
}

/** A curve whose ratio to the one within never falls on the way outward: it is held where it would. */
function gaining(own: Float64Array, within: Float64Array, outward: 1 | -1): Float64Array {
  const out = new Float64Array(own.length);
  let most = -Infinity;
  for (let k = 0; k < own.length; k++) {
    const i = outward > 0 ? k : own.length - 1 - k;
    most = Math.max(most, own[i]! - within[i]!);
    out[i] = within[i]! + most;
  }
  return out;
}

/** Summed over the test's own grid and its step, a curve gives one. */
function normalised(logs: Float64Array, step: number): Float64Array {
  let sum = 0;
  for (let i = 0; i < logs.length; i += finer) sum += Math.exp(logs[i]!) * step;
  return logs.map((l) => l - Math.log(sum));
}

/** Likelihood of a reading under a row; a reading beyond the scale counts as its end. */
export function curveAt({ from, step, logs }: Curves, key: string, x: number): number {
  const row = logs.get(key)!;
  const at = Math.min(row.length - 1, Math.max(0, (x - from) / step));
  const i = Math.min(row.length - 2, Math.floor(at));
  return Math.exp(row[i]! + (at - i) * (row[i + 1]! - row[i]!));
}
