import {
  type Adapter,
  classFits,
  judgeCap,
  judgeStack,
  type Judgement,
  misfitMm,
  type Operation,
  type Press,
  roles,
  type Setup,
  setupFor,
  solve,
  type Stack,
  type WorkOf,
} from '../press/index.ts';
import { levels } from './exercise.ts';
import { pickOne, shuffled } from './makers/draw.ts';

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

/** What of a shop's kit is practised with. */
export interface PracticeKit {
  adapters: readonly Adapter[];
  presses: readonly Press[];
}

/** For a shop whose own kit lays no stroke of practice. */
const madeUpKit: PracticeKit = {
  presses: [madeUpPress],
  adapters: [
    piece('ring', 'Ring 71', 71, 64.4, 30),
    piece('ring-wide', 'Ring 73', 73, 65.5, 30),
    piece('ring-thick', 'Ring 71, thick', 71, 58, 30),
    piece('flat', 'Plate 70', 70, 0, 30),
    piece('inner', 'Sleeve 50', 50, 40, 60),
    piece('inner-wide', 'Sleeve 54', 54, 40, 60),
    piece('wide', 'Sleeve 71.5', 71.5, 54, 60),
    piece('foot', 'Ring 106', 106, 80, 20),
    piece('foot-close', 'Ring 98', 98, 70, 20),
    piece('receiver', 'Receiver 104', 104, 76, 90),
    piece('receiver-low', 'Receiver 104, low', 104, 76, 40),
    piece('bell', 'Receiver 190', 190, 140, 90),
    piece('bell-close', 'Receiver 160', 160, 126, 90),
    piece('bell-low', 'Receiver 190, low', 190, 140, 60),
    piece('mandrel', 'Mandrel 37', 37, 0, 70),
    piece('mandrel-wide', 'Mandrel 41', 41, 0, 70),
    piece('flange', 'Disc 78', 78, 0, 25),
    piece('cap', 'Disc 71', 71, 0, 12),
  ],
};

/** Bearings of practice, outside diameter, mm, and how many of them are tried with a kit for a stroke. */
const outersMm = Array.from({ length: 27 }, (_, i) => 62 + i);
const bearingsTried = 8;
/** Wrong pieces that lie beside the right ones: by their size, and by the way the force takes. */
const [sizedBeside, pathBeside] = [4, 3];

/** The pieces of a stack with one of them changed. */
const changed = (stack: Stack, role: 'pusher' | 'support', by: Adapter): Stack => ({
  ...stack,
  [role]: by,
});

/** Pieces that would be wrong in one place of a right stack, the nearest by size first, and those that fit and are wrong all the same. */
function wrongBeside(right: Stack, pieces: readonly Adapter[], setup: Setup) {
  const inIt = roles.map((r) => right[r]?.id);
  const wrong = pieces
    .filter((a) => !inIt.includes(a.id))
    .flatMap((a) =>
      (['pusher', 'support'] as const)
        .filter((role) => right[role] !== undefined)
        .filter((role) => judgeStack(changed(right, role, a), setup).status === 'stop')
        .map((role) => ({ a, offMm: misfitMm(a, role, setup) })),
    );
  return {
    sized: wrong.filter((w) => w.offMm > 0).sort((x, y) => x.offMm - y.offMm),
    path: wrong.filter((w) => w.offMm === 0),
  };
}

/** A bench of one work: a right stack of a kit and pieces that would be wrong in it, the nearer the higher the level. */
function benchOf(
  pieces: readonly Adapter[],
  work: PracticeWork,
  r: () => number,
  level: number,
): PracticeBench | undefined {
  const setup = practiceSetup(work);
  const [best] = solve(pieces, setup, 1).solutions;
  if (!best) return undefined;
  const { sized, path } = wrongBeside(best.stack, pieces, setup);
  if (sized.length === 0) return undefined;
  // The easiest level leaves out the nearest half.
  const spare = Math.max(0, sized.length - sizedBeside);
  const from = Math.floor((spare * (levels.most - level)) / (2 * levels.most - 2));
  const near = sized.slice(from, from + sizedBeside);
  const beside = [...near, ...shuffled(path, r).slice(0, pathBeside)].map((w) => w.a);
  const drawer = new Set([...roles.flatMap((role) => best.stack[role] ?? []), ...beside]);
  return { work, drawer: shuffled([...drawer], r), nearMm: near[0]?.offMm ?? 0 };
}

/** A bench with a press and pieces of the shop's own. Undefined where its kit lays no stroke of practice. */
export function ownBench(
  { adapters, presses }: PracticeKit,
  strokes: readonly PracticeStroke[],
  r: () => number,
  level: number,
): PracticeBench | undefined {
  const pieces = adapters.filter((a) => !a.retired && (a.kit ?? 'bench') === 'bench');
  const frames = presses.filter((p) => !p.retired && (p.kind ?? 'press') === 'press');
  if (frames.length === 0) return undefined;
  // Every stroke as often as any other, though a kit lays one for more bearings than another.
  for (const operation of shuffled(strokes, r))
    for (const outerMm of shuffled(outersMm, r).slice(0, bearingsTried)) {
      const bench = benchOf(pieces, { operation, outerMm, press: pickOne(frames, r) }, r, level);
      if (bench) return { ...bench, own: true };
    }
  return undefined;
}

/** A bench that is made up whole. Throws RangeError for a stroke that its kit does not lay. */
export function madeUpBench(
  operation: PracticeStroke,
  r: () => number,
  level: number,
): PracticeBench {
  const bench = benchOf(madeUpKit.adapters, madeUpWork(operation), r, level);
  if (!bench) throw new RangeError(`operation: ${operation} is laid by no piece made up`);
  return bench;
}

/** What has to lie on a pusher that the ram does not reach by itself; undefined where nothing has to. */
export const bridgeOf = (pusher: Adapter, drawer: readonly Adapter[], setup: Setup) =>
  judgeCap(pusher, undefined, setup).length === 0
    ? undefined
    : drawer.find(
        (a) => a !== pusher && judgeCap(pusher, a, setup).every((v) => v.status === 'good'),
      );
