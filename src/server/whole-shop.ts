import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import {
  type ShopImport,
  type ShopManifest,
  ShopManifestSchema,
  type importModes,
} from '../core/schemas/shop-archive.ts';
import type { EventRow, JobRow } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { insertRows, isOwnMark, type Row, rowsOf, tables, type TableShape } from '../db/whole.ts';
import { dropCarried } from './carried.ts';
import { verifyChain } from './chain.ts';
import { forgetParts } from './parts.ts';
import { invalid, Problem } from './problem.ts';
import type { Store } from './store.ts';
import { validated } from './validate.ts';

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
const manifestPath = 'manifest.json';

/** The whole shop as one zip: a manifest with the hash of each file, and a file of lines a table. */
export async function exportShop(db: Db, shop: string): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  const listed: ShopManifest['files'] = [];
  for (const table of tables) {
    const rows = (await rowsOf(db, table)).filter((r) => !isOwnMark(table.name, r));
    const path = `tables/${table.name}.ndjson`;
    const bytes = strToU8(rows.map((r) => `${JSON.stringify(r)}\n`).join(''));
    files[path] = bytes;
    listed.push({ path, table: table.name, rows: rows.length, sha256: hashOf(bytes) });
  }
  const manifest: ShopManifest = {
    format: 'true-spindle/shop',
    version: 1,
    madeMs: Date.now(),
    shop,
    files: listed,
  };
  return zipSync({ [manifestPath]: strToU8(JSON.stringify(manifest, undefined, 1)), ...files });
}

const damaged = (field: string, reason: string) => invalid([{ field, reason }]);

/** Most that an archive may hold once it is unpacked, bytes. */
const mostUnpacked = 200_000_000;

function unpacked(zip: Uint8Array): Record<string, Uint8Array> {
  let size = 0;
  try {
    return unzipSync(zip, {
      filter: ({ originalSize }) => {
        size += originalSize;
        if (size > mostUnpacked) throw damaged('body', 'More than an archive of a shop can hold.');
        return true;
      },
    });
  } catch (e) {
    if (e instanceof Problem) throw e;
    throw damaged('body', 'This is no archive of a shop: it cannot be unpacked.');
  }
}

function parsed(text: string, field: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw damaged(field, 'Not JSON.');
  }
}

function rowFrom(table: TableShape, text: string, field: string): Row {
  const row = parsed(text, field);
  if (typeof row !== 'object' || row === null || Array.isArray(row))
    throw damaged(field, 'Not a row.');
  for (const [column, value] of Object.entries(row)) {
    if (!table.columns.includes(column)) throw damaged(field, `No column “${column}” here.`);
    if (value !== null && typeof value !== 'string' && typeof value !== 'number')
      throw damaged(field, `“${column}” is neither text nor number.`);
  }
  return row as Row;
}

interface Archive {
  manifest: ShopManifest;
  rows: ReadonlyMap<string, readonly Row[]>;
}

/** Reads an archive whole, each file by its hash; names what is damaged. */
function readArchive(zip: Uint8Array): Archive {
  const files = unpacked(zip);
  const head = files[manifestPath];
  if (!head) throw damaged(manifestPath, 'Missing: this is no archive of a shop.');
  const manifest = validated(ShopManifestSchema, parsed(strFromU8(head), manifestPath));
  const rows = new Map<string, readonly Row[]>();
  for (const f of manifest.files) {
    const bytes = files[f.path];
    const table = tables.find((t) => t.name === f.table);
    if (!bytes) throw damaged(f.path, 'Named in the manifest and missing.');
    if (hashOf(bytes) !== f.sha256) throw damaged(f.path, 'Not as its hash says: altered or cut.');
    if (!table) throw damaged(f.path, `A newer version made this: “${f.table}” is not known here.`);
    const lines = strFromU8(bytes).split('\n').filter(Boolean);
    rows.set(
      table.name,
      lines.map((l, i) => rowFrom(table, l, `${f.path}:${i + 1}`)),
    );
  }
  return { manifest, rows };
}

const keyOf = (table: TableShape, row: Row) => JSON.stringify(table.key.map((k) => row[k]));
const textOf = (table: TableShape, row: Row) => JSON.stringify(table.columns.map((c) => row[c]));

/** What each table of an archive holds beside what is here. */
async function compared(db: Db, { rows }: Archive) {
  const out = [];
  for (const table of tables) {
    const here = new Map(
      (await rowsOf(db, table)).map((r) => [keyOf(table, r), textOf(table, r)] as const),
    );
    const list = rows.get(table.name) ?? [];
    const fresh = list.filter((r) => !here.has(keyOf(table, r)));
    const same = list.filter((r) => here.get(keyOf(table, r)) === textOf(table, r)).length;
    out.push({ table, list, fresh, same, differs: list.length - fresh.length - same });
  }
  return out;
}

