import { isDeepStrictEqual } from 'node:util';
import { cardLines, makeCard } from '../core/card/index.ts';
import {
  complete,
  type JobNow,
  type JobView,
  partFound,
  partUsed,
  projectOn,
  refusal,
  saysTheSame,
} from '../core/job/index.ts';
import { saying } from '../core/rules/index.ts';
import {
  eventBodies,
  type EventBody,
  type EventType,
  type JobEvent,
  needsLead,
  needsPin,
} from '../core/schemas/events.ts';
import {
  eventById,
  type EventRow,
  headsOf,
  insertEvent,
  insertEvents,
  type JobHead,
} from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { hasPhoto } from '../db/photos.ts';
import { putNames } from '../db/signed.ts';
import { carryOn } from './carried.ts';
import { eventHash, rootHash } from './chain.ts';
import { headNow, type JobRecord, jobView, keptAs, noJob, recordAt, viewOf } from './job-record.ts';
import { forgetParts } from './parts.ts';
import { leadByPin, personByPin, personOrProblem } from './people.ts';
import { idTaken, invalid, refused } from './problem.ts';
import { from, origin, type Origin } from './request-origin.ts';
import { hashedNames, saltedNames } from './signed-names.ts';
import { besideEntry, freeze, hashesOf, signingWrites, writesBesides } from './signing.ts';
import { store } from './store.ts';
import { validated } from './validate.ts';

export interface NewEvent {
  id: string;
  type: EventType;
  body: unknown;
  byId: string;
  pin?: string;
}

/**
 * Adds one line to a job's record: validated, judged by the interlocks, chained. Sent twice it is done once.
 * `trusted` skips the PIN for an import that has no people at hand.
 */
export async function addEvent(jobId: string, input: NewEvent): Promise<JobView> {
  const after = await writeEvent(jobId, input);
  return keptAs(jobId, after?.view ?? jobView(jobId));
}

/** Two taps of one finger, ms: no hand reads, types and records the same thing twice in this time. Our judgement. */
const doubleTapMs = 400;

/** The same entry by the same person once more within a finger's double tap: it stands already. */
const isDoubleTap = (
  last: EventRow | undefined,
  { type, byId }: NewEvent,
  body: unknown,
  atMs: number,
) =>
  last !== undefined &&
  last.type === type &&
  last.byId === byId &&
  atMs >= last.atMs &&
  atMs - last.atMs <= doubleTapMs &&
  isDeepStrictEqual(last.body, body);

/** What a file of this shop tells is of the past: it is not held against today's clock of the unit. */
const withoutClock = <J extends JobNow>(now: J): J => ({
  ...now,
  ctx: { ...now.ctx, unit: { ...now.ctx.unit, odometerKm: undefined } },
});

/** A correction names a line that stands on the card as it was signed. */
function onItsCard({ line, was }: EventBody<'line-corrected'>, record: JobRecord): void {
  const lines = cardLines(record.signedCard ?? makeCard(record));
  if (lines.some((l) => l.line === line && l.says === was)) return;
  throw refused({
    field: 'line',
    ...saying('job.no-line', 'refuses', { part: line, with: { was } }),
  });
}

/** A picture is kept before an entry points to it. */
async function photoKept(db: Db, { hash }: EventBody<'photo-left'>): Promise<void> {
  if (!(await hasPhoto(db, hash)))
    throw invalid([{ field: 'hash', reason: 'This photo is not kept here: send it first.' }]);
}

/** Whether the record has this entry already; the same id for something else is refused. */
function stands(events: readonly EventRow[], { id, type }: NewEvent, body: unknown): boolean {
  const known = events.find((e) => e.id === id);
  if (!known) return false;
  if (known.type !== type || !saysTheSame(known.type, known.body, body as never))
    throw idTaken(id, 'entry');
  return true;
}

/** Everything that can speak against an entry, but for what its own shape and PIN say. */
async function mayBeWritten(
  db: Db,
  record: JobRecord,
  input: NewEvent,
  body: EventBody<EventType>,
  trusted: boolean,
): Promise<void> {
  await personOrProblem(db, input.byId, record.people);
  const no = refusal(input.type, body, trusted ? withoutClock(record) : record, input.byId);
  if (no) throw refused(no);
  if (input.type === 'photo-left') await photoKept(db, body as EventBody<'photo-left'>);
  if (input.type === 'line-corrected') onItsCard(body as EventBody<'line-corrected'>, record);
}

/** The row that carries an entry on from the last one; a signature freezes what it signs, and names who is in it. */
function linked(record: JobRecord, entry: Omit<EventRow, 'seq' | 'hash' | 'prevHash'>) {
  const { job, events } = record;
  const line = { ...entry, seq: 0 } as JobEvent;
  // What cannot be read with this entry in it is not written.
  projectOn(record.state, [line]);
  const frozen = entry.type === 'signed' ? freeze(record, line) : undefined;
  const names = frozen ? saltedNames(job, [...events, line], record.people) : [];
  const body = frozen
    ? { ...entry.body, ...hashesOf(frozen), startedBy: job.byId, names: hashedNames(names) }
    : entry.body;
  const link = { ...entry, body } as EventRow;
  const prevHash = events.at(-1)?.hash ?? rootHash(job);
  return { row: { ...link, prevHash, hash: eventHash(prevHash, link) }, frozen, names };
}

