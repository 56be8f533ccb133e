import { randomUUID } from 'node:crypto';
import { type Static, Type } from '@sinclair/typebox';
import { closed, Id, Text, Uuid } from '../core/schemas/common.ts';
import { weakPin } from '../core/weak-pin.ts';
import type { Db } from '../db/open.ts';
import {
  listTechnicians,
  putTechnician,
  setPerson,
  setRetired,
  technicianById,
} from '../db/records.ts';
import { insertSettings } from '../db/shop.ts';
import { eraseNames } from '../db/signed.ts';
import { leadByPin, personByPin } from './people.ts';
import { hashPin } from './pin.ts';
import { invalid, Problem } from './problem.ts';
import { shopView } from './shop.ts';
import { erasedName } from './signed-names.ts';
import { store } from './store.ts';

/** An id says nothing of who it is: it stays in every record when the name goes. */
const newId = (): string => `p-${randomUUID().slice(0, 13)}`;

const Pin = Type.String({ maxLength: 12 });

async function personRow(db: Db, name: string, pin: string, lead: boolean, pinField: string) {
  const weak = weakPin(pin);
  if (weak) throw invalid([{ field: pinField, reason: weak }]);
  const twin = (await listTechnicians(db)).some((t) => t.name === name.trim());
  if (twin) throw invalid([{ field: 'name', reason: `There is a ${name.trim()} already.` }]);
  return { id: newId(), name: name.trim(), lead, ...(await hashPin(pin)) };
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
  await writes.run(() => setPerson(db, personId, hashed));
  return shopView();
}

/** Why this person cannot go: one lead stays. */
function lastLead(all: Awaited<ReturnType<typeof listTechnicians>>, personId: string) {
  const leads = all.filter((t) => t.lead && t.retiredMs === null && t.id !== personId);
  const { name } = all.find((t) => t.id === personId) ?? { name: personId };
  return leads.length > 0
    ? undefined
    : invalid([
        { field: 'personId', reason: `${name} is the last lead: make somebody else one first.` },
      ]);
}

async function everybodyWith(db: Db, personId: string) {
  const all = await listTechnicians(db);
  if (!all.some((t) => t.id === personId))
    throw invalid([{ field: 'personId', reason: `Nobody here has the id “${personId}”.` }]);
  return all;
}

export const EraseSchema = closed({ byId: Id, pin: Pin, personId: Id });

/**
 * A person's name goes at their request: from the list, from the signed cards with the salt of its hash, and the PIN.
 * Records stay and name nobody; what somebody typed in words, and copies made before, are not reached.
 */
export async function erasePerson({ byId, pin, personId }: Static<typeof EraseSchema>) {
  const { db, writes } = await store();
  await leadByPin(db, byId, pin);
  await writes.run(async () => {
    const all = await everybodyWith(db, personId);
    const last = lastLead(all, personId);
    if (last) throw last;
    const gone = { name: erasedName, ...(await hashPin(randomUUID())) };
    await db.batch([
      setPerson(db, personId, gone),
      setRetired(db, personId, Date.now()),
      eraseNames(db, personId),
    ]);
  });
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
    const all = await everybodyWith(db, personId);
    const last = retired ? lastLead(all, personId) : undefined;
    if (last) throw last;
    if (!retired && all.find((t) => t.id === personId)?.name === erasedName)
      throw invalid([{ field: 'personId', reason: 'Who was erased does not come back.' }]);
    await setRetired(db, personId, retired ? Date.now() : null);
  });
  return shopView();
}
