import { describe, expect, it } from 'vitest';
import { itGrade, tolerance } from './index.ts';
import { fineRanges, ranges } from './iso286.data.ts';

/** Steps of a table of ranges, each with the geometric mean of its ends, mm. */
const steps = (upTo: readonly number[]) =>
  upTo.map((high, i) => {
    const low = upTo[i - 1] ?? 3;
    return { sizeMm: high, meanMm: Math.sqrt(low * high) };
  });
const coarse = steps(ranges);
const fine = steps(fineRanges);

describe('every cell of the tables', () => {
  // ISO 286-1:2010, annex on the basis of the system: i = 0.45 ∛D + 0.001 D, IT5 7i, IT6 10i, … IT11 100i (memory).
  it.each([
    [5, 7],
    [6, 10],
    [7, 16],
    [8, 25],
    [9, 40],
    [10, 64],
    [11, 100],
  ])('IT%d is %d tolerance units, rounded', (grade, units) => {
    for (const { sizeMm, meanMm } of coarse) {
      const law = units * (0.45 * Math.cbrt(meanMm) + 0.001 * meanMm);
      expect(Math.abs(itGrade(sizeMm, grade) / law - 1), `${sizeMm}`).toBeLessThan(0.1);
    }
  });

  // The same annex: the law of each fundamental deviation, µm, D the geometric mean of its range (memory).
  const it7 = (d: number) => itGrade(d, 7);
  const laws: [string, (meanMm: number, sizeMm: number) => number, number][] = [
    ['f', (d) => -5.5 * d ** 0.41, 1],
    ['g', (d) => -2.5 * d ** 0.34, 1],
    ['k', (d) => 0.6 * Math.cbrt(d), 1],
    ['m', (_d, size) => it7(size) - itGrade(size, 6), 1],
    ['n', (d) => 5 * d ** 0.34, 1],
    ['p', (_d, size) => it7(size) + 2.5, 3],
  ];
  it.each(laws)('shaft %s follows its law', (letter, law, withinUm) => {
    for (const { sizeMm, meanMm } of coarse) {
      const { upperUm, lowerUm } = tolerance(sizeMm, `${letter}6`);
      const fundamental = letter === 'f' || letter === 'g' ? upperUm : lowerUm;
      const off = Math.abs(fundamental - law(meanMm, sizeMm));
      expect(off, `${letter} up to ${sizeMm}`).toBeLessThan(
        withinUm + 0.03 * Math.abs(fundamental),
      );
    }
  });
  it('shaft s stands off by IT8 and a little up to 50 mm, by IT7 and 0.4 D over it; r half way from p in ratio', () => {
    for (const { sizeMm, meanMm } of fine) {
      const s = tolerance(sizeMm, 's6').lowerUm;
      const law = sizeMm <= 50 ? itGrade(sizeMm, 8) + 2.5 : it7(sizeMm) + 0.4 * meanMm;
      expect(Math.abs(s - law), `s up to ${sizeMm}`).toBeLessThan(3 + 0.01 * s);
      const p = tolerance(sizeMm, 'p6').lowerUm;
      const r = tolerance(sizeMm, 'r6').lowerUm;
      expect(Math.abs(r - Math.sqrt(p * s)), `r up to ${sizeMm}`).toBeLessThan(2);
    }
  });

  // ISO 286-2:2010, whole rows from 3 to 500 mm, lower limits of k6, m6, n6 and p6 (memory).
  it.each([
    ['k6', [1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5]],
    ['m6', [4, 6, 7, 8, 9, 11, 13, 15, 17, 20, 21, 23]],
    ['n6', [8, 10, 12, 15, 17, 20, 23, 27, 31, 34, 37, 40]],
    ['p6', [12, 15, 18, 22, 26, 32, 37, 43, 50, 56, 62, 68]],
  ])('%s begins where the standard says, in every range', (cls, row) =>
    expect(ranges.map((size) => tolerance(size, cls).lowerUm)).toEqual(row),
  );
});

// ISO 286-2:2010 (memory): holes K, M, N carry Δ up to IT8, P and R up to IT7 only; M6 over 250 to 315 is printed as −9.
it.each([
  [300, 'M6', -9, -41],
  [250, 'M6', -8, -37],
  [40, 'K4', 1, -6],
  [60, 'M4', -8, -16],
  [40, 'K8', 12, -27],
  [40, 'M8', 5, -34],
  [40, 'N8', -3, -42],
  [72, 'N8', -4, -50],
  [40, 'P8', -26, -65],
  [40, 'K7', 7, -18],
  [40, 'M7', 0, -25],
  [40, 'N9', 0, -62],
])('%d %s is %d / %d µm', (size, cls, upperUm, lowerUm) =>
  expect(tolerance(size, cls)).toEqual({ upperUm, lowerUm }),
);
