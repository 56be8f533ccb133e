import { makeCard } from '../core/card/index.ts';
import {
  bearingFitted,
  chosenPart,
  fastenersLearned,
  foundBad,
  isPractice,
  learnedOn,
  lifeBegun,
  lifeEnded,
  partFound,
  partUsed,
  usedUp,
  type JobNow,
  project,
} from '../core/job/index.ts';
import type { LifeRecord, Rates } from '../core/logbook/index.ts';
import { partInShort } from '../core/matching/index.ts';
import type { EventBody, EventType, JobEvent } from '../core/schemas/events.ts';
import { serviceWords } from '../core/service/index.ts';
import type { Consumable, UnitRecord } from '../core/schemas/workshop.ts';
import type { JobRow } from '../db/jobs.ts';
import { dropOutcome, putOutcome } from '../db/likelihood-tables.ts';
import type { Db } from '../db/open.ts';
import { getMeta, getRecord, listRecords, putMeta, putRecord, putRecords } from '../db/records.ts';
import { putCard, putSnapshot, signedJobs, signedWithoutCard } from '../db/signed.ts';
import { isoDay } from '../core/units/index.ts';
import { sha256 } from './chain.ts';
import { type JobRecord, recordIn } from './job-record.ts';
import { settingsNow, zoneOf } from './shop.ts';
import { snapshotVersion } from './snapshot.ts';

/** What is kept of a job when it is signed, as it is stored. */
export interface Kept {
  context: string;
  card: string;
}

/** Freezes what the job is judged against, and the card itself as this signature makes it. */
export function freeze(record: JobRecord, signed: JobEvent): Kept {
  const { ctx, choices, events } = record;
  const all = [...events, signed];
  return {
    context: JSON.stringify({ version: snapshotVersion, ctx, choices }),
    card: JSON.stringify(makeCard({ ...record, events: all, state: project(all) })),
  };
}

/** The hashes that go into the signed line. */
export const hashesOf = ({ context, card }: Kept) => ({
  snapshot: sha256(context),
  card: sha256(card),
});

/** The unit's record follows the job; the clock never goes backwards. */
export async function noteUnit(
  db: Db,
  unitId: string,
  more: Partial<UnitRecord> & { odometerKm: number },
) {
  const unit = await getRecord(db, 'units', unitId);
  if (!unit) return [];
  const noted: UnitRecord = {
    ...unit,
    ...more,
    fitted: { ...unit.fitted, ...more.fitted },
    odometerKm: Math.max(unit.odometerKm ?? 0, more.odometerKm),
  };
  return [putRecord(db, 'units', unitId, 0, noted)];
}

/** The bearing that this job put on its corner, for the unit's record; nothing when none was pressed in. */
function fittedBy(job: JobRow, now: JobNow, atKm: number): UnitRecord['fitted'] {
  const { ctx } = now;
  const part = chosenPart(now);
  if (ctx.corner === 'unknown' || !part || !bearingFitted(now)) return {};
  return { [ctx.corner]: { atKm, again: true, note: `${job.number}, ${partInShort(part)}` } };
}

/** A packed bearing was seen to by the job that fitted it. */
function servicedBy(
  { number }: JobRow,
  now: JobNow,
  atKm: number,
  on: string,
): UnitRecord['serviced'] {
  const { corner, unit } = now.ctx;
  if (corner === 'unknown') return {};
  const record = learnedOn(now, number)?.corner ?? unit.corners[corner];
  if (!serviceWords(record) || !bearingFitted(now)) return {};
  return { [corner]: { on, atKm, what: 'fitted', job: number } };
}

/** What an hour costs in this shop; undefined where nobody has said it. */
async function ratesOf(db: Db): Promise<Rates | undefined> {
  const { currency, labourRateMinor, taxPercent } = (await settingsNow(db)).settings;
  return currency && labourRateMinor
    ? { currency, ratePerHourMinor: labourRateMinor, taxPercent }
    : undefined;
}

/** Lives that a signature changes: the one it begins, and the one before it on the corner, which it ends. */
function livesBy(lives: readonly LifeRecord[], { now, ...signed }: SignedNow): LifeRecord[] {
  const begun = lifeBegun(now, signed);
  if (!begun) return [];
  const before = lives.filter(
    (l) =>
      l.unit === begun.unit &&
      l.corner === begun.corner &&
      l.end === 'running' &&
      l.id !== begun.id,
  );
  return [...before.map((l) => lifeEnded(l, now, signed)), begun];
}
interface SignedNow {
  now: JobNow;
  number: string;
  atKm: number;
  atMs: number;
  day: string;
  rates?: Rates | undefined;
  taken?: readonly Consumable[];
}

/** What a job took by its number, where the shop still lists it as that item. */
async function takenBy(db: Db, now: JobNow): Promise<Consumable[]> {
  const known = await Promise.all(
    usedUp(now).map(async ({ itemId, number }) => {
      const c = await getRecord(db, 'consumables', number);
      return c?.item === itemId ? [c] : [];
    }),
  );
  return known.flat();
}

/** One fewer on the shelf of each. */
const consumablesLess = (db: Db, taken: readonly Consumable[]) =>
  taken.map((c) =>
    putRecord(db, 'consumables', c.number, 0, {
      ...c,
      stock: Math.max(0, c.stock - 1),
      used: (c.used ?? 0) + 1,
    }),
  );

