import type { CornerRecord } from '../corner-record.ts';
import {
  type Family,
  familyByCode,
  type FamilyCode,
  type Phase,
  strokesIn,
  type Walk,
  walks,
  type WalkStep,
  walkSteps,
} from '../families/index.ts';
import type { PartKind } from '../matching/index.ts';
import type { Operation } from '../press/index.ts';
import { cornerRecord, type JobNow, once } from './job-now.ts';
import type { JobState } from './state.ts';

/** What was seen and named by hand goes before the unit's record; undefined while neither says. */
export const familyNamed = (
  record: CornerRecord | undefined,
  state: JobState,
): FamilyCode | undefined => state.family?.code ?? familyByCode(record?.family)?.code;

export const familyCodeOf = (job: JobNow): FamilyCode | undefined =>
  familyNamed(cornerRecord(job), job.state);
export const familyOf = (job: JobNow): Family | undefined => familyByCode(familyCodeOf(job));
/** What kind of part the job needs; a ring set while no family is named. */
export const kindOf = (job: JobNow): PartKind => familyOf(job)?.kind ?? 'ring-set';

/** How the job's family is walked; undefined while none is named. */
export function walkOf(job: JobNow): Walk | undefined {
  const code = familyCodeOf(job);
  return code && walks[code];
}

/** Steps of the job's family on its route. */
export const stepsOf = (job: JobNow, phase: Phase): WalkStep[] =>
  walkSteps(walkOf(job)?.steps ?? [], phase, job.choices.plan?.value.route);

/** Strokes of the job, out and in, in order. */
export const strokesOf = once((job): Operation[] => {
  const walk = walkOf(job);
  return walk ? [...strokesIn(walk.out), ...strokesIn(walk.in)] : [];
});
