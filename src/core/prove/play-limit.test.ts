import { describe, expect, it } from 'vitest';
import { clearanceMm } from '../fits/index.ts';
import { axialPlayMm, checksOf, judgeCheck, oneRowLimit, twoRows } from './index.ts';

const axle = { type: 'deep-groove', boreMm: 40, ballMm: 12 } as const;
const play = (list: ReturnType<typeof checksOf>) => list.find((c) => c.id === 'end-play')!;

describe('the end play that a sound bearing has', () => {
  it('is what its radial clearance makes of its grooves', () => {
    // Two circles of 0.52 D whose centres lie 2·0.52 D − D apart, the ball between: solved by bisection, not by the formula.
    const byHand = (radial: number, ball: number) => {
      const apart = 0.04 * ball;
      let [low, high] = [0, apart];
      for (let i = 0; i < 60; i++) {
        const half = (low + high) / 2;
        if (Math.hypot(apart - radial / 2, half) < apart) low = half;
        else high = half;
      }
      return 2 * low;
    };
    for (const [g, d] of [
      [0.015, 12],
      [0.033, 12],
      [0.02, 8],
    ] as const)
      expect(axialPlayMm(g, d)).toBeCloseTo(byHand(g, d), 6);
  });
  it('lets 0.11 to 0.20 mm of a C3 axle bearing go, and stops what no C3 has', () => {
    // ISO 5753-1, from memory: C3 from 30 to 40 mm is 15 to 33 µm.
    expect(clearanceMm('deep-groove', 40, 'C3')).toMatchObject({ low: 0.015, high: 0.033 });
    const check = play(
      checksOf('A2', undefined, undefined, oneRowLimit({ ...axle, clearance: 'C3' })),
    );
    const say = (value: number) => judgeCheck(check, { value }).status;
    expect([0.11, 0.2, 0.3].map(say)).toEqual(['good', 'good', 'stop']);
    // What is tighter by its class is held tighter; what is not known is said.
    expect(oneRowLimit({ ...axle, clearance: 'C2' }).maxMm).toBeLessThan(0.15);
    expect(oneRowLimit(axle).source).toMatch(/not on record/u);
    expect(oneRowLimit(undefined)).toMatchObject({ maxMm: 0.25 });
    expect(oneRowLimit({ ...axle, type: undefined })).toMatchObject({ maxMm: 0.25 });
  });
  it('is the unit’s own first; only ours is answered for by name', () => {
    expect(play(checksOf('P1'))).toMatchObject({ byName: true, numeric: { max: twoRows.maxMm } });
    const own = play(
      checksOf('A2', undefined, { endPlayMm: 0.12, source: 'manual' }, oneRowLimit(axle)),
    );
    expect(own.numeric).toMatchObject({ max: 0.12, limitSource: 'manual' });
    expect(own).not.toHaveProperty('byName');
  });
});
