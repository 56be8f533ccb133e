import { normal, random } from '../core/standins/cars.ts';

export interface IndicatorReading {
  valueMm: number;
  /** The hand has stopped. */
  settled: boolean;
}

/** Port of an indicator or digital micrometer that sends while it settles. */
export interface Indicator {
  name: string;
  stream: () => AsyncGenerator<IndicatorReading>;
}

/** A made-up part near a nominal size: swings in, settles, repeats within a few microns. */
export const standInIndicator = (
  nominalMm: number,
  seed: number,
  pauseMs = 90,
  /** How far one part is off the next, mm r.m.s. */
  spreadMm = 0.008,
): Indicator => ({
  name: 'stand-in indicator',
  stream: async function* stream() {
    const r = random(seed);
    const own = nominalMm + spreadMm * normal(r);
    for (let i = 0; i < 12; i++) {
      await new Promise((done) => setTimeout(done, pauseMs));
      const swing = 0.4 * Math.exp(-i / 2) * Math.cos(1.7 * i);
      yield { valueMm: Number((own + swing + 0.001 * normal(r)).toFixed(3)), settled: i === 11 };
    }
  },
});
