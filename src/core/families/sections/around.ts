import type { FamilyCode } from '../families.data.ts';
import { type Body, type BodyRole, box, type RingSizes, shape } from './bodies.ts';

/** What stands round the bearing of a corner and comes off before it; usual proportions, made up, cut off where it goes on. */

/** Where wheel and brake are bolted on: outboard face of the wheel flange, its radius, and how far in the carrier stands. */
interface Mount {
  faceMm: number;
  rMm: number;
  brake: 'disc' | 'drum';
  /** Inboard face and outer radius of what carries the brake and the sensor. */
  carrierMm: number;
  carrierR: number;
  /** Parts besides wheel and brake that a step of this family handles. */
  more?: readonly Around[];
}
type Around = 'sensor' | 'strut' | 'steering' | 'lower' | 'shield' | 'cap' | 'locking';

const joints = ['strut', 'steering', 'lower'] as const;

const mounts: Record<FamilyCode, (ring: RingSizes) => Mount> = {
  P1: ({ outerMm: D, widthMm: b }) => ({
    faceMm: -26,
    rMm: D / 2 + 24,
    brake: 'disc',
    carrierMm: b + 8,
    carrierR: D / 2 + 18,
    more: [...joints, 'sensor', 'shield'],
  }),
  P2: ({ outerMm: D, widthMm: b }) => ({
    faceMm: -22,
    rMm: D / 2 + 26,
    brake: 'disc',
    carrierMm: b - 2,
    carrierR: D / 2 + 20,
    more: [...joints, 'sensor'],
  }),
  P3: ({ outerMm: D, widthMm: b }) => ({
    faceMm: -20,
    rMm: D / 2 + 20,
    brake: 'disc',
    carrierMm: b + 6,
    carrierR: D / 2 + 30,
  }),
  P3L: ({ outerMm: D, widthMm: b }) => ({
    faceMm: -26,
    rMm: D / 2 + 18,
    brake: 'disc',
    carrierMm: b + 6,
    carrierR: D / 2 + 28,
  }),
  B2: ({ outerMm: D, widthMm: b }) => ({
    faceMm: -6,
    rMm: D / 2 + 40,
    brake: 'drum',
    carrierMm: 2 * b + 34,
    carrierR: D / 2 + 14,
  }),
  T2: ({ outerMm: D, widthMm: b }) => ({
    faceMm: 18,
    rMm: D / 2 + 42,
    brake: 'disc',
    carrierMm: 2 * b + 74,
    carrierR: 34,
    more: ['cap'],
  }),
  A1: ({ outerMm: D }) => ({
    faceMm: -30,
    rMm: D / 2 + 38,
    brake: 'drum',
    carrierMm: 2,
    carrierR: D / 2 + 10,
  }),
  A2: ({ outerMm: D }) => ({
    faceMm: -34,
    rMm: D / 2 + 34,
    brake: 'drum',
    carrierMm: 7,
    carrierR: D / 2 + 10,
  }),
  A3: ({ outerMm: D, widthMm: b }) => ({
    faceMm: 26,
    rMm: D / 2 + 44,
    brake: 'drum',
    carrierMm: 2 * b + 66,
    carrierR: D / 2 + 16,
  }),
  N1: ({ outerMm: D }) => ({
    faceMm: -24,
    rMm: D / 2 + 44,
    brake: 'disc',
    carrierMm: 40,
    carrierR: D / 2 + 16,
    more: ['sensor', 'locking'],
  }),
};

/** A body on one side of the axis only: what does not go round with the wheel. */
const oneSide = (side: 1 | -1, b: Body): Body => ({ ...b, side });

