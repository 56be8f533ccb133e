/**
 * Loads the invented workshop from its open files, through the same importer and checks as a user's files: all of it or
 * nothing. Does nothing when the database already holds one.
 */
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { v7 as uuid } from 'uuid';

const folder = resolve(dirname(fileURLToPath(import.meta.url)), '../demo-data');
const read = (name: string) => readFileSync(resolve(folder, name), 'utf8');

/** A file is filled beside its place and put there when it is whole. */
const dataDir = resolve(process.env['DATA_DIR'] ?? 'data');
const [place, beside] = ['true-spindle.db', 'loading.db'].map((f) => resolve(dataDir, f)) as [
  string,
  string,
];
const intoFile = !process.env['DATABASE_URL'] && !existsSync(place);
const clear = () => ['', '-wal', '-shm'].forEach((end) => rmSync(beside + end, { force: true }));
if (intoFile) {
  mkdirSync(dataDir, { recursive: true });
  clear();
  process.env['DATABASE_URL'] = `file:${beside}`;
}

const { importJobs, importTable, importWorkshop } = await import('../src/server/import.ts');
const { Problem } = await import('../src/server/problem.ts');
const { changeSettings, markAsDemo, shopName } = await import('../src/server/shop.ts');
const { store } = await import('../src/server/store.ts');

try {
  if (await shopName()) {
    console.log('Demo data is already there; kept as it is.');
  } else {
    const { db } = await store();
    await markAsDemo(db);
    const counts = [
      await importTable('parts', read('parts.csv'), false),
      await importTable('consumables', read('consumables.csv'), false),
      await importTable('adapters', read('kit.csv'), false),
      await importTable('lives', read('lives.csv'), false),
      await importWorkshop(JSON.parse(read('workshop.json'))),
      await importJobs(JSON.parse(read('jobs.json'))),
    ];
    const settings = {
      name: (await shopName()) ?? '',
      standIns: true,
      currency: 'EUR',
      taxPercent: 20,
      labourRateMinor: 6800,
    };
    await changeSettings({ id: uuid(), byId: 'ines', pin: '2580', version: 0, settings });
    if (intoFile) {
      await db.run('PRAGMA wal_checkpoint(TRUNCATE)');
      db.$client.close();
      renameSync(beside, place);
      clear();
    }
    console.log('Loaded', Object.assign({}, ...counts));
  }
} catch (e) {
  if (intoFile) clear();
  console.error(
    e instanceof Problem
      ? `${e.title}: ${e.message}\n${e.errors.map((x) => `  ${x.field}: ${x.reason}`).join('\n')}`
      : e,
  );
  process.exitCode = 1;
}
