import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import * as schema from './schema.ts';

export type Db = ReturnType<typeof drizzle<typeof schema>>;

export interface DbSettings {
  /** `file:…` or `libsql://…`; default a file in the data directory. */
  url: string;
  /** Where it lies on this machine; absent where it runs elsewhere. */
  file?: string;
  token?: string;
  migrationsDir: string;
}

/** Directory of everything that is kept. */
export const dataDirOf = (env: NodeJS.ProcessEnv, root = '.'): string =>
  resolve(root, env['DATA_DIR'] || 'data');

/** Settings from the environment: DATABASE_URL decides file or remote, DATA_DIR where the file lies. */
export function dbSettings(env: NodeJS.ProcessEnv = process.env, root = '.'): DbSettings {
  const url = env['DATABASE_URL'] || `file:${resolve(dataDirOf(env, root), 'true-spindle.db')}`;
  return {
    url,
    ...(url.startsWith('file:') ? { file: url.slice('file:'.length) } : {}),
    ...(env['DATABASE_TOKEN'] ? { token: env['DATABASE_TOKEN'] } : {}),
    migrationsDir: resolve(root, env['MIGRATIONS_DIR'] || 'drizzle'),
  };
}

/**
 * Opens and migrates the database. On a file: write-ahead log, full synchronisation, foreign keys.
 * PRAGMAs hold per connection, so no interactive transaction is used anywhere: it would open another one.
 */
export async function openDb(settings: DbSettings): Promise<Db> {
  if (settings.file !== undefined) mkdirSync(dirname(settings.file), { recursive: true });
  const client = createClient({
    url: settings.url,
    // One connection to a file: what the PRAGMAs say holds for every statement.
    ...(settings.file === undefined ? {} : { concurrency: 1 }),
    ...(settings.token ? { authToken: settings.token } : {}),
  });
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: settings.migrationsDir });
  if (settings.file !== undefined) {
    await client.execute('PRAGMA journal_mode = WAL');
    await client.execute('PRAGMA synchronous = FULL');
    await client.execute('PRAGMA foreign_keys = ON');
    await client.execute('PRAGMA busy_timeout = 5000');
  }
  return db;
}

/** The same database as it lies, nothing changed in it: to look at, not to work on. */
export function openAsItIs({ url, token }: Pick<DbSettings, 'url' | 'token'>): Db {
  return drizzle(createClient({ url, ...(token ? { authToken: token } : {}) }), { schema });
}
