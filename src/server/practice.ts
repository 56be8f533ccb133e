import { randomInt } from 'node:crypto';
import { type Static, Type } from '@sinclair/typebox';
import { pastCases } from '../core/job/index.ts';
import {
  answered,
  exerciseOf,
  kindDueMs,
  type Learner,
  nextExercise,
  practiceView,
  type PracticeView,
  ruledOut,
  standings,
} from '../core/practice/index.ts';
import { closed, Id, Text } from '../core/schemas/common.ts';
import { getLearner, putLearner } from '../db/learners.ts';
import type { Db } from '../db/open.ts';
import { listRecords } from '../db/records.ts';
import { listPastCases, putPastCase } from '../db/past-cases.ts';
import { sha256 } from './chain.ts';
import { jobView } from './job-record.ts';
import { leadByPin, people, personOrProblem } from './people.ts';
import { invalid, Problem } from './problem.ts';
import { store } from './store.ts';

/** Those who let theirs be seen, but for the one who looks. */
async function others(db: Db, personId: string): Promise<PracticeView['others']> {
  const here = (await people()).filter((p) => !p.retired && p.id !== personId);
  const all = await Promise.all(here.map(async (p) => ({ p, l: await getLearner(db, p.id) })));
  return all.flatMap(({ p, l }) => (l.shared ? [{ name: p.name, kinds: standings(l) }] : []));
}

/** Where a learner stands, with the exercise to do now; it stays open until it is answered. */
export async function practiceOf(personId: string, nowMs = Date.now()): Promise<PracticeView> {
  const { db, writes } = await store();
  await personOrProblem(db, personId);
  const pasts = await listPastCases(db);
  const [adapters, presses] = [await listRecords(db, 'adapters'), await listRecords(db, 'presses')];
  const view = await writes.run(async () => {
    const l = await getLearner(db, personId);
    const open = nextExercise(l, nowMs, randomInt(2 ** 31), {
      pasts,
      kit: { adapters, presses },
    });
    if (!l.open) await putLearner(db, personId, { ...l, open });
    return practiceView(l, open, nowMs, pasts);
  });
  return { ...view, others: await others(db, personId) };
}

export const AnswerSchema = closed({
  seed: Type.Integer({ minimum: 0 }),
  /** An option, the point at which a run was stopped, or the steps of a walk. */
  answer: Text(600),
});
export const HelpSchema = closed({ seed: Type.Integer({ minimum: 0 }) });
export const ShareSchema = closed({ shared: Type.Boolean() });

/** Changes how a learner stands, at the exercise that is open. */
async function atOpen<T>(
  personId: string,
  seed: number,
  work: (
    l: Learner,
    open: NonNullable<Learner['open']>,
  ) => {
    next: Learner;
    told: T;
  },
): Promise<T> {
  const { db, writes } = await store();
  await personOrProblem(db, personId);
  return writes.run(async () => {
    const l = await getLearner(db, personId);
    const { open } = l;
    if (open?.seed !== seed)
      throw invalid([
        { field: 'seed', reason: 'This exercise was answered already, or never set.' },
      ]);
    const { next, told } = work(l, open);
    await putLearner(db, personId, next);
    return told;
  });
}

/** What an answer was worth: right or not, why, and what would have happened. */
export const answerPractice = (
  personId: string,
  { seed, answer }: Static<typeof AnswerSchema>,
  nowMs = Date.now(),
) =>
  atOpen(personId, seed, (l, open) => {
    const e = exerciseOf(open);
    const worth = e.worth(answer);
    if (!worth) throw invalid([{ field: 'answer', reason: 'This is none of its answers.' }]);
    const next = answered(l, open, worth.right, nowMs);
    return { next, told: { ...worth, source: e.source, dueMs: kindDueMs(next, open.kind) } };
  });

/** Help: one more wrong answer is ruled out; what is seen with help comes again sooner. */
export const helpPractice = (personId: string, { seed }: Static<typeof HelpSchema>) =>
  atOpen(personId, seed, (l, open) => {
    const helped = { ...open, helped: (open.helped ?? 0) + 1 };
    return { next: { ...l, open: helped }, told: { ruledOut: ruledOut(helped) } };
  });

/** Whether the others may see how one stands: for its owner to say. */
export async function sharePractice(
  personId: string,
  { shared }: Static<typeof ShareSchema>,
): Promise<{ shared: boolean }> {
  const { db, writes } = await store();
  await personOrProblem(db, personId);
  return writes.run(async () => {
    const { shared: _was, ...l } = await getLearner(db, personId);
    await putLearner(db, personId, shared ? { ...l, shared } : l);
    return { shared };
  });
}

export const PastJobSchema = closed({ byId: Id, pin: Type.String({ maxLength: 12 }) });

/** A lead makes a job that ended an exercise: what was seen and what it was, no person, no unit. */
export async function jobAsExercise(
  jobId: string,
  { byId, pin }: Static<typeof PastJobSchema>,
): Promise<{ made: number }> {
  const { db, writes } = await store();
  await leadByPin(db, byId, pin);
  const view = await jobView(jobId);
  const ended = view.state.signed !== undefined || view.state.closed !== undefined;
  const cases = ended ? pastCases(view, sha256(jobId).slice(0, 16)) : [];
  if (cases.length === 0)
    throw new Problem(
      409,
      'No exercise in it',
      ended
        ? 'Neither an old part that was read nor tests whose cause was seen: nothing to ask.'
        : 'It is not signed or closed yet: what it was is not known.',
    );
  await writes.run(async () => {
    for (const c of cases) await putPastCase(db, c, Date.now());
  });
  return { made: cases.length };
}
