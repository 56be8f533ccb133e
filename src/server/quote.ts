import { familyOf } from '../core/job/index.ts';
import type { QuoteSettings } from '../core/plan/index.ts';
import { endedJobs } from '../db/summaries.ts';
import { getCard } from '../db/signed.ts';
import { jobView } from './job-record.ts';
import { settingsOf } from './shop.ts';
import { store } from './store.ts';

/** So many of the latest jobs of a family are looked at. */
const mostJobs = 60;

/** The shop's rate, tax and own minutes for this job's family. */
export async function quoteSettings(jobId: string): Promise<QuoteSettings> {
  const { db } = await store();
  const family = familyOf(await jobView(jobId))?.name;
  const { currency, labourRateMinor, taxPercent } = await settingsOf();
  const ended = family ? await endedJobs(db, { words: [family], most: mostJobs }) : [];
  const cards = await Promise.all(ended.map((r) => getCard(db, r.id)));
  const history = cards.flatMap((text): number[] => {
    if (text === undefined) return [];
    const card = JSON.parse(text) as { family?: string; handsOnMin?: number; only?: string };
    // Practice says nothing of how long it takes.
    return card.family === family && card.handsOnMin && card.only !== 'practice'
      ? [card.handsOnMin]
      : [];
  });
  return {
    ...(currency ? { currency } : {}),
    ...(labourRateMinor ? { ratePerHourMinor: labourRateMinor } : {}),
    ...(taxPercent === undefined ? {} : { taxPercent }),
    history,
  };
}
