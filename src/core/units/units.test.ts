import fc from 'fast-check';
import { evaluate } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  both,
  dimensions,
  firstUnit,
  fixed,
  KGF_M,
  LBF_FT,
  parseQuantity,
  SHORT_TON_N,
  timeLeft,
  unitSystems,
  wholePercents,
} from './index.ts';

const value = (text: string, dimension: Parameters<typeof parseQuantity>[1]) => {
  const p = parseQuantity(text, dimension);
  if (!p.ok) throw new Error(p.reason);
  return p.value;
};

describe('units', () => {
  it('holds the exact factors', () => {
    expect(LBF_FT).toBe(1.3558179483314004); // NIST SP 811
    expect(KGF_M).toBe(9.80665); // ISO 80000-4, standard gravity
    expect(SHORT_TON_N).toBeCloseTo(8896.443230521, 9); // NIST SP 811, 2000 lbf
  });

  it('agrees with a general-purpose units library', () => {
    // mathjs, unit conversion
    expect(value('181 lbft', 'torque')).toBeCloseTo(
      evaluate('181 lbf * ft to N m').toNumber('N m'),
      9,
    );
    expect(value('2.992 in', 'length')).toBeCloseTo(evaluate('2.992 inch to mm').toNumber('mm'), 9);
    expect(value('100 °F', 'temperature')).toBeCloseTo(
      evaluate('100 degF to degC').toNumber('degC'),
      9,
    );
    // A difference has no zero of a scale: 18 °F warmer is 10 °C warmer. NIST SP 811.
    expect(value('18 °F', 'rise')).toBeCloseTo(10, 9);
    expect(both(10, 'rise')).toMatchObject({ value: '10', other: '18 °F' });
    expect(value('50 mph', 'speed')).toBeCloseTo(
      evaluate('50 mi/hour to km/hour').toNumber('km/hour'),
      6,
    );
  });

  it('takes point or comma, other systems and odd spellings', () => {
    expect(value('41,5', 'length')).toBe(41.5);
    // Beside a nominal size a comma is no riddle.
    expect(parseQuantity('71,965', 'length', 72)).toMatchObject({ value: 71.965 });
    expect(parseQuantity('71,965', 'distance', 72_000)).toMatchObject({ value: 71_965 });
    expect(value('1 250', 'length')).toBe(1250);
    expect(value('70 N·m', 'torque')).toBe(70);
    expect(value('70 ft.lb', 'torque')).toBeCloseTo(94.907, 3);
    expect(value('−0.05', 'length')).toBe(-0.05);
  });

  // A nut of 66 lb·ft, typed as 66 in a shop that reads foot-pounds: 89.5 N·m by NIST SP 811, not 66.
  it('reads a bare number in the unit that its field shows, and sends it with that unit', () => {
    const nut = parseQuantity('66', 'torque', undefined, 'inch');
    expect(nut).toMatchObject({ ok: true, typed: '66 lb·ft' });
    expect(nut.ok && nut.value).toBeCloseTo(89.484, 3);
    expect(parseQuantity('66 N·m', 'torque', undefined, 'inch')).toMatchObject({ value: 66 });
    expect(parseQuantity('70°', 'temperature', undefined, 'inch')).toMatchObject({
      typed: '70 °F',
    });
    // Near is a size of the core, whatever it is typed in.
    expect(parseQuantity('2,833', 'length', 72, 'inch')).toMatchObject({ typed: '2,833 in' });
  });
  it('reads back in each system what it shows in it, and without a system what it sent', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...dimensions),
        fc.constantFrom(...unitSystems),
        fc.integer({ min: 1, max: 99_999 }).map((n) => n / 100),
        (dimension, system, figure) => {
          const here = parseQuantity(String(figure), dimension, undefined, system);
          if (!here.ok) throw new Error(here.reason);
          const shown = parseQuantity(`${figure} ${firstUnit(dimension, system)}`, dimension);
          const sent = parseQuantity(here.typed, dimension);
          const { unit } = both(here.value, dimension, 2, system);
          expect(unit.replace(/^turn$/u, 'turns')).toBe(firstUnit(dimension, system));
          expect(shown).toMatchObject({ value: here.value });
          expect(sent).toMatchObject({ value: here.value });
        },
      ),
    );
  });

  it.each([
    ['7o', 'length', /not a unit/u],
    ['abc', 'length', /not a number/u],
    ['2 15', 'length', /2\.15 or 215/u],
    ['1,250', 'torque', /1\.250 or 1250/u],
    ['20 ton', 'force', /Which ton/u],
    ['1.2.3', 'length', /more than one decimal mark/u],
    ['5 kg', 'torque', /not a unit of torque/u],
    ['', 'length', /Nothing typed/u],
  ] as const)('asks about “%s” as %s', (text, dimension, reason) => {
    const p = parseQuantity(text, dimension);
    expect(p.ok ? '' : p.reason).toMatch(reason);
  });

  it('shows both systems with the decimals of the instrument', () => {
    expect(both(103, 'torque')).toEqual({ value: '103', unit: 'N·m', other: '76 lb·ft' });
    expect(both(14.2, 'force').other).toBe('3 190 lbf');
    // NIST SP 811: an inch of mercury is 3.386 kPa.
    expect(both(16.93, 'pressure').other).toBe('5.0 inHg');
    expect(fixed(-0.04, 1)).toBe('0.0');
  });

  it('says what is left of a wait', () => {
    expect([timeLeft(160_000), timeLeft(22 * 60_000), timeLeft(65 * 60_000)]).toEqual([
      '2:40',
      '22 min',
      '1 h 05',
    ]);
  });

  it('shows per cents that sum to 100', () => {
    expect(wholePercents([1 / 3, 1 / 3, 1 / 3]).reduce((a, b) => a + b)).toBe(100);
  });
});
