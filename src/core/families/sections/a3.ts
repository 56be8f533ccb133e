import { type Body, box, type RingSizes, shape, taper } from './bodies.ts';

export function sectionA3(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  const zi = b + 52;
  return [
    ...taper(ring, 0, -1),
    ...taper(ring, zi, 1),
    shape(
      'hub',
      [-10, R - 2],
      [0, R],
      [0.9 * b, R],
      [0.9 * b, R - 6],
      [zi + 2, R - 6],
      [zi + 2, R],
      [zi + b + 10, R],
      [zi + b + 10, R + 10],
      [44, R + 14],
      [40, R + 44],
      [26, R + 44],
      [18, R + 16],
      [-10, R + 16],
    ),
    shape(
      'spindle',
      [-14, r - 8],
      [zi + b + 60, r - 8],
      [zi + b + 60, r + 6],
      [zi + b + 4, r + 6],
      [zi + b + 1, r],
      [-14, r],
    ),
    box('nut', -12, -2, r, r + 12),
    shape(
      'shaft',
      [-28, 0],
      [zi + b + 60, 0],
      [zi + b + 60, r - 14],
      [-16, r - 14],
      [-16, R + 14],
      [-28, R + 14],
    ),
    box('flange-bolt', -38, -2, R + 4, R + 11),
    box('seal', zi + b + 2, zi + b + 8, r + 1, R - 0.5),
  ];
}
