import type { WheelReading } from './read.ts';

/** A piece of one wheel's signal for the picture. */
export interface Strip {
  volts: readonly number[];
  seconds: number;
}

/** About so many pulses, so that their shape is seen and a gap is not lost. */
const pulsesShown = 12;

/** The piece of a signal that shows how it is: where it is weakest if pulses are missing, else its beginning. */
export function stripOf(r: WheelReading, volts: readonly number[], sampleRate: number): Strip {
  const length = r.perTurn
    ? Math.round((sampleRate * pulsesShown) / pulsesPerSecond(r, volts, sampleRate))
    : Math.round(sampleRate / 20);
  const from = r.gapsAt.length > 0 ? weakest(volts, length) : 0;
  const shown = volts.slice(from, from + Math.max(24, length));
  return { volts: shown, seconds: shown.length / sampleRate };
}

/** Pulses a second as counted by sign changes of the strip. */
const pulsesPerSecond = (r: WheelReading, v: readonly number[], rate: number) =>
  Math.max(
    1,
    (v.filter((x, i) => i > 0 && v[i - 1]! < 0.3 * r.amplitudeV && x >= 0.3 * r.amplitudeV).length *
      rate) /
      v.length,
  );

/** Start of the stretch with the least strength. */
function weakest(v: readonly number[], length: number): number {
  let best = 0;
  let least = Infinity;
  for (let i = 0; i + length < v.length; i += Math.max(1, Math.floor(length / 8))) {
    let sum = 0;
    for (let k = i; k < i + length; k++) sum += Math.abs(v[k]!);
    if (sum < least) {
      least = sum;
      best = i;
    }
  }
  return best;
}
