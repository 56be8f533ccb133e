import type { Sound } from '../../core/diagnosis/index.ts';
import { soundSamples } from '../../core/standins/sounds.ts';

export function BendArrow({ way }: { way: 'left' | 'same' | 'right' }) {
  const d = {
    left: 'M27 32V18q0-8-8-8H7m6-6l-7 6 7 6',
    same: 'M17 32V5m-6 7l6-8 6 8',
    right: 'M7 32V18q0-8 8-8h12m-6-6l7 6-7 6',
  }[way];
  return (
    <svg viewBox="0 0 34 34" aria-hidden="true">
      <path d={d} fill="none" stroke="currentColor" strokeWidth="2.4" />
    </svg>
  );
}

export function Thermometer({ level }: { level: number }) {
  const top = 24 - 18 * level;
  return (
    <svg viewBox="0 0 34 34" aria-hidden="true">
      <path
        d="M13 22V6a4 4 0 0 1 8 0v16a7 7 0 1 1-8 0z"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
      />
      <circle cx="17" cy="27" r="4" fill="currentColor" />
      <path d={`M17 27V${top}`} stroke="currentColor" strokeWidth="3.2" />
      <path d="M24 8h5M24 13h3M24 18h5" stroke="currentColor" strokeWidth="1.4" />
    </svg>
  );
}

const points = 90;
const waves = new Map<Sound, string>();

/** The largest swing of a stretch, with its sign. */
const peak = (s: Float32Array, from: number, to: number) =>
  s.subarray(from, to).reduce((m, v) => (Math.abs(v) > Math.abs(m) ? v : m), 0);

/** The sound's own shape in time, from the samples that are played. */
function wave(kind: Sound): string {
  const known = waves.get(kind);
  if (known) return known;
  const samples = soundSamples(kind, 0.9, 4000);
  const step = samples.length / points;
  const d = Array.from(
    { length: points },
    (_, i) =>
      `${i === 0 ? 'M' : 'L'}${((i / points) * 88 + 1).toFixed(1)} ${(15 - 14 * peak(samples, Math.floor(i * step), Math.floor((i + 1) * step))).toFixed(1)}`,
  ).join('');
  waves.set(kind, d);
  return d;
}

export function Wave({ kind }: { kind: Sound }) {
  return (
    <svg className="wave" viewBox="0 0 90 30" aria-hidden="true">
      <path
        d={wave(kind)}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.3"
        strokeLinejoin="round"
      />
    </svg>
  );
}
