import { type Corner, corners } from '../corner.ts';
import type { Traces } from '../wheel-speed/index.ts';
import { normal, random } from './cars.ts';

export const signalFaults = [
  'agree',
  'drop-out',
  'tooth-missing',
  'reversed-encoder',
  'wide-gap',
  'dead-lead',
  'other-count',
] as const;
export type SignalFault = (typeof signalFaults)[number];

/** What is left of the signal's height; all of it for the faults not named. */
const gains: Partial<Record<SignalFault, number>> = {
  'reversed-encoder': 0.05,
  'wide-gap': 0.4,
  'dead-lead': 0,
};

export interface MadeUpDrive {
  fault: SignalFault;
  corner: Corner;
  kmh: number;
  sensor: Traces['sensor'];
  pairs: number;
  circumferenceMm: number;
  seconds: number;
  sampleRate: number;
  /** Level that an active sensor swings about, V. */
  levelV?: number;
  /** A switching sensor's square wave, with so much of each pulse high. */
  square?: number;
  /** Share of the time that the named corner is dead, at the end. */
  deadShare?: number;
  /** Noise, volts r.m.s. */
  noiseV: number;
  seed: number;
}

/** A sine, or the square wave of a switching sensor with so much of it high. */
const waveAt = (pulse: number, high: number | undefined): number => {
  if (high === undefined) return Math.sin(2 * Math.PI * pulse);
  return pulse % 1 < high ? 1 : -1;
};

/** The signals of a made-up car with one known fault. Wheels differ a little, as tyres do; a coil's voltage follows speed. */
export function driveStraight(d: MadeUpDrive): Traces {
  const r = random(d.seed);
  const strength = (d.sensor === 'coil' ? Math.min(2, d.kmh / 20) : 1) * 1.2;
  const volts = Object.fromEntries(
    corners.map((c) => {
      const own: SignalFault = c === d.corner ? d.fault : 'agree';
      const pairs = own === 'other-count' ? Math.round(d.pairs * 0.9) : d.pairs;
      const hz = (d.kmh / 3.6 / (d.circumferenceMm / 1000)) * (1 + 0.004 * (2 * r() - 1));
      const begin = r();
      const gain = strength * (0.92 + 0.16 * r()) * (gains[own] ?? 1);
      // Stretches without signal: on average four a second, 12 to 60 ms each.
      const holes =
        own === 'drop-out'
          ? Array.from({ length: Math.max(2, Math.round(4 * d.seconds)) }, () => {
              const from = d.seconds * r();
              return [from, from + 0.012 + 0.048 * r() + 2 / (hz * pairs)] as const;
            })
          : [];
      return [
        c,
        Array.from({ length: Math.round(d.seconds * d.sampleRate) }, (_, i) => {
          const t = i / d.sampleRate;
          const turn = begin + hz * t;
          const gone =
            (own === 'tooth-missing' && Math.floor((turn % 1) * pairs) === 7) ||
            holes.some(([a, b]) => t >= a && t < b);
          const dead = c === d.corner && t > d.seconds * (1 - (d.deadShare ?? 0));
          const wave = gone || dead ? 0 : gain * waveAt(turn * pairs, d.square);
          return (d.levelV ?? 0) + wave + d.noiseV * normal(r);
        }),
      ];
    }),
  ) as Record<Corner, number[]>;
  return { sampleRate: d.sampleRate, kmh: d.kmh, sensor: d.sensor, volts };
}
