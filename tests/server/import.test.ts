import { beforeAll, describe, expect, it } from 'vitest';
import { ask, fieldsOf, type Json, lead, loadJobs, loadShop } from './shop-server.ts';

const { leadKinds, tableKinds } = await import('../../src/server/import.ts');
const { dispatch } = await import('../../src/server/dispatch.ts');

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 60_000);

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
  it('refuses lives of two units of distance, one that ends before it begins, and one told by nobody', async () => {
    const heads = 'id,unit,corner,family,fittedAt,end,endedAt,distance';
    const send = (...rows: string[]) =>
      ask('POST', '/api/import/lives', [heads, ...rows].join('\n'), {
        'content-type': 'text/csv',
        ...lead,
      });
    const two = await send('l1,07,LF,P1,1000,failed,2000,km', 'l2,07,RF,P1,1000,failed,2000,mi');
    expect(fieldsOf(two.json)).toEqual(['column distance']);
    expect(fieldsOf((await send('l1,07,LF,P1,3000,failed,2000,km')).json)).toEqual([
      'line 2, endedAt',
    ]);
    expect(fieldsOf((await send('l1,07,LF,P1,-5,failed,2000,km')).json)).toEqual([
      'line 2, fittedAt',
    ]);
    expect((await send('l1,07,LF,P1,1000,failed,2000,mi')).json).toEqual({ lives: 1 });
    const asked = await ask('POST', '/api/import/lives', `${heads}\nl3,07,LF,P1,1,failed,2,km`, {
      'content-type': 'text/csv',
    });
    expect(asked.status).toBe(403);
  });
  it('tells how long lives last, and refuses what cannot be one', async () => {
    const at = (time: number, failed = true, entry?: number) => ({
      time,
      failed,
      ...(entry === undefined ? {} : { entry }),
    });
    const send = (...groups: object[][]) =>
      ask('POST', '/api/compute/survival', {
        groups: groups.map((lives, i) => ({ name: `g${i}`, lives })),
      });
    const { json } = await send([at(6), at(9, false), at(10)], [at(1), at(2), at(3)]);
    expect(json.groups[0]).toMatchObject({ median: { time: 10 }, curve: [{ atRisk: 3 }, {}] });
    expect(json.logRank.p).toBeLessThan(0.1);
    expect((await send([at(5), at(5)])).json).toMatchObject({
      groups: [{ weibull: null, noWeibull: expect.stringMatching(/two different/u) }],
      logRank: null,
    });
    expect((await send([at(4, false)])).json.groups[0]).toMatchObject({ curve: [], failed: 0 });
    expect(fieldsOf((await send([at(5, true, 6)])).json)).toEqual(['groups.0.lives.0.time']);
    expect(fieldsOf((await send([at(-1)])).json)).toEqual(['groups.0.lives.0.time']);
  });
  it.each(tableKinds)('gives %s out as it takes them in', async (kind) => {
    const r = await dispatch(new Request(`http://127.0.0.1/api/export/${kind}.csv`));
    const before = (await ask('GET', `/api/records/${kind}`)).json;
    expect(before.length).toBeGreaterThan(0);
    expect(
      (
        await ask('POST', `/api/import/${kind}`, await r.text(), {
          'content-type': 'text/csv',
          ...lead,
        })
      ).json,
    ).toEqual({ [kind]: before.length });
    expect((await ask('GET', `/api/records/${kind}`)).json).toEqual(before);
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
    const stop = AbortSignal.timeout(100);
    const stopped = await dispatch(
      new Request('http://127.0.0.1/api/import/consumables/rest', {
        method: 'POST',
        body: csv,
        headers: { 'content-type': 'text/csv' },
        signal: stop,
      }),
    );
    expect([stopped.status, (await stopped.json()).title]).toEqual([503, 'Stopped']);
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
  it.each([...leadKinds, 'technicians'])('lets only a lead bring in %s', async (kind) => {
    const file = { format: 'true-spindle/workshop', version: 1, [kind]: [] };
    const csv = { 'content-type': 'text/csv' };
    if (tableKinds.includes(kind as never))
      expect((await ask('POST', `/api/import/${kind}`, 'id', csv)).status).toBe(403);
    expect((await ask('POST', '/api/import', file)).status).toBe(403);
    expect((await ask('POST', '/api/import', file, lead)).status).toBe(200);
  });
});
