import { isDeepStrictEqual } from 'node:util';
import { cardLines, makeCard } from '../core/card/index.ts';
import type { JobCorner } from '../core/corner.ts';
import {
  choiceRefusal,
  complete,
  type JobNow,
  type JobView,
  partFound,
  partUsed,
  kindRefusal,
  projectOn,
  refusal,
  saysTheSame,
} from '../core/job/index.ts';
import { hammer } from '../core/press/index.ts';
import { saying } from '../core/rules/index.ts';
import {
  choiceBodies,
  type ChoiceKey,
  eventBodies,
  type EventBody,
  type EventType,
  type JobEvent,
  needsLead,
  needsPin,
} from '../core/schemas/events.ts';
import {
  choiceRow,
  eventById,
  type EventRow,
  insertEvent,
  insertJob,
  jobById,
  lastNumber,
  putChoice,
} from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { getRecord } from '../db/records.ts';
import { hasPhoto } from '../db/photos.ts';
import { putNames } from '../db/signed.ts';
import { carryOn } from './carried.ts';
import { eventHash, rootHash } from './chain.ts';
import { headNow, type JobRecord, jobView, recordAt, viewOf } from './job-record.ts';
import { log } from './log.ts';
import { forgetParts, partIndex } from './parts.ts';
import { leadByPin, personByPin, personOrProblem } from './people.ts';
import { invalid, Problem, refused } from './problem.ts';
import { besideEntry, freeze, hashesOf, signingWrites } from './signing.ts';
import { hashedNames, saltedNames } from './signed-names.ts';
import { store } from './store.ts';
import { validated } from './validate.ts';

export interface NewJob {
  id: string;
  unitId: string;
  corner: JobCorner;
  byId: string;
}

const idTaken = (id: string, what: string): Problem =>
  new Problem(409, 'Id already used', `The id ${id} already names another ${what}.`, [
    { field: 'id', reason: 'Already used for something else.' },
  ]);
/** Starts a job, or gives back the one that this id already started. */
export async function startJob(input: NewJob, atMs = Date.now()): Promise<JobView> {
  const { db, writes } = await store();
  await writes.run(async () => {
    const known = await jobById(db, input.id);
    if (known) {
      if (known.unitId !== input.unitId || known.corner !== input.corner)
        throw idTaken(input.id, 'job');
      return;
    }
    if (!(await getRecord(db, 'units', input.unitId)))
      throw invalid([{ field: 'unitId', reason: `There is no unit “${input.unitId}”.` }]);
    await personOrProblem(db, input.byId);
    const year = new Date(atMs).getUTCFullYear();
    const last = Number((await lastNumber(db, year))?.split('-')[1] ?? 0);
    await insertJob(db, {
      ...input,
      number: `${year}-${String(last + 1).padStart(4, '0')}`,
      createdMs: atMs,
    });
  });
  return kept(input.id);
}

/** A job after a write; where it can no longer be shown, that the write stands all the same. */
const keptAs = (id: string, view: Promise<JobView>): Promise<JobView> =>
  view.catch((e: unknown) => {
    log.error({ err: e, job: id }, 'kept, cannot be shown');
    throw new Problem(500, 'Kept, cannot be shown', 'This was kept, but the job cannot be shown.');
  });

const kept = (id: string): Promise<JobView> => keptAs(id, jobView(id));

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

/**
 * Writes one entry after every check; a trusted one, from a file of this shop, needs no PIN and keeps its own time. Answers
 * how the job reads with it where that is known without looking again: nothing of the shop was written besides.
 */
