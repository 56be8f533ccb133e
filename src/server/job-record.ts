import { type CardDocument, upcastCard } from '../core/card/index.ts';
import type { JobContext, JobState, JobView } from '../core/job/index.ts';
import { cornerOfJob } from '../core/job/index.ts';
import { type EventRow, headOf, type JobHead, type JobRow } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { getCard, getSnapshot, namesOf } from '../db/signed.ts';
import { contextName } from './answered.ts';
import { entriesAnew, entriesOf } from './carried.ts';
import { sha256 } from './chain.ts';
import { partsOfJob } from './parts.ts';
import { log } from './log.ts';
import { notFound, Problem } from './problem.ts';
import { namedAtSigning, namesFit } from './signed-names.ts';
import { upcastSnapshot } from './snapshot.ts';
import { recordNow, shopNow } from './shop-now.ts';
import { store } from './store.ts';

/** A job with its whole record, and what was kept when it was signed. */
export interface JobRecord extends JobView {
  events: readonly EventRow[];
  /** The card as it was signed; absent before. */
  signedCard?: CardDocument;
  /** Whether card and context of a signed job are still what was signed. */
  keptFits: boolean;
}

/** What an open job is judged against: what the shop has now. */
async function contextOf(db: Db, { job, choices, shopVersion }: JobHead, state: JobState) {
  const unit = await recordNow(db, shopVersion, 'units', job.unitId);
  if (!unit) throw notFound('unit', job.unitId);
  const corner = cornerOfJob(job.corner, state);
  const procedureId = corner === 'unknown' ? undefined : unit.corners[corner]?.procedureId;
  const procedure =
    state.procedure ??
    (procedureId ? await recordNow(db, shopVersion, 'procedures', procedureId) : undefined);
  const { people: _people, timeZone: _zone, ...shop } = await shopNow(db, shopVersion);
  return {
    ...shop,
    unit,
    corner,
    parts: await partsOfJob(db, { unit, corner }, state, choices.match?.value.partNumber),
    ...(procedure ? { procedure } : {}),
  };
}

/** The clock alone goes on after signing: the recheck is counted on it. */
async function withClock(db: Db, ctx: JobContext, shopVersion: string): Promise<JobContext> {
  const unit = await recordNow(db, shopVersion, 'units', ctx.unit.id);
  if (!unit) return ctx;
  const { odometerKm, clockCorrected } = unit;
  return { ...ctx, unit: { ...ctx.unit, odometerKm, clockCorrected } };
}

/** A kept document is the one whose hash stands in the signed line; one signed before hashes were kept has none. */
const fits = (kept: string | undefined, hash: string | undefined): boolean =>
  hash === undefined || (kept !== undefined && sha256(kept) === hash);

/** What was kept when a job was signed, and whether it still is what the signed line says. */
export async function keptAtSigning(db: Db, job: JobRow, signed: JobState['signed']) {
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
  return recordAt(db, await headNow(db, id), anew);
}

/** What changes of a job, as it stands now. */
export async function headNow(db: Db, id: string): Promise<JobHead> {
  return (await headOf(db, id)) ?? noJob(id);
}
export function noJob(id: string): never {
  throw notFound('job', id);
}

/** The job as its record says at a head that was read, or that is known because it was just written. */
export async function recordAt(db: Db, head: JobHead, anew = false): Promise<JobRecord> {
  const { job, shopVersion } = head;
  const { events, state } = await (anew ? entriesAnew : entriesOf)(db, head);
  const { frozen, names, ...kept } = await keptAtSigning(db, job, state.signed);
  const { people, timeZone } = await shopNow(db, shopVersion);
  const ctx = frozen
    ? await withClock(db, frozen.ctx, shopVersion)
    : await contextOf(db, head, state);
  return {
    job,
    ctx,
    context: contextName(head, { ctx }, state),
    state,
    choices: frozen?.choices ?? head.choices,
    people: namedAtSigning(people, names),
    nowMs: Date.now(),
    timeZone,
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
/** A job after a write; where it can no longer be shown, that the write stands all the same. */
export const keptAs = (id: string, view: Promise<JobView>): Promise<JobView> =>
  view.catch((e: unknown) => {
    log.error({ err: e, job: id }, 'kept, cannot be shown');
    throw new Problem(500, 'Kept, cannot be shown', 'This was kept, but the job cannot be shown.');
  });
export const jobView = async (id: string): Promise<JobView> => viewOf(await jobRecord(id));
