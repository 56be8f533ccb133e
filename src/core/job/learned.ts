import type { CataloguePart } from '../matching/index.ts';
import type { CornerRecord } from '../corner-record.ts';
import { fastenerKinds, fastenerName, itemsOf, schoolsOf } from '../families/index.ts';
import type { Fastener, TypedProcedure } from '../torque/index.ts';
import { familyCodeOf, wayOf } from './family-on-job.ts';
import { cornerDrawn } from './figures-on-job.ts';
import { cornerRecord, type JobNow } from './job-now.ts';
import { bearingFitted } from './life-on-job.ts';
import { chosenPart, sensorSide } from './part-on-job.ts';

/** What a signed job adds to what is known of its corner. */
export interface Learned {
  corner: CornerRecord;
  /** Under an id of this job's own: it replaces nobody else's. */
  procedure?: TypedProcedure;
}

/** Longest text of a source. */
export const longestSource = 200;

/** What feeds the bearing from this job on: grease or oil where this job goes that way, else what stood on record. */
function fedBy(job: JobNow): CornerRecord['feed'] {
  const asked = schoolsOf(familyCodeOf(job)).includes('feed');
  const way = asked ? wayOf(job, 'feed') : undefined;
  return way === 'grease' || way === 'oil' ? way : cornerRecord(job)?.feed;
}

/**
 * The corner's record with what this job read of it, and the procedure that was typed on it; undefined where the record
 * knew it all. What stood there keeps its source; the job is named behind it.
 */
export function learnedOn(job: JobNow, jobNumber: string): Learned | undefined {
  const { figures, procedure } = job.state;
  const family = familyCodeOf(job);
  const drawn = cornerDrawn(job);
  if (!family || !drawn || job.ctx.corner === 'unknown') return undefined;
  const own = cornerRecord(job);
  const known = own?.family === family;
  const feed = fedBy(job);
  if (known && !procedure && Object.keys(figures).length === 0 && feed === own.feed)
    return undefined;
  const side = sensorSide(job);
  const part = chosenPart(job);
  const typed = procedure && { ...procedure, id: `job-${jobNumber}` };
  const read = `read on job ${jobNumber}`;
  const { outlined: _before, takenOver: lent = [], ...record } = drawn.record;
  // What was measured here is no longer only taken over.
  const taken = [
    ...lent.filter((path) => !(path in figures)),
    ...Object.values(figures).flatMap((f) => (f.takenFrom ? [f.path] : [])),
  ];
  return {
    corner: {
      ...record,
      ...(part ? { partNumber: part.number } : {}),
      ...(side ? { sensorSide: side } : {}),
      ...(feed ? { feed } : {}),
      ...(typed ? { procedureId: typed.id } : {}),
      ...(taken.length > 0 ? { takenOver: taken } : {}),
      ...(drawn.unknown.length > 0 ? { outlined: drawn.unknown.map((f) => f.path) } : {}),
      source: (known ? `${own.source}; ${read}` : read).slice(-longestSource),
    },
    ...(typed ? { procedure: typed } : {}),
  };
}

/** A part of the catalogue that this job took off the shelf: one fewer is left. */
export function partUsed(job: JobNow): CataloguePart | undefined {
  const part = chosenPart(job);
  if (!part || part.byHand || part.stock === 0 || !bearingFitted(job)) return undefined;
  return { ...part, stock: part.stock - 1 };
}

/** What this job took off the shelf by its number and used once: one fewer of each is left. */
export const usedUp = (job: JobNow): { itemId: string; number: string }[] =>
  itemsOf(familyCodeOf(job)).flatMap((i) => {
    const number = job.state.taken[i.id];
    return i.singleUse && number !== undefined ? [{ itemId: i.id, number }] : [];
  });

/** A part that was entered by hand from its box and fitted: the catalogue keeps it for the next of its kind. */
export function partFound(job: JobNow): Omit<CataloguePart, 'byHand'> | undefined {
  const part = chosenPart(job);
  if (!part?.byHand) return undefined;
  const { byHand: _entered, ...found } = part;
  // The one in the box is on the car now.
  return { ...found, stock: Math.max(0, found.stock - 1) };
}

/** Fasteners that this job read or counted, for the unit's record, each read one with the job behind its source. */
export function fastenersLearned(job: JobNow, jobNumber: string): Record<string, Fastener> {
  const read = Object.values(job.state.fasteners).map(
    ({ fastenerId, fastener, takenFrom }): [string, Fastener] => {
      const from = takenFrom ? `as ${takenFrom}, not held against the manual here; ` : '';
      const source = `${from}${fastener.source}; job ${jobNumber}`.slice(0, longestSource);
      return [fastenerId, { ...fastener, name: fastenerName(fastenerId), source }];
    },
  );
  const learned = Object.fromEntries(read);
  for (const [id, turns] of Object.entries(job.state.tightened)) {
    const known = learned[id] ?? job.ctx.unit.fasteners[id];
    const counted = fastenerKinds[id]?.count === 'counted' ? turns[0]?.of : undefined;
    if (known && counted !== undefined) learned[id] = { ...known, count: counted };
  }
  return learned;
}

/** A fastener as this job knows it: read here, else on the unit's record. */
export function fastenerOn({ ctx, state }: JobNow, id: string): Fastener | undefined {
  const read = state.fasteners[id];
  if (!read) return ctx.unit.fasteners[id];
  return { name: fastenerName(id), ...read.fastener };
}
