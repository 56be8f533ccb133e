import { beforeAll, expect, it } from 'vitest';
import {
  answered,
  beginner,
  type Exercise,
  exerciseKinds,
  exerciseOf,
} from '../../src/core/practice/index.ts';
import { answersOf } from '../learned.ts';
import { ask, loadJobs, loadShop } from './shop-server.ts';

const { answerPractice, helpPractice, practiceOf, sharePractice } =
  await import('../../src/server/practice.ts');
const { getLearner, putLearner } = await import('../../src/db/learners.ts');
const { listPastCases } = await import('../../src/db/past-cases.ts');
const { listRecords, putRecord } = await import('../../src/db/records.ts');
const { store } = await import('../../src/server/store.ts');

beforeAll(loadShop, 60_000);

/** What somebody has open, as it is kept: what is told of it leaves out what it is made of. */
async function opened(personId: string): Promise<Exercise> {
  const { open } = await getLearner((await store()).db, personId);
  return exerciseOf(open!);
}

it('an exercise goes on where it was left, and one that was failed comes again when it is due', async () => {
  const start = Date.now();
  const first = await practiceOf('rafe', start);
  expect(await practiceOf('rafe', start + 5000)).toEqual(first);
  // The answer is not sent with the question.
  expect(JSON.stringify(first)).not.toMatch(/answer|because/u);
  const { kind, seed } = first.open;
  const { right: answer, wrong } = answersOf(await opened('rafe'));
  const worth = await answerPractice('rafe', { seed, answer: wrong }, start);
  expect(worth).toMatchObject({ right: false, answer });
  await expect(answerPractice('rafe', { seed, answer }, start)).rejects.toMatchObject({
    status: 422,
  });
  // Others are new and come before; once they are known, the failed one is due first.
  let now = start;
  for (let i = 0; i < exerciseKinds.length - 1; i += 1) {
    const { open } = await practiceOf('rafe', now);
    expect(open.kind).not.toBe(kind);
    await answerPractice(
      'rafe',
      { seed: open.seed, answer: answersOf(await opened('rafe')).right },
      now,
    );
    now += 1000;
  }
  const again = await practiceOf('rafe', worth.dueMs);
  expect(again.open.kind).toBe(kind);
  expect(again.open.seed).not.toBe(seed);
  expect(again.kinds.find((k) => k.kind === kind)).toMatchObject({ right: 0, of: 1 });
});

it('a stack is laid from the shop’s own kit, and stays so while the kit changes', async () => {
  const { db } = await store();
  const known = exerciseKinds.filter((kind) => kind !== 'lay');
  const learned = known.reduce(
    (l, kind) => answered(l, { kind, seed: 1, level: 1 }, true, Date.now()),
    beginner,
  );
  await putLearner(db, 'ines', { ...learned, done: [] });
  const { set } = await practiceOf('ines');
  if (set.picture.of !== 'lay') throw new Error('no stack to lay');
  const { drawer, own } = set.picture.bench;
  expect(own).toBe(true);
  const kit = await listRecords(db, 'adapters');
  expect(drawer.every((a) => kit.some((k) => k.id === a.id))).toBe(true);
  const [gone] = drawer;
  await putRecord(db, 'adapters', gone!.id, 0, { ...gone!, retired: 'lost' });
  expect((await practiceOf('ines')).set.picture).toEqual(set.picture);
  await putRecord(db, 'adapters', gone!.id, 0, gone!);
});

it('is each learner’s own, of people of the shop alone', async () => {
  expect((await practiceOf('ines')).today.done).toBe(0);
  expect((await ask('GET', '/api/practice/nobody')).status).toBe(422);
  const { open } = await practiceOf('ines');
  const r = await ask('POST', '/api/practice/ines/answers', {
    seed: open.seed,
    answer: 'none such',
  });
  expect(r.json.errors[0].field).toBe('answer');
});

it('rules out a wrong answer for who asks for help, never the last one, and brings it again sooner', async () => {
  const now = Date.now();
  const { open, set } = await practiceOf('maud', now);
  const { right: answer } = answersOf(await opened('maud'));
  let out: string[] = [];
  for (let i = 0; i < 9; i += 1) out = (await helpPractice('maud', { seed: open.seed })).ruledOut;
  expect(out).not.toContain(answer);
  expect(out.length).toBe(set.options!.length - 2);
  expect((await practiceOf('maud', now)).ruledOut).toEqual(out);
  const worth = await answerPractice('maud', { seed: open.seed, answer }, now);
  const alone = await practiceOf('tobi', now);
  const right = { seed: alone.open.seed, answer: answersOf(await opened('tobi')).right };
  expect(worth.dueMs).toBeLessThan((await answerPractice('tobi', right, now)).dueMs);
  const level = (await practiceOf('maud', now)).kinds.find((k) => k.kind === open.kind)!.level;
  expect(level).toBe(open.level);
});

it('is seen by others only where its owner says so', async () => {
  const seen = async () => (await practiceOf('ines')).others.map((o) => o.name);
  expect(await seen()).toEqual([]);
  await sharePractice('rafe', { shared: true });
  expect(await seen()).toEqual(['Rafe']);
  // It stays so after an answer.
  const { open } = await practiceOf('rafe');
  await answerPractice('rafe', { seed: open.seed, answer: answersOf(await opened('rafe')).right });
  expect(await seen()).toEqual(['Rafe']);
  await sharePractice('rafe', { shared: false });
  expect(await seen()).toEqual([]);
});

it('a lead gives a job that ended to practise on: no person and no unit in it', async () => {
  await loadJobs();
  const { db } = await store();
  const jobs = (await ask('GET', '/api/floor')).json.rows as { id: string; recheck?: object }[];
  const give = (id: string, byId: string, pin: string) =>
    ask('POST', `/api/jobs/${id}/exercise`, { byId, pin });
  const ended = jobs.find((j) => j.recheck)!;
  expect((await give(ended.id, 'rafe', '1470')).status).toBe(403);
  expect((await give(jobs.find((j) => !j.recheck)!.id, 'ines', '2580')).status).toBe(409);
  const made = (await give(ended.id, 'ines', '2580')).json.made;
  expect(made).toBeGreaterThan(0);
  expect((await give(ended.id, 'ines', '2580')).json.made).toBe(made);
  const cases = await listPastCases(db);
  expect(cases.length).toBe(made);
  expect(JSON.stringify(cases)).not.toMatch(/Ines|Rafe|Tobi|Maud|unit|Unit 26/u);
  for (const [i, past] of cases.entries()) {
    const e = exerciseOf({ kind: 'past', seed: i, level: 3, past });
    expect(e.options!.filter((o) => e.worth(o.id)?.right)).toHaveLength(1);
  }
  // It is among the kinds of everybody now.
  expect((await practiceOf('ines')).kinds.map((k) => k.kind)).toContain('past');
});
