import type { Settings } from './analyse.ts';
import { bearingOrders, type BearingOrders } from './orders.ts';
import { likelyGeometries } from './ring-size.ts';
import type { OrderSpectrum } from './spectra.ts';

/** A family of orders that stands out. */
export type Heard = 'outer-ring' | 'inner-ring' | 'ball' | 'tyre' | 'driveline';

/** Orders that belong together and are looked for as one. */
export interface Comb {
  family: Heard;
  spectrum: 'raw' | 'envelope';
  orders: number[];
  /** A bearing's: base of its lines and the distance of its side lines, 0 for none. */
  series?: { base: number; side: number };
  /** Orders that stand out only when it is another family. */
  quiet?: number[];
  /** How far the whole comb may lie off: slip, a rolling circumference, a speedometer. */
  slack: number;
  /** Least mean dB over the floor at which it counts. */
  leastDb: number;
}

/** A comb with what it scored. */
export interface Scored {
  comb: Comb;
  db: number;
  factor: number;
}

/**
 * Least mean dB over the floor at which a comb counts, against chance peaks. Tuned on stand-in recordings of one
 * range of parameters and reported on another (npm run bench). Many likely geometries have as many chances.
 */
export const leastDb = 5;
const leastDbBySize = 8;

function bearingCombs(o: BearingOrders, least: number): Comb[] {
  const all = { spectrum: 'envelope', slack: 0.03, leastDb: least } as const;
  return [
    {
      ...all,
      family: 'outer-ring',
      orders: [1, 2, 3].map((k) => k * o.bpfo),
      series: { base: o.bpfo, side: 0 },
      quiet: [o.bpfo - o.ftf, o.bpfo + o.ftf, o.bpfo - 1, o.bpfo + 1],
    },
    {
      ...all,
      family: 'inner-ring',
      orders: [o.bpfi, 2 * o.bpfi, o.bpfi - 1, o.bpfi + 1],
      series: { base: o.bpfi, side: 1 },
    },
    {
      ...all,
      family: 'ball',
      orders: [2 * o.bsf, 4 * o.bsf, 2 * o.bsf - o.ftf, 2 * o.bsf + o.ftf],
      series: { base: 2 * o.bsf, side: o.ftf },
    },
  ];
}

/** Combs of the propshaft, and of the pinion's mesh with the shaft turning beside it: a whine of the gears. */
function drivelineCombs({ axleRatio, pinionTeeth }: Settings): Comb[] {
  if (!axleRatio) return [];
  const all = { family: 'driveline', spectrum: 'raw', slack: 0.02, leastDb } as const;
  const shaft: Comb = { ...all, orders: [axleRatio, 2 * axleRatio] };
  if (!pinionTeeth) return [shaft];
  return [shaft, { ...all, orders: [0, -1, 1].map((k) => (pinionTeeth + k) * axleRatio) }];
}

/**
 * Comb families to look for. A bearing is looked for by its geometry, or by every one that its ring size allows; without
 * either no bearing family can be told from another, so none is looked for.
 */
export function combsOf(s: Settings): Comb[] {
  const likely = s.rings ? likelyGeometries(s.rings, 'inner') : [];
  return [
    { family: 'tyre', spectrum: 'raw', orders: [1, 2, 3, 4], slack: 0.02, leastDb },
    ...(s.bearing
      ? bearingCombs(bearingOrders(s.bearing), leastDb)
      : likely.flatMap((g) => bearingCombs(bearingOrders(g), leastDbBySize))),
    ...drivelineCombs(s),
  ];
}

/** Strongest dB within a bin of an order. */
export function at({ db, step }: OrderSpectrum, order: number): number {
  const k = Math.round(order / step);
  return Math.max(db[k - 1] ?? -20, db[k] ?? -20, db[k + 1] ?? -20);
}

/** A comb's mean dB at the best common factor; no single tooth may carry it alone. */
export function score(comb: Comb, s: OrderSpectrum, more = 0): Scored {
  let best = { db: -Infinity, factor: 1 };
  const orders = comb.orders.filter((o) => o < s.db.length * s.step - 1);
  const finest = s.step / (3 * Math.max(...orders));
  const slack = comb.slack + more;
  for (let f = 1 - slack; f <= 1 + slack; f += finest) {
    const db = orders.reduce((a, o) => a + Math.min(30, at(s, o * f)), 0) / orders.length;
    // A still outer ring's blows are even; sidebands on its comb say that something else turns there.
    const loud = comb.quiet
      ? Math.max(0, comb.quiet.reduce((a, o) => a + at(s, o * f), 0) / comb.quiet.length - 6)
      : 0;
    if (db - loud > best.db) best = { db: db - loud, factor: f };
  }
  return { comb, ...best };
}
