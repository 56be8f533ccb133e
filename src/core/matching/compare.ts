import type { Encoder, Rolling, SealKind, Spacer } from '../corner-record.ts';
import type { Side } from '../corner.ts';
import { apart, printed } from '../printed.ts';
import type { Found, RuleId } from '../rules/index.ts';
import { type Status, verdict, type Verdict } from '../verdict.ts';
import {
  type CataloguePart,
  type DimensionId,
  dimensionNames,
  dimensionsOf,
  isCount,
  kindNames,
  type PartKind,
  sizeOf,
} from './catalogue-part.ts';

/** Points that are seen, not measured. */
export const points = ['encoder', 'rolling', 'seals', 'spacer', 'rating'] as const;
export type PointId = (typeof points)[number];
export const pointNames: Record<PointId, string> = {
  encoder: 'Encoder',
  rolling: 'What rolls',
  seals: 'Seals',
  spacer: 'Spacer',
  rating: 'Static rating',
};

/** The old part as far as it was read. What was not read stays open. */
export interface OldPart {
  /** What it should be by its family. */
  kind: PartKind;
  /** Corrected readings, mm; counts as they are. */
  readings: Partial<Record<DimensionId, readonly number[]>>;
  /** Half-width of what the instrument can be off by, mm. */
  doubtMm: number;
  encoder?: Encoder & { side: Side };
  rolling?: Rolling;
  seals?: { inboard: SealKind; outboard: SealKind };
  spacer?: Spacer;
  /** Static rating of the part that the unit's record names, kN. */
  ratingKn?: number;
}

export type Mark = 'same' | 'doubt' | 'different' | 'unread';

export interface Comparison {
  part: CataloguePart;
  marks: Partial<Record<DimensionId | PointId, Mark>>;
  blockers: Verdict[];
  /** What is not a blocker but should be known. */
  notes: string[];
  /** 0 to 100. */
  score: number;
  status: Status;
}

/** Nominal sizes go in whole steps: within this of a candidate it is that one, read with a calliper (common practice, no published source). */
const nominalStepMm = 0.1;
/** A finer instrument narrows the window, down to this: an old ring is worn and dirty (judgement). */
const finestMm = 0.03;
const windowMm = (doubtMm: number): number =>
  Math.min(nominalStepMm, Math.max(finestMm, 3 * doubtMm));

export const meanOf = (xs: readonly number[] | undefined): number | undefined =>
  xs && xs.length > 0 ? xs.reduce((a, b) => a + b, 0) / xs.length : undefined;

/** Same when the reading with all its doubt is within the window round the nominal, different when none of it is. */
export function mark(readMm: number | undefined, nominalMm: number, doubtMm: number): Mark {
  if (readMm === undefined) return 'unread';
  const off = apart(readMm, nominalMm);
  const window = windowMm(doubtMm);
  if (printed(off + doubtMm) <= window) return 'same';
  return printed(off - doubtMm) > window ? 'different' : 'doubt';
}

function equal<T>(old: T | undefined, part: T | undefined): Mark {
  if (old === undefined) return 'unread';
  if (part === undefined) return 'doubt';
  return old === part ? 'same' : 'different';
}

/** A dimension of the old part against the catalogue; what the catalogue does not say is in doubt once it was read. */
function dimensionMark(
  read: number | undefined,
  nominal: number | undefined,
  doubtMm: number,
): Mark {
  if (nominal !== undefined) return mark(read, nominal, doubtMm);
  return read === undefined ? 'unread' : 'doubt';
}

function encoderMark(old: Encoder | undefined, part: Encoder): Mark {
  if (!old) return 'unread';
  return old.kind === part.kind && old.pairs === part.pairs ? 'same' : 'different';
}

/** A lower static rating blocks; 2 % less is the rounding of catalogues (judgement). */
function ratingMark(oldKn: number | undefined, partKn: number): Mark {
  if (oldKn === undefined) return 'unread';
  return partKn >= 0.98 * oldKn ? 'same' : 'different';
}

