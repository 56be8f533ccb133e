import { describe, expect, it } from 'vitest';
import { plainPress, plainStroke } from '../../../tests/plain-stroke.ts';
import { materials } from '../fits/index.ts';
import { type RuleId, sentence } from '../rules/index.ts';
import type { Verdict } from '../verdict.ts';
import {
  classFits,
  engagedShare,
  forceAtKn,
  judgeReading,
  judgeStroke,
  type Requirement,
  type Setup,
  easedMm,
  strokeForceKn,
  type StrokeReading,
  type StrokeResult,
  usualSchool,
} from './index.ts';
import { exampleWork } from '../../../tests/example.ts';

/** 40 mm of way into a seat of 40 mm: half of the force at half of the way. */
const full = { low: 20, likely: 30, high: 40 };
const on: Setup = { requirement: plainStroke, press: plainPress, forceKn: full };
const off: Setup = { ...on, requirement: { ...plainStroke, fitting: false } };
const whole = (v: Verdict) => expect(sentence(v)).not.toMatch(/undefined|NaN|\{/u);

// Bands and their limits: our judgement; the figures are shares of the full force by hand.
describe('one reading of a stroke, at its limits', () => {
  const at = (travelMm: number, forceKn: number): StrokeReading => ({ travelMm, forceKn });
  it.each<[string, Setup, StrokeReading, RuleId, Partial<Verdict>]>([
    ['all that the press gives', on, at(20, 100), 'stroke.above', { status: 'stop' }],
    [
      'more than the press gives',
      on,
      at(20, 100.1),
      'stroke.capacity',
      { part: 'The press', value: 100.1, min: 0, max: 100, unit: 'kN' },
    ],
    ['the most of the band', on, at(20, 20), 'stroke.in-band', { min: 10, max: 20, value: 20 }],
    ['over the band', on, at(20, 20.1), 'stroke.above', { status: 'check', max: 20, unit: 'kN' }],
    ['half over the band', on, at(20, 30), 'stroke.above', { status: 'check' }],
    ['more than half over it', on, at(20, 30.1), 'stroke.above', { status: 'stop' }],
    ['the least of the band', on, at(20, 10), 'stroke.in-band', { with: { fitting: 'yes' } }],
    ['under the band', on, at(20, 9.9), 'stroke.easy', { status: 'check', value: 9.9, min: 10 }],
    ['home, with force risen over the ramp', on, at(40, 40.1), 'stroke.seated', { value: 40.1 }],
    ['as far before plan as home may be', on, at(39.7, 39.8), 'stroke.seated', {}],
    ['a hair before that', on, at(39.6, 39.8), 'stroke.above', { status: 'check' }],
    ['there without the rise of a seat', on, at(40, 40), 'stroke.in-band', {}],
    ['as far past plan as home may be', on, at(40.3, 41), 'stroke.seated', {}],
    ['as much as the shoulder may ask', on, at(40, 80), 'stroke.seated', {}],
    ['more than it may ask', on, at(40, 80.1), 'stroke.forced', { status: 'stop', max: 80 }],
    ['past it', on, at(40.4, 30), 'stroke.past', { status: 'stop', with: { past: '0.4' } }],
    [
      'it breaks away over the full force',
      off,
      at(0.9, 41),
      'stroke.break-away',
      { value: 41, min: 20, max: 40 },
    ],
    ['it breaks away with it', off, at(0.9, 40), 'stroke.in-band', { with: { fitting: '' } }],
    ['a millimetre on it has broken away', off, at(1, 39.1), 'stroke.above', { status: 'check' }],
    ['coming off nothing is too easy', off, at(20, 0.5), 'stroke.in-band', {}],
    ['nor seated nor past', off, at(41, 0), 'stroke.in-band', {}],
  ])('%s', (_what, setup, reading, rule, says) => {
    const v = judgeReading(reading, setup);
    expect(v).toMatchObject({ rule, ...says });
    whole(v);
  });
});

describe('the verdict that is kept of a stroke, at its limits', () => {
  it.each<[string, Setup, StrokeResult, [RuleId, Partial<Verdict>][]]>([
    [
      'to plan',
      on,
      { depthMm: 40, peakKn: 30 },
      [
        [
          'stroke.good',
          { value: 30, min: 20, max: 40, unit: 'kN', with: { fitting: 'yes', force: 'read' } },
        ],
      ],
    ],
    ['as deep as may be', on, { depthMm: 40.3, peakKn: 40 }, [['stroke.good', {}]]],
    ['as little deep as may be', on, { depthMm: 39.7, peakKn: 20 }, [['stroke.good', {}]]],
    [
      'deeper',
      on,
      { depthMm: 40.31, peakKn: 30 },
      [
        [
          'stroke.seat',
          {
            status: 'stop',
            value: 40.31,
            min: 39.7,
            max: 40.3,
            unit: 'mm',
            with: { off: '0.31' },
          },
        ],
      ],
    ],
    ['not deep enough', on, { depthMm: 39.69 }, [['stroke.seat', { with: { off: '0.31' } }]]],
    [
      'in with too little',
      on,
      { depthMm: 40, peakKn: 19.9 },
      [['stroke.easy', { value: 19.9, min: 20, max: 40, with: { kept: 'yes' } }]],
    ],
    [
      'in with too much, and not home',
      on,
      { depthMm: 39, peakKn: 80.1 },
      [
        ['stroke.seat', {}],
        ['stroke.forced', { status: 'stop', value: 80.1, max: 80 }],
      ],
    ],
    [
      'driven, no force read',
      on,
      { depthMm: 40 },
      [['stroke.good', { with: { fitting: 'yes', force: 'none' } }]],
    ],
    [
      'off, with little',
      off,
      { peakKn: 1 },
      [['stroke.good', { with: { fitting: '', force: 'read' } }]],
    ],
    ['off, with too much', off, { peakKn: 40.1 }, [['stroke.above', { status: 'check' }]]],
  ])('%s', (_what, setup, result, says) => {
    const { verdicts } = judgeStroke(result, setup);
    expect(verdicts.map((v) => v.rule)).toEqual(says.map(([rule]) => rule));
    says.forEach(([, more], i) => expect(verdicts[i]).toMatchObject(more));
    verdicts.forEach(whole);
  });
  it('is Stop where no depth was read', () =>
    expect(judgeStroke({ peakKn: 30 }, on).status).toBe('stop'));
});

// Geometry: what is engaged of a seat carries its share of the force.
describe('force along a stroke', () => {
  it('grows into the seat and falls out of it, between nothing and all', () => {
    expect([0, 10, 40, 50].map((mm) => forceAtKn(on, mm).likely)).toEqual([0, 7.5, 30, 30]);
    expect([0, 10, 40].map((mm) => forceAtKn(off, mm).high)).toEqual([40, 30, 0]);
    expect(engagedShare({ ...on, forceKn: { low: 0, likely: 0, high: 0 } }, 10)).toBe(0.25);
  });
  it('is of both fits where a second one closes later, each as far as it is engaged', () => {
    const then = { ...plainStroke.seat, lengthMm: 10, fromMm: 30 };
    const both: Setup = {
      ...on,
      requirement: { ...plainStroke, then },
      thenKn: { low: 4, likely: 6, high: 8 },
    };
    // 24 kN of the first by 40 mm, 6 kN of the second from 30 to 40 mm.
    expect([20, 30, 35, 40].map((mm) => forceAtKn(both, mm).likely)).toEqual([12, 18, 24, 30]);
    expect(forceAtKn({ ...both, thenKn: { low: 90, likely: 90, high: 90 } }, 30).high).toBe(0);
  });
  it('of a chilled ring is that of one so much smaller: whole, half and none of its shrink', () => {
    const bore = { low: 0.04, likely: 0.05, high: 0.06 };
    const fits = (b: typeof bore) => ({ bore: b, measured: { bore: true, journal: false } });
    const school = { ...usualSchool, chilledC: -18 };
    // Linear expansion of steel over 38 K.
    const mm = 76 * materials.steel.alphaPerK * 38;
    expect(easedMm('bearing-in', 76, school)).toBeCloseTo(mm, 12);
    expect(easedMm('bearing-in', 76, usualSchool)).toBeCloseTo(0, 12);
    const smaller = fits({ low: 0.04 - mm, likely: 0.05 - mm / 2, high: 0.06 });
    const cold = strokeForceKn(plainStroke, fits(bore), school);
    const same = strokeForceKn(plainStroke, smaller);
    for (const k of ['low', 'likely', 'high'] as const) expect(cold[k]).toBeCloseTo(same[k], 9);
    // Off, or where the ring has the shop's warmth by then, nothing is chilled.
    const out: Requirement = { ...plainStroke, fitting: false };
    expect(strokeForceKn(out, fits(bore), school)).toEqual(strokeForceKn(out, fits(bore)));
    const seat = { ...plainStroke.seat, kind: 'journal' as const };
    const journal: Requirement = { ...plainStroke, operation: 'hub-in', seat };
    const held = { journal: bore, measured: { bore: false, journal: true } };
    expect(strokeForceKn(journal, held, school)).toEqual(strokeForceKn(journal, held));
  });
  it('of a ring that goes on to a shaft is eased by warmth, and tightened by cold: its bore shrinks with it', () => {
    const seat = { ...plainStroke.seat, kind: 'journal' as const };
    const onShaft: Requirement = { ...plainStroke, operation: 'shaft-bearing-on', seat };
    const fits = (least: number, most: number) => ({
      journal: { low: least, likely: 0.021, high: most },
      measured: { bore: false, journal: true },
    });
    // Linear expansion of steel: a bore of 40 mm is 0.017 mm smaller over 38 K: 0.021 becomes 0.038.
    expect(easedMm('shaft-bearing-on', 40, { ...usualSchool, chilledC: -18 })).toBeCloseTo(
      -40 * materials.steel.alphaPerK * 38,
      12,
    );
    const plain = strokeForceKn(onShaft, fits(0.015, 0.027));
    const cold = strokeForceKn(onShaft, fits(0.015, 0.027), { ...usualSchool, chilledC: -18 });
    const warm = strokeForceKn(onShaft, fits(0.015, 0.027), { ...usualSchool, warmedC: 80 });
    expect([cold.likely > plain.likely, cold.high > plain.high, cold.low]).toEqual([
      true,
      true,
      plain.low,
    ]);
    expect([warm.likely < plain.likely, warm.low < plain.low, warm.high]).toEqual([
      true,
      true,
      plain.high,
    ]);
  });
  it('of a fit that is given has nothing flattened, and without a fit there is none', () => {
    const tightMm = { low: 0.04, likely: 0.05, high: 0.06 };
    const fits = { bore: tightMm, measured: { bore: true, journal: false } };
    const fixed: Requirement = {
      ...plainStroke,
      seat: { ...plainStroke.seat, kind: 'fixed', tightMm },
    };
    const given = strokeForceKn(fixed, fits);
    expect(given.low).toBeGreaterThan(strokeForceKn(plainStroke, fits).low);
    expect(given.low).toBeCloseTo((0.04 / 0.06) * strokeForceKn(fixed, fits).high * lowToHigh(), 9);
    expect(() => strokeForceKn(plainStroke, { measured: fits.measured })).toThrow(/fits\.bore/u);
    function lowToHigh() {
      // Pressure grows with interference alone (Lamé): what is left of the ratio is friction.
      const even = { low: 0.05, likely: 0.05, high: 0.05 };
      const f = strokeForceKn({ ...fixed, seat: { ...fixed.seat, tightMm: even } }, fits);
      return f.low / f.high;
    }
  });
  it('by classes alone says that nothing was measured', () =>
    expect(classFits(exampleWork).measured).toEqual({ bore: false, journal: false }));
});

// As it was kept: 22 kN at the shoulder after a ramp of 8 is a seat, 190 where 8 are expected is none; our judgement.
describe('what was read on the way', () => {
  const eight: Setup = { ...on, forceKn: { low: 2, likely: 5, high: 8 } };
  const kept = (...readings: [number, number][]) =>
    judgeStroke({ depthMm: 40, peakKn: Math.max(...readings.map(([, kn]) => kn)) }, eight, {
      readings: readings.map(([travelMm, forceKn]) => ({ travelMm, forceKn })),
    });
  it.each<[string, [number, number][], string]>([
    [
      'a ramp and the rise of its seat',
      [
        [20, 3],
        [38, 7.5],
        [40, 22],
      ],
      'good',
    ],
    [
      'far more than its shoulder asks',
      [
        [20, 3],
        [38, 7.5],
        [40, 190],
      ],
      'stop',
    ],
    [
      'too much on the way, then a good end',
      [
        [20, 14],
        [38, 7.5],
        [40, 12],
      ],
      'stop',
    ],
    [
      'a little much on the way',
      [
        [20, 5],
        [38, 7.5],
        [40, 12],
      ],
      'check',
    ],
  ])('%s', (_what, readings, status) => expect(kept(...readings).status).toBe(status));
  it('is not washed off by what is read after it', () =>
    expect(
      judgeStroke({ depthMm: 40, peakKn: 12 }, eight, {
        readings: [{ travelMm: 40, forceKn: 12 }],
        call: 'cocked',
      }).status,
    ).toBe('stop'));
});
