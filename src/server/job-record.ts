import { type CardDocument, upcastCard } from '../core/card/index.ts';
import type { JobContext, JobState, JobView } from '../core/job/index.ts';
import { cornerOfJob } from '../core/job/index.ts';
import type { Choices } from '../core/schemas/events.ts';
import type {} from '../core/torque/index.ts';
import { choicesOf, type EventRow, jobById, type JobRow } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { getMeta, getRecord, listRecords } from '../db/records.ts';
import { getCard, getSnapshot, namesOf } from '../db/signed.ts';
import { entriesAnew, entriesOf } from './carried.ts';
import { sha256 } from './chain.ts';
import { partsOfJob } from './parts.ts';
import { peopleOf } from './people.ts';
import { notFound } from './problem.ts';
import { namedAtSigning, namesFit } from './signed-names.ts';
import { upcastSnapshot } from './snapshot.ts';
import { shopOfJob, zoneOf } from './shop.ts';
import { store } from './store.ts';
import { tablesNow } from './tables.ts';

/** A job with its whole record, and what was kept when it was signed. */
export interface JobRecord extends JobView {
  events: readonly EventRow[];
  /** The card as it was signed; absent before. */
  signedCard?: CardDocument;
  /** Whether card and context of a signed job are still what was signed. */
  keptFits: boolean;
}

/** Kinds of record that every job is judged against, read once for each version of the shop's records. */
const shared = ['adapters', 'presses', 'instruments', 'wrenches'] as const;
type Shared = Pick<JobContext, (typeof shared)[number]>;
let lists: { version: string; all: Promise<Shared> } | undefined;

async function sharedLists(db: Db): Promise<Shared> {
  const version = (await getMeta(db, 'records-version')) ?? '0';
  if (lists?.version !== version) {
    const all = Promise.all(shared.map((kind) => listRecords(db, kind))).then(
      (read) => Object.fromEntries(shared.map((kind, i) => [kind, read[i]])) as unknown as Shared,
    );
    lists = { version, all };
    all.catch(() => (lists = undefined));
  }
  return lists.all;
}

/** What an open job is judged against: what the shop has now. */
async function contextOf(
  db: Db,
  job: JobRow,
  state: JobState,
  choices: Choices,
): Promise<JobContext> {
  const unit = await getRecord(db, 'units', job.unitId);
  if (!unit) throw notFound('unit', job.unitId);
  const corner = cornerOfJob(job.corner, state);
  const procedureId = corner === 'unknown' ? undefined : unit.corners[corner]?.procedureId;
  const procedure =
    state.procedure ?? (procedureId ? await getRecord(db, 'procedures', procedureId) : undefined);
  return {
    unit,
    corner,
    parts: await partsOfJob(db, { unit, corner }, state, choices.match?.value.partNumber),
    ...(await sharedLists(db)),
    tables: await tablesNow(db),
    shop: await shopOfJob(db),
    ...(procedure ? { procedure } : {}),
  };
}

/** The clock alone goes on after signing: the recheck is counted on it. */
async function withClock(db: Db, ctx: JobContext): Promise<JobContext> {
  const unit = await getRecord(db, 'units', ctx.unit.id);
  if (!unit) return ctx;
  const { odometerKm, clockCorrected } = unit;
  return { ...ctx, unit: { ...ctx.unit, odometerKm, clockCorrected } };
}

/** A kept document is the one whose hash stands in the signed line; one signed before hashes were kept has none. */
const fits = (kept: string | undefined, hash: string | undefined): boolean =>
  hash === undefined || (kept !== undefined && sha256(kept) === hash);

async function keptAtSigning(db: Db, job: JobRow, { signed }: JobState) {
  if (!signed) return { keptFits: true, names: [] };
  const jobId = job.id;
  const [context, card] = [await getSnapshot(db, jobId), await getCard(db, jobId)];
  const names = await namesOf(db, jobId);
  return {
    keptFits:
      fits(context, signed.snapshot) &&
      fits(card, signed.card) &&
      (signed.startedBy ?? job.byId) === job.byId &&
      namesFit(signed, names),
    names,
    ...(context === undefined ? {} : { frozen: upcastSnapshot(JSON.parse(context)) }),
    ...(card === undefined ? {} : { signedCard: upcastCard(JSON.parse(card)) }),
  };
}

/** The job as its record says, from this database; `anew` reads every row again instead of carrying the job forward. */
export async function recordIn(db: Db, id: string, anew = false): Promise<JobRecord> {
  const job = await jobById(db, id);
  if (!job) throw notFound('job', id);
  const { events, state } = await (anew ? entriesAnew : entriesOf)(db, id);
  const { frozen, names, ...kept } = await keptAtSigning(db, job, state);
  const choices = frozen?.choices ?? (await choicesOf(db, id));
  const ctx = frozen ? await withClock(db, frozen.ctx) : await contextOf(db, job, state, choices);
  const people = namedAtSigning(await peopleOf(db), names);
  return {
    job,
    ctx,
    state,
    choices,
    people,
    nowMs: Date.now(),
    timeZone: await zoneOf(db),
    events,
    ...kept,
  };
}

/** The job with its whole record. */
export const jobRecord = async (id: string): Promise<JobRecord> => recordIn((await store()).db, id);
/** The same with every row read again: a card says whether anything in it was altered. */
export const jobRecordAnew = async (id: string): Promise<JobRecord> =>
  recordIn((await store()).db, id, true);

/** A record as the screens need it. */
export function viewOf(record: JobRecord): JobView {
  const { events: _events, signedCard: _card, keptFits: _fits, ...view } = record;
  return view;
}
export const jobView = async (id: string): Promise<JobView> => viewOf(await jobRecord(id));