/** Compares the old part with one candidate: marks, blockers with both figures, and a score with its reasons. */
export function compare(old: OldPart, part: CataloguePart): Comparison {
  const marks: Comparison['marks'] = {};
  const blockers: Verdict[] = [];
  const notes: string[] = [];
  const block = (rule: RuleId, found: Found) => blockers.push(verdict(rule, found));
  if (part.kind !== old.kind)
    block('match.kind', {
      part: part.number,
      with: { kind: kindNames[part.kind], needed: kindNames[old.kind] },
    });
  for (const d of dimensionsOf(old.kind)) {
    const read = meanOf(old.readings[d]);
    const nominal = sizeOf(part, d);
    const m = (marks[d] = dimensionMark(read, nominal, isCount(d) ? 0 : old.doubtMm));
    const digits = isCount(d) ? 0 : 2;
    if (m === 'different')
      block('match.size', {
        part: dimensionNames[d],
        value: read,
        with: { nominal: nominal!.toFixed(digits), read: read!.toFixed(digits), dimension: d },
      });
    else if (nominal === undefined)
      notes.push(`Its catalogue does not say: ${dimensionNames[d].toLowerCase()}.`);
  }
  marks.encoder = encoderMark(old.encoder, part.bearing.encoder);
  if (marks.encoder === 'different')
    block('match.encoder', { with: encoderNames(old.encoder!, part.bearing.encoder) });
  marks.rolling = equal(old.rolling, part.rolling);
  if (marks.rolling === 'different') {
    block('match.rolling', {
      with: {
        part: rollingWords[part.rolling!],
        old: rollingWords[old.rolling!],
        cylindrical: part.rolling === 'cylindrical' ? 'yes' : '',
      },
    });
  }
  marks.seals = sealMark(old.seals, part.seals);
  if (marks.seals === 'different')
    block('match.seals', { with: sealNames(old.seals!, part.seals!) });
  marks.spacer = equal(old.spacer, part.spacer);
  if (marks.spacer === 'different')
    block('match.spacer', { with: { part: part.spacer!, old: old.spacer! } });
  const rating = part.bearing.staticRatingKn;
  marks.rating = ratingMark(old.ratingKn, rating);
  if (marks.rating === 'different')
    block('match.rating', {
      value: rating,
      min: old.ratingKn!,
      unit: 'kN',
      with: { recordKn: old.ratingKn! },
    });
  if (part.kind === 'taper-set')
    notes.push(
      part.partner
        ? `Cone and cup are a set: buy ${part.partner} with it.`
        : 'Cone and cup only as a set: read both numbers.',
    );
  if (part.kind === 'ring-set' && !part.snapRingIncluded) notes.push('No snap ring in the box.');
  // Points that this kind of part may not have do not count against it while unread.
  const values = Object.values(marks);
  const must = [...dimensionsOf(old.kind), 'encoder' as const].map((k) => marks[k]!);
  const score = Math.round(
    (100 *
      values.reduce(
        (a, m) => a + ({ same: 1, unread: 0.5, doubt: 0.4, different: 0 } as const)[m],
        0,
      )) /
      values.length,
  );
  const open: Status = must.includes('doubt') || must.includes('unread') ? 'check' : 'good';
  const status: Status = blockers.length > 0 ? 'stop' : open;
  return { part, marks, blockers, notes, score, status };
}

export const rollingWords: Record<Rolling, string> = {
  ball: 'balls',
  taper: 'taper rollers',
  cylindrical: 'cylindrical rollers',
  needle: 'needles',
};

function sealMark(old: OldPart['seals'], part: OldPart['seals']): Mark {
  if (!old) return 'unread';
  if (!part) return 'doubt';
  return old.inboard === part.inboard && old.outboard === part.outboard ? 'same' : 'different';
}
const sealWords: Record<SealKind, string> = {
  contact: 'a lip seal',
  shield: 'a shield',
  open: 'open',
};
const sealNames = (old: NonNullable<OldPart['seals']>, part: NonNullable<OldPart['seals']>) => ({
  partIn: sealWords[part.inboard],
  partOut: sealWords[part.outboard],
  oldIn: sealWords[old.inboard],
  oldOut: sealWords[old.outboard],
  turned: old.inboard === part.outboard && old.outboard === part.inboard ? 'yes' : '',
});

const encoderWords = (e: Encoder): string =>
  ({ none: 'no encoder', magnetic: `${e.pairs} pole pairs`, toothed: `${e.pairs} teeth` })[e.kind];

function encoderNames(old: Encoder, part: Encoder) {
  const magnetic = old.kind === 'magnetic' && part.kind === 'magnetic';
  const twice = magnetic && (old.pairs === 2 * part.pairs || part.pairs === 2 * old.pairs);
  return { part: encoderWords(part), old: encoderWords(old), twice: twice ? 'yes' : '' };
}

const order: Record<Status, number> = { good: 0, check: 1, stop: 2 };

