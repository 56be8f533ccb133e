import { type Static, Type } from '@sinclair/typebox';
import {
  type FloorRow,
  type FloorView,
  type JobSummary,
  sinceSigned,
  summaryOf,
  unreadable,
} from '../core/job/index.ts';
import { closed, DateOnly } from '../core/schemas/common.ts';
import { everyOf, servicesDue } from '../core/service/index.ts';
import type { UnitRecord } from '../core/schemas/workshop.ts';
import { lastEntryMs } from '../db/jobs.ts';
import { getMeta, listRecords } from '../db/records.ts';
import { endedJobs, putSummary, summariesOnFloor, type SummaryRow } from '../db/summaries.ts';
import { dueMs, recheckDays, recheckKm } from '../core/prove/index.ts';
import type { Db } from '../db/open.ts';
import { clockBehindMs } from './health.ts';
import { recordIn } from './job-record.ts';
import { log } from './log.ts';
import { people } from './people.ts';
import { settingsOf, shopOfJob, shopTitle, shopZone } from './shop.ts';
import { store } from './store.ts';

/** Jobs on the floor, each summary as fresh as its job and the shop's records. */
export async function floorSummaries(): Promise<SummaryRow[]> {
  const { db, writes } = await store();
  const version = async () => Number((await getMeta(db, 'records-version')) ?? 0);
  const staleAt = (now: number) => (r: SummaryRow) => r.stale === 1 || r.recordsVersion !== now;
  const rows = await summariesOnFloor(db);
  if (!rows.some(staleAt(await version()))) return rows;
  /** Summaries that could not be kept: the floor is shown on a full disk too. */
  const unkept = new Map<string, string>();
  // In the queue of writes nothing changes between working a summary out and keeping it.
  await writes.run(async () => {
    const now = await version();
    for (const row of (await summariesOnFloor(db)).filter(staleAt(now))) {
      const summary = await summaryIn(db, row);
      await putSummary(db, row.id, summary, now).catch((e: unknown) => {
        log.warn({ err: e, job: row.id }, 'summary not kept');
        unkept.set(row.id, JSON.stringify(summary));
      });
    }
  });
  return (await summariesOnFloor(db)).map((r) => ({ ...r, data: unkept.get(r.id) ?? r.data }));
}

/** A job's summary; of one that cannot be read that it cannot, and why: every other job stands on the floor all the same. */
async function summaryIn(db: Db, row: SummaryRow): Promise<JobSummary> {
  try {
    const record = await recordIn(db, row.id);
    return summaryOf(record, record.events.at(-1)?.byId ?? row.byId);
  } catch (e) {
    return unreadable(row, e instanceof Error ? e.message : 'unknown');
  }
}

/** One row a job that is open or still owes its recheck, oldest first. */
export async function floorRows(): Promise<FloorRow[]> {
  const { db } = await store();
  const unitById = new Map((await listRecords(db, 'units')).map((u) => [u.id, u]));
  const names = new Map((await people()).map((p) => [p.id, p.name]));
  const rows = await floorSummaries();
  // One parse of all is a good deal faster than one a row.
  const kept = JSON.parse(`[${rows.map((r) => r.data).join()}]`) as JobSummary[];
  const days = (await settingsOf()).recheckDays ?? recheckDays;
  return rows.map((r, i) => withDue(floorRow(r, kept[i]!, unitById.get(r.unitId), names), days));
}

/** A row with the day its recheck is due. */
function withDue(r: FloorRow, days: number): FloorRow {
  if (!r.recheck || r.endedMs === undefined) return r;
  const { drivenKm: nowKm, dueKm } = r.recheck;
  const since = { signedMs: r.endedMs, signedKm: 0, nowKm, dueKm, nowMs: Date.now(), days };
  return { ...r, recheck: { ...r.recheck, dueMs: dueMs(since) } };
}

export const ArchiveSchema = closed({
  words: Type.String({ maxLength: 80 }),
  /** Days, by UTC. */
  from: Type.Optional(DateOnly),
  to: Type.Optional(DateOnly),
});

/** Most rows of one look into the archive. */
const mostEnded = 60;
const dayMs = 86_400_000;

/** Signed and closed jobs by words and days, latest first. */
export async function archive(q: Static<typeof ArchiveSchema>): Promise<FloorRow[]> {
  const { db } = await store();
  // Jobs that ended since the last look at the floor are summed up first.
  await floorSummaries();
  const rows = await endedJobs(db, {
    words: q.words.split(/\s+/u).filter(Boolean),
    fromMs: q.from === undefined ? undefined : Date.parse(q.from),
    toMs: q.to === undefined ? undefined : Date.parse(q.to) + dayMs,
    most: mostEnded,
  });
  const unitById = new Map((await listRecords(db, 'units')).map((u) => [u.id, u]));
  const names = new Map((await people()).map((p) => [p.id, p.name]));
  return rows.map((r) =>
    floorRow(r, JSON.parse(r.data) as JobSummary, unitById.get(r.unitId), names),
  );
}

/** A service stands on the floor from this long before it is due. */
const soonMs = 14 * dayMs;

/** The floor with what a new job is started from. */
export async function floorView(): Promise<FloorView> {
  const { db } = await store();
  const behind = clockBehindMs(await lastEntryMs(db));
  const units = await listRecords(db, 'units');
  const nowMs = Date.now();
  return {
    ...(behind === undefined ? {} : { clockBehindMs: behind }),
    shop: await shopTitle(),
    rows: await floorRows(),
    units,
    people: await people(),
    nowMs,
    services: servicesDue(units, everyOf(await settingsOf()), nowMs).filter(
      (s) => s.dueMs <= nowMs + soonMs,
    ),
    timeZone: await shopZone(),
    recheckKm: (await shopOfJob(db)).recheckKm ?? recheckKm,
  };
}

/** A kept summary with what changes beside it: the unit's clock and the people's names. */
function floorRow(
  { id, number, createdMs }: SummaryRow,
  { onFloor: _on, lastById, signedKm, dueKm, note, ...summary }: JobSummary,
  unit: UnitRecord | undefined,
  names: ReadonlyMap<string, string>,
): FloorRow {
  return {
    id,
    number,
    fleetNo: unit?.fleetNo ?? '',
    unitName: unit?.name ?? '',
    startedMs: createdMs,
    ...summary,
    who: names.get(lastById) ?? lastById,
    ...(note
      ? { note: { text: note.text, who: names.get(note.byId) ?? note.byId, atMs: note.atMs } }
      : {}),
    ...(signedKm === undefined || !unit
      ? {}
      : { recheck: sinceSigned(signedKm, unit.odometerKm ?? signedKm, dueKm) }),
  };
}
