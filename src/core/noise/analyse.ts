import { type BearingGeometry, bearingOrders, type BearingOrders, wheelHz } from './orders.ts';
import {
  envelope,
  orderSpectrum,
  type OrderSpectrum,
  type SpeedMark,
  thinned,
  toAngle,
} from './spectra.ts';
import type { Recording } from './wav.ts';

/** A family of orders that stands out. */
export type Heard = 'outer-ring' | 'inner-ring' | 'ball' | 'tyre' | 'driveline';
/** `nothing`: a bearing was looked for and not heard; `cannot-tell`: it could not even be looked for. */
export type Finding = Heard | 'nothing' | 'cannot-tell';

export interface Settings {
  /** Speeds with the times from which they hold; one is enough for a steady drive. */
  speeds: SpeedMark[];
  circumferenceMm: number;
  /** Propshaft turns a wheel turn; leave out where there is no propshaft. */
  axleRatio?: number;
  /** Teeth of the pinion; its mesh is looked for when the axle ratio is known too. */
  pinionTeeth?: number;
  bearing?: BearingGeometry;
}

export interface Peak {
  order: number;
  dbOverFloor: number;
  family: Heard;
  /** Harmonic of its family. */
  harmonic: number;
}

export interface Analysis {
  finding: Finding;
  /** 0 to 1. */
  confidence: number;
  text: string;
  peaks: Peak[];
  /** Mean dB over the floor of each family's comb, and the factor on the speed at which it stood out. */
  scores: { family: Heard; db: number; factor: number }[];
  raw: OrderSpectrum;
  envelope: OrderSpectrum;
  band: { fromHz: number; toHz: number };
  orders: BearingOrders | undefined;
  seconds: number;
  wheelHz: number;
}

interface Comb {
  family: Heard;
  spectrum: 'raw' | 'envelope';
  orders: number[];
  /** Orders that stand out only when it is another family. */
  quiet?: number[];
  /** How far the whole comb may lie off: slip, a rolling circumference, a speedometer. */
  slack: number;
}

/**
 * Least mean dB over the floor at which a comb counts, against chance peaks. Tuned on stand-in recordings of one
 * range of parameters and reported on another (npm run bench).
 */
const leastDb = 5;

/** Comb families to look for. Without geometry no bearing family can be told from another, so none is looked for. */
function combs(s: Settings, o: BearingOrders | undefined): Comb[] {
  const list: Comb[] = [{ family: 'tyre', spectrum: 'raw', orders: [1, 2, 3, 4], slack: 0.02 }];
  if (o) {
    list.push(
      {
        family: 'outer-ring',
        spectrum: 'envelope',
        orders: [1, 2, 3].map((k) => k * o.bpfo),
        quiet: [o.bpfo - o.ftf, o.bpfo + o.ftf, o.bpfo - 1, o.bpfo + 1],
        slack: 0.03,
      },
      {
        family: 'inner-ring',
        spectrum: 'envelope',
        orders: [o.bpfi, 2 * o.bpfi, o.bpfi - 1, o.bpfi + 1],
        slack: 0.03,
      },
      {
        family: 'ball',
        spectrum: 'envelope',
        orders: [2 * o.bsf, 4 * o.bsf, 2 * o.bsf - o.ftf, 2 * o.bsf + o.ftf],
        slack: 0.03,
      },
    );
  }
  if (s.axleRatio)
    list.push({
      family: 'driveline',
      spectrum: 'raw',
      orders: [s.axleRatio, 2 * s.axleRatio],
      slack: 0.02,
    });
  // Pinion mesh with the propshaft turning beside it: a whine of the gears, not of the shaft.
  if (s.axleRatio && s.pinionTeeth)
    list.push({
      family: 'driveline',
      spectrum: 'raw',
      orders: [0, -1, 1].map((k) => (s.pinionTeeth! + k) * s.axleRatio!),
      slack: 0.02,
    });
  return list;
}

/** Strongest dB within a bin of an order. */
function at({ db, step }: OrderSpectrum, order: number): number {
  const k = Math.round(order / step);
  return Math.max(db[k - 1] ?? -20, db[k] ?? -20, db[k + 1] ?? -20);
}

