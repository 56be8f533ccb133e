import {
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { JobCorner } from '../core/corner.ts';
import type { Edits, Outcome } from '../core/diagnosis/index.ts';
import type { Learner, PastCase } from '../core/practice/index.ts';
import type { ShopSettings } from '../core/schemas/shop.ts';

/** A column that holds one kind of record as JSON. */
const json = <T>(name: string) => text(name, { mode: 'json' }).$type<T>().notNull();

/** People stand here only; everything else carries their id. */
export const technicians = sqliteTable('technicians', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  lead: integer('lead', { mode: 'boolean' }).notNull(),
  pinSalt: text('pin_salt').notNull(),
  pinHash: text('pin_hash').notNull(),
  /** Works here no more: stays in every record, answers for nothing new. */
  retiredMs: integer('retired_ms'),
});

/** Units, parts, adapters, presses, procedures, wrenches, instruments: validated records as JSON. */
export const records = sqliteTable(
  'records',
  {
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    position: integer('position').notNull(),
    data: text('data').notNull(),
  },
  (t) => [primaryKey({ columns: [t.kind, t.id] })],
);

/** Records as they were before each change, append-only: a trigger keeps them, no write can forget it. */
export const recordVersions = sqliteTable(
  'record_versions',
  {
    version: integer('version').primaryKey({ autoIncrement: true }),
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    data: text('data').notNull(),
    replacedMs: integer('replaced_ms').notNull(),
  },
  (t) => [index('record_versions_of').on(t.kind, t.id)],
);

export const jobs = sqliteTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    /** Year-running, for people: 2026-0412. */
    number: text('number').notNull(),
    unitId: text('unit_id').notNull(),
    corner: text('corner').$type<JobCorner>().notNull(),
    createdMs: integer('created_ms').notNull(),
    byId: text('by_id')
      .notNull()
      .references(() => technicians.id),
  },
  (t) => [uniqueIndex('jobs_number').on(t.number)],
);

/** How each learner stands, as JSON; of no job, and shown to nobody else. */
export const learners = sqliteTable('learners', {
  personId: text('person_id')
    .primaryKey()
    .references(() => technicians.id),
  data: json<Learner>('data'),
});

/** Past jobs that a lead gave to practise on, as JSON; of no person and no unit. */
export const pastCases = sqliteTable('past_cases', {
  id: text('id').primaryKey(),
  data: json<PastCase>('data'),
  atMs: integer('at_ms').notNull(),
});

/** Pictures left with jobs, by the hash of what is kept: upright, without what a camera writes about place and time. */
export const photos = sqliteTable('photos', {
  hash: text('hash').primaryKey(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
  /** JPEG in base 64: it goes through backup, archive and a far database like every other row. */
  data: text('data').notNull(),
});

/** Append-only. `hash` covers the event and the hash before it in the same job. */
export const events = sqliteTable(
  'events',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    type: text('type').notNull(),
    body: text('body').notNull(),
    byId: text('by_id')
      .notNull()
      .references(() => technicians.id),
    atMs: integer('at_ms').notNull(),
    prevHash: text('prev_hash').notNull(),
    hash: text('hash').notNull(),
  },
  (t) => [uniqueIndex('events_id').on(t.id), index('events_job').on(t.jobId, t.seq)],
);

/** Mutable choices, one row a job and key, each with its version. */
export const choices = sqliteTable(
  'choices',
  {
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    key: text('key').notNull(),
    version: integer('version').notNull(),
    value: text('value').notNull(),
    /** Command that wrote this version, so that a repeat is recognised. */
    commandId: text('command_id').notNull(),
    byId: text('by_id')
      .notNull()
      .references(() => technicians.id),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.key] })],
);

/** What a signed job was judged against, kept as it was: later edits of the records do not reach it. Its hash is in the signed line. */
export const snapshots = sqliteTable('snapshots', {
  jobId: text('job_id')
    .primaryKey()
    .references(() => jobs.id),
  data: text('data').notNull(),
});

/** The job card as it was signed: no later rule changes it. Its hash is in the signed line. */
export const cards = sqliteTable('cards', {
  jobId: text('job_id')
    .primaryKey()
    .references(() => jobs.id),
  data: text('data').notNull(),
});

/** Names of those who worked on a signed job, as they were, each with the salt of its hash in the signed line; both go when a person is erased. */
export const signedNames = sqliteTable(
  'signed_names',
  {
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    personId: text('person_id')
      .notNull()
      .references(() => technicians.id),
    name: text('name'),
    salt: text('salt'),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.personId] })],
);

/** Heads of days that left this machine, append-only: what stands under one of them can be proven against the copy outside. */
export const sentHeads = sqliteTable('sent_heads', {
  id: text('id').primaryKey(),
  day: text('day').notNull(),
  head: text('head').notNull(),
  /** How many entries stood then. */
  upTo: integer('up_to').notNull(),
  how: text('how').notNull(),
  byId: text('by_id')
    .notNull()
    .references(() => technicians.id),
  atMs: integer('at_ms').notNull(),
});

/** Signed jobs whose cause was seen on the bench, for the tests to learn from. */
export const outcomes = sqliteTable('outcomes', {
  jobId: text('job_id')
    .primaryKey()
    .references(() => jobs.id),
  atMs: integer('at_ms').notNull(),
  data: json<Outcome>('data'),
});

/** Versions of the likelihood tables, append-only: a lead's edits whole, and from when outcomes count. */
export const likelihoodTables = sqliteTable(
  'books',
  {
    version: integer('version').primaryKey({ autoIncrement: true }),
    commandId: text('command_id').notNull(),
    edits: json<Edits>('edits'),
    countFromMs: integer('count_from_ms').notNull(),
    reason: text('reason').notNull(),
    byId: text('by_id')
      .notNull()
      .references(() => technicians.id),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [uniqueIndex('books_command').on(t.commandId)],
);

/** The shop's settings, append-only: each version whole, with who set it; by nobody when the shop was first set up. */
export const shopSettings = sqliteTable(
  'shop_settings',
  {
    version: integer('version').primaryKey({ autoIncrement: true }),
    commandId: text('command_id').notNull(),
    data: json<ShopSettings>('data'),
    byId: text('by_id').references(() => technicians.id),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [uniqueIndex('shop_settings_command').on(t.commandId)],
);

/**
 * What the floor shows of a job, worked out once. Triggers mark a row stale when its job is written, and count the
 * changes of the shop's records: no write can forget it.
 */
export const jobSummaries = sqliteTable(
  'job_summaries',
  {
    jobId: text('job_id')
      .primaryKey()
      .references(() => jobs.id),
    onFloor: integer('on_floor', { mode: 'boolean' }).notNull(),
    stale: integer('stale', { mode: 'boolean' }).notNull(),
    recordsVersion: integer('records_version').notNull(),
    data: text('data').notNull(),
  },
  (t) => [index('job_summaries_floor').on(t.onFloor)],
);

export const meta = sqliteTable('meta', {
  key: text('key').primaryKey(),
  value: text('value').notNull(),
});
