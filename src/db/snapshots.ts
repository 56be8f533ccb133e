import { eq } from 'drizzle-orm';
import type { Db } from './open.ts';
import { snapshots } from './schema.ts';

export async function getSnapshot(db: Db, jobId: string): Promise<string | undefined> {
  return (await db.select().from(snapshots).where(eq(snapshots.jobId, jobId)))[0]?.data;
}
export const putSnapshot = (db: Db, jobId: string, data: string) => db.insert(snapshots).values({ jobId, data }).onConflictDoUpdate({ target: snapshots.jobId, set: { data } });
