import type { Adapter } from './kit.ts';
import { solve } from './open.ts';
import type { SolveResult } from './solve.ts';
import type { Setup } from './stack.ts';

const solved = new WeakMap<readonly Adapter[], Map<string, SolveResult>>();
/** Strokes of a job with a few tools each. */
const mostKept = 24;

/** Solves as `solve` does; the same kit is not sifted again for a setup that says the same: a tap changes what lies, not what is asked. */
export function solveOnce(kit: readonly Adapter[], setup: Setup, most = 5): SolveResult {
  // One whose figures are open holds what cannot be compared.
  if (setup.open) return solve(kit, setup, most);
  const key = JSON.stringify([most, setup]);
  const known = solved.get(kit) ?? new Map<string, SolveResult>();
  solved.set(kit, known);
  const found = known.get(key) ?? solve(kit, setup, most);
  const [oldest] = known.keys();
  if (known.size >= mostKept && oldest !== undefined) known.delete(oldest);
  known.set(key, found);
  return found;
}
