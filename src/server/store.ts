import { dbSettings, openDb, WriteQueue, type Db } from '../db/open.ts';

export interface Store {
  db: Db;
  writes: WriteQueue;
}

let opened: Promise<Store> | undefined;

/** The one database of this process, opened and migrated at first use. */
export function store(): Promise<Store> {
  opened ??= openDb(dbSettings()).then((db) => ({ db, writes: new WriteQueue() }));
  // A failed opening is tried again at the next request instead of being kept.
  opened.catch(() => { opened = undefined; });
  return opened;
}
