import type { Bearing, CornerRecord } from '../corner-record.ts';
import type { FamilyCode } from '../families/families.data.ts';
import { figuresOf } from './figures-of/index.ts';
import type { Span } from './hull.ts';
import type { Operation } from './operations.ts';

/** What can stand for a figure of a corner: mm, a word of a list, a class. */
export type FigureValue = number | string;

/** One figure of a corner that a stroke or a seat is judged by: where it stands, how it is read, and what rests on it. */
export interface Figure {
  /** Its place in the corner's record, "knuckle.shoulderMm". */
  path: string;
  name: string;
  /** What is read, from where to where, with what. */
  how: string;
  /** Words to choose from; a length in mm where there are none. */
  options?: readonly { id: string; name: string }[];
  /** Strokes that are laid out and judged by it; none where it is only drawn. */
  needs: readonly Operation[];
  /** The verdict of the seat rests on it. */
  seat?: true;
  /** What it follows from, where it is not read: the part, the usual class. */
  derive?: (part: Bearing, known: Known) => { value: FigureValue; from: string } | undefined;
  /** What is usual, for a dashed outline while it is not known: no verdict rests on it. */
  outline: (part: Bearing) => FigureValue;
}
export type Known = (path: string) => FigureValue | undefined;

/** A value at a path of a record. */
export function figureAt(record: CornerRecord | undefined, path: string): FigureValue | undefined {
  const found = path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], record);
  return typeof found === 'number' || typeof found === 'string' ? found : undefined;
}

/** A record with one more figure in it. */
export const withFigure = (record: CornerRecord, path: string, value: FigureValue): CornerRecord =>
  put(record, path.split('.'), value) as CornerRecord;

function put(at: object, [key = '', ...rest]: readonly string[], value: FigureValue): object {
  const below = (at as Record<string, object | undefined>)[key] ?? {};
  return { ...at, [key]: rest.length === 0 ? value : put(below, rest, value) };
}

/** A corner as far as it is known, drawn to its end with what is usual. */
export interface DrawnCorner {
  record: CornerRecord;
  /** Figures that nobody knows: drawn by what is usual, judged by where they can lie. */
  unknown: readonly Figure[];
  /** Where the lengths among them can lie, by path. */
  spans: ReadonlyMap<string, Span>;
}

/**
 * Fills a corner's record up: with what follows from the part, and for the drawing alone with what is usual. What is
 * unknown is told with where it can lie, so that nothing is judged by the drawing. Undefined for a family whose figures
 * are not listed.
 */
export function drawnCorner(
  family: FamilyCode,
  record: CornerRecord | undefined,
  part: Bearing,
  /** Whether a figure has to be asked for; all that do not stand in the record where this is left out. */
  asked: (path: string) => boolean = (path) => figureAt(record, path) === undefined,
): DrawnCorner | undefined {
  const figures = figuresOf[family];
  if (!figures) return undefined;
  let drawn: CornerRecord = record ?? { family, source: 'read on this job' };
  const unknown: Figure[] = [];
  for (const f of figures) {
    const known: Known = (path) =>
      unknown.some((u) => u.path === path) ? undefined : figureAt(drawn, path);
    if (!asked(f.path)) continue;
    const derived = f.derive?.(part, known);
    if (!derived) unknown.push(f);
    drawn = withFigure(drawn, f.path, derived?.value ?? f.outline(part));
  }
  const lengths = unknown.flatMap((f) => (typeof f.outline(part) === 'number' ? [f.path] : []));
  const spans = spansOf(lengths, (path) => figureAt(drawn, path));
  for (const [path, { low, high }] of spans)
    drawn = withFigure(drawn, path, Math.min(high, Math.max(low, Number(figureAt(drawn, path)))));
  return { record: drawn, unknown, spans };
}

/** All figures of a family, in the order in which they can be reached. */
export const figuresFor = (family: FamilyCode | undefined): readonly Figure[] =>
  (family && figuresOf[family]) ?? [];

