import { eq, sql } from 'drizzle-orm';
import type { JobSummary } from '../core/job/index.ts';
import type { JobRow } from './jobs.ts';
import type { Db } from './open.ts';
import { jobs, jobSummaries } from './schema.ts';

export interface SummaryRow extends JobRow {
  /** 1 when its job was written since. */
  stale: number;
  recordsVersion: number;
  /** The summary as it is kept, JSON. */
  data: string;
}

/** Jobs that stand on the floor with what is kept of them, oldest first; written out, as it is read at every look. */
export const summariesOnFloor = (db: Db): Promise<SummaryRow[]> =>
  db.all<SummaryRow>(sql`
    SELECT j.id, j.number, j.unit_id AS unitId, j.corner, j.created_ms AS createdMs, j.by_id AS byId,
      s.stale, s.records_version AS recordsVersion, s.data
    FROM ${jobSummaries} s JOIN ${jobs} j ON j.id = s.job_id
    WHERE s.on_floor = 1 ORDER BY j.created_ms`);

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
