import { speedAt } from '../noise/index.ts';
import type { MadeUpDrive } from './microphone.ts';

/** Noises of a sound car that a recording has too, and that are no finding of bearing or driveline. */
export const disturbances = [
  'tread-stones',
  'concrete-joints',
  'indicator',
  'engine',
  'tread-blocks',
] as const;
export type Disturbance = (typeof disturbances)[number];

/** One of them alone, of any size: the recording scales it. */
export function disturbance(
  kind: Disturbance,
  d: MadeUpDrive,
  n: number,
  r: () => number,
): Float32Array {
  const dt = 1 / d.sampleRate;
  const turnsPerS = (t: number) => speedAt(d.speeds, t) / 3.6 / (d.circumferenceMm / 1000);
  switch (kind) {
    case 'tread-stones': {
      // Each stone clicks once a turn of its wheel.
      const stones = Array.from({ length: 1 + Math.floor(3 * r()) }, () => r());
      return knocks(d, n, r, turnsPerS, stones, 1);
    }
    case 'concrete-joints': {
      // Both axles over each joint, one wheelbase apart.
      const slabM = 4 + 3 * r();
      const gap = 2.6 / slabM;
      return knocks(d, n, r, (t) => speedAt(d.speeds, t) / 3.6 / slabM, [0, gap], 1);
    }
    case 'indicator': {
      const hz = 1.3 + 0.5 * r();
      return knocks(d, n, r, () => hz, [0, 0.5], 1);
    }
    case 'engine': {
      const hz = (1500 + 2000 * r()) / 60;
      const cylinders = [3, 4, 6][Math.floor(3 * r())]!;
      return notes(
        n,
        r,
        dt,
        [0.5, 1, cylinders / 2, cylinders, 1.5 * cylinders].map((k) => k * hz),
        () => 1,
      );
    }
    case 'tread-blocks':
      return notes(n, r, dt, [4, 8], turnsPerS);
  }
}

/** Short ringing knocks at phases of something that turns; each a little different. */
function knocks(
  d: MadeUpDrive,
  n: number,
  r: () => number,
  turnsPerS: (t: number) => number,
  phases: readonly number[],
  size: number,
): Float32Array {
  const out = new Float32Array(n);
  const dt = 1 / d.sampleRate;
  const ring = Math.ceil((6 / d.decay) * d.sampleRate);
  let turns = 0;
  for (let i = 0; i < n; i++) {
    const before = turns;
    turns += turnsPerS(i * dt) * dt;
    for (const phase of phases) {
      if (Math.floor(before - phase) === Math.floor(turns - phase)) continue;
      const knock = size * (0.7 + 0.6 * r());
      for (let k = 0; k < ring && i + k < n; k++)
        out[i + k]! +=
          knock * Math.exp(-d.decay * k * dt) * Math.sin(2 * Math.PI * d.ringHz * k * dt);
    }
  }
  return out;
}

/** Steady notes at multiples of something that turns. */
function notes(
  n: number,
  r: () => number,
  dt: number,
  orders: readonly number[],
  turnsPerS: (t: number) => number,
): Float32Array {
  const out = new Float32Array(n);
  const each = orders.map((order) => ({ order, size: 0.4 + r(), phase: 2 * Math.PI * r() }));
  let turns = 0;
  for (let i = 0; i < n; i++) {
    turns += turnsPerS(i * dt) * dt;
    for (const { order, size, phase } of each)
      out[i]! += size * Math.sin(2 * Math.PI * order * turns + phase);
  }
  return out;
}
