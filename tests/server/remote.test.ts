import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { walked } from '../technician.ts';
import { libsqlStandIn } from './libsql-stand-in.ts';

/** The database on another machine: what touches data does the same there as on a file. */
const folder = mkdtempSync(join(tmpdir(), 'true-spindle-remote-'));
const remote = await libsqlStandIn(join(folder, 'remote.db'));
process.env['DATABASE_URL'] = remote.url;
const { ask, complaint, loadJobs, loadShop, newJob } = await import('./shop-server.ts');
const { walk } = await import('./walk.ts');
const { store } = await import('../../src/server/store.ts');
const { exportShop } = await import('../../src/server/whole-shop.ts');

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 120_000);
afterAll(() => {
  remote.stop();
  rmSync(folder, { recursive: true, force: true });
});

it('shows the floor, and says that the disk is elsewhere', async () => {
  const { rows } = (await ask('GET', '/api/floor')).json;
  expect(rows.length).toBeGreaterThan(5);
  expect((await ask('GET', '/api/health')).json).toMatchObject({ ok: true, disk: 'elsewhere' });
});

it('walks a job to a signed card that is sealed', async () => {
  const { job } = await walk(walked[0]!);
  const card = (await ask('GET', `/api/jobs/${job.id}/card.json`)).json;
  expect(card).toMatchObject({ signed: { who: 'Ines' }, seal: { verified: true } });
}, 120_000);

it.each([
  // Written with others it is lost with them, and then written by itself.
  ['lost-before', 1, 200, 1],
  ['lost-before', 2, 500, 0],
  ['lost-after', 1, 200, 1],
] as const)(
  'an entry whose commit is %s, %i times, is told as it is, and stands once after it is sent again',
  async (mood, times, status, stands) => {
    const job = await newJob('unit-12');
    const entry = { id: uuid(), type: 'complaint-recorded', body: complaint, byId: 'rafe' };
    const send = () => ask('POST', `/api/jobs/${job}/events`, entry);
    const kept = async () => (await ask('GET', `/api/jobs/${job}/raw`)).json.events.length;
    remote.setMood(mood, times);
    expect((await send()).status).toBe(status);
    expect(await kept()).toBe(stands);
    expect((await send()).status).toBe(200);
    expect((await send()).status).toBe(200);
    expect(await kept()).toBe(1);
  },
);

it('goes out whole as an archive', async () => {
  expect((await exportShop((await store()).db, 'Away')).length).toBeGreaterThan(10_000);
});
