import type { Static } from '@sinclair/typebox';
import { backUpBeside } from '../db/backup.ts';
import { dbSettings } from '../db/open.ts';
import { leadByPin } from './people.ts';
import { Problem } from './problem.ts';
import type { LeadSchema } from './staff.ts';
import { store } from './store.ts';

/** A copy of the live database beside it, by a lead. */
export async function backUp({ byId, pin }: Static<typeof LeadSchema>) {
  const { db } = await store();
  await leadByPin(db, byId, pin);
  const { file } = dbSettings();
  if (file === undefined)
    throw new Problem(409, 'Not here', 'A remote database is backed up where it runs.');
  return backUpBeside(db.$client, file);
}
