import { type Db, dbSettings, openDb } from '../db/open.ts';
import { WriteQueue } from '../db/write-queue.ts';
import { keepOldCards, keepOldLives } from './signing.ts';

export interface Store {
  db: Db;
  writes: WriteQueue;
}

async function openStore(): Promise<Store> {
  const db = await openDb(dbSettings());
  await keepOldCards(db);
  await keepOldLives(db);
  return { db, writes: new WriteQueue() };
}

let opened: Promise<Store> | undefined;

/** The one database of this process, opened and migrated at first use. */
export function store(): Promise<Store> {
  opened ??= openStore();
  // A failed opening is tried again at the next request instead of being kept.
  opened.catch(() => {
    opened = undefined;
  });
  return opened;
}
