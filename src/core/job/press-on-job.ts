import { type CautionId, type FactId, strokesIn, type Task } from '../families/index.ts';
import {
  type Adapter,
  classFits,
  decidingFigures,
  type Figure,
  figureAt,
  hammer,
  judgeStroke,
  type OpenFigure,
  openSetup,
  type Operation,
  type Press,
  type PressKind,
  requirement,
  type Requirement,
  type Setup,
  setupFor,
  type SetupWith,
  solveOnce,
  type StrokeWay,
  typedCall,
  type SolveResult,
  type Stack,
} from '../press/index.ts';
import type { StackIds } from '../schemas/events.ts';
import { walkOf } from './family-on-job.ts';
import { cornerDrawn, unknownOfStroke } from './figures-on-job.ts';
import { type JobNow, onceEach } from './job-now.ts';
import { schoolOf } from './school-on-job.ts';
import { fitsOf, workOf, workWith } from './seats-on-job.ts';

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
  const ranked = order.flatMap((kind) =>
    ctx.presses.filter((p) => !p.retired && (p.kind ?? 'press') === kind),
  );
  // Where the part stands by itself on the vehicle, it is driven; a press cannot get there.
  return [...(r.support ? ranked : []), ...(r.hammer.allowed ? [hammer] : [])];
}

/** A press, ram or screw of the shop by its id, or the hammer that is always at hand. */
export const pressById = ({ ctx }: JobNow, id: string | undefined): Press | undefined =>
  [...ctx.presses, hammer].find((p) => p.id === id);

/** The caution that goes with a tool: blows are another danger than a ram. */
export const dangerOf = (press: Press): CautionId => (press.kind === 'hammer' ? 'hammer' : 'press');

/** How a stroke is laid out with one tool when figures of the corner have these values. */
function layOut(job: JobNow, operation: Operation, press: Press): SetupWith {
  const goesBack = job.choices[`stack-${operation}`]?.value.usedAgain === true;
  return (values) => {
    const work = workWith(job, values);
    if (!work) return undefined;
    const r = requirement(operation, work);
    // The old part's fit is not the new one's: what was measured since says nothing of the force that took it off.
    const fits = r?.fitting === false ? classFits(work) : fitsOf(job);
    const setup = fits && setupFor(operation, work, press, fits, schoolOf(job));
    return setup && !setup.requirement.fitting && goesBack ? { ...setup, usedAgain: true } : setup;
  };
}

/** Lengths of a stroke that nobody knows, and where they can lie. */
const lengthsOpen = (job: JobNow, operation: Operation): OpenFigure[] =>
  unknownOfStroke(job, operation).flatMap(({ path, name }) => {
    const span = cornerDrawn(job)?.spans.get(path);
    return span ? [{ path, name, span }] : [];
  });

/**
 * Figures that nobody knows and a stroke cannot be laid out without, in the order of reach: the words, and what its way
 * rests on. The others are asked for as a stack needs them.
 */
export const readFirst = onceEach((job, operation: Operation): Figure[] => {
  const deciding = decidingFigures(lengthsOpen(job, operation), layOut(job, operation, hammer));
  return unknownOfStroke(job, operation).filter(
    (f) => f.options !== undefined || deciding.some((d) => d.path === f.path),
  );
});

/** The setup of a stroke with one tool; undefined while geometry is missing. */
function setupWith(job: JobNow, operation: Operation, press: Press): Setup | undefined {
  if (readFirst(job, operation).length > 0) return undefined;
  const figures = lengthsOpen(job, operation);
  const drawn = new Map(figures.map((f) => [f.path, drawnMm(job, f)]));
  return openSetup(figures, drawn, layOut(job, operation, press));
}
const drawnMm = (job: JobNow, { path, span }: OpenFigure): number =>
  Number(figureAt(cornerDrawn(job)?.record, path) ?? span.low);

/** A stroke that was made is held against what was expected of it then, not against what was learned since. */
function asRecorded({ state }: JobNow, operation: Operation, setup: Setup): Setup {
  const made = state.strokes[operation];
  if (!made) return setup;
  const { requirement: r, forceKn } = setup;
  // Strokes recorded before this was written down counted a hub's way by the ring it goes through.
  const travelMm = operation === 'hub-in' ? r.seat.lengthMm : r.travelMm;
  const then = made.expected ?? { travelMm, forceKn };
  // Nothing of it is open any more.
  const { open: _open, ...known } = setup;
  return { ...known, forceKn: then.forceKn, requirement: { ...r, travelMm: then.travelMm } };
}

