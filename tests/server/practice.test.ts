import { beforeAll, expect, it } from 'vitest';
import { exercise, exerciseKinds } from '../../src/core/practice/index.ts';
import { ask, loadShop } from './shop-server.ts';

const { answerPractice, practiceOf } = await import('../../src/server/practice.ts');

beforeAll(loadShop, 60_000);

it('an exercise goes on where it was left, and one that was failed comes again when it is due', async () => {
  const start = Date.now();
  const first = await practiceOf('rafe', start);
  expect(await practiceOf('rafe', start + 5000)).toEqual(first);
  // The answer is not sent with the question.
  expect(JSON.stringify(first)).not.toMatch(/answer|because/u);
  const { kind, seed, level } = first.open;
  const { answer, options } = exercise(kind, seed, level);
  const wrong = options.find((o) => o.id !== answer)!.id;
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
      { seed: open.seed, answer: exercise(open.kind, open.seed, open.level).answer },
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