/** Pairs of figures of which the first is the smaller one by what metal is. */
const smaller: readonly (readonly [string, string])[] = [
  ['knuckle.shoulderMm', 'knuckle.boreMm'],
  ['knuckle.boreMm', 'knuckle.bossOuterMm'],
  ['knuckle.boreMm', 'knuckle.farFaceOuterMm'],
  ['knuckle.seatDepthMm', 'knuckle.bossDepthMm'],
  ['knuckle.shoulderMm', 'knuckle.farFaceOuterMm'],
  ['hub.boreMm', 'hub.journalMm'],
  ['hub.journalMm', 'hub.flangeMm'],
  ['hub.insideStudsMm', 'hub.flangeMm'],
  ['hub.journalMm', 'hub.insideStudsMm'],
  ['knuckle.boreMm', 'knuckle.wheelSideReachMm'],
  ['housing.shoulderMm', 'housing.boreMm'],
  ['housing.boreMm', 'housing.outerMm'],
  ['housing.seatDepthMm', 'housing.depthMm'],
  ['far.shoulderMm', 'far.boreMm'],
  ['far.boreMm', 'far.outerMm'],
  ['far.seatDepthMm', 'far.depthMm'],
  ['cartridge.neckMm', 'cartridge.shoulderMm'],
  ['cartridge.shoulderMm', 'cartridge.flangeMm'],
  ['cartridge.hubBoreMm', 'cartridge.neckMm'],
  ['cartridge.shoulderMm', 'housing.outerMm'],
  ['shaft.journalMm', 'shaft.shoulderMm'],
  ['shaft.insideStudsMm', 'shaft.flangeMm'],
  ['shaft.shoulderMm', 'shaft.insideStudsMm'],
  ['shaft.journalLengthMm', 'shaft.reachMm'],
  ['shaft.journalMm', 'shaft.ring.outerMm'],
  ['shaft.ring.lowMm', 'shaft.ring.highMm'],
  ['seal.innerMm', 'seal.outerMm'],
];

/** Shortest and longest length that a record can hold, mm. */
const anyLength: Span = { low: 0.01, high: 2000 };
/** What is smaller is so by at least this, mm. */
const apartMm = 0.01;

/** Where lengths that nobody knows can lie: between their measured neighbours, else anywhere. */
function spansOf(unknown: readonly string[], at: Known): Map<string, Span> {
  const spans = new Map(unknown.map((path) => [path, anyLength]));
  const known = (path: string): Span | undefined => {
    const value = spans.get(path) ?? at(path);
    return typeof value === 'number' ? { low: value, high: value } : (value as Span | undefined);
  };
  // Each round carries a limit one neighbour further.
  for (const _round of smaller)
    for (const [small, large] of smaller) {
      const [s, l] = [known(small), known(large)];
      if (!s || !l) continue;
      const [below, above] = [spans.get(small), spans.get(large)];
      if (below) spans.set(small, { ...below, high: Math.min(below.high, l.high - apartMm) });
      if (above) spans.set(large, { ...above, low: Math.max(above.low, s.low + apartMm) });
    }
  return spans;
}

export interface FigureFault {
  /** The other figure, by its name, and what it is. */
  other: string;
  otherMm: number;
  smaller: boolean;
}

const mmPerInch = 25.4;

/** Why a length cannot be true beside what is known: a shoulder wider than its bore; undefined when it can. */
export function figureFault(
  family: FamilyCode,
  path: string,
  valueMm: number,
  known: Known,
): FigureFault | undefined {
  for (const [small, large] of smaller) {
    if (path !== small && path !== large) continue;
    const otherPath = path === small ? large : small;
    const other = known(otherPath);
    if (typeof other !== 'number') continue;
    const right = path === small ? valueMm <= other : valueMm >= other;
    if (!right) {
      const name = figuresFor(family).find((f) => f.path === otherPath)?.name ?? otherPath;
      return { other: name, otherMm: other, smaller: path === small };
    }
  }
  return undefined;
}

/** Whether a length that cannot be true would be, were it typed in inches. */
export const looksLikeInches = (
  family: FamilyCode,
  path: string,
  valueMm: number,
  known: Known,
): boolean =>
  figureFault(family, path, valueMm, known) !== undefined &&
  figureFault(family, path, valueMm * mmPerInch, known) === undefined;
