import type { AlikeCorner } from '../corner-record.ts';
import { isSaid, type ReadFastener, type TypedProcedure } from '../torque/index.ts';
import { stepsOf } from './family-on-job.ts';
import { takenOver } from './figures-on-job.ts';
import type { JobNow } from './job-now.ts';
import { fastenerOn, longestSource } from './learned.ts';

/** What a corner built alike lends to a job; each stays marked as taken over. */
export interface Lent {
  /** Whose it is: "07 LF". */
  from: string;
  figures: ReturnType<typeof takenOver>;
  /** By their key in the walk. */
  fasteners: [fastenerId: string, fastener: ReadFastener][];
  /** Its id is the giver's: the one who enters it gives it another. */
  procedure?: TypedProcedure;
}

/** Figures that are unknown here, fasteners that nobody has read here, and the nut's procedure where there is none. */
export function lentBy(job: JobNow, corner: AlikeCorner): Lent {
  const from = `${corner.fleetNo} ${corner.corner}`;
  const walked = [...stepsOf(job, 'strip'), ...stepsOf(job, 'rebuild')];
  const fasteners = Object.entries(corner.fasteners).flatMap(([id, f]): Lent['fasteners'] => {
    const { name: _n, figure: _f, ...read } = f;
    const open = walked.some((s) => s.fastener === id) && !fastenerOn(job, id);
    return open && isSaid(read) ? [[id, read]] : [];
  });
  const lent = { from, figures: takenOver(job, corner.record), fasteners };
  if (job.ctx.procedure || !corner.procedure) return lent;
  // Who checked it for that unit has not checked it for this one.
  const { checkedBy: _by, checkedOn: _on, ...typed } = corner.procedure;
  const source = `as ${from}: ${typed.source}`.slice(0, longestSource);
  return { ...lent, procedure: { ...typed, source } };
}
