import { type Static, Type } from '@sinclair/typebox';
import { closed, Id, Text, Uuid } from '../core/schemas/common.ts';
import { weakPin } from '../core/weak-pin.ts';
import type { Db } from '../db/open.ts';
import {
  listTechnicians,
  putTechnician,
  setPin,
  setRetired,
  technicianById,
} from '../db/records.ts';
import { insertSettings } from '../db/shop.ts';
import { leadByPin, personByPin } from './people.ts';
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

/** A lead who answers for something. */
export const LeadSchema = closed({ byId: Id, pin: Pin });

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

export const PinChangeSchema = closed({
  /** Whose hand it is: the person with the old PIN, or a lead. */
  byId: Id,
  pin: Pin,
  personId: Id,
  newPin: Pin,
});

/** A person changes the own PIN with the old one; a lead sets anybody's. */
export async function changePin({ byId, pin, personId, newPin }: Static<typeof PinChangeSchema>) {
  const { db, writes } = await store();
  await (byId === personId ? personByPin(db, byId, pin) : leadByPin(db, byId, pin));
  if (!(await technicianById(db, personId)))
    throw invalid([{ field: 'personId', reason: `Nobody here has the id “${personId}”.` }]);
  const weak = weakPin(newPin);
  if (weak) throw invalid([{ field: 'newPin', reason: weak }]);
  const hashed = await hashPin(newPin);
  await writes.run(() => setPin(db, personId, hashed));
  return shopView();
}

export const RetireSchema = closed({
  byId: Id,
  pin: Pin,
  personId: Id,
  retired: Type.Boolean(),
});

/** A lead takes somebody off the list, or back on: who stands in a record is never deleted, and one lead stays. */
export async function retirePerson({ byId, pin, personId, retired }: Static<typeof RetireSchema>) {
  const { db, writes } = await store();
  await leadByPin(db, byId, pin);
  await writes.run(async () => {
    const all = await listTechnicians(db);
    const person = all.find((t) => t.id === personId);
    if (!person)
      throw invalid([{ field: 'personId', reason: `Nobody here has the id “${personId}”.` }]);
    const leads = all.filter((t) => t.lead && t.retiredMs === null && t.id !== personId);
    if (retired && leads.length === 0)
      throw invalid([
        {
          field: 'personId',
          reason: `${person.name} is the last lead: make somebody else one first.`,
        },
      ]);
    await setRetired(db, personId, retired ? Date.now() : null);
  });
  return shopView();
}
