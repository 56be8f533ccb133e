import { type Body, box, type RingSizes, shape, taper } from './bodies.ts';

export function sectionT2(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  const inner = {
    outerMm: ring.outerMm * 1.14,
    boreMm: ring.boreMm * 1.2,
    widthMm: ring.widthMm * 1.1,
  };
  const zi = b + 34;
  return [
    ...taper(ring, 0, -1),
    ...taper(inner, zi, 1),
    shape(
      'hub',
      [-8, R],
      [0.9 * b, R],
      [0.9 * b, R - 5],
      [zi + 2, R - 3],
      [zi + 2, inner.outerMm / 2],
      [zi + inner.widthMm + 10, inner.outerMm / 2],
      [zi + inner.widthMm + 10, inner.outerMm / 2 + 9],
      [34, R + 14],
      [30, R + 42],
      [18, R + 42],
      [12, R + 8],
      [-8, R + 8],
    ),
    shape(
      'spindle',
      [-24, 0],
      [zi + inner.widthMm + 30, 0],
      [zi + inner.widthMm + 30, 34],
      [zi + inner.widthMm + 12, 34],
      [zi + inner.widthMm + 9, inner.boreMm / 2 + 3],
      [zi + inner.widthMm, inner.boreMm / 2 + 3],
      [zi + inner.widthMm, inner.boreMm / 2],
      [zi - 4, inner.boreMm / 2],
      [b + 6, r],
      [-2, r],
      [-2, 10],
      [-24, 10],
    ),
    box('nut', -14, -3, 10, 20),
    box(
      'seal',
      zi + inner.widthMm + 2,
      zi + inner.widthMm + 8,
      inner.boreMm / 2 + 3.4,
      inner.outerMm / 2 - 0.5,
    ),
  ];
}
