import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleWork } from '../../../tests/example.ts';
import type { CornerRecord } from '../corner-record.ts';
import { sentence } from '../rules/index.ts';
import { madeUpConsumables, madeUpParts } from '../standins/catalogue.ts';
import {
  atTwenty,
  bearingFaults,
  candidates,
  type CataloguePart,
  compare,
  conflicts,
  hasSize,
  indexParts,
  mark,
  measureAgain,
  type OldPart,
  outlierInWords,
  partKinds,
  readingFault,
  searchParts,
  sizeNeeded,
  sizeOf,
  statsOf,
} from './index.ts';

const part = (
  number: string,
  over: Partial<CataloguePart['bearing']> = {},
  more: Partial<CataloguePart> = {},
): CataloguePart => ({
  number,
  maker: 'Made up',
  kind: 'ring-set',
  bearing: { ...exampleWork.bearing, ...over },
  stock: 1,
  priceMinor: 5000,
  currency: 'EUR',
  leadDays: 0,
  snapRingIncluded: true,
  ...more,
});
const old: OldPart = {
  kind: 'ring-set',
  doubtMm: 0.01,
  readings: { outerMm: [76.0, 76.01], boreMm: [40, 40.01], widthMm: [37, 37] },
  encoder: { kind: 'magnetic', pairs: 48, side: 'inboard' },
};

describe('what is used up', () => {
  const record: CornerRecord = {
    family: 'P1',
    knuckle: exampleWork.knuckle,
    nut: { threadMm: 22, pitchMm: 1.5, hand: 'left', lock: 'stake' },
    source: 'made up',
  };
  const snapRing = { id: 'snap-ring', singleUse: true };
  const stock = madeUpConsumables(3, 1);
  it('is offered in the size of the corner alone: the ring by its bore, the nut by thread and hand', () => {
    const of = (item: string, singleUse = true) => {
      const n = sizeNeeded({ id: item, singleUse }, record);
      return n.kind === 'size'
        ? stock.filter((c) => c.item === item && hasSize(c, n.size)).map((c) => c.sizeText)
        : n.kind;
    };
    expect(of('snap-ring')).toEqual(['76 mm bore']);
    expect(of('axle-nut')).toEqual(['M22 × 1.5, left-hand thread, staked collar']);
    expect([of('pinch-bolts'), of('axle-seal'), of('seat-oil', false)]).toEqual([
      'by-the-old-one',
      'by-the-old-one',
      'any',
    ]);
    expect(sizeNeeded(snapRing, undefined).kind).toBe('by-the-old-one');
  });
  it('is not taken to fit where its catalogue does not say', () => {
    const { size: _unsaid, ...bare } = stock.find((c) => c.item === 'snap-ring')!;
    expect(hasSize(bare, { outerMm: 76 })).toBe(false);
  });
});

