import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, fieldsOf, loadShop, newJob } from './shop-server.ts';

const { store } = await import('../../src/server/store.ts');
const { putMeta } = await import('../../src/db/records.ts');

/** The same records in a shop of its own: nothing says that they are made up. */
beforeAll(async () => {
  await loadShop();
  await putMeta((await store()).db, 'demo', 'no');
});
const change = (over: object = {}, settings: object = {}) =>
  ask('PUT', '/api/shop', {
    id: uuid(),
    byId: 'ines',
    pin: '2580',
    version: 0,
    settings: { name: 'Own shop', standIns: true, ...settings },
    ...over,
  });
const simulated = {
  testId: 'recording',
  place: 'car',
  result: 'bearing',
  standIn: true,
};
const say = (job: string, type: string, body: object) =>
  ask('POST', `/api/jobs/${job}/events`, { id: uuid(), type, body, byId: 'rafe' });

describe('what a shop takes in', () => {
  it('sets up once, takes people on by a lead, and no PIN that anybody would try', async () => {
    const setUp = { id: uuid(), shop: 'Other', name: 'Nob', pin: '4826' };
    expect((await ask('POST', '/api/shop/setup', setUp)).status).toBe(409);
    const person = (over: object) =>
      ask('POST', '/api/people', {
        byId: 'ines',
        pin: '2580',
        name: 'Wyn Älv',
        newPin: '7391',
        lead: false,
        ...over,
      });
    for (const newPin of ['1234', '0000', '8765', '12'])
      expect(fieldsOf((await person({ newPin })).json), newPin).toEqual(['newPin']);
    expect(fieldsOf((await person({ name: 'Rafe' })).json)).toEqual(['name']);
    expect(fieldsOf((await person({ byId: 'rafe', pin: '1470' })).json)).toEqual(['byId']);
    const { people } = (await person({})).json;
    expect(people.at(-1)).toEqual({
      id: expect.stringMatching(/^p-/u),
      name: 'Wyn Älv',
      lead: false,
    });
  });
  it('changes a PIN by its owner or a lead, and keeps the last lead on the list', async () => {
    const lead = { byId: 'ines', pin: '2580' };
    const pin = (over: object) =>
      ask('POST', '/api/people/pin', {
        byId: 'rafe',
        pin: '1470',
        personId: 'rafe',
        newPin: '6182',
        ...over,
      });
    expect(fieldsOf((await pin({ newPin: '1111' })).json)).toEqual(['newPin']);
    expect((await pin({ personId: 'ines' })).status).toBe(403);
    expect((await pin({})).status).toBe(200);
    expect((await pin({ newPin: '1470' })).status).toBe(403);
    expect((await pin({ ...lead, newPin: '1470' })).status).toBe(200);
    const retire = (personId: string, retired = true) =>
      ask('POST', '/api/people/retire', { ...lead, personId, retired });
    expect(fieldsOf((await retire('ines')).json)).toEqual(['personId']);
    expect((await retire('tobi')).json.people).toContainEqual({
      id: 'tobi',
      name: 'Tobi',
      lead: false,
      retired: true,
    });
    const start = { id: uuid(), unitId: 'unit-07', corner: 'LF', byId: 'tobi' };
    expect(fieldsOf((await ask('POST', '/api/jobs', start)).json)).toEqual(['byId']);
    await retire('tobi', false);
    expect((await ask('POST', '/api/jobs', start)).status).toBe(200);
  });
  it('keeps what is learned of a unit with its earlier versions, and no clock that runs back', async () => {
    const note = (facts: object) => ask('PUT', '/api/units/unit-11', { byId: 'rafe', facts });
    const { unit } = (await ask('GET', '/api/units/unit-11')).json;
    const more = { name: 'Van', odometerKm: unit.odometerKm + 5, identification: '1'.repeat(17) };
    const sheet = (await note(more)).json;
    expect(sheet.unit).toMatchObject({ ...more, corners: unit.corners });
    expect(sheet.changes).toHaveLength(1);
    const back = await note({ name: 'Van', odometerKm: 3 });
    expect(fieldsOf(back.json)).toEqual(['facts.odometerKm']);
  });
  it('takes a unit by number and layout, its clock now or later, and none twice', async () => {
    const unit = (over: object = {}) =>
      ask('POST', '/api/units', {
        byId: 'rafe',
        fleetNo: 'GL-9',
        layout: 'front',
        odometerKm: 81_200,
        ...over,
      });
    expect((await unit({ fleetNo: 'GL-10', odometerKm: undefined })).status).toBe(200);
    expect((await unit()).json).toMatchObject({ id: 'unit-gl-9', corners: {} });
    expect(fieldsOf((await unit()).json)).toEqual(['fleetNo']);
    expect(fieldsOf((await unit({ fleetNo: 'a b' })).json)).toEqual(['fleetNo']);
    const alike = await ask('POST', '/api/corners/alike', {
      family: 'P1',
      outerMm: 76,
      boreMm: 40,
      unitId: 'unit-07',
    });
    expect(
      alike.json.map((c: { fleetNo: string; corner: string }) => `${c.fleetNo} ${c.corner}`),
    ).toEqual(['07 LF', '07 RF']);
  });
});

