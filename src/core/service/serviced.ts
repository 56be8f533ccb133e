import { type Static, Type } from '@sinclair/typebox';
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
export type Serviced = Static<typeof ServicedSchema>;
