import { useMemo } from 'react';
import {
  type JobNow,
  setupOf,
  type Refusal,
  refusal,
  requirementOf,
  solvedFor,
  stackOf,
  strokeJudged,
  strokeWay,
  toolsFor,
  unsettled,
} from '../../core/job/index.ts';
import type { judgeStroke } from '../../core/press/index.ts';
import {
  type Setup,
  type Judgement,
  judgeReading,
  judgeStack,
  type Operation,
  type Press,
  type SolveResult,
  type Stack,
  type StillOpen,
  type StrokeReading,
  type StrokeWay,
  toSettle,
  typedCall,
} from '../../core/press/index.ts';
import type { ChoiceBody, ChoiceKey, EventBody, StackIds } from '../../core/schemas/events.ts';
import { gravestFirst, type Verdict } from '../../core/verdict.ts';
import { useJob } from '../shell/useJob.ts';

export interface Stroke {
  operation: Operation;
  setup: Setup;
  /** What can give the force here. */
  tools: Press[];
  solved: SolveResult;
  /** Chosen by hand, else what was used, else the solver's best. */
  stack: Stack | undefined;
  byHand: boolean;
  judgement: Judgement | undefined;
  /** What has still to be measured before this stack may be used, and why. */
  open: StillOpen[];
  measureFirst: Refusal | undefined;
  readings: { travelMm: number; forceKn: number }[];
  /** Greatest force that was read without its travel. */
  peakKn: number | undefined;
  live: Verdict | undefined;
  /** What was read on the way, in this try. */
  way: StrokeWay;
  recorded: ReturnType<typeof judgeStroke> | undefined;
  refused: Refusal | undefined;
}

export const stackKey = (o: Operation) => `stack-${o}` as ChoiceKey & `stack-${string}`;

/** Why this stroke may not begin now, or be made again. */
export const mayBegin = (operation: Operation, view: JobNow): Refusal | undefined =>
  refusal('stroke-reading', { operation, travelMm: 0, forceKn: 0, typed: '0' }, view);

/** The pieces of a stack by their ids. */
export const stackIds = (s: Stack): StackIds => ({
  ...(s.cap ? { capId: s.cap.id } : {}),
  pusherId: s.pusher.id,
  ...(s.support ? { supportId: s.support.id } : {}),
  ...(s.riser ? { riserId: s.riser.id } : {}),
});

/** Everything one stroke shows, from the core; `again` lays a kept stroke open to be made once more. */
export function useStroke(operation: Operation, again = false): Stroke | undefined {
  const { view } = useJob();
  return useMemo(() => {
    const { state, choices } = view;
    const setup = setupOf(view, operation);
    const r = requirementOf(view, operation);
    if (!setup || !r) return undefined;
    const solved = solvedFor(view, operation);
    if (!solved) return undefined;
    const kept = state.strokes[operation];
    const done = again ? undefined : kept;
    const chosen = choices[stackKey(operation)]?.value as ChoiceBody<'stack-hub-in'> | undefined;
    const byId =
      done?.stack ??
      (chosen?.pusherId !== undefined ? { ...chosen, pusherId: chosen.pusherId } : undefined);
    const stack = (byId && stackOf(view, byId)) ?? solved.solutions[0]?.stack;
    // What was read before the kept stroke is of the first try.
    const ofThisTry = !again || (state.readAtMs[operation] ?? 0) > (kept?.atMs ?? 0);
    const readings = (ofThisTry && state.readings[operation]) || [];
    const peakKn = ofThisTry ? state.peaks[operation] : undefined;
    // A peak without its travel is that of the break-away.
    const last =
      readings.at(-1) ?? (peakKn === undefined ? undefined : { travelMm: 0, forceKn: peakKn });
    const open = stack && !done ? toSettle(stack, setup) : [];
    return {
      operation,
      setup,
      tools: toolsFor(view, r),
      solved,
      stack,
      byHand: !done && chosen?.pusherId !== undefined,
      judgement: stack && judgeStack(stack, setup),
      open,
      measureFirst: stack && unsettled(stack, setup, open),
      readings,
      peakKn,
      live: last && liveOf(readings, last, setup, state.traces[operation] !== undefined),
      way: { readings, call: ofThisTry ? strokeWay(view, operation, setup).call : undefined },
      recorded: done && strokeJudged(view, operation),
      refused: done ? undefined : mayBegin(operation, view),
    };
  }, [operation, view, again]);
}

/** What the last reading says; of several that were typed what they say together, where that is graver. */
function liveOf(
  readings: readonly StrokeReading[],
  last: StrokeReading,
  setup: Setup,
  /** They are of a gauge that was followed as it was read. */
  traced: boolean,
): Verdict {
  const one = judgeReading(last, setup);
  const call = traced ? undefined : typedCall(readings, setup);
  return call ? gravestFirst([call, one])[0]! : one;
}

/** The greatest force that was read of a stroke; undefined for blows, which no gauge reads. */
export function peakOf({ setup, readings, peakKn }: Stroke): number | undefined {
  const read = [...readings.map((r) => r.forceKn), ...(peakKn === undefined ? [] : [peakKn])];
  return setup.press.kind === 'hammer' || read.length === 0 ? undefined : Math.max(...read);
}

/** A stroke as it is recorded; a depth only where a part went on. */
export function recordOf(
  stroke: Stroke,
  stack: Stack,
  depthMm?: number,
): EventBody<'stroke-recorded'> {
  const peakKn = peakOf(stroke);
  return {
    operation: stroke.operation,
    pressId: stroke.setup.press.id,
    stack: stackIds(stack),
    ...(peakKn === undefined ? {} : { peakKn }),
    ...(depthMm === undefined ? {} : { depthMm }),
  };
}
