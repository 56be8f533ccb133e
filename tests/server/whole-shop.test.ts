import { strToU8, unzipSync, zipSync } from 'fflate';
import { mkdtempSync } from 'node:fs';
import sharp from 'sharp';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, fieldsOf, loadJobs, loadShop } from './shop-server.ts';

const { dispatch } = await import('../../src/server/dispatch.ts');
const { store } = await import('../../src/server/store.ts');
const { exportShop, importShop } = await import('../../src/server/whole-shop.ts');
const { dbSettings, openDb } = await import('../../src/db/open.ts');
const { WriteQueue } = await import('../../src/db/write-queue.ts');
const { isOwnMark, rowsOf, tables } = await import('../../src/db/whole.ts');
const { recordIn } = await import('../../src/server/job-record.ts');
const { jobCard } = await import('../../src/server/card.ts');

/** Another machine with nothing on it. */
async function emptyShop() {
  const dir = mkdtempSync(join(tmpdir(), 'true-spindle-'));
  const db = await openDb(dbSettings({ DATABASE_URL: `file:${join(dir, 'shop.db')}` }));
  return { db, writes: new WriteQueue() };
}
type Db = Awaited<ReturnType<typeof emptyShop>>['db'];

const wholeOf = async (db: Db) => {
  const all = await Promise.all(tables.map((t) => rowsOf(db, t)));
  return all.map((rows, i) => rows.filter((r) => !isOwnMark(tables[i]!.name, r)));
};
const sealsOf = async (db: Db, ids: readonly string[]) =>
  Promise.all(ids.map(async (id) => jobCard(await recordIn(db, id)).seal));

/** What each table points to, as the database itself says. */
const pointsTo = new Map<string, string[]>();
let zip: Uint8Array;
beforeAll(async () => {
  for (const { name } of tables) {
    const { db } = await store();
    const keys = await db.all<{ table: string }>(`PRAGMA foreign_key_list('${name}')`);
    if (keys.length > 0)
      pointsTo.set(
        name,
        keys.map((k) => k.table),
      );
  }
  await loadShop();
  await loadJobs();
  const picture = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#225588' },
  })
    .png()
    .toBuffer();
  const kept = await dispatch(
    new Request('http://127.0.0.1/api/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: picture as BodyInit,
    }),
  );
  expect(kept.status).toBe(200);
  zip = await exportShop((await store()).db, 'Skerry Point');
}, 60_000);

describe('a whole shop as one archive', () => {
  it('lists every table behind those it points to, whatever order the language gives', () => {
    const names = tables.map((t) => t.name);
    for (const [table, others] of pointsTo)
      for (const other of others)
        expect(names.indexOf(other), `${table} to ${other}`).toBeLessThan(names.indexOf(table));
    expect(pointsTo.size).toBeGreaterThan(5);
  });
  it('is the same shop again in an empty one, down to the seal of each job', async () => {
    const { db } = await store();
    const there = await emptyShop();
    const done = await importShop(there, zip, 'fill');
    expect([done.intoEmpty, done.sealed, done.jobs]).toEqual([true, done.jobs, done.jobs]);
    expect(done.jobs).toBeGreaterThan(5);
    expect(await wholeOf(there.db)).toEqual(await wholeOf(db));
    const [jobs] = tables.filter((t) => t.name === 'jobs');
    const ids = (await rowsOf(db, jobs!)).map((j) => String(j['id']));
    expect(await sealsOf(there.db, ids)).toEqual(await sealsOf(db, ids));
  });
  it('is refused by a shop that is not empty, which is told what it would bring', async () => {
    const there = await emptyShop();
    await importShop(there, zip, 'fill');
    await expect(importShop(there, zip, 'fill')).rejects.toMatchObject({ status: 409 });
    const before = await wholeOf(there.db);
    const look = await importShop(there, zip, 'look');
    expect(look.written).toBe(false);
    expect(look.tables.every((t) => t.fresh === 0 && t.differs === 0)).toBe(true);
    expect(await wholeOf(there.db)).toEqual(before);
  });
  it('brings a shop its people, records and jobs, and leaves its settings', async () => {
    const there = await emptyShop();
    await there.db.run(
      `INSERT INTO technicians (id, name, lead, pin_salt, pin_hash) VALUES ('wyn', 'Wyn', 1, 'a', 'b')`,
    );
    const merged = await importShop(there, zip, 'merge');
    const of = (name: string) => merged.tables.find((t) => t.table === name)!;
    expect(of('jobs').fresh).toBe(merged.jobs);
    expect(of('meta').fresh).toBe(0);
    expect(of('photos').fresh).toBe(1);
    const photoRows = (db: Db) =>
      rowsOf(
        db,
        tables.find((t) => t.name === 'photos')!,
      );
    expect(await photoRows(there.db)).toEqual(await photoRows((await store()).db));
    const again = await importShop(there, zip, 'merge');
    expect(again.tables.every((t) => t.fresh === 0)).toBe(true);
  });
  it.each([
    ['no zip at all', () => strToU8('PK, not really'), 'body'],
    ['without its manifest', () => zipSync({ 'a.txt': strToU8('a') }), 'manifest.json'],
    [
      'altered in one file',
      () => zipSync({ ...unzipSync(zip), 'tables/technicians.ndjson': strToU8('{}\n') }),
      'tables/technicians.ndjson',
    ],
    [
      'cut short',
      () => {
        const { 'tables/events.ndjson': _gone, ...rest } = unzipSync(zip);
        return zipSync(rest);
      },
      'tables/events.ndjson',
    ],
  ])('is refused when it is %s, and nothing is written', async (_what, made, field) => {
    const there = await emptyShop();
    await expect(importShop(there, made(), 'fill')).rejects.toMatchObject({
      errors: [{ field }],
    });
    expect((await wholeOf(there.db)).flat()).toEqual(await emptyRows());
  });
  it('is given out to a lead only', async () => {
    const refused = await ask('POST', '/api/shop/archive', { byId: 'rafe', pin: '1470' });
    expect([refused.status, fieldsOf(refused.json)]).toEqual([403, ['byId']]);
  });
});

/** What a new database holds by itself. */
async function emptyRows() {
  return (await wholeOf((await emptyShop()).db)).flat();
}
