import type { CornerRecord } from '../src/core/corner-record.ts';
import {
  classFits,
  type Fits,
  type Adapter,
  type Setup,
  setupFor,
  hammer,
  inside,
  type Operation,
  operations,
  pieceWindows,
  type Press,
  type Work,
  type WorkOf,
} from '../src/core/press/index.ts';
/** A made-up 40 × 76 × 37 ring set with its knuckle and hub. */
export const exampleWork: WorkOf<'P1'> = {
  family: 'P1',
  encoderSide: 'inboard',
  bearing: {
    outerMm: 76,
    boreMm: 40,
    widthMm: 37,
    innerWidthMm: 37,
    outerFaceInnerMm: 67.2,
    innerFaceOuterMm: 52.8,
    balls: 13,
    ballMm: 11.5,
    pitchMm: 58,
    contactAngleDeg: 35,
    staticRatingKn: 39,
    encoder: { kind: 'magnetic', pairs: 48 },
  },
  knuckle: {
    boreMm: 76,
    boreClass: 'P7',
    shoulderMm: 68,
    seatDepthMm: 41.5,
    grooveFromFaceMm: 2,
    grooveWidthMm: 2.4,
    grooveMm: 79.6,
    bossDepthMm: 49,
    bossOuterMm: 102,
    farFaceOuterMm: 110,
    wheelSideReachMm: 196,
    snapRingSide: 'outboard',
    material: 'ductile-iron',
  },
  hub: {
    journalMm: 40,
    journalClass: 'm6',
    journalLengthMm: 44,
    boreMm: 26,
    flangeMm: 132,
    flangeThickMm: 9,
    insideStudsMm: 88,
    studs: 5,
    studCircleMm: 108,
    overhangMm: 28,
  },
};

export function exampleSetup(
  operation: Operation,
  work: Work = exampleWork,
  fits: Fits = classFits(work),
): Setup {
  const press = { id: 'p', name: 'Press', capacityKn: 196, ramMm: 45, daylightMm: 420 };
  return setupFor(operation, work, press, fits)!;
}

/** Seats as they are measured before anything goes on: by class alone many may be loose. */
export const measuredFits: Fits = {
  bore: { low: 0.024, likely: 0.031, high: 0.038 },
  journal: { low: 0.022, likely: 0.028, high: 0.034 },
  measured: { bore: true, journal: true },
};

/** A piece of steel with what matters named. */
export const piece = (
  id: string,
  outerMm: number,
  innerMm: number,
  heightMm: number,
  more: Partial<Adapter> = {},
): Adapter => ({
  id,
  name: id,
  shape: 'sleeve',
  outerMm,
  innerMm,
  heightMm,
  material: 'steel',
  ratingKn: 200,
  ...more,
});

const ball = {
  outerMm: 80,
  boreMm: 40,
  widthMm: 23,
  innerWidthMm: 23,
  outerFaceInnerMm: 70.4,
  innerFaceOuterMm: 54,
  balls: 9,
  ballMm: 12.7,
  pitchMm: 60,
  contactAngleDeg: 0,
  staticRatingKn: 19,
  encoder: { kind: 'none' as const, pairs: 0 },
};
const stud = {
  knurlMm: 14.3,
  threadMm: 12,
  headMm: 22,
  headHeightMm: 4,
  lengthMm: 46,
  flangeThickMm: 9,
  roomMm: 40,
  lowMm: 0.005,
  highMm: 0.015,
};

