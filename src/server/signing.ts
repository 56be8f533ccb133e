import { makeCard } from '../core/card/index.ts';
import {
  bearingFitted,
  chosenPart,
  fastenersLearned,
  isPractice,
  learnedOn,
  lifeBegun,
  lifeEnded,
  partFound,
  partUsed,
  type JobNow,
  project,
  racewaysBad,
} from '../core/job/index.ts';
import { partInShort } from '../core/matching/index.ts';
import type { EventBody, JobEvent } from '../core/schemas/events.ts';
import type { UnitRecord } from '../core/schemas/workshop.ts';
import type { JobRow } from '../db/jobs.ts';
import { putOutcome } from '../db/likelihood-tables.ts';
import type { Db } from '../db/open.ts';
import { getRecord, listRecords, putRecord } from '../db/records.ts';
import { putCard, putSnapshot, signedWithoutCard } from '../db/signed.ts';
import { isoDay } from '../core/units/index.ts';
import { sha256 } from './chain.ts';
import { type JobRecord, recordIn } from './job-record.ts';
import { zoneOf } from './shop.ts';
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

/** The life that this job begins, and the end of the one before it on the corner. */
async function lifeWrites(db: Db, job: JobRow, now: JobNow, atKm: number, atMs: number) {
  const day = isoDay(atMs, await zoneOf(db));
  const begun = lifeBegun(now, { number: job.number, atKm, day, atMs });
  if (!begun) return [];
  const before = (await listRecords(db, 'lives')).filter(
    (l) => l.unit === begun.unit && l.corner === begun.corner && l.end === 'running',
  );
  return [...before.map((l) => lifeEnded(l, now, { atKm, day })), begun].map((l) =>
    putRecord(db, 'lives', l.id, 0, l),
  );
}

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
  const seen = now.state.results.find(
    (r) => r.testId === 'bench' && r.place === corner && !r.skipped,
  );
  const outcome = {
    jobNumber: job.number,
    layout: unit.layout,
    suspectId: `bearing-${corner}`,
    results: now.state.results.map(({ byId: _b, atMs: _a, ...r }) => r),
  };
  const learned = learnedOn(now, job.number);
  const found = partFound(now) ?? partUsed(now);
  const frozen = [putSnapshot(db, job.id, kept.context), putCard(db, job.id, kept.card)];
  // Nothing is learned from practice: neither the unit nor the tests.
  if (isPractice(now)) return frozen;
  return [
    ...frozen,
    ...(await noteUnit(db, job.unitId, {
      odometerKm,
      fasteners: { ...unit.fasteners, ...fastenersLearned(now, job.number) },
      fitted: fittedBy(job, now, odometerKm),
      ...(learned && corner !== 'unknown'
        ? { corners: { ...unit.corners, [corner]: learned.corner } }
        : {}),
    })),
    ...(learned?.procedure
      ? [putRecord(db, 'procedures', learned.procedure.id, 0, learned.procedure)]
      : []),
    ...(await lifeWrites(db, job, now, odometerKm, atMs)),
    ...(found ? [putRecord(db, 'parts', found.number, 0, found)] : []),
    ...((racewaysBad(now) ?? seen?.result === 'sandy')
      ? [putOutcome(db, job.id, atMs, outcome)]
      : []),
  ];
}

/** Jobs signed before cards were kept get theirs once, from what they were judged against. */
export async function keepOldCards(db: Db): Promise<void> {
  for (const jobId of await signedWithoutCard(db)) {
    await putCard(db, jobId, JSON.stringify(makeCard(await recordIn(db, jobId))));
  }
}
