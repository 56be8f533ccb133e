/** Made-up strokes against the follower: right verdicts, how early the seat and a cocked start are called. */
import { exampleBench } from '../tests/example.ts';
import { endsStroke, follower, type Operation, type StrokeCall } from '../src/core/press/index.ts';
import { random } from '../src/core/standins/cars.ts';
import { madeUpStroke, ramFaults, reportRange, tuningRange, type RamFault } from '../src/core/standins/ram.ts';

const rightCall: Record<RamFault, StrokeCall> = { good: 'seated', cocked: 'cocked', galling: 'galling', worn: 'easy' };
const operations: readonly Operation[] = ['bearing-in', 'hub-in'];

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
    const fault = ramFaults[n % ramFaults.length]!;
    const bench = exampleBench(operations[(n >> 2) % 2]!);
    const stroke = madeUpStroke(bench, fault, Math.floor(r() * 1e9), range === 'tuning' ? tuningRange : reportRange);
    const follow = follower(bench);
    let verdict: StrokeCall = 'waiting';
    let ended = { travelMm: 0, forceKn: 0 };
    for (const s of stroke.samples()) {
      const live = follow(s);
      // Too easy is the stroke's verdict, seated where it ends.
      if (verdict !== 'easy' || (endsStroke(live.call) && live.call !== 'seated')) verdict = live.call;
      if (endsStroke(live.call)) { ended = s; break; }
    }
    const row = table.get(fault) ?? new Map<StrokeCall, number>();
    row.set(verdict, (row.get(verdict) ?? 0) + 1);
    table.set(fault, row);
    if (verdict === rightCall[fault]) right += 1;
    if (fault === 'good') seats = { all: seats.all + 1, ok: seats.ok + Number(verdict === 'seated' && Math.abs(ended.travelMm - stroke.seatMm) <= 0.5 && ended.forceKn <= stroke.fittingKn + Math.max(10, stroke.fittingKn / 2)) };
    if (fault === 'cocked') cocked = { all: cocked.all + 1, ok: cocked.ok + Number(verdict === 'cocked' && ended.travelMm < 5) };
  }
  const calls: StrokeCall[] = ['seated', 'cocked', 'galling', 'easy', 'square', 'past', 'waiting'];
  const text = [['truth', ...calls], ...ramFaults.map((f) => [f, ...calls.map((c) => String(table.get(f)?.get(c) ?? 0))])].map((l) => l.map((x, i) => (i === 0 ? x.padEnd(10) : x.padStart(9))).join('')).join('\n');
  return { right: (100 * right) / count, seatInTime: (100 * seats.ok) / seats.all, cockedInTime: (100 * cocked.ok) / cocked.all, text };
}
