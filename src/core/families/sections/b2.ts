import { type Body, box, type RingSizes, shape, singleRow } from './bodies.ts';

export function sectionB2(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    ...singleRow(ring, 0),
    ...singleRow(ring, b + 26),
    box('spacer', b + 0.5, b + 25.5, r + 1, r + 5),
    shape(
      'hub',
      [-6, R],
      [b, R],
      [b, R - 5],
      [b + 26, R - 5],
      [b + 26, R],
      [2 * b + 32, R],
      [2 * b + 32, R + 9],
      [10, R + 12],
      [6, R + 40],
      [-6, R + 40],
    ),
    shape(
      'shaft',
      [-22, 0],
      [2 * b + 50, 0],
      [2 * b + 50, 22],
      [2 * b + 27, 22],
      [2 * b + 27, r],
      [-1, r],
      [-1, 12],
      [-22, 12],
    ),
    box('nut', -15, -2, 12, 22),
    box('seal', 2 * b + 27, 2 * b + 31, r + 2, R - 1),
  ];
}
