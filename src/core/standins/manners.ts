import type { TraceSample } from '../press/index.ts';
import { normal, random } from './cars.ts';
import type { MadeUpStroke } from './ram.ts';

/** How a stroke is pumped and read: none of it changes what the stroke is. */
export const manners = ['pumped', 'rested', 'released', 'typed'] as const;
export type Manner = (typeof manners)[number];

const everyMs = 1000 / 60;
const between = (r: () => number, low: number, high: number) => low + (high - low) * r();

/** The readings of a stroke as they come when it is pumped and read in this manner. */
export function readInManner(stroke: MadeUpStroke, manner: Manner, seed: number): TraceSample[] {
  const samples = [...stroke.samples()];
  const r = random(seed);
  switch (manner) {
    case 'pumped':
      return samples;
    case 'rested':
      return [0.3, 0.6].reduce(
        (list, at) => pausedAt(list, at * stroke.seatMm, 'rest', r),
        samples,
      );
    case 'released':
      return pausedAt(samples, stroke.seatMm * between(r, 0.3, 0.75), 'release', r);
    case 'typed':
      return typed(samples, stroke, r);
  }
}

/** Holds in mid-stroke: the force sinks, or is let go and the frame springs back; then the pump begins again from there. */
function pausedAt(
  samples: readonly TraceSample[],
  travelMm: number,
  how: 'rest' | 'release',
  r: () => number,
): TraceSample[] {
  const i = samples.findIndex((s) => s.travelMm > travelMm);
  const at = samples[i];
  if (!at) return [...samples];
  const kept = how === 'rest' ? between(r, 0.5, 0.8) : 0;
  const backMm = how === 'rest' ? 0 : between(r, 0.1, 0.4);
  const pause: TraceSample[] = [];
  let { ms } = at;
  const add = (share: number, n: number) => {
    ms += everyMs;
    const force = at.forceKn * (kept + (1 - kept) * share);
    pause.push({
      ms: Math.round(ms),
      travelMm: at.travelMm - backMm * (1 - share) + 0.01 * normal(r),
      forceKn: Math.max(0, force + 0.05 * normal(r) * Number(n % 2 === 0)),
    });
  };
  const [down, still, up] = [60, Math.round(between(r, 30, 300)), 25];
  for (let n = 0; n < down; n++) add(1 - n / down, n);
  for (let n = 0; n < still; n++) add(0, n);
  for (let n = 0; n < up; n++) add(n / up, n);
  const later = Math.round(ms) - at.ms;
  return [
    ...samples.slice(0, i),
    ...pause,
    ...samples.slice(i).map((s) => ({ ...s, ms: s.ms + later })),
  ];
}

/** A gauge looked at now and then and written down, to a tenth; once more when it does not go on. */
function typed(
  samples: readonly TraceSample[],
  { fittingKn, seatMm }: MadeUpStroke,
  r: () => number,
): TraceSample[] {
  const out: TraceSample[] = [];
  const tenth = (s: TraceSample): TraceSample => ({
    ms: s.ms,
    travelMm: Number(s.travelMm.toFixed(1)),
    forceKn: Number(s.forceKn.toFixed(1)),
  });
  const handKn = fittingKn + between(r, 6, 14);
  let next = between(r, 0.8, 2);
  // What does not move yet is looked at too.
  const still = samples.filter((s) => s.travelMm < 0.3);
  const most = still.reduce((a, b) => (b.forceKn > a.forceKn ? b : a), still[0] ?? samples[0]!);
  if (most.forceKn > 1) out.push(tenth(most));
  for (const s of samples) {
    const home = s.travelMm > seatMm - 0.3 && s.forceKn > handKn;
    if (!home && (s.travelMm < next || s.travelMm > seatMm - 0.3)) continue;
    out.push(tenth(s));
    next = s.travelMm + between(r, 1.5, 4);
    if (home) return out;
  }
  return [...out, tenth(samples.at(-1)!)];
}
