import { printed } from '../printed.ts';
import { saying, type Said } from '../rules/index.ts';
import { judgement } from '../rules/rule.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { circleTurns } from './circle.ts';
import type { ReadFastener } from './fastener.ts';
import { type Sequence, walkSequence } from './sequence.ts';
import { ourDeg, ourShare } from './stage.ts';

/** Bolts and nuts besides the centre nut: one by one, in rounds, each with its own reading. */

/** What one round asks of every bolt. */
export type Round = { torqueNm: number } | { angleDeg: number } | { figure?: undefined };

/** Shares of the torque in which a fastener is brought up, round by round. */
export type Shares = readonly number[];

/** The rounds of a fastener: its torque in rising shares, its angle last; one without a figure where none is known. */
export function roundsOf(
  f: Pick<ReadFastener, 'torqueNm' | 'angleDeg'> | undefined,
  shares: Shares,
): Round[] {
  const { torqueNm, angleDeg } = f ?? {};
  if (torqueNm === undefined && angleDeg === undefined) return [{}];
  const torques = torqueNm === undefined ? [] : shares.map((s) => ({ torqueNm: s * torqueNm }));
  return [...torques, ...(angleDeg === undefined ? [] : [{ angleDeg }])];
}

/** One bolt in one round. */
export interface Turn {
  /** From 1. */
  round: number;
  /** From 1 at the top and on clockwise. */
  bolt: number;
}
/** What was done at one turn. */
export interface TurnReading extends Turn {
  /** N·m or degrees, as the round asks; absent where the tool said only that it is reached. */
  actual?: number;
  /** A new one in the place of the last. */
  part?: 'new' | 'reused';
}

/** Every turn in order: a circle crosswise, a pair by turns. */
export const turnsOf = (count: number, rounds: number): Turn[] =>
  circleTurns(count, rounds) ??
  Array.from({ length: rounds }, (_, r) =>
    Array.from({ length: count }, (_b, b) => ({ round: r + 1, bolt: b + 1 })),
  ).flat();

/** The window of a round; undefined where there is no figure. */
export function roundWindow(round: Round): { low: number; high: number } | undefined {
  if ('torqueNm' in round) {
    const either = ourShare * round.torqueNm;
    return { low: printed(round.torqueNm - either), high: printed(round.torqueNm + either) };
  }
  return 'angleDeg' in round
    ? { low: round.angleDeg - ourDeg, high: round.angleDeg + ourDeg }
    : undefined;
}

/** How a turn stands; undefined where there is no figure to hold it against: it was done, never in a window. */
export function judgeTurn(
  round: Round,
  actual: number | undefined,
  source: string,
): Verdict | undefined {
  const window = roundWindow(round);
  if (!window) return undefined;
  if (actual === undefined) return verdict('torque.as-said', { source });
  const angle = 'angleDeg' in round;
  const found = {
    value: actual,
    min: window.low,
    max: window.high,
    unit: angle ? ('°' as const) : ('N·m' as const),
    source: `${source}; window ${judgement}, none is printed`,
  };
  if (actual < window.low) return verdict('fastener.below', found);
  if (actual > window.high) return verdict(angle ? 'fastener.over-angle' : 'fastener.over', found);
  return verdict('torque.in-window', found);
}

export interface TightenWalk {
  turns: readonly Turn[];
  /** Undefined when every bolt has had its turns. */
  next: Turn | undefined;
  /** What counts of each turn; a bolt that was taken too far begins anew. */
  at: (turn: Turn) => { reading: TurnReading; verdict: Verdict | undefined } | undefined;
  /** Bolts taken too far by their angle, or found loose after it, each to be replaced before it is pulled again. */
  spoilt: readonly number[];
}

const same = (a: Turn, b: Turn) => a.bolt === b.bolt && a.round === b.round;

/** A bolt that was turned by its angle and is then found loose was stretched: a new one goes in its place. */
const isLooseAfterAngle = (
  walk: Sequence<TurnReading>,
  rounds: readonly Round[],
  r: TurnReading,
): boolean =>
  walk.counts.some(
    (c, k) => k > r.round - 1 && c?.verdict?.status === 'good' && 'angleDeg' in (rounds[k] ?? {}),
  );

/** The readings of one bolt, and whether what they came to has spoilt it. */
function walkBolt(rounds: readonly Round[], readings: readonly TurnReading[], source: string) {
  const walkOf = (list: readonly TurnReading[]) =>
    walkSequence(rounds.length, list, {
      stage: (r) => r.round - 1,
      judge: (r, i) => judgeTurn(rounds[i]!, r.actual, source),
      pullsAgain: (r) => r.part === 'new',
    });
  let spoilt = false;
  readings.forEach((r, i) => {
    const judged = rounds[r.round - 1] && judgeTurn(rounds[r.round - 1]!, r.actual, source);
    if (!judged) return;
    const loose =
      judged.rule === 'fastener.below' &&
      r.part !== 'new' &&
      isLooseAfterAngle(walkOf(readings.slice(0, i)), rounds, r);
    spoilt = loose || judged.rule === 'fastener.over-angle' || (spoilt && r.part !== 'new');
  });
  return { ...walkOf(readings), spoilt };
}

/** Walks the readings of each bolt by itself, in the order they were made: see `walkSequence`. */
export function tightenWalk(
  count: number,
  rounds: readonly Round[],
  readings: readonly TurnReading[],
  source: string,
): TightenWalk {
  const turns = turnsOf(count, rounds.length);
  const bolts = new Map(
    Array.from({ length: count }, (_, i) => i + 1).map((bolt) => {
      const own = readings.filter((r) => r.bolt === bolt);
      return [bolt, walkBolt(rounds, own, source)] as const;
    }),
  );
  const at = ({ bolt, round }: Turn) => {
    const walk = bolts.get(bolt);
    const counted = walk?.counts[round - 1];
    // Taken too far, a bolt begins anew: only what went wrong is still shown.
    return walk?.restart && counted?.verdict?.status !== 'stop' ? undefined : counted;
  };
  const right = (t: Turn) => {
    const x = at(t);
    return x !== undefined && (x.verdict === undefined || x.verdict.status === 'good');
  };
  return {
    turns,
    next: turns.find((t) => !right(t)),
    at,
    spoilt: [...bolts].flatMap(([bolt, { spoilt }]) => (spoilt ? [bolt] : [])),
  };
}

/** Why a turn cannot be taken now; undefined when it can. One that was taken is read again, but never turned on by an angle. */
export function turnFault(
  walk: TightenWalk,
  rounds: readonly Round[],
  r: TurnReading,
): Said | undefined {
  const { next } = walk;
  const last = walk.at(r);
  if (walk.spoilt.includes(r.bolt) && r.part !== 'new')
    return saying('fastener.spoilt', 'refuses', { value: r.bolt });
  if (next && same(next, r)) return undefined;
  const round = rounds[r.round - 1];
  if (!last || !round)
    return saying('fastener.order', 'refuses', {
      value: next?.bolt ?? 0,
      with: { round: String(next?.round ?? 0) },
    });
  return 'angleDeg' in round
    ? saying('torque.again', 'refuses', { part: `bolt ${r.bolt}` })
    : undefined;
}
