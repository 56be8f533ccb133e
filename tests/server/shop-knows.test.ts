import { readFileSync } from 'node:fs';
import { v7 as uuid } from 'uuid';
import { beforeAll, expect, it } from 'vitest';
import type { LifeRecord } from '../../src/core/logbook/index.ts';
import { ask, fieldsOf, loadShop, newJob } from './shop-server.ts';

const { importTable } = await import('../../src/server/import.ts');

/** What a shop knows besides its jobs: services, comebacks, confirmed causes. */
beforeAll(loadShop, 60_000);

it('writes down a service without a job, and deep water; not of a bearing that has none', async () => {
  const say = (unit: string, what: string, body: object) =>
    ask('POST', `/api/units/${unit}/${what}`, { byId: 'ines', ...body });
  const looked = { corner: 'LF', what: 'looked-at', playMm: 0.05 };
  expect(fieldsOf((await say('unit-07', 'service', looked)).json)).toEqual(['corner']);
  const fitted = { ...looked, what: 'fitted' };
  expect(fieldsOf((await say('unit-30', 'service', fitted)).json)).toEqual(['what']);
  const back = { ...looked, odometerKm: 100 };
  expect(fieldsOf((await say('unit-30', 'service', back)).json)).toEqual(['odometerKm']);
  const onFloor = async (unit: string) =>
    (await ask('GET', '/api/floor')).json.services.flatMap(
      (s: { fleetNo: string; corner: string; cause: string }) =>
        s.fleetNo === unit ? [`${s.corner} ${s.cause}`] : [],
    );
  expect(await onFloor('30')).toEqual(['LF date', 'RF date']);
  const after = (await say('unit-30', 'service', looked)).json;
  expect(after.services[0]).toMatchObject({ corner: 'LF', late: false, last: { playMm: 0.05 } });
  expect(await onFloor('30')).toEqual(['RF date']);
  expect(fieldsOf((await say('unit-30', 'waded', { on: '2999-01-01' })).json)).toEqual(['on']);
  // Through water today, then packed: it is due no more.
  await say('unit-30', 'waded', {});
  expect(await onFloor('30')).toEqual(['LF deep-water', 'RF deep-water']);
  for (const corner of ['LF', 'RF']) await say('unit-30', 'service', { corner, what: 'packed' });
  expect(await onFloor('30')).toEqual([]);
  await say('unit-35', 'waded', { on: '2026-11-01' });
  expect(await onFloor('35')).toEqual(['RR deep-water']);
});

it('lets a lead say of one that failed soon whether it came back', async () => {
  await importTable('lives', readFileSync('demo-data/lives.csv', 'utf8'), true);
  const lives = (await ask('GET', '/api/records/lives')).json as LifeRecord[];
  const failed = lives.find((l) => l.end === 'failed')!;
  const runs = lives.find((l) => l.end !== 'failed')!;
  const says = { byId: 'ines', pin: '2580', is: false, reason: 'a nail in the tyre' };
  const mark = (id: string, body: object) => ask('POST', `/api/lives/${id}/comeback`, body);
  expect((await mark(failed.id, { ...says, byId: 'rafe', pin: '1470' })).status).toBe(403);
  expect(fieldsOf((await mark(runs.id, says)).json)).toEqual(['is']);
  expect((await mark('nobody', says)).status).toBe(404);
  expect((await mark(failed.id, says)).json.comeback).toMatchObject({ is: false, byId: 'ines' });
});

it('takes the cause of a closed job as a confirmed outcome, of any kind, and refuses one this car cannot have', async () => {
  const job = await newJob();
  const close = (found: string) =>
    ask('POST', `/api/jobs/${job}/events`, {
      id: uuid(),
      type: 'job-closed',
      byId: 'ines',
      body: { reason: 'tyres swapped, quiet', found },
    });
  const causes = async () => (await ask('GET', '/api/tables')).json.tables.causes;
  const before = (await causes())['tyre:front'] ?? 0;
  expect(fieldsOf((await close('no-such-thing')).json)).toEqual(['found']);
  expect((await close('tyre-front')).status).toBe(200);
  expect((await causes())['tyre:front']).toBe(before + 1);
  // Opened again it has taught nothing yet.
  const again = {
    id: uuid(),
    type: 'job-reopened',
    byId: 'ines',
    pin: '2580',
    body: { reason: 'hums' },
  };
  expect((await ask('POST', `/api/jobs/${job}/events`, again)).status).toBe(200);
  expect((await causes())['tyre:front'] ?? 0).toBe(before);
});
