import {
  type Adapter,
  classFits,
  judgeCap,
  judgeStack,
  type Judgement,
  type Operation,
  type Press,
  type Setup,
  setupFor,
  type Stack,
  type WorkOf,
} from '../press/index.ts';

/** Strokes of a made-up corner; those that fit something end at a shoulder. */
export const fittingStrokes = ['bearing-in', 'hub-in'] as const satisfies readonly Operation[];
export const practiceStrokes = [
  'hub-out',
  'bearing-out',
  ...fittingStrokes,
] as const satisfies readonly Operation[];
export type PracticeStroke = (typeof practiceStrokes)[number];
export const strokeWords: Record<PracticeStroke, string> = {
  'hub-out': 'The hub comes out of its old bearing.',
  'bearing-out': 'The old bearing comes out of its knuckle.',
  'bearing-in': 'The new bearing goes into its knuckle.',
  'hub-in': 'The hub goes into its new bearing.',
};

/** One stroke on a made-up ring set of so wide a bearing, and what gives the force. */
export interface PracticeWork {
  operation: PracticeStroke;
  outerMm: number;
  press: Press;
}
/** With the pieces that lie in the drawer. */
export interface PracticeBench {
  work: PracticeWork;
  drawer: Adapter[];
  /** By how much the nearest of the wrong pieces is off its place, mm. */
  nearMm: number;
  /** The pieces are the shop's own, not made up. */
  own?: true;
}

/** A ring set with its knuckle and hub, in the proportions of usual ones; nobody's part. */
function workOf(outerMm: number): WorkOf<'P1'> {
  const boreMm = Math.round(0.54 * outerMm);
  const widthMm = 37;
  return {
    family: 'P1',
    encoderSide: 'inboard',
    bearing: {
      outerMm,
      boreMm,
      widthMm,
      innerWidthMm: widthMm,
      outerFaceInnerMm: outerMm - 8,
      innerFaceOuterMm: boreMm + 11.4,
      balls: 12,
      ballMm: 11,
      pitchMm: (outerMm + boreMm) / 2,
      contactAngleDeg: 35,
      staticRatingKn: 36,
      encoder: { kind: 'magnetic', pairs: 44 },
    },
    knuckle: {
      boreMm: outerMm,
      boreClass: 'P7',
      shoulderMm: outerMm - 7.5,
      seatDepthMm: 41.5,
      grooveFromFaceMm: 2,
      grooveWidthMm: 2.4,
      grooveMm: outerMm + 3.4,
      bossDepthMm: 49,
      bossOuterMm: outerMm + 26,
      farFaceOuterMm: outerMm + 34,
      wheelSideReachMm: 190,
      snapRingSide: 'outboard',
      material: 'ductile-iron',
    },
    hub: {
      journalMm: boreMm,
      journalClass: 'm6',
      journalLengthMm: 44,
      boreMm: boreMm - 13,
      flangeMm: outerMm + 58,
      flangeThickMm: 9,
      insideStudsMm: outerMm + 14,
      studs: 5,
      studCircleMm: outerMm + 36,
      overhangMm: 28,
    },
  };
}

/** A stroke of a made-up corner. */
export function practiceSetup({ operation, outerMm, press }: PracticeWork): Setup {
  const work = workOf(outerMm);
  const setup = setupFor(operation, work, press, classFits(work));
  if (!setup) throw new RangeError(`operation: ${operation} is not made here`);
  return setup;
}

export interface LaidStack {
  work: PracticeWork;
  stack: Stack;
}
export const judgeLaid = ({ work, stack }: LaidStack): Judgement =>
  judgeStack(stack, practiceSetup(work));

/** A press that is made up, and the bearing it is practised with. */
const madeUpPress: Press = {
  id: 'practice',
  name: 'Shop press',
  capacityKn: 196,
  ramMm: 45,
  daylightMm: 420,
};
export const madeUpWork = (operation: PracticeStroke): PracticeWork => ({
  operation,
  outerMm: 72,
  press: madeUpPress,
});

/** What has to lie on a pusher that the ram does not reach by itself; undefined where nothing has to. */
const bridgeOf = (pusher: Adapter, drawer: readonly Adapter[], setup: Setup) =>
  judgeCap(pusher, undefined, setup).length === 0
    ? undefined
    : drawer.find((a) => judgeCap(pusher, a, setup).every((v) => v.status === 'good'));

/** Every stack of two pieces of a drawer, with what bridges the pusher. */
export function stacksOn({ work, drawer }: PracticeBench): LaidStack[] {
  const setup = practiceSetup(work);
  return drawer.flatMap((pusher) => {
    const others = drawer.filter((a) => a !== pusher);
    return others.map((support): LaidStack => {
      const bridges = others.filter((a) => a !== support);
      const cap = bridgeOf(pusher, bridges, setup);
      return { work, stack: { pusher, support, ...(cap ? { cap } : {}) } };
    });
  });
}
