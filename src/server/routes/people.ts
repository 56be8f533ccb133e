import { Type } from '@sinclair/typebox';
import { PersonOnRecordSchema } from '../../core/schemas/floor.ts';
import {
  addPerson,
  changePin,
  erasePerson,
  EraseSchema,
  PersonSchema,
  PinChangeSchema,
  retirePerson,
  RetireSchema,
} from '../staff.ts';
import { people } from '../people.ts';
import { route, type Route } from './route.ts';

/** People: who works here, with their PINs. */
export const peopleRoutes: readonly Route[] = [
  route('GET', '/api/people', 'Technicians', { gives: Type.Array(PersonOnRecordSchema) }, () =>
    people(),
  ),
  route(
    'POST',
    '/api/people',
    'Take somebody on, by a lead with PIN',
    { body: PersonSchema },
    ({ body }) => addPerson(body),
  ),
  route(
    'POST',
    '/api/people/pin',
    'Change a PIN: the own one with the old, anybody’s by a lead',
    { body: PinChangeSchema },
    ({ body }) => changePin(body),
  ),
  route(
    'POST',
    '/api/people/retire',
    'Take somebody off the list, or back on; by a lead with PIN',
    { body: RetireSchema },
    ({ body }) => retirePerson(body),
  ),
  route(
    'POST',
    '/api/people/erase',
    'Erase the name of a person at their request; records stay and name nobody (lead, PIN)',
    { body: EraseSchema },
    ({ body }) => erasePerson(body),
  ),
];
