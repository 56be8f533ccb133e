import type { Person } from '../core/job/index.ts';
import type { Db } from '../db/open.ts';
import { listTechnicians, technicianById } from '../db/records.ts';
import { triedRight } from './pin-tries.ts';
import { invalid, Problem } from './problem.ts';
import { origin } from './request-origin.ts';
import { store } from './store.ts';
import { noteShift, onShift } from './tablets.ts';

export async function peopleOf(db: Db): Promise<Person[]> {
  return (await listTechnicians(db)).map(({ id, name, lead, retiredMs }) => ({
    id,
    name,
    lead,
    ...(retiredMs === null ? {} : { retired: true as const }),
  }));
}
export const people = async (): Promise<Person[]> => peopleOf((await store()).db);

const nobody = (id: string) =>
  invalid([
    { field: 'byId', reason: `No technician has the id “${id}”. Choose who is on the job.` },
  ]);
const gone = ({ name }: { name: string }) =>
  invalid([{ field: 'byId', reason: `${name} works here no more. Choose who is on the job.` }]);

/** A person who works here. */
async function personHere(db: Db, id: string) {
  const person = await technicianById(db, id);
  if (!person) throw nobody(id);
  if (person.retiredMs !== null) throw gone(person);
  return person;
}
/** The same among people that were read already. */
function hereAmong(people: readonly Person[], id: string): Person {
  const person = people.find((p) => p.id === id);
  if (!person) throw nobody(id);
  if (person.retired) throw gone(person);
  return person;
}

/** A person who works here and, on a network, whose PIN was given on this tablet in this shift. */
export async function personOrProblem(db: Db, id: string, known?: readonly Person[]) {
  const person = known ? hereAmong(known, id) : await personHere(db, id);
  const { tabletId } = origin();
  if (tabletId !== undefined && !(await onShift(db, tabletId, id)))
    throw new Problem(
      401,
      'PIN once a shift',
      `${person.name} gives the PIN once on this tablet.`,
      [{ field: 'byId', reason: 'PIN needed.' }],
      { needs: 'pin', personId: id, name: person.name },
    );
  return person;
}

/** The person whose PIN this is, or a problem; too many wrong tries have to wait. */
export async function personByPin(db: Db, byId: string, pin: string | undefined) {
  const person = await personHere(db, byId);
  const right = await triedRight(db, byId, pin, person);
  if (!right)
    throw new Problem(403, 'PIN refused', `That is not the PIN of ${person.name}.`, [
      { field: 'pin', reason: 'Wrong PIN.' },
    ]);
  const { tabletId } = origin();
  if (tabletId !== undefined) await noteShift(db, tabletId, byId);
  return person;
}

/** A lead with the right PIN, or a problem. */
export async function leadByPin(db: Db, byId: string, pin: string | undefined) {
  const person = await personByPin(db, byId, pin);
  if (person.lead) return person;
  const reason = `This is for a lead; ${person.name} is not one.`;
  throw new Problem(403, 'Lead only', reason, [{ field: 'byId', reason }]);
}
