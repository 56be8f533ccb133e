import { band, type Band } from '../verdict.ts';
import { forceN, type PressFit, pressureMpa } from './pressure.ts';

/** A quantity known to a mean and a standard deviation. */
export interface Normal {
  mean: number;
  sd: number;
}

/** Half of a tolerance zone, or of an instrument's doubt, taken as two or three deviations (common practice, no published source). */
export const fromLimits = (low: number, high: number, sigmas: 2 | 3 = 3): Normal => ({
  mean: (low + high) / 2,
  sd: (high - low) / (2 * sigmas),
});

/** What decides how tight a ring sits and what it takes to press it. Lengths in mm. */
export interface FitChain {
  /** Size of the inner body's seat, and of the outer body's. */
  inside: Normal;
  outside: Normal;
  /** Sum of the roughness heights Rz of both seats; 0.8 of it is flattened (DIN 7190-1). */
  roughness: Normal;
  friction: Normal;
  /** By how much a ring from cold or heat eases the fit while it is pressed, mm; it grips again at the warmth of the shop. */
  eased?: Normal | undefined;
  fit: Omit<PressFit, 'interferenceMm'>;
  lengthMm: number;
  /** Grip that is lost under load, and the grip from which the outer body yields or the clearance is gone; absent where not known. */
  creepMm: number;
  tightMm?: number;
}

export const smoothingShare = 0.8;

/** Roughness heights Rz of a turned or bored seat and a ground ring together, mm (judgement; measured where it can be). */
export const bothRz: Normal = { mean: 0.008, sd: 0.002 };

/** What is left of an interference once the peaks of both seats are flattened, mm: what grips, and what the force comes from. */
export function smoothed({ low, likely, high }: Band): Band {
  const flattened = smoothingShare * bothRz.mean;
  return band(low - flattened, likely - flattened, high - flattened);
}

/** Mean and deviation of the effective interference, mm: a sum of independent parts, so exact for any of their shapes. */
export function gripOf(c: FitChain): Normal {
  return {
    mean: c.inside.mean - c.outside.mean - smoothingShare * c.roughness.mean,
    sd: Math.hypot(c.inside.sd, c.outside.sd, smoothingShare * c.roughness.sd),
  };
}

/** Share of a normal law below x (Abramowitz and Stegun 7.1.26, error under 1.5e-7). */
export function shareBelow(x: number, { mean, sd }: Normal): number {
  if (sd === 0) return x > mean ? 1 : 0;
  const z = (x - mean) / (sd * Math.SQRT2);
  const t = 1 / (1 + 0.3275911 * Math.abs(z));
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-z * z);
  return z > 0 ? 1 - tail / 2 : tail / 2;
}

export interface ChainResult {
  draws: number;
  grip: Normal;
  /** Five and a half deviations to each side of the mean, mm, and counts in even steps between; what lies beyond is in the end steps. */
  from: number;
  to: number;
  counts: number[];
  /** Shares of assemblies that would creep, and that would be too tight. */
  creeps: number;
  tooTight: number;
  /** Pressing force over the whole length, kN: 5th, 50th and 95th hundredth. */
  forceKn: Band;
}

const bins = 60;

/** Standard normal numbers in pairs (Marsaglia's polar method) from a small fast generator (mulberry32). */
function source(seed: number): () => number {
  let a = seed >>> 0;
  let kept = 0;
  let has = false;
  return () => {
    if (has) {
      has = false;
      return kept;
    }
    let x = 0;
    let y = 0;
    let s = 0;
    do {
      a = (a + 0x6d2b79f5) | 0;
      let t = Math.imul(a ^ (a >>> 15), a | 1);
      t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
      x = (t ^ (t >>> 14)) / 2_147_483_648;
      a = (a + 0x6d2b79f5) | 0;
      t = Math.imul(a ^ (a >>> 15), a | 1);
      t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
      y = (t ^ (t >>> 14)) / 2_147_483_648;
      s = x * x + y * y;
    } while (s >= 1 || s === 0);
    const k = Math.sqrt((-2 * Math.log(s)) / s);
    kept = y * k;
    has = true;
    return x * k;
  };
}

/** The whole chain drawn many times (Monte Carlo): shape of the grip, shares beyond the limits, band of the force. */
export function drawChain(c: FitChain, draws: number, seed: number): ChainResult {
  const next = source(seed);
  const forces = new Float64Array(Math.min(draws, 50_000));
  // Force goes with pressure, pressure with grip: one factor serves all draws.
  const perMm = pressureMpa({ ...c.fit, interferenceMm: 1 });
  let sum = 0;
  let squares = 0;
  const { mean: middle, sd } = gripOf(c);
  const from = middle - 5.5 * sd;
  const to = middle + 5.5 * sd;
  const counts = Array<number>(bins).fill(0);
  const perStep = sd > 0 ? bins / (to - from) : 0;
  let creeps = 0;
  let tooTight = 0;
  const tight = c.tightMm ?? Infinity;
  for (let i = 0; i < draws; i++) {
    const g =
      c.inside.mean -
      c.outside.mean -
      smoothingShare * c.roughness.mean +
      c.inside.sd * next() +
      c.outside.sd * next() +
      smoothingShare * c.roughness.sd * next();
    sum += g;
    squares += g * g;
    counts[Math.max(0, Math.min(bins - 1, ((g - from) * perStep) | 0))]! += 1;
    if (g <= c.creepMm) creeps += 1;
    if (g >= tight) tooTight += 1;
    const eased = c.eased ? c.eased.mean + c.eased.sd * next() : 0;
    // How long it lay is not known, which way it changed is.
    const by = (c.eased?.mean ?? 0) < 0 ? Math.min(0, eased) : Math.max(0, eased);
    if (i < forces.length)
      forces[i] =
        forceN(
          perMm * Math.max(0, g - by),
          Math.max(0.01, c.friction.mean + c.friction.sd * next()),
          c.fit.diameterMm,
          c.lengthMm,
        ) / 1000;
  }
  forces.sort();
  const at = (share: number) =>
    forces[Math.min(forces.length - 1, Math.floor(share * forces.length))]!;
  const mean = sum / draws;
  return {
    draws,
    grip: { mean, sd: Math.sqrt(Math.max(0, squares / draws - mean * mean)) },
    from,
    to,
    counts,
    creeps: creeps / draws,
    tooTight: tooTight / draws,
    forceKn: { low: at(0.05), likely: at(0.5), high: at(0.95) },
  };
}
