/**
 * Loads the invented workshop from its open files, through the same importer and checks as a user's files.
 * Does nothing when the database already holds one.
 */
import { readFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

import { importJobs, importTable, importWorkshop } from '../src/server/import.ts';
import { Problem } from '../src/server/problem.ts';
import { markAsDemo, shopName } from '../src/server/shop.ts';
import { store } from '../src/server/store.ts';

const folder = resolve(dirname(fileURLToPath(import.meta.url)), '../demo-data');
const read = (name: string) => readFileSync(resolve(folder, name), 'utf8');

try {
  if (await shopName()) {
    console.log('Demo data is already there; kept as it is.');
  } else {
    await markAsDemo((await store()).db);
    const counts = [
      await importTable('parts', read('parts.csv'), false),
      await importTable('consumables', read('consumables.csv'), false),
      await importTable('adapters', read('kit.csv'), false),
      await importWorkshop(JSON.parse(read('workshop.json'))),
      await importJobs(JSON.parse(read('jobs.json'))),
    ];
    console.log('Loaded', Object.assign({}, ...counts));
  }
} catch (e) {
  console.error(
    e instanceof Problem
      ? `${e.title}: ${e.message}\n${e.errors.map((x) => `  ${x.field}: ${x.reason}`).join('\n')}`
      : e,
  );
  process.exitCode = 1;
}
