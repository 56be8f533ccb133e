import {
  endsStroke,
  follower,
  judgeStroke,
  operations,
  setupFor,
  type StrokeCall,
  type StrokeReading,
} from '../src/core/press/index.ts';
import { random } from '../src/core/standins/cars.ts';
import { madeUpStroke, type RamFault, reportRange } from '../src/core/standins/ram.ts';
import { exampleTools, exampleWorks, measuredFits } from './example.ts';

/** Every fitting stroke that a ram with a gauge makes. */
const setups = exampleWorks
  .flatMap((w) =>
    operations
      .filter((o) => !/^(seal|shell|stud)/u.test(o))
      .flatMap((o) => setupFor(o, w, exampleTools[0]!, measuredFits) ?? []),
  )
  .filter((s) => s.requirement.fitting);

/** Share of made-up strokes whose kept verdict is Good, %: followed to where they end, the seat measured as planned. */
export function keptGood(
  fault: Extract<RamFault, 'good' | 'galling'>,
  count: number,
  seed: number,
): number {
  const r = random(seed);
  let good = 0;
  for (let n = 0; n < count; n++) {
    const setup = setups[n % setups.length]!;
    const follow = follower(setup);
    const readings: StrokeReading[] = [];
    let call: StrokeCall = 'waiting';
    for (const s of madeUpStroke(setup, fault, Math.floor(r() * 1e9), reportRange).samples()) {
      readings.push({ travelMm: s.travelMm, forceKn: s.forceKn });
      ({ call } = follow(s));
      if (endsStroke(call)) break;
    }
    const peakKn = Math.max(...readings.map((x) => x.forceKn));
    const kept = { peakKn, depthMm: setup.requirement.travelMm };
    if (judgeStroke(kept, setup, { readings, call }).status === 'good') good += 1;
  }
  return (100 * good) / count;
}
