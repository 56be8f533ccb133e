import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { strokesIn } from '../../src/core/families/index.ts';
import type { CataloguePart } from '../../src/core/matching/index.ts';
import type { LifeRecord } from '../../src/core/logbook/index.ts';
import { chosenPart, walkOf } from '../../src/core/job/index.ts';
import { figureAt } from '../../src/core/press/index.ts';
import { shopContext } from '../shop.ts';
import { walked } from '../technician.ts';
import { ask, loadShop } from './shop-server.ts';
import { byId, walk } from './walk.ts';

const { jobRecord } = await import('../../src/server/job-record.ts');
const { writeEvent } = await import('../../src/server/entries.ts');
const { newUnit, unitSheet } = await import('../../src/server/units.ts');
const { store } = await import('../../src/server/store.ts');
const { jobCard } = await import('../../src/server/card.ts');

beforeAll(loadShop, 60_000);

it.each(walked)(
  'walks $family of $unit $corner, $route, from the complaint to a signed card by its own tasks',
  async (w) => {
    const shelf = async () =>
      new Map<string, number>(
        (await ask('GET', '/api/records/parts')).json.map((p: CataloguePart) => [
          p.number,
          p.stock,
        ]),
      );
    const before = await shelf();
    const view = await walk(w);
    const { out = [], in: fitted = [] } = walkOf(view) ?? {};
    const card = jobCard(await jobRecord(view.job.id));
    const own = strokesIn([...out, ...fitted]).filter((o) => !o.startsWith('stud-'));
    expect(card.strokes.map((s) => s.operation).sort()).toEqual([...own].sort());
    expect(card.strokes.filter((s) => s.status === 'stop')).toEqual([]);
    expect(card.seal.verified).toBe(true);
    // The shelf has one fewer of what was fitted.
    const used = chosenPart(view)?.number ?? '';
    expect((await shelf()).get(used)).toBe(Math.max(0, (before.get(used) ?? 0) - 1));
    // The bearing begins its life in the shop's book, and ends the one before it on its corner.
    const lives = (await ask('GET', '/api/records/lives')).json.filter(
      (l: LifeRecord) => l.unit === view.ctx.unit.fleetNo && l.corner === w.corner,
    );
    expect(lives.filter((l: LifeRecord) => l.end === 'running')).toMatchObject([
      { job: view.job.number, family: w.family, end: 'running' },
    ]);
  },
  60_000,
);

const families = walked.filter((w, i) => walked.findIndex((x) => x.family === w.family) === i);
it.each(families)(
  'walks $family of a car of which nothing is on record, and keeps what was read of it',
  async (w) => {
    const known = shopContext(w.unit, w.corner);
    const truth = { record: known.unit.corners[w.corner]!, procedure: known.procedure! };
    const fleetNo = `NEW-${w.family}`;
    const { id: unit } = await newUnit({ byId, fleetNo, layout: known.unit.layout });
    const view = await walk({ ...w, unit }, truth);
    const card = jobCard(await jobRecord(view.job.id));
    expect(card.strokes.filter((s) => s.status !== 'good')).toEqual([]);
    expect(card.figures?.length ?? 0).toBe(Object.keys(view.state.figures).length);
    const kept = (await unitSheet(unit)).unit.corners[w.corner]!;
    for (const { path, value } of Object.values(view.state.figures))
      expect(figureAt(kept, path), path).toBe(value);
  },
  60_000,
);

it('what a job took off the shelf by its number is one fewer when it is signed, once', async () => {
  const a2 = walked.find((w) => w.family === 'A2')!;
  const shelf = async () =>
    (await ask('GET', '/api/records/consumables')).json.find(
      (c: { number: string }) => c.number === 'O-press-ring-3',
    );
  const before = await shelf();
  const view = await walk(a2, undefined, (e) => 'type' in e && e.type === 'signed');
  const mark = (itemId: string, state: 'in-hand' | 'in-store') =>
    writeEvent(view.job.id, {
      id: uuid(),
      type: 'item-marked',
      byId,
      body: { itemId, state, partNumber: before.number },
    });
  await mark('press-ring', 'in-hand');
  await mark('flange-nuts', 'in-store');
  expect((await shelf()).stock).toBe(before.stock);
  const signed = { type: 'signed', byId, pin: '2580', body: { odometerKm: 176_500 } } as const;
  await writeEvent(view.job.id, { id: uuid(), ...signed } as never);
  expect(await shelf()).toMatchObject({ stock: before.stock - 1, used: 1 });
});

it('a trace whose call the server wrote anew can be sent again, and not with other samples', async () => {
  const { job } = await walk(
    walked[0]!,
    undefined,
    (e) => !('choice' in e) && e.type === 'stroke-recorded',
  );
  const samples = [0, 20, 40].map((ms) => [ms, ms / 100, 1]);
  const entry = { id: uuid(), type: 'stroke-traced', byId } as const;
  const send = (n: number) =>
    writeEvent(job.id, {
      ...entry,
      body: { operation: 'hub-out', gauge: 'g', call: 'seated', samples: samples.slice(0, n) },
    });
  await send(3);
  const { events } = await jobRecord(job.id);
  expect(events.at(-1)?.body).toMatchObject({ call: expect.not.stringMatching('seated') });
  await send(3);
  expect((await jobRecord(job.id)).events.length).toBe(events.length);
  await expect(send(2)).rejects.toMatchObject({ status: 409 });
});

describe('a signed card', () => {
  const cardOf = async (id: string) => (await ask('GET', `/api/jobs/${id}/card.json`)).json;
  it('keeps the names it was signed under, and its starter; an erased name leaves the seal whole', async () => {
    const { job } = await walk(walked[0]!);
    const { db } = await store();
    const change = async (sql: string, args: string[]) => db.$client.execute({ sql, args });
    const is = async (who: string, verified: boolean) =>
      expect(await cardOf(job.id)).toMatchObject({ signed: { who }, seal: { verified } });
    await is('Ines', true);
    await change('UPDATE technicians SET name = ? WHERE id = ?', ['Ines Vik', byId]);
    await is('Ines', true);
    const rename = 'UPDATE signed_names SET name = ? WHERE job_id = ?';
    await change(rename, ['Somebody', job.id]);
    await is('Somebody', false);
    await change(rename, ['Ines', job.id]);
    await change('UPDATE jobs SET by_id = ? WHERE id = ?', ['rafe', job.id]);
    await is('Ines', false);
    await change('UPDATE jobs SET by_id = ? WHERE id = ?', [byId, job.id]);
    const erase = (by: string, pin: string) =>
      ask('POST', '/api/people/erase', { byId: by, pin, personId: byId });
    expect((await erase('rafe', '1470')).status).toBe(403);
    // She is the last lead of this shop.
    expect((await erase(byId, '2580')).status).toBe(422);
    await change('UPDATE technicians SET lead = 1 WHERE id = ?', ['rafe']);
    expect((await erase('rafe', '1470')).status).toBe(200);
    await is('Name erased', true);
    const rows = await db.$client.execute('SELECT * FROM signed_names, technicians');
    expect(JSON.stringify(rows.rows)).not.toMatch(/"Ines/u);
  }, 60_000);
});
