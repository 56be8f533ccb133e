import { sentence } from '../rules/index.ts';
import { expect, it } from 'vitest';
import { judgeRingHolds } from './index.ts';

it('a press ring is held against a bend at 0.8 g', () => {
  // Worked by hand: 9 kN on the axle pull 7.2 kN outward.
  expect([7.1, 7.2, 14.3, 14.4].map((kn) => judgeRingHolds(kn, 9000).status)).toEqual([
    'stop',
    'check',
    'check',
    'good',
  ]);
  expect(sentence(judgeRingHolds(14.4, 9000))).toMatch(/factor 2.0/u);
  expect(sentence(judgeRingHolds(5, 9000))).toMatch(/would slide/u);
  expect(() => judgeRingHolds(5, 0)).toThrow(/axleLoadN/u);
});
