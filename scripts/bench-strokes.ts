/** Made-up strokes against the follower: right verdicts, how early the seat and a cocked start are called. */
import {
  setupFor,
  classFits,
  endsStroke,
  type Fits,
  follower,
  operations,
  type StrokeCall,
  type Work,
} from '../src/core/press/index.ts';
import { random } from '../src/core/standins/cars.ts';
import {
  faultsOf,
  madeUpStroke,
  type RamFault,
  ramFaults,
  reportRange,
  tuningRange,
} from '../src/core/standins/ram.ts';
import { exampleTools, exampleWorks } from '../tests/example.ts';

const rightCall = (fault: RamFault, fitting: boolean): StrokeCall =>
  (
    ({
      good: fitting ? 'seated' : 'free',
      cocked: 'cocked',
      galling: 'galling',
      worn: 'easy',
      rusted: 'stuck',
    }) as const
  )[fault];
/** Every stroke that a ram with a gauge makes; seals and shells are driven, studs are too short to follow. */
const followed = operations.filter((o) => !/^(seal|shell|stud)/u.test(o));
/** Seats as measured, as they are before anything goes on; a pressed-in bearing by its classes alone, which is harder. An N7 bore by class may be loose: there a worn seat cannot be told. */
const fitsOf = (w: Work): Fits =>
  w.family === 'P1'
    ? classFits(w)
    : {
        bore: { low: 0.016, likely: 0.023, high: 0.03 },
        journal: { low: 0.012, likely: 0.018, high: 0.024 },
        measured: { bore: true, journal: true },
      };
const setups = exampleWorks.flatMap((w) =>
  followed.flatMap((o) => setupFor(o, w, exampleTools[0]!, fitsOf(w)) ?? []),
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
    const follow = follower(setup);
    let verdict: StrokeCall = 'waiting';
    let ended = { travelMm: 0, forceKn: 0 };
    for (const s of stroke.samples()) {
      const live = follow(s);
      // Too easy is the stroke's verdict, seated where it ends.
      if (verdict !== 'easy' || (endsStroke(live.call) && live.call !== 'seated'))
        verdict = live.call;
      if (endsStroke(live.call)) {
        ended = s;
        break;
      }
    }
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
