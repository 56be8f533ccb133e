import type { Adapter } from './kit.ts';
import { openBehind } from './kit.ts';
import type { Measure, Need } from './operation.ts';
import { capScore, judgeCap, judgePiece, judgeStack, pieceScore, stackHeightMm, type Bench, type Judgement, type Stack } from './stack.ts';
import { forcePath } from './force-path.ts';

export interface Solution {
  stack: Stack;
  judgement: Judgement;
}

export interface Missing {
  role: 'pusher' | 'support' | 'cap';
  /** Dimension windows of the piece that would solve it, in words. */
  text: string;
}

export interface SolveResult {
  /** Best first. */
  solutions: Solution[];
  missing: Missing[];
}

interface Ranked<T> {
  item: T;
  score: number;
}

const best = <T>(list: Ranked<T>[]) => list.sort((a, b) => b.score - a.score);

/**
 * All stacks of a kit that satisfy one stroke, best first, at most `most` of them.
 * Exact: a piece's fitness for its place does not depend on the others, so places are sifted singly and
 * only the survivors are joined, in order of their summed worth, under the rules that need them together.
 */
export function solve(kit: readonly Adapter[], bench: Bench, most = 5): SolveResult {
  const { requirement: r, forceKn } = bench;
  const fits = (a: Adapter, role: 'pusher' | 'support') => judgePiece(a, role, r[role], forceKn).every((v) => v.status !== 'stop');
  const pushers = kit.filter((a) => fits(a, 'pusher'));
  const supports = best(kit.filter((a) => fits(a, 'support')).map((item) => ({ item, score: pieceScore(item, r.support, forceKn) })));
  const caps = kit.filter((a) => a.innerMm === 0 && judgePiece(a, 'cap', undefined, forceKn).every((v) => v.status !== 'stop'));
  const heads = best(pushers.flatMap((pusher) => {
    const base = pieceScore(pusher, r.pusher, forceKn);
    const options: (Adapter | undefined)[] = [undefined, ...caps.filter((c) => c.id !== pusher.id)];
    return options
      .filter((cap) => judgeCap(pusher, cap, bench).every((v) => v.status === 'good'))
      .map((cap) => ({ item: { pusher, cap }, score: base + capScore(cap) }));
  }));
  const solutions = forceKn.high > bench.press.capacityKn ? [] : join(heads, supports, bench, most);
  return { solutions, missing: solutions.length > 0 ? [] : missing(pushers, heads.length, supports.length, bench) };
}

/** Joins heads and supports in falling order of worth until enough good stacks are found. */
function join(heads: Ranked<{ pusher: Adapter; cap: Adapter | undefined }>[], supports: Ranked<Adapter>[], bench: Bench, most: number): Solution[] {
  const found: Ranked<Stack>[] = [];
  const floor = () => (found.length < most ? -Infinity : found[most - 1]!.score);
  for (const head of heads) {
    if (supports[0] === undefined || head.score + supports[0].score <= floor()) break;
    for (const support of supports) {
      const worth = head.score + support.score;
      if (worth <= floor()) break;
      const { pusher, cap } = head.item;
      if (support.item.id === pusher.id || support.item.id === cap?.id) continue;
      const stack: Stack = { ...(cap ? { cap } : {}), pusher, support: support.item };
      if (stackHeightMm(stack, bench.requirement) > bench.press.daylightMm) continue;
      if (forcePath(stack, bench).verdicts.some((v) => v.status === 'stop')) continue;
      found.push({ item: stack, score: worth });
      found.sort((a, b) => b.score - a.score);
      found.length = Math.min(found.length, most);
    }
  }
  return found.map(({ item }) => ({ stack: item, judgement: judgeStack(item, bench) }));
}

/** Windows of outside, inside and height that a piece for this place must have, contact width included. */
export function pieceWindows(need: Need): Partial<Record<Measure, { min?: number; max?: number }>> {
  const of = (m: Measure) => need.windows.filter((w) => w.measure === m && w.level === 'stop');
  const least = (m: Measure, ...more: number[]) => finite(Math.max(...of(m).map((w) => w.min ?? -Infinity), ...more));
  const most = (m: Measure, ...more: number[]) => finite(Math.min(...of(m).map((w) => w.max ?? Infinity), ...more));
  const inMin = least('innerMm');
  const outMax = most('outerMm');
  const twice = 2 * need.face.leastMm;
  return {
    outerMm: { min: least('outerMm', need.face.innerMm + twice, (inMin ?? -Infinity) + twice), max: outMax },
    innerMm: { min: inMin, max: most('innerMm', need.face.outerMm - twice, (outMax ?? Infinity) - twice) },
    heightMm: { min: least('heightMm') },
    hollowMm: { min: least('hollowMm') },
  };
}

const finite = (x: number) => (Number.isFinite(x) ? x : undefined);

function missing(pushers: readonly Adapter[], heads: number, supports: number, bench: Bench): Missing[] {
  const out: Missing[] = [];
  const { requirement: r, press } = bench;
  if (bench.forceKn.high > press.capacityKn) out.push({ role: 'pusher', text: `a press of at least ${bench.forceKn.high.toFixed(0)} kN; ${press.name} gives ${press.capacityKn.toFixed(0)}` });
  if (pushers.length === 0) out.push({ role: 'pusher', text: `a pusher with ${windowText(r.pusher)}` });
  else if (heads === 0) {
    const open = pushers.filter(openBehind).map((p) => p.innerMm);
    out.push({ role: 'cap', text: `a solid disc at least ${(Math.min(...open) + 6).toFixed(1)} across to lay on the pusher` });
  }
  if (supports === 0) out.push({ role: 'support', text: `a support with ${windowText(r.support)}` });
  if (out.length === 0) out.push({ role: 'support', text: `a lower support or pusher: every stack that fits stands higher than ${press.daylightMm.toFixed(0)} mm, or needs one piece twice` });
  return out;
}

/** "outside 73.0–75.7, inside 68.2–72.7, at least 6.5 high": what to turn, borrow or buy. */
export function windowText(need: Need): string {
  const w = pieceWindows(need);
  const range = (name: string, r: { min?: number; max?: number } | undefined) => {
    if (!r || (r.min === undefined && r.max === undefined)) return undefined;
    if (r.min !== undefined && r.max !== undefined) return `${name} ${r.min.toFixed(1)}–${r.max.toFixed(1)}`;
    return r.min === undefined ? `${name} at most ${r.max!.toFixed(1)}` : `${name} at least ${r.min.toFixed(1)}`;
  };
  return [range('outside', w.outerMm), range('inside', w.innerMm), range('height', w.heightMm), range('inside depth', w.hollowMm)].filter(Boolean).join(', ') + ' mm';
}
