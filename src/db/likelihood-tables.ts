import { asc, desc, eq, gte } from 'drizzle-orm';
import type { Edits, Outcome } from '../core/diagnosis/index.ts';
import type { Db } from './open.ts';
import { likelihoodTables, outcomes } from './schema.ts';

export interface TablesRow {
  version: number;
  commandId: string;
  edits: Edits;
  countFromMs: number;
  reason: string;
  byId: string;
  atMs: number;
}

const toTables = (r: typeof likelihoodTables.$inferSelect): TablesRow => ({
  ...r,
  edits: JSON.parse(r.edits) as Edits,
});

/** Versions of the tables, newest first. */
export const allTables = async (db: Db): Promise<TablesRow[]> =>
  (await db.select().from(likelihoodTables).orderBy(desc(likelihoodTables.version))).map(toTables);
export async function lastTables(db: Db): Promise<TablesRow | undefined> {
  const [row] = await db
    .select()
    .from(likelihoodTables)
    .orderBy(desc(likelihoodTables.version))
    .limit(1);
  return row && toTables(row);
}
export const insertTables = (db: Db, row: Omit<TablesRow, 'version'>) =>
  db.insert(likelihoodTables).values({ ...row, edits: JSON.stringify(row.edits) });

export const outcomesFrom = async (db: Db, fromMs: number): Promise<Outcome[]> =>
  (
    await db.select().from(outcomes).where(gte(outcomes.atMs, fromMs)).orderBy(asc(outcomes.atMs))
  ).map((r) => JSON.parse(r.data) as Outcome);
export async function outcomeOf(
  db: Db,
  jobId: string,
): Promise<{ outcome: Outcome; atMs: number } | undefined> {
  const [row] = await db.select().from(outcomes).where(eq(outcomes.jobId, jobId));
  return row && { outcome: JSON.parse(row.data) as Outcome, atMs: row.atMs };
}
/** A job that was opened again has taught nothing yet. */
export const dropOutcome = (db: Db, jobId: string) =>
  db.delete(outcomes).where(eq(outcomes.jobId, jobId));
export const putOutcome = (db: Db, jobId: string, atMs: number, outcome: Outcome) =>
  db
    .insert(outcomes)
    .values({ jobId, atMs, data: JSON.stringify(outcome) })
    .onConflictDoNothing();
