import type { PullSample } from '../torque/pull.ts';
import { normal, random } from './cars.ts';

/** A made-up nut and the hand that pulls it: thread with friction, joint with its stiffness, a wrench that springs. */

export const wrenchFaults = ['good', 'slips', 'cross-threaded', 'yields'] as const;
export type WrenchFault = (typeof wrenchFaults)[number];

/** Range that the hidden parameters are drawn from; tuning and report use different ones. */
export interface WrenchRange {
  /** Twist of wrench, socket and shaft together, degrees for each newton metre. */
  springDegPerNm: readonly [number, number];
  /** Slope of the joint past snug, N·m for each degree. */
  slope: readonly [number, number];
  /** Torque that starts the nut over the torque that keeps it turning. */
  breakaway: readonly [number, number];
  /** Noise of the torque as a share of it, and of the angle, r.m.s. */
  torqueShare: number;
  angleDeg: number;
  /** How far one pull of the ratchet goes, degrees. */
  swingDeg: readonly [number, number];
  /** How fast the hand goes, degrees a second. */
  handDegPerS: readonly [number, number];
}

export const tuningWrench: WrenchRange = {
  springDegPerNm: [0.025, 0.05],
  slope: [1.2, 3],
  breakaway: [1, 1.05],
  torqueShare: 0.003,
  angleDeg: 0.08,
  swingDeg: [35, 60],
  handDegPerS: [20, 45],
};
export const reportWrench: WrenchRange = {
  springDegPerNm: [0.015, 0.07],
  slope: [0.9, 4],
  breakaway: [1, 1.08],
  torqueShare: 0.005,
  angleDeg: 0.12,
  swingDeg: [25, 70],
  handDegPerS: [15, 60],
};

/** A made-up nut, and what is wrong with it. */
export interface NutHidden {
  snugNm: number;
  fault: WrenchFault;
  seed: number;
}
/** Where the hand aims, and how. */
export interface Aim {
  /** Angle past snug, degrees. */
  targetDeg: number;
  /** Torque that it aims at instead, N·m. */
  targetNm?: number;
  /** Whether it takes several pulls of a ratchet. */
  ratchet: boolean;
  /** By how much the hand misses its aim, degrees. */
  missDeg: number;
}
export type Tightening = NutHidden & Aim;

/** What a made-up tightening hides. */
export interface MadeUpPull {
  samples: PullSample[];
  /** How far the nut truly turned past snug, degrees. */
  turnedDeg: number;
}

/** A nut that stays where a hand left it: pulled again, it goes on from there. */
export interface MadeUpNut {
  /** The hand goes to its aim and lets go. */
  pull: (aim: Aim) => Generator<PullSample>;
  /** The hand lets go wherever it is. */
  letGo: () => Generator<PullSample>;
  turnedDeg: () => number;
}

const hz = 100;
/** Up to this torque the slopes of a range hold as they are, N·m. */
const usualSnugNm = 140;
const between = (r: () => number, [lo, hi]: readonly [number, number]) => lo + (hi - lo) * r();

/** Torque that keeps the nut turning, by how far it has turned from where it touches, N·m. */
function jointCurve(snugNm: number, slope: number, fault: WrenchFault) {
  // It snugs up along a parabola that runs into the straight line.
  const alignDeg = (2 * snugNm * 0.8) / slope;
  const crossed = fault === 'cross-threaded';
  const yieldDeg = fault === 'yields' ? alignDeg + 18 : Infinity;
  return (deg: number): number => {
    if (deg <= 0) return 0.04 * snugNm;
    if (crossed) return 0.04 * snugNm + (snugNm / 240) * deg;
    if (deg < alignDeg) return 0.04 * snugNm + (slope / (2 * alignDeg)) * deg ** 2;
    const straight = Math.min(deg, yieldDeg) - alignDeg;
    const beyond = Math.max(0, deg - yieldDeg);
    return 0.04 * snugNm + (slope * alignDeg) / 2 + slope * straight + 0.12 * slope * beyond;
  };
}

