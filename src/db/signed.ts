import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from './open.ts';
import { cards, events, signedNames, snapshots } from './schema.ts';

/** What is kept of a job when it is signed: what it was judged against, and its card. */

export async function getSnapshot(db: Db, jobId: string): Promise<string | undefined> {
  return (await db.select().from(snapshots).where(eq(snapshots.jobId, jobId)))[0]?.data;
}

export const putSnapshot = (db: Db, jobId: string, data: string) =>
  db
    .insert(snapshots)
    .values({ jobId, data })
    .onConflictDoUpdate({ target: snapshots.jobId, set: { data } });

export async function getCard(db: Db, jobId: string): Promise<string | undefined> {
  return (await db.select().from(cards).where(eq(cards.jobId, jobId)))[0]?.data;
}

/** A card once kept is never written over. */
export const putCard = (db: Db, jobId: string, data: string) =>
  db.insert(cards).values({ jobId, data }).onConflictDoNothing();

export type SignedName = typeof signedNames.$inferSelect;

export const namesOf = (db: Db, jobId: string): Promise<SignedName[]> =>
  db.select().from(signedNames).where(eq(signedNames.jobId, jobId));

/** Names once kept are never written over; they are only erased. */
export const putNames = (db: Db, rows: SignedName[]) =>
  db.insert(signedNames).values(rows).onConflictDoNothing();

export const eraseNames = (db: Db, personId: string) =>
  db.update(signedNames).set({ name: null, salt: null }).where(eq(signedNames.personId, personId));

/** Jobs that were signed before their card was kept. */
export async function signedWithoutCard(db: Db): Promise<string[]> {
  const rows = await db
    .select({ jobId: events.jobId })
    .from(events)
    .leftJoin(cards, eq(cards.jobId, events.jobId))
    .where(and(eq(events.type, 'signed'), isNull(cards.jobId)));
  return rows.map((r) => r.jobId);
}

/** Signed jobs, oldest first. */
export async function signedJobs(db: Db): Promise<string[]> {
  const rows = await db
    .select({ jobId: events.jobId })
    .from(events)
    .where(eq(events.type, 'signed'))
    .orderBy(asc(events.seq));
  return rows.map((r) => r.jobId);
}
