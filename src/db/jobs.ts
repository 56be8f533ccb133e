import type { Row } from '@libsql/client';
import { and, asc, desc, eq, gt, like, sql } from 'drizzle-orm';
import type { JobCorner } from '../core/corner.ts';
import type { Choices, JobEvent } from '../core/schemas/events.ts';
import type { Db } from './open.ts';
import { choices, events, jobs } from './schema.ts';

export type JobRow = typeof jobs.$inferSelect;

export type EventRow = JobEvent & { prevHash: string; hash: string };

export async function jobById(db: Db, id: string): Promise<JobRow | undefined> {
  const [row] = await db.select().from(jobs).where(eq(jobs.id, id));
  return row;
}

/** Every job, by its number. */
export const allJobs = (db: Db): Promise<JobRow[]> =>
  db.select().from(jobs).orderBy(asc(jobs.createdMs), asc(jobs.id));

export const insertJob = (db: Db, row: JobRow) => db.insert(jobs).values(row);

/** Last number of a year, e.g. `2026-0412`; undefined when the year has none. */
export async function lastNumber(db: Db, year: number): Promise<string | undefined> {
  const [row] = await db
    .select({ number: jobs.number })
    .from(jobs)
    .where(like(jobs.number, `${year}-%`))
    // By length first: 2026-10000 comes after 2026-9999.
    .orderBy(desc(sql`length(${jobs.number})`), desc(jobs.number))
    .limit(1);
  return row?.number;
}

const toEvent = (r: typeof events.$inferSelect): EventRow =>
  ({ ...r, body: JSON.parse(r.body) }) as EventRow;

export const eventsOf = async (db: Db, jobId: string): Promise<EventRow[]> =>
  (await db.select().from(events).where(eq(events.jobId, jobId)).orderBy(asc(events.seq))).map(
    toEvent,
  );

/** A job as far as it changes, in one look: every reading of a job and every write begins with it. */
export interface JobHead {
  job: JobRow;
  choices: Choices;
  /** Last entry and how many there are: whether anything was written since. */
  last: number;
  count: number;
  /** Version of everything that the shop says to a job. */
  shopVersion: string;
}

export const headOf = async (db: Db, id: string): Promise<JobHead | undefined> =>
  (await headsOf(db, [id])).get(id);

/** The heads of several jobs, by their id; one that there is not is left out. */
export async function headsOf(db: Db, ids: readonly string[]): Promise<Map<string, JobHead>> {
  const { rows } = await db.$client.execute({
    sql: `SELECT id, number, unit_id, corner, created_ms, by_id,
      (SELECT coalesce(max(seq), 0) FROM events WHERE job_id = j.id) AS last,
      (SELECT count(*) FROM events WHERE job_id = j.id) AS entries,
      (SELECT json_group_array(json_array(key, version, value)) FROM choices WHERE job_id = j.id) AS choices,
      (SELECT group_concat(value, ':') FROM meta WHERE key IN ('records-version', 'shop-version')) AS shop_version
      FROM jobs j WHERE id IN (SELECT value FROM json_each(?))`,
    args: [JSON.stringify(ids)],
  });
  return new Map(rows.map((r) => [String(r['id']), headIn(r)]));
}

function headIn(r: Row): JobHead {
  const chosen = JSON.parse(String(r['choices'])) as [string, number, string][];
  return {
    job: {
      id: String(r['id']),
      number: String(r['number']),
      unitId: String(r['unit_id']),
      corner: String(r['corner']) as JobCorner,
      createdMs: Number(r['created_ms']),
      byId: String(r['by_id']),
    },
    choices: Object.fromEntries(
      chosen.map(([key, version, value]) => [key, { version, value: JSON.parse(value) }]),
    ) as Choices,
    last: Number(r['last']),
    count: Number(r['entries']),
    shopVersion: String(r['shop_version']),
  };
}

/** Entries of a job after one of them. */
export const eventsAfter = async (db: Db, jobId: string, seq: number): Promise<EventRow[]> =>
  (
    await db
      .select()
      .from(events)
      .where(and(eq(events.jobId, jobId), gt(events.seq, seq)))
      .orderBy(asc(events.seq))
  ).map(toEvent);

/** When the last entry of all was written, UTC milliseconds; 0 before the first. */
export const lastEntryMs = async (db: Db): Promise<number> =>
  (await db.select({ atMs: events.atMs }).from(events).orderBy(desc(events.seq)).limit(1))[0]
    ?.atMs ?? 0;

export async function eventById(db: Db, id: string): Promise<EventRow | undefined> {
  const [row] = await db.select().from(events).where(eq(events.id, id));
  return row && toEvent(row);
}

/** Writes entries of different jobs in one statement, all of them or none; gives the place of each in the record by its id. */
export async function insertEvents(
  db: Db,
  rows: readonly Omit<typeof events.$inferInsert, 'seq'>[],
): Promise<Map<string, number>> {
  if (rows.length === 0) return new Map();
  // By hand, and the same text for any number of rows: making it anew for each costs more than writing them.
  const places = await db.$client.execute({
    sql: `INSERT INTO events (id, job_id, type, body, by_id, at_ms, prev_hash, hash)
      SELECT value ->> 'id', value ->> 'jobId', value ->> 'type', value ->> 'body', value ->> 'byId',
        value ->> 'atMs', value ->> 'prevHash', value ->> 'hash' FROM json_each(?)
      RETURNING id, seq`,
    args: [JSON.stringify(rows)],
  });
  return new Map(places.rows.map((r) => [String(r['id']), Number(r['seq'])]));
}

export const insertEvent = (db: Db, row: Omit<typeof events.$inferInsert, 'seq'>) =>
  db.insert(events).values(row);

export async function choiceRow(db: Db, jobId: string, key: string) {
  return (
    await db
      .select()
      .from(choices)
      .where(and(eq(choices.jobId, jobId), eq(choices.key, key)))
  )[0];
}

export const putChoice = (db: Db, row: typeof choices.$inferInsert) =>
  db
    .insert(choices)
    .values(row)
    .onConflictDoUpdate({
      target: [choices.jobId, choices.key],
      set: {
        version: row.version,
        value: row.value,
        commandId: row.commandId,
        byId: row.byId,
        atMs: row.atMs,
      },
    });

export const dropChoice = (db: Db, jobId: string, key: string) =>
  db.delete(choices).where(and(eq(choices.jobId, jobId), eq(choices.key, key)));
