import type { Exercise } from './exercise.ts';
import {
  dailyExercises,
  dueKinds,
  exerciseOf,
  kindDueMs,
  kindsWith,
  type Learner,
  type OpenExercise,
  ruledOut,
} from './learner.ts';
import type { ExerciseKind } from './makers.ts';
import type { PastCase } from './past.ts';

export interface KindStanding {
  kind: ExerciseKind;
  level: number;
  right: number;
  of: number;
  dueMs: number;
}

/** An exercise as it is set: without its answer and what goes with it. */
export interface PracticeView {
  open: Omit<OpenExercise, 'past' | 'bench'>;
  set: Pick<Exercise, 'ask' | 'picture' | 'options' | 'hard'>;
  ruledOut: string[];
  today: { done: number; of: number };
  kinds: KindStanding[];
  due: number;
  /** Whether its owner lets the others see it, and those who let theirs be seen. */
  shared: boolean;
  others: { name: string; kinds: KindStanding[] }[];
}

/** How a learner stands, by kind. */
export const standings = (l: Learner, pasts: readonly PastCase[] = []): KindStanding[] =>
  kindsWith(pasts).map((kind) => {
    const { level = 1, right = 0, of = 0 } = l.cards[kind] ?? {};
    return { kind, level, right, of, dueMs: kindDueMs(l, kind) };
  });

/** Where a learner stands now. */
export function practiceView(
  l: Learner,
  open: OpenExercise,
  nowMs: number,
  pasts: readonly PastCase[] = [],
): Omit<PracticeView, 'others'> {
  const { ask, picture, options, hard } = exerciseOf(open);
  const { past: _case, bench: _kept, ...shown } = open;
  const dayMs = 86_400_000;
  return {
    open: shown,
    set: { ask, picture, hard, ...(options ? { options } : {}) },
    ruledOut: ruledOut(open),
    today: { done: l.done.filter((d) => nowMs - d.atMs < dayMs).length, of: dailyExercises },
    kinds: standings(l, pasts),
    due: dueKinds(l, nowMs, kindsWith(pasts)).length,
    shared: l.shared === true,
  };
}
