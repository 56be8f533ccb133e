import { explained, linesOf, onWholeOrders } from './lines.ts';
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
  /** What was left out of the recording. */
  note?: string | undefined;
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
function score(comb: Comb, s: OrderSpectrum, more = 0): { db: number; factor: number } {
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
  return best;
}

const names: Record<Heard, string> = {
  'outer-ring': 'Outer ring',
  'inner-ring': 'Inner ring',
  ball: 'Ball',
  tyre: 'Tyre or wheel',
  driveline: 'Driveline',
};

/** What knocks besides the bearing: once a turn of the wheel, or at a beat of its own. */
type Knock = 'once-a-turn' | 'own-beat';
const knockWords: Record<Knock, string> = {
  'once-a-turn': 'Something knocks once a turn of the wheel: look for a stone in the tread.',
  'own-beat':
    'Something knocks at a beat of its own: joints of the road, an indicator, a loose thing.',
};
/** How far speed and rolling circumference may be off together. */
const wheelSlack = 0.02;
/**
 * Least share of the envelope's lines that a bearing's own series has to explain, up to so many lines: a bearing makes few,
 * short blows on the road make many, and a comb finds its teeth in them by chance. Tuned with the bench.
 */
const ownShare: readonly (readonly [upTo: number, share: number])[] = [
  [6, 0],
  [16, 0.38],
  [22, 0.6],
  [Infinity, 1.01],
];
/** Share of lines on whole orders from which they are knocks once a turn, unless nearly all are the bearing's too. */
const turnShare = 0.7;
const surelyOwn = 0.72;

/** A comb with what it scored. */
interface Scored {
  comb: Comb;
  db: number;
  factor: number;
}

/** What else knocks where a bearing's comb stands out and does not explain what is there; undefined when it is the bearing. */
function knockIn({ comb, factor }: Scored, o: BearingOrders, s: OrderSpectrum): Knock | undefined {
  const [base, side] = bearingSeries(o)[comb.family as BearingFamily];
  const lines = linesOf(s, 4 * base);
  const own = explained(lines, { base: base * factor, side: side * factor }, s.step);
  const least = ownShare.find(([upTo]) => lines.length <= upTo)![1];
  const few = least === 0;
  if (
    !few &&
    (own < surelyOwn || own < least) &&
    onWholeOrders(lines, wheelSlack, s.step) > turnShare
  )
    return 'once-a-turn';
  return own < least ? 'own-beat' : undefined;
}

/** More lines than this under this order are the blows of something on the road. */
const blowLines = 22;
const blowsTo = 25;

/** How near to whole orders of the wheel a driveline's teeth may lie before a tyre with as many blocks sounds the same. */
const wholeNear = 0.022;
/** Lines between the turns of the shaft, and their dB over the floor: only an engine makes them, by its firing. */
const firing = [1 / 3, 0.5, 2 / 3, 1.5];
const firingDb = 5;

/** What the teeth of a driveline's comb may be as well: an engine's at the same turns, or a tread's. */
function notDriveline({ comb, factor }: Scored, s: OrderSpectrum): 'engine' | 'tread' | undefined {
  if (comb.family !== 'driveline') return undefined;
  const teeth = comb.orders.map((o) => at(s, o * factor)).sort((a, b) => b - a);
  // One tooth alone is any note there is.
  if (teeth[1]! < leastDb) return 'engine';
  const [shaft = 1, second = 1] = comb.orders.map((o) => o * factor);
  const twice = Math.abs(second / shaft - 2) < 0.01;
  if (twice && firing.some((k) => at(s, k * shaft) > firingDb)) return 'engine';
  const whole = Math.max(1, Math.round(shaft));
  return twice && Math.abs(shaft / whole - 1) < wholeNear ? 'tread' : undefined;
}

type BearingFamily = 'outer-ring' | 'inner-ring' | 'ball';
/** Base of each family's lines and the distance of its side lines. */
const bearingSeries = (o: BearingOrders): Record<BearingFamily, readonly [number, number]> => ({
  'outer-ring': [o.bpfo, 0],
  'inner-ring': [o.bpfi, 1],
  ball: [2 * o.bsf, o.ftf],
});

const silences: Record<'nothing' | 'cannot-tell', (db: number) => string> = {
  nothing: (db) =>
    `Nothing stands out: the strongest comb is ${db.toFixed(0)} dB over the floor, ${leastDb} are needed.`,
  'cannot-tell': () =>
    'Cannot tell: without the size of its bearing only tyre and driveline can be looked for, and neither stands out.',
};

