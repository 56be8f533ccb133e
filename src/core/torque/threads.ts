import { INCH_MM } from '../units/index.ts';
import {
  type Grade,
  grades,
  metricPitches,
  type Strength,
  strengths,
  unifiedThreads,
} from './threads.data.ts';

/** A thread by its size; lengths in mm. */
export interface Thread {
  name: string;
  diameterMm: number;
  pitchMm: number;
  series: 'metric' | 'unified';
  /** Tightened the other way round; right-handed unless said. */
  hand?: 'left';
  /** Stands in the table of its standard; centre nuts also use pairs that do not, which are asked about, not refused. */
  listed: boolean;
}

type Read = { ok: true; thread: Thread } | { ok: false; reason: string };
const no = (reason: string): Read => ({ ok: false, reason });

const fractionSigns: Readonly<Record<string, string>> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};

/** "1 1/4" or "3/4" or "1", in inches; undefined for anything else. */
function inches(text: string): number | undefined {
  const found = /^(?:(\d+)\s+)?(\d+)\/(\d+)$|^(\d+)$/u.exec(text.trim());
  if (!found) return undefined;
  const [, whole = '0', top, bottom, alone] = found;
  if (alone !== undefined) return Number(alone);
  return Number(whole) + Number(top) / Number(bottom);
}

function metric(diameterMm: number, given: number | undefined): Read {
  const pitches = metricPitches[diameterMm];
  if (given === undefined) {
    const [coarse] = pitches ?? [];
    return coarse === undefined
      ? no(`M${diameterMm} is in no table: its pitch has to be typed, as M${diameterMm} × 1.5.`)
      : metric(diameterMm, coarse);
  }
  // Beyond these no thread holds: the core would be gone, or nothing is left to grip.
  if (diameterMm < 3 || diameterMm > 100 || given > diameterMm / 4 || given < diameterMm / 60)
    return no(`A thread M${diameterMm} × ${given} does not exist.`);
  const listed = pitches?.includes(given) ?? false;
  const name = `M${diameterMm} × ${given}`;
  return { ok: true, thread: { name, diameterMm, pitchMm: given, series: 'metric', listed } };
}

function unified(inch: number, perInch: number | undefined, series: string | undefined): Read {
  const row = unifiedThreads.find((t) => Math.abs(t.inch - inch) < 1e-9);
  if (!row) return no(`${inch} in is no size of a unified thread here.`);
  // A special one is made with any number of threads: it has to be written.
  const ofSeries: Readonly<Record<string, number>> = { UNC: row.unc, UNF: row.unf };
  const threads = perInch ?? ofSeries[series?.toUpperCase() ?? ''];
  if (threads === undefined)
    return no(`${row.name} in: with its threads per inch, as ${row.name}-${row.unc}.`);
  if (threads < row.unc / 2 || threads > row.unf * 2)
    return no(`A thread ${row.name}-${threads} does not exist.`);
  const listed = threads === row.unc || threads === row.unf;
  return {
    ok: true,
    thread: {
      name: `${row.name}-${threads}`,
      diameterMm: inch * INCH_MM,
      pitchMm: INCH_MM / threads,
      series: 'unified',
      listed,
    },
  };
}

/** A thread that is tightened the other way round says so behind its size: LH, left, left-hand. ISO 965-1. */
const leftHand = /[\s-]*(?:LH|left(?:[\s-]?hand(?:ed)?)?)$/iu;

/** A size without the word for its hand. */
export const withoutHand = (text: string): string => text.trim().replace(leftHand, '');

/** Reads "M22 × 1.5", "M12", "1/2-13", "3/4 UNF", "1¼-12", each with LH behind it; says what is wrong with anything else. */
export function readThread(text: string): Read {
  const size = withoutHand(text);
  const read = readRightHand(size);
  if (!read.ok || size === text.trim()) return read;
  return { ok: true, thread: { ...read.thread, name: `${read.thread.name} LH`, hand: 'left' } };
}

