import { complaintInShort } from '../core/diagnosis/index.ts';
import type { FloorRow, FloorView } from '../core/job/index.ts';
import { currentStation, familyOf, nextAction, recheck, spine } from '../core/job/index.ts';
import type {} from '../core/schemas/workshop.ts';
import { allJobs } from '../db/jobs.ts';
import { getMeta, listRecords } from '../db/records.ts';
import { jobRecord, type JobRecord, shopZone } from './job-record.ts';
import { people } from './people.ts';
import { store } from './store.ts';

/** The floor: one row a job, oldest first. */
export async function floorView(): Promise<FloorView> {
  const { db } = await store();
  const rows = await Promise.all(
    (await allJobs(db)).map(async (job) => floorRow(await jobRecord(job.id))),
  );
  return {
    shop: (await shopName()) ?? 'Workshop',
    rows,
    units: await listRecords(db, 'units'),
    people: await people(),
    nowMs: Date.now(),
    timeZone: shopZone,
  };
}

function floorRow({ job, events, people: all, ...now }: JobRecord): FloorRow {
  const due = recheck(now);
  const by = events.at(-1)?.byId ?? job.byId;
  return {
    id: job.id,
    number: job.number,
    fleetNo: now.ctx.unit.fleetNo,
    unitName: now.ctx.unit.name,
    corner: now.ctx.corner,
    complaint: complaintInShort(now.state.complaint),
    family: familyOf(now)?.name ?? 'Bearing not on record',
    spine: spine(now),
    next: nextAction(now),
    station: currentStation(now.state.done),
    timers: now.state.timers,
    startedMs: job.createdMs,
    who: all.find((p) => p.id === by)?.name ?? by,
    ...(due ? { recheck: due } : {}),
    ...(now.state.closed ? { closed: now.state.closed } : {}),
  };
}

export async function shopName(): Promise<string | undefined> {
  return getMeta((await store()).db, 'shop');
}
