import { type Body, box, doubleRow, type RingSizes, shape } from './bodies.ts';

export function sectionP3(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    shape('knuckle', [b * 0.45, R], [b + 6, R], [b + 6, R + 30], [b * 0.45, R + 30]),
    ...doubleRow({ ...ring, outerMm: 2 * R }),
    shape(
      'outer',
      [b * 0.25, R - 2],
      [b * 0.45 - 0.3, R - 2],
      [b * 0.45 - 0.3, R + 26],
      [b * 0.25, R + 26],
    ),
    shape(
      'hub',
      [-20, 12],
      [b, 12],
      [b, r],
      [-1, r],
      [-8, r + 8],
      [-10, R + 20],
      [-20, R + 20],
      [-20, 22],
      [-15, 20],
      [-15, 12],
    ),
    shape(
      'bolt',
      [b * 0.26, R + 10],
      [b + 14, R + 10],
      [b + 14, R + 6],
      [b + 22, R + 6],
      [b + 22, R + 22],
      [b + 14, R + 22],
      [b + 14, R + 18],
      [b * 0.26, R + 18],
    ),
    box('shaft', -24, b + 24, 0, 12),
    box('nut', -23, -14.6, 12, 19),
  ];
}