/** What a job teaches the tests and the shares before them: its cause as it was seen, and what its tests had said. */
const outcomeWrite = (
  db: Db,
  job: JobRow,
  { ctx, state }: JobNow,
  suspectId: string,
  atMs: number,
) =>
  putOutcome(db, job.id, atMs, {
    jobNumber: job.number,
    layout: ctx.unit.layout,
    suspectId,
    results: state.results.map(({ byId: _b, atMs: _a, ...r }) => r),
  });

/** An entry with the job as it was before it. */
interface Beside<T extends EventType> {
  db: Db;
  job: JobRow;
  now: JobNow;
  body: EventBody<T>;
  atMs: number;
}
type Writes = Parameters<Db['batch']>[0][number][];

/** What an entry writes besides itself, but for a signature; a kind that is not here writes nothing more. */
const besides: { [T in EventType]?: (e: Beside<T>) => Writes | Promise<Writes> } = {
  'recheck-done': ({ db, job, body: { odometerKm } }) => noteUnit(db, job.unitId, { odometerKm }),
  // A cause that is named teaches the tests; nothing is learned from practice.
  'job-closed': ({ db, job, now, body: { found }, atMs }) =>
    found === undefined || isPractice(now) ? [] : [outcomeWrite(db, job, now, found, atMs)],
  'job-reopened': ({ db, job, now }) => (now.state.closedFound ? [dropOutcome(db, job.id)] : []),
};

/** Whether an entry of a kind may write more than itself. */
export const writesBesides = (type: EventType): boolean =>
  type === 'signed' || Object.hasOwn(besides, type);

/** The rows that go in with this entry. */
export const besideEntry = async <T extends EventType>(
  db: Db,
  job: JobRow,
  now: JobNow,
  { type, body, atMs }: { type: T; body: EventBody<T>; atMs: number },
): Promise<Writes> => (await besides[type]?.({ db, job, now, body, atMs })) ?? [];

/** Writes that go with a signature: what is kept; the unit knows its new bearing; a cause seen on the bench is a confirmed outcome. */
export async function signingWrites(
  db: Db,
  job: JobRow,
  now: JobNow,
  { odometerKm }: EventBody<'signed'>,
  kept: Kept,
  atMs: number,
) {
  const { corner, unit } = now.ctx;
  const day = isoDay(atMs, await zoneOf(db));
  const learned = learnedOn(now, job.number);
  const found = partFound(now) ?? partUsed(now);
  const frozen = [putSnapshot(db, job.id, kept.context), putCard(db, job.id, kept.card)];
  // Nothing is learned from practice: neither the unit nor the tests.
  if (isPractice(now)) return frozen;
  const taken = await takenBy(db, now);
  return [
    ...frozen,
    ...(await noteUnit(db, job.unitId, {
      odometerKm,
      fasteners: { ...unit.fasteners, ...fastenersLearned(now, job.number) },
      fitted: fittedBy(job, now, odometerKm),
      serviced: { ...unit.serviced, ...servicedBy(job, now, odometerKm, day) },
      ...(learned && corner !== 'unknown'
        ? { corners: { ...unit.corners, [corner]: learned.corner } }
        : {}),
    })),
    ...(learned?.procedure
      ? [putRecord(db, 'procedures', learned.procedure.id, 0, learned.procedure)]
      : []),
    ...livesBy(await listRecords(db, 'lives'), {
      now,
      number: job.number,
      atKm: odometerKm,
      atMs,
      day,
      rates: await ratesOf(db),
      taken,
    }).map((l) => putRecord(db, 'lives', l.id, 0, l)),
    ...(found ? [putRecord(db, 'parts', found.number, 0, found)] : []),
    ...consumablesLess(db, taken),
    ...(foundBad(now) ? [outcomeWrite(db, job, now, `bearing-${corner}`, atMs)] : []),
  ];
}

/**
 * Jobs signed before cards were kept get theirs once, from what they were judged against, by the rules of the day it is
 * made; the card says so, and no later rule changes it.
 */
export async function keepOldCards(db: Db): Promise<void> {
  for (const jobId of await signedWithoutCard(db)) {
    const card = { ...makeCard(await recordIn(db, jobId)), madeAnewMs: Date.now() };
    await putCard(db, jobId, JSON.stringify(card));
  }
}

/** Under this key stands that lives were made of the jobs signed before lives were kept. */
const livesKey = 'lives-kept';

/** Rows in one statement. */
const chunk = 400;

/** Jobs signed before lives were kept begin and end theirs once, in the order they were signed. */
export async function keepOldLives(db: Db): Promise<void> {
  if ((await getMeta(db, livesKey)) !== undefined) return;
  const zone = await zoneOf(db);
  const lives = new Map((await listRecords(db, 'lives')).map((l) => [l.id, l]));
  const changed = new Map<string, LifeRecord>();
  for (const jobId of await signedJobs(db)) {
    // One that cannot be read keeps its own page that says so; it has no life.
    const record = await recordIn(db, jobId).catch(() => undefined);
    const signed = record?.state.signed;
    if (!record || !signed || isPractice(record)) continue;
    const { number } = record.job;
    const { odometerKm: atKm, atMs } = signed;
    const by = { now: record, number, atKm, atMs, day: isoDay(atMs, zone) };
    for (const l of livesBy([...lives.values()], by)) {
      lives.set(l.id, l);
      changed.set(l.id, l);
    }
  }
  const rows = [...changed.values()].map((l) => ({
    kind: 'lives',
    id: l.id,
    position: 0,
    data: JSON.stringify(l),
  }));
  for (let i = 0; i < rows.length; i += chunk) await putRecords(db, rows.slice(i, i + chunk));
  await putMeta(db, livesKey, 'yes');
}
