import type { Sound } from '../diagnosis/complaint.ts';
import { random } from './cars.ts';
import { roadNoise } from './road-noise.ts';

/** A seeded stream of numbers in [−1, 1): the stand-in must sound the same every time. */
function noise(seed: number): () => number {
  let x = seed >>> 0 || 1;
  return () => {
    x ^= x << 13;
    x ^= x >>> 17;
    x ^= x << 5;
    return ((x >>> 0) / 4_294_967_296) * 2 - 1;
  };
}

/**
 * Stand-in for the noises a driver means, a second or two to pick by ear. Not a measurement.
 * @returns samples in [−1, 1] at `rate` per second.
 */
export function soundSamples(kind: Sound, seconds: number, rate: number): Float32Array {
  const out = new Float32Array(Math.round(seconds * rate));
  const random = noise(kind.length * 7919 + kind.charCodeAt(0));
  let low = 0;
  for (let i = 0; i < out.length; i++) {
    const t = i / rate;
    const hiss = random();
    low += 0.06 * (hiss - low);
    const ping = (hz: number, every: number, fade: number) =>
      Math.exp(-((t % every) * fade)) * Math.sin(2 * Math.PI * hz * t);
    out[i] = {
      roar: 2.6 * low * (1 + 0.35 * Math.sin(2 * Math.PI * 11 * t)),
      whirr: 0.35 * Math.sin(2 * Math.PI * 180 * t + 2 * Math.sin(2 * Math.PI * 9 * t)) + 0.6 * low,
      chirp:
        t % 0.22 < 0.09
          ? 0.45 * Math.sin(2 * Math.PI * (1900 + 2600 * (t % 0.22)) * t)
          : 0.05 * hiss,
      grind: 0.5 * hiss * (0.4 + 0.6 * Math.abs(Math.sin(2 * Math.PI * 6.5 * t))) + low,
      click: 0.8 * ping(1300, 0.18, 130) + 0.02 * hiss,
      knock: 0.9 * ping(140, 0.42, 24) + 0.03 * hiss,
    }[kind];
  }
  return out.map((x) => Math.max(-1, Math.min(1, x)));
}

const energy = (x: Float32Array): number => x.reduce((sum, v) => sum + v * v, 0);

/** The same in the noise of a road: its energy over that of the road, dB. */
export function soundInRoad(
  kind: Sound,
  seconds: number,
  rate: number,
  overRoadDb: number,
): Float32Array {
  const sound = soundSamples(kind, seconds, rate);
  const road = roadNoise(sound.length, random(kind.length));
  const gain = Math.sqrt((energy(sound) / energy(road)) * 10 ** (-overRoadDb / 10));
  const out = sound.map((v, i) => v + gain * (road[i] ?? 0));
  const peak = out.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
  return out.map((v) => (0.9 * v) / peak);
}
