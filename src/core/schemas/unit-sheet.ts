import { type Static, Type } from '@sinclair/typebox';
import { corners, JobCornerId } from '../corner.ts';
import { LifeSchema } from '../logbook/life.ts';
import { ServiceDueSchema } from '../service/serviced.ts';
import { closed, eachOf, Maybe, oneOf } from './common.ts';
import { PersonOnRecordSchema } from './floor.ts';
import { UnitSchema } from './workshop.ts';

/** What the unit's page shows. */
export const UnitSheetSchema = closed({
  unit: UnitSchema,
  /** Its jobs, newest first. */
  jobs: Type.Array(
    closed({
      id: Type.String(),
      number: Type.String(),
      corner: JobCornerId,
      startedMs: Type.Number(),
      endedMs: Maybe(Type.Number()),
      part: Maybe(Type.String()),
      state: oneOf(['open', 'signed', 'closed'] as const),
    }),
  ),
  /** Bearings fitted to it, as the book of lives has them. */
  lives: Type.Array(LifeSchema),
  /** Bearings of it that are packed or fed, and when each is seen to next. */
  services: Type.Array(ServiceDueSchema),
  /** Bore of the part on record at each corner, mm. */
  bores: Type.Partial(closed(eachOf(corners, Type.Number()))),
  /** When its record was changed, newest first. */
  changes: Type.Array(Type.Number()),
  /** Procedures of its corners by name. */
  procedures: Type.Partial(
    closed(eachOf(corners, closed({ name: Type.String(), source: Type.String() }))),
  ),
  shop: Type.String(),
  people: Type.Array(PersonOnRecordSchema),
  timeZone: Type.String(),
});
export type UnitSheet = Static<typeof UnitSheetSchema>;
