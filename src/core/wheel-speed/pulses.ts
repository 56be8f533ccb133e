import { median } from '../median.ts';

/** What stands in one trace: its level, its height, its pulses. */
export interface Wave {
  /** Level that the signal swings about, V: an active sensor's is not 0. */
  centreV: number;
  /** Half of its span where it is strongest, V. */
  amplitudeV: number;
}

/** Pieces that a trace is cut into, so that a signal that is dead for most of the time still shows its height. */
const pieces = 20;
/** A spike makes one piece high, a signal several: the height is that of the second highest. */
const notTheSpike = 1;

/** Level and height of a trace, with pieces long enough for a pulse of `pulseS`. */
export function waveOf(v: readonly number[], sampleRate: number, pulseS: number): Wave {
  const wide = Math.max(8, Math.ceil(2 * pulseS * sampleRate), Math.floor(v.length / pieces));
  const n = Math.max(1, Math.floor(v.length / wide));
  const spans = Array.from({ length: n }, (_, i) => {
    const s = v.slice(i * wide, (i + 1) * wide).sort((a, b) => a - b);
    const [low, high] = [s[Math.floor(s.length * 0.05)]!, s[Math.floor(s.length * 0.95)]!];
    return { half: (high - low) / 2, centre: (high + low) / 2 };
  }).sort((a, b) => b.half - a.half);
  const { half: amplitudeV } = spans[Math.min(notTheSpike, n - 1)]!;
  const live = spans.filter((s) => s.half >= amplitudeV / 2);
  return { centreV: median(live.map((s) => s.centre)), amplitudeV };
}

/** Amplitude of one frequency (Goertzel), in volts. */
export function toneOf(v: readonly number[], hz: number, sampleRate: number): number {
  const k = 2 * Math.cos((2 * Math.PI * hz) / sampleRate);
  let a = 0;
  let b = 0;
  for (const x of v) {
    const next = x + k * a - b;
    b = a;
    a = next;
  }
  return (2 * Math.sqrt(Math.max(0, a * a + b * b - k * a * b))) / v.length;
}

/** Times of rising crossings, with a hysteresis of ±`level`; linear between samples. */
export function pulses(v: readonly number[], sampleRate: number, level: number): number[] {
  const at: number[] = [];
  let low = false;
  for (let i = 1; i < v.length; i++) {
    if (v[i]! < -level) low = true;
    if (low && v[i - 1]! < level && v[i]! >= level) {
      at.push((i - 1 + (level - v[i - 1]!) / (v[i]! - v[i - 1]!)) / sampleRate);
      low = false;
    }
  }
  return at;
}
