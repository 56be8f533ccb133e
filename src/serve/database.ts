import { createClient } from '@libsql/client';
import {
  accessSync,
  closeSync,
  constants,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  readSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { backupInto, openBackup } from '../db/backup.ts';
import { StartFault } from './fault.ts';

/** The folder is made and can be written. */
export function readyFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
  } catch (e) {
    throw new StartFault(
      `The data folder ${folder} cannot be written (${(e as NodeJS.ErrnoException).code}).`,
    );
  }
}

const magic = 'SQLite format 3\0';

/** What is wrong with a database file before anything opens it. */
export async function checkedFile(file: string, migrationsDir: string): Promise<void> {
  if (!existsSync(file)) return;
  const head = Buffer.alloc(16);
  const fd = openSync(file, 'r');
  const read = readSync(fd, head, 0, 16, 0);
  closeSync(fd);
  if (read > 0 && head.toString('latin1') !== magic)
    throw new StartFault(`${file} is not a database of True Spindle.`);
  try {
    accessSync(file, constants.W_OK);
  } catch {
    throw new StartFault(`${file} is read-only.`);
  }
  const client = createClient({ url: `file:${file}` });
  try {
    const [sound] = (await client.execute('PRAGMA quick_check(1)')).rows;
    if (sound?.['quick_check'] !== 'ok')
      throw new StartFault(
        `${file} is damaged (${String(sound?.['quick_check'])}): restore a backup.`,
      );
    const pending = await migrationsPending(client, migrationsDir);
    if (pending < 0)
      throw new StartFault(
        `${file} was written by a newer version of True Spindle than this one: start that version.`,
      );
    if (pending > 0 && read > 0) {
      const made = await backupInto(client, join(dirname(file), 'backups'), 'before-update');
      await openBackup(made);
      console.log(`A backup was made before the update: ${made}`);
    }
  } catch (e) {
    if (e instanceof StartFault) throw e;
    throw new StartFault(`${file} is damaged (${(e as Error).message}): restore a backup.`);
  } finally {
    client.close();
  }
}

/** How many migrations this version still has to run; negative where the database has had more. */
async function migrationsPending(
  client: ReturnType<typeof createClient>,
  migrationsDir: string,
): Promise<number> {
  const journal = JSON.parse(readFileSync(join(migrationsDir, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  const has = await client.execute(
    "SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'",
  );
  if (has.rows.length === 0) return journal.entries.length;
  const { rows } = await client.execute('SELECT MAX(created_at) AS last FROM __drizzle_migrations');
  const last = Number(rows[0]?.['last'] ?? 0);
  if (last > Math.max(...journal.entries.map((e) => e.when))) return -1;
  return journal.entries.filter((e) => e.when > last).length;
}
