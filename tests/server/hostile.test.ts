import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, complaint, fieldsOf, type Json, lead, loadShop, newJob, say } from './shop-server.ts';

const { harmless, restored } = await import('../../src/server/csv.ts');
const { dispatch } = await import('../../src/server/dispatch.ts');
const { floorRows } = await import('../../src/server/floor.ts');
const { store } = await import('../../src/server/store.ts');

beforeAll(loadShop, 60_000);

const raw = (path: string, body: BodyInit, type = 'application/json') =>
  dispatch(
    new Request(`http://127.0.0.1${path}`, {
      method: 'POST',
      body,
      headers: { 'content-type': type },
    }),
  );

describe('a body that means nothing', () => {
  it('is refused by its first faults, however many there are', async () => {
    const many = Object.fromEntries(Array.from({ length: 6000 }, (_, i) => [`k${i}`, 0]));
    const r = await ask('POST', '/api/jobs', many);
    expect([r.status, r.json.errors.length]).toEqual([422, 20]);
  });
  it.each([
    ['a NUL', '{"id":"a\\u0000b"}', 422],
    ['half a pair', '{"id":"a\\ud800b"}', 422],
    ['a NUL in a key', '{"a\\u0000b":1}', 422],
  ])('%s is told by its field', async (_what, body, status) => {
    const r = await raw('/api/jobs', body);
    expect(r.status).toBe(status);
    expect(JSON.stringify(await r.json())).toMatch(/cannot be kept/u);
  });
  it('bytes that are no text are told, in JSON and in a table', async () => {
    const bytes = new Uint8Array([0x7b, 0xff, 0xfe, 0x7d]);
    expect((await raw('/api/jobs', bytes)).status).toBe(400);
    expect((await raw('/api/import/parts', bytes, 'text/csv')).status).toBe(400);
  });
  it('a table with more cells than heads is told by its line', async () => {
    const r = await raw('/api/import/parts', `number\n${'x,'.repeat(2000)}`, 'text/csv');
    expect([r.status, fieldsOf(await r.json())[0]]).toEqual([422, 'line 2, line']);
  });
  it('a path that is no text is not found', async () => {
    expect((await ask('GET', '/api/jobs/%ff')).status).toBe(404);
    expect((await ask('GET', '/api/jobs/%00')).status).toBe(404);
  });
  it('an answer larger than any use is not made', async () => {
    const r = await ask('POST', '/api/devices/wheel-speed/take', {
      kmh: 250,
      sensor: 'active',
      seconds: 20,
      pairs: 200,
      circumferenceMm: 500,
      fault: 'agree',
      corner: 'LF',
    });
    expect([r.status, fieldsOf(r.json)]).toEqual([422, ['seconds']]);
  });
});

describe('the same id twice', () => {
  it('is done once where it says the same, and told where it says something else', async () => {
    const job = await newJob();
    const entry = { id: uuid(), type: 'complaint-recorded', body: complaint, byId: 'rafe' };
    const send = (e: object) => ask('POST', `/api/jobs/${job}/events`, e);
    expect([(await send(entry)).status, (await send(entry)).status]).toEqual([200, 200]);
    const other = { ...entry, body: { ...complaint, sound: 'whirr' } };
    expect((await send(other)).status).toBe(409);
    const start = { id: job, unitId: 'unit-15', corner: 'LF', byId: 'rafe' };
    expect((await ask('POST', '/api/jobs', start)).status).toBe(409);
    const choice = { id: uuid(), version: 0, value: { depth: 'quick' }, byId: 'rafe' };
    const choose = (c: object) => ask('PUT', `/api/jobs/${job}/choices/depth`, c);
    expect((await choose(choice)).status).toBe(200);
    expect((await choose(choice)).status).toBe(200);
    expect((await choose({ ...choice, value: { depth: 'full' } })).status).toBe(409);
  });
});

