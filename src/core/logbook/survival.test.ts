import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { random as stream } from '../standins/cars.ts';
import {
  failuresNeeded,
  fitWeibull,
  type Life,
  livesMissing,
  logRank,
  medianOf,
  survivalAt,
  survivalCurve,
  wilson,
} from './index.ts';

const lives = (text: string): Life[] =>
  text.split(' ').map((t) => ({ time: parseFloat(t), failed: !t.endsWith('+') }));
// Freireich and others, Blood 21 (1963), weeks in remission (from memory).
const drug = lives('6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+');
const placebo = lives('1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23');
// Lieblein and Zelen, J. Res. NBS 57 (1956), 23 deep-groove ball bearings, 10⁶ turns (from memory).
const balls = lives(
  '17.88 28.92 33.00 41.52 42.12 45.60 48.40 51.84 51.96 54.12 55.56 67.80 68.64 68.64 68.88 84.12 93.12 98.64 105.12 105.84 127.92 128.04 173.40',
);

describe('share still running', () => {
  it('is that of the remission trial', () => {
    const curve = survivalCurve(drug);
    // Kleinbaum and Klein, Survival Analysis, the trial's table (from memory).
    const printed = { 6: 0.857, 7: 0.807, 10: 0.753, 13: 0.69, 16: 0.627, 22: 0.538, 23: 0.448 };
    expect(curve.map((p) => [p.time, Number(p.survival.toFixed(3))])).toEqual(
      Object.entries(printed).map(([t, s]) => [Number(t), s]),
    );
    const at10 = curve.find((p) => p.time === 10);
    // The log-log interval at ten weeks, recomputed from the published definition.
    expect([at10?.low, at10?.high].map((x) => x?.toFixed(3))).toEqual(['0.503', '0.889']);
    expect(medianOf(curve).time).toBe(23);
    expect(medianOf(survivalCurve(placebo))).toMatchObject({ time: 8 });
  });
  it('counts a life only from when it came under watch', () => {
    // Worked by hand: at 5 only three are watched, at 8 two.
    const late: Life[] = [
      { time: 5, failed: true },
      { time: 8, failed: true },
      { time: 9, failed: false, entry: 2 },
      { time: 12, failed: false, entry: 8 },
    ];
    expect(survivalCurve(late).map((p) => p.atRisk)).toEqual([3, 2]);
    expect(survivalAt(survivalCurve(late), 8)).toBeCloseTo(1 / 3, 12);
  });
  const life = fc.record({ time: fc.integer({ min: 1, max: 60 }), failed: fc.boolean() });
  it('never rises, lies in its band, and does not hang on the order of the rows', () => {
    fc.assert(
      fc.property(fc.array(life, { minLength: 1, maxLength: 60 }), (all) => {
        const curve = survivalCurve(all);
        let last = 1;
        for (const p of curve) {
          expect(p.survival).toBeLessThanOrEqual(last);
          if (p.low !== undefined) expect(p.low).toBeLessThanOrEqual(p.survival);
          if (p.high !== undefined) expect(p.high).toBeGreaterThanOrEqual(p.survival);
          last = p.survival;
        }
        expect(survivalCurve([...all].reverse())).toEqual(curve);
        // Without anything still running it is the share that outlived each time.
        const ended = all.map((l) => ({ ...l, failed: true }));
        for (const p of survivalCurve(ended))
          expect(p.survival).toBeCloseTo(
            ended.filter((l) => l.time > p.time).length / ended.length,
            9,
          );
      }),
    );
  });
});

describe('log-rank', () => {
  it('is that of the remission trial', () => {
    const test = logRank([drug, placebo]);
    // Kleinbaum and Klein: 16.793 on one degree; expected 19.25 and 10.75 (from memory).
    expect(test?.chi2).toBeCloseTo(16.793, 3);
    expect(test?.p).toBeLessThan(1e-4);
    expect(test?.groups.map((g) => Number(g.expected.toFixed(2)))).toEqual([19.25, 10.75]);
  });
  it('says nothing of one group, and no difference of the same lives twice', () => {
    expect(logRank([drug])).toBeUndefined();
    expect(logRank([drug, drug])?.chi2).toBeCloseTo(0, 9);
    expect(logRank([drug, placebo, drug])?.chi2).toBeGreaterThan(1);
    expect(logRank([[{ time: 3, failed: false }], [{ time: 4, failed: false }]])).toBeUndefined();
  });
});

