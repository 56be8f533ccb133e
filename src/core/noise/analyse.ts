import { at, combsOf, type Comb, type Heard, leastDb, score, type Scored } from './combs.ts';
import { blowsTo, type Knock, knockIn, knockWords, manyBlows, notDriveline } from './knocks.ts';
import { explained, linesOf, linesTo } from './lines.ts';
import { type BearingGeometry, bearingOrders, type BearingOrders, wheelHz } from './orders.ts';
import type { RingSize } from './ring-size.ts';
import {
  envelope,
  orderSpectrum,
  type OrderSpectrum,
  type SpeedMark,
  thinned,
  toAngle,
} from './spectra.ts';
import type { Recording } from './wav.ts';

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
  /** Where no geometry is known: the orders are bands then, and what is found counts with that doubt. */
  rings?: RingSize;
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
  /** A bearing's family that fits by its ring size only. */
  bySize: boolean;
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

const names: Record<Heard, string> = {
  'outer-ring': 'Outer ring',
  'inner-ring': 'Inner ring',
  ball: 'Ball',
  tyre: 'Tyre or wheel',
  driveline: 'Driveline',
};

/** What was known of the bearing: its geometry, its ring size, or nothing. */
type Known = 'geometry' | 'size' | 'nothing';

/** Silence speaks for the bearing only where its own orders were looked for. */
const silences: Record<Known, (db: number) => string> = {
  geometry: (db) =>
    `Nothing stands out: the strongest comb is ${db.toFixed(0)} dB over the floor, ${leastDb} are needed.`,
  size: () =>
    'Cannot tell: by its ring size only bands of orders are known, and nothing stands out in them. That clears no bearing.',
  nothing: () =>
    'Cannot tell: without the size of its bearing only tyre and driveline can be looked for, and neither stands out.',
};

/** Combs that stand for what they look for, best first, and what else knocks where none of the bearing's does. */
interface Standing {
  found: Scored[];
  other: Knock | undefined;
}

const marginOf = ({ comb, db }: Scored): number => db - comb.leastDb;
const stands = (s: Standing | undefined): boolean =>
  s?.found[0] !== undefined && marginOf(s.found[0]) > 0;

/** The best of each family of the bearing's combs, which may be many likely geometries, and every other comb; best first. */
function bestOf(heard: readonly Scored[]): Scored[] {
  const ranked = [...heard].sort((a, b) => marginOf(b) - marginOf(a));
  return ranked.filter(
    ({ comb }, i) =>
      !comb.series || ranked.findIndex((other) => other.comb.family === comb.family) === i,
  );
}

interface Spectra {
  raw: OrderSpectrum;
  envelope: OrderSpectrum;
}

function standing(looked: readonly Comb[], spectra: Spectra, off: number): Standing {
  const heard = bestOf(looked.map((c) => score(c, spectra[c.spectrum], off)));
  const knocks = new Map(
    heard
      .filter((h) => h.comb.series && marginOf(h) > 0)
      .map((h) => [h, knockIn(h, spectra.envelope)]),
  );
  const blows = manyBlows(spectra.envelope);
  const note = (h: Scored) => {
    const what = notDriveline(h, spectra.raw);
    return what === 'engine' || what === 'lone-note';
  };
  // A comb that does not explain what is there has only found its teeth in it.
  const found = heard.filter(
    (h) => knocks.get(h) === undefined && !note(h) && !(blows && h.comb.orders[0]! > blowsTo),
  );
  return { found, other: found.some((h) => knocks.has(h)) ? undefined : [...knocks.values()][0] };
}

/** How far a typed speed may be off, as a share: a speedometer reads up to 8 % high, and a typed figure is as often low. */
const speedOff = 0.08;
/** By how much more a comb must stand out, and how much more of the lines its row must explain, to say that. */
const shiftedDb = 2.5;
const shiftedShare = 0.15;

/** Share of the envelope's lines that a bearing's row explains where it was found; a comb that is none explains nothing. */
function explains({ comb, factor }: Scored, { envelope: s }: Spectra): number {
  if (!comb.series) return 0;
  const { base, side } = comb.series;
  return explained(
    linesOf(s, linesTo * base * factor),
    { base: base * factor, side: side * factor },
    s.step,
  );
}

