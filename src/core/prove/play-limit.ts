import { clearanceMm, type ClearanceClass, type ClearanceType } from '../fits/index.ts';

/** The most end play that a sound bearing of its type has, where no unit says its own. mm. */

/** What of a bearing its end play follows from. */
export interface PlayBearing {
  /** One row whose clearance has a class; undefined for a taper row and for what is not known. */
  type?: ClearanceType | undefined;
  clearance?: ClearanceClass | undefined;
  boreMm: number;
  ballMm: number;
}

export interface PlayLimit {
  maxMm: number;
  source: string;
}

/** Both raceways of a deep groove are bent about so many ball diameters. From memory. */
const grooveRadius = 0.52;

/** End play of a deep-groove bearing from its radial clearance, mm. Geometry of two grooves and a ball; Harris, from memory. */
export function axialPlayMm(radialMm: number, ballMm: number): number {
  const centres = (2 * grooveRadius - 1) * ballMm;
  return Math.sqrt(Math.max(0, 4 * centres * radialMm - radialMm ** 2));
}

/** Two rows are made to run without play: what a dial shows there is the flange. Our judgement. */
export const twoRows: PlayLimit = {
  maxMm: 0.05,
  source: 'two rows run without play; our judgement, the maker’s figure comes first',
};

/** A bearing alone on its shaft: as its radial clearance makes it, else what an axle shaft is usually shimmed to. */
export function oneRowLimit(b: PlayBearing | undefined): PlayLimit {
  const byClass = b?.type === 'deep-groove' && clearanceMm(b.type, b.boreMm, b.clearance ?? 'C3');
  if (!b || !byClass)
    return {
      maxMm: 0.25,
      source:
        'axle shaft on one row, common practice, no published source; the maker’s figure comes first',
    };
  const known = b.clearance ?? 'C3, usual on axles, its own is not on record';
  return {
    maxMm: Number(axialPlayMm(byClass.high, b.ballMm).toFixed(2)),
    source: `ball bearing of class ${known}: ISO 5753-1 and its grooves, from memory; the maker’s figure comes first`,
  };
}
