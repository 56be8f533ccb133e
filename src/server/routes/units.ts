import { UnitSheetSchema } from '../../core/schemas/unit-sheet.ts';
import {
  alikeCorners,
  AlikeSchema,
  ClockSchema,
  correctClock,
  newUnit,
  NewUnitSchema,
  noteFacts,
  UnitFactsSchema,
  unitSheet,
} from '../units.ts';
import { ComebackSchema, markComeback } from '../logbook.ts';
import { noteService, noteWaded, ServiceSchema, WadedSchema } from '../service.ts';
import { route, type Route } from './route.ts';

/** Units and their corners: what is known of them, their lives and services. */
export const unitsRoutes: readonly Route[] = [
  route(
    'POST',
    '/api/units',
    'A unit that is not on record yet',
    { body: NewUnitSchema },
    ({ body }) => newUnit(body),
  ),
  route(
    'GET',
    '/api/units/{id}',
    'One unit with all that is known of it',
    { gives: UnitSheetSchema },
    ({ params }) => unitSheet(params.id),
  ),
  route(
    'PUT',
    '/api/units/{id}',
    'Name, clock, tyre, year, identification number and axle load of a unit',
    { body: UnitFactsSchema, gives: UnitSheetSchema },
    ({ params, body }) => noteFacts(params.id, body),
  ),
  route(
    'POST',
    '/api/lives/{id}/comeback',
    'Say whether a bearing that failed soon came back for the same complaint (lead, PIN)',
    { body: ComebackSchema },
    ({ params, body }) => markComeback(params.id, body),
  ),
  route(
    'POST',
    '/api/units/{id}/service',
    'A packed bearing was looked at or packed again, without a job',
    { body: ServiceSchema, gives: UnitSheetSchema },
    ({ params, body }) => noteService(params.id, body),
  ),
  route(
    'POST',
    '/api/units/{id}/waded',
    'The unit stood in deep water: its packed bearings are due',
    { body: WadedSchema, gives: UnitSheetSchema },
    ({ params, body }) => noteWaded(params.id, body),
  ),
  route(
    'PUT',
    '/api/units/{id}/clock',
    'Bring the clock of a unit down, with a reason (lead, PIN)',
    { body: ClockSchema, gives: UnitSheetSchema },
    ({ params, body }) => correctClock(params.id, body),
  ),
  route(
    'POST',
    '/api/corners/alike',
    'Corners on record that may be built alike: same family, part of the same size',
    { body: AlikeSchema },
    ({ body }) => alikeCorners(body),
  ),
];
