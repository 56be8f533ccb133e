import type { Rolling } from '../../corner-record.ts';
import type { FamilyCode } from '../families.data.ts';
import { aroundOf } from './around.ts';
import { type Body, box, type RingSizes, singleRow, taper } from './bodies.ts';
import { sectionP1 } from './p1.ts';
import { sectionP2 } from './p2.ts';
import { sectionP3 } from './p3.ts';
import { sectionP3L } from './p3l.ts';
import { sectionB2 } from './b2.ts';
import { sectionT2 } from './t2.ts';
import { sectionA1 } from './a1.ts';
import { sectionA2 } from './a2.ts';
import { sectionA3 } from './a3.ts';
import { sectionN1 } from './n1.ts';

export { aroundRoles } from './around.ts';
export { type Body, type BodyRole, box, type RingSizes, shape, taper } from './bodies.ts';

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

/** The composition of each family, round the rings of its bearing. */
const sections: Record<FamilyCode, (ring: RingSizes) => Body[]> = {
  P1: sectionP1,
  P2: sectionP2,
  P3: sectionP3,
  P3L: sectionP3L,
  B2: sectionB2,
  T2: sectionT2,
  A1: sectionA1,
  A2: sectionA2,
  A3: sectionA3,
  N1: sectionN1,
};

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
  return extentOf(sections[code](ring));
}

/** The same with what stands round the bearing: the corner as it is stripped and built. */
export const cornerOf = (
  code: FamilyCode,
  ring: RingSizes = usualRings[code],
): FamilySectionShape => extentOf([...aroundOf(code, ring), ...sections[code](ring)]);

/** Bodies with the space they take. */
export function extentOf(bodies: readonly Body[]): FamilySectionShape {
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
