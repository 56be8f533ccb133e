import { ball, type Body, box, type RingSizes, shape } from './bodies.ts';

export function sectionA1(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    box('outer', 0, b, R - 2.4, R),
    ball(b * 0.3, (R - 2.4 + r) / 2, (R - 2.4 - r) / 2),
    ball(b * 0.7, (R - 2.4 + r) / 2, (R - 2.4 - r) / 2),
    box('seal', -12, -4, r + 0.4, R + 3),
    shape(
      'housing',
      [-14, R + 3],
      [-3, R + 3],
      [-3, R],
      [b + 3, R],
      [b + 3, R - 5],
      [b + 70, R - 5],
      [b + 70, R + 5],
      [6, R + 8],
      [2, R + 30],
      [-8, R + 30],
      [-8, R + 10],
      [-14, R + 10],
    ),
    shape(
      'shaft',
      [-30, 0],
      [b + 70, 0],
      [b + 70, r - 4],
      [b + 30, r - 4],
      [b + 22, r],
      [-16, r],
      [-18, R + 38],
      [-30, R + 38],
    ),
  ];
}
