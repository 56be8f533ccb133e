import { createClient } from '@libsql/client';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  ask,
  complaint,
  dataDir,
  type Json,
  loadJobs,
  loadShop,
  newJob,
  say,
  lead,
} from './shop-server.ts';

const { floorView } = await import('../../src/server/floor.ts');
const { jobRecord, jobRecordAnew } = await import('../../src/server/job-record.ts');
const { verifyChain } = await import('../../src/server/chain.ts');

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 60_000);

describe('the record', () => {
  it('does a command once however often it is sent', async () => {
    const job = await newJob();
    const id = uuid();
    for (let i = 0; i < 3; i++)
      expect((await say(job, 'complaint-recorded', complaint, { id })).status).toBe(200);
    expect((await jobRecord(job)).events).toHaveLength(1);
    expect((await say(job, 'caution-read', { cautionId: 'press' }, { id })).status).toBe(409);
  });

  it('shows every other job where one cannot be read, and says why of that one', async () => {
    const job = await newJob('unit-33');
    const before = (await floorView()).rows.length;
    const db = createClient({ url: `file:${join(dataDir, 'true-spindle.db')}` });
    await db.execute({ sql: "UPDATE jobs SET unit_id = 'gone' WHERE id = ?", args: [job] });
    await db.execute({ sql: 'UPDATE job_summaries SET stale = 1 WHERE job_id = ?', args: [job] });
    const { rows } = await floorView();
    expect(rows).toHaveLength(before);
    const row = rows.find((r) => r.id === job);
    expect(row?.next.text).toMatch(/^Its record cannot be read: .*gone/u);
    expect(rows.filter((r) => r.complaint === 'Cannot be shown')).toHaveLength(1);
    await db.execute({ sql: "UPDATE jobs SET unit_id = 'unit-33' WHERE id = ?", args: [job] });
    db.close();
  });

  it('keeps its order when many write at once', async () => {
    const job = await newJob();
    await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        say(job, 'timer-started', { timerId: `t${i}`, label: 'wait', minutes: 1 }),
      ),
    );
    const record = await jobRecord(job);
    expect(record.events).toHaveLength(12);
    expect(verifyChain(record.job, record.events)).toMatchObject({ verified: true, entries: 12 });
  });

  it('shows where it was altered', async () => {
    const job = await newJob();
    await say(job, 'complaint-recorded', complaint);
    await say(job, 'test-recorded', { testId: 'spring', place: 'LF', result: 'smooth' });
    const record = await jobRecord(job);
    const client = createClient({
      url: `file:${join(dataDir, 'true-spindle.db')}`,
    });
    await client.execute({
      sql: 'UPDATE events SET body = replace(body, ?, ?) WHERE seq = ?',
      args: ['smooth', 'gritty', record.events[1]!.seq],
    });
    // A card reads every row again: nothing that was carried forward hides it.
    const after = await jobRecordAnew(job);
    expect(verifyChain(after.job, after.events)).toMatchObject({
      verified: false,
      brokenAt: record.events[1]!.seq,
    });
  });

  it('tells two tablets apart by the version they saw', async () => {
    const job = await newJob();
    const put = (version: number, partNumber: string) =>
      ask('PUT', `/api/jobs/${job}/choices/match`, {
        id: uuid(),
        version,
        value: { partNumber },
        byId: 'maud',
      });
    expect((await put(0, 'N4076-48')).status).toBe(200);
    const stale = await put(0, 'T4076-43');
    expect(stale.status).toBe(409);
    expect(stale.json).toMatchObject({
      yours: { partNumber: 'T4076-43' },
      theirs: { partNumber: 'N4076-48' },
      version: 1,
    });
    expect((await put(1, 'T4076-43')).json.choices.match).toEqual({
      version: 2,
      value: { partNumber: 'T4076-43' },
    });
  });

  it('keeps foreign keys on and the log ahead of the file', async () => {
    const { store } = await import('../../src/server/store.ts');
    const { db } = await store();
    const pragma = async (name: string) =>
      Object.values((await db.run(`PRAGMA ${name}`)).rows[0] ?? {})[0];
    expect([
      await pragma('foreign_keys'),
      await pragma('journal_mode'),
      await pragma('synchronous'),
    ]).toEqual([1, 'wal', 2]);
  });

  it('takes a double tap once, and the opposite answer right after it as its own', async () => {
    const job = await newJob();
    const tap = { itemId: 'axle-nut', state: 'in-hand' };
    await Promise.all([say(job, 'item-marked', tap), say(job, 'item-marked', tap)]);
    await say(job, 'item-marked', { ...tap, state: 'on-order' });
    const { events } = await jobRecord(job);
    expect(events.map((e) => (e.body as { state: string }).state)).toEqual(['in-hand', 'on-order']);
  });
});

