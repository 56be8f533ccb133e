import { createClient } from '@libsql/client';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { encodeWav } from '../../src/core/noise/index.ts';
import { record } from '../../src/core/standins/microphone.ts';

process.env['DATA_DIR'] = mkdtempSync(join(tmpdir(), 'true-spindle-'));
process.env['LOG_LEVEL'] = 'silent';
const { dispatch } = await import('../../src/server/dispatch.ts');
const { importJobs, importTable, importWorkshop } = await import('../../src/server/import.ts');
const { floorView } = await import('../../src/server/floor.ts');
const { jobRecord } = await import('../../src/server/job-record.ts');
const { verifyChain } = await import('../../src/server/chain.ts');

const demo = (name: string) =>
  readFileSync(new URL(`../../demo-data/${name}`, import.meta.url), 'utf8');

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers are read as plain JSON, as a client would
type Json = any;
async function ask(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<{ status: number; type: string | null; json: Json }> {
  const init: RequestInit = {
    method,
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    headers: { 'content-type': 'application/json', ...headers },
  };
  const r = await dispatch(new Request(`http://127.0.0.1${path}`, init));
  return { status: r.status, type: r.headers.get('content-type'), json: await r.json() };
}
const fieldsOf = (json: Json): string[] => json.errors.map((e: { field: string }) => e.field);

async function newJob(unitId = 'unit-07', corner = 'LF'): Promise<string> {
  const id = uuid();
  expect((await ask('POST', '/api/jobs', { id, unitId, corner, byId: 'rafe' })).status).toBe(200);
  return id;
}
const say = (job: string, type: string, body: unknown, more: object = {}) =>
  ask('POST', `/api/jobs/${job}/events`, { id: uuid(), type, body, byId: 'rafe', ...more });
const complaint = { corner: 'LF', sound: 'roar', lamps: [], history: [] };

beforeAll(async () => {
  await importTable('parts', demo('parts.csv'), false);
  await importTable('consumables', demo('consumables.csv'), false);
  await importTable('adapters', demo('kit.csv'), false);
  await importWorkshop(JSON.parse(demo('workshop.json')));
  await importJobs(JSON.parse(demo('jobs.json')));
}, 60_000);

describe('demo data', () => {
  it('is as large as it says: units, people, pieces, parts, jobs at different stations', async () => {
    const floor = await floorView();
    const count = async (kind: string) => (await ask('GET', `/api/records/${kind}`)).json.length;
    expect(floor.units.length).toBeGreaterThanOrEqual(8);
    expect(floor.people).toHaveLength(4);
    expect(await count('adapters')).toBeGreaterThanOrEqual(25);
    expect(await count('parts')).toBeGreaterThanOrEqual(40);
    expect(new Set(floor.rows.map((r) => r.station)).size).toBeGreaterThanOrEqual(5);
  });
});

describe('problem documents', () => {
  it('name what is wrong with a body', async () => {
    const r = await ask('POST', '/api/jobs', {
      id: uuid(),
      unitId: 'unit-07',
      corner: 'XX',
      colour: 'red',
    });
    expect([r.status, r.type]).toEqual([422, 'application/problem+json']);
    expect(fieldsOf(r.json).sort()).toEqual(['byId', 'colour', 'corner']);
  });
  it.each([
    ['a job that is not there', () => ask('GET', `/api/jobs/${uuid()}`), 404, /There is no job/u],
    ['a route that is not there', () => ask('GET', '/api/nothing'), 404, /nothing at/u],
    ['a wrong method', () => ask('PUT', '/api/jobs', {}), 405, /not for/u],
    ['a body that is not JSON', () => ask('POST', '/api/jobs', '{"id":'), 400, /not JSON/u],
    [
      'a wrong kind of body',
      () => ask('POST', '/api/jobs', 'x', { 'content-type': 'text/plain' }),
      415,
      /takes application\/json/u,
    ],
    [
      'a body over its limit',
      () => ask('POST', '/api/jobs', `"${'x'.repeat(1_000_001)}"`),
      413,
      /limit of 1 MB/u,
    ],
    [
      'letters in a number',
      () => ask('POST', '/api/compute/tolerance', { sizeMm: 'seventy', class: 'P7' }),
      422,
      /sizeMm: Must be a number/u,
    ],
    [
      'a size outside the table',
      () => ask('POST', '/api/compute/tolerance', { sizeMm: 900, class: 'P7' }),
      422,
      /sizeMm: 900/u,
    ],
    [
      'a bore larger than the outside',
      () =>
        ask('POST', '/api/compute/press-fit', {
          interferenceMm: 0.03,
          diameterMm: 72,
          lengthMm: 37,
          outerDiameterMm: 60,
          innerBoreMm: 0,
          outerMaterial: 'steel',
          innerMaterial: 'steel',
          friction: 0.1,
        }),
      422,
      /outerDiameterMm: 60 must be larger/u,
    ],
  ])('%s', async (_name, call, status, detail) => {
    const r = await call();
    expect(r.status).toBe(status);
    expect(r.json.detail).toMatch(detail);
  });
});

describe('import', () => {
  it('takes nothing of a file with an unknown field, and says where', async () => {
    const r = await ask('POST', '/api/import', {
      format: 'true-spindle/workshop',
      version: 1,
      adapters: [
        {
          id: 'n1',
          name: 'N1',
          shape: 'disc',
          outerMm: 50,
          innerMm: 0,
          heightMm: 10,
          material: 'steel',
          ratingKn: 10,
          colour: 'red',
        },
      ],
    });
    expect(r.status).toBe(422);
    expect(r.json.errors[0]).toEqual({
      field: 'adapters.0.colour',
      reason: 'Unknown field “colour”.',
    });
    expect((await ask('GET', '/api/records/adapters')).json.some((a: Json) => a.id === 'n1')).toBe(
      false,
    );
  });
  it('sees sizes that contradict each other, in CSV too', async () => {
    const r = await ask(
      'POST',
      '/api/import/adapters',
      'id,name,shape,outerMm,innerMm,heightMm,material,ratingKn\nx1,X1,sleeve,40,50,20,steel,100',
      { 'content-type': 'text/csv' },
    );
    expect(r.json.errors[0].field).toBe('line 2, innerMm');
  });
  it('tells the line and reason of a faulty row among a hundred thousand, takes nothing, and offers the rest', async () => {
    const row = (n: number) => `Z${n},Made up,seat-oil,50 ml,1,900,EUR,1`;
    const lines = [
      'number,maker,item,sizeText,stock,priceMinor,currency,leadDays',
      ...Array.from({ length: 99_999 }, (_, i) =>
        i + 2 === 73_412 ? 'Z73410,Made up,seat-oil,50 ml,many,900,EUR,1' : row(i),
      ),
    ];
    const csv = lines.join('\n');
    const has = async (n: string) =>
      ((await ask('GET', '/api/records/consumables')).json as { number: string }[]).some(
        (c) => c.number === n,
      );
    const r = await ask('POST', '/api/import/consumables', csv, { 'content-type': 'text/csv' });
    expect(r.json).toMatchObject({
      status: 422,
      good: 99_998,
      bad: 1,
      errors: [{ field: 'line 73412, stock', reason: 'Must be an integer.' }],
    });
    expect(await has('Z5')).toBe(false);
    expect(
      (await ask('POST', '/api/import/consumables/rest', csv, { 'content-type': 'text/csv' })).json,
    ).toEqual({ consumables: 99_998, leftOut: 1 });
    expect(await has('Z99998')).toBe(true);
  }, 60_000);
  it('names a wrong column and a number that stands twice', async () => {
    const csv = (text: string) =>
      ask('POST', '/api/import/consumables', text, { 'content-type': 'text/csv' });
    expect(fieldsOf((await csv('number,maker,item,colour\nA,B,seat-oil,red')).json)).toEqual([
      'column colour',
    ]);
    const twice = (
      await csv(
        'number,maker,item,sizeText,stock,priceMinor,currency,leadDays\nY1,B,seat-oil,5 ml,1,1,EUR,1\nY1,B,seat-oil,5 ml,1,1,EUR,1',
      )
    ).json;
    expect([twice.good, fieldsOf(twice)]).toEqual([1, ['line 3, number']]);
  });
  it('gives out what it takes in', async () => {
    const r = await dispatch(new Request('http://127.0.0.1/api/export/parts.csv'));
    const text = await r.text();
    expect(
      (await ask('POST', '/api/import/parts', text, { 'content-type': 'text/csv' })).json,
    ).toEqual({ parts: (await ask('GET', '/api/records/parts')).json.length });
    expect((await ask('GET', '/api/schema/workshop')).json.properties.parts.type).toBe('array');
  });
  it('lets only a lead bring in procedures', async () => {
    const file = { format: 'true-spindle/workshop', version: 1, procedures: [] };
    expect((await ask('POST', '/api/import', file)).status).toBe(403);
    expect(
      (await ask('POST', '/api/import', file, { 'x-lead-id': 'ines', 'x-lead-pin': '2580' }))
        .status,
    ).toBe(200);
  });
});

describe('the record', () => {
  it('does a command once however often it is sent', async () => {
    const job = await newJob();
    const id = uuid();
    for (let i = 0; i < 3; i++)
      expect((await say(job, 'complaint-recorded', complaint, { id })).status).toBe(200);
    expect((await jobRecord(job)).events).toHaveLength(1);
    expect((await say(job, 'caution-read', { cautionId: 'press' }, { id })).status).toBe(409);
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
      url: `file:${join(process.env['DATA_DIR']!, 'true-spindle.db')}`,
    });
    await client.execute({
      sql: 'UPDATE events SET body = replace(body, ?, ?) WHERE seq = ?',
      args: ['smooth', 'gritty', record.events[1]!.seq],
    });
    const after = await jobRecord(job);
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

  it('keeps for a signed card what it was judged against, and sees when the copy is altered', async () => {
    const signed = (await floorView()).rows.find((r) => r.fleetNo === '26')!.id;
    const path = `/api/jobs/${signed}/card.json`;
    const before = (await ask('GET', path)).json;
    const [procedure] = (await ask('GET', '/api/records/procedures')).json.filter(
      (p: Json) => p.name === before.torque.procedure,
    );
    const lead = { 'x-lead-id': 'ines', 'x-lead-pin': '2580' };
    const file = (p: Json) => ({ format: 'true-spindle/workshop', version: 1, procedures: [p] });
    const edited = {
      ...procedure,
      stages: procedure.stages.map((s: Json) => (s.value ? { ...s, value: s.value * 2 } : s)),
    };
    expect((await ask('POST', '/api/import', file(edited), lead)).status).toBe(200);
    expect((await ask('GET', path)).json).toEqual(before);
    await ask('POST', '/api/import', file(procedure), lead);
    const db = createClient({ url: `file:${join(process.env['DATA_DIR']!, 'true-spindle.db')}` });
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
    const lead = { 'x-lead-id': 'ines', 'x-lead-pin': '2580' };
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

describe('likelihood tables', () => {
  const turn = (path: string, body: object) =>
    ask('POST', `/api/tables/${path}`, {
      id: uuid(),
      byId: 'ines',
      pin: '2580',
      reason: 'from our own jobs',
      version: 0,
      ...body,
    });
  const row = { testId: 'spring', rows: { 'bearing:here': [0.1, 0.5, 0.4] } };
  it('are changed by a lead only, in versions, and brought back', async () => {
    expect((await turn('edit', { ...row, byId: 'rafe', pin: '1470' })).status).toBe(403);
    expect(
      fieldsOf(
        (await turn('edit', { testId: 'spring', rows: { 'bearing:here': [0, 0.5, 0.5] } })).json,
      ),
    ).toEqual(['rows.bearing:here']);
    const first = await turn('edit', row);
    expect(first.json.tables).toMatchObject({
      version: 1,
      edits: { spring: { 'bearing:here': [0.1, 0.5, 0.4] } },
    });
    expect((await turn('edit', row)).status).toBe(409);
    const back = await turn('restore', { version: 1, restore: 0 });
    expect(back.json.tables).toMatchObject({ version: 2, edits: {} });
    expect(back.json.versions.map((v: Json) => v.version)).toEqual([2, 1]);
  });
  it('count a signed job whose bearing was read on the bench, say what it taught, and begin anew', async () => {
    const signed = (await floorView()).rows.find((r) => r.fleetNo === '26')!;
    const { json } = await ask('GET', `/api/jobs/${signed.id}/lessons`);
    expect(json).toMatchObject({ suspectId: `bearing-${signed.corner}`, counted: true });
    const spring = json.lessons.find(
      (l: Json) => l.testId === 'spring' && l.key === 'bearing:here',
    );
    expect(spring.after[2]).toBeGreaterThan(spring.before[2]);
    expect((await ask('GET', '/api/tables')).json.tables.outcomes).toBe(1);
    expect((await turn('reset-counts', { version: 2 })).json.tables).toMatchObject({
      version: 3,
      outcomes: 0,
      counts: {},
    });
    expect((await ask('GET', `/api/jobs/${signed.id}/lessons`)).json.counted).toBe(false);
  });
  it('let a bench reading in only when the part is off', async () => {
    const job = await newJob();
    expect(
      (await say(job, 'test-recorded', { testId: 'bench', place: 'LF', result: 'sandy' })).json,
    ).toMatchObject({ status: 422, rule: 'diagnose.not-off' });
  });
});

describe('parts', () => {
  it('are found by size, and offers come from a service that may fail without stopping the job', async () => {
    const found = (
      await ask('POST', '/api/parts/search', {
        sizes: { outerMm: 77, boreMm: 31 },
        toleranceMm: 0.2,
        kind: 'axle-bearing',
      })
    ).json;
    const numbers = found.parts.map((p: Json) => p.number);
    expect(numbers).toEqual(expect.arrayContaining(['QX3177-298', 'QX3177-299']));
    expect((await ask('POST', '/api/parts-service/offers', { numbers })).json).toMatchObject({
      down: null,
      offers: [{ number: numbers[0] }, { number: numbers[1] }],
    });
    for (const [fails, text] of [
      ['error', /answered with an error \(503\)/u],
      ['nonsense', /not a list of offers/u],
    ] as const) {
      await ask('PUT', '/api/parts-service/mood', { latencyMs: 0, fails });
      const r = (await ask('POST', '/api/parts-service/offers', { numbers })).json;
      expect([r.offers, text.test(r.down)]).toEqual([[], true]);
    }
    await ask('PUT', '/api/parts-service/mood', { latencyMs: 4000, fails: 'no' });
    expect((await ask('POST', '/api/parts-service/offers', { numbers })).json.down).toMatch(
      /did not answer within 2.5 s/u,
    );
    await ask('PUT', '/api/parts-service/mood', { latencyMs: 0, fails: 'no' });
    expect(
      (await ask('POST', '/api/consumables/search', { items: ['press-ring'] })).json[
        'press-ring'
      ][0],
    ).toMatchObject({ item: 'press-ring' });
  });
  it('cannot be chosen when nobody has them, and a hand-entered one is judged but never overwrites the catalogue', async () => {
    const job = await newJob();
    expect(
      fieldsOf(
        (
          await ask('PUT', `/api/jobs/${job}/choices/match`, {
            id: uuid(),
            version: 0,
            value: { partNumber: 'NOBODY-1' },
            byId: 'rafe',
          })
        ).json,
      ),
    ).toEqual(['partNumber']);
    const { part } = {
      part: (await ask('GET', '/api/records/parts')).json.find(
        (p: Json) => p.number === 'N4076-48',
      ),
    };
    expect((await say(job, 'part-entered', { part })).json).toMatchObject({
      rule: 'match.part-twice',
    });
    expect(
      (
        await say(job, 'part-entered', {
          part: { ...part, number: 'BOX-1', bearing: { ...part.bearing, boreMm: 90 } },
        })
      ).json,
    ).toMatchObject({ status: 422, errors: [{ field: 'part.bearing.boreMm' }] });
    const now = (await say(job, 'part-entered', { part: { ...part, number: 'BOX-1' } })).json;
    expect(now.ctx.parts.some((p: Json) => p.number === 'BOX-1' && p.byHand)).toBe(true);
    expect(
      (
        await ask('PUT', `/api/jobs/${job}/choices/match`, {
          id: uuid(),
          version: 0,
          value: { partNumber: 'BOX-1' },
          byId: 'rafe',
        })
      ).status,
    ).toBe(200);
  });
  it('stream a reading from the stand-in indicator until it settles', async () => {
    const r = await dispatch(new Request('http://127.0.0.1/api/devices/indicator/76'));
    const lines = (await r.text())
      .trim()
      .split('\n\n')
      .map((l) => JSON.parse(l.replace('data: ', '')) as { valueMm: number; settled: boolean });
    expect(lines.map((l) => l.settled)).toEqual([...Array<boolean>(11).fill(false), true]);
    expect(Math.abs(lines.at(-1)!.valueMm - 76)).toBeLessThan(0.05);
    expect((await dispatch(new Request('http://127.0.0.1/api/devices/indicator/-3'))).status).toBe(
      422,
    );
  });
});

describe('the wheel-speed reader', () => {
  it('takes from the stand-in and reads it, and names a bad field', async () => {
    const request = {
      kmh: 60,
      sensor: 'active',
      seconds: 1,
      pairs: 48,
      circumferenceMm: 1900,
      fault: 'drop-out',
      corner: 'LR',
      seed: 3,
    };
    const { json } = await ask('POST', '/api/devices/wheel-speed/take', request);
    const { wheels } = (
      await ask('POST', '/api/compute/wheel-speed', { ...json, circumferenceMm: 1900 })
    ).json;
    expect(wheels.map((w: Json) => w.kind)).toEqual(['agrees', 'agrees', 'drops-out', 'agrees']);
    expect(
      fieldsOf((await ask('POST', '/api/devices/wheel-speed/take', { ...request, kmh: 0 })).json),
    ).toEqual(['kmh']);
    expect(
      fieldsOf(
        (await ask('POST', '/api/compute/wheel-speed', { ...json, kmh: 0, circumferenceMm: 1900 }))
          .json,
      ),
    ).toEqual(['kmh']);
  });
});

describe('the interface', () => {
  it('describes itself from the schemas that check it', async () => {
    const { json } = await ask('GET', '/api/openapi.json');
    expect(json.openapi).toBe('3.1.0');
    expect(
      json.paths['/api/compute/press-fit'].post.requestBody.content['application/json'].schema
        .additionalProperties,
    ).toBe(false);
  });
  it('computes a press fit as the worked example does', async () => {
    // Shigley, press and shrink fits, worked by hand
    const { json } = await ask('POST', '/api/compute/press-fit', {
      interferenceMm: 0.03,
      diameterMm: 72,
      lengthMm: 37,
      outerDiameterMm: 110,
      innerBoreMm: 60,
      outerMaterial: 'steel',
      innerMaterial: 'steel',
      friction: 0.12,
    });
    expect(json.pressureMpa).toBeCloseTo(10.67, 1);
    expect(json.forceKn).toBeCloseTo(10.72, 1);
  });
  it('gives orders, tyre and diagnosis', async () => {
    // Case Western Reserve University Bearing Data Center, drive-end bearing
    const orders = await ask('POST', '/api/compute/bearing-orders', {
      balls: 9,
      ballMm: 0.3126,
      pitchMm: 1.537,
      angleDeg: 0,
      rotating: 'inner',
    });
    expect(orders.json.bpfi).toBeCloseTo(5.4152, 3);
    expect(
      (
        await ask('POST', '/api/compute/bearing-orders', {
          balls: 50,
          ballMm: 12,
          pitchMm: 58,
          angleDeg: 0,
          rotating: 'inner',
        })
      ).json.errors[0],
    ).toMatchObject({ field: 'balls' });
    expect(
      (await ask('POST', '/api/compute/tyre', { size: '195/65R15' })).json.diameterMm,
    ).toBeCloseTo(634.5, 1);
    expect((await ask('POST', '/api/compute/tyre', { size: 'round' })).json.detail).toMatch(
      /not a tyre size/u,
    );
    const d = await ask('POST', '/api/compute/diagnosis', {
      layout: 'front',
      complaint,
      results: [{ testId: 'spring', place: 'LF', result: 'gritty' }],
    });
    expect(d.json.suspects[0].id).toBe('bearing-LF');
    expect(d.json.suspects.reduce((a: number, s: Json) => a + s.probability, 0)).toBeCloseTo(1, 9);
    expect(
      (
        await ask('POST', '/api/compute/diagnosis', {
          layout: 'front',
          results: [{ testId: 'spring', place: 'LF', result: 'purple' }],
        })
      ).json.errors[0].field,
    ).toBe('results.0.result');
  });

  it('hears a recording sent as a form, and names the field of a bad one', async () => {
    const bearing = {
      balls: 13,
      ballMm: 11.5,
      pitchMm: 58,
      angleDeg: 35,
      rotating: 'inner' as const,
    };
    const wav = encodeWav(
      record({
        fault: 'inner-ring',
        bearing,
        speeds: [{ atS: 0, kmh: 80 }],
        circumferenceMm: 1935,
        axleRatio: 3.9,
        seconds: 8,
        sampleRate: 16_000,
        faultDb: -3,
        ringHz: 3000,
        decay: 900,
        slip: 0.01,
        seed: 3,
      }),
    );
    const send = async (file: BlobPart | undefined, settings: object) => {
      const form = new FormData();
      if (file !== undefined) form.set('recording', new Blob([file]), 'x.wav');
      form.set('settings', JSON.stringify(settings));
      const r = await dispatch(
        new Request('http://127.0.0.1/api/compute/noise', { method: 'POST', body: form }),
      );
      return { status: r.status, json: (await r.json()) as Json };
    };
    expect((await send(wav, { speedKmh: 80, tyre: '195/65R15', bearing })).json.finding).toBe(
      'inner-ring',
    );
    expect((await send('text', { speedKmh: 80, tyre: '195/65R15' })).json.errors[0].field).toBe(
      'recording',
    );
    expect((await send(undefined, { speedKmh: 80, tyre: '195/65R15' })).status).toBe(422);
    expect((await send(wav, { speedKmh: 0, tyre: '195/65R15' })).json.detail).toMatch(
      /speedKmh: 0 km\/h/u,
    );
    expect(
      (await send(wav, { speedKmh: 80, tyre: '195/65R15', colour: 1 })).json.errors[0].field,
    ).toBe('colour');
  });

  it('keeps a PIN only as a hash', async () => {
    const bytes =
      readFileSync(join(process.env['DATA_DIR']!, 'true-spindle.db'), 'latin1') +
      readFileSync(join(process.env['DATA_DIR']!, 'true-spindle.db-wal'), 'latin1');
    expect(bytes).toContain('Ines');
    expect(bytes).not.toContain('"2580"');
  });
});
