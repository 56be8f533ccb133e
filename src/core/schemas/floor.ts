import { type Static, Type } from '@sinclair/typebox';
import { JobCornerId } from '../corner.ts';
import { stations } from '../job/stations.ts';
import { FleetServiceSchema } from '../service/serviced.ts';
import { closed, Maybe, oneOf } from './common.ts';
import { UnitSchema } from './workshop.ts';

/** What the floor is sent: one row a job, and what a new job is started from. Times in UTC milliseconds. */

export const PersonOnRecordSchema = closed({
  id: Type.String(),
  name: Type.String(),
  lead: Type.Boolean(),
  /** Works here no more: stands in records, answers for nothing new. */
  retired: Maybe(Type.Literal(true)),
});
export type Person = Static<typeof PersonOnRecordSchema>;

const TimerSchema = closed({
  id: Type.String(),
  label: Type.String(),
  startedMs: Type.Number(),
  endsMs: Type.Number(),
});
export type Timer = Static<typeof TimerSchema>;

const marks = ['done', 'provisional', 'now', 'todo', 'blocked'] as const;
export type Mark = (typeof marks)[number];

const SpineMarkSchema = closed({
  station: oneOf(stations),
  mark: oneOf(marks),
  /** What the station found, a few words. */
  result: Type.String(),
});
export type SpineMark = Static<typeof SpineMarkSchema>;

/** What a row says by itself, however the unit's clock and the people's names change. */
const lasting = {
  corner: JobCornerId,
  complaint: Type.String(),
  family: Type.String(),
  spine: Type.Array(SpineMarkSchema),
  /** Next action in a few words, and the fuller sentence behind it. */
  next: closed({ short: Type.String(), text: Type.String() }),
  station: Maybe(oneOf(stations)),
  timers: Type.Array(TimerSchema),
  /** Number of the part on the job. */
  part: Maybe(Type.String()),
  /** When it was signed or closed. */
  endedMs: Maybe(Type.Number()),
  closed: Maybe(Type.String()),
};

/** What the floor keeps of a job. */
export const JobSummarySchema = closed({
  ...lasting,
  /** Open, or signed with its recheck still owed. */
  onFloor: Type.Boolean(),
  lastById: Type.String(),
  /** Distance at which it was signed, while its recheck is owed. */
  signedKm: Maybe(Type.Number()),
  /** Distance to that recheck, km. */
  dueKm: Maybe(Type.Number()),
  /** A note for the next shift that nobody has read. */
  note: Maybe(closed({ text: Type.String(), byId: Type.String(), atMs: Type.Number() })),
});
export type JobSummary = Static<typeof JobSummarySchema>;

export const FloorRowSchema = closed({
  ...lasting,
  id: Type.String(),
  number: Type.String(),
  fleetNo: Type.String(),
  unitName: Type.String(),
  startedMs: Type.Number(),
  /** Who wrote the last entry. */
  who: Type.String(),
  recheck: Maybe(
    closed({
      drivenKm: Type.Number(),
      dueKm: Type.Number(),
      /** The day it is due at the latest, or sooner as the clock shows. */
      dueMs: Maybe(Type.Number()),
    }),
  ),
  /** A note for the next shift that nobody has read, and who left it. */
  note: Maybe(closed({ text: Type.String(), who: Type.String(), atMs: Type.Number() })),
});
export type FloorRow = Static<typeof FloorRowSchema>;

export const FloorSchema = closed({
  shop: Type.String(),
  rows: Type.Array(FloorRowSchema),
  units: Type.Array(UnitSchema),
  people: Type.Array(PersonOnRecordSchema),
  nowMs: Type.Number(),
  /** IANA name of the shop's time zone. */
  timeZone: Type.String(),
  /** Distance to a recheck in this shop, km. */
  recheckKm: Type.Number(),
  /** Packed bearings that are due soon or late, the first first. */
  services: Type.Array(FleetServiceSchema),
  /** How far the clock of this machine stands behind the last entry, where it was set back, ms. */
  clockBehindMs: Maybe(Type.Number()),
});
export type FloorView = Static<typeof FloorSchema>;
