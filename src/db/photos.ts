import { eq } from 'drizzle-orm';
import type { Db } from './open.ts';
import { photos } from './schema.ts';

export type PhotoRow = typeof photos.$inferSelect;

/** The same picture twice is kept once. */
export const putPhoto = (db: Db, row: PhotoRow) =>
  db.insert(photos).values(row).onConflictDoNothing();

export const getPhoto = async (db: Db, hash: string): Promise<PhotoRow | undefined> =>
  (await db.select().from(photos).where(eq(photos.hash, hash)))[0];

export const hasPhoto = async (db: Db, hash: string): Promise<boolean> =>
  (await db.select({ hash: photos.hash }).from(photos).where(eq(photos.hash, hash))).length > 0;
