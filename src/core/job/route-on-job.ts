import type { Route } from '../families/index.ts';
import { schedule } from '../plan/index.ts';
import { familyOf, strokesOf } from './family-on-job.ts';
import { type JobNow, once } from './job-now.ts';
import { paceOf } from './pace-on-job.ts';
import { solvedFor } from './press-on-job.ts';

/** A route as it would go here: how long, and what this shop lacks for it. */
export interface WeighedRoute {
  route: Route;
  /** Strokes that this shop's kit and tools cannot set up on this route, and those whose best stack is no better than Check. */
  gaps: number;
  checks: number;
  strokes: number;
  /** To the end, its alignment counted. */
  minutes: number;
  /** With hands on it. */
  handsMin: number;
}

/** How it is planned while nothing is chosen: the penetrant has its time, nothing is chilled. */
export const unchosen = { soak: true, chill: false };

/** The same job planned on another route. */
const onRoute = (job: JobNow, route: Route['id']): JobNow => ({
  ctx: job.ctx,
  state: job.state,
  choices: {
    ...job.choices,
    plan: { version: 0, value: { ...unchosen, ...job.choices.plan?.value, route } },
  },
});

function weighed(job: JobNow, route: Route): WeighedRoute {
  const there = onRoute(job, route.id);
  const best = strokesOf(there).map((o) => solvedFor(there, o)?.solutions[0]?.judgement.status);
  const gaps = best.filter((s) => s === undefined).length;
  const checks = best.filter((s) => s === 'check').length;
  const plan = { ...unchosen, ...job.choices.plan?.value, route: route.id };
  const family = familyOf(job)?.code;
  const { endMin, handsOnMin } = schedule({
    ...plan,
    family,
    pace: paceOf(job, family)?.ratio,
  });
  const strokes = best.length;
  return {
    route,
    gaps,
    checks,
    strokes,
    minutes: endMin + route.alignmentMin,
    handsMin: handsOnMin,
  };
}

/** Every route that is walked here, as it would go with this kit. */
export const weighedRoutes = once((job): WeighedRoute[] =>
  (familyOf(job)?.routes ?? []).filter((r) => r.walked).map((r) => weighed(job, r)),
);

/** The route to begin with: the one whose strokes can be set up here and best, then the shorter with its alignment; and why. */
export const usualRoute = once((job): { id: Route['id']; reason: string } => {
  const [best, next] = [...weighedRoutes(job)].sort(
    (a, b) => a.gaps - b.gaps || a.checks - b.checks || a.minutes - b.minutes,
  );
  if (!best) return { id: 'bench', reason: '' };
  return { id: best.route.id, reason: `${best.route.name} first: ${reasonFor(best, next)}` };
});

function reasonFor(best: WeighedRoute, next: WeighedRoute | undefined): string {
  if (!next) return 'the only way walked here.';
  const other = `“${next.route.name}”`;
  if (next.gaps > best.gaps) return `the kit here cannot set up every stroke of ${other}.`;
  if (next.checks > best.checks) return `every stack stands better than on ${other}.`;
  const less = Math.round(next.minutes - best.minutes);
  return `${less} min less than ${other}, alignment counted.`;
}
