import { beforeAll, expect, it } from 'vitest';
import { exerciseKinds, exerciseOf } from '../../src/core/practice/index.ts';
import { answersOf } from '../learned.ts';
import { ask, loadJobs, loadShop } from './shop-server.ts';

const { answerPractice, helpPractice, practiceOf, sharePractice } =
  await import('../../src/server/practice.ts');
const { listPastCases } = await import('../../src/db/past-cases.ts');
const { store } = await import('../../src/server/store.ts');

beforeAll(loadShop, 60_000);

it('an exercise goes on where it was left, and one that was failed comes again when it is due', async () => {
  const start = Date.now();
  const first = await practiceOf('rafe', start);
  expect(await practiceOf('rafe', start + 5000)).toEqual(first);
  // The answer is not sent with the question.
  expect(JSON.stringify(first)).not.toMatch(/answer|because/u);
  const { kind, seed } = first.open;
  const { right: answer, wrong } = answersOf(exerciseOf(first.open));
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
      { seed: open.seed, answer: answersOf(exerciseOf(open)).right },
      now,
    );
    now += 1000;
  }
  const again = await practiceOf('rafe', worth.dueMs);
  expect(again.open.kind).toBe(kind);
  expect(again.open.seed).not.toBe(seed);
  expect(again.kinds.find((k) => k.kind === kind)).toMatchObject({ right: 0, of: 1 });
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
  const { right: answer } = answersOf(exerciseOf(open));
  let out: string[] = [];
  for (let i = 0; i < 9; i += 1) out = (await helpPractice('maud', { seed: open.seed })).ruledOut;
  expect(out).not.toContain(answer);
  expect(out.length).toBe(set.options.length - 2);
  expect((await practiceOf('maud', now)).ruledOut).toEqual(out);
  const worth = await answerPractice('maud', { seed: open.seed, answer }, now);
  const alone = await practiceOf('tobi', now);
  const right = { seed: alone.open.seed, answer: answersOf(exerciseOf(alone.open)).right };
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
  await answerPractice('rafe', { seed: open.seed, answer: answersOf(exerciseOf(open)).right });
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
    expect(e.options.filter((o) => e.worth(o.id)?.right)).toHaveLength(1);
  }
  // It is among the kinds of everybody now.
  expect((await practiceOf('ines')).kinds.map((k) => k.kind)).toContain('past');
});
