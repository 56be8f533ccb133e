import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, fieldsOf, type Json, loadJobs, loadShop, newJob, say } from './shop-server.ts';

const { followPull } = await import('../../src/core/torque/index.ts');
const { dispatch } = await import('../../src/server/dispatch.ts');
const { floorView } = await import('../../src/server/floor.ts');

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 60_000);

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

describe('the stand-in wrench', () => {
  it('reads the stage that is open, one tablet at a time, and remembers where the nut was left', async () => {
    const { rows } = await floorView();
    const job = rows.find((r) => r.station === 'torque')!.id;
    const { procedure } = (await ask('GET', `/api/jobs/${job}`)).json.ctx;
    const at = (stage: string, setting: string) => `/api/jobs/${job}/wrench/${stage}/${setting}/1`;
    const [, , , open, later, lock] = procedure.stages.map((s: Json) => s.id);
    expect(fieldsOf((await ask('GET', at(open, 'gently'))).json)).toEqual(['setting']);
    expect((await ask('GET', at('nothing', 'good'))).status).toBe(404);
    expect(fieldsOf((await ask('GET', at(lock, 'good'))).json)).toEqual(['stage']);
    expect(fieldsOf((await ask('GET', at(later, 'good'))).json)).toEqual(['stageId']);
    const pull = (stage: string, setting: string) =>
      dispatch(new Request(`http://127.0.0.1${at(stage, setting)}`));
    const stream = await pull(open, 'short');
    expect((await ask('GET', at(open, 'good'))).status).toBe(409);
    const read = async (r: Response) => {
      const [hello, ...samples] = (await r.text())
        .split('\n\n')
        .filter(Boolean)
        .map((e) => JSON.parse(e.slice('data: '.length)) as Json);
      return { hello, samples };
    };
    const short = await read(stream);
    expect(short.hello).toMatchObject({ standIn: true, seen: [] });
    // The hand stops at its torque, whatever the noise of the last reading says of it, and lets go.
    const first = followPull(short.samples as never, 90);
    expect(first).toMatchObject({ free: true, pulls: 1 });
    expect(first.peakNm).toBeLessThan(87);
    const again = await read(await pull(open, 'good'));
    expect(again.hello.seen).toEqual(short.samples);
    const both = followPull([...again.hello.seen, ...again.samples] as never, 90);
    expect(both).toMatchObject({ free: true, pulls: 2 });
    expect(Math.abs(both.peakNm - 90)).toBeLessThan(6);
  }, 30_000);
});
