import { familyByCode } from '../core/families/index.ts';
import {
  type Asked,
  logbookView,
  type LogbookView,
  type Question,
  questions,
} from '../core/logbook/index.ts';
import { countRecords, listRecords } from '../db/records.ts';
import { heavy } from './heavy/pool.ts';
import { store } from './store.ts';

/** A question as it stands in an address; what it does not know is left out. */
export function askedIn(search: URLSearchParams): Asked {
  const q = search.get('q');
  return {
    question: questions.includes(q as Question) ? (q as Question) : 'lasts',
    family: familyByCode(search.get('family') ?? undefined)?.code,
    by: search.get('by')?.slice(0, 40) ?? undefined,
  };
}

/** From so many lives on they are told beside the server, so that a tap elsewhere does not wait. */
const manyLives = 2000;

/** What the shop's lives say to a question. */
export async function logbook(asked: Asked): Promise<LogbookView> {
  const many = (await countRecords((await store()).db, 'lives')) > manyLives;
  return many ? heavy('logbook', asked) : toldHere(asked);
}

export async function toldHere(asked: Asked): Promise<LogbookView> {
  const { db } = await store();
  const clocks = new Map(
    (await listRecords(db, 'units')).map((u) => [u.fleetNo, u.odometerKm] as const),
  );
  return logbookView(await listRecords(db, 'lives'), (unit) => clocks.get(unit), asked);
}
