import {
  type Adapter,
  classFits,
  judgeStack,
  type Judgement,
  type Operation,
  type Press,
  type Setup,
  setupFor,
  type Stack,
  type WorkOf,
} from '../press/index.ts';

/** A made-up bench to practise on: one ring set with its knuckle and hub, a press, a drawer of pieces. */
const work: WorkOf<'P1'> = {
  family: 'P1',
  encoderSide: 'inboard',
  bearing: {
    outerMm: 72,
    boreMm: 39,
    widthMm: 37,
    innerWidthMm: 37,
    outerFaceInnerMm: 64,
    innerFaceOuterMm: 50.4,
    balls: 12,
    ballMm: 11,
    pitchMm: 55.5,
    contactAngleDeg: 35,
    staticRatingKn: 36,
    encoder: { kind: 'magnetic', pairs: 44 },
  },
  knuckle: {
    boreMm: 72,
    boreClass: 'P7',
    shoulderMm: 64.5,
    seatDepthMm: 41.5,
    grooveFromFaceMm: 2,
    grooveWidthMm: 2.4,
    grooveMm: 75.4,
    bossDepthMm: 49,
    bossOuterMm: 98,
    farFaceOuterMm: 106,
    wheelSideReachMm: 190,
    snapRingSide: 'outboard',
    material: 'ductile-iron',
  },
  hub: {
    journalMm: 39,
    journalClass: 'm6',
    journalLengthMm: 44,
    boreMm: 26,
    flangeMm: 130,
    flangeThickMm: 9,
    insideStudsMm: 86,
    studs: 5,
    studCircleMm: 108,
    overhangMm: 28,
  },
};
const press: Press = {
  id: 'practice',
  name: 'Shop press',
  capacityKn: 196,
  ramMm: 45,
  daylightMm: 420,
};

const piece = (
  id: string,
  name: string,
  outerMm: number,
  innerMm: number,
  heightMm: number,
): Adapter => ({
  id,
  name,
  shape: innerMm > 0 ? 'sleeve' : 'disc',
  outerMm,
  innerMm,
  heightMm,
  material: 'steel',
  ratingKn: 200,
});
export const drawer: readonly Adapter[] = [
  piece('ring', 'Ring 71', 71, 64.4, 30),
  piece('flat', 'Plate 70', 70, 0, 30),
  piece('inner', 'Sleeve 50', 50, 40, 60),
  piece('wide', 'Sleeve 71.5', 71.5, 54, 60),
  piece('foot', 'Ring 106', 106, 80, 20),
  piece('flange', 'Disc 78', 78, 0, 25),
];
/** Spans the ram where a ring does not carry it. */
const cap = piece('cap', 'Disc 71', 71, 0, 12);

export const practiceStrokes = ['bearing-in', 'hub-in'] as const satisfies readonly Operation[];
export type PracticeStroke = (typeof practiceStrokes)[number];

/** A stroke of the made-up bench. */
export function practiceSetup(operation: PracticeStroke): Setup {
  const setup = setupFor(operation, work, press, classFits(work));
  if (!setup) throw new RangeError(`operation: ${operation} is not made here`);
  return setup;
}

/** Pieces by their ids, as they are laid. */
export function practiceStack(pusherId: string, supportId: string): Stack {
  const [pusher, support] = [pusherId, supportId].map((id) => drawer.find((a) => a.id === id));
  if (!pusher || !support) throw new RangeError('pusherId: no piece of this drawer');
  return { pusher, support, ...(pusher.innerMm > 45 ? { cap } : {}) };
}

export interface LaidStack {
  operation: PracticeStroke;
  pusherId: string;
  supportId: string;
}
export const judgeLaid = ({ operation, pusherId, supportId }: LaidStack): Judgement =>
  judgeStack(practiceStack(pusherId, supportId), practiceSetup(operation));
