import { describe, expect, it } from 'vitest';
import { type JobCard, type Seal, upcastCard } from '../../src/core/card/index.ts';
import { layDatabase, readThen } from './kept-database.ts';

/** A database as the demo made it before cards were kept: every later version opens, shows and verifies it. */
layDatabase('first-demo');
const { floorView } = await import('../../src/server/floor.ts');
const { jobRecord } = await import('../../src/server/job-record.ts');
const { jobCard } = await import('../../src/server/card.ts');
const { keepOldLives } = await import('../../src/server/signing.ts');
const { store } = await import('../../src/server/store.ts');
const { listRecords } = await import('../../src/db/records.ts');

const then = readThen<{
  floor: {
    number: string;
    fleetNo: string;
    corner: string;
    station: string | null;
    marks: string[];
  }[];
  cards: { jobId: string; card: { version: number; number: string; seal: Seal } }[];
}>('first-demo');

/** What was read and done, whatever the rules of later say of it. */
const doneOf = ({ number, complaint, strokes, torque, seal }: JobCard) => ({
  number,
  complaint,
  seal,
  strokes: strokes.map((s) => [s.operation, s.peakKn, s.depthMm, s.who]),
  torque: torque?.readings.map((r) => [r.stageId, r.actual, r.typed, r.who]),
});

/** What was not walked then is walked now: nothing stops at Plan any more. */
const walkedNow = (rows: typeof then.floor) =>
  rows.map((r) =>
    r.fleetNo === '12' ? { ...r, marks: r.marks.map((m) => (m === 'blocked' ? 'now' : m)) } : r,
  );

describe('a database of the first demo', () => {
  it('has a life for each signed job, begun at its signature, made once', async () => {
    const { db } = await store();
    const lives = await listRecords(db, 'lives');
    expect(lives.length).toBeGreaterThan(0);
    for (const l of lives) expect([l.end, l.id]).toEqual(['running', `job-${l.job}`]);
    expect(new Set(lives.map((l) => `${l.unit} ${l.corner}`)).size).toBe(lives.length);
    await keepOldLives(db);
    expect(await listRecords(db, 'lives')).toEqual(lives);
  });
  it('shows the same floor', async () => {
    const { rows } = await floorView();
    expect(
      rows.map((r) => ({
        number: r.number,
        fleetNo: r.fleetNo,
        corner: r.corner,
        station: r.station ?? null,
        marks: r.spine.map((m) => m.mark),
      })),
    ).toEqual(walkedNow(then.floor));
  });
  it('has every chain whole', async () => {
    const { rows } = await floorView();
    for (const { id, number } of rows)
      expect(jobCard(await jobRecord(id)).seal.verified, number).toBe(true);
  });
  it.each(then.cards)(
    'makes the card anew, with what was done and that it is made anew: $card.number',
    async ({ jobId, card }) => {
      // What it was judged against is read in today's form too.
      expect((await jobRecord(jobId)).ctx.tables).toMatchObject({ version: 0, edits: {} });
      const now = jobCard(await jobRecord(jobId));
      expect(doneOf(now)).toEqual(doneOf({ ...upcastCard(card), seal: card.seal }));
      expect(now.madeAnewMs).toBeTypeOf('number');
    },
  );
});
