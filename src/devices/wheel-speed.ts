import type { Corner } from '../core/corner.ts';
import { driveStraight, type SignalFault } from '../core/standins/wheel-speed.ts';
import type { Traces } from '../core/wheel-speed/index.ts';

/** What a reader is asked for: a short recording at one speed. */
export interface TakeRequest {
  kmh: number;
  sensor: Traces['sensor'];
  seconds: number;
  /** Pulses a turn and tyre of the car on the road. A real reader does not need them; the made-up car does. */
  pairs: number;
  circumferenceMm: number;
}

/** Port of a wheel-speed reader; a real one and the stand-in look the same from here. */
export interface WheelSpeedReader {
  name: string;
  take: (request: TakeRequest) => Promise<Traces>;
}

/** Samples a second that show each pulse: twelve of each, and a thousand at least. */
export const samplesPerSecond = (r: TakeRequest): number =>
  Math.max(1000, Math.ceil((r.pairs * r.kmh * 1e6) / (3600 * r.circumferenceMm) / 100) * 1200);

/** A made-up car with a chosen fault at a chosen corner. */
export const standInReader = (
  fault: SignalFault,
  corner: Corner,
  seed: number,
): WheelSpeedReader => ({
  name: 'stand-in reader',
  take: async (r) =>
    driveStraight({
      ...r,
      fault,
      corner,
      sampleRate: samplesPerSecond(r),
      noiseV: 0.015,
      seed,
    }),
});
