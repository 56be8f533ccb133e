import { v7 as uuid } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { JobCard } from '../../src/core/card/index.ts';
import type { FamilyCode, RouteId } from '../../src/core/families/index.ts';
import { nextEntries } from '../technician.ts';
import { layDatabase, readThen } from './kept-database.ts';

/** The demo of December 2026, and in it for each family a job stopped at each station, the last thing of it done. */
layDatabase('december');
const { floorView } = await import('../../src/server/floor.ts');
const { jobRecordAnew, jobView } = await import('../../src/server/job-record.ts');
const { jobCard } = await import('../../src/server/card.ts');
const { writeEvent } = await import('../../src/server/entries.ts');
const { setChoice } = await import('../../src/server/jobs.ts');
const { currentStation, refusal } = await import('../../src/core/job/index.ts');

interface Then {
  jobs: { id: string; family: FamilyCode; route: RouteId; at: string }[];
  floor: { number: string; id: string; station: string | null; marks: string[] }[];
  cards: { jobId: string; card: JobCard }[];
}
const then = readThen<Then>('december');
const open = then.jobs.filter((j) => j.at !== 'signed');
const byId = 'ines';

async function write(id: string, type: string, body: object) {
  await writeEvent(id, { id: uuid(), type, body, byId, pin: '2580' } as never);
}

/** Goes on with what is still owed; what stands already is not done again. */
async function carryOn(id: string, how: { route: RouteId }): Promise<void> {
  for (let turns = 0; turns < 100; turns++) {
    const view = await jobView(id);
    const station = currentStation(view.state.done);
    if (!station) return;
    const done = { station };
    if (station !== 'prove' && !refusal('station-done', done, view, byId)) {
      await write(id, 'station-done', done);
      continue;
    }
    for (const e of nextEntries(view, how)) {
      if ('choice' in e) {
        const version = view.choices[e.choice]?.version ?? 0;
        await setChoice(id, e.choice, { id: uuid(), version, value: e.value, byId } as never);
      } else await write(id, e.type, e.body);
    }
  }
  throw new Error('No end');
}

describe('jobs of December', () => {
  it('stand where they stood', async () => {
    const { rows } = await floorView();
    const now = rows.map((r) => [r.number, r.station ?? null, ...r.spine.map((m) => m.mark)]);
    expect(now).toEqual(then.floor.map((r) => [r.number, r.station, ...r.marks]));
  });
  it.each(then.cards)('card $card.number says what it said', async ({ jobId, card }) =>
    expect(jobCard(await jobRecordAnew(jobId))).toMatchObject(card),
  );
  it.each(open)('$family, stopped at $at, is carried on to a signature', async (job) => {
    await carryOn(job.id, job);
    const record = await jobRecordAnew(job.id);
    expect(record.state.signed).toBeDefined();
    expect(jobCard(record).seal.verified).toBe(true);
  });
});