function findingOf(
  stands: boolean,
  alike: boolean,
  family: Heard,
  silence: 'nothing' | 'cannot-tell',
): Finding {
  if (!stands) return silence;
  return alike ? 'cannot-tell' : family;
}

function textOf(a: {
  top: Scored;
  alike: boolean;
  margin: number;
  silence: 'nothing' | 'cannot-tell';
  other: Knock | undefined;
  /** The speed at which it fits, where that is not the one typed. */
  otherKmh: number | undefined;
}): string {
  const { comb, db, factor } = a.top;
  const order = (comb.orders[0]! * factor).toFixed(2);
  if (a.margin <= 0)
    return [silences[a.silence](db), a.other ? knockWords[a.other] : ''].join(' ').trim();
  if (a.alike)
    return `Cannot tell: order ${order} may be the propshaft or a tread of as many blocks. Swap the wheels, or record at another load.`;
  const fits = `${names[comb.family]}: order ${order} and its family stand ${db.toFixed(0)} dB over the floor.`;
  return a.otherKmh === undefined
    ? fits
    : `${fits} It fits only if the speed was about ${a.otherKmh.toFixed(0)} km/h: check it.`;
}

/** How far a typed speed may be off, as a share, and by how much a comb must stand out more to say so. */
const speedOff = 0.07;
const shiftedDb = 2.5;

/** Combs that stand for what they look for, best first, and what else knocks where none of the bearing's does. */
function standing(
  looked: readonly Comb[],
  spectra: { raw: OrderSpectrum; envelope: OrderSpectrum },
  orders: BearingOrders | undefined,
  off: number,
): { found: Scored[]; other: Knock | undefined } {
  const heard = looked
    .map((c): Scored => ({ comb: c, ...score(c, spectra[c.spectrum], off) }))
    .sort((a, b) => b.db - a.db);
  const knocks = new Map(
    heard
      .filter((h) => orders && h.comb.spectrum === 'envelope' && h.db > leastDb)
      .map((h) => [h, knockIn(h, orders!, spectra.envelope)]),
  );
  // Many short blows fill the plain spectrum too, up to where a mesh is looked for.
  const blows = linesOf(spectra.envelope, blowsTo).length > blowLines;
  // A comb that does not explain what is there has only found its teeth in it.
  const found = heard.filter(
    (h) =>
      knocks.get(h) === undefined &&
      notDriveline(h, spectra.raw) !== 'engine' &&
      !(blows && h.comb.orders[0]! > blowsTo),
  );
  return { found, other: found.some((h) => knocks.has(h)) ? undefined : [...knocks.values()][0] };
}

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
  const looked = combs(settings, orders);
  const spectra = { raw: rawSpectrum, envelope: envSpectrum };
  const asTyped = standing(looked, spectra, orders, 0);
  const silent = (asTyped.found[0]?.db ?? -Infinity) <= leastDb;
  // A speed that was typed wrong shifts every order alike: looked for only where nothing fits as it was typed.
  const turning = looked.filter((c) => c.family !== 'driveline');
  const shifted = silent ? standing(turning, spectra, orders, speedOff) : undefined;
  const otherSpeed =
    (shifted?.found[0]?.db ?? -Infinity) > leastDb + shiftedDb ? shifted : undefined;
  const { found, other } = otherSpeed ?? asTyped;
  const top = found[0]!;
  const margin = top.db - leastDb;
  // Silence where no bearing was looked for is not the bearing's silence.
  const silence = bearing ? 'nothing' : 'cannot-tell';
  const alike = notDriveline(top, rawSpectrum) === 'tread';
  const finding: Finding = findingOf(margin > 0, alike, top.comb.family, silence);
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
    note: recording.note,
    peaks,
    orders,
    confidence: 1 / (1 + Math.exp(-Math.abs(margin) * 0.9)),
    text: textOf({
      top,
      alike,
      margin,
      silence,
      other,
      otherKmh: otherSpeed && speeds[0]!.kmh * top.factor,
    }),
    scores: found.map(({ comb, db, factor }) => ({ family: comb.family, db, factor })),
    raw: rawSpectrum,
    envelope: envSpectrum,
    band: { fromHz: env.fromHz, toHz: env.toHz },
    seconds: recording.samples.length / recording.sampleRate,
    wheelHz: hz.reduce((a, b) => a + b, 0) / hz.length,
  };
}
