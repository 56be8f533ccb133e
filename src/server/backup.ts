import type { Static } from '@sinclair/typebox';
import { dirname, join } from 'node:path';
import { backupInto, dropOld, openBackup } from '../db/backup.ts';
import { dbSettings } from '../db/open.ts';
import { leadByPin } from './people.ts';
import { Problem } from './problem.ts';
import type { LeadSchema } from './staff.ts';
import { store } from './store.ts';

/** Days that a backup is kept unless BACKUP_DAYS says otherwise. */
const keptDays = 30;

/** A copy of the live database beside it, checked by opening it; older ones go after their days. */
export async function backUp({ byId, pin }: Static<typeof LeadSchema>) {
  const { db } = await store();
  await leadByPin(db, byId, pin);
  const { url } = dbSettings();
  if (!url.startsWith('file:'))
    throw new Problem(409, 'Not here', 'A remote database is backed up where it runs.');
  const folder = join(dirname(url.slice('file:'.length)), 'backups');
  const file = await backupInto(db.$client, folder, 'by-hand');
  const held = await openBackup(file);
  dropOld(folder, Number(process.env['BACKUP_DAYS'] ?? keptDays));
  return { file, ...held };
}
