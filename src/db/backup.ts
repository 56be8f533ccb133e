import { type Client, createClient } from '@libsql/client';
import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Copies the live database as it stands into a folder; writes may go on meanwhile. Gives the file that was made. */
export async function backupInto(client: Client, folder: string, why: string): Promise<string> {
  mkdirSync(folder, { recursive: true });
  const stamp = new Date().toISOString().replaceAll(/[:.]/gu, '-');
  const file = join(folder, `${stamp}-${why}.db`);
  await client.execute({ sql: 'VACUUM INTO ?', args: [file] });
  return file;
}

/** Days that a backup is kept unless BACKUP_DAYS says otherwise. */
const keptDays = 30;

/** A copy of the live database in a folder beside it, checked by opening it; older ones go after their days. */
export async function backUpBeside(client: Client, file: string) {
  const folder = join(dirname(file), 'backups');
  const copy = await backupInto(client, folder, 'by-hand');
  const held = await openBackup(copy);
  dropOld(folder, Number(process.env['BACKUP_DAYS'] ?? keptDays));
  return { file: copy, ...held };
}

/** What a backup holds, as seen by opening it; throws where it is not whole. */
export async function openBackup(file: string): Promise<{ jobs: number; entries: number }> {
  const client = createClient({ url: `file:${file}` });
  try {
    const [sound] = (await client.execute('PRAGMA integrity_check(1)')).rows;
    if (sound?.['integrity_check'] !== 'ok') throw new Error(`${file} is not whole.`);
    const count = async (table: string) =>
      Number((await client.execute(`SELECT COUNT(*) AS n FROM ${table}`)).rows[0]?.['n']);
    const tables = await client.execute("SELECT name FROM sqlite_master WHERE name = 'events'");
    if (tables.rows.length === 0) return { jobs: 0, entries: 0 };
    return { jobs: await count('jobs'), entries: await count('events') };
  } finally {
    client.close();
  }
}

const dayMs = 86_400_000;

/** Takes away backups older than so many days; the newest stays in any case. */
export function dropOld(folder: string, days: number, nowMs = Date.now()): void {
  const files = readdirSync(folder)
    .filter((f) => f.endsWith('.db'))
    .map((f) => ({ file: join(folder, f), atMs: statSync(join(folder, f)).mtimeMs }))
    .sort((a, b) => b.atMs - a.atMs);
  for (const { file, atMs } of files.slice(1)) if (nowMs - atMs > days * dayMs) rmSync(file);
}
