import { classFits, requirement, strokeForceKn, type Adapter, type Bench, type Operation, type Work } from '../src/core/press/index.ts';
/** A made-up 40 × 76 × 37 ring set with its knuckle and hub. */
export const exampleWork: Work = {
  encoderSide: 'inboard',
  bearing: { outerMm: 76, boreMm: 40, widthMm: 37, innerWidthMm: 37, outerFaceInnerMm: 67.2, innerFaceOuterMm: 52.8, balls: 13, ballMm: 11.5, pitchMm: 58, contactAngleDeg: 35, staticRatingKn: 39, encoder: { kind: 'magnetic', pairs: 48 } },
  knuckle: { boreMm: 76, boreClass: 'P7', shoulderMm: 68, seatDepthMm: 41.5, grooveFromFaceMm: 2, grooveWidthMm: 2.4, grooveMm: 79.6, bossDepthMm: 49, bossOuterMm: 102, farFaceOuterMm: 110, wheelSideReachMm: 196, snapRingSide: 'outboard', material: 'ductile-iron' },
  hub: { journalMm: 40, journalClass: 'm6', journalLengthMm: 44, boreMm: 26, flangeMm: 132, flangeThickMm: 9, insideStudsMm: 88, studs: 5, studCircleMm: 108, overhangMm: 28 },
};

export function exampleBench(operation: Operation, work: Work = exampleWork): Bench {
  return { work, requirement: requirement(operation, work), press: { id: 'p', name: 'Press', capacityKn: 196, ramMm: 45, daylightMm: 420 }, forceKn: strokeForceKn(operation, work, classFits(work)) };
}

/** A piece of steel with what matters named. */
export const piece = (id: string, outerMm: number, innerMm: number, heightMm: number, more: Partial<Adapter> = {}): Adapter => ({ id, name: id, shape: 'sleeve', outerMm, innerMm, heightMm, material: 'steel', ratingKn: 200, ...more });
