import { eq } from 'drizzle-orm';
import { beginner, type Learner } from '../core/practice/index.ts';
import type { Db } from './open.ts';
import { learners } from './schema.ts';

export async function getLearner(db: Db, personId: string): Promise<Learner> {
  const [row] = await db.select().from(learners).where(eq(learners.personId, personId));
  return row?.data ?? beginner;
}

export const putLearner = (db: Db, personId: string, data: Learner) =>
  db
    .insert(learners)
    .values({ personId, data })
    .onConflictDoUpdate({ target: learners.personId, set: { data } });
