import { isDeepStrictEqual } from 'node:util';
import type { JobCorner } from '../core/corner.ts';
import { choiceRefusal, type JobView, kindRefusal } from '../core/job/index.ts';
import { hammer } from '../core/press/index.ts';
import { choiceBodies, type ChoiceKey } from '../core/schemas/events.ts';
import { choiceRow, insertJob, jobById, lastNumber, putChoice } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';
import { getRecord } from '../db/records.ts';
import { jobView, keptAs } from './job-record.ts';
import { partIndex } from './parts.ts';
import { personOrProblem } from './people.ts';
import { idTaken, invalid, Problem, refused } from './problem.ts';
import { store } from './store.ts';
import { validated } from './validate.ts';

export interface NewJob {
  id: string;
  unitId: string;
  corner: JobCorner;
  byId: string;
}

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

const kept = (id: string): Promise<JobView> => keptAs(id, jobView(id));

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
