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
import { practiceSetup, practiceStrokes } from '../bench.ts';
import { type Maker } from '../exercise.ts';
import { between, pickOne } from './draw.ts';

/** What a hand on the pump may do. */
const handWords = {
  on: 'pump on: it goes in square',
  cocked: 'release: it is cocked',
  galling: 'release: it galls',
  easy: 'release: too easy, the seat is worn',
  seated: 'release: it is home',
} as const;
type Hand = keyof typeof handWords;
const hands = Object.keys(handWords) as Hand[];

const afterwards: Record<Hand, string> = {
  on: 'Released too soon nothing is hurt, and the seat is still to be reached.',
  cocked: 'Forced on, the bore is scored on one side and the ring stands crooked.',
  galling: 'Forced on, metal is torn out of the seat: knuckle and bearing are lost.',
  easy: 'Driven home, the ring creeps in its seat and is loose within a season.',
  seated: 'Pumped on past the shoulder, the force goes into the ring and its snap-ring groove.',
};

const faults: readonly RamFault[] = ['good', 'cocked', 'galling', 'worn'];

/** How far past its first sign a stroke is shown, mm: the harder, the nearer to it. */
const shownPastMm = [3, 2, 1.2, 0.6, 0.3] as const;

interface Followed {
  samples: TraceSample[];
  calls: LiveCall[];
  /** Where the press would call it first. */
  at: number;
}

/** A made-up stroke that the press's own follower calls as it is; undefined where it calls another thing before. */
function followed(setup: Setup, fault: RamFault, seed: number): Followed | undefined {
  const follow = follower(setup);
  const wanted = rightCall(fault, true);
  const samples: TraceSample[] = [];
  const calls: LiveCall[] = [];
  let at = -1;
  for (const s of madeUpStroke(setup, fault, seed).samples()) {
    const call = follow(s);
    samples.push(s);
    calls.push(call);
    if (at < 0 && call.call === wanted) at = samples.length - 1;
    else if (at < 0 && endsStroke(call.call)) return undefined;
  }
  return at < 0 ? undefined : { samples, calls, at };
}

/** As many points as a drawing can show. */
const most = 160;
const points = (list: readonly TraceSample[]): [mm: number, kn: number][] => {
  const every = Math.max(1, Math.ceil(list.length / most));
  return list
    .filter((_, i) => i % every === 0 || i === list.length - 1)
    .map((s) => [Number(s.travelMm.toFixed(2)), Number(s.forceKn.toFixed(2))]);
};

const bandSteps = 30;
const bandOf = (setup: Setup) =>
  Array.from({ length: bandSteps + 1 }, (_, i) => {
    const mm = (setup.requirement.travelMm * i) / bandSteps;
    const { low, high } = forceAtKn(setup, mm);
    return { mm, low, high };
  });

/** Where the shown part ends: before the first sign, or a little past it. */
function cutAt({ samples, calls, at }: Followed, goesOn: boolean, level: number, r: () => number) {
  if (goesOn) {
    const square = calls.flatMap((c, i) => (i < at && c.call === 'square' ? [i] : []));
    const early = square.slice(0, Math.max(1, Math.floor(square.length * between(0.5, 0.9, r))));
    return early.at(-1);
  }
  const past = (samples[at]?.travelMm ?? 0) + (shownPastMm[level - 1] ?? 1);
  const later = samples.findIndex((s, i) => i >= at && s.travelMm >= past);
  // A shoulder gives no way to go past: it is shown as soon as it is felt.
  return later < 0 ? Math.min(at + 2, samples.length - 1) : later;
}

const isHand = (call: StrokeCall): call is Exclude<Hand, 'on'> =>
  call !== 'square' && (hands as readonly string[]).includes(call);

/** Go on or release? The harder, the nearer to the first sign of it. */
export const ram: Maker = (r, level) => {
  for (;;) {
    const operation = pickOne(practiceStrokes, r);
    const setup = practiceSetup(operation);
    const fault = pickOne(faults, r);
    const stroke = followed(setup, fault, Math.floor(r() * 2 ** 31));
    const goesOn = r() < 0.3;
    const cut = stroke && cutAt(stroke, goesOn, level, r);
    if (!stroke || cut === undefined) continue;
    const said = stroke.calls[cut];
    const seen = said && isHand(said.call) ? said.call : undefined;
    if (!said || (!goesOn && !seen)) continue;
    const answer: Hand = goesOn ? 'on' : (seen ?? 'on');
    return {
      ask: 'The pump has stopped here. On, or release?',
      picture: {
        of: 'ram',
        operation,
        travelMm: setup.requirement.travelMm,
        band: bandOf(setup),
        shown: points(stroke.samples.slice(0, cut + 1)),
        then: points(stroke.samples.slice(cut)),
      },
      options: hands.map((id) => ({ id, text: handWords[id] })),
      answer,
      because: sentence(said),
      source: 'made-up stroke, called as the press bench calls a real one; judgement',
      otherwise: afterwards[answer],
      hard: {
        value: shownPastMm[level - 1] ?? 1,
        unit: 'mm past a first sign, where there is one',
      },
    };
  }
};
