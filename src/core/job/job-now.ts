import { type CornerRecord } from '../corner-record.ts';
import { corners, type JobCorner } from '../corner.ts';
import type { LikelihoodTables } from '../diagnosis/index.ts';
import type { Instrument } from '../fits/index.ts';
import type { CataloguePart } from '../matching/index.ts';
import type { Adapter, Press } from '../press/index.ts';
import type { ShopOfJob } from '../schemas/shop.ts';
import type { Choices } from '../schemas/events.ts';
import type { UnitRecord } from '../schemas/workshop.ts';
import type { Procedure, Wrench } from '../torque/index.ts';
import type { JobState } from './state.ts';

/** All that a job is judged against: the unit's record and what the shop owns. */
export interface JobContext {
  unit: UnitRecord;
  corner: JobCorner;
  parts: CataloguePart[];
  adapters: Adapter[];
  presses: Press[];
  instruments: Instrument[];
  wrenches: Wrench[];
  procedure?: Procedure;
  /** The likelihood tables as the shop keeps them. */
  tables: LikelihoodTables;
  /** Absent in jobs of before shops were told apart. */
  shop?: ShopOfJob;
}

/**
 * One reading of a job: what it is judged against, what was done, what was chosen. It is never changed; a later
 * reading is another object. What follows from it is worked out once, when first asked for: see `once`.
 */
export interface JobNow {
  ctx: JobContext;
  state: JobState;
  choices: Choices;
}

/** Works something out of a reading once and keeps it as long as the reading lives. */
export function once<T>(work: (job: JobNow) => T): (job: JobNow) => T {
  const kept = new WeakMap<JobNow, { value: T }>();
  return (job) => {
    let found = kept.get(job);
    if (!found) kept.set(job, (found = { value: work(job) }));
    return found.value;
  };
}

/** The same for each of several things of a job, named by a key. */
export function onceEach<K extends string, T>(
  work: (job: JobNow, key: K) => T,
): (job: JobNow, key: K) => T {
  const tables = once(() => new Map<K, { value: T }>());
  return (job, key) => {
    const table = tables(job);
    let found = table.get(key);
    if (!found) table.set(key, (found = { value: work(job, key) }));
    return found.value;
  };
}

/** What the unit's record says of the job's corner; undefined where it says nothing. */
export const cornerRecord = ({
  ctx: { unit, corner },
}: {
  ctx: Pick<JobContext, 'unit' | 'corner'>;
}): CornerRecord | undefined => (corner === 'unknown' ? undefined : unit.corners[corner]);

/** The corner the job is about: what the diagnosis named, else the one it was started on. */
export function cornerOfJob(startedOn: JobCorner, state: JobState): JobCorner {
  const named = corners.find((c) => state.diagnosis?.suspectId === `bearing-${c}`);
  if (named) return named;
  return startedOn !== 'unknown' ? startedOn : (state.complaint?.corner ?? 'unknown');
}

/** Instruments that are still in use. */
export const instrumentsInUse = ({ ctx }: JobNow): Instrument[] =>
  ctx.instruments.filter((i) => !i.retired);

/** An instrument that is still on record. */
export const instrumentById = ({ ctx }: JobNow, id: string | undefined): Instrument | undefined =>
  ctx.instruments.find((i) => i.id === id);