const setupOnJob = onceEach((job, operation: Operation): Setup | undefined => {
  const r = requirementOf(job, operation);
  if (!r) return undefined;
  const { strokes } = job.state;
  const named = strokes[operation]?.pressId ?? job.choices[`stack-${operation}`]?.value.pressId;
  const press = pressById(job, named);
  const setup = press && setupWith(job, operation, press);
  if (press) return setup && asRecorded(job, operation, setup);
  // The first tool that a stack of this kit can be laid for.
  const setups = toolsFor(job, r).flatMap((p) => setupWith(job, operation, p) ?? []);
  return setups.find((b) => solveOnce(job.ctx.adapters, b, 1).solutions.length > 0) ?? setups[0];
});

/**
 * The setup of one stroke with the tool it was recorded with, chosen with, or can be done with; or with a named tool.
 * Undefined while geometry or tool is missing.
 */
export function setupOf(job: JobNow, operation: Operation, pressId?: string): Setup | undefined {
  if (pressId === undefined) return setupOnJob(job, operation);
  const press = pressById(job, pressId);
  return press && setupWith(job, operation, press);
}

/** The best stacks of the shop's kit for a stroke; undefined while its setup is. */
export const solvedFor = onceEach((job, operation: Operation): SolveResult | undefined => {
  const setup = setupOf(job, operation);
  return setup && solveOnce(job.ctx.adapters, setup);
});

/** Fitting strokes of the job's walk that were made, in their order. */
export const fittedStrokes = (job: JobNow): Operation[] =>
  strokesIn(walkOf(job)?.in ?? []).filter((o) => o in job.state.strokes);

/** Whether the new part is on: a fitting stroke was made, or it was seen in its place where nothing is pressed. */
export const isFitted = (job: JobNow): boolean =>
  fittedStrokes(job).length > 0 ||
  (walkOf(job)?.in ?? []).some(
    (t) => t.kind === 'facts' && t.home && t.facts.every((f) => job.state.facts.includes(f)),
  );

/**
 * Whether a thing seen still holds: what was seen on the way out (ring out, collar off, guard on) was of the old part,
 * and is looked at anew once something was fitted after it.
 */
export function stillSeen(job: JobNow, fact: FactId): boolean {
  const { facts, seenAtMs, strokes } = job.state;
  if (!facts.includes(fact)) return false;
  const shows = (t: Task) => t.kind === 'facts' && t.facts.includes(fact);
  const { out = [], in: fitting = [] } = walkOf(job) ?? {};
  if (!out.some(shows)) return true;
  const fitted = fittedStrokes(job).map((o) => strokes[o]?.atMs ?? 0);
  if (fitted.length === 0) return true;
  const since = fitting.flatMap((t) => (t.kind === 'facts' ? t.facts : []));
  return Math.max(...fitted, ...since.map((f) => seenAtMs[f] ?? 0)) < (seenAtMs[fact] ?? 0);
}

/** The same as a screen asks it: while Press out is closed, what was seen there is not asked again. */
export const seenNow = (job: JobNow, fact: FactId): boolean =>
  job.state.done.includes('press-out') ? job.state.facts.includes(fact) : stillSeen(job, fact);

/** What was read of a stroke on its way: by a gauge that was followed, or typed and followed where it was enough. */
export function strokeWay(job: JobNow, operation: Operation, setup: Setup): StrokeWay {
  const { traces, readings: kept } = job.state;
  const readings = kept[operation] ?? [];
  return { readings, call: traces[operation]?.call ?? typedCall(readings, setup)?.call };
}

/** The verdict on a stroke that was kept; undefined before, or while its geometry is missing. */
export const strokeJudged = onceEach((job, operation: Operation) => {
  const stroke = job.state.strokes[operation];
  const setup = stroke && setupOf(job, operation);
  return setup && judgeStroke(stroke, setup, strokeWay(job, operation, setup));
});

/** A stroke that was made and is Stop: nothing goes on top of it. */
export const notRight = (job: JobNow, operation: Operation): boolean =>
  strokeJudged(job, operation)?.status === 'stop';

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
