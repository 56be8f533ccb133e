import { asc, eq } from 'drizzle-orm';
import type { JobSummary } from '../core/job/index.ts';
import type { JobRow } from './jobs.ts';
import type { Db } from './open.ts';
import { jobs, jobSummaries } from './schema.ts';

export interface SummaryRow extends JobRow {
  stale: boolean;
  recordsVersion: number;
  /** The summary as it is kept, JSON. */
  data: string;
}

/** Jobs that stand on the floor with what is kept of them, oldest first. */
export const summariesOnFloor = async (db: Db): Promise<SummaryRow[]> =>
  (await db
    .select({
      id: jobs.id,
      number: jobs.number,
      unitId: jobs.unitId,
      corner: jobs.corner,
      createdMs: jobs.createdMs,
      byId: jobs.byId,
      stale: jobSummaries.stale,
      recordsVersion: jobSummaries.recordsVersion,
      data: jobSummaries.data,
    })
    .from(jobSummaries)
    .innerJoin(jobs, eq(jobs.id, jobSummaries.jobId))
    .where(eq(jobSummaries.onFloor, true))
    .orderBy(asc(jobs.createdMs))) as SummaryRow[];

/** Keeps a summary worked out at this version of the shop's records. */
export const putSummary = (
  db: Db,
  jobId: string,
  { onFloor, ...summary }: JobSummary,
  recordsVersion: number,
) =>
  db
    .update(jobSummaries)
    .set({ onFloor, stale: false, recordsVersion, data: JSON.stringify({ onFloor, ...summary }) })
    .where(eq(jobSummaries.jobId, jobId));
