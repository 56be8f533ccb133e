/** Made-up strokes against the follower: right verdicts, how early the seat and a cocked start are called. */
import {
  setupFor,
  endsStroke,
  follower,
  operations,
  type Setup,
  type StrokeCall,
  type TraceSample,
} from '../../src/core/press/index.ts';
import { random } from '../../src/core/standins/cars.ts';
import {
  faultsOf,
  idealRange,
  madeUpStroke,
  type RamFault,
  ramFaults,
  reportRange,
  rightCall,
  tuningRange,
} from '../../src/core/standins/ram.ts';
import { type Manner, readInManner } from '../../src/core/standins/manners.ts';
import { exampleTools, exampleWorks, measuredFits } from '../../tests/example.ts';

/** Every stroke that a ram with a gauge makes; seals and shells are driven, studs are too short to follow. */
const followed = operations.filter((o) => !/^(seal|shell|stud)/u.test(o));
const setups = exampleWorks.flatMap((w) =>
  followed.flatMap((o) => setupFor(o, w, exampleTools[0]!, measuredFits) ?? []),
);

export interface StrokeBench {
  /** Share of strokes with the right verdict, %. */
  right: number;
  /** Share of good strokes whose seat was called within 0.5 mm and in time, %. */
  seatInTime: number;
  /** Share of cocked starts called before 5 mm, %. */
  cockedInTime: number;
  text: string;
}

/** The verdict of a whole stroke. Too easy is the stroke's, seated where it ends. */
function verdictOf(samples: Iterable<TraceSample>, setup: Setup) {
  const follow = follower(setup);
  let verdict: StrokeCall = 'waiting';
  for (const s of samples) {
    const { call } = follow(s);
    if (verdict !== 'easy' || (endsStroke(call) && call !== 'seated')) verdict = call;
    if (endsStroke(call)) return { verdict, ended: s };
  }
  return { verdict, ended: { travelMm: 0, forceKn: 0 } };
}

/** Share of strokes that are called right, %, when they are pumped and read in one manner; an ideal gauge with it. */
export function mannered(
  manner: Manner | 'ideal',
  count: number,
  seed: number,
): { right: number; wrong: string[] } {
  const r = random(seed);
  const wrong: string[] = [];
  for (let n = 0; n < count; n++) {
    const setup = setups[n % setups.length]!;
    const { fitting } = setup.requirement;
    // Few readings can step over the bite of a start; all else shows.
    const faults = faultsOf(fitting).filter((f) => manner !== 'typed' || f !== 'cocked');
    const fault = faults[Math.floor(n / setups.length) % faults.length]!;
    const stroke = madeUpStroke(
      setup,
      fault,
      Math.floor(r() * 1e9),
      manner === 'ideal' ? idealRange : reportRange,
    );
    const samples =
      manner === 'ideal' ? stroke.samples() : readInManner(stroke, manner, Math.floor(r() * 1e9));
    const { verdict } = verdictOf(samples, setup);
    if (verdict !== rightCall(fault, fitting))
      wrong.push(`${setup.requirement.operation}, ${fault}: ${verdict}`);
  }
  return { right: 100 * (1 - wrong.length / count), wrong };
}

/** `range` says whether the hidden parameters come from those that the follower was tuned on. */
export function strokes(range: 'tuning' | 'report', count: number, seed: number): StrokeBench {
  const r = random(seed);
  const table = new Map<RamFault, Map<StrokeCall, number>>();
  let right = 0;
  let seats = { all: 0, ok: 0 };
  let cocked = { all: 0, ok: 0 };
  for (let n = 0; n < count; n++) {
    const setup = setups[n % setups.length]!;
    const { fitting } = setup.requirement;
    const faults = faultsOf(fitting);
    const fault = faults[Math.floor(n / setups.length) % faults.length]!;
    const stroke = madeUpStroke(
      setup,
      fault,
      Math.floor(r() * 1e9),
      range === 'tuning' ? tuningRange : reportRange,
    );
    const { verdict, ended } = verdictOf(stroke.samples(), setup);
    const row = table.get(fault) ?? new Map<StrokeCall, number>();
    row.set(verdict, (row.get(verdict) ?? 0) + 1);
    table.set(fault, row);
    if (verdict === rightCall(fault, fitting)) right += 1;
    if (fault === 'good' && fitting)
      seats = {
        all: seats.all + 1,
        ok:
          seats.ok +
          Number(
            verdict === 'seated' &&
              Math.abs(ended.travelMm - stroke.seatMm) <= 0.5 &&
              ended.forceKn <= stroke.fittingKn + Math.max(10, stroke.fittingKn / 2),
          ),
      };
    if (fault === 'cocked')
      cocked = {
        all: cocked.all + 1,
        ok: cocked.ok + Number(verdict === 'cocked' && ended.travelMm < 5),
      };
  }
  const calls: StrokeCall[] = [
    'seated',
    'short',
    'free',
    'cocked',
    'galling',
    'easy',
    'stuck',
    'square',
    'past',
    'waiting',
  ];
  const text = [
    ['truth', ...calls],
    ...ramFaults.map((f) => [f, ...calls.map((c) => String(table.get(f)?.get(c) ?? 0))]),
  ]
    .map((l) => l.map((x, i) => (i === 0 ? x.padEnd(10) : x.padStart(9))).join(''))
    .join('\n');
  return {
    right: (100 * right) / count,
    seatInTime: (100 * seats.ok) / seats.all,
    cockedInTime: (100 * cocked.ok) / cocked.all,
    text,
  };
}
