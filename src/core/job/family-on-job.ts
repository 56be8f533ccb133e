import type { CornerRecord } from '../corner-record.ts';
import {
  type Family,
  familyByCode,
  type FamilyCode,
  type Phase,
  type SchoolId,
  schools,
  strokesIn,
  type Walk,
  walkBy,
  walks,
  type WalkStep,
  walkSteps,
} from '../families/index.ts';
import type { PartKind } from '../matching/index.ts';
import type { Operation } from '../press/index.ts';
import { cornerRecord, type JobContext, type JobNow, once } from './job-now.ts';
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
export const walkOf = once((job: JobNow): Walk | undefined => {
  const code = familyCodeOf(job);
  return code && walkBy(walks[code], (id) => wayOf(job, id));
});

/** The way that is gone where nothing is chosen on the job: the shop's own, else ours. */
export const usualWay = ({ ctx }: { ctx: Pick<JobContext, 'shop'> }, id: SchoolId): string =>
  ctx.shop?.schools?.[id] ?? schools[id].options[0]?.id ?? '';

/** What was pressed already by one way of a question: from then on there is no other. */
export function begunBy(
  job: JobNow,
  id: SchoolId,
): { option: string; operation: Operation } | undefined {
  const code = familyCodeOf(job);
  const made = (code ? [...walks[code].out, ...walks[code].in] : []).find(
    (t) => t.kind === 'stroke' && t.way?.school === id && t.operation in job.state.strokes,
  );
  return made?.kind === 'stroke' && made.way
    ? { option: made.way.option, operation: made.operation }
    : undefined;
}

/** The way this job goes. */
export const wayOf = (job: JobNow, id: SchoolId): string =>
  begunBy(job, id)?.option ?? job.state.schools[id]?.option ?? usualWay(job, id);

/** Steps of the job's family on its route. */
export const stepsOf = (job: JobNow, phase: Phase): WalkStep[] =>
  walkSteps(walkOf(job)?.steps ?? [], phase, job.choices.plan?.value.route);

/** Strokes of the job, out and in, in order. */
export const strokesOf = once((job): Operation[] => {
  const walk = walkOf(job);
  return walk ? [...strokesIn(walk.out), ...strokesIn(walk.in)] : [];
});