function readRightHand(text: string): Read {
  const plain = [...text.trim()]
    .map((c) => fractionSigns[c] ?? c)
    .join('')
    .replaceAll(/[×х*]/giu, 'x')
    .replaceAll(',', '.')
    .trim();
  const m = /^M\s*(\d+(?:\.\d+)?)\s*(?:x\s*(\d+(?:\.\d+)?))?$/iu.exec(plain);
  if (m) return metric(Number(m[1]), m[2] === undefined ? undefined : Number(m[2]));
  const u = /^([\d/ ]+?)\s*(?:in|")?\s*(?:-\s*(\d+))?\s*(UNC|UNF|UNS)?$/iu.exec(plain);
  const size = u?.[1] === undefined ? undefined : inches(u[1]);
  if (!u || size === undefined)
    return no(`“${text.slice(0, 20)}” is no thread: M22 × 1.5, or 3/4-16.`);
  return unified(size, u[2] === undefined ? undefined : Number(u[2]), u[3]);
}

/** Pitch diameter d₂, mm. ISO 724, ASME B1.1 (both from memory). */
export const pitchDiameterMm = ({ diameterMm, pitchMm }: Thread): number =>
  diameterMm - 0.649519 * pitchMm;

/** Core diameter d₃, mm. ISO 724 (from memory). */
const coreDiameterMm = ({ diameterMm, pitchMm }: Thread): number => diameterMm - 1.226869 * pitchMm;

/** Tensile stress area, mm². ISO 898-1; ASME B1.1 for unified threads, whose constant is its own (both from memory). */
export const stressAreaMm2 = ({ diameterMm, pitchMm, series }: Thread): number =>
  (Math.PI / 4) * (diameterMm - (series === 'metric' ? 0.9382 : 0.9743) * pitchMm) ** 2;

/** Strength of a grade in this size; undefined where the grade is not made so large. */
export const strengthOf = (grade: Grade, { diameterMm }: Thread): Strength | undefined =>
  strengths[grade].find((s) => diameterMm <= s.upToMm);

/** Share of its yield that a bolt is tightened to at most. VDI 2230 (from memory). */
export const yieldShare = 0.9;

/** Greatest clamp before the shank yields under pull and twist together, N. VDI 2230 (from memory), at nine tenths of yield. */
export function yieldClampN(thread: Thread, yieldMpa: number, frictionThread: number): number {
  const d2 = pitchDiameterMm(thread);
  const d0 = (d2 + coreDiameterMm(thread)) / 2;
  const twist = 1.5 * (d2 / d0) * (thread.pitchMm / (Math.PI * d2) + 1.155 * frictionThread);
  return (yieldShare * yieldMpa * (Math.PI / 4) * d0 ** 2) / Math.sqrt(1 + 3 * twist ** 2);
}

/** The bolt that a metric nut of a class belongs to: its class before the point. ISO 898-2, from memory. */
const boltOfNut: Readonly<Record<string, Grade>> = {
  '5': '5.8',
  '6': '6.8',
  '8': '8.8',
  '9': '9.8',
  '10': '10.9',
  '12': '12.9',
};

/**
 * Reads a grade as it stands on a head, on a nut or in a manual: "10.9", "SAE 8", "grade 5", and a bare "8" by the thread
 * it stands on: a metric nut of class 8 goes with a bolt 8.8 (ISO 898-2), an inch head of grade 8 is another (SAE J429).
 * Undefined for anything else, an inch grade on a metric thread among it.
 */
export function readGrade(text: string, series: Thread['series']): Grade | undefined {
  const plain = text.trim().replaceAll(',', '.').toUpperCase();
  if (series === 'metric') return boltOfNut[plain] ?? metricGrade(plain);
  const sae = /^(?:GRADE|SAE|J429)?[\s-]*(1|2|5|8|8\.2)$/u.exec(plain)?.[1];
  // 8.2 is as strong as 8: another steel.
  if (sae) return `J429-${sae === '8.2' ? '8' : sae}` as Grade;
  return metricGrade(plain);
}
const metricGrade = (plain: string): Grade | undefined =>
  grades.find((g) => g === plain && !g.startsWith('J429'));
