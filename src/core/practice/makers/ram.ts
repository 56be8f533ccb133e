import {
  endsStroke,
  follower,
  forceAtKn,
  type LiveCall,
  type Setup,
  type StrokeCall,
  type TraceSample,
} from '../../press/index.ts';
import { sentence } from '../../rules/index.ts';
import { madeUpStroke, type RamFault, rightCall } from '../../standins/ram.ts';
import { fittingStrokes, madeUpWork, practiceSetup, type PracticeStroke } from '../bench.ts';
import { type Maker } from '../exercise.ts';
import type { RamPicture } from '../picture.ts';
import { between, mostTries, pickOne } from './draw.ts';

/** What a hand does where the press calls it so. */
const releases = {
  cocked: 'It is cocked: forced on, the bore is scored on one side and the ring stands crooked.',
  galling: 'It galls: forced on, metal is torn out of the seat; knuckle and bearing are lost.',
  seated: 'It is home: pumped on, the force goes into the ring and its snap-ring groove.',
} as const satisfies Partial<Record<StrokeCall, string>>;
type Release = keyof typeof releases;
const isRelease = (call: StrokeCall): call is Release => call in releases;

const faults: readonly RamFault[] = ['good', 'cocked', 'galling'];

/** How late the ram may be released, mm of the pump after the press would call it: the harder, the less. */
export const lateMm = [3, 2, 1.5, 1, 0.7] as const;
/** How far the pump runs before it, mm. */
const [leastRunMm, mostRunMm] = [5, 14];

interface Followed {
  samples: TraceSample[];
  call: LiveCall;
  /** Where it truly begins, and where the press calls it first: a quick eye may be before the press. */
  begins: number;
  at: number;
}

/** A made-up stroke and where the press's own follower says release; undefined where it says another thing than the stroke is. */
function followed(setup: Setup, fault: RamFault, seed: number): Followed | undefined {
  const follow = follower(setup);
  const stroke = madeUpStroke(setup, fault, seed);
  const samples = [...stroke.samples()];
  for (const [at, s] of samples.entries()) {
    const call = follow(s);
    if (endsStroke(call.call))
      return call.call === rightCall(fault, true)
        ? { samples, call, at, begins: samples.findIndex((x) => x.travelMm >= stroke.beginsMm) }
        : undefined;
  }
  return undefined;
}

/** Readings that a millimetre of the pump gives, its rest too, and every which of them is drawn. */
const samplesAMm = 66;
const every = 6;
const pointsFor = (mm: number) => Math.round((mm * samplesAMm) / every);
const sampleMs = 1000 / 60;
/** The pump on the screen goes so much faster than a hand. */
const faster = 1.5;

const pointsOf = (list: readonly TraceSample[]): [mm: number, kn: number][] =>
  list
    .filter((_, i) => i % every === 0)
    .map((s) => [Number(s.travelMm.toFixed(2)), Number(s.forceKn.toFixed(2))]);

/** The ram comes down to the part: nothing on the gauge yet. */
const comingDown = Array.from({ length: pointsFor(mostRunMm) }, (): [number, number] => [0, 0]);

const bandSteps = 30;
const bandOf = (setup: Setup) =>
  Array.from({ length: bandSteps + 1 }, (_, i) => {
    const mm = (setup.requirement.travelMm * i) / bandSteps;
    const { low, high } = forceAtKn(setup, mm);
    return { mm, low, high };
  });

/** A stroke that the press calls as it is made; the few that it calls otherwise are drawn again. */
function strokeOf(r: () => number): Followed & { setup: Setup; operation: PracticeStroke } {
  for (let tries = 0; tries < mostTries; tries += 1) {
    const operation = pickOne(fittingStrokes, r);
    const setup = practiceSetup(madeUpWork(operation));
    const stroke = followed(setup, pickOne(faults, r), Math.floor(r() * 2 ** 31));
    if (stroke) return { ...stroke, setup, operation };
  }
  throw new RangeError('seed: no stroke that is called as it is made');
}

/** Said beside the answer: how it was stopped. */
function stopWords(at: number, first: number, last: number): string {
  const mm = (n: number) => `${((n * every) / samplesAMm).toFixed(1)} mm of the pump`;
  if (at < first) return `Released ${mm(first - at)} too soon. `;
  return at > last ? `Released ${mm(at - last)} too late. ` : '';
}

/** The pump runs: release it in time. The harder, the less may go by after the first sign. */
export const ram: Maker = (r, level) => {
  const { setup, operation, samples, call, at, begins } = strokeOf(r);
  const allowedMm = lateMm[level - 1] ?? 1;
  const trace = [...comingDown, ...pointsOf(samples)];
  const pointOf = (sample: number) => comingDown.length + Math.floor(sample / every);
  const first = Math.min(pointOf(begins), pointOf(at));
  const last = Math.min(trace.length - 1, pointOf(at) + pointsFor(allowedMm));
  const picture: RamPicture = {
    of: 'ram',
    operation,
    travelMm: setup.requirement.travelMm,
    band: bandOf(setup),
    trace,
    from: first - pointsFor(between(leastRunMm, mostRunMm, r)),
    everyMs: (every * sampleMs) / faster,
    aPump: pointsFor(1),
  };
  return {
    ask: 'The pump runs. Release it the moment it has to stop.',
    picture,
    source: 'made-up stroke, called as the press bench calls a real one; judgement',
    hard: { value: allowedMm, unit: 'mm of the pump late at the most' },
    worth: (given) => {
      const stopped = Number(given);
      if (!/^\d{1,4}$/u.test(given) || stopped >= trace.length) return undefined;
      return {
        right: stopped >= first && stopped <= last,
        because: `${stopWords(stopped, first, last)}${sentence(call)}`,
        otherwise: isRelease(call.call) ? releases[call.call] : '',
        picture: { ...picture, ended: { at: stopped, first, last } },
      };
    },
  };
};