export async function writeEvent(
  jobId: string,
  input: NewEvent,
  atMs = Date.now(),
  trusted = false,
): Promise<{ view: Promise<JobView> } | undefined> {
  const { db, writes } = await store();
  const { id, type, byId } = input;
  const body = validated(eventBodies[type], input.body) as EventBody<EventType>;
  if (!trusted && needsPin.includes(type))
    await (needsLead.includes(type) ? leadByPin : personByPin)(db, byId, input.pin);
  return writes.run(async () => {
    const head = await headNow(db, jobId);
    // What is signed is what the rows say.
    const record = await recordAt(db, head, type === 'signed');
    const { job, events, ...now } = record;
    if (stands(events, input, body)) return undefined;
    await mayBeWritten(db, record, input, body, trusted);
    const whole = complete(type, body, now);
    if (isDoubleTap(events.at(-1), input, whole, atMs)) return undefined;
    const entry = { id, jobId, type, body: whole, byId, atMs } as EventRow;
    const { row, frozen, names } = linked(record, entry);
    const signing = frozen
      ? [
          putNames(db, names),
          ...(await signingWrites(db, job, now, row.body as EventBody<'signed'>, frozen, atMs)),
        ]
      : [];
    const more = [...signing, ...(await besideEntry(db, job, now, row))];
    const insert = insertEvent(db, { ...row, body: JSON.stringify(row.body) });
    const last = await placeOf(db, row, insert, more);
    if (frozen && (partFound(now) ?? partUsed(now))) forgetParts();
    if (last === undefined) return undefined;
    carryOn(jobId, { ...row, seq: last });
    if (more.length > 0) return undefined;
    // Read before the next write: what is answered is one state. Where it cannot be shown the entry stands all the same.
    const view = recordAt(db, { ...head, last, count: head.count + 1 }).then(viewOf);
    await view.catch(() => undefined);
    return { view };
  });
}

export interface NewChoice {
  id: string;
  /** Version the tablet saw; 0 when it saw none. */
  version: number;
  value: unknown;
  byId: string;
}

/** Changes a choice if the version seen is still the one that stands; else 409 with both values. */
export async function setChoice(
  jobId: string,
  key: ChoiceKey,
  input: NewChoice,
  atMs = Date.now(),
): Promise<JobView> {
  const { db, writes } = await store();
  const value = validated(choiceBodies[key], input.value);
  await writes.run(async () => {
    const now = await jobView(jobId);
    await personOrProblem(db, input.byId, now.people);
    const row = await choiceRow(db, jobId, key);
    if (row?.commandId === input.id) {
      if (!isDeepStrictEqual(JSON.parse(row.value), value)) throw idTaken(input.id, 'choice');
      return;
    }
    if ((row?.version ?? 0) !== input.version) {
      throw new Problem(
        409,
        'Changed meanwhile',
        `Somebody changed this since you saw it (version ${input.version}, now ${row?.version ?? 0}). Look at both and choose again.`,
        [{ field: 'version', reason: 'Stale.' }],
        { yours: value, theirs: row ? JSON.parse(row.value) : null, version: row?.version ?? 0 },
      );
    }
    const no = choiceRefusal(key, value as never, now);
    if (no) throw refused(no);
    await choiceFault(db, key, value, now);
    await putChoice(db, {
      jobId,
      key,
      version: input.version + 1,
      value: JSON.stringify(value),
      commandId: input.id,
      byId: input.byId,
      atMs,
    });
  });
  return kept(jobId);
}

/** A choice may only name what the shop has. */
async function choiceFault(db: Db, key: ChoiceKey, value: unknown, view: JobView): Promise<void> {
  const { ctx } = view;
  if (key === 'match') {
    const { partNumber } = value as { partNumber: string };
    const part =
      view.state.handPart?.number === partNumber
        ? view.state.handPart
        : (await partIndex(db)).byNumber.get(partNumber);
    if (!part)
      throw invalid([
        { field: 'partNumber', reason: `The catalogue has no part “${partNumber}”.` },
      ]);
    const no = kindRefusal(part, view);
    if (no) throw refused(no);
    return;
  }
  if (!key.startsWith('stack-')) return;
  for (const [field, id] of Object.entries(value as Record<string, string>)) {
    if (field === 'usedAgain') continue;
    if (field === 'pressId') {
      if (id !== hammer.id && !ctx.presses.some((p) => p.id === id && !p.retired))
        throw invalid([{ field, reason: `No press in use is called “${id}”.` }]);
    } else if (!ctx.adapters.some((a) => a.id === id))
      throw invalid([{ field, reason: `The kit has no piece “${id}”.` }]);
  }
}
