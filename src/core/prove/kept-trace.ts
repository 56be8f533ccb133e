import { type Static, Type } from '@sinclair/typebox';
import type { OrderSpectrum } from '../noise/index.ts';
import { closed } from '../schemas/common.ts';
import type { Strip } from '../wheel-speed/index.ts';

/** What is kept of a recording with the job, so that before and after lie over one another. */

/** Largest number of points kept of a line. */
const mostPoints = 320;

/** What rings once a blow, over orders of the wheel: dB over the local floor. */
export const KeptSpectrumSchema = closed({
  maxOrder: Type.Number({ exclusiveMinimum: 0, maximum: 200 }),
  db: Type.Array(Type.Number({ minimum: -200, maximum: 200 }), {
    minItems: 2,
    maxItems: mostPoints,
  }),
});
export type KeptSpectrum = Static<typeof KeptSpectrumSchema>;

/** A piece of one wheel's signal, volts about its own level. */
export const KeptSignalSchema = closed({
  seconds: Type.Number({ exclusiveMinimum: 0, maximum: 60 }),
  volts: Type.Array(Type.Number({ minimum: -100, maximum: 100 }), {
    minItems: 2,
    maxItems: mostPoints,
  }),
});
export type KeptSignal = Static<typeof KeptSignalSchema>;

/** Orders up to which bearings ring. */
const keptOrders = 18;

const rounded = (x: number, digits: number) => Number(x.toFixed(digits));

/** The spectrum at most so many points wide; each keeps the strongest of its bins, so that no line is lost. */
export function keptSpectrum({ step, db }: Pick<OrderSpectrum, 'step' | 'db'>): KeptSpectrum {
  const bins = Math.max(2, Math.min(db.length, Math.round(keptOrders / step)));
  const points = Math.min(bins, mostPoints);
  const strongest = Array.from({ length: points }, (_, i) => {
    const from = Math.floor((i * bins) / points);
    const to = Math.max(from + 1, Math.floor(((i + 1) * bins) / points));
    return rounded(Math.max(...db.slice(from, to)), 1);
  });
  return { maxOrder: bins * step, db: strongest };
}

/** A strip at most so many points wide, about the level it swings about. */
export function keptSignal({ volts, seconds }: Strip, centreV: number): KeptSignal {
  const points = Math.min(volts.length, mostPoints);
  return {
    seconds,
    volts: Array.from({ length: points }, (_, i) =>
      rounded(volts[Math.floor((i * volts.length) / points)]! - centreV, 4),
    ),
  };
}
