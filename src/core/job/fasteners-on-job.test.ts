import { beforeEach, describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { makeCard } from '../card/index.ts';
import type { EventBody } from '../schemas/events.ts';
import { fastenersLearned, fastenersOf, isTightened, owedAt, runoutOf } from './index.ts';

const p1 = walked[0]!;
const { entries } = workThrough(p1);
const upTo = (station: 'torque' | 'signed') =>
  entries.slice(
    0,
    entries.findIndex((e) =>
      station === 'signed'
        ? 'type' in e && e.type === 'signed'
        : 'type' in e && e.type === 'stage-recorded',
    ),
  );
let job: Worked;
const at = (list: readonly Entry[]) => {
  job = new Worked(shopContext(p1.unit, p1.corner));
  for (const e of list) if (job.put(e)) throw new Error(JSON.stringify(e));
};
const tighten = (body: Partial<EventBody<'fastener-tightened'>>) =>
  job.put({
    type: 'fastener-tightened',
    body: { fastenerId: 'wheel-nuts', of: 5, round: 1, bolt: 1, toolId: 'click-200', ...body },
  } as Entry);
const refusedBy = (body: Parameters<typeof tighten>[0]) => {
  const no = tighten(body);
  return no && [no.rule, no.field];
};

describe('fasteners besides the centre nut', () => {
  beforeEach(() => at(upTo('torque')));
  it('stand in the order of the rebuild, the wheel nuts last and at Prove', () => {
    const all = fastenersOf(job.now);
    expect(all.map((f) => f.id).at(-1)).toBe('wheel-nuts');
    expect(all.filter((f) => f.answeredBy !== undefined).map((f) => f.id)).toEqual(['wheel-nuts']);
    expect(all.find((f) => f.id === 'wheel-nuts')).toMatchObject({ count: 5, rounds: [{}, {}] });
    expect(all.some(isTightened)).toBe(false);
  });
  it('are not tightened before the bearing is in', () => {
    const early = entries.findIndex((e) => 'type' in e && e.type === 'stroke-recorded');
    at(entries.slice(0, early));
    expect(tighten({})).toMatchObject({ field: 'fastenerId' });
  });
  it('are taken in their order, with a tool that can do it, and judged', () => {
    expect(refusedBy({ fastenerId: 'roof-rack' })).toEqual(['fastener.none', 'fastenerId']);
    expect(refusedBy({ bolt: 2 })).toEqual(['fastener.order', 'bolt']);
    expect(refusedBy({ of: 4 })).toEqual(['fastener.count', 'of']);
    expect(refusedBy({ toolId: 'lost' })).toEqual(['kit.tool', 'toolId']);
    expect(refusedBy({ toolId: 'click-60' })).toEqual(['wrench.range', 'toolId']);
    expect(refusedBy({ through: { multiplierId: 'click-60' } })).toEqual([
      'kit.tool',
      'through.multiplierId',
    ]);
    expect(refusedBy({ actual: -1, typed: '-1' })).toEqual(['torque.sign', 'actual']);
    expect(refusedBy({ actual: 120, typed: '119' })).toEqual(['job.typed', 'actual']);
    expect(tighten({ actual: 120, typed: '120' })).toBeUndefined();
    // Through an offset less is set: the tool that was too large for it is told by what is set.
    expect(tighten({ bolt: 3, through: { offsetMm: 40 } })).toBeUndefined();
    // What was typed through it is what the wrench showed; the nut had more by the lever: T·(L + E)/L.
    const long = job.now.ctx.wrenches.find((w) => w.id === 'click-200')!.lengthMm!;
    const through = { offsetMm: 40 };
    const atNut = (110 * (long + 40)) / long;
    const typed = { bolt: 5, through, typed: '110' };
    expect(refusedBy({ ...typed, actual: 110 })).toEqual(['wrench.shown', 'shown']);
    expect(refusedBy({ ...typed, actual: 110, shown: 110 })).toEqual(['wrench.at-nut', 'actual']);
    expect(refusedBy({ ...typed, actual: atNut, shown: 111 })).toEqual(['wrench.at-nut', 'actual']);
    expect(refusedBy({ ...typed, typed: '111', actual: atNut, shown: 110 })).toEqual([
      'job.typed',
      'shown',
    ]);
    const [wheel] = fastenersOf(job.now).filter((f) => f.answeredBy !== undefined);
    expect(wheel?.walk?.next).toEqual({ round: 1, bolt: 5 });
    expect(tighten({ ...typed, actual: atNut, shown: 110 })).toBeUndefined();
  });
  it('without a length no offset is reckoned', () => {
    const { wrenches } = job.now.ctx;
    const bare = wrenches.map(({ lengthMm: _l, ...w }) => w);
    job.now = { ...job.now, ctx: { ...job.now.ctx, wrenches: bare } };
    expect(refusedBy({ through: { offsetMm: 40 } })).toEqual(['wrench.length', 'through.offsetMm']);
  });
  it('without a figure are tightened by whom to what, and never in a window', () => {
    const unit = { ...job.now.ctx.unit, fasteners: {} };
    job.now = { ...job.now, ctx: { ...job.now.ctx, unit } };
    expect(refusedBy({})).toEqual(['fastener.to-what', 'to']);
    expect(tighten({ to: 'hand-tight and a quarter' })).toBeUndefined();
    const wheel = fastenersOf(job.now).find((f) => f.answeredBy !== undefined)!;
    expect(wheel.walk?.at({ round: 1, bolt: 1 })?.verdict).toBeUndefined();
  });
  it('begun bolt by bolt hold the car until every one has had its turns', () => {
    at(upTo('signed'));
    const open = () => owedAt('prove', job.now).map((o) => o.rule);
    expect(open()).toEqual(['prove.unsigned']);
    expect(tighten({})).toBeUndefined();
    expect(open()).toEqual(['prove.bolt-open', 'prove.unsigned']);
    for (const { round, bolt } of fastenersOf(job.now).at(-1)!.walk!.turns.slice(1))
      expect(tighten({ round, bolt })).toBeUndefined();
    expect(open()).toEqual(['prove.unsigned']);
    // One pulled too far begins anew.
    expect(tighten({ round: 2, bolt: 1, actual: 160, typed: '160' })).toBeUndefined();
    expect(open()).toEqual(['prove.bolt-open', 'prove.unsigned']);
  });
  it('stand on the card by their own readings, and a counted circle on the unit', () => {
    for (const bolt of [1, 2])
      expect(tighten({ fastenerId: 'strut', of: 2, bolt, toolId: 'click-200' })).toBeUndefined();
    const source = { ...job.now, events: job.events, job: { number: '1', createdMs: 0 } };
    const line = makeCard(source).fasteners?.find((l) => l.what === 'Strut bolts');
    expect(line?.value).toBe('2 of them; to 110 N·m, said by the tool; Click wrench 40–200 N·m');
    const unit = { ...job.now.ctx.unit, fasteners: { cover: { name: 'Cover', source: 's' } } };
    const counted = {
      ...job.now,
      ctx: { ...job.now.ctx, unit },
      state: { ...job.now.state, tightened: { cover: [{ of: 8 }] } },
    } as unknown as typeof job.now;
    expect(fastenersLearned(counted, '1')).toMatchObject({ cover: { count: 8 } });
  });
  it('begin anew when a stroke is made again', () => {
    expect(tighten({})).toBeUndefined();
    const strokes = entries.filter((e) => 'type' in e && e.type === 'stroke-recorded');
    expect(job.put(strokes.at(-1)!)).toBeUndefined();
    expect(job.now.state.tightened).toEqual({});
  });
});

describe('runout on a job', () => {
  const around = (n: number, amplitude: number, highAt: number): [number, number][] =>
    Array.from({ length: n }, (_, i) => {
      const deg = (i * 360) / n;
      return [deg, 5 + amplitude * Math.cos(((deg - highAt) * Math.PI) / 180)];
    });
  const read = (body: Partial<EventBody<'runout-read'>>) =>
    job.put({
      type: 'runout-read',
      body: {
        face: 'hub',
        radiusMm: 60,
        readings: around(8, 0.01, 40),
        instrumentId: 'mic',
        ...body,
      },
    } as Entry);
  beforeEach(() => at(upTo('signed')));
  it('reads the hub first, then the disc, and names the best stud', () => {
    expect(read({ face: 'disc' })).toMatchObject({ rule: 'runout.hub-first', field: 'face' });
    expect(read({ readings: around(4, 0.01, 0) })).toMatchObject({ rule: 'runout.few' });
    expect(read({ readings: around(9, 0.01, 0).slice(0, 6) })).toMatchObject({
      rule: 'runout.uneven',
    });
    expect(read({ instrumentId: 'none' })).toMatchObject({ field: 'instrumentId' });
    expect(read({})).toBeUndefined();
    // On twice the radius the hub makes 0.02 at 40°; the disc's own 0.02 at 40° adds to it.
    expect(read({ face: 'disc', radiusMm: 120, readings: around(8, 0.04, 40) })).toBeUndefined();
    const now = runoutOf(job.now);
    expect(now.own?.amplitudeMm).toBeCloseTo(0.02, 9);
    expect(now.places?.[0]?.tiltMm).toBeCloseTo(0.08, 9);
    // Of five holes the ones nearest to the other side are two and three away: 144° apart.
    expect([2, 3]).toContain(now.best?.holes);
    expect(now.best?.tiltMm).toBeCloseTo(0.08 * Math.cos((72 * Math.PI) / 180), 9);
  });
  it('a hub read again takes the disc with it', () => {
    read({});
    read({ face: 'disc', radiusMm: 120 });
    expect(runoutOf(job.now).disc).toBeDefined();
    read({});
    expect(runoutOf(job.now)).not.toHaveProperty('disc');
  });
});
