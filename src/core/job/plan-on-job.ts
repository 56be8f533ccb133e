import type { Corner, JobCorner } from '../corner.ts';
import type { FamilyCode } from '../families/index.ts';
import type { ChoiceBody } from '../schemas/events.ts';
import {
  type CornerWork,
  type Progress,
  scheduleAll,
  tasksOf,
  type WorkToPlan,
} from '../plan/index.ts';
import { familyCodeOf, stepsOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { isRebuilt } from './owed.ts';
import { paceOf } from './pace-on-job.ts';
import { unchosen, usualRoute } from './route-on-job.ts';
import { timerNow } from './timers.ts';

export type PlanChoice = ChoiceBody<'plan'>;

/** The plan as chosen; the usual route, with the soak and one pair of hands, while nothing is. */
export const planOf = (job: JobNow): PlanChoice =>
  job.choices.plan?.value ?? { route: usualRoute(job).id, ...unchosen };

/** Another corner of the same car that has an open job of its own. */
export interface OnVisit {
  jobId: string;
  number: string;
  corner: Corner;
  family: FamilyCode | undefined;
  plan: PlanChoice;
  /** Its work was begun. */
  begun: boolean;
}

const workOn = (
  family: FamilyCode | undefined,
  { route, soak, chill }: PlanChoice,
  corner?: string,
): CornerWork => ({ family, route, soak, chill, ...(corner ? { corner } : {}) });

/** The same work by the shop's own pace. */
const paced = (job: JobNow, work: CornerWork): CornerWork => ({
  ...work,
  pace: paceOf(job, work.family)?.ratio,
});

/** How far the tasks of this job have come, by what stands in its record; empty before work was begun. */
export function progressOf(job: JobNow, nowMs: number): Map<string, Progress> {
  const { state } = job;
  const progress = new Map<string, Progress>();
  if (!state.done.includes('plan')) return progress;
  const stripped = new Set(state.stepsDone.strip);
  const strip = stepsOf(job, 'strip').map((s) => s.id);
  const soak = strip.indexOf('soak') + 1;
  const all = (ids: readonly string[]) => ids.every((id) => stripped.has(id));
  const over = (id: string, is: boolean) => is && progress.set(id, { over: true });
  const waits = (timerId: string): Progress => {
    const timer = state.timers.find((t) => t.id === timerId);
    if (!timer || timerNow(timer, nowMs).stand !== 'running') return { over: true };
    return { handsLeftMin: 0, waitLeftMin: Math.ceil((timer.endsMs - nowMs) / 60_000) };
  };
  if (all(strip.slice(0, soak))) progress.set('prepare', waits('soak'));
  if (state.timers.some((t) => t.id === 'chill')) progress.set('chill', waits('chill'));
  over('strip', all(strip));
  for (const id of ['stack', 'press-out', 'measure']) over(id, state.done.includes('press-out'));
  for (const id of ['press-in', 'unit', 'chill']) over(id, state.done.includes('press-in'));
  over('rebuild', state.done.includes('press-in') && isRebuilt(job));
  over('torque', state.done.includes('torque'));
  over('prove', state.signed !== undefined);
  return progress;
}

/** Minutes with hands on this job by our own figures, from its beginning: what the shop's pace is told against. */
export const plannedMinutes = (job: JobNow): number =>
  scheduleAll({ corners: [workOn(familyCodeOf(job), planOf(job))] }).handsOnMin;

/** A corner is worked on once at a time: of several jobs on one of them the first is planned. */
const oneEach = (list: readonly OnVisit[], own: JobCorner): OnVisit[] =>
  list.filter((o, i) => o.corner !== own && list.findIndex((x) => x.corner === o.corner) === i);

/** What is left of this job, alone or with other corners of the same car, as it is planned. */
export function workLeft(
  job: JobNow,
  nowMs: number,
  beside: readonly OnVisit[] = [],
): Required<WorkToPlan> {
  const plan = planOf(job);
  const others = oneEach(beside, job.ctx.corner);
  const own = others.length > 0 ? job.ctx.corner : undefined;
  const works = [
    paced(job, workOn(familyCodeOf(job), plan, own)),
    ...others.map((o) => paced(job, workOn(o.family, o.plan, o.corner))),
  ];
  const prefix = own ? `${own}:` : '';
  const known = new Set(works.flatMap(tasksOf).map((t) => t.id));
  const progress = new Map(
    [...progressOf(job, nowMs)]
      .map(([id, p]): [string, Progress] => [prefix + id, p])
      .filter(([id]) => known.has(id)),
  );
  return { corners: works, people: plan.people ?? 1, progress };
}