/** Rows of these tables belong to a job and come with it. */
const ofJob: Readonly<Record<string, string>> = {
  events: 'job_id',
  choices: 'job_id',
  snapshots: 'job_id',
  cards: 'job_id',
  signed_names: 'job_id',
  outcomes: 'job_id',
};
/** What a shop that is not empty takes from another: people, records, whole jobs and their pictures; its own settings stay. */
const merged = ['technicians', 'records', 'photos', 'jobs', ...Object.keys(ofJob)];

/** Jobs whose number is taken here stay out: two jobs of one number are one too many. */
function jobsTaken(comparison: Awaited<ReturnType<typeof compared>>, numbersHere: Set<unknown>) {
  const jobs = comparison.find((c) => c.table.name === 'jobs')?.fresh ?? [];
  return new Set(jobs.filter((j) => !numbersHere.has(j['number'])).map((j) => j['id']));
}

const rowsAtOnce = 200;
const chunks = <T>(list: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(list.length / rowsAtOnce) }, (_, i) =>
    list.slice(i * rowsAtOnce, (i + 1) * rowsAtOnce),
  );

const eventOf = (r: Row): EventRow =>
  ({
    seq: r['seq'],
    id: r['id'],
    jobId: r['job_id'],
    type: r['type'],
    body: JSON.parse(String(r['body'])) as unknown,
    byId: r['by_id'],
    atMs: r['at_ms'],
    prevHash: r['prev_hash'],
    hash: r['hash'],
  }) as EventRow;
const jobOf = (r: Row): JobRow =>
  ({
    id: r['id'],
    number: r['number'],
    unitId: r['unit_id'],
    corner: r['corner'],
    createdMs: r['created_ms'],
    byId: r['by_id'],
  }) as JobRow;

/** How many jobs of an archive have a whole chain. */
function sealedIn({ rows }: Archive): number {
  const events = new Map<unknown, EventRow[]>();
  for (const row of rows.get('events') ?? []) {
    const ofJobSoFar = events.get(row['job_id']) ?? [];
    ofJobSoFar.push(eventOf(row));
    events.set(row['job_id'], ofJobSoFar);
  }
  return (rows.get('jobs') ?? []).filter(
    (j) => verifyChain(jobOf(j), events.get(j['id']) ?? []).verified,
  ).length;
}

/** Whether nobody works here and nothing was done yet. */
export async function shopIsEmpty(db: Db): Promise<boolean> {
  const [people, jobs] = ['technicians', 'jobs'].map((n) => tables.find((t) => t.name === n)!);
  return (await rowsOf(db, people!)).length === 0 && (await rowsOf(db, jobs!)).length === 0;
}

/**
 * Takes an archive in: into an empty shop whole, as it is; into another only with `merge`, and then what is new of
 * people, records, jobs and their pictures. `look` writes nothing and says what would change.
 */
export async function importShop(
  { db, writes }: Store,
  zip: Uint8Array,
  mode: (typeof importModes)[number],
): Promise<ShopImport> {
  const archive = readArchive(zip);
  const intoEmpty = await shopIsEmpty(db);
  if (mode === 'fill' && !intoEmpty)
    throw new Problem(
      409,
      'Not empty',
      'This shop has people or jobs already. Look what the archive would change, then merge it or leave it.',
      [{ field: 'mode', reason: 'Not empty.' }],
    );
  return writes.run(async () => {
    const comparison = await compared(db, archive);
    const jobTable = tables.find((t) => t.name === 'jobs')!;
    const numbers = new Set((await rowsOf(db, jobTable)).map((j) => j['number']));
    const taken = jobsTaken(comparison, numbers);
    const wanted = comparison.map((c) => {
      const { name } = c.table;
      if (intoEmpty) return c;
      const job = name === 'jobs' ? 'id' : ofJob[name];
      const fresh = merged.includes(name) ? c.fresh : [];
      return { ...c, fresh: job ? fresh.filter((r) => taken.has(r[job] ?? '')) : fresh };
    });
    if (mode !== 'look') {
      const statements = wanted.flatMap(({ table, fresh }) =>
        chunks(fresh).map((rows) => db.run(insertRows(table, rows, !intoEmpty))),
      );
      const [first, ...rest] = statements;
      if (first) await db.batch([first, ...rest]);
      forgetParts();
      dropCarried();
    }
    return {
      shop: archive.manifest.shop,
      written: mode !== 'look',
      intoEmpty,
      tables: wanted.map(({ table, list, fresh, same, differs }) => ({
        table: table.name,
        rows: list.length,
        fresh: fresh.length,
        same,
        differs,
      })),
      jobs: (archive.rows.get('jobs') ?? []).length,
      sealed: sealedIn(archive),
    };
  });
}
