import {
  type Adapter,
  type Bench,
  benchFor,
  hammer,
  type Operation,
  type Press,
  type PressKind,
  requirement,
  type Requirement,
  solve,
  type SolveResult,
  type Stack,
} from '../press/index.ts';
import type { StackIds } from '../schemas/events.ts';
import { type JobNow, onceEach } from './job-now.ts';
import { schoolOf } from './school-on-job.ts';
import { fitsOf, workOf } from './seats-on-job.ts';

/** What one stroke asks of its pieces; undefined while geometry is missing or the family has no such stroke. */
export const requirementOf = onceEach((job, operation: Operation): Requirement | undefined => {
  const work = workOf(job);
  return work && requirement(operation, work);
});

/** Tools by how likely they are taken, on the bench and on the car. */
const toolOrder: Record<'onCar' | 'onBench', readonly PressKind[]> = {
  onCar: ['screw', 'ram'],
  onBench: ['press', 'ram', 'screw'],
};

/** What can give the force of a stroke on the chosen route, likeliest first: on the car no bench press, and a hammer only where it is a way. */
export function toolsFor({ ctx, choices }: JobNow, r: Requirement): Press[] {
  const order = toolOrder[choices.plan?.value.route === 'on-car' ? 'onCar' : 'onBench'];
  const ranked = order.flatMap((kind) => ctx.presses.filter((p) => (p.kind ?? 'press') === kind));
  // Where the part stands by itself on the vehicle, it is driven; a press cannot get there.
  return [...(r.support ? ranked : []), ...(r.hammer.allowed ? [hammer] : [])];
}

/** A press, ram or screw of the shop by its id, or the hammer that is always at hand. */
export const pressById = ({ ctx }: JobNow, id: string | undefined): Press | undefined =>
  [...ctx.presses, hammer].find((p) => p.id === id);

/** The setup of a stroke with one tool; undefined while geometry is missing. */
function benchWith(job: JobNow, operation: Operation, press: Press): Bench | undefined {
  const work = workOf(job);
  const fits = fitsOf(job);
  const bench = work && fits && benchFor(operation, work, press, fits, schoolOf(job));
  if (!bench) return undefined;
  const goesBack = job.choices[`stack-${operation}`]?.value.usedAgain === true;
  return !bench.requirement.fitting && goesBack ? { ...bench, usedAgain: true } : bench;
}

const benchOnJob = onceEach((job, operation: Operation): Bench | undefined => {
  const r = requirementOf(job, operation);
  if (!r) return undefined;
  const { strokes } = job.state;
  const named = strokes[operation]?.pressId ?? job.choices[`stack-${operation}`]?.value.pressId;
  const press = pressById(job, named);
  if (press) return benchWith(job, operation, press);
  // The first tool that a stack of this kit can be laid for.
  const benches = toolsFor(job, r).flatMap((p) => benchWith(job, operation, p) ?? []);
  return benches.find((b) => solve(job.ctx.adapters, b, 1).solutions.length > 0) ?? benches[0];
});

/**
 * The setup of one stroke with the tool it was recorded with, chosen with, or can be done with; or with a named tool.
 * Undefined while geometry or tool is missing.
 */
export function benchOf(job: JobNow, operation: Operation, pressId?: string): Bench | undefined {
  if (pressId === undefined) return benchOnJob(job, operation);
  const press = pressById(job, pressId);
  return press && benchWith(job, operation, press);
}

/** The best stacks of the shop's kit for a stroke; undefined while its setup is. */
export const solvedFor = onceEach((job, operation: Operation): SolveResult | undefined => {
  const bench = benchOf(job, operation);
  return bench && solve(job.ctx.adapters, bench);
});

/** Pieces of a chosen stack; undefined when one of them is not in the kit. */
export function stackOf({ ctx }: JobNow, ids: StackIds): Stack | undefined {
  const piece = (id: string | undefined): Adapter | undefined =>
    ctx.adapters.find((a) => a.id === id);
  const [cap, pusher, support, riser] = [ids.capId, ids.pusherId, ids.supportId, ids.riserId].map(
    piece,
  );
  const lost =
    (ids.capId && !cap) || (ids.supportId && !support) || (ids.riserId && !riser) || !pusher;
  if (lost) return undefined;
  return {
    ...(cap ? { cap } : {}),
    pusher,
    ...(support ? { support } : {}),
    ...(riser ? { riser } : {}),
  };
}
