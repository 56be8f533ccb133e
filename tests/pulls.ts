import { normal, random } from '../src/core/standins/cars.ts';
import {
  madeUpPull,
  wrenchFaults,
  type WrenchFault,
  type WrenchRange,
} from '../src/core/standins/wrench.ts';
import { followPull } from '../src/core/torque/index.ts';

/** Made-up tightenings with hidden parameters, followed: what is counted of them. */
export interface PullCount {
  /** Share with the right verdict, %. */
  right: number;
  /** Share of nuts whose angle from snug is off by more than 3°, %. */
  beyond3Deg: number;
  /** 95th of 100 errors of the angle, degrees. */
  p95Deg: number;
  ratcheted: number;
  wrong: string[];
}

const windowDeg = 5;
const faultShare = 0.12;
const place = (deg: number, target: number) => {
  if (deg < target - windowDeg) return 'below';
  return deg > target + windowDeg ? 'over' : 'in';
};
const saidOf: Record<WrenchFault, string | undefined> = {
  good: undefined,
  slips: 'slipped',
  'cross-threaded': 'cross-threaded',
  yields: 'yielding',
};

/** Every third in several pulls of a ratchet; the hand misses its aim by some degrees either way. */
export function followMany(range: WrenchRange, count: number, seed: number): PullCount {
  const r = random(seed);
  const errors: number[] = [];
  const wrong: string[] = [];
  for (let i = 0; i < count; i++) {
    const ratchet = i % 3 === 0;
    const fault = r() < faultShare ? wrenchFaults[1 + Math.floor(r() * 3)]! : 'good';
    const snugNm = 40 + 100 * r();
    const targetDeg = [45, 60, 90, 120][Math.floor(r() * 4)]!;
    const missDeg = 4.5 * Math.max(-2, Math.min(2, normal(r)));
    const made = madeUpPull(
      { snugNm, targetDeg, ratchet, fault, seed: seed * 10_000 + i, missDeg },
      range,
    );
    const f = followPull(made.samples, snugNm);
    const fell = ['slipped', 'cross-threaded', 'yielding'].includes(f.call);
    const said = fell ? f.call : place(f.turnedDeg ?? -1, targetDeg);
    const truth = saidOf[fault] ?? place(made.turnedDeg, targetDeg);
    if (said !== truth) wrong.push(`${truth} called ${said}${ratchet ? ', ratchet' : ''}`);
    if (fault === 'good') errors.push(Math.abs((f.turnedDeg ?? Infinity) - made.turnedDeg));
  }
  errors.sort((a, b) => a - b);
  return {
    right: (100 * (count - wrong.length)) / count,
    beyond3Deg: (100 * errors.filter((e) => e > 3).length) / errors.length,
    p95Deg: errors[Math.floor(0.95 * errors.length)] ?? Infinity,
    ratcheted: Math.ceil(count / 3),
    wrong,
  };
}
