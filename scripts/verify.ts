/** Tries every seal of the record: `npm run verify`. Ends with code 1 when anything was altered, left out or cut off. */
import { existsSync } from 'node:fs';
import { faultInWords } from '../src/core/card/index.ts';
import { dbSettings, openAsItIs } from '../src/db/open.ts';
import { verifyBook } from '../src/server/book.ts';

const settings = dbSettings();
if (settings.file !== undefined && !existsSync(settings.file)) {
  console.error(`No database lies at ${settings.file}: set DATA_DIR to the folder of the shop.`);
  process.exit(2);
}
const db = openAsItIs(settings);
const { rows } = await db.$client.execute("SELECT 1 FROM sqlite_master WHERE name = 'sent_heads'");
if (rows.length === 0) {
  console.error(
    'No record of this version lies there: start the server once, it backs up before it updates.',
  );
  process.exit(2);
}
const book = await verifyBook(db);
db.$client.close();
console.log(`${book.jobs} jobs, ${book.entries} entries, ${book.days.length} days.`);
for (const f of book.faults) console.log(`FAULT  ${faultInWords(f)}`);
const [latest] = book.days;
if (latest) console.log(`Head of ${latest.day}: ${latest.head}`);
console.log(
  book.provenTo === null
    ? 'No head has left this machine: a record that was written anew as a whole would not show.'
    : `Proven up to a head of ${book.provenTo}; ${book.unproven} entries after it cannot be proven.`,
);
if (book.faults.length === 0) console.log('Nothing was altered, left out or cut off.');
process.exitCode = book.faults.length === 0 ? 0 : 1;
