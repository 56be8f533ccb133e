import { createHash } from 'node:crypto';
import { partInShort } from '../core/matching/index.ts';
import { chosenPart, type JobContext, type JobNow, type JobView } from '../core/job/index.ts';
import type { EventBody } from '../core/schemas/events.ts';
import type { UnitRecord } from '../core/schemas/workshop.ts';
import { putOutcome } from '../db/books.ts';
import type { JobRow } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { getRecord, putRecord } from '../db/records.ts';
import { getSnapshot, putSnapshot } from '../db/snapshots.ts';

type Frozen = Pick<JobView, 'ctx' | 'choices'>;

const hashOf = (data: string): string => createHash('sha256').update(data).digest('hex');

/** What the job is judged against as it is kept, and the hash that goes into the signed line. */
export function freeze({ ctx, choices }: JobNow): { data: string; snapshot: string } {
  const data = JSON.stringify({ ctx, choices } satisfies Frozen);
  return { data, snapshot: hashOf(data) };
}

/** What a signed job was judged against; undefined for one signed before this was kept. */
export async function frozenJob(db: Db, jobId: string): Promise<Frozen | undefined> {
  const data = await getSnapshot(db, jobId);
  return data === undefined ? undefined : (JSON.parse(data) as Frozen);
}

/** Whether the kept context is still the one that was signed. */
export async function snapshotFits(db: Db, jobId: string, hash: string | undefined): Promise<boolean> {
  const data = await getSnapshot(db, jobId);
  return hash === undefined ? data === undefined : data !== undefined && hashOf(data) === hash;
}

/** The clock alone goes on after signing: the recheck is counted on it. */
export async function withClock(db: Db, ctx: JobContext): Promise<JobContext> {
  const unit = await getRecord<UnitRecord>(db, 'units', ctx.unit.id);
  return unit ? { ...ctx, unit: { ...ctx.unit, odometerKm: unit.odometerKm } } : ctx;
}

/** The unit's record follows the job; the clock never goes backwards. */
export async function noteUnit(db: Db, unitId: string, more: Partial<UnitRecord> & { odometerKm: number }) {
  const unit = await getRecord<UnitRecord>(db, 'units', unitId);
  return unit ? [putRecord(db, 'units', unitId, 0, { ...unit, ...more, fitted: { ...unit.fitted, ...more.fitted }, odometerKm: Math.max(unit.odometerKm, more.odometerKm) })] : [];
}

/** Writes that go with a signature: the kept context; the unit knows its new bearing; a cause seen on the bench is a confirmed outcome. */
export async function signingWrites(db: Db, job: JobRow, { ctx, state, choices }: JobNow, { odometerKm }: EventBody<'signed'>, data: string, atMs: number) {
  const { corner } = ctx;
  const part = chosenPart(ctx, choices);
  const fitted = corner !== 'unknown' && state.strokes['bearing-in'] && part ? { [corner]: { atKm: odometerKm, again: true, note: `${job.number}, ${partInShort(part)}` } } : {};
  const seen = state.results.find((r) => r.testId === 'bench' && r.place === corner && !r.skipped);
  const results = state.results.map(({ byId: _b, atMs: _a, ...r }) => r);
  return [
    putSnapshot(db, job.id, data),
    ...(await noteUnit(db, job.unitId, { odometerKm, fitted })),
    ...(seen?.result === 'sandy' ? [putOutcome(db, job.id, atMs, { jobNumber: job.number, layout: ctx.unit.layout, suspectId: `bearing-${corner}`, results })] : []),
  ];
}
