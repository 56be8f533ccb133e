import { expect, it } from 'vitest';
import type { JobCard } from '../../src/core/card/index.ts';
import { layDatabase, readThen } from './kept-database.ts';

/** The first demo, opened in December: the cards of jobs signed before cards were kept were made then, once. */
const name = 'first-demo-kept';
layDatabase(name);
const { jobRecordAnew } = await import('../../src/server/job-record.ts');
const { jobCard } = await import('../../src/server/card.ts');
const { cards } = readThen<{ cards: { jobId: string; card: JobCard }[] }>(name);

it.each(cards)('card $card.number says what it said when it was made', async ({ jobId, card }) => {
  const now = jobCard(await jobRecordAnew(jobId));
  expect(now.madeAnewMs).toBeTypeOf('number');
  expect(now).toMatchObject(card);
});
