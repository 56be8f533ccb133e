import { v7 as uuid } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, lead, fieldsOf, loadJobs, loadShop } from './shop-server.ts';

const { dispatch } = await import('../../src/server/dispatch.ts');
const { floorView } = await import('../../src/server/floor.ts');
const { jobView } = await import('../../src/server/job-record.ts');
const { setupOf } = await import('../../src/core/job/index.ts');
const { endsStroke, follower } = await import('../../src/core/press/index.ts');

const jobOf = async (fleetNo: string) =>
  (await floorView()).rows.find((r) => r.fleetNo === fleetNo)!.id;

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 60_000);

describe('tools of the shop', () => {
  const screw = {
    id: 'screw-2',
    name: 'Screw 2',
    kind: 'screw',
    capacityKn: 60,
    ramMm: 34,
    daylightMm: 260,
    screw: {
      rodMm: 16,
      pitchMm: 1.5,
      flankMm: 15,
      threadDeg: 60,
      faceMm: 0,
      threadFriction: 0.12,
      faceFriction: 0.12,
    },
  };
  it('take a screw with its thread, and name the field that is wrong', async () => {
    expect((await ask('POST', '/api/presses', screw, lead)).status).toBe(200);
    expect(
      (await ask('GET', '/api/records/presses')).json.map((p: { id: string }) => p.id),
    ).toContain('screw-2');
    expect(
      fieldsOf((await ask('POST', '/api/presses', { ...screw, ramMm: 14 }, lead)).json),
    ).toEqual(['ramMm']);
    const { screw: _thread, ...bare } = screw;
    expect(fieldsOf((await ask('POST', '/api/presses', bare, lead)).json)).toEqual(['screw']);
    expect((await ask('POST', '/api/presses', { ...screw, capacityKn: -1 }, lead)).status).toBe(
      422,
    );
  });
  it('are chosen by name for a stroke, and only those that are there', async () => {
    const id = await jobOf('19');
    const choose = (value: object, version: number) =>
      ask('PUT', `/api/jobs/${id}/choices/stack-press-ring-on`, {
        id: uuid(),
        version,
        value,
        byId: 'tobi',
      });
    expect(fieldsOf((await choose({ pressId: 'press-9' }, 0)).json)).toEqual(['pressId']);
    expect(fieldsOf((await choose({ pusherId: 'long-42', supportId: 'nothing' }, 0)).json)).toEqual(
      ['supportId'],
    );
    expect(
      (await choose({ pressId: 'press-2', pusherId: 'long-42', supportId: 'block-88' }, 0)).json
        .choices['stack-press-ring-on'],
    ).toMatchObject({ version: 1, value: { pressId: 'press-2' } });
  });
});

describe('gaps of the kit', () => {
  it(
    'count every stroke of the fleet, and a piece that is gone opens those that need it',
    { timeout: 30_000 },
    async () => {
      const before = (await ask('GET', '/api/kit/gaps')).json;
      expect(before.open).toEqual([]);
      expect(before.all).toBeGreaterThan(60);
      const sleeve = (await ask('GET', '/api/records/adapters')).json.find(
        (a: { id: string }) => a.id === 'long-42',
      );
      await ask('POST', '/api/adapters', { ...sleeve, retired: 'bent' });
      const after = (await ask('GET', '/api/kit/gaps')).json;
      expect(after.open).toEqual([
        '19 LR: press bearing on to the shaft',
        '19 LR: press ring on to the shaft',
        '19 RR: press bearing on to the shaft',
        '19 RR: press ring on to the shaft',
      ]);
      expect(after.purchase.opens.length).toBeGreaterThanOrEqual(2);
      await ask('POST', '/api/adapters', sleeve);
      expect((await ask('GET', '/api/kit/gaps')).json.open).toEqual([]);
    },
  );
});

describe('the gauge', () => {
  it('is refused where nothing has one, and where the stroke may not begin', async () => {
    const driven = await ask('GET', `/api/jobs/${await jobOf('11')}/ram/shell-in/good`);
    expect(driven.json.detail).toMatch(/Hammer and driver has no gauge/u);
    expect(
      (await ask('GET', `/api/jobs/${await jobOf('15')}/ram/cartridge-in/good`)).json.detail,
    ).toMatch(/Forcing screw M20 has no gauge/u);
    expect(
      (await ask('GET', `/api/jobs/${await jobOf('19')}/ram/press-ring-on/good`)).json.detail,
    ).toMatch(/bearing on to the shaft comes first/u);
    expect(
      (await ask('GET', `/api/jobs/${await jobOf('19')}/ram/shaft-bearing-on/purple`)).status,
    ).toBe(422);
  });
  it.each([
    ['07', 'bearing-in', 'good', 'seated'],
    ['19', 'shaft-bearing-on', 'cocked', 'cocked'],
    ['07', 'hub-out', 'good', 'free'],
    ['07', 'bearing-out', 'rusted', 'stuck'],
  ] as const)(
    'streams %s %s %s, and the follower says %s',
    async (fleetNo, operation, fault, said) => {
      const id = await jobOf(fleetNo);
      const view = await jobView(id);
      const follow = follower(setupOf(view, operation)!);
      const r = await dispatch(
        new Request(`http://127.0.0.1/api/jobs/${id}/ram/${operation}/${fault}`),
      );
      expect(r.headers.get('content-type')).toMatch(/event-stream/u);
      const reader = r.body!.pipeThrough(new TextDecoderStream()).getReader();
      let text = '';
      let call = 'waiting';
      while (!endsStroke(call as never)) {
        const { value, done } = await reader.read();
        if (done) break;
        text += value;
        const lines = text.split('\n\n');
        text = lines.pop()!;
        for (const l of lines)
          if (l.startsWith('data:') && !endsStroke(call as never))
            call = follow(JSON.parse(l.slice(5))).call;
      }
      await reader.cancel();
      expect(call).toBe(said);
    },
    30_000,
  );
});

describe('setups by the interface', () => {
  it('are found for an axle shaft, judged as laid, and named where a body is missing', async () => {
    const unit = (await ask('GET', '/api/records/units')).json.find(
      (u: { fleetNo: string }) => u.fleetNo === '19',
    );
    const part = (await ask('GET', '/api/records/parts')).json.find(
      (p: { number: string }) => p.number === 'O-AX2',
    );
    const kit = (await ask('GET', '/api/records/adapters')).json;
    const press = { id: 'p', name: 'Press', capacityKn: 245, ramMm: 60, daylightMm: 980 };
    const base = {
      operation: 'shaft-bearing-on',
      bearing: part.bearing,
      corner: unit.corners.LR,
      press,
      encoderSide: 'inboard',
      kit,
    };
    expect((await ask('POST', '/api/compute/stack', base)).json.stacks[0]).toMatchObject({
      pusherId: 'long-42',
      supportId: 'block-88',
      status: 'good',
    });
    expect(
      (
        await ask('POST', '/api/compute/stack', {
          ...base,
          stack: { pusherId: 'plate-150', supportId: 'block-88' },
        })
      ).json,
    ).toMatchObject({ status: 'stop' });
    const { shaft: _shaft, ...bare } = unit.corners.LR;
    expect(
      fieldsOf((await ask('POST', '/api/compute/stack', { ...base, corner: bare })).json),
    ).toEqual(['corner']);
    expect(
      fieldsOf((await ask('POST', '/api/compute/stack', { ...base, operation: 'hub-in' })).json),
    ).toEqual(['operation']);
  });
});
