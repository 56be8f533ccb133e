import { median } from '../median.ts';
import type { FamilyCode } from '../families/index.ts';
import type { LifeRecord } from './life.ts';

/** What jobs of one family took against what was planned for them. */
export interface TookAgainst {
  family: FamilyCode;
  jobs: { id: string; planned: number; worked: number }[];
  /** Middle of worked over planned. */
  ratio: number;
}

/** Families with the most jobs first; jobs of which either is not known are left out. */
export function tookAgainst(lives: readonly LifeRecord[]): TookAgainst[] {
  const by = new Map<FamilyCode, TookAgainst['jobs']>();
  for (const { id, family, minutes } of lives)
    if (minutes?.planned && minutes.worked !== undefined)
      by.set(family, [
        ...(by.get(family) ?? []),
        { id, planned: minutes.planned, worked: minutes.worked },
      ]);
  return [...by]
    .map(([family, jobs]) => ({
      family,
      jobs,
      ratio: median(jobs.map((j) => j.worked / j.planned)),
    }))
    .sort((a, b) => b.jobs.length - a.jobs.length);
}

/** What a shop takes against our minutes, for kinds of which it has enough jobs. */
export type Paces = Partial<Record<FamilyCode, { ratio: number; jobs: number }>>;

/** From so many jobs of a kind on, the shop's own pace is planned by. Our judgement. */
export const enoughJobs = 5;

/** The shop's own pace by family; none while too few jobs are known. */
export const pacesOf = (lives: readonly LifeRecord[]): Paces =>
  Object.fromEntries(
    tookAgainst(lives)
      .filter((t) => t.jobs.length >= enoughJobs)
      .map(({ family, ratio, jobs }) => [family, { ratio, jobs: jobs.length }]),
  );

/** The kind that took longest against its plan, of those with enough jobs; undefined where none has. */
export const slowest = (took: readonly TookAgainst[]): TookAgainst | undefined =>
  took.filter((t) => t.jobs.length >= enoughJobs).sort((a, b) => b.ratio - a.ratio)[0];

/** Worked over planned from which on a plan was too short. Our judgement. */
export const longerThanPlanned = 1.1;
