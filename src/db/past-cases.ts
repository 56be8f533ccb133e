import { asc } from 'drizzle-orm';
import type { PastCase } from '../core/practice/index.ts';
import type { Db } from './open.ts';
import { pastCases } from './schema.ts';

/** Past jobs to practise on, the oldest first. */
export const listPastCases = async (db: Db): Promise<PastCase[]> =>
  (await db.select().from(pastCases).orderBy(asc(pastCases.atMs), asc(pastCases.id))).map(
    (r) => r.data,
  );

export const putPastCase = (db: Db, data: PastCase, atMs: number) =>
  db
    .insert(pastCases)
    .values({ id: data.id, data, atMs })
    .onConflictDoUpdate({ target: pastCases.id, set: { data } });