describe('what only a lead takes back', () => {
  it('a job that was closed: opened again with a reason, and both stand on its card', async () => {
    const job = await newJob('unit-12');
    const again = (who: object) =>
      ask('POST', `/api/jobs/${job}/events`, {
        id: uuid(),
        type: 'job-reopened',
        body: { reason: 'it came back' },
        ...who,
      });
    await say(job, 'job-closed', { reason: 'a tyre' });
    expect((await say(job, 'caution-read', { cautionId: 'press' })).json.rule).toBe('job.closed');
    expect((await again({ byId: 'rafe', pin: '1470' })).status).toBe(403);
    expect((await again({ byId: 'ines', pin: '2580' })).json.state.closed).toBeUndefined();
    expect((await say(job, 'caution-read', { cautionId: 'press' })).status).toBe(200);
    const { turnedBack } = (await ask('GET', `/api/jobs/${job}/card.json`)).json;
    expect(turnedBack).toMatchObject([
      { what: 'Job closed', value: 'a tyre', who: 'Rafe' },
      { what: 'Job opened again', value: 'it came back', who: 'Ines' },
    ]);
  });
  it('a clock that was misread: brought down with a reason, never by the way', async () => {
    const path = '/api/units/unit-12';
    const { unit } = (await ask('GET', path)).json;
    const odometerKm = unit.odometerKm - 9000;
    const facts = { name: unit.name, odometerKm };
    const plain = await ask('PUT', path, { byId: 'rafe', facts });
    expect(fieldsOf(plain.json)).toEqual(['facts.odometerKm']);
    const down = (who: object, km = odometerKm) =>
      ask('PUT', `${path}/clock`, { odometerKm: km, reason: 'a nine for a zero', ...who });
    expect((await down({ byId: 'rafe', pin: '1470' })).status).toBe(403);
    const lead = { byId: 'ines', pin: '2580' };
    expect(fieldsOf((await down(lead, unit.odometerKm)).json)).toEqual(['odometerKm']);
    expect((await down(lead)).json.unit).toMatchObject({
      odometerKm,
      clockCorrected: [{ fromKm: unit.odometerKm, toKm: odometerKm, byId: 'ines' }],
    });
  });
});

describe('the settings of a shop', () => {
  it('name a zone that exists, a currency, and a sane distance to the recheck', async () => {
    const wrong = async (settings: object) => fieldsOf((await change({}, settings)).json);
    expect(await wrong({ timeZone: 'Skerry/Point' })).toEqual(['settings.timeZone']);
    expect(await wrong({ currency: 'euro' })).toEqual(['settings.currency']);
    expect(await wrong({ recheckKm: 3 })).toEqual(['settings.recheckKm']);
    expect(await wrong({ taxPercent: 80 })).toEqual(['settings.taxPercent']);
  });

  it('keep simulated instruments off until a lead switches them on, and a job with one is practice', async () => {
    const job = await newJob();
    expect((await ask('GET', '/api/devices/indicator/40')).status).toBe(409);
    const off = await say(job, 'test-recorded', simulated);
    expect([off.status, off.json.rule]).toEqual([422, 'kit.stand-ins-off']);
    expect(fieldsOf((await change({ byId: 'rafe', pin: '1470' })).json)).toEqual(['byId']);
    expect(fieldsOf((await change({ pin: '0000' })).json)).toEqual(['pin']);
    expect((await change()).json).toMatchObject({
      version: 1,
      demo: false,
      settings: { name: 'Own shop', standIns: true },
      changes: [{ version: 1, byId: 'ines' }],
    });
    expect((await say(job, 'test-recorded', simulated)).status).toBe(200);
    expect((await ask('GET', `/api/jobs/${job}/card.json`)).json.only).toBe('practice');
    const plain = await newJob('unit-12');
    expect((await ask('GET', `/api/jobs/${plain}/card.json`)).json.only).toBeUndefined();
  });
  it('are changed only as they were seen, and never to what cannot be', async () => {
    expect(fieldsOf((await change()).json)).toEqual(['version']);
    expect(fieldsOf((await change({ version: 1 }, { name: '' })).json)).toEqual(['settings.name']);
    expect((await ask('GET', '/api/floor')).json.shop).toBe('Own shop');
  });
});
