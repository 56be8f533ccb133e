import { type Rule, rules } from '../rules/index.ts';
import type { Band } from '../verdict.ts';
import { isPiloted, missesWindow, stops } from './judge-piece.ts';
import type { Adapter } from './kit.ts';
import type { Need, Window } from './requirement.ts';
import { type Setup, contactMm, type Stack } from './stack.ts';

const rule = (w: Window): Rule => rules[w.rule];
const share = (part: number, whole: number) => Math.max(0, Math.min(1, part / whole));

/** Worth of one piece: how much of the right face it bears on, how closely it centres, how much margin its rating leaves. */
export function pieceScore(a: Adapter, need: Need, forceKn: Band): number {
  const whole = (need.face.outerMm - need.face.innerMm) / 2;
  const guide = need.windows.find((w) => rule(w).guides)?.max;
  const piloted = need.pilot !== undefined && isPiloted(a, need);
  const guided = guide === undefined ? 0.5 : share(10 - (guide - a.outerMm), 10);
  const centring = piloted ? 1.5 : guided;
  const check = need.windows.some((w) => !stops(w) && missesWindow(a, w)) ? -15 : 0;
  return (
    25 * share(contactMm(a, need), whole) +
    12 * centring +
    8 * share(a.ratingKn / Math.max(0.1, forceKn.high) - 1, 2) +
    (a.shape === 'old-ring' ? 4 : 0) -
    0.02 * a.heightMm +
    check
  );
}

/** A further piece costs, a low one less. */
export const capScore = (cap: Adapter | undefined): number =>
  cap ? -8 - 0.02 * cap.heightMm - 0.01 * cap.outerMm : 0;
export const riserScore = (riser: Adapter | undefined): number =>
  riser ? -8 - 0.02 * riser.heightMm : 0;

export const score = (s: Stack, { requirement: r, forceKn }: Setup): number =>
  10 +
  pieceScore(s.pusher, r.pusher, forceKn) +
  capScore(s.cap) +
  (s.support && r.support ? pieceScore(s.support, r.support, forceKn) + riserScore(s.riser) : 0);
