import { expect, it } from 'vitest';
import { keptGood } from '../../../tests/kept-strokes.ts';

// 3 % of the strokes that the bench counts; the shares that are asked are ours.
it('keeps a seated stroke as Good and a galled one as no such thing, in every family', () => {
  expect(keptGood('good', 18, 11)).toBeGreaterThanOrEqual(94);
  expect(keptGood('galling', 18, 12)).toBeLessThanOrEqual(5.6);
});
