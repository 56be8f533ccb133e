import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';

const fixture = (name: string) => readFileSync(new URL(`../fixtures/${name}`, import.meta.url));

/** Lays a database of an earlier version where this process opens its own; to be called before the server is imported. */
export function layDatabase(name: string): void {
  const dataDir = mkdtempSync(join(tmpdir(), 'true-spindle-'));
  process.env['DATA_DIR'] = dataDir;
  process.env['LOG_LEVEL'] = 'silent';
  writeFileSync(join(dataDir, 'true-spindle.db'), gunzipSync(fixture(`${name}.db.gz`)));
}

/** What was read of it when it was made. */
export const readThen = <T>(name: string): T => JSON.parse(fixture(`${name}.json`).toString()) as T;
