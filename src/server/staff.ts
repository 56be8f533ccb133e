import { type Static, Type } from '@sinclair/typebox';
import { closed, Id, Text, Uuid } from '../core/schemas/common.ts';
import { weakPin } from '../core/weak-pin.ts';
import type { Db } from '../db/open.ts';
import { listTechnicians, putTechnician } from '../db/records.ts';
import { insertSettings } from '../db/shop.ts';
import { leadByPin } from './people.ts';
import { hashPin } from './pin.ts';
import { invalid, Problem } from './problem.ts';
import { shopView } from './shop.ts';
import { store } from './store.ts';

const Pin = Type.String({ maxLength: 12 });

/** A short name of a new person: letters of the name, and a number where it is taken. */
async function idFor(db: Db, name: string): Promise<string> {
  const taken = new Set((await listTechnicians(db)).map((t) => t.id));
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z]+/gu, '-')
    .replaceAll(/^-|-$/gu, '');
  const base = plain || 'person';
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.has(id)) return id;
  }
}

async function personRow(db: Db, name: string, pin: string, lead: boolean, pinField: string) {
  const weak = weakPin(pin);
  if (weak) throw invalid([{ field: pinField, reason: weak }]);
  const twin = (await listTechnicians(db)).some((t) => t.name === name.trim());
  if (twin) throw invalid([{ field: 'name', reason: `There is a ${name.trim()} already.` }]);
  return { id: await idFor(db, name), name: name.trim(), lead, ...(await hashPin(pin)) };
}

export const SetUpSchema = closed({
  id: Uuid,
  shop: Text(80),
  name: Text(60),
  pin: Pin,
});

/** The first lead sets an empty shop up, once. */
export async function setUpShop({ id, shop, name, pin }: Static<typeof SetUpSchema>) {
  const { db, writes } = await store();
  await writes.run(async () => {
    if ((await listTechnicians(db)).length > 0)
      throw new Problem(409, 'Set up already', 'This shop has people already: a lead adds more.', [
        { field: 'name', reason: 'Set up already.' },
      ]);
    const lead = await personRow(db, name, pin, true, 'pin');
    const settings = { name: shop, standIns: false };
    await db.batch([
      putTechnician(db, lead),
      insertSettings(db, { commandId: id, settings, byId: lead.id, atMs: Date.now() }),
    ]);
  });
  return shopView();
}

export const PersonSchema = closed({
  byId: Id,
  /** The lead's own. */
  pin: Pin,
  name: Text(60),
  newPin: Pin,
  lead: Type.Boolean(),
});

/** A lead takes somebody on. */
export async function addPerson(b: Static<typeof PersonSchema>) {
  const { db, writes } = await store();
  await leadByPin(db, b.byId, b.pin);
  await writes.run(async () => {
    await putTechnician(db, await personRow(db, b.name, b.newPin, b.lead, 'newPin'));
  });
  return shopView();
}
