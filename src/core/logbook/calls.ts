import { wilson } from './enough.ts';
import type { LifeRecord } from './life.ts';

/** How often we were right when we said so and so much. */
export interface CallBin {
  /** Mean of what was said. */
  said: number;
  right: number;
  of: number;
  low: number;
  high: number;
}

export interface Calls {
  count: number;
  right: number;
  bins: CallBin[];
  /** Mean squared gap between what was said and what was so: 0 is always right, 0.25 is a coin (Brier 1950). */
  brier: number;
  /** Bins whose interval leaves out what was said. */
  off: CallBin[];
}

const edges = [0, 0.5, 0.7, 0.85, 0.95, 1.000001];

/** What was said of corners that the bench has answered; undefined while there is none. */
export function callsOf(lives: readonly LifeRecord[]): Calls | undefined {
  const calls = lives.flatMap(({ call }) =>
    call?.said !== undefined && call.right !== undefined
      ? [{ said: call.said, right: call.right }]
      : [],
  );
  if (calls.length === 0) return undefined;
  const bins = edges.slice(1).flatMap((to, i): CallBin[] => {
    const own = calls.filter((c) => c.said >= edges[i]! && c.said < to);
    if (own.length === 0) return [];
    const right = own.filter((c) => c.right).length;
    const { low, high } = wilson(right, own.length);
    const said = own.reduce((s, c) => s + c.said, 0) / own.length;
    return [{ said, right, of: own.length, low, high }];
  });
  const brier = calls.reduce((s, c) => s + (c.said - Number(c.right)) ** 2, 0) / calls.length;
  return {
    count: calls.length,
    right: calls.filter((c) => c.right).length,
    bins,
    brier,
    off: bins.filter((b) => b.said < b.low || b.said > b.high),
  };
}
