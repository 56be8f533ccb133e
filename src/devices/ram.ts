import type { Setup, TraceSample } from '../core/press/index.ts';
import { madeUpStroke, type RamFault } from '../core/standins/ram.ts';

/** Port of a gauge with a travel sensor: reads while somebody pumps, until it is released. */
export interface PressGauge {
  name: string;
  read: () => AsyncGenerator<TraceSample>;
}

/** A made-up hand pump in its own time; with `dropsOut` the lead comes loose for a while in mid-stroke. */
export const standInRam = (
  setup: Setup,
  fault: RamFault,
  dropsOut: boolean,
  seed: number,
  speed = 1,
): PressGauge => ({
  name: 'stand-in ram',
  read: async function* read() {
    const start = Date.now();
    let silentMs = 0;
    for (const s of madeUpStroke(setup, fault, seed).samples()) {
      if (dropsOut && silentMs === 0 && s.travelMm > setup.requirement.travelMm * 0.4) {
        silentMs = 2000;
        // A lead is as long off however fast the stand-in pumps.
        await new Promise((done) => setTimeout(done, silentMs / Math.min(speed, 2)));
      }
      const due = start + (s.ms + silentMs) / speed;
      if (due > Date.now()) await new Promise((done) => setTimeout(done, due - Date.now()));
      yield { ...s, ms: s.ms + silentMs };
    }
  },
});
