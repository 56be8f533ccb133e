import { describe, expect, it } from 'vitest';
import { moneyInWords, readMoney } from '../units/index.ts';
import { branchesOf, quoteOf, type QuoteBasis } from './index.ts';

const basis: QuoteBasis = {
  currency: 'EUR',
  ratePerHourMinor: 6000,
  taxPercent: 25,
  plannedMin: 120,
  history: [],
  alignmentMin: 45,
  parts: [{ what: 'Bearing', minor: 4800 }],
};

describe('a quote', () => {
  it('rests on the plan until the shop has five jobs of the family: worked by hand', () => {
    const q = quoteOf(basis);
    expect(q.from).toBe('plan');
    // 120 min at 60.00 are 120.00, 0.9 and 1.5 times; alignment 45.00, bearing 48.00; a quarter on top.
    expect(q.lines[0]).toEqual({
      what: 'Labour',
      minor: { low: 10_800, likely: 12_000, high: 18_000 },
    });
    expect(q.lines[1]?.minor.likely).toBe(4500);
    expect(q.total).toEqual({ low: 25_125, likely: 26_625, high: 34_125 });
  });
  it('rests on the shop’s own minutes from five jobs on: tenth, middle and ninetieth of a hundred', () => {
    const q = quoteOf({ ...basis, history: [100, 110, 120, 130, 180] });
    expect(q).toMatchObject({ from: 'history', minutes: { low: 104, likely: 120, high: 160 } });
    expect(quoteOf({ ...basis, history: [100, 110, 120, 130] }).from).toBe('plan');
  });
  it('takes no rate of nothing, and names no branch that the family does not have', () => {
    expect(() => quoteOf({ ...basis, ratePerHourMinor: 0 })).toThrow(/^ratePerHourMinor:/u);
    expect(() => quoteOf({ ...basis, plannedMin: 0 })).toThrow(/^plannedMin:/u);
    expect(branchesOf('P3').map((b) => b.id)).toEqual(['sensor', 'bolts']);
    expect(quoteOf({ ...basis, alignmentMin: 0 }).lines.map((l) => l.what)).toEqual([
      'Labour',
      'Bearing',
    ]);
  });
});

it('money is read and written in the minor units of its currency', () => {
  // ISO 4217: the euro has cents, the yen has none.
  expect(moneyInWords(26_625, 'EUR')).toMatch(/^EUR\s266\.25$/u);
  expect(moneyInWords(266, 'JPY')).toMatch(/^JPY\s266$/u);
  expect(readMoney('266,25', 'EUR')).toBe(26_625);
  expect(readMoney('1 200', 'JPY')).toBe(1200);
  expect(readMoney('much', 'EUR')).toBeUndefined();
});
