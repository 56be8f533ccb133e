import { type Static, Type } from '@sinclair/typebox';
import { corners } from '../corner.ts';
import { keysOf } from '../keys-of.ts';
import { closed, DateOnly, Id, Km, Maybe, Mm, oneOf, Text } from '../schemas/common.ts';

/** What was done at a bearing that is packed and adjusted from time to time. */
export const serviceKinds = ['fitted', 'packed', 'looked-at'] as const;
export type ServiceKind = (typeof serviceKinds)[number];
export const serviceNames: Record<ServiceKind, string> = {
  fitted: 'fitted',
  packed: 'washed out and packed again',
  'looked-at': 'jacked, shaken and turned, both sides compared',
};

/** When the bearing of a corner was last seen to. */
export const ServicedSchema = closed({
  on: DateOnly,
  atKm: Maybe(Km),
  what: oneOf(serviceKinds),
  /** End play as it was read, mm. */
  playMm: Maybe(Mm()),
  note: Maybe(Text(200)),
  /** The unit stood in water that same day, and this was done after it. */
  afterWater: Maybe(Type.Literal(true)),
  byId: Maybe(Id),
  /** Number of the job that fitted it. */
  job: Maybe(Id),
});

export const causeWords = {
  date: 'by date',
  distance: 'by distance',
  'deep-water': 'after deep water',
};
const CauseId = oneOf(keysOf(causeWords));
export type ServiceCause = Static<typeof CauseId>;

const ofService = {
  corner: oneOf(corners),
  words: Type.String(),
  /** Absent where nobody has written down when it was last seen to. */
  last: Maybe(ServicedSchema),
  late: Maybe(Type.Boolean()),
  /** Distance since, and after which it is due, km; absent where one is not known. */
  drivenKm: Maybe(Type.Number()),
  everyKm: Maybe(Type.Number()),
};
/** When the bearing of a corner is seen to next. */
export const ServiceDueSchema = closed({
  ...ofService,
  /** When it is due, UTC milliseconds, and by what; absent while `last` is. */
  dueMs: Maybe(Type.Number()),
  cause: Maybe(CauseId),
});
export type ServiceDue = Static<typeof ServiceDueSchema>;

/** A service whose day is known, with the unit it is of. */
export const FleetServiceSchema = closed({
  ...ofService,
  dueMs: Type.Number(),
  cause: CauseId,
  unitId: Type.String(),
  fleetNo: Type.String(),
});
export type FleetService = Static<typeof FleetServiceSchema>;