describe('one bad record', () => {
  it('a class that no table holds does not come in', async () => {
    const unit = (await ask('GET', '/api/records/units')).json.find(
      (u: Json) => u.id === 'unit-07',
    );
    const send = (boreClass: string) => {
      const knuckle = { ...unit.corners.LF.knuckle, boreClass };
      const bad = { ...unit, corners: { LF: { ...unit.corners.LF, knuckle } } };
      const file = { format: 'true-spindle/workshop', version: 1, units: [bad] };
      return ask('POST', '/api/import', file, lead);
    };
    const [shape, table] = [await send('ZZ'), await send('P15')];
    expect(fieldsOf(shape.json)).toEqual(['units.0.corners.LF.knuckle.boreClass']);
    expect(fieldsOf(table.json)).toEqual(['units.0.corners.LF.knuckle.boreClass']);
    expect(table.json.errors[0].reason).toMatch(/outside the table/u);
  });
  it('a part of another kind is no choice', async () => {
    const job = await newJob('unit-07');
    const value = { partNumber: 'HU2978-294' };
    const r = await ask('PUT', `/api/jobs/${job}/choices/match`, {
      id: uuid(),
      version: 0,
      value,
      byId: 'rafe',
    });
    expect([r.status, r.json.rule]).toEqual([422, 'match.other-kind']);
  });
  it('leaves every other job alone, shows its lines, and a lead takes back the choice that broke it', async () => {
    const [well, ill] = [await newJob('unit-07'), await newJob('unit-07', 'RF')];
    await say(ill, 'complaint-recorded', { ...complaint, corner: 'RF' });
    const plan = { route: 'bench', chill: false, soak: false };
    const choice = { id: uuid(), version: 0, value: plan, byId: 'rafe' };
    await ask('PUT', `/api/jobs/${ill}/choices/plan`, choice);
    const { db } = await store();
    await db.run(`UPDATE choices SET value = '{oops' WHERE job_id = '${ill}'`);
    expect((await ask('GET', `/api/jobs/${ill}`)).status).toBe(500);
    expect((await ask('GET', `/api/jobs/${well}`)).status).toBe(200);
    expect((await floorRows()).map((r) => r.id)).toEqual(expect.arrayContaining([well, ill]));
    const shown = (await ask('GET', `/api/jobs/${ill}/raw`)).json;
    expect([shown.why, shown.events.length, shown.choices[0].value]).toEqual([
      expect.stringMatching(/JSON/u),
      1,
      '{oops',
    ]);
    const back = (pin: string) =>
      ask('POST', `/api/jobs/${ill}/take-back`, { byId: 'ines', pin, key: 'plan' });
    expect((await back('0000')).status).toBe(403);
    expect((await back('2580')).json.why).toBeUndefined();
    expect((await ask('GET', `/api/jobs/${ill}`)).status).toBe(200);
  });
});

describe('a PIN', () => {
  const override = (pin: string, where: string) =>
    dispatch(
      new Request('http://127.0.0.1/api/people/pin', {
        method: 'POST',
        body: JSON.stringify({ byId: 'tobi', pin, personId: 'tobi', newPin: '8642' }),
        headers: { 'content-type': 'application/json' },
      }),
      { address: where },
    );
  it('is compared five times at most, however many try at once, and its owner goes on from elsewhere', async () => {
    const answers = await Promise.all(
      Array.from({ length: 300 }, (_, i) => override(String(1000 + i), 'a stranger')),
    );
    const compared = answers.filter((r) => r.status === 403).length;
    expect(compared).toBeGreaterThan(0);
    expect(compared).toBeLessThanOrEqual(5);
    for (let i = 0; i < 6; i++) await override('0001', 'a stranger');
    expect((await override('1590', 'a stranger')).status).toBe(429);
    expect((await override('1590', 'his own tablet')).status).toBe(200);
  });
});

describe('a cell that a table program would work out', () => {
  it.each(['=1+1', '@x', "-1+cmd|' /C x'!A0", '\t=1', "'=x"])('%s goes out as a text', (text) => {
    expect(String(harmless(text))).toMatch(/^'/u);
  });
  it.each(['-0.05 mm', '+60°', '-12', 'P7', "'quoted"])('%s goes out as it is', (text) =>
    expect(harmless(text)).toBe(text),
  );
  it('comes in as it was before it went out', () => {
    fc.assert(fc.property(fc.string(), (text) => restored(String(harmless(text))) === text));
  });
});
