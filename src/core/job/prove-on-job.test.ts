import { expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { checkRule } from '../prove/index.ts';
import { beforeAfterOf, owedAt } from './index.ts';

const p1 = walked[0]!;
const { entries } = workThrough(p1);
const beforeSigning = entries.slice(
  0,
  entries.findIndex((e) => 'type' in e && e.type === 'signed'),
);
const worked = (more: readonly Entry[] = []) => {
  const job = new Worked(shopContext(p1.unit, p1.corner));
  for (const e of [...beforeSigning, ...more]) expect(job.put(e)).toBeUndefined();
  return job;
};
const check = (checkId: string, answer: object): Entry =>
  ({ type: 'check-recorded', body: { checkId, ...answer } }) as Entry;
const answerFor = (checkId: string): Entry =>
  ({ type: 'overridden', body: { rule: checkRule(checkId), reason: 'seen by two' } }) as Entry;
const owed = (job: Worked) =>
  owedAt('prove', job.now).flatMap((o) => (o.rule === 'prove.unsigned' ? [] : [o.wrongCheck]));

it('a check that is not right holds the car; what is looked at or has a limit of ours can be answered for by name, what its maker limits is mended', () => {
  expect(owed(worked())).toEqual([]);
  for (const id of ['hose', 'lead', 'locked']) {
    expect(owed(worked([check(id, { ok: false })]))).toEqual([id]);
    expect(owed(worked([check(id, { ok: false }), answerFor(id)]))).toEqual([]);
  }
  expect(owed(worked([check('smooth', { ok: false }), answerFor('smooth')]))).toEqual(['smooth']);
  const play = check('end-play', { value: 0.4, typed: '0.4' });
  // This unit has an end play of its own on record.
  expect(owed(worked([play, answerFor('end-play')]))).toEqual(['end-play']);
  const nuts = check('wheel-nuts', { ok: false });
  expect(owed(worked([nuts, answerFor('wheel-nuts')]))).toEqual(['wheel-nuts']);
});

it('stands beside what Diagnose took of it; where nothing was taken there is no before', () => {
  const job = new Worked(shopContext(p1.unit, p1.corner));
  const [complaint, ...rest] = beforeSigning;
  const play = { testId: 'endplay', place: p1.corner, value: 0.31 };
  const other = { ...play, place: p1.corner === 'RF' ? 'LF' : 'RF', value: 0.02 };
  const tests = [play, other].map((body) => ({ type: 'test-recorded', body }) as Entry);
  for (const e of [complaint!, ...tests, ...rest]) expect(job.put(e)).toBeUndefined();
  const pairs = new Map(beforeAfterOf(job.now).map((p) => [p.checkId, p]));
  expect(pairs.get('end-play')).toMatchObject({ before: 0.31, now: 0.02, max: 0.05, unit: 'mm' });
  expect(pairs.get('runout')).toMatchObject({ now: 0.02 });
  expect(pairs.get('runout')).not.toHaveProperty('before');
  expect(pairs.get('road')).toMatchObject({ nowWords: 'right' });
});
