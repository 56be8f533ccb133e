import type { Exercise } from './exercise.ts';
import { dailyExercises, dueKinds, kindDueMs, type Learner, type OpenExercise } from './learner.ts';
import { exercise, type ExerciseKind, exerciseKinds } from './makers.ts';

/** An exercise as it is set: without its answer and what goes with it. */
export interface PracticeView {
  open: OpenExercise;
  set: Pick<Exercise, 'ask' | 'picture' | 'options' | 'hard'>;
  today: { done: number; of: number };
  kinds: { kind: ExerciseKind; level: number; right: number; of: number; dueMs: number }[];
  due: number;
}

/** Where a learner stands now. */
export function practiceView(l: Learner, open: OpenExercise, nowMs: number): PracticeView {
  const { ask, picture, options, hard } = exercise(open.kind, open.seed, open.level);
  const dayMs = 86_400_000;
  return {
    open,
    set: { ask, picture, options, hard },
    today: { done: l.done.filter((d) => nowMs - d.atMs < dayMs).length, of: dailyExercises },
    kinds: exerciseKinds.map((kind) => {
      const { level = 1, right = 0, of = 0 } = l.cards[kind] ?? {};
      return { kind, level, right, of, dueMs: kindDueMs(l, kind) };
    }),
    due: dueKinds(l, nowMs).length,
  };
}
