import { type Static, Type } from '@sinclair/typebox';
import { closed, Maybe } from './common.ts';
import { PersonOnRecordSchema } from './floor.ts';

const written = { byId: Type.String(), atMs: Type.Number() };

/** A job as its rows stand in the database: for one that can no longer be read, and for who wants to see for themselves. */
export const RawJobSchema = closed({
  id: Type.String(),
  number: Type.String(),
  /** Number of the unit, or its id where that is on no record. */
  unit: Type.String(),
  corner: Type.String(),
  startedMs: Type.Number(),
  /** Why it cannot be read; absent where it can. */
  why: Maybe(Type.String()),
  /** Lines of the record, oldest first; `body` is the text that was kept. */
  events: Type.Array(closed({ type: Type.String(), body: Type.String(), ...written })),
  choices: Type.Array(closed({ key: Type.String(), value: Type.String(), ...written })),
  people: Type.Array(PersonOnRecordSchema),
  shop: Type.String(),
  timeZone: Type.String(),
});
export type RawJob = Static<typeof RawJobSchema>;
