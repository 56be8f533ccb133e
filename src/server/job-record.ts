import { type CardDocument, upcastCard } from '../core/card/index.ts';
import type { JobContext, JobState, JobView } from '../core/job/index.ts';
import { cornerOfJob, project } from '../core/job/index.ts';
import type { Choices } from '../core/schemas/events.ts';
import type { WorkshopKind } from '../core/schemas/workshop.ts';
import type {} from '../core/torque/index.ts';
import { choicesOf, type EventRow, eventsOf, jobById, type JobRow } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { getRecord, listRecords } from '../db/records.ts';
import { getCard, getSnapshot } from '../db/signed.ts';
import { sha256 } from './chain.ts';
import { partsOfJob } from './parts.ts';
import { peopleOf } from './people.ts';
import { notFound } from './problem.ts';
import { upcastSnapshot } from './snapshot.ts';
import { shopOfJob, zoneOf } from './shop.ts';
import { store } from './store.ts';
import { tablesNow } from './tables.ts';

/** A job with its whole record, and what was kept when it was signed. */
export interface JobRecord extends JobView {
  events: EventRow[];
  /** The card as it was signed; absent before. */
  signedCard?: CardDocument;
  /** Whether card and context of a signed job are still what was signed. */
  keptFits: boolean;
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
  const list = <K extends WorkshopKind>(kind: K) => listRecords(db, kind);
  const corner = cornerOfJob(job.corner, state);
  const procedureId = corner === 'unknown' ? undefined : unit.corners[corner]?.procedureId;
  const procedure =
    state.procedure ?? (procedureId ? await getRecord(db, 'procedures', procedureId) : undefined);
  return {
    unit,
    corner,
    parts: await partsOfJob(db, { unit, corner }, state, choices.match?.value.partNumber),
    adapters: await list('adapters'),
    presses: await list('presses'),
    instruments: await list('instruments'),
    wrenches: await list('wrenches'),
    tables: await tablesNow(db),
    shop: await shopOfJob(db),
    ...(procedure ? { procedure } : {}),
  };
}

/** The clock alone goes on after signing: the recheck is counted on it. */
async function withClock(db: Db, ctx: JobContext): Promise<JobContext> {
  const unit = await getRecord(db, 'units', ctx.unit.id);
  return unit ? { ...ctx, unit: { ...ctx.unit, odometerKm: unit.odometerKm } } : ctx;
}

/** A kept document is the one whose hash stands in the signed line; one signed before hashes were kept has none. */
const fits = (kept: string | undefined, hash: string | undefined): boolean =>
  hash === undefined || (kept !== undefined && sha256(kept) === hash);

async function keptAtSigning(db: Db, jobId: string, { signed }: JobState) {
  if (!signed) return { keptFits: true };
  const [context, card] = [await getSnapshot(db, jobId), await getCard(db, jobId)];
  return {
    keptFits: fits(context, signed.snapshot) && fits(card, signed.card),
    ...(context === undefined ? {} : { frozen: upcastSnapshot(JSON.parse(context)) }),
    ...(card === undefined ? {} : { signedCard: upcastCard(JSON.parse(card)) }),
  };
}

/** The job as its record says, from this database. */
export async function recordIn(db: Db, id: string): Promise<JobRecord> {
  const job = await jobById(db, id);
  if (!job) throw notFound('job', id);
  const events = await eventsOf(db, id);
  const state = project(events);
  const { frozen, ...kept } = await keptAtSigning(db, id, state);
  const choices = frozen?.choices ?? (await choicesOf(db, id));
  const ctx = frozen ? await withClock(db, frozen.ctx) : await contextOf(db, job, state, choices);
  const people = await peopleOf(db);
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

/** A record as the screens need it. */
export function viewOf(record: JobRecord): JobView {
  const { events: _events, signedCard: _card, keptFits: _fits, ...view } = record;
  return view;
}
export const jobView = async (id: string): Promise<JobView> => viewOf(await jobRecord(id));
