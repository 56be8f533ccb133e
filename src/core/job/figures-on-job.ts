import type { CornerRecord } from '../corner-record.ts';
import type { FamilyCode } from '../families/families.data.ts';
import {
  type DrawnCorner,
  drawnCorner,
  type Figure,
  figureAt,
  figureFault,
  figuresFor,
  type FigureValue,
  looksLikeInches,
  type Operation,
  withFigure,
} from '../press/index.ts';
import type { EventBody } from '../schemas/events.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { familyCodeOf } from './family-on-job.ts';
import { cornerRecord, type JobNow, once } from './job-now.ts';
import { chosenPart } from './part-on-job.ts';
import { type Refusal, refuse } from './refusal.ts';

/** Whether a record that came with the unit says a figure: its body stands there, and it was not only drawn. */
function onRecord(record: CornerRecord, path: string): boolean {
  if (record.outlined?.includes(path)) return false;
  const [body = ''] = path.split('.');
  // Both ends are alike where only one is on record.
  return body in record || (body === 'far' && record.housing !== undefined);
}

/** The unit's record of this corner, as far as it is of this family. */
function ownRecord(job: JobNow, family: FamilyCode): CornerRecord | undefined {
  const own = cornerRecord(job);
  return own?.family === family ? own : undefined;
}

/** The corner's record with what this job read of it; undefined while neither says anything of this family. */
function knownOf(job: JobNow, family: FamilyCode): CornerRecord | undefined {
  const read = Object.values(job.state.figures);
  const base = ownRecord(job, family);
  if (read.length === 0) return base;
  return read.reduce<CornerRecord>(
    (r, f) => withFigure(r, f.path, f.value),
    base ?? { family, source: 'read on this job' },
  );
}

/**
 * The job's corner, filled up for the drawing, and what of it nobody knows; undefined while family or part is not known,
 * and for a family whose figures are not listed.
 */
export const cornerDrawn = once((job): DrawnCorner | undefined => {
  const family = familyCodeOf(job);
  const part = chosenPart(job)?.bearing;
  if (!family || !part) return undefined;
  const base = ownRecord(job, family);
  const known = knownOf(job, family);
  const asked = (path: string) => !(base && onRecord(base, path)) && !(path in job.state.figures);
  return drawnCorner(family, known, part, asked);
});

/** Figures that a stroke is judged by and nobody knows, in the order of reach. */
export const unknownOfStroke = (job: JobNow, operation: Operation): Figure[] =>
  cornerDrawn(job)?.unknown.filter((f) => f.needs.includes(operation)) ?? [];
/** Figures that the seats are judged by and nobody knows. */
export const unknownOfSeats = (job: JobNow): Figure[] =>
  cornerDrawn(job)?.unknown.filter((f) => f.seat) ?? [];

/** What another corner's record says of the figures that are unknown here; what was only drawn there says nothing. */
export const takenOver = (
  job: JobNow,
  record: CornerRecord,
): { path: string; value: FigureValue }[] =>
  (cornerDrawn(job)?.unknown ?? []).flatMap(({ path, derive }) => {
    // What follows from the rest is not lent.
    if (derive) return [];
    const value = record.outlined?.includes(path) ? undefined : figureAt(record, path);
    return value === undefined ? [] : [{ path, value }];
  });

/** A figure as it is known on this job; undefined while it is only drawn. */
export function figureOn(job: JobNow, path: string): FigureValue | undefined {
  const drawn = cornerDrawn(job);
  if (!drawn || drawn.unknown.some((f) => f.path === path)) return undefined;
  return figureAt(drawn.record, path);
}

/** The Stop of a corner that is not built like the one that lent its figures; undefined while nothing says so. */
export function notAlike(job: JobNow): Verdict | undefined {
  const off = job.state.notAlike;
  if (!off) return undefined;
  const name = figuresFor(familyCodeOf(job)).find((f) => f.path === off.path)?.name ?? off.path;
  return verdict('figure.not-alike', {
    part: name,
    value: off.hereMm,
    unit: 'mm',
    with: { there: off.thereMm.toFixed(1), from: off.takenFrom },
  });
}

/** Why a figure cannot be taken: not one of the family, not of its kind, or not true beside what is known. */
export function figureRefusal(b: EventBody<'figure-read'>, job: JobNow): Refusal | undefined {
  const family = familyCodeOf(job);
  const figure = figuresFor(family).find((f) => f.path === b.path);
  if (!family || !figure) return refuse('path', 'figure.none', { part: b.path });
  const part = figure.name;
  if (figure.options)
    return figure.options.some((o) => o.id === b.value)
      ? undefined
      : refuse('value', 'figure.word', { part });
  if (typeof b.value !== 'number') return refuse('value', 'figure.length', { part });
  const known = (path: string) => (path === b.path ? undefined : figureOn(job, path));
  const fault = figureFault(family, b.path, b.value, known);
  if (!fault) return undefined;
  const inches = looksLikeInches(family, b.path, b.value, known) ? 'yes' : '';
  return refuse('value', 'figure.contradicts', {
    part,
    value: b.value,
    unit: 'mm',
    with: {
      other: fault.other,
      otherMm: fault.otherMm,
      smaller: fault.smaller ? 'yes' : '',
      inches,
    },
  });
}
