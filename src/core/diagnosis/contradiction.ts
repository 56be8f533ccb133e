import type { Model } from './belief.ts';
import { likelihood, type TestResult } from './tests.ts';

/** Two results that no single suspect explains well. */
export interface Contradiction {
  a: TestResult;
  b: TestResult;
  text: string;
}

/** Below this share of what each result would get from its own best suspect, a pair does not go together (judgement). */
const together = 0.05;

/**
 * Pairs of results that cannot both be right: even the suspect that explains them best together gives them less
 * than a twentieth of what each would get from the suspect that explains it best alone.
 */
export function contradictions(m: Model, results: readonly TestResult[]): Contradiction[] {
  // What was said with doubt contradicts nothing.
  const done = results.filter((r) => !r.skipped && !r.doubt && m.tests.get(r.testId));
  const rows = done.map((r) => {
    const t = m.tests.get(r.testId)!;
    const l = m.suspects.map((s) => likelihood(t, r.place, r, s));
    const best = Math.max(...l);
    return { r, t, l: l.map((x) => x / best) };
  });
  const found: (Contradiction & { fit: number })[] = [];
  rows.forEach((x, i) =>
    rows.slice(i + 1).forEach((y) => {
      const fit = Math.max(...x.l.map((v, k) => v * y.l[k]!));
      if (fit >= together || twoBearings(m, x, y)) return;
      const again = x.t.minutes <= y.t.minutes ? x.t : y.t;
      found.push({
        a: x.r,
        b: y.r,
        fit,
        text: `${x.t.short}${at(x.r)} and ${y.t.short.toLowerCase()}${at(y.r)} cannot both be right: repeat “${again.short}” (${again.minutes} min).`,
      });
    }),
  );
  return found
    .sort((p, q) => p.fit - q.fit)
    .slice(0, 2)
    .map(({ a, b, text }) => ({ a, b, text }));
}

/** Found at two corners, each a thing of its own bearing: a second bad bearing, and no contradiction. */
function twoBearings(
  m: Model,
  x: { r: TestResult; l: readonly number[] },
  y: { r: TestResult; l: readonly number[] },
): boolean {
  const own = ({ r, l }: typeof x) =>
    m.suspects.some((s, k) => s.kind === 'bearing' && s.corner === r.place && l[k]! >= together);
  return x.r.place !== y.r.place && own(x) && own(y);
}

const at = (r: TestResult) => (r.place === 'car' ? '' : ` ${r.place}`);
