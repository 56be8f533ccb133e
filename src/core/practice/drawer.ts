import {
  type Adapter,
  judgeStack,
  misfitMm,
  type Press,
  roles,
  type Setup,
  solve,
  type Stack,
} from '../press/index.ts';
import {
  madeUpWork,
  type PracticeBench,
  practiceSetup,
  type PracticeStroke,
  type PracticeWork,
} from './bench.ts';
import { levels } from './exercise.ts';
import { pickOne, shuffled } from './makers/draw.ts';

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

/** What of a shop's kit is practised with. */
export interface PracticeKit {
  adapters: readonly Adapter[];
  presses: readonly Press[];
}

/** For a shop whose own kit lays no stroke of practice. */
const madeUpPieces: readonly Adapter[] = [
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
];

/** Bearings of practice, outside diameter, mm, and how many of them are tried with a kit for a stroke. */
const outersMm = Array.from({ length: 27 }, (_, i) => 62 + i);
const bearingsTried = 8;
/** Wrong pieces that lie beside the right ones: by their size, and by the way the force takes. */
const [sizedBeside, pathBeside] = [4, 3];

/** Pieces that would be wrong in one place of a right stack, the nearest by size first, and those that fit and are wrong all the same. */
function wrongBeside(right: Stack, pieces: readonly Adapter[], setup: Setup) {
  const inIt = roles.map((r) => right[r]?.id);
  const wrong = pieces
    .filter((a) => !inIt.includes(a.id))
    .flatMap((a) =>
      (['pusher', 'support'] as const)
        .filter((role) => right[role] !== undefined)
        .filter((role) => judgeStack({ ...right, [role]: a }, setup).status === 'stop')
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
  const bench = benchOf(madeUpPieces, madeUpWork(operation), r, level);
  if (!bench) throw new RangeError(`operation: ${operation} is laid by no piece made up`);
  return bench;
}
