import chisquare from '@stdlib/stats-base-dists-chisquare-cdf';
import type { Life } from './survival.ts';

export interface LogRank {
  chi2: number;
  /** Chance of a gap this wide where all groups last equally long. */
  p: number;
  /** Failures seen and expected of each group if all lasted equally long. */
  groups: { observed: number; expected: number }[];
}

interface Group {
  fails: Float64Array;
  exits: Float64Array;
  entries: Float64Array;
}
const sorted = (xs: readonly number[]) => Float64Array.from(xs).sort();

/**
 * Whether groups of lives last equally long (Mantel 1966; Peto and Peto 1972), with delayed entry. Undefined where
 * there are fewer than two groups, or nothing failed while more than one was under watch.
 */
export function logRank(groups: readonly (readonly Life[])[]): LogRank | undefined {
  if (groups.length < 2) return undefined;
  const all: Group[] = groups.map((lives) => ({
    fails: sorted(lives.filter((l) => l.failed).map((l) => l.time)),
    exits: sorted(lives.map((l) => l.time)),
    entries: sorted(lives.map((l) => l.entry ?? 0)),
  }));
  const k = all.length;
  const at = all.map(() => ({ fail: 0, exit: 0, entry: 0 }));
  const observed = new Array<number>(k).fill(0);
  const expected = new Array<number>(k).fill(0);
  const cov = Array.from({ length: k }, () => new Array<number>(k).fill(0));
  const times = sorted(all.flatMap((g) => [...g.fails]));
  let last = Number.NaN;
  for (const time of times) {
    if (time === last) continue;
    last = time;
    const risk = all.map((g, j) => {
      const a = at[j]!;
      while (a.entry < g.entries.length && (g.entries[a.entry]! < time || g.entries[a.entry] === 0))
        a.entry += 1;
      while (a.exit < g.exits.length && g.exits[a.exit]! < time) a.exit += 1;
      return a.entry - a.exit;
    });
    const died = all.map((g, j) => {
      const a = at[j]!;
      const from = a.fail;
      while (g.fails[a.fail] === time) a.fail += 1;
      return a.fail - from;
    });
    const n = risk.reduce((x, y) => x + y, 0);
    const d = died.reduce((x, y) => x + y, 0);
    const spread = n > 1 ? (d * (n - d)) / (n - 1) : 0;
    for (let i = 0; i < k; i += 1) {
      const share = risk[i]! / n;
      observed[i]! += died[i]!;
      expected[i]! += d * share;
      for (let j = 0; j < k; j += 1)
        cov[i]![j]! += spread * share * ((i === j ? 1 : 0) - risk[j]! / n);
    }
  }
  const gaps = observed.slice(0, -1).map((o, i) => o - expected[i]!);
  const solved = solve(
    cov.slice(0, -1).map((row) => row.slice(0, -1)),
    gaps,
  );
  if (!solved) return undefined;
  const chi2 = gaps.reduce((sum, g, i) => sum + g * solved[i]!, 0);
  return {
    chi2,
    p: 1 - chisquare(chi2, k - 1),
    groups: observed.map((o, i) => ({ observed: o, expected: expected[i]! })),
  };
}

/** Solves a small symmetric system by elimination with pivots; undefined where it has no one answer. */
function solve(matrix: number[][], right: readonly number[]): number[] | undefined {
  const m = matrix.map((row, i) => [...row, right[i]!]);
  const n = m.length;
  for (let c = 0; c < n; c += 1) {
    const rest = m.slice(c).map((row) => Math.abs(row[c]!));
    const pivot = c + rest.indexOf(Math.max(...rest));
    if (!(Math.abs(m[pivot]![c]!) > 1e-12)) return undefined;
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    for (let r = 0; r < n; r += 1) {
      if (r === c) continue;
      const f = m[r]![c]! / m[c]![c]!;
      for (let x = c; x <= n; x += 1) m[r]![x]! -= f * m[c]![x]!;
    }
  }
  return m.map((row, i) => row[n]! / row[i]!);
}
