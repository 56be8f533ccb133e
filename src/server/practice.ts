import { randomInt } from 'node:crypto';
import { type Static, Type } from '@sinclair/typebox';
import {
  answered,
  exercise,
  kindDueMs,
  nextExercise,
  practiceView,
  type PracticeView,
} from '../core/practice/index.ts';
import { closed, Text } from '../core/schemas/common.ts';
import { getLearner, putLearner } from '../db/learners.ts';
import { personOrProblem } from './people.ts';
import { invalid } from './problem.ts';
import { store } from './store.ts';

/** Where a learner stands, with the exercise to do now; it stays open until it is answered. */
export async function practiceOf(personId: string, nowMs = Date.now()): Promise<PracticeView> {
  const { db, writes } = await store();
  await personOrProblem(db, personId);
  return writes.run(async () => {
    const l = await getLearner(db, personId);
    const open = nextExercise(l, nowMs, randomInt(2 ** 31));
    if (!l.open) await putLearner(db, personId, { ...l, open });
    return practiceView(l, open, nowMs);
  });
}

export const AnswerSchema = closed({
  seed: Type.Integer({ minimum: 0 }),
  answer: Text(60),
});

/** What an answer was worth: right or not, why, and what would have happened. */
export async function answerPractice(
  personId: string,
  { seed, answer }: Static<typeof AnswerSchema>,
  nowMs = Date.now(),
) {
  const { db, writes } = await store();
  await personOrProblem(db, personId);
  return writes.run(async () => {
    const l = await getLearner(db, personId);
    const { open } = l;
    if (open?.seed !== seed)
      throw invalid([
        { field: 'seed', reason: 'This exercise was answered already, or never set.' },
      ]);
    const e = exercise(open.kind, open.seed, open.level);
    if (!e.options.some((o) => o.id === answer))
      throw invalid([{ field: 'answer', reason: 'This is none of its answers.' }]);
    const right = answer === e.answer;
    const next = answered(l, open, right, nowMs);
    await putLearner(db, personId, next);
    const { because, otherwise, source } = e;
    return {
      right,
      answer: e.answer,
      because,
      otherwise,
      source,
      dueMs: kindDueMs(next, open.kind),
    };
  });
}
