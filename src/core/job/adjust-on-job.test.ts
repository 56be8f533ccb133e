import { beforeEach, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { makeCard } from '../card/index.ts';
import type { EventBody } from '../schemas/events.ts';
import { adjustOf, playInstrument } from './index.ts';

const a3 = walked.find((w) => w.family === 'A3')!;
const { entries } = workThrough(a3);
const read = entries.findIndex((e) => 'type' in e && e.type === 'play-read');

let job: Worked;
const at = (list: readonly Entry[]) => {
  job = new Worked(shopContext(a3.unit, a3.corner));
  for (const e of list) if (job.put(e)) throw new Error(JSON.stringify(e));
};
const play = (body: Partial<EventBody<'play-read'>> = {}) =>
  job.put({
    type: 'play-read',
    body: { readings: [[0, 0.06]], pastDeg: 4.8, instrumentId: 'dial', ...body },
  } as Entry);
const keep = (actual: number) =>
  job.put({
    type: 'stage-recorded',
    body: { stageId: 's5', toolId: 'dial', actual, typed: String(actual) },
  });

beforeEach(() => at(entries.slice(0, read)));

it('is read after the final torque, by an instrument of the shop, pulled further than pushed', () => {
  expect(play({ instrumentId: 'none' })).toMatchObject({ rule: 'kit.instrument' });
  expect(play({ readings: [[0.06, 0]] })).toMatchObject({ rule: 'adjust.sign', field: 'readings' });
  expect(play()).toBeUndefined();
  at(entries.slice(0, read - 1));
  expect(play()).toMatchObject({ rule: 'adjust.not-now' });
});

it('is kept only as it was read, and with the lock in a mark', () => {
  expect(keep(0.07)).toMatchObject({ rule: 'adjust.no-reading', field: 'actual' });
  play();
  expect(adjustOf(job.now)?.adjusted?.safe).toMatchObject({
    name: 'B',
    playMm: expect.closeTo(0.08, 6),
  });
  expect(adjustOf(job.now)).toMatchObject({ mayLock: false, turnTo: { name: 'B' } });
  expect(keep(0.06)).toMatchObject({ rule: 'adjust.between' });
  // Turned to B, it is read again there.
  play({ readings: [[0, 0.081]], pastDeg: 0, turnedDeg: -4.8 });
  expect(adjustOf(job.now)?.turnedDeg).toBeCloseTo(-4.8, 9);
  expect(adjustOf(job.now)).toMatchObject({ mayLock: true });
  expect(adjustOf(job.now)).not.toHaveProperty('turnTo');
  expect(keep(0.06)).toMatchObject({ rule: 'adjust.no-reading' });
  expect(keep(0.081)).toBeUndefined();
  const card = makeCard({ ...job.now, events: job.events, job: { number: '1', createdMs: 0 } });
  expect(card.torque?.readings.at(-1)).toMatchObject({
    actual: 0.081,
    unit: 'mm',
    status: 'good',
    tool: 'Dial indicator, magnet foot',
  });
});

it('out of its window is no Stop: the nut goes to another place of the lock', () => {
  play({ readings: [[0, 0.15]], pastDeg: 0 });
  expect(keep(0.15)).toBeUndefined();
  expect(adjustOf(job.now)?.isNow).toBe(true);
  play({ readings: [[0, 0.01]], pastDeg: 0 });
  expect(keep(0.01)).toBeUndefined();
  expect(adjustOf(job.now)?.isNow).toBe(true);
});

it('does not stand for a nut that was pulled again since: it is read anew', () => {
  expect(play({ readings: [[0, 0.08]], pastDeg: 0 })).toBeUndefined();
  const again = entries.filter((e) => 'type' in e && e.type === 'stage-recorded').slice(0, 4);
  for (const e of again) expect(job.put(e)).toBeUndefined();
  expect(adjustOf(job.now)).not.toHaveProperty('last');
  expect(keep(0.08)).toMatchObject({ rule: 'adjust.no-reading' });
});

it('is read with a dial that is fine enough, unless another is picked', () => {
  const of = (list: [string, number][], window = { lowMm: 0.02, highMm: 0.12 }) =>
    playInstrument(
      list.map(([id, doubtMm]) => ({ id, name: id, doubtMm })),
      window,
    )?.id;
  const caliper = ['caliper', 0.03] as [string, number];
  const mic = ['micrometer', 0.003] as [string, number];
  expect(of([caliper, mic, ['Dial, fine', 0.01]])).toBe('Dial, fine');
  expect(of([caliper, ['Old indicator', 0.05], mic])).toBe('micrometer');
  expect(of([caliper, ['Old indicator', 0.05]])).toBe('Old indicator');
  expect(of([])).toBeUndefined();
});

it('nearer to a limit than it may be off is asked about, and the way to a better place shown', () => {
  const window = adjustOf(job.now)!.window;
  expect(play({ readings: [[0, window.highMm - 0.002]], pastDeg: 0 })).toBeUndefined();
  const now = adjustOf(job.now)!;
  expect(now).toMatchObject({ mayLock: true, edge: { rule: 'adjust.place', status: 'check' } });
  expect(now.turnTo!.insideMm).toBeGreaterThan(0.01);
});