/** One made-up set of parts for each family that is pressed. */
export const exampleWorks: readonly Work[] = [
  exampleWork,
  {
    family: 'P2',
    bearing: {
      ...exampleWork.bearing,
      outerMm: 72,
      boreMm: 32,
      widthMm: 45,
      innerWidthMm: 45,
      outerFaceInnerMm: 62,
      innerFaceOuterMm: 44,
      encoder: { kind: 'none', pairs: 0 },
    },
    cartridge: {
      shoulderMm: 82,
      shoulderThickMm: 5,
      neckMm: 73,
      gapMm: 9,
      reliefMm: 6,
      flangeMm: 136,
      flangeThickMm: 10,
      hubBoreMm: 24.5,
    },
    housing: {
      boreMm: 72,
      boreClass: 'N7',
      seatDepthMm: 38,
      shoulderMm: 72,
      depthMm: 40,
      outerMm: 186,
      material: 'ductile-iron',
    },
  },
  {
    family: 'A1',
    bearing: {
      ...ball,
      outerMm: 64,
      boreMm: 41,
      widthMm: 22,
      innerWidthMm: 22,
      outerFaceInnerMm: 59,
      innerFaceOuterMm: 46,
    },
    housing: {
      boreMm: 64,
      boreClass: 'N7',
      seatDepthMm: 36,
      shoulderMm: 54,
      entry: { boreMm: 70, depthMm: 12 },
      depthMm: 70,
      outerMm: 84,
      material: 'steel',
    },
    seal: { outerMm: 70, innerMm: 42, widthMm: 10, depthMm: 0 },
  },
  {
    family: 'N1',
    bearing: {
      ...ball,
      outerMm: 37,
      boreMm: 30,
      widthMm: 20,
      innerWidthMm: 20,
      outerFaceInnerMm: 34,
      innerFaceOuterMm: 30.5,
    },
    housing: {
      boreMm: 37,
      boreClass: 'N7',
      seatDepthMm: 22,
      shoulderMm: 33,
      depthMm: 46,
      outerMm: 62,
      material: 'steel',
    },
    seal: { outerMm: 44, innerMm: 30, widthMm: 7, depthMm: 1 },
  },
  {
    family: 'A2',
    bearing: ball,
    shaft: {
      journalMm: 40,
      journalClass: 'm6',
      journalLengthMm: 41,
      shoulderMm: 46,
      reachMm: 300,
      flangeFromShoulderMm: 34,
      flangeMm: 150,
      flangeThickMm: 10,
      insideStudsMm: 96,
      studs: 5,
      studLengthMm: 32,
      ring: { outerMm: 58, widthMm: 16, lowMm: 0.04, highMm: 0.08 },
    },
    seal: { outerMm: 76, innerMm: 46, widthMm: 9, depthMm: 0 },
    stud,
  },
  {
    family: 'B2',
    bearing: {
      ...ball,
      outerMm: 62,
      boreMm: 30,
      widthMm: 16,
      innerWidthMm: 16,
      outerFaceInnerMm: 54,
      innerFaceOuterMm: 38,
    },
    housing: {
      boreMm: 62,
      boreClass: 'N7',
      seatDepthMm: 22,
      shoulderMm: 52,
      depthMm: 70,
      outerMm: 84,
      material: 'ductile-iron',
    },
    far: {
      boreMm: 62,
      boreClass: 'N7',
      seatDepthMm: 26,
      shoulderMm: 52,
      depthMm: 70,
      outerMm: 84,
      material: 'ductile-iron',
    },
    journal: { diameterMm: 30, toleranceClass: 'k6' },
  },
  {
    family: 'T2',
    bearing: {
      ...ball,
      outerMm: 59,
      boreMm: 29,
      widthMm: 17,
      innerWidthMm: 17,
      outerFaceInnerMm: 51.8,
      innerFaceOuterMm: 38.6,
    },
    housing: {
      boreMm: 59,
      boreClass: 'P7',
      seatDepthMm: 19,
      shoulderMm: 49,
      depthMm: 66,
      outerMm: 80,
      material: 'grey-iron',
    },
    far: {
      boreMm: 59,
      boreClass: 'P7',
      seatDepthMm: 19,
      shoulderMm: 49,
      depthMm: 66,
      outerMm: 80,
      material: 'grey-iron',
    },
  },
];

/** A press, a portable ram and a forcing screw, made up. */
export const exampleTools: readonly Press[] = [
  { id: 'p', name: 'Press', capacityKn: 196, ramMm: 45, daylightMm: 900 },
  { id: 'low', name: 'Low press', capacityKn: 196, ramMm: 45, daylightMm: 260 },
  { id: 'ram', name: 'Hollow ram', kind: 'ram', capacityKn: 118, ramMm: 56, daylightMm: 400 },
  {
    id: 'screw',
    name: 'Screw',
    kind: 'screw',
    capacityKn: 120,
    ramMm: 36,
    daylightMm: 320,
    screw: {
      rodMm: 20,
      pitchMm: 2,
      flankMm: 18.7,
      threadDeg: 60,
      faceMm: 0,
      threadFriction: 0.12,
      faceFriction: 0.12,
    },
  },
];

/** Every stroke of every example with every tool. */
export const exampleSetups = (): { label: string; setup: Setup }[] =>
  exampleWorks.flatMap((work) =>
    operations.flatMap((o) =>
      [...exampleTools, hammer].flatMap((press) => {
        const setup = setupFor(o, work, press);
        return setup ? [{ label: `${work.family} ${o} ${press.id}`, setup }] : [];
      }),
    ),
  );

/** Sizes at which a stroke can just be set up, and low ones that need a spacer: random pieces lie about them, so that both outcomes come up. */
export function nearSizes({ requirement: r }: Setup): [number, number, number, Adapter['shape']][] {
  return [r.pusher, ...(r.support ? [r.support] : [])].flatMap((need) => {
    const w = pieceWindows(need);
    const o = inside(w.outerMm, need.face.outerMm);
    const i =
      w.innerMm?.min === undefined && w.hollowMm?.min === undefined
        ? 0
        : Math.min(inside(w.innerMm, o / 2), o - 2 * need.face.leastMm);
    const deep = Math.max(w.heightMm?.min ?? 8, w.hollowMm?.min ?? 0) + 1;
    const shape = need.shapes?.only[0] ?? 'sleeve';
    return [
      [o, i, deep, shape],
      [o, i, deep * 0.6, shape],
      [r.riserMm + 30, r.riserMm + 1, deep * 0.6, 'sleeve'],
      [o - 1, 0, 14, 'disc'],
      [need.face.outerMm, 0, 15, 'disc'],
      [Math.max(40, o + 20), 21, 14, 'disc'],
      [
        (w.outerMm?.max ?? need.face.outerMm + 4) - 1,
        i === 0 ? 0 : (w.innerMm?.min ?? i) + 0.5,
        deep,
        shape,
      ],
      ...(r.drawn ? [[o + 24, o + 2, 110, 'sleeve']] : []),
    ] as [number, number, number, Adapter['shape']][];
  });
}

/** What a unit's record would say of a corner with these parts. */
export const recordOfWork = ({ bearing: _b, family, ...parts }: Work): CornerRecord =>
  ({ ...parts, family, source: 'made up' }) as CornerRecord;