/** A comparison with further blockers: what stands on record of the unit. */
export const blockedBy = (c: Comparison, blockers: readonly Verdict[]): Comparison =>
  blockers.length === 0 ? c : { ...c, blockers: [...c.blockers, ...blockers], status: 'stop' };

/**
 * What a part differs in from the part that the unit's record names, as far as the old one has not been read: what is known
 * already counts. A size within the doubt of a record is the same.
 */
export function recordBlockers(old: OldPart, part: CataloguePart, named: CataloguePart): Verdict[] {
  if (part.number === named.number || part.kind !== named.kind) return [];
  const out: Verdict[] = [];
  const say = (what: string, record: string, mine: string) =>
    out.push(verdict('match.record', { part: what, with: { record, new: mine } }));
  const size = (what: string, record: number | undefined, mine: number | undefined) => {
    if (record !== undefined && mine !== undefined && apart(record, mine) > nominalStepMm)
      say(what, record.toFixed(1), mine.toFixed(1));
  };
  for (const d of dimensionsOf(old.kind))
    if (!old.readings[d]?.length) size(dimensionNames[d], sizeOf(named, d), sizeOf(part, d));
  size('Inner-ring width', named.bearing.innerWidthMm, part.bearing.innerWidthMm);
  if (!old.encoder && encoderMark(named.bearing.encoder, part.bearing.encoder) === 'different')
    say('Encoder', encoderWords(named.bearing.encoder), encoderWords(part.bearing.encoder));
  if (!old.rolling && equal(named.rolling, part.rolling) === 'different')
    say('What rolls', rollingWords[named.rolling!], rollingWords[part.rolling!]);
  if (!old.spacer && equal(named.spacer, part.spacer) === 'different')
    say('Spacer', named.spacer!, part.spacer!);
  if (!old.seals && sealMark(named.seals, part.seals) === 'different') {
    const sides = (s: NonNullable<OldPart['seals']>) =>
      `${sealWords[s.inboard]} inboard, ${sealWords[s.outboard]} outboard`;
    say('Seals', sides(named.seals!), sides(part.seals!));
  }
  return out;
}

/** Candidates best first: status, then how few blockers, then score, then stock, then price. */
export function candidates(
  old: OldPart,
  catalogue: readonly CataloguePart[],
  most = 6,
  known: (part: CataloguePart) => readonly Verdict[] = () => [],
): Comparison[] {
  return catalogue
    .map((p) => blockedBy(compare(old, p), known(p)))
    .sort(
      (a, b) =>
        order[a.status] - order[b.status] ||
        a.blockers.length - b.blockers.length ||
        b.score - a.score ||
        Number(b.part.stock > 0) - Number(a.part.stock > 0) ||
        a.part.priceMinor - b.part.priceMinor,
    )
    .slice(0, most);
}

export interface Again {
  dimension: DimensionId;
  between: readonly [string, string];
  /** Largest doubt that could tell them apart, mm. */
  needMm: number;
  text: string;
}

/** What to measure again when two candidates that still stand are closer together than the doubt; undefined when none are. */
export function measureAgain(
  list: readonly Comparison[],
  old: OldPart,
  instruments: readonly { name: string; doubtMm: number }[],
): Again | undefined {
  const standing = list.filter((c) => c.status !== 'stop');
  if (!Number.isFinite(old.doubtMm)) return undefined;
  for (const [i, a] of standing.entries())
    for (const b of standing.slice(i + 1))
      for (const dimension of dimensionsOf(old.kind)) {
        const apart = Math.abs(
          (sizeOf(a.part, dimension) ?? Number.NaN) - (sizeOf(b.part, dimension) ?? Number.NaN),
        );
        if (
          !(apart > 0) ||
          isCount(dimension) ||
          !old.readings[dimension]?.length ||
          apart > 2 * (old.doubtMm + windowMm(old.doubtMm))
        )
          continue;
        const needMm = apart / 2;
        const tool = [...instruments]
          .sort((x, y) => y.doubtMm - x.doubtMm)
          .find((x) => x.doubtMm < needMm && x.doubtMm < old.doubtMm);
        const told = tool
          ? `measure again with the ${tool.name} (± ${tool.doubtMm} mm)`
          : 'no instrument here can tell them apart: compare the parts side by side';
        return {
          dimension,
          between: [a.part.number, b.part.number],
          needMm,
          text: `${a.part.number} and ${b.part.number} differ by ${apart.toFixed(2)} mm in ${dimensionNames[dimension].toLowerCase()}: ${told}.`,
        };
      }
  return undefined;
}
