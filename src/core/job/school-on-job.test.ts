import { describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { walked, Worked, workThrough } from '../../../tests/technician.ts';
import { makeCard } from '../card/index.ts';
import { families, schoolIds, schools, schoolsOf } from '../families/index.ts';
import type { EventBody } from '../schemas/events.ts';
import { learnedOn, ringHolds, strokesOf, usualWay, wayOf } from './index.ts';
import { schoolRefusal } from './school-on-job.ts';

const a3 = walked.find((w) => w.family === 'A3')!;
const fresh = () => new Worked(shopContext(a3.unit, a3.corner));
const choose = (job: Worked, body: EventBody<'school-chosen'>) =>
  job.put({ type: 'school-chosen', body });

describe('where good technicians differ', () => {
  it('has a default and a reason for every way, and is asked of the families it belongs to', () => {
    for (const id of schoolIds) {
      const { options } = schools[id];
      expect(options.length, id).toBeGreaterThan(1);
      expect(new Set(options.map((o) => o.id)).size).toBe(options.length);
      for (const o of options) expect(o.why, `${id} ${o.id}`).not.toBe('');
      expect(
        families.some((f) => schoolsOf(f.code).includes(id)),
        id,
      ).toBe(true);
    }
    expect(schoolsOf('A2')).toContain('collar');
    expect(schoolsOf('P3')).not.toContain('adjust');
  });
  it('takes another way only with its reason, and none that the family does not have', () => {
    const job = fresh();
    expect(choose(job, { school: 'collar', option: 'one' })).toMatchObject({ rule: 'school.none' });
    expect(choose(job, { school: 'adjust', option: 'loose' })).toMatchObject({
      rule: 'school.none',
      field: 'option',
    });
    expect(choose(job, { school: 'adjust', option: 'tight' })).toMatchObject({
      rule: 'school.reason',
      field: 'reason',
    });
    expect(choose(job, { school: 'adjust', option: 'tight', reason: 'rough quarry work' })).toBe(
      undefined,
    );
    expect(wayOf(job.now, 'adjust')).toBe('tight');
    expect(choose(job, { school: 'adjust', option: 'play' })).toBeUndefined();
    expect(wayOf(job.now, 'adjust')).toBe('play');
  });
  it('goes the shop’s own way where a lead has set one: then that needs no reason, and ours does', () => {
    const job = fresh();
    const shop = { demo: false, standIns: false, schools: { adjust: 'tight' } };
    job.now = { ...job.now, ctx: { ...job.now.ctx, shop } };
    expect(usualWay(job.now, 'adjust')).toBe('tight');
    expect(choose(job, { school: 'adjust', option: 'tight' })).toBeUndefined();
    expect(choose(job, { school: 'adjust', option: 'play' })).toMatchObject({
      rule: 'school.reason',
    });
  });
  it('presses axle bearing and ring in one stroke where that is chosen, and settles it with the first stroke', () => {
    const [a2, inOne] = walked.filter((w) => w.family === 'A2');
    const one = { school: 'collar', option: 'one', reason: 'its fitting sheet' } as const;
    const { worked } = workThrough(inOne!);
    const { now } = worked;
    expect(strokesOf(now)).toEqual(['shaft-bearing-off', 'bearing-and-ring-on']);
    expect(now.state.signed).toBeDefined();
    expect(ringHolds(now, 'bearing-and-ring-on')?.holdsKn).toBeGreaterThan(1);
    const made = workThrough(a2!).worked;
    expect(ringHolds(made.now, 'press-ring-on')?.holdsKn).toBeCloseTo(
      ringHolds(now, 'bearing-and-ring-on')!.holdsKn,
      9,
    );
    const begun = { ...made.now, state: { ...made.now.state, signed: undefined } };
    expect(schoolRefusal(one, begun)).toMatchObject({ rule: 'school.begun', field: 'option' });
    // What the shop sets for others afterwards does not turn a job that went one way.
    const shop = { demo: false, standIns: false, schools: { collar: 'one' } };
    const later = { ...begun, ctx: { ...begun.ctx, shop } };
    expect(wayOf(later, 'collar')).toBe('two');
  });
  it('stands on the card, and a bearing that is fed otherwise from now on is marked on its unit', () => {
    const onOil = walked.find((w) => w.way?.option === 'oil')!;
    const job = workThrough(onOil).worked;
    const card = makeCard({ ...job.now, events: job.events, job: { number: '1', createdMs: 0 } });
    expect(card.ways?.map((l) => l.value)).toEqual(
      expect.arrayContaining([
        'axle oil, inner seal left out: its fitting sheet',
        'small end play by the dial',
      ]),
    );
    const raised = card.seen?.find((l) => l.what.startsWith('Oil for the hubs'));
    expect(raised?.value).toBe('Measured out: 400 mL');
    const bare = { type: 'fact-seen', body: { factId: 'hub-oil-measured' } } as const;
    const before = new Worked(shopContext(onOil.unit, onOil.corner));
    expect(before.put(bare)).toMatchObject({ rule: 'fact.amount', field: 'amountMl' });
    expect(learnedOn(job.now, '1')?.corner.feed).toBe('oil');
    const plain = workThrough(a3).worked;
    expect(learnedOn(plain.now, '1')).toBeUndefined();
  });
});