/** A comb's mean dB at the best common factor; no single tooth may carry it alone. */
function score(comb: Comb, s: OrderSpectrum): { db: number; factor: number } {
  let best = { db: -Infinity, factor: 1 };
  const orders = comb.orders.filter((o) => o < s.db.length * s.step - 1);
  const finest = s.step / (3 * Math.max(...orders));
  for (let f = 1 - comb.slack; f <= 1 + comb.slack; f += finest) {
    const db = orders.reduce((a, o) => a + Math.min(30, at(s, o * f)), 0) / orders.length;
    // A still outer ring's blows are even; sidebands on its comb say that something else turns there.
    const loud = comb.quiet
      ? Math.max(0, comb.quiet.reduce((a, o) => a + at(s, o * f), 0) / comb.quiet.length - 6)
      : 0;
    if (db - loud > best.db) best = { db: db - loud, factor: f };
  }
  return best;
}

const names: Record<Heard, string> = {
  'outer-ring': 'Outer ring',
  'inner-ring': 'Inner ring',
  ball: 'Ball',
  tyre: 'Tyre or wheel',
  driveline: 'Driveline',
};

const silences: Record<'nothing' | 'cannot-tell', (db: number) => string> = {
  nothing: (db) =>
    `Nothing stands out: the strongest comb is ${db.toFixed(0)} dB over the floor, ${leastDb} are needed.`,
  'cannot-tell': () =>
    'Cannot tell: without the size of its bearing only tyre and driveline can be looked for, and neither stands out.',
};

/**
 * What repeats in a recording, over wheel orders: envelope spectrum of the most unsteady band for the bearing, plain
 * spectrum for tyre and driveline. `tick` gets the share done. Throws RangeError naming the field.
 */
export function analyse(
  recording: Recording,
  settings: Settings,
  tick?: (share: number) => void,
): Analysis {
  const { speeds, circumferenceMm, bearing } = settings;
  if (speeds.length === 0) throw new RangeError('speedKmh: a speed is needed');
  const hz = speeds.map((m) => wheelHz(m.kmh, circumferenceMm));
  const orders = bearing && bearingOrders(bearing);
  const env = envelope(recording, tick && ((x) => tick(0.9 * x)));
  const thin = thinned(recording);
  const rawSpectrum = orderSpectrum(toAngle(thin.values, thin.rate, speeds, circumferenceMm));
  const envSpectrum = orderSpectrum(toAngle(env.values, env.rate, speeds, circumferenceMm));
  const found = combs(settings, orders)
    .map((c) => ({ comb: c, ...score(c, c.spectrum === 'raw' ? rawSpectrum : envSpectrum) }))
    .sort((a, b) => b.db - a.db);
  const top = found[0]!;
  const margin = top.db - leastDb;
  // Silence where no bearing was looked for is not the bearing's silence.
  const silence = bearing ? 'nothing' : 'cannot-tell';
  const finding: Finding = margin > 0 ? top.comb.family : silence;
  const spectrumOf = (c: Comb) => (c.spectrum === 'raw' ? rawSpectrum : envSpectrum);
  const peaks = found
    .flatMap(({ comb, factor }) =>
      comb.orders.map((o, i): Peak => ({
        order: o * factor,
        dbOverFloor: at(spectrumOf(comb), o * factor),
        family: comb.family,
        harmonic: i + 1,
      })),
    )
    .filter((p) => p.dbOverFloor > 3);
  tick?.(1);
  return {
    finding,
    peaks,
    orders,
    confidence: 1 / (1 + Math.exp(-Math.abs(margin) * 0.9)),
    text:
      margin <= 0
        ? silences[silence](top.db)
        : `${names[top.comb.family]}: order ${(top.comb.orders[0]! * top.factor).toFixed(2)} and its family stand ${top.db.toFixed(0)} dB over the floor.`,
    scores: found.map(({ comb, db, factor }) => ({ family: comb.family, db, factor })),
    raw: rawSpectrum,
    envelope: envSpectrum,
    band: { fromHz: env.fromHz, toHz: env.toHz },
    seconds: recording.samples.length / recording.sampleRate,
    wheelHz: hz.reduce((a, b) => a + b, 0) / hz.length,
  };
}
