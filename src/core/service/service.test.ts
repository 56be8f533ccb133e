import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { greaseVolume, serviceDue, servicesOf } from './index.ts';

const day = 86_400_000;
const { unit } = shopContext('unit-30', 'LF');
const on = '2025-01-01';
const since = Date.parse(on);
const last = { on, atKm: 100_000, what: 'packed' } as const;
const driven = (km: number, more = {}) => ({
  ...unit,
  odometerKm: 100_000 + km,
  serviced: { LF: last },
  ...more,
});
const at = (km: number, days: number, everyKm?: number, more = {}) =>
  serviceDue(driven(km, more), 'LF', { days: 365, km: everyKm }, since + days * day);

// Intervals: common practice, no published source; the arithmetic by hand.
describe('the service of a packed bearing', () => {
  it('is due by date, sooner by distance where the shop set one, and at once after deep water', () => {
    expect(at(8000, 100)).toMatchObject({ cause: 'date', dueMs: since + 365 * day });
    // 8,000 of 20,000 km in 100 days: the rest takes 150 more.
    expect(at(8000, 100, 20_000)).toMatchObject({ cause: 'distance', dueMs: since + 250 * day });
    expect(at(500, 100, 20_000)).toMatchObject({ cause: 'date' });
    expect(at(500, 100, 20_000, { wadedOn: '2025-03-01' })).toMatchObject({
      cause: 'deep-water',
      dueMs: Date.parse('2025-03-01'),
    });
    expect(at(500, 100, 20_000, { wadedOn: '2024-12-31' })).toMatchObject({ cause: 'date' });
    const sameDay = { wadedOn: on };
    expect(at(500, 100, 20_000, sameDay)).toMatchObject({ cause: 'deep-water' });
    const after = { LF: { ...last, afterWater: true as const } };
    expect(at(500, 100, 20_000, { ...sameDay, serviced: after })?.cause).toBe('date');
  });
  it('claims no day where nobody wrote down the last one, and is of no family that is sealed for life', () => {
    expect(serviceDue({ ...unit, serviced: {} }, 'LF', { days: 365 }, since)).toEqual({
      corner: 'LF',
      words: expect.stringContaining('end play by the dial'),
    });
    const p1 = shopContext('unit-07', 'LF').unit;
    expect(servicesOf(p1, { days: 365 }, since)).toEqual([]);
  });
  it('is another one where the axle’s oil feeds it', () => {
    const oiled = { ...unit.corners, LF: { ...unit.corners.LF!, feed: 'oil' as const } };
    expect(at(0, 1, undefined, { corners: oiled })?.words).toMatch(/^With the axle oil/u);
  });
  it('never comes later because more was driven', () => {
    fc.assert(
      fc.property(fc.nat(60_000), fc.nat(60_000), fc.integer({ min: 1, max: 400 }), (a, b, d) => {
        const due = (km: number) => at(km, d, 20_000)!.dueMs!;
        expect(due(Math.max(a, b))).toBeLessThanOrEqual(due(Math.min(a, b)));
      }),
    );
  });
});

it('fills a third to a half of the room between the cups', () => {
  // By hand: ring of 54 and 34 mm, 80 − 18 − 20 = 42 mm long: π/4 (2916 − 1156) 42 = 58.1 cm³.
  const v = greaseVolume(unit.corners.LF!, 34)!;
  expect(v.roomCm3).toBeCloseTo(58.06, 1);
  expect([v.low, v.high].map((x) => Math.round(x))).toEqual([19, 29]);
  expect(greaseVolume(unit.corners.LF!, undefined)).toBeUndefined();
  expect(greaseVolume({}, 34)).toBeUndefined();
  // A cone that is wider than the opening is of another hub.
  expect(greaseVolume(unit.corners.LF!, 60)).toBeUndefined();
});
