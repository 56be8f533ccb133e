import { type Body, box, doubleRow, type RingSizes, shape } from './bodies.ts';

export function sectionP1(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    shape(
      'knuckle',
      [-5, R],
      [-4, R],
      [-4, R + 3],
      [-1.6, R + 3],
      [-1.6, R],
      [b, R],
      [b, R - 4],
      [b + 8, R - 4],
      [b + 8, R + 18],
      [-5, R + 14],
    ),
    box('clip', -3.9, -1.7, R - 3, R + 2.8),
    ...doubleRow(ring),
    shape(
      'hub',
      [-26, 13],
      [b, 13],
      [b, r],
      [-1, r],
      [-1, r + 5],
      [-14, r + 8],
      [-14, R + 24],
      [-26, R + 24],
      [-26, 24],
      [-20, 22],
      [-20, 13],
    ),
    shape(
      'shaft',
      [-30, 0],
      [b + 30, 0],
      [b + 30, 20],
      [b, 20],
      [b, 13],
      [-19, 13],
      [-19, 10],
      [-30, 10],
    ),
    box('nut', -29, -19.5, 10, 20),
  ];
}
