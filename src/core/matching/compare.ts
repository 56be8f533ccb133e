import type { Bearing, Encoder, Side } from '../parts.ts';
import type { Status, Verdict } from '../verdict.ts';

/** A part that can be bought, as a catalogue lists it. */
export interface CataloguePart {
  number: string;
  maker: string;
  kind: 'ring-set' | 'hub-unit' | 'axle-bearing';
  bearing: Bearing;
  /** In stock here, price in minor units, days to come otherwise. */
  stock: number;
  priceMinor: number;
  currency: string;
  leadDays: number;
  snapRingIncluded: boolean;
}

/** The dimensions read on the old part, in the order they are asked for. */
export const dimensions = ['outerMm', 'boreMm', 'widthMm'] as const;
export type DimensionId = (typeof dimensions)[number];
export const dimensionNames: Record<DimensionId, string> = { outerMm: 'Outer diameter', boreMm: 'Bore', widthMm: 'Width' };
export const dimensionShort: Record<DimensionId, string> = { outerMm: 'outer', boreMm: 'bore', widthMm: 'width' };

export interface OldPart {
  /** Two readings across 90° for diameters, one or more for the width; mm. */
  readings: Partial<Record<DimensionId, number[]>>;
  /** Half-width of what the instrument can be off by, mm. */
  doubtMm: number;
  encoder?: Encoder & { side: Side };
}

export type Mark = 'same' | 'doubt' | 'different' | 'unread';

export interface Comparison {
  part: CataloguePart;
  marks: Record<DimensionId | 'encoder', Mark>;
  blockers: Verdict[];
  /** 0 to 100. */
  score: number;
  status: Status;
}

/** A rolling bearing's sizes go in whole steps: within this of a nominal it can be that one (common practice). */
export const nominalStepMm = 0.1;

export const meanOf = (xs: readonly number[] | undefined): number | undefined =>
  xs && xs.length > 0 ? xs.reduce((a, b) => a + b, 0) / xs.length : undefined;

/** Same when the reading with all its doubt is within a step of the nominal, different when none of it is. */
export function mark(readMm: number | undefined, nominalMm: number, doubtMm: number): Mark {
  if (readMm === undefined) return 'unread';
  const off = Math.abs(readMm - nominalMm);
  if (off + doubtMm <= nominalStepMm) return 'same';
  return off - doubtMm > nominalStepMm ? 'different' : 'doubt';
}

function encoderMark(old: OldPart['encoder'], part: Encoder): Mark {
  if (!old) return 'unread';
  return old.kind === part.kind && old.pairs === part.pairs ? 'same' : 'different';
}

/** Compares the old part with one candidate: marks, blockers with both figures, and a score. */
export function compare(old: OldPart, part: CataloguePart): Comparison {
  const size = (d: DimensionId) => mark(meanOf(old.readings[d]), part.bearing[d], old.doubtMm);
  const marks: Comparison['marks'] = { outerMm: size('outerMm'), boreMm: size('boreMm'), widthMm: size('widthMm'), encoder: encoderMark(old.encoder, part.bearing.encoder) };
  const blockers: Verdict[] = [];
  for (const d of dimensions) {
    if (marks[d] !== 'different') continue;
    const read = meanOf(old.readings[d])!;
    blockers.push({ status: 'stop', rule: `match.${d}`, value: read, limit: `${part.bearing[d]} mm`, text: `${dimensionNames[d]} ${part.bearing[d].toFixed(2)} against ${read.toFixed(2)} read.`, source: 'old part on the bench' });
  }
  if (marks.encoder === 'different') blockers.push({ status: 'stop', rule: 'match.encoder', text: encoderText(old.encoder!, part.bearing.encoder), source: 'old part on the bench' });
  if (part.kind !== 'ring-set') blockers.push({ status: 'stop', rule: 'match.kind', text: `${part.number} is not a pressed-in ring set.` });
  const values = Object.values(marks);
  const score = Math.round((100 * values.reduce((a, m) => a + ({ same: 1, unread: 0.5, doubt: 0.4, different: 0 } as const)[m], 0)) / values.length);
  const status: Status = blockers.length > 0 ? 'stop' : values.includes('doubt') || values.includes('unread') ? 'check' : 'good';
  return { part, marks, blockers, score, status };
}

function encoderText(old: Encoder, part: Encoder): string {
  const words = (e: Encoder) => (e.kind === 'none' ? 'no encoder' : e.kind === 'magnetic' ? `${e.pairs} pole pairs` : `${e.pairs} teeth`);
  const twice = old.kind === 'magnetic' && part.kind === 'magnetic' && (old.pairs === 2 * part.pairs || part.pairs === 2 * old.pairs);
  return `Encoder ${words(part)} against ${words(old)}.${twice ? ' One of them may count poles, not pairs: count again.' : ''}`;
}

const order: Record<Status, number> = { good: 0, check: 1, stop: 2 };

/** Candidates best first: status, then score, then stock, then price. */
export function candidates(old: OldPart, catalogue: readonly CataloguePart[], most = 4): Comparison[] {
  return catalogue
    .map((p) => compare(old, p))
    .sort((a, b) => order[a.status] - order[b.status] || b.score - a.score || Number(b.part.stock > 0) - Number(a.part.stock > 0) || a.part.priceMinor - b.part.priceMinor)
    .slice(0, most);
}

/** "40 × 76 × 37": bore, outside, width, as it stands on the box. */
export const sizeInShort = (b: Bearing): string => `${b.boreMm} × ${b.outerMm} × ${b.widthMm}`;

/** Why a candidate's own figures cannot be a bearing; empty when they can. */
export function bearingFaults(b: Bearing): { field: string; reason: string }[] {
  const faults: { field: string; reason: string }[] = [];
  for (const f of ['outerMm', 'boreMm', 'widthMm', 'innerWidthMm', 'ballMm', 'pitchMm'] as const) {
    if (!(b[f] > 0)) faults.push({ field: f, reason: `${f} must be more than 0 mm, not ${b[f]}.` });
  }
  if (b.boreMm >= b.outerMm) faults.push({ field: 'boreMm', reason: `Bore ${b.boreMm} mm must be smaller than the outside, ${b.outerMm} mm.` });
  if (!(b.innerFaceOuterMm > b.boreMm && b.innerFaceOuterMm < b.outerFaceInnerMm)) faults.push({ field: 'innerFaceOuterMm', reason: `The inner ring's face must end between bore and outer ring, not at ${b.innerFaceOuterMm} mm.` });
  if (!(b.outerFaceInnerMm < b.outerMm)) faults.push({ field: 'outerFaceInnerMm', reason: `The outer ring's face must begin inside ${b.outerMm} mm, not at ${b.outerFaceInnerMm} mm.` });
  return faults;
}

/** Why one reading of the old part cannot be; undefined when it can. */
export function readingFault(d: DimensionId, valueMm: number, readings: OldPart['readings']): string | undefined {
  if (!(valueMm > 0)) return `${dimensionNames[d]} must be more than 0 mm.`;
  if (valueMm > 300) return `${dimensionNames[d]} of ${valueMm} mm is larger than any wheel bearing here (300 mm).`;
  const outer = meanOf(readings.outerMm);
  const bore = meanOf(readings.boreMm);
  if (d === 'boreMm' && outer !== undefined && valueMm >= outer) return `A bore of ${valueMm} mm cannot be larger than the outside, ${outer.toFixed(2)} mm.`;
  if (d === 'outerMm' && bore !== undefined && valueMm <= bore) return `An outside of ${valueMm} mm cannot be smaller than the bore, ${bore.toFixed(2)} mm.`;
  return undefined;
}
