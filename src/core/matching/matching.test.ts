import { describe, expect, it } from 'vitest';
import { exampleWork } from '../../../tests/example.ts';
import { bearingFaults, candidates, compare, mark, readingFault, type CataloguePart, type OldPart } from './index.ts';

const part = (number: string, over: Partial<CataloguePart['bearing']> = {}, more: Partial<CataloguePart> = {}): CataloguePart => ({ number, maker: 'Made up', kind: 'ring-set', bearing: { ...exampleWork.bearing, ...over }, stock: 1, priceMinor: 5000, currency: 'EUR', leadDays: 0, snapRingIncluded: true, ...more });
const old: OldPart = { doubtMm: 0.01, readings: { outerMm: [76.0, 76.01], boreMm: [40, 40.01], widthMm: [37, 37] }, encoder: { kind: 'magnetic', pairs: 48, side: 'inboard' } };

describe('match', () => {
  it('is the same within a tenth, in doubt on the edge, different beyond', () => {
    // ±0.1 mm of a nominal: common practice, no published source
    expect([mark(76.02, 76, 0.03), mark(76.09, 76, 0.03), mark(76.2, 76, 0.03), mark(undefined, 76, 0.03)]).toEqual(['same', 'doubt', 'different', 'unread']);
  });
  it('blocks a width that differs, with both figures', () => expect(compare(old, part('wide', { widthMm: 38 })).blockers[0]).toMatchObject({ status: 'stop', text: 'Width 38.00 against 37.00 read.' }));
  it('asks whether poles were counted for pairs', () => expect(compare(old, part('poles', { encoder: { kind: 'magnetic', pairs: 96 } })).blockers[0]!.text).toMatch(/count poles, not pairs/u));
  it('puts what is the same and on the shelf first', () => {
    expect(candidates(old, [part('wide', { widthMm: 38 }), part('later', {}, { stock: 0 }), part('now')]).map((c) => c.part.number)).toEqual(['now', 'later', 'wide']);
  });
  it('refuses readings and parts that cannot be', () => {
    expect(readingFault('boreMm', 80, old.readings)).toMatch(/cannot be larger than the outside, 76/u);
    expect(readingFault('widthMm', -3, {})).toMatch(/more than 0/u);
    expect(bearingFaults({ ...exampleWork.bearing, boreMm: 90 }).map((f) => f.field)).toContain('boreMm');
  });
});
