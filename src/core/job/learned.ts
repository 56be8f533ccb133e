import type { CornerRecord } from '../corner-record.ts';
import type { TypedProcedure } from '../torque/index.ts';
import { familyCodeOf } from './family-on-job.ts';
import { cornerDrawn } from './figures-on-job.ts';
import { cornerRecord, type JobNow } from './job-now.ts';
import { chosenPart, sensorSide } from './part-on-job.ts';

/** What a signed job adds to what is known of its corner. */
export interface Learned {
  corner: CornerRecord;
  /** Under an id of this job's own: it replaces nobody else's. */
  procedure?: TypedProcedure;
}

/** Longest text of a source. */
const longest = 200;

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
  if (known && !procedure && Object.keys(figures).length === 0) return undefined;
  const side = sensorSide(job);
  const part = chosenPart(job);
  const typed = procedure && { ...procedure, id: `job-${jobNumber}` };
  const read = `read on job ${jobNumber}`;
  const { outlined: _before, ...record } = drawn.record;
  return {
    corner: {
      ...record,
      ...(part ? { partNumber: part.number } : {}),
      ...(side ? { sensorSide: side } : {}),
      ...(typed ? { procedureId: typed.id } : {}),
      ...(drawn.unknown.length > 0 ? { outlined: drawn.unknown.map((f) => f.path) } : {}),
      source: (known ? `${own.source}; ${read}` : read).slice(-longest),
    },
    ...(typed ? { procedure: typed } : {}),
  };
}