describe('interlocks', () => {
  const at = async (fleetNo: string) =>
    (await floorView()).rows.find((r) => r.fleetNo === fleetNo && r.station !== undefined)!.id;

  it.each([
    [
      'an override without a PIN',
      'overridden',
      { rule: 'match.open-item:axle-nut', reason: 'x' },
      403,
      /not the PIN/u,
    ],
    ['a station out of turn', 'station-done', { station: 'torque' }, 422, /Complaint is not done/u],
    [
      'a tool that does not exist',
      'stage-recorded',
      { stageId: 's1', actual: 120, toolId: 'spoon' },
      422,
      /No tool is called “spoon”/u,
    ],
    [
      'a stage out of order',
      'stage-recorded',
      { stageId: 's4', actual: 70, toolId: 'click-200' },
      422,
      /Out of order: stage 1/u,
    ],
    [
      'a stroke before the caution',
      'stroke-reading',
      { operation: 'hub-out', travelMm: 1, forceKn: 1, typed: '1' },
      422,
      /caution first/u,
    ],
    [
      'a negative width',
      'old-part-read',
      { dimension: 'widthMm', valueMm: -37, typed: '-37', instrumentId: 'mic' },
      422,
      /valueMm: Must be more than 0/u,
    ],
  ])('refuses %s', async (_name, type, body, status, detail) => {
    const r = await say(await newJob(), type, body);
    expect(r.status).toBe(status);
    expect(r.json.detail).toMatch(detail);
  });

  it('refuses a stack that loads the balls, and a reversed encoder', async () => {
    const job = await at('07');
    await say(job, 'caution-read', { cautionId: 'press' });
    const stroke = (stack: object) =>
      say(job, 'stroke-recorded', {
        operation: 'bearing-in',
        pressId: 'press-1',
        stack,
        peakKn: 6,
        depthMm: 41.5,
      });
    expect(
      (await stroke({ capId: 'disc-74', pusherId: 'sleeve-44', supportId: 'support-110' })).json,
    ).toMatchObject({ status: 422, rule: 'press.through-balls' });
    await say(job, 'encoder-checked', { side: 'outboard', method: 'paper-clip' });
    expect(
      (await stroke({ capId: 'disc-74', pusherId: 'ring-75', supportId: 'support-110' })).json,
    ).toMatchObject({ rule: 'press.encoder-reversed' });
    await say(job, 'encoder-checked', { side: 'inboard', method: 'viewing-card' });
    expect(
      (await stroke({ capId: 'disc-74', pusherId: 'ring-75', supportId: 'support-110' })).status,
    ).toBe(200);
  });

  it('locks a signed card', async () => {
    const signed = (await floorView()).rows.find((r) => r.fleetNo === '26')!.id;
    expect((await say(signed, 'caution-read', { cautionId: 'press' })).json.detail).toMatch(
      /signed/u,
    );
    const card = await ask('GET', `/api/jobs/${signed}/card.json`);
    expect(card.json).toMatchObject({
      format: 'true-spindle/job-card',
      signed: { who: 'Ines' },
      seal: { verified: true },
    });
  });

  it('corrects a line of a signed card under its seal, and only one that stands there', async () => {
    const signed = (await floorView()).rows.find((r) => r.fleetNo === '26')!.id;
    const path = `/api/jobs/${signed}/card.json`;
    const before = (await ask('GET', path)).json;
    const [check] = before.checks.filter((l: Json) => l.what.startsWith('End play'));
    const body = { line: check.what, was: check.value, is: '0.04 mm', reason: 'dial misread' };
    const correct = (more: object, pin: object = { pin: '2580' }) =>
      say(signed, 'line-corrected', { ...body, ...more }, { byId: 'ines', ...pin });
    expect((await correct({}, {})).json.errors[0]).toMatchObject({ field: 'pin' });
    expect((await correct({ was: '9 mm' })).json.errors[0]).toMatchObject({ field: 'line' });
    expect((await correct({})).status).toBe(200);
    const after = (await ask('GET', path)).json;
    expect(after.checks).toEqual(before.checks);
    expect(after.corrections).toMatchObject([{ ...body, who: 'Ines' }]);
    expect(after.seal).toMatchObject({ verified: true, entries: before.seal.entries + 1 });
  });

  it('keeps for a signed card what it was judged against, and sees when the copy is altered', async () => {
    const signed = (await floorView()).rows.find((r) => r.fleetNo === '26')!.id;
    const path = `/api/jobs/${signed}/card.json`;
    const before = (await ask('GET', path)).json;
    const [procedure] = (await ask('GET', '/api/records/procedures')).json.filter(
      (p: Json) => p.name === before.torque.procedure,
    );
    const file = (p: Json) => ({ format: 'true-spindle/workshop', version: 1, procedures: [p] });
    const edited = {
      ...procedure,
      stages: procedure.stages.map((s: Json) => (s.value ? { ...s, value: s.value * 2 } : s)),
    };
    expect((await ask('POST', '/api/import', file(edited), lead)).status).toBe(200);
    expect((await ask('GET', path)).json).toEqual(before);
    await ask('POST', '/api/import', file(procedure), lead);
    const db = createClient({ url: `file:${join(dataDir, 'true-spindle.db')}` });
    await db.execute({
      sql: "UPDATE snapshots SET data = data || ' ' WHERE job_id = ?",
      args: [signed],
    });
    expect((await ask('GET', path)).json.seal).toMatchObject({ verified: false });
    await db.execute({
      sql: 'UPDATE snapshots SET data = rtrim(data) WHERE job_id = ?',
      args: [signed],
    });
    expect((await ask('GET', path)).json.seal).toMatchObject({ verified: true });
    db.close();
  });
  it('is what the floor shows, after every write of job and shop, until the job is closed', async () => {
    const job = await newJob();
    const row = async () => (await floorView()).rows.find((r) => r.id === job);
    expect(await row()).toMatchObject({ station: 'complaint', next: { short: 'Ask the driver' } });
    await say(job, 'complaint-recorded', { ...complaint, startsKmh: 60 });
    await say(job, 'station-done', { station: 'complaint' });
    expect(await row()).toMatchObject({ station: 'diagnose', complaint: 'Roar above 60 km/h' });
    const units = (await ask('GET', '/api/records/units')).json as {
      id: string;
      corners: { LF: object };
    }[];
    const unit = units.find((u) => u.id === 'unit-07')!;
    const file = (u: object) => ({ format: 'true-spindle/workshop', version: 1, units: [u] });
    const other = {
      ...unit,
      corners: { ...unit.corners, LF: { family: 'A2', source: 'made up' } },
    };
    await ask('POST', '/api/import', file(other), lead);
    expect((await row())?.family).toMatch(/^Axle bearing/u);
    await ask('POST', '/api/import', file(unit), lead);
    expect((await row())?.family).toMatch(/^Pressed-in/u);
    await say(job, 'job-closed', { reason: 'sold' });
    expect(await row()).toBeUndefined();
  });
  it('waits after five wrong PINs', async () => {
    const job = await newJob();
    const sign = (pin: string) =>
      say(job, 'overridden', { rule: 'x', reason: 'y' }, { byId: 'tobi', pin });
    for (let i = 0; i < 5; i++) expect((await sign('0000')).status).toBe(403);
    expect((await sign('1590')).status).toBe(429);
  });
});
