import type { Bearing } from '../../corner-record.ts';
import type { Body, Place } from '../picture.ts';
import type { Need, Requirement, Window, WindowRule } from '../requirement.ts';

/** Least width on which a casting stands, mm (judgement). */
export const housingContact = 3;

/** ISO 76 static axial factor Y0 of a single row, and of one row of two, by contact angle in degrees; 0 is a deep-groove ball (memory). */
const axialFactors: readonly (readonly [number, number])[] = [
  [0, 0.5],
  [15, 0.46],
  [20, 0.42],
  [25, 0.38],
  [30, 0.33],
  [35, 0.29],
  [40, 0.26],
  [45, 0.22],
];

/**
 * Axial force on one row at which the static rating is reached, kN: C0 of the row over Y0 (ISO 76).
 * At that load the lasting dent is 0.0001 of the ball; a blow or a jump at the shoulder goes beyond it.
 */
export function staticAxialKn(
  staticRatingKn: number,
  contactAngleDeg: number,
  rows: 1 | 2 = 2,
): number {
  const factor = axialFactors.reduce((best, row) =>
    Math.abs(row[0] - contactAngleDeg) < Math.abs(best[0] - contactAngleDeg) ? row : best,
  );
  return staticRatingKn / rows / factor[1];
}
export const rowOf = (b: Bearing, rows: 1 | 2 = 2): NonNullable<Requirement['row']> => ({
  staticAxialKn: staticAxialKn(b.staticRatingKn, b.contactAngleDeg, rows),
  ballMm: b.ballMm,
});

export const window = (
  measure: Window['measure'],
  rule: WindowRule,
  limits: { min?: number; max?: number },
  what?: string,
): Window => ({ measure, rule, ...limits, ...(what === undefined ? {} : { what }) });
export const need = (
  name: string,
  innerMm: number,
  outerMm: number,
  leastMm: number,
  windows: Window[],
  more: Partial<Need> = {},
): Need => ({ face: { name, innerMm, outerMm, leastMm }, windows, proudMm: 0, ...more });

/** A contour upside down, still from top to bottom. */
export const turned = (points: readonly Place[], depthMm: number): Place[] =>
  [...points].reverse().map(([r, z]) => [r, depthMm - z]);

/** A plain turned body between two heights. */
export const tube = (
  key: string,
  name: string,
  size: string,
  lining: Body['lining'],
  [r0, r1]: readonly [number, number],
  [z0, z1]: readonly [number, number],
  more: Partial<Body> = {},
): Body => ({
  key,
  name,
  size,
  lining,
  moves: false,
  edge: [
    [r1, z0],
    [r1, z1],
  ],
  bore:
    r0 > 0
      ? [
          [r0, z0],
          [r0, z1],
        ]
      : [],
  ...more,
});

export const sizeOfBearing = (b: Bearing): string => `${b.outerMm} × ${b.boreMm} × ${b.widthMm}`;

/** How far the inner ring stands past the outer one at each end, mm; negative where it is the narrower. */
export const innerProudMm = (b: Bearing): number => (b.innerWidthMm - b.widthMm) / 2;
