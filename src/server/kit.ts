import type { Person } from '../core/job/index.ts';
import type { Adapter, Press } from '../core/press/index.ts';
import { listRecords } from '../db/records.ts';
import { shopName } from './jobs.ts';
import { people } from './people.ts';
import { store } from './store.ts';

/** What the kit screen shows. */
export async function kitView(): Promise<{ shop: string; pieces: Adapter[]; presses: Press[]; people: Person[] }> {
  const { db } = await store();
  return { shop: (await shopName()) ?? 'Workshop', pieces: await listRecords<Adapter>(db, 'adapters'), presses: await listRecords<Press>(db, 'presses'), people: await people() };
}
