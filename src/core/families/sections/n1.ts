import { ball, type Body, box, type RingSizes, shape } from './bodies.ts';

export function sectionN1(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    box('outer', 0, b, R - 1, R),
    box('outer', 0, 1, r + 0.4, R),
    ...[0.26, 0.5, 0.74].map((k) => ball(b * k, (R - 1 + r) / 2, (R - 1 - r) / 2)),
    box('cage', b - 2, b - 0.8, r + 0.6, R - 1.4),
    box('seal', -9, -3, r + 0.5, R + 3),
    shape(
      'spindle',
      [-11, R + 3],
      [-2, R + 3],
      [-2, R],
      [b + 3, R],
      [b + 3, R - 2],
      [b + 40, R - 2],
      [b + 40, R + 16],
      [30, R + 18],
      [26, R + 34],
      [14, R + 34],
      [10, R + 12],
      [-11, R + 10],
    ),
    box('shaft', -40, b + 50, 0, r),
  ];
}