function brakeBodies({ faceMm: f, rMm: R, brake, carrierR }: Mount): Body[] {
  if (brake === 'drum')
    return [
      shape(
        'drum',
        [f - 5, 0.6 * R],
        [f - 0.5, 0.6 * R],
        [f - 0.5, R + 22],
        [f + 46, R + 22],
        [f + 46, R + 28],
        [f - 5, R + 28],
      ),
      box('shoes', f + 8, f + 36, R + 14, R + 21.5),
      box('shoes', f + 18, f + 26, R + 3, R + 13.8),
      box('backing', f + 48, f + 51, carrierR, R + 26),
    ];
  const [z0, z1] = [f + 10, f + 22];
  return [
    shape(
      'disc',
      [f - 5, 0.6 * R],
      [f - 0.5, 0.6 * R],
      [f - 0.5, R + 1],
      [z0 + 3, R + 1],
      [z0 + 3, R + 8],
      [z1, R + 8],
      [z1, R + 52],
      [z0, R + 52],
      [z0, R + 8],
      [f - 5, R + 6],
    ),
    oneSide(
      1,
      shape(
        'calliper',
        [z0 - 14, R + 24],
        [z0 - 1, R + 24],
        [z0 - 1, R + 55],
        [z1 + 1, R + 55],
        [z1 + 1, R + 24],
        [z1 + 24, R + 24],
        [z1 + 24, R + 64],
        [z0 - 14, R + 64],
      ),
    ),
  ];
}

const wheelBody = ({ faceMm: f, rMm: R }: Mount): Body =>
  shape(
    'wheel',
    [f - 12, 0.6 * R],
    [f - 5.2, 0.6 * R],
    [f - 5.2, R + 4],
    [f - 15, R + 24],
    [f - 15, R + 64],
    [f - 22, R + 64],
    [f - 22, R + 20],
    [f - 12, R],
  );

function moreBody(what: Around, m: Mount, ring: RingSizes): Body {
  const { faceMm: f, rMm: R, carrierMm: z, carrierR: c } = m;
  switch (what) {
    case 'sensor':
      return oneSide(
        1,
        shape(
          'sensor',
          [z + 1, ring.outerMm / 2 - 3],
          [z + 9, ring.outerMm / 2 - 3],
          [z + 9, c + 4],
          [z + 22, c + 4],
          [z + 22, c + 12],
          [z + 1, c + 12],
        ),
      );
    case 'strut':
      return oneSide(1, shape('strut', [z - 14, c], [z - 2, c], [z + 8, R + 64], [z - 8, R + 64]));
    case 'steering':
      return oneSide(
        -1,
        shape('steering', [z + 0.5, c - 14], [z + 40, c - 8], [z + 40, c + 2], [z + 0.5, c - 4]),
      );
    case 'lower':
      return oneSide(
        -1,
        shape(
          'lower',
          [z - 20, c + 1],
          [z - 8, c + 1],
          [z - 6, c + 14],
          [z + 40, c + 18],
          [z + 40, c + 28],
          [z - 20, c + 26],
        ),
      );
    case 'shield':
      return box(
        'shield',
        Math.max(-3, f + 28),
        Math.max(-1, f + 30),
        ring.outerMm / 2 + 16,
        R + 48,
      );
    case 'cap':
      return shape(
        'cap',
        [-34, 0],
        [-34, 12],
        [-28, ring.outerMm / 2 - 1],
        [-8, ring.outerMm / 2 - 1],
        [-8, ring.outerMm / 2 - 3],
        [-27, ring.outerMm / 2 - 3.4],
        [-31, 11],
        [-31, 0],
      );
    case 'locking':
      return shape(
        'locking',
        [-62, 0],
        [-41, 0],
        [-41, ring.outerMm / 2 + 12],
        [-24, ring.outerMm / 2 + 30],
        [-30, ring.outerMm / 2 + 30],
        [-56, ring.outerMm / 2 + 8],
        [-62, 14],
      );
  }
}

/** What stands round the bearing of a family: wheel, brake, and what else one of its steps takes off. */
export function aroundOf(code: FamilyCode, ring: RingSizes): Body[] {
  const m = mounts[code](ring);
  return [
    wheelBody(m),
    ...brakeBodies(m),
    ...(m.more ?? []).map((what) => moreBody(what, m, ring)),
  ];
}

/** Roles that only the corner round a bearing has. */
export const aroundRoles: readonly BodyRole[] = [
  'wheel',
  'disc',
  'calliper',
  'drum',
  'shoes',
  'backing',
  'shield',
  'sensor',
  'strut',
  'steering',
  'lower',
  'cap',
];
