import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleSetups, piece } from '../../../tests/example.ts';
import type { Stack } from '../../core/press/index.ts';
import { layoutOf } from './layout.ts';

const stack: Stack = { pusher: piece('p', 60, 30, 50), support: piece('s', 120, 80, 40) };

describe.each(exampleSetups().filter((x) => x.setup.press.id === 'p'))(
  'the sheet of $label',
  ({ setup }) => {
    const { requirement: r } = setup;
    it('keeps the order of heights and the travel to scale', () => {
      const { y, fit, scene } = layoutOf(stack, setup, 0);
      fc.assert(
        fc.property(
          fc.double({ min: scene.top, max: scene.bottom, noNaN: true }),
          fc.double({ min: scene.top, max: scene.bottom, noNaN: true }),
          (a, b) => {
            if (a < b) expect(y(a)).toBeLessThanOrEqual(y(b));
          },
        ),
      );
      expect(y(scene.leadHome) - y(scene.leadStart)).toBeCloseTo(r.travelMm * fit, 6);
      expect(
        layoutOf(stack, setup, r.travelMm).scene.at.pusher![0] - scene.at.pusher![0],
      ).toBeCloseTo(r.travelMm, 9);
    });
  },
);
