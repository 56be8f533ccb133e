/** Copies the database as it stands, checks the copy by opening it, and takes copies away that are older than BACKUP_DAYS (30). */
import { createClient } from '@libsql/client';
import { resolve } from 'node:path';
import { backUpBeside } from '../src/db/backup.ts';
import { dbSettings } from '../src/db/open.ts';

const { url, file: place } = dbSettings();
if (place === undefined) {
  console.error('A remote database is backed up where it runs.');
  process.exit(1);
}
const client = createClient({ url });
const { file, jobs, entries } = await backUpBeside(client, resolve(place));
client.close();
console.log(`${file}: ${jobs} jobs, ${entries} entries.`);
