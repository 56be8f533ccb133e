import { and, asc, desc, eq, gt, like, sql } from 'drizzle-orm';
import type { JobCorner } from '../core/corner.ts';
import type { Choices, JobEvent } from '../core/schemas/events.ts';
import type { Db } from './open.ts';
import { choices, events, jobs } from './schema.ts';

export interface JobRow {
  id: string;
  number: string;
  unitId: string;
  corner: JobCorner;
  createdMs: number;
  byId: string;
}

export type EventRow = JobEvent & { prevHash: string; hash: string };

export async function jobById(db: Db, id: string): Promise<JobRow | undefined> {
  const [row] = await db.select().from(jobs).where(eq(jobs.id, id));
  return row as JobRow | undefined;
}

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

/** Last entry of a job and how many it has: whether anything was written since. */
export const markOf = async (db: Db, jobId: string): Promise<{ last: number; count: number }> => {
  const [row] = await db
    .select({ last: sql<number>`coalesce(max(${events.seq}), 0)`, count: sql<number>`count(*)` })
    .from(events)
    .where(eq(events.jobId, jobId));
  return row ?? { last: 0, count: 0 };
};

/** Entries of a job after one of them. */
export const eventsAfter = async (db: Db, jobId: string, seq: number): Promise<EventRow[]> =>
  (
    await db
      .select()
      .from(events)
      .where(and(eq(events.jobId, jobId), gt(events.seq, seq)))
      .orderBy(asc(events.seq))
  ).map(toEvent);

export async function eventById(db: Db, id: string): Promise<EventRow | undefined> {
  const [row] = await db.select().from(events).where(eq(events.id, id));
  return row && toEvent(row);
}

export const insertEvent = (db: Db, row: Omit<typeof events.$inferInsert, 'seq'>) =>
  db.insert(events).values(row);

export async function choicesOf(db: Db, jobId: string): Promise<Choices> {
  const rows = await db.select().from(choices).where(eq(choices.jobId, jobId));
  return Object.fromEntries(
    rows.map((r) => [r.key, { version: r.version, value: JSON.parse(r.value) }]),
  ) as Choices;
}

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
