/** Puts a backup in the place of the database, after a look at it; the one that stood there is kept beside it. Stop the server first. */
import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { openBackup } from '../src/db/backup.ts';
import { dbSettings } from '../src/db/open.ts';

const from = process.argv[2];
const { file } = dbSettings();
const refuse = (why: string): never => {
  console.error(why);
  process.exit(1);
};
if (!from || !existsSync(from)) refuse('Name the backup to restore: npm run restore FILE.');
const place = file ?? refuse('A remote database is restored where it runs.');
if (existsSync(`${place}.lock`)) refuse(`${place} is in use: stop the server first.`);
const { jobs, entries } = await openBackup(from!).catch((e: Error) =>
  refuse(`This backup is not whole: ${e.message}`),
);
if (existsSync(place)) {
  const kept = `${place}.before-restore-${Date.now()}`;
  renameSync(place, kept);
  for (const end of ['-wal', '-shm']) {
    if (existsSync(place + end)) renameSync(place + end, kept + end);
    rmSync(place + end, { force: true });
  }
  console.log(`What stood there is ${kept}.`);
}
copyFileSync(from!, place);
console.log(`${place}: ${jobs} jobs, ${entries} entries.`);
