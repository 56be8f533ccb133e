import { expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { walked, Worked, workThrough } from '../../../tests/technician.ts';
import { makeCard } from '../card/index.ts';
import { scheduleAll } from '../plan/index.ts';
import { chosenPart, lifeBegun, plannedMinutes, progressOf, workLeft } from './index.ts';

const scheduleOf = (...of: Parameters<typeof workLeft>) => scheduleAll(workLeft(...of));

const p1 = walked[0]!;
const { entries } = workThrough(p1);
const upTo = (station: string) => {
  const job = new Worked(shopContext(p1.unit, p1.corner));
  const end = entries.findIndex(
    (e) => 'type' in e && e.type === 'station-done' && e.body.station === station,
  );
  for (const e of entries.slice(0, end + 1)) expect(job.put(e)).toBeUndefined();
  return job;
};

it('plans what is left: the whole job before it was begun, less with every station, nothing once it is signed', () => {
  const left = ['plan', 'press-out', 'press-in', 'torque'].map(
    (s) => scheduleOf(upTo(s).now, 0).endMin,
  );
  expect(left[0]).toBe(plannedMinutes(upTo('plan').now));
  expect(left).toEqual([...left].sort((a, b) => b - a));
  expect(left.at(-1)).toBe(25);
  expect(scheduleOf(workThrough(p1).worked.now, 0).endMin).toBe(0);
  expect(plannedMinutes(upTo('press-in').now)).toBe(plannedMinutes(upTo('match').now));
});

it('a soak that runs keeps its own minutes, and what needs it waits for it', () => {
  const job = upTo('plan');
  for (const stepId of ['ground', 'soak'])
    job.put({ type: 'step-done', body: { phase: 'strip', stepId } });
  job.put({ type: 'timer-started', body: { timerId: 'soak', label: 'soak', minutes: 20 } });
  const startedMs = job.now.state.timers[0]!.startedMs;
  expect(progressOf(job.now, startedMs + 5 * 60_000).get('prepare')).toEqual({
    handsLeftMin: 0,
    waitLeftMin: 15,
  });
  expect(progressOf(job.now, startedMs + 30 * 60_000).get('prepare')).toEqual({ over: true });
});

it('two corners of a car are planned as one visit, and use each other’s waits', () => {
  const { now } = upTo('match');
  const other = {
    jobId: 'k',
    number: '2',
    corner: 'RF' as const,
    family: 'P1' as const,
    plan: { route: 'bench' as const, soak: true, chill: false },
    begun: false,
  };
  const alone = scheduleOf(now, 0);
  const both = scheduleOf(now, 0, [other]);
  expect(both.endMin).toBeLessThan(2 * alone.endMin);
  // What is shown at once is a plan of the same work, no shorter than the search finds.
  const quick = scheduleAll(workLeft(now, 0, [other]), 'quick');
  expect(quick.endMin).toBeGreaterThanOrEqual(both.endMin);
  expect([quick.handsOnMin, quick.boundMin]).toEqual([both.handsOnMin, both.boundMin]);
  // A second job on a corner that is planned already is not planned beside itself.
  const again = [other, { ...other, jobId: 'l' }, { ...other, jobId: 'm', corner: 'LF' as const }];
  expect(scheduleOf(now, 0, again).endMin).toBe(both.endMin);
  expect(new Set(both.bars.map((b) => b.corner))).toEqual(new Set(['LF', 'RF', undefined]));
});

it('the customer’s yes stands on the card, to how much and told to whom', () => {
  const job = upTo('plan');
  const body = { who: 'Keeper of the pool', upToMinor: 35_000, currency: 'EUR' };
  expect(job.put({ type: 'quote-agreed', body })).toBeUndefined();
  const card = makeCard({ ...job.now, events: job.events, job: { number: '1', createdMs: 0 } });
  expect(card.agreed).toMatchObject({ by: body.who, who: 'ines' });
  expect(card.agreed?.upTo).toMatch(/350\.00/u);
});

it('goes by the shop’s own pace once enough jobs of the kind are known; what that is told against stays ours', () => {
  const { now } = upTo('plan');
  const paces = { P1: { ratio: 1.5, jobs: 7 } };
  const slow = { ...now, ctx: { ...now.ctx, shop: { demo: false, standIns: false, paces } } };
  const [ours, theirs] = [scheduleOf(now, 0), scheduleOf(slow, 0)];
  expect(theirs.handsOnMin / ours.handsOnMin).toBeCloseTo(1.5, 1);
  expect(plannedMinutes(slow)).toBe(plannedMinutes(now));
});

it('a life keeps what was agreed and what its job came to, in one currency', () => {
  const { now } = workThrough(p1).worked;
  const part = now.ctx.parts.find((p) => p.number === chosenPart(now)?.number)!;
  const by = { byId: 'ines', atMs: 0 };
  const agreed = { who: 'the driver', upToMinor: 30_000, currency: part.currency, ...by };
  const worked = { ...now, state: { ...now.state, agreed, work: { doneMs: 120 * 60_000 } } };
  const rates = { currency: part.currency, ratePerHourMinor: 6000 };
  const at = { number: '1', atKm: 1, day: '2026-01-01', atMs: 0 };
  expect(lifeBegun(worked, { ...at, rates })?.money).toEqual({
    agreedMinor: 30_000,
    cameToMinor: 12_000 + part.priceMinor,
    currency: part.currency,
  });
  // A nut that was taken by its number counts; in another currency nothing of it is told.
  const nut = (currency: string) => ({
    ...{ number: 'N-1', maker: 'Ours', item: 'axle-nut', sizeText: 'M22', stock: 1, leadDays: 0 },
    priceMinor: 800,
    currency,
  });
  const withNut = (currency: string) =>
    lifeBegun(worked, { ...at, rates, taken: [nut(currency)] })?.money;
  expect(withNut(part.currency)?.cameToMinor).toBe(12_800 + part.priceMinor);
  expect(withNut('NOK')).toBeUndefined();
  expect(lifeBegun(worked, { ...at, rates: { ...rates, currency: 'NOK' } })?.money).toBeUndefined();
  expect(lifeBegun(worked, at)?.money).toBeUndefined();
});
