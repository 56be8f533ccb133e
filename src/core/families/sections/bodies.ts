/** Bodies that sections are put together from; lengths in mm. */

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
  | 'cage'
  | 'wheel'
  | 'disc'
  | 'calliper'
  | 'drum'
  | 'shoes'
  | 'backing'
  | 'shield'
  | 'sensor'
  | 'strut'
  | 'steering'
  | 'lower'
  | 'cap'
  | 'encoder'
  | 'air-gap'
  | 'puller';

/** One body in half section: outline in (z along the axis, outboard first; r from it), or a ball or roller. Mirrored below the axis, but for what stands on one `side` only. */
export type Body = { role: BodyRole; side?: 1 | -1 } & (
  | { points: readonly (readonly [z: number, r: number])[] }
  | { ball: { z: number; r: number; radius: number } }
);

export const box = (role: BodyRole, z0: number, z1: number, r0: number, r1: number): Body => ({
  role,
  points: [
    [z0, r0],
    [z1, r0],
    [z1, r1],
    [z0, r1],
  ],
});
export const shape = (role: BodyRole, ...points: (readonly [number, number])[]): Body => ({
  role,
  points,
});
export const ball = (z: number, r: number, radius: number): Body => ({
  role: 'ball',
  ball: { z, r, radius },
});

/** Two rows of balls between an outer ring and one or two inner rings, with seals. */
export function doubleRow({ outerMm, boreMm, widthMm: b }: RingSizes, z = 0): Body[] {
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
export function singleRow({ outerMm, boreMm, widthMm: b }: RingSizes, z: number): Body[] {
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
export function taper({ outerMm, boreMm, widthMm: b }: RingSizes, z: number, wide: 1 | -1): Body[] {
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
