import type { JobContext, Person } from '../core/job/index.ts';
import { pacesOf } from '../core/logbook/index.ts';
import type { RecordOf } from '../core/schemas/workshop.ts';
import type { Db } from '../db/open.ts';
import { getRecord, listRecords } from '../db/records.ts';
import { peopleOf } from './people.ts';
import { shopOfJob, zoneOf } from './shop.ts';
import { tablesNow } from './tables.ts';

type Lists = Pick<JobContext, 'adapters' | 'presses' | 'instruments' | 'wrenches'>;

/** What the shop says to every job. */
export interface ShopNow extends Lists, Pick<JobContext, 'tables' | 'shop'> {
  people: Person[];
  timeZone: string;
}

async function read(db: Db): Promise<ShopNow> {
  const [adapters, presses, instruments, wrenches] = await Promise.all([
    listRecords(db, 'adapters'),
    listRecords(db, 'presses'),
    listRecords(db, 'instruments'),
    listRecords(db, 'wrenches'),
  ]);
  return {
    adapters,
    presses,
    instruments,
    wrenches,
    tables: await tablesNow(db),
    shop: { ...(await shopOfJob(db)), paces: pacesOf(await listRecords(db, 'lives')) },
    people: await peopleOf(db),
    timeZone: await zoneOf(db),
  };
}

type Single = 'units' | 'procedures';
let kept: { version: string; shop: Promise<ShopNow>; singles: Map<string, unknown> } | undefined;

/** What is kept at one version of the shop: triggers count every change, whoever makes it. */
function at(db: Db, version: string): NonNullable<typeof kept> {
  if (kept?.version !== version) {
    const shop = read(db);
    shop.catch(() => (kept = undefined));
    kept = { version, shop, singles: new Map() };
  }
  return kept;
}

/** What the shop says, read once for each version of it. */
export const shopNow = (db: Db, version: string): Promise<ShopNow> => at(db, version).shop;

/** One unit or procedure, likewise. */
export async function recordNow<K extends Single>(
  db: Db,
  version: string,
  kind: K,
  id: string,
): Promise<RecordOf<K> | undefined> {
  const { singles } = at(db, version);
  const key = `${kind} ${id}`;
  if (!singles.has(key)) singles.set(key, await getRecord(db, kind, id));
  return singles.get(key) as RecordOf<K> | undefined;
}