/** A nut, a wrench on it with torque and angle, and nobody's hand yet. */
export function madeUpNut(hidden: NutHidden, range: WrenchRange = reportWrench): MadeUpNut {
  const r = random(hidden.seed);
  const spring = between(r, range.springDegPerNm);
  // A nut that is pulled harder clamps a stiffer joint: the range is that of usual ones.
  const slope = between(r, range.slope) * Math.max(1, hidden.snugNm / usualSnugNm);
  const breakaway = between(r, range.breakaway);
  const curve = jointCurve(hidden.snugNm, slope, hidden.fault);
  // Nut from where it touches; body of the wrench; where the ratchet has it engaged.
  let [nut, body, engaged, ms] = [-4, 0, 4, 0];
  let snugAt: number | undefined;
  let before = { nm: 0, nut };
  let slipLeft = hidden.fault === 'slips' ? 10 + 6 * r() : 0;
  const slipShareOfAim = 0.3 + 0.5 * r();
  const torqueNow = (): number => Math.max(0, (body - nut - engaged) / spring);
  const turned = () => (snugAt === undefined ? 0 : nut - snugAt);
  const read = (): PullSample => {
    const torque = torqueNow();
    const seen = Math.max(0, torque * (1 + range.torqueShare * normal(r)) + 0.15 * normal(r));
    const sample = {
      ms,
      torqueNm: Number(seen.toFixed(2)),
      angleDeg: Number((body + range.angleDeg * normal(r)).toFixed(2)),
    };
    if (snugAt === undefined && torque >= hidden.snugNm) {
      // Between two readings, where the torque truly passed it.
      const share = (hidden.snugNm - before.nm) / (torque - before.nm);
      snugAt = before.nut + share * (nut - before.nut);
    }
    before = { nm: torque, nut };
    ms += 1000 / hz;
    return sample;
  };
  /** The nut gives way as far as the torque carries it. */
  const settle = () => {
    if (torqueNow() <= breakaway * curve(nut)) return;
    let [low, high] = [nut, body - engaged];
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2;
      if ((body - mid - engaged) / spring > curve(mid)) low = mid;
      else high = mid;
    }
    nut = Math.max(nut, low);
  };
  /** The socket rides up: the body runs ahead and the nut stays. */
  const slip = () => {
    engaged += slipLeft;
    body += slipLeft;
    engaged += 0.7 * spring * torqueNow();
    slipLeft = 0;
  };
  function* letGoAt(speed: number): Generator<PullSample> {
    // The spring comes back, the nut stays.
    while (torqueNow() > 0.4) {
      body -= Math.max(0.05, speed * 1.5);
      yield read();
    }
  }
  const rest = function* rest(): Generator<PullSample> {
    for (let i = 0; i < 12; i++) yield read();
  };
  return {
    turnedDeg: turned,
    letGo: function* letGo() {
      yield* letGoAt(range.handDegPerS[0] / hz);
      yield* rest();
    },
    pull: function* pull(aim: Aim) {
      const there = () =>
        aim.targetNm === undefined
          ? turned() >= aim.targetDeg + aim.missDeg
          : torqueNow() >= aim.targetNm;
      /** A hand that aims at a torque slows down before it. */
      const slowing = (): number =>
        aim.targetNm === undefined
          ? 1
          : Math.max(0.05, Math.min(1, (1 - torqueNow() / aim.targetNm) / 0.3));
      for (let swings = 0; swings < 60 && !there(); swings++) {
        const swing = aim.ratchet ? between(r, range.swingDeg) : Infinity;
        const speed = between(r, range.handDegPerS) / hz;
        const from = body;
        while (body - from < swing && !there()) {
          body += speed * slowing() * (0.8 + 0.4 * r());
          settle();
          if (slipLeft > 0 && turned() > slipShareOfAim * aim.targetDeg) slip();
          yield read();
        }
        const reached = there();
        yield* letGoAt(speed);
        const back = aim.ratchet ? body - from : 0;
        for (let gone = 0; gone < back; gone += 4 * speed) {
          body -= 4 * speed;
          engaged -= 4 * speed;
          yield read();
        }
        yield* rest();
        if (reached) break;
      }
    },
  };
}

/** A nut tightened to snug and on by an angle, in one pull or in several, as a wrench with torque and angle would see it. */
export function madeUpPull(t: Tightening, range: WrenchRange = reportWrench): MadeUpPull {
  const nut = madeUpNut(t, range);
  return { samples: [...nut.pull(t)], turnedDeg: nut.turnedDeg() };
}
