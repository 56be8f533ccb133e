import { judgeRingHolds, type Operation, type Setup } from '../press/index.ts';
import type { Verdict } from '../verdict.ts';
import { type JobNow, onceEach } from './job-now.ts';
import { setupOf } from './press-on-job.ts';

/** What holds the shaft in its axle, once this ring is on: at least, kN, and against a hard bend where the axle's load is on record. */
export interface RingHolds {
  holdsKn: number;
  verdict?: Verdict | undefined;
}

/** What a stroke needs for the press ring alone, kN. */
const ringForceKn = ({ requirement: r, forceKn, thenKn }: Setup) =>
  r.operation === 'press-ring-on' ? forceKn : thenKn;

/** Of the stroke that puts the press ring on; undefined for every other and while its fit is not known. */
export const ringHolds = onceEach((job: JobNow, operation: Operation): RingHolds | undefined => {
  const setup = setupOf(job, operation);
  const ringKn = setup && ringForceKn(setup);
  if (!ringKn) return undefined;
  // What it takes to push it on at the least is what holds it at the least: a fit that has stood lets go later, not sooner.
  const holdsKn = ringKn.low;
  const { ctx } = job;
  const load = ctx.unit.axleLoadN?.[ctx.corner.endsWith('F') ? 'front' : 'rear'];
  return { holdsKn, verdict: load === undefined ? undefined : judgeRingHolds(holdsKn, load) };
});
