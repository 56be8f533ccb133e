import { asc, desc, eq, gte } from 'drizzle-orm';
import type { Outcome } from '../core/diagnosis/index.ts';
import type { Db } from './open.ts';
import { likelihoodTables, outcomes } from './schema.ts';

export type TablesRow = typeof likelihoodTables.$inferSelect;

/** Versions of the tables, newest first. */
export const allTables = (db: Db): Promise<TablesRow[]> =>
  db.select().from(likelihoodTables).orderBy(desc(likelihoodTables.version));
export async function lastTables(db: Db): Promise<TablesRow | undefined> {
  const [row] = await db
    .select()
    .from(likelihoodTables)
    .orderBy(desc(likelihoodTables.version))
    .limit(1);
  return row;
}
export const insertTables = (db: Db, row: Omit<TablesRow, 'version'>) =>
  db.insert(likelihoodTables).values(row);

export const outcomesFrom = async (db: Db, fromMs: number): Promise<Outcome[]> =>
  (
    await db.select().from(outcomes).where(gte(outcomes.atMs, fromMs)).orderBy(asc(outcomes.atMs))
  ).map((r) => r.data);
export async function outcomeOf(
  db: Db,
  jobId: string,
): Promise<{ outcome: Outcome; atMs: number } | undefined> {
  const [row] = await db.select().from(outcomes).where(eq(outcomes.jobId, jobId));
  return row && { outcome: row.data, atMs: row.atMs };
}
/** A job that was opened again has taught nothing yet. */
export const dropOutcome = (db: Db, jobId: string) =>
  db.delete(outcomes).where(eq(outcomes.jobId, jobId));
export const putOutcome = (db: Db, jobId: string, atMs: number, outcome: Outcome) =>
  db.insert(outcomes).values({ jobId, atMs, data: outcome }).onConflictDoNothing();
