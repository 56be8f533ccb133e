import { eq, sql } from 'drizzle-orm';
import type { JobSummary } from '../core/job/index.ts';
import type { JobRow } from './jobs.ts';
import type { Db } from './open.ts';
import { jobs, jobSummaries, records } from './schema.ts';

export interface SummaryRow extends JobRow {
  /** 1 when its job was written since. */
  stale: number;
  recordsVersion: number;
  /** The summary as it is kept, JSON. */
  data: string;
}

/** A job with what is kept of it; written out, as it is read at every look. */
const ofJobs = sql`
    SELECT j.id, j.number, j.unit_id AS unitId, j.corner, j.created_ms AS createdMs, j.by_id AS byId,
      s.stale, s.records_version AS recordsVersion, s.data
    FROM ${jobSummaries} s JOIN ${jobs} j ON j.id = s.job_id`;

/** Jobs that stand on the floor with what is kept of them, oldest first. */
export const summariesOnFloor = (db: Db): Promise<SummaryRow[]> =>
  db.all<SummaryRow>(sql`
    ${ofJobs}
    WHERE s.on_floor = 1 ORDER BY j.created_ms`);

/** Every job of one unit, latest first. */
export const jobsOfUnit = (db: Db, unitId: string): Promise<SummaryRow[]> =>
  db.all<SummaryRow>(sql`
    ${ofJobs}
    WHERE j.unit_id = ${unitId} ORDER BY j.created_ms DESC`);

/** What an ended job is looked for by: words that all have to stand in it, and days it ended on. */
export interface ArchiveQuery {
  words: readonly string[];
  fromMs?: number | undefined;
  toMs?: number | undefined;
  most: number;
}

/** Signed and closed jobs that hold every word, in number, unit, part or what was said of them; latest end first. */
export const endedJobs = (db: Db, q: ArchiveQuery): Promise<SummaryRow[]> => {
  const ended = sql`COALESCE(json_extract(s.data, '$.endedMs'), 0)`;
  const holds = q.words.map(
    (w) =>
      sql`AND (j.number || ' ' || s.data || ' ' || COALESCE(u.data, '')) LIKE ${`%${w.replaceAll(/[\\%_]/gu, String.raw`\$&`)}%`} ESCAPE '\\'`,
  );
  return db.all<SummaryRow>(sql`
    ${ofJobs}
      LEFT JOIN ${records} u ON u.kind = 'units' AND u.id = j.unit_id
    WHERE ${ended} > 0 AND ${ended} >= ${q.fromMs ?? 0} AND ${ended} < ${q.toMs ?? Number.MAX_SAFE_INTEGER}
      ${sql.join(holds, sql` `)}
    ORDER BY ${ended} DESC LIMIT ${q.most}`);
};

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
