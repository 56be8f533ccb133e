import { type Body, box, doubleRow, type RingSizes, shape } from './bodies.ts';

export function sectionP2(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    shape(
      'knuckle',
      [-2, R],
      [b * 0.5, R],
      [b * 0.5, R + 2],
      [b * 0.5 + 2.4, R + 2],
      [b * 0.5 + 2.4, R],
      [b - 2, R],
      [b - 2, R + 20],
      [-2, R + 16],
    ),
    box('clip', b * 0.5 + 0.2, b * 0.5 + 2.2, R - 1.6, R + 1.8),
    ...doubleRow({ ...ring }),
    box('outer', -5, -0.4, R - 8, R + 5),
    shape(
      'hub',
      [-22, 12],
      [b, 12],
      [b, r],
      [-2, r],
      [-8, r + 6],
      [-10, R + 26],
      [-22, R + 26],
      [-22, 20],
      [-16, 18],
      [-16, 12],
    ),
    box('shaft', -26, b + 26, 0, 12),
    box('nut', -25, -15.6, 12, 19),
  ];
}