/** Its place in the record once it is written, with all that goes in with it; undefined where it stands already and only the word of it was lost on the way. */
async function placeOf(
  db: Db,
  { id, jobId }: Pick<EventRow, 'id' | 'jobId'>,
  insert: ReturnType<typeof insertEvent>,
  more: Awaited<ReturnType<typeof besideEntry>>,
): Promise<number | undefined> {
  try {
    const [first] = await db.batch([insert, ...more]);
    return Number(first.lastInsertRowid);
  } catch (e) {
    const row = await eventById(db, id);
    if (!row) throw e;
    if (row.jobId !== jobId) throw idTaken(id, 'entry');
    return undefined;
  }
}

/** An entry whose shape and PIN are right, and where it came from. */
interface Sent {
  jobId: string;
  input: NewEvent;
  body: EventBody<EventType>;
  atMs: number;
  trusted: boolean;
  where: Origin;
}

/** The row that an entry becomes after a head that was read; undefined where it stands already. */
async function judged(db: Db, head: JobHead, { input, body, atMs, trusted }: Sent) {
  const { id, type, byId } = input;
  // What is signed is what the rows say.
  const record = await recordAt(db, head, type === 'signed');
  const { job, events, ...now } = record;
  if (stands(events, input, body)) return undefined;
  await mayBeWritten(db, record, input, body, trusted);
  const whole = complete(type, body, now);
  if (isDoubleTap(events.at(-1), input, whole, atMs)) return undefined;
  const entry = { id, jobId: job.id, type, body: whole, byId, atMs } as EventRow;
  return { head, job, now, ...linked(record, entry) };
}
type Judged = NonNullable<Awaited<ReturnType<typeof judged>>>;

/** How the job reads after an entry, where that is known without looking again: nothing of the shop was written besides. */
type After = { view: Promise<JobView> } | undefined;

/** Carries the job on with what was written, and reads it before the next write: what is answered is one state. */
async function entered(db: Db, { head, row }: Judged, seq: number): Promise<After> {
  carryOn(row.jobId, { ...row, seq });
  const view = recordAt(db, { ...head, last: seq, count: head.count + 1 }).then(viewOf);
  // Where it cannot be shown the entry stands all the same.
  await view.catch(() => undefined);
  return { view };
}

const stored = (row: EventRow) => ({ ...row, body: JSON.stringify(row.body) });

/** Writes an entry by itself, with all that goes in with it. */
async function writeAlone(db: Db, sent: Sent): Promise<After> {
  const written = await judged(db, await headNow(db, sent.jobId), sent);
  if (!written) return undefined;
  const { job, now, row, frozen, names } = written;
  const signing = frozen
    ? [
        putNames(db, names),
        ...(await signingWrites(db, job, now, row.body as EventBody<'signed'>, frozen, row.atMs)),
      ]
    : [];
  const more = [...signing, ...(await besideEntry(db, job, now, row))];
  const seq = await placeOf(db, row, insertEvent(db, stored(row)), more);
  if (frozen && (partFound(now) ?? partUsed(now))) forgetParts();
  if (seq === undefined) return undefined;
  if (more.length === 0) return entered(db, written, seq);
  carryOn(job.id, { ...row, seq });
  return undefined;
}

/** Writes entries of different jobs that have nothing else to write: one look at the jobs, one commit. */
async function writeTogether(sent: Sent[]): Promise<PromiseSettledResult<After>[]> {
  const { db } = await store();
  const ids = sent.map((s) => s.jobId);
  const heads = await headsOf(db, ids);
  const each = sent.map((s) =>
    from(s.where, async () => judged(db, heads.get(s.jobId) ?? noJob(s.jobId), s)),
  );
  const rows = (await Promise.allSettled(each)).flatMap((j) =>
    j.status === 'fulfilled' && j.value ? [stored(j.value.row)] : [],
  );
  // What stops all of them is about one of them: each is then written, or refused, by itself.
  const seqs = await insertEvents(db, rows).catch(() => undefined);
  return Promise.allSettled(
    sent.map(async (s, i) => {
      const written = await each[i];
      if (!written) return undefined;
      const seq = seqs?.get(written.row.id);
      return seq === undefined ? from(s.where, () => writeAlone(db, s)) : entered(db, written, seq);
    }),
  );
}

/**
 * Writes one entry after every check; a trusted one, from a file of this shop, needs no PIN and keeps its own time. Answers
 * how the job reads with it where that is known without looking again.
 */
export async function writeEvent(
  jobId: string,
  input: NewEvent,
  atMs = Date.now(),
  trusted = false,
): Promise<After> {
  const { db, writes } = await store();
  const { type, byId } = input;
  const body = validated(eventBodies[type], input.body) as EventBody<EventType>;
  if (!trusted && needsPin.includes(type))
    await (needsLead.includes(type) ? leadByPin : personByPin)(db, byId, input.pin);
  const sent = { jobId, input, body, atMs, trusted, where: origin() };
  return writesBesides(type)
    ? writes.run(() => writeAlone(db, sent))
    : writes.together(writeTogether, jobId, sent);
}
