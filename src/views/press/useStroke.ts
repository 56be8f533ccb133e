import { beforeStroke, benchOf, stackOf } from '../../core/job/index.ts';
import { judgeReading, judgeStack, judgeStroke, solve, type Bench, type Judgement, type Operation, type SolveResult, type Stack } from '../../core/press/index.ts';
import type { ChoiceBody, ChoiceKey } from '../../core/schemas/events.ts';
import type { Verdict } from '../../core/verdict.ts';
import { useJob } from '../shell/useJob.ts';
import { useMemo } from 'react';

export interface Stroke {
  operation: Operation;
  bench: Bench;
  solved: SolveResult;
  /** Chosen by hand, else what was used, else the solver's best. */
  stack: Stack | undefined;
  byHand: boolean;
  judgement: Judgement | undefined;
  readings: { travelMm: number; forceKn: number }[];
  live: Verdict | undefined;
  recorded: ReturnType<typeof judgeStroke> | undefined;
  refused: string | undefined;
}

export const stackKey = (o: Operation) => `stack-${o}` as ChoiceKey & `stack-${string}`;

/** Everything one stroke shows, from the core. */
export function useStroke(operation: Operation): Stroke | undefined {
  const { view } = useJob();
  const { ctx, state, choices } = view;
  return useMemo(() => {
    const bench = benchOf(operation, ctx, state, choices);
    if (!bench) return undefined;
    const solved = solve(ctx.adapters, bench);
    const done = state.strokes[operation];
    const chosen = choices[stackKey(operation)]?.value as ChoiceBody<'stack-hub-in'> | undefined;
    const byId = done?.stack ?? chosen;
    const stack = (byId && stackOf(ctx, byId)) ?? solved.solutions[0]?.stack;
    const readings = state.readings[operation] ?? [];
    const last = readings.at(-1);
    return {
      operation, bench, solved, stack, byHand: !done && chosen !== undefined, judgement: stack && judgeStack(stack, bench), readings,
      live: last && judgeReading(last, operation, bench.work, bench.requirement, bench.forceKn, bench.press),
      recorded: done && judgeStroke(done, operation, bench.requirement, bench.forceKn),
      refused: done ? undefined : beforeStroke(operation, view)?.reason,
    };
  }, [operation, view, ctx, state, choices]);
}
