import type { Rolling } from '../corner-record.ts';
import type { FamilyCode } from './families.data.ts';

/** Rings of the bearing that a section is drawn round, mm. */
export interface RingSizes {
  outerMm: number;
  boreMm: number;
  widthMm: number;
}

export type BodyRole =
  | 'outer'
  | 'inner'
  | 'ball'
  | 'seal'
  | 'knuckle'
  | 'hub'
  | 'spindle'
  | 'housing'
  | 'shaft'
  | 'nut'
  | 'clip'
  | 'bolt'
  | 'plate'
  | 'press-ring'
  | 'spacer'
  | 'locking'
  | 'flange-bolt'
  | 'cage';

/** One body in half section: outline in (z along the axis, outboard first; r from it), or a ball or roller. Mirrored below the axis. */
export type Body = { role: BodyRole } & (
  | { points: readonly (readonly [z: number, r: number])[] }
  | { ball: { z: number; r: number; radius: number } }
);

export interface FamilySectionShape {
  bodies: readonly Body[];
  /** Space taken, mm. */
  z0: number;
  z1: number;
  r: number;
}

/** Usual sizes of the family where the corner's own are not known: for a picture, never for a fit (made up). */
export const usualRings: Record<FamilyCode, RingSizes> = {
  P1: { outerMm: 76, boreMm: 40, widthMm: 37 },
  P2: { outerMm: 72, boreMm: 32, widthMm: 45 },
  P3: { outerMm: 84, boreMm: 34, widthMm: 48 },
  P3L: { outerMm: 96, boreMm: 46, widthMm: 58 },
  B2: { outerMm: 62, boreMm: 30, widthMm: 16 },
  T2: { outerMm: 59, boreMm: 29, widthMm: 17 },
  A1: { outerMm: 64, boreMm: 41, widthMm: 22 },
  A2: { outerMm: 80, boreMm: 40, widthMm: 23 },
  A3: { outerMm: 90, boreMm: 55, widthMm: 25 },
  N1: { outerMm: 37, boreMm: 30, widthMm: 20 },
};

const box = (role: BodyRole, z0: number, z1: number, r0: number, r1: number): Body => ({
  role,
  points: [
    [z0, r0],
    [z1, r0],
    [z1, r1],
    [z0, r1],
  ],
});
const shape = (role: BodyRole, ...points: (readonly [number, number])[]): Body => ({
  role,
  points,
});
const ball = (z: number, r: number, radius: number): Body => ({
  role: 'ball',
  ball: { z, r, radius },
});

/** Two rows of balls between an outer ring and one or two inner rings, with seals. */
function doubleRow({ outerMm, boreMm, widthMm: b }: RingSizes, z = 0): Body[] {
  const [R, r] = [outerMm / 2, boreMm / 2];
  const pc = (R + r) / 2;
  const rad = Math.min((R - r) * 0.3, b * 0.16);
  const [land, back] = [pc + rad * 0.75, pc - rad * 0.75];
  return [
    box('outer', z, z + b, land, R),
    box('inner', z, z + b / 2 - 0.4, r, back),
    box('inner', z + b / 2 + 0.4, z + b, r, back),
    ball(z + b * 0.27, pc, rad),
    ball(z + b * 0.73, pc, rad),
    box('seal', z + 0.4, z + 2.4, back + 0.4, land - 0.4),
    box('seal', z + b - 2.4, z + b - 0.4, back + 0.4, land - 0.4),
  ];
}

/** One row: ball, or straight roller when `roller`. */
function singleRow({ outerMm, boreMm, widthMm: b }: RingSizes, z: number): Body[] {
  const [R, r] = [outerMm / 2, boreMm / 2];
  const pc = (R + r) / 2;
  const rad = Math.min((R - r) * 0.3, b * 0.34);
  return [
    box('outer', z, z + b, pc + rad * 0.8, R),
    box('inner', z, z + b, r, pc - rad * 0.8),
    ball(z + b / 2, pc, rad),
  ];
}

/** Cone and cup; `wide` says towards which side the cup opens: −1 outboard. */
function taper({ outerMm, boreMm, widthMm: b }: RingSizes, z: number, wide: 1 | -1): Body[] {
  const [R, r] = [outerMm / 2, boreMm / 2];
  const h = (R - r) / 2;
  const flip = (x: number) => (wide === 1 ? z + x : z + b - x);
  const at = (x: number, y: number) => [flip(x), y] as const;
  return [
    shape(
      'outer',
      at(0.12 * b, R),
      at(0.95 * b, R),
      at(0.95 * b, r + 1.72 * h),
      at(0.12 * b, r + 1.34 * h),
    ),
    shape(
      'inner',
      at(0, r),
      at(b, r),
      at(b, r + 0.95 * h),
      at(0.86 * b, r + 0.95 * h),
      at(0.86 * b, r + 0.78 * h),
      at(0.12 * b, r + 0.42 * h),
      at(0, r + 0.5 * h),
    ),
    shape(
      'ball',
      at(0.16 * b, r + 0.46 * h),
      at(0.84 * b, r + 0.8 * h),
      at(0.84 * b, r + 1.62 * h),
      at(0.16 * b, r + 1.3 * h),
    ),
  ];
}

function bodiesOf(code: FamilyCode, ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];
  switch (code) {
    case 'P1':
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
    case 'P2':
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
    case 'P3':
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
    case 'P3L':
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
        shape(
          'hub',
          [-26, 17],
          [b, 17],
          [b, r],
          [-1, r],
          [-8, r + 6],
          [-12, R + 18],
          [-26, R + 18],
        ),
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
    case 'B2':
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
    case 'T2': {
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
    case 'A1':
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
    case 'A2':
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
    case 'A3': {
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
          'housing',
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
    case 'N1':
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
}

/** The bearing of a part alone, by what rolls in it, from its outboard face. */
export function bearingBodies(rolling: Rolling, ring: RingSizes): Body[] {
  const [R, r, b] = [ring.outerMm / 2, ring.boreMm / 2, ring.widthMm];
  switch (rolling) {
    case 'taper':
      return taper(ring, 0, 1);
    case 'ball':
      return singleRow(ring, 0);
    case 'cylindrical': {
      const h = (R - r) * 0.3;
      return [
        box('outer', 0, b, R - h, R),
        ...(r < R - 3 * h ? [box('inner', 0, b, r, r + h)] : []),
        box('ball', b * 0.14, b * 0.86, r + h + 0.2, R - h - 0.2),
      ];
    }
    case 'needle':
      return [
        box('outer', 0, b, R - 1, R),
        box('ball', b * 0.12, b * 0.84, r, R - 1.2),
        box('cage', b * 0.84, b * 0.9, r + 0.6, R - 1.6),
      ];
  }
}

/** The family in section round these rings, to one scale. */
export function sectionOf(
  code: FamilyCode,
  ring: RingSizes = usualRings[code],
): FamilySectionShape {
  const bodies = bodiesOf(code, ring);
  const all = bodies.flatMap((x) =>
    'ball' in x
      ? [
          [x.ball.z - x.ball.radius, x.ball.r + x.ball.radius] as const,
          [x.ball.z + x.ball.radius, x.ball.r] as const,
        ]
      : [...x.points],
  );
  return {
    bodies,
    z0: Math.min(...all.map(([z]) => z)),
    z1: Math.max(...all.map(([z]) => z)),
    r: Math.max(...all.map(([, y]) => y)),
  };
}
