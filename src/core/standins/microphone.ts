import {
  type BearingGeometry,
  bearingOrders,
  type Finding,
  type Recording,
  speedAt,
  type SpeedMark,
} from '../noise/index.ts';
import { normal, random } from './cars.ts';
import { type Disturbance, disturbance } from './disturbances.ts';
import { roadNoise } from './road-noise.ts';

/** What a made-up drive can have, or nothing at all. */
export type MadeUpFault = Exclude<Finding, 'cannot-tell'>;

/** What the stand-in microphone is asked to hear. */
export interface MadeUpDrive {
  fault: MadeUpFault;
  /** What else is heard, where nothing is wrong. */
  beside?: Disturbance;
  bearing: BearingGeometry;
  speeds: SpeedMark[];
  circumferenceMm: number;
  axleRatio: number;
  /** With teeth given the driveline fault is a whine of pinion and ring gear, else the propshaft. */
  pinionTeeth?: number;
  seconds: number;
  sampleRate: number;
  /** Energy of the fault against the road noise, whole band, dB. */
  faultDb: number;
  /** Resonance that a blow rings, Hz, and how fast it dies, 1/s. */
  ringHz: number;
  decay: number;
  /** Share by which the bearing's blows stray from even rolling. */
  slip: number;
  seed: number;
}

/**
 * A recording of a made-up drive: pink road noise with steady wheel and engine notes, and the fault on top at the
 * asked energy. The truth is known, so that the ear can be judged.
 */
export function record(d: MadeUpDrive): Recording {
  const r = random(d.seed);
  const n = Math.round(d.seconds * d.sampleRate);
  const road = roadNoise(n, r);
  const fault = d.beside ? disturbance(d.beside, d, n, r) : faultSignal(d, n, r);
  const energy = (x: Float32Array) => x.reduce((a, v) => a + v * v, 0);
  const gain =
    d.fault === 'nothing' && !d.beside
      ? 0
      : Math.sqrt((energy(road) / (energy(fault) || 1)) * 10 ** (d.faultDb / 10));
  const out = road.map((v, i) => v + gain * fault[i]!);
  const peak = out.reduce((a, v) => Math.max(a, Math.abs(v)), 0);
  return { sampleRate: d.sampleRate, samples: out.map((v) => (0.8 * v) / peak) };
}

/** Pinion and ring gear whine at the mesh and one turn of the shaft beside it; a propshaft at its own turns. */
const drivelineOrders = ({ pinionTeeth, axleRatio }: MadeUpDrive): number[] =>
  pinionTeeth ? [0, -1, 1].map((k) => (pinionTeeth + k) * axleRatio) : [axleRatio, 2 * axleRatio];

function faultSignal(d: MadeUpDrive, n: number, r: () => number): Float32Array {
  const out = new Float32Array(n);
  const o = bearingOrders(d.bearing);
  const dt = 1 / d.sampleRate;
  if (d.fault === 'tyre' || d.fault === 'driveline') {
    const orders = d.fault === 'tyre' ? [1, 2, 3, 4] : drivelineOrders(d);
    const notes = orders.map((order, i) => ({
      order,
      size: (0.5 + r()) / (1 + 0.4 * i),
      phase: 2 * Math.PI * r(),
    }));
    let turns = 0;
    for (let i = 0; i < n; i++) {
      turns += (speedAt(d.speeds, i * dt) / 3.6 / (d.circumferenceMm / 1000)) * dt;
      out[i] = notes.reduce(
        (a, s) => a + s.size * Math.sin(2 * Math.PI * s.order * turns + s.phase),
        0,
      );
    }
    return out;
  }
  const blow = { 'outer-ring': o.bpfo, 'inner-ring': o.bpfi, ball: 2 * o.bsf, nothing: 0 }[d.fault];
  if (blow === 0) return out;
  // Load zone: an inner ring's flaw passes it once a turn, a ball's once a cage turn.
  const swing = { 'outer-ring': 0, 'inner-ring': 1, ball: o.ftf, nothing: 0 }[d.fault];
  const creep = 1 + d.slip * (2 * r() - 1);
  const ring = Math.ceil((6 / d.decay) * d.sampleRate);
  let turns = 0;
  let due = r() / blow;
  for (let i = 0; i < n; i++) {
    turns += (speedAt(d.speeds, i * dt) / 3.6 / (d.circumferenceMm / 1000)) * dt;
    if (turns < due) continue;
    const size =
      (swing ? 0.35 + 0.65 * (0.5 + 0.5 * Math.cos(2 * Math.PI * swing * turns)) : 1) *
      (1 + 0.15 * normal(r));
    for (let k = 0; k < ring && i + k < n; k++)
      out[i + k]! += size * Math.exp(-d.decay * k * dt) * Math.sin(2 * Math.PI * d.ringHz * k * dt);
    due += (creep / blow) * (1 + 0.01 * normal(r));
  }
  return out;
}