/** What stands at another speed goes before what stands as it was typed where it explains clearly more of what is there. */
const explainsMore = (other: Standing, asTyped: Standing, spectra: Spectra): boolean => {
  const [now, then] = [other.found[0], asTyped.found[0]];
  if (!now?.comb.series || !then?.comb.series) return false;
  return explains(now, spectra) > explains(then, spectra) + shiftedShare;
};

/** A speed that was typed wrong shifts every order alike. */
function atAnotherSpeed(looked: readonly Comb[], spectra: Spectra): Standing | undefined {
  const shifted = standing(
    looked.filter((c) => c.family !== 'driveline'),
    spectra,
    speedOff,
  );
  const [top] = shifted.found;
  return top && marginOf(top) > shiftedDb ? shifted : undefined;
}

function textOf(
  { comb, db, factor }: Scored,
  known: Known,
  /** The speed at which it fits, where that is not the one typed. */
  otherKmh: number | undefined,
): string {
  const order = (comb.orders[0]! * factor).toFixed(2);
  const fits = `${names[comb.family]}: order ${order} and its family stand ${db.toFixed(0)} dB over the floor.`;
  return [
    fits,
    otherKmh === undefined
      ? ''
      : `It fits only if the speed was about ${otherKmh.toFixed(0)} km/h: check it.`,
    known === 'size' && comb.series ? 'By the ring size only, so it counts with doubt.' : '',
  ]
    .filter(Boolean)
    .join(' ');
}

function knownOf({ bearing, rings }: Settings): Known {
  if (bearing) return 'geometry';
  return rings ? 'size' : 'nothing';
}

/** What the strongest comb says, or why nothing is said. */
function saidOf(
  top: Scored,
  known: Known,
  raw: OrderSpectrum,
  other: Knock | undefined,
  otherKmh: number | undefined,
): Pick<Analysis, 'finding' | 'text'> {
  if (marginOf(top) <= 0)
    return {
      // Silence where no bearing was looked for is not the bearing's silence.
      finding: known === 'geometry' ? 'nothing' : 'cannot-tell',
      text: [silences[known](top.db), other ? knockWords[other] : ''].join(' ').trim(),
    };
  if (notDriveline(top, raw) === 'tread')
    return {
      finding: 'cannot-tell',
      text: `Cannot tell: order ${(top.comb.orders[0]! * top.factor).toFixed(2)} may be the propshaft or a tread of as many blocks. Swap the wheels, or record at another load.`,
    };
  return { finding: top.comb.family, text: textOf(top, known, otherKmh) };
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
  const looked = combsOf(settings);
  const env = envelope(recording, tick && ((x) => tick(0.9 * x)));
  const thin = thinned(recording);
  const spectra = {
    raw: orderSpectrum(toAngle(thin.values, thin.rate, speeds, circumferenceMm)),
    envelope: orderSpectrum(toAngle(env.values, env.rate, speeds, circumferenceMm)),
  };
  const asTyped = standing(looked, spectra, 0);
  const shifted = atAnotherSpeed(looked, spectra);
  const fits = shifted && stands(asTyped) && !explainsMore(shifted, asTyped, spectra);
  const other = fits ? undefined : shifted;
  const { found, other: knock } = other ?? asTyped;
  const top = found[0]!;
  const known = knownOf(settings);
  const peaks = found
    .flatMap(({ comb, factor }) =>
      comb.orders.map((o, i): Peak => ({
        order: o * factor,
        dbOverFloor: at(spectra[comb.spectrum], o * factor),
        family: comb.family,
        harmonic: i + 1,
      })),
    )
    .filter((p) => p.dbOverFloor > 3);
  tick?.(1);
  return {
    ...saidOf(top, known, spectra.raw, knock, other && speeds[0]!.kmh * top.factor),
    bySize: known === 'size' && top.comb.series !== undefined,
    note: recording.note,
    peaks,
    orders: bearing && bearingOrders(bearing),
    confidence: 1 / (1 + Math.exp(-Math.abs(marginOf(top)) * 0.9)),
    scores: found.map(({ comb, db, factor }) => ({ family: comb.family, db, factor })),
    raw: spectra.raw,
    envelope: spectra.envelope,
    band: { fromHz: env.fromHz, toHz: env.toHz },
    seconds: recording.samples.length / recording.sampleRate,
    wheelHz: hz.reduce((a, b) => a + b, 0) / hz.length,
  };
}
