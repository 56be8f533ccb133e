/** Copies the database as it stands, checks the copy by opening it, and takes copies away that are older than BACKUP_DAYS (30). */
import { createClient } from '@libsql/client';
import { dirname, resolve } from 'node:path';
import { backupInto, dropOld, openBackup } from '../src/db/backup.ts';
import { dbSettings } from '../src/db/open.ts';

const { url } = dbSettings();
if (!url.startsWith('file:')) {
  console.error('A remote database is backed up where it runs.');
  process.exit(1);
}
const folder = resolve(dirname(url.slice('file:'.length)), 'backups');
const client = createClient({ url });
const file = await backupInto(client, folder, 'by-hand');
client.close();
const { jobs, entries } = await openBackup(file);
dropOld(folder, Number(process.env['BACKUP_DAYS'] ?? 30));
console.log(`${file}: ${jobs} jobs, ${entries} entries.`);
