import { type Body, box, type RingSizes, shape, singleRow } from './bodies.ts';

export function sectionA2(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    ...singleRow(ring, 0),
    box('press-ring', b + 0.3, b + 16, r, r + 9),
    box('plate', -10, -5, r + 6, R + 26),
    box('seal', -4.6, -0.4, r + 0.5, R - 1),
    shape(
      'housing',
      [-4.6, R],
      [b + 8, R],
      [b + 8, R - 4],
      [b + 70, R - 6],
      [b + 70, R + 4],
      [10, R + 8],
      [7, R + 28],
      [-4.6, R + 28],
    ),
    shape(
      'bolt',
      [-16, R + 12],
      [-10, R + 12],
      [-10, R + 15],
      [14, R + 15],
      [14, R + 21],
      [-10, R + 21],
      [-10, R + 24],
      [-16, R + 24],
    ),
    shape(
      'shaft',
      [-34, 0],
      [b + 70, 0],
      [b + 70, r - 5],
      [b + 20, r - 5],
      [b + 16.5, r],
      [-1, r],
      [-1, r + 5],
      [-22, r + 7],
      [-22, R + 34],
      [-34, R + 34],
    ),
  ];
}