describe('Weibull', () => {
  it('fits published data as printed', () => {
    // Lawless, Statistical Models and Methods for Lifetime Data: 2.10 and 81.9 for the ball bearings (from memory).
    const fit = fitWeibull(balls)!;
    expect(fit.shape).toBeCloseTo(2.102, 3);
    expect(fit.scale).toBeCloseTo(81.87, 1);
    expect(fit.shapeRange[0]).toBeGreaterThan(1);
    // The trial, recomputed from Σtᵏ ln t/Σtᵏ − 1/k − Σ ln t/r = 0.
    expect([fitWeibull(drug)?.shape, fitWeibull(drug)?.scale]).toEqual([
      expect.closeTo(1.354, 3),
      expect.closeTo(33.77, 1),
    ]);
    expect([fitWeibull(placebo)?.shape, fitWeibull(placebo)?.scale]).toEqual([
      expect.closeTo(1.37, 2),
      expect.closeTo(9.482, 2),
    ]);
  });
  it('takes failures between two times nearly as the failures themselves', () => {
    const between = balls.map(({ time }) => ({ from: time - 0.05, to: time + 0.05 }));
    expect(fitWeibull([], between)?.shape).toBeCloseTo(2.102, 2);
    expect(fitWeibull([], between)?.scale).toBeCloseTo(81.87, 1);
  });
  it('does not fit one time, or none that failed', () => {
    expect(fitWeibull(lives('5 5 5 7+'))).toBeUndefined();
    expect(fitWeibull(lives('5+ 9+'))).toBeUndefined();
  });
  it('tells very many lives by the curvature as fewer by the likelihood', () => {
    const random = stream(5);
    const many = Array.from({ length: 5001 }, (_, i): Life => {
      const time = 90 * (-Math.log(1 - random())) ** (1 / 1.6);
      return { time: Math.min(time, 120) + 10, failed: time <= 120, entry: i % 3 === 0 ? 5 : 0 };
    });
    const [by, fewer] = [fitWeibull(many)!, fitWeibull(many.slice(0, 5000))!];
    const near = (a: number, b: number) => expect(Math.abs(a / b - 1)).toBeLessThan(2e-3);
    near(by.shape, fewer.shape);
    near(by.scale, fewer.scale);
    for (const i of [0, 1] as const) {
      near(by.shapeRange[i], fewer.shapeRange[i]);
      near(by.scaleRange[i], fewer.scaleRange[i]);
    }
  });
  it('holds the truth in its interval as often as it says', () => {
    const random = stream(20261127);
    const [runs, shape, scale] = [2000, 1.6, 90];
    let held = 0;
    for (let r = 0; r < runs; r += 1) {
      const drawn = Array.from({ length: 48 }, (): Life => {
        const time = scale * (-Math.log(1 - random())) ** (1 / shape);
        const end = 60 + 120 * random();
        return { time: Math.min(time, end), failed: time <= end };
      });
      const fit = fitWeibull(drawn)!;
      if (fit.shapeRange[0] <= shape && shape <= fit.shapeRange[1]) held += 1;
    }
    expect(held / runs).toBeGreaterThan(0.93);
    expect(held / runs).toBeLessThan(0.97);
  }, 60_000);
});

describe('enough to tell', () => {
  it('is as published', () => {
    // Newcombe, Statistics in Medicine 17 (1998): 81 of 263 (from memory).
    const { low, high } = wilson(81, 263);
    expect([low.toFixed(4), high.toFixed(4)]).toEqual(['0.2553', '0.3662']);
    expect(wilson(0, 10).low).toBe(0);
    // Schoenfeld, Biometrika 68 (1981): recomputed.
    expect([2, 1.5].map((hr) => Math.ceil(failuresNeeded(hr)))).toEqual([66, 191]);
    expect(() => failuresNeeded(1)).toThrow(/ratio/u);
    expect(() => wilson(3, 2)).toThrow(/count/u);
  });
  it('asks for more lives while there are too few', () => {
    expect(
      livesMissing([
        { lives: 500, failed: 40 },
        { lives: 500, failed: 40 },
      ]),
    ).toBe(0);
    expect(
      livesMissing([
        { lives: 10, failed: 3 },
        { lives: 10, failed: 3 },
      ]),
    ).toBe(200);
    expect(livesMissing([{ lives: 10, failed: 3 }])).toBe(Infinity);
  });
});
