import { asc } from 'drizzle-orm';
import type { Db } from './open.ts';
import { events, sentHeads } from './schema.ts';

export type SentHead = typeof sentHeads.$inferSelect;

/** Heads that left this machine, oldest first. */
export const allSentHeads = (db: Db): Promise<SentHead[]> =>
  db.select().from(sentHeads).orderBy(asc(sentHeads.atMs));

export const insertSentHead = (db: Db, row: SentHead) =>
  db.insert(sentHeads).values(row).onConflictDoNothing();

/** Place, job, seal and time of every entry, in the order they were written. */
export const entryHashes = (
  db: Db,
): Promise<{ seq: number; jobId: string; hash: string; atMs: number }[]> =>
  db
    .select({ seq: events.seq, jobId: events.jobId, hash: events.hash, atMs: events.atMs })
    .from(events)
    .orderBy(asc(events.seq));

/** The last number that the database gave to an entry, whether the entry still stands or not. */
export async function lastGiven(db: Db): Promise<number> {
  const { rows } = await db.$client.execute(
    "SELECT seq FROM sqlite_sequence WHERE name = 'events'",
  );
  return Number(rows[0]?.['seq'] ?? 0);
}