describe('match', () => {
  it('is the same within a tenth by calliper, in doubt on the edge, different beyond; finer by micrometer', () => {
    // ±0.1 mm of a nominal: common practice, no published source
    expect([
      mark(76.02, 76, 0.03),
      mark(76.09, 76, 0.03),
      mark(76.2, 76, 0.03),
      mark(undefined, 76, 0.03),
    ]).toEqual(['same', 'doubt', 'different', 'unread']);
    expect([mark(37.1, 37, 0.003), mark(37.01, 37, 0.003)]).toEqual(['different', 'same']);
  });
  it('blocks a width that differs, with both figures', () =>
    expect(compare(old, part('wide', { widthMm: 38 })).blockers[0]).toMatchObject({
      status: 'stop',
      rule: 'match.size',
      part: 'Width',
      with: { nominal: '38.00', read: '37.00' },
    }));
  it('asks whether poles were counted for pairs', () =>
    expect(
      sentence(
        compare(old, part('poles', { encoder: { kind: 'magnetic', pairs: 96 } })).blockers[0]!,
      ),
    ).toMatch(/count poles, not pairs/u));
  it('puts what is the same and on the shelf first', () => {
    expect(
      candidates(old, [
        part('wide', { widthMm: 38 }),
        part('later', {}, { stock: 0 }),
        part('now'),
      ]).map((c) => c.part.number),
    ).toEqual(['now', 'later', 'wide']);
  });
  it.each<[string, Partial<OldPart>, Partial<CataloguePart>, string, RegExp]>([
    [
      'a straight roller for a taper',
      { rolling: 'taper' },
      { rolling: 'cylindrical' },
      'match.rolling',
      /no side load/u,
    ],
    [
      'a seal turned round',
      { seals: { inboard: 'contact', outboard: 'shield' } },
      { seals: { inboard: 'shield', outboard: 'contact' } },
      'match.seals',
      /other way/u,
    ],
    [
      'a spacer built in',
      { spacer: 'separate' },
      { spacer: 'built-in' },
      'match.spacer',
      /built in/u,
    ],
    ['a lower rating', { ratingKn: 45 }, {}, 'match.rating', /39 kN is below the 45 kN/u],
    ['another kind', {}, { kind: 'hub-unit' }, 'match.kind', /bolt-on hub unit/u],
  ])('stops %s, whatever the size', (_, was, is, rule, text) => {
    const c = compare({ ...old, ...was }, part('x', {}, is));
    expect(c.blockers.map((b) => b.rule)).toEqual([rule]);
    expect(sentence(c.blockers[0]!)).toMatch(text);
    expect(c.status).toBe('stop');
  });
  it('does not count what the catalogue leaves out as the same', () => {
    const unit = part('u', {}, { kind: 'hub-unit' });
    const c = compare({ ...old, kind: 'hub-unit', readings: { pilotMm: [84, 84] } }, unit);
    expect([c.marks.pilotMm, c.status]).toEqual(['doubt', 'check']);
    expect(c.notes.join()).toMatch(/does not say: pilot/u);
  });
  it('sends back to a finer tool when two are closer than the doubt, and is quiet once it was used', () => {
    const twins = [part('a'), part('b', { widthMm: 37.1 })];
    const by = (doubtMm: number, widthMm: number): OldPart => ({
      ...old,
      doubtMm,
      readings: { ...old.readings, widthMm: [widthMm, widthMm] },
    });
    const tools = [
      { name: 'micrometer', doubtMm: 0.003 },
      { name: 'calliper', doubtMm: 0.03 },
    ];
    const told = measureAgain(candidates(by(0.03, 37.02), twins), by(0.03, 37.02), tools);
    expect(told).toMatchObject({ dimension: 'widthMm', between: ['a', 'b'] });
    expect(told!.needMm).toBeCloseTo(0.05, 9);
    expect(told!.text).toContain('micrometer');
    expect(
      measureAgain(candidates(by(0.003, 37.001), twins), by(0.003, 37.001), tools),
    ).toBeUndefined();
  });
  it('refuses readings and parts that cannot be', () => {
    expect(readingFault('boreMm', 80, old.readings)).toMatch(
      /cannot be larger than the outside, 76/u,
    );
    expect(readingFault('widthMm', -3, {})).toMatch(/more than 0/u);
    expect(bearingFaults({ ...exampleWork.bearing, boreMm: 90 }).map((f) => f.field)).toContain(
      'boreMm',
    );
  });
  it('says when old part and seats cannot belong together', () => {
    expect(conflicts({ outerMm: 76, widthMm: 37 }, { boreMm: 75.98 }, 37)).toEqual([]);
    expect(conflicts({ outerMm: 72 }, { boreMm: 75.98 }).map((c) => c.field)).toEqual(['outerMm']);
    expect(
      conflicts({ boreMm: 40, widthMm: 18 }, { journalMm: 42 }, 37).map((c) => c.field),
    ).toEqual(['boreMm', 'widthMm']);
  });
});

