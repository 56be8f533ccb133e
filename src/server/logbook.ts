import { isOneOf } from '../core/keys-of.ts';
import { type Static, Type } from '@sinclair/typebox';
import { familyByCode } from '../core/families/index.ts';
import {
  type Asked,
  type LifeRecord,
  logbookView,
  type LogbookView,
  questions,
} from '../core/logbook/index.ts';
import { countRecords, getRecord, listRecords, putRecord } from '../db/records.ts';
import { closed, Id, Text } from '../core/schemas/common.ts';
import { heavy } from './heavy/pool.ts';
import { leadByPin } from './people.ts';
import { invalid, notFound } from './problem.ts';
import { settingsOf } from './shop.ts';
import { store } from './store.ts';

/** A question as it stands in an address; what it does not know is left out. */
export function askedIn(search: URLSearchParams): Asked {
  const asked = search.get('q');
  return {
    question: isOneOf(questions, asked) ? asked : 'lasts',
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
  const { comebackKm } = await settingsOf();
  const lives = await listRecords(db, 'lives');
  return logbookView(lives, (unit) => clocks.get(unit), asked, comebackKm);
}

export const ComebackSchema = closed({
  byId: Id,
  pin: Type.String({ maxLength: 12 }),
  is: Type.Boolean({ description: 'The same complaint again, or another thing' }),
  reason: Text(200),
});

/** A lead says whether one that failed soon came back for the same complaint. */
export async function markComeback(
  id: string,
  { byId, pin, is, reason }: Static<typeof ComebackSchema>,
): Promise<LifeRecord> {
  const { db, writes } = await store();
  await leadByPin(db, byId, pin);
  return writes.run(async () => {
    const life = await getRecord(db, 'lives', id);
    if (!life) throw notFound('life', id);
    if (life.end !== 'failed')
      throw invalid([{ field: 'is', reason: 'Only one that failed can have come back.' }]);
    const marked = { ...life, comeback: { is, reason, byId } };
    await putRecord(db, 'lives', id, 0, marked);
    return marked;
  });
}
