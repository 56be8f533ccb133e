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