describe('measuring', () => {
  const taken = (values: number[]) =>
    values.map((v, i) => ({ valueMm: v, atTwentyMm: v, plane: i >> 1, angleDeg: 90 * (i % 2) }));
  it('takes the zero off and brings steel to 20 °C', () => {
    // 12e-6 /K × 76 mm × 30 K = 0.0274 mm (linear expansion, coefficient from Machinery's Handbook, memory)
    expect(atTwenty({ valueMm: 76.03, zeroMm: 0.002, partC: 50 })).toBeCloseTo(76.028 - 0.0274, 3);
    expect(atTwenty({ valueMm: 76.03 })).toBe(76.03);
  });
  it('keeps running mean, out of round and taper', () => {
    const s = statsOf(taken([76, 76.02, 76.01, 76.01]), 0.003)!;
    expect([s.meanMm, s.outOfRoundMm, s.taperMm].map((x) => Number(x.toFixed(4)))).toEqual([
      76.01, 0.02, 0,
    ]);
    expect(s.doubtMm).toBeGreaterThan(0.003);
  });
  it('points at the one reading that stands apart, and at none that do not', () => {
    const s = statsOf(taken([76.0, 76.01, 76.31, 76.0]), 0.003)!;
    expect(outlierInWords(s.outlier!)).toBe('Reading 3 is 0.31 mm over the rest: a slip?');
    expect(statsOf(taken([21.02, 21.33]), 0.03)!.outlier).toMatchObject({ index: 1 });
    expect(statsOf(taken([21.02, 21.1]), 0.03)!.outlier).toBeUndefined();
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -0.01, max: 0.01, noNaN: true }), { minLength: 3, maxLength: 8 }),
        (offs) => {
          expect(statsOf(taken(offs.map((o) => 76 + o)), 0.003)!.outlier).toBeUndefined();
        },
      ),
    );
  });
});

describe('the made-up catalogue', () => {
  const list = madeUpParts(2000, 11);
  const index = indexParts(list);
  it('holds every kind, parts that can be, unique numbers, and a near-twin in every fifth', () => {
    expect(new Set(list.map((p) => p.kind)).size).toBe(partKinds.length);
    expect(list.flatMap((p) => bearingFaults(p.bearing))).toEqual([]);
    expect(index.byNumber.size).toBe(list.length);
    const twins = list.filter(
      (p, i) =>
        i % 5 === 4 &&
        p.kind === list[i - 1]!.kind &&
        p.bearing.outerMm === list[i - 1]!.bearing.outerMm &&
        JSON.stringify({ ...p, number: '' }) !== JSON.stringify({ ...list[i - 1]!, number: '' }),
    );
    expect(twins.length).toBe(400);
    expect(madeUpConsumables(3, 1).length).toBeGreaterThanOrEqual(60);
  });
  it('is searched as a plain filter would, nearest first', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 45, max: 100 }),
        fc.integer({ min: 25, max: 60 }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.constantFrom(undefined, ...partKinds),
        (outerMm, boreMm, toleranceMm, kind) => {
          const found = searchParts(index, {
            sizes: { outerMm, boreMm },
            toleranceMm,
            ...(kind ? { kind } : {}),
            most: 5000,
          });
          const plain = list.filter(
            (p) =>
              (!kind || p.kind === kind) &&
              Math.abs(p.bearing.outerMm - outerMm) <= toleranceMm + 1e-9 &&
              Math.abs(p.bearing.boreMm - boreMm) <= toleranceMm + 1e-9,
          );
          expect(new Set(found.parts.map((p) => p.number))).toEqual(
            new Set(plain.map((p) => p.number)),
          );
          const off = found.parts.map(
            (p) =>
              Math.abs(sizeOf(p, 'outerMm')! - outerMm) + Math.abs(sizeOf(p, 'boreMm')! - boreMm),
          );
          off.slice(1).forEach((o, i) => expect(o).toBeGreaterThanOrEqual(off[i]! - 1e-9));
        },
      ),
    );
    expect(
      searchParts(index, { text: list[7]!.number.toLowerCase() }).parts.map((p) => p.number),
    ).toContain(list[7]!.number);
  });
});
