import { type Static, Type } from '@sinclair/typebox';
import { asc, eq } from 'drizzle-orm';
import type { RawJob } from '../core/schemas/raw-job.ts';
import { closed, Id, oneOf } from '../core/schemas/common.ts';
import { choiceKeys } from '../core/schemas/events.ts';
import { dropChoice, jobById } from '../db/jobs.ts';
import { getRecord } from '../db/records.ts';
import { choices, events } from '../db/schema.ts';
import { recordIn } from './job-record.ts';
import { leadByPin, peopleOf } from './people.ts';
import { notFound, Problem } from './problem.ts';
import { shopTitle, shopZone } from './shop.ts';
import { store } from './store.ts';

/** A job as its rows stand, and why it cannot be read; nothing of it is interpreted. */
export async function rawJob(id: string): Promise<RawJob> {
  const { db } = await store();
  const job = await jobById(db, id);
  if (!job) throw notFound('job', id);
  const why = await recordIn(db, id, true).then(
    () => undefined,
    (e: unknown) => (e instanceof Error ? e.message : 'unknown'),
  );
  const unit = await getRecord(db, 'units', job.unitId).catch(() => undefined);
  return {
    id,
    number: job.number,
    unit: unit?.fleetNo ?? job.unitId,
    corner: job.corner,
    startedMs: job.createdMs,
    ...(why === undefined ? {} : { why }),
    events: await db
      .select({ type: events.type, body: events.body, byId: events.byId, atMs: events.atMs })
      .from(events)
      .where(eq(events.jobId, id))
      .orderBy(asc(events.seq)),
    choices: await db
      .select({ key: choices.key, value: choices.value, byId: choices.byId, atMs: choices.atMs })
      .from(choices)
      .where(eq(choices.jobId, id)),
    people: await peopleOf(db),
    shop: await shopTitle(),
    timeZone: await shopZone(),
  };
}

export const TakeBackSchema = closed({
  byId: Id,
  pin: Type.String({ maxLength: 12 }),
  key: oneOf(choiceKeys),
});

/** A lead takes a choice back that no longer fits, so that the job can be read; what was recorded stays. */
export async function takeBack(
  id: string,
  { byId, pin, key }: Static<typeof TakeBackSchema>,
): Promise<RawJob> {
  const { db, writes } = await store();
  await leadByPin(db, byId, pin);
  const before = await rawJob(id);
  if (before.events.some((e) => e.type === 'signed'))
    throw new Problem(422, 'Not now', 'A signed job keeps its choices.', [
      { field: 'key', reason: 'Signed.' },
    ]);
  await writes.run(() => dropChoice(db, id, key));
  return rawJob(id);
}
