import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  ageWeight,
  countsOf,
  judge,
  learnt,
  lessonsOf,
  type LikelihoodTables,
  type Outcome,
  plainTables,
  rowFault,
  rowsOf,
  testById,
  tests,
  testsOf,
} from './index.ts';

const spring = testById('spring')!;
const heat = testById('heat')!;
const outcome = (n: number, result = 'gritty'): Outcome => ({
  jobNumber: `2026-${n}`,
  layout: 'front',
  suspectId: 'bearing-RF',
  results: [
    { testId: 'spring', place: 'RF', result },
    { testId: 'spring', place: 'LF', result: 'smooth' },
    { testId: 'heat', place: 'front', value: -20 },
    { testId: 'bench', place: 'RF', result: 'sandy' },
    { testId: 'rock', place: 'RF', skipped: true },
  ],
});
const tablesOf = (list: Outcome[], edits: LikelihoodTables['edits'] = {}): LikelihoodTables => ({
  version: 0,
  edits,
  counts: countsOf(list),
  outcomes: list.length,
});

describe('tables that learn', () => {
  it('count each result in the row it falls into, and neither skipped tests nor the bench reading itself', () => {
    expect(countsOf([outcome(1), outcome(2, 'smooth')])).toEqual({
      spring: { 'bearing:here': [1, 0, 1], rest: [2, 0, 0] },
      heat: { 'bearing:right': [2, -40, 800] },
    });
  });

  it('move a row as a Dirichlet mean does: (20 p + n) ÷ (20 + N) (Dirichlet–multinomial, textbook; from memory)', () => {
    const after = rowsOf(
      testsOf(tablesOf([outcome(1), outcome(2)])).find((t) => t.id === 'spring')!,
    )['bearing:here']!;
    [0.14, 0.5, 0.36].forEach((p, i) =>
      expect(after[i]).toBeCloseTo((20 * p + (i === 2 ? 2 : 0)) / 22, 12),
    );
  });

  it('keep every row a distribution, drawn towards what was seen, whatever was counted', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(200), { minLength: 3, maxLength: 3 }), (counts) => {
        const row = learnt(spring, rowsOf(spring)['bearing:here']!, counts);
        const n = counts.reduce((a, b) => a + b, 0);
        expect(row.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
        row.forEach((p) => expect(p).toBeGreaterThan(0));
        if (n > 0)
          row.forEach((p, i) => {
            const [was, seen] = [rowsOf(spring)['bearing:here']![i]!, counts[i]! / n];
            expect((p - was) * (seen - was)).toBeGreaterThanOrEqual(-1e-12);
          });
      }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -90, max: 90, noNaN: true }), { minLength: 1, maxLength: 60 }),
        (values) => {
          const sum = (f: (x: number) => number) => values.reduce((a, x) => a + f(x), 0);
          const [mean, spread] = learnt(
            heat,
            [11, 10],
            [values.length, sum((x) => x), sum((x) => x * x)],
          ) as [number, number];
          expect(mean).toBeCloseTo((20 * 11 + sum((x) => x)) / (20 + values.length), 9);
          expect(spread).toBeGreaterThanOrEqual(5);
        },
      ),
    );
  });

  it('change the judgement, and go back to ours when nothing is counted', () => {
    const results = [{ testId: 'spring', place: 'RF', result: 'smooth' }] as const;
    const before = judge('front', undefined, results).suspects.find(
      (s) => s.id === 'bearing-RF',
    )!.probability;
    const taught = testsOf(tablesOf(Array.from({ length: 30 }, (_, i) => outcome(i, 'smooth'))));
    expect(
      judge('front', undefined, results, { tables: taught }).suspects.find(
        (s) => s.id === 'bearing-RF',
      )!.probability,
    ).toBeGreaterThan(before * 1.5);
    expect(testsOf(plainTables)).toBe(tests);
  });

  it('say what one job taught, as the difference it made', () => {
    const first = tablesOf([outcome(1)]);
    const lesson = lessonsOf(first, outcome(2)).find(
      (l) => l.testId === 'spring' && l.key === 'bearing:here',
    )!;
    expect(lesson.before).toEqual(
      rowsOf(testsOf(first).find((t) => t.id === 'spring')!)['bearing:here'],
    );
    expect(lesson.after).toEqual(
      rowsOf(testsOf(tablesOf([outcome(1), outcome(2)])).find((t) => t.id === 'spring')!)[
        'bearing:here'
      ],
    );
  });

  it('refuse rows that rule out, do not sum, or claim too much', () => {
    expect(rowFault(spring, 'bearing:here', [0.2, 0.5, 0.3])).toBeUndefined();
    expect(rowFault(spring, 'bearing:here', [0, 0.7, 0.3])).toMatch(/Smooth/u);
    expect(rowFault(spring, 'bearing:here', [0.3, 0.5, 0.3])).toMatch(/110 %/u);
    expect(rowFault(spring, 'bearing:here', [0.5, 0.5])).toMatch(/3 results/u);
    expect(rowFault(spring, 'wheel:here', [0.2, 0.5, 0.3])).toMatch(/no row/u);
    expect(rowFault(heat, 'bearing:left', [11, 0.5])).toMatch(/spread/u);
    expect(rowFault(heat, 'bearing:left', [400, 9])).toMatch(/outside/u);
  });
});

describe('history of the unit', () => {
  const history = {
    odometerKm: 180_000,
    fitted: { LF: { atKm: 0, again: false }, RF: { atKm: 150_000, again: true } },
    exposure: ['towing'],
  } as const;
  it('weighs distance, work done lately and exposure, and shows them as reasons', () => {
    expect(ageWeight(180_000, history.fitted.LF)).toBeGreaterThan(
      ageWeight(180_000, history.fitted.RF),
    );
    expect(ageWeight(150_900, history.fitted.RF)).toBeGreaterThan(
      ageWeight(158_000, history.fitted.RF),
    );
    const p = (id: string, h?: Parameters<typeof judge>[3]) =>
      judge('rear', undefined, [], h).suspects.find((s) => s.id === id)!;
    expect(p('bearing-LF', { history }).probability).toBeGreaterThan(
      2 * p('bearing-RF', { history }).probability,
    );
    expect(p('bearing-LR', { history }).probability / p('bearing-LR').probability).toBeGreaterThan(
      1,
    );
    expect(p('bearing-LF', { history }).reasons.map((r) => r.label)).toEqual([
      'LF bearing from the factory, 180 000 km',
      'RF bearing fitted anew, 30 000 km',
      'On record: heavy towing',
    ]);
  });
});
