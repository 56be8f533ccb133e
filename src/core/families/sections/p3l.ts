import { type Body, box, doubleRow, type RingSizes, shape } from './bodies.ts';

export function sectionP3L(ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];

  return [
    shape('knuckle', [b * 0.45, R], [b + 6, R], [b + 6, R + 28], [b * 0.45, R + 28]),
    ...doubleRow(ring),
    shape(
      'outer',
      [b * 0.25, R - 2],
      [b * 0.45 - 0.3, R - 2],
      [b * 0.45 - 0.3, R + 25],
      [b * 0.25, R + 25],
    ),
    shape('hub', [-26, 17], [b, 17], [b, r], [-1, r], [-8, r + 6], [-12, R + 18], [-26, R + 18]),
    shape('locking', [-58, 0], [-26.5, 0], [-26.5, R - 6], [-46, R - 8], [-58, 18]),
    shape(
      'bolt',
      [b * 0.26, R + 9],
      [b + 16, R + 9],
      [b + 16, R + 5],
      [b + 24, R + 5],
      [b + 24, R + 21],
      [b + 16, R + 21],
      [b + 16, R + 17],
      [b * 0.26, R + 17],
    ),
    box('shaft', -26, b + 26, 0, 15),
    box('clip', -24.5, -22.5, 15, 19),
    box('seal', b - 5, b - 1, 15.5, 17),
  ];
}
