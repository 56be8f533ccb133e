import { fastenerKinds, fastenerName } from '../families/index.ts';
import type { EventBody } from '../schemas/events.ts';
import {
  type Fastener,
  isSaid,
  readThrough,
  type Round,
  roundsOf,
  settingOf,
  showsOther,
  type ToolWay,
  turnFault,
  type TightenWalk,
  tightenWalk,
} from '../torque/index.ts';
import { stepsOf } from './family-on-job.ts';
import { cornerRecord, type JobNow } from './job-now.ts';
import { fastenerOn } from './learned.ts';
import { type Refusal, refuse } from './refusal.ts';

/** A fastener of the rebuild besides the centre nut, and how far it has been brought. */
export interface FastenerOnJob {
  id: string;
  name: string;
  /** Step of the rebuild that it belongs to. */
  stepId: string;
  /** The check that answers for it at Prove, with the wheel on the ground; absent for what is done before. */
  answeredBy: string | undefined;
  /** As read here or on the unit's record. */
  figure: Fastener | undefined;
  why: string | undefined;
  /** How many stand in the circle; undefined until somebody has counted them. */
  count: number | undefined;
  rounds: readonly Round[];
  /** Undefined until the count is known. */
  walk: TightenWalk | undefined;
  singleUse: boolean;
}

const onePass = [1];

/** How many there are: as the first reading here has it, as the record says, as the kind always has. */
function countOf(id: string, figure: Fastener | undefined, job: JobNow): number | undefined {
  const begun = job.state.tightened[id]?.[0]?.of;
  const kind = fastenerKinds[id]?.count ?? 1;
  const known = kind === 'studs' ? cornerRecord(job)?.hub?.studs : kind;
  return begun ?? figure?.count ?? (typeof known === 'number' ? known : undefined);
}

function fastenerAt(
  { id, stepId, answeredBy }: Pick<FastenerOnJob, 'id' | 'stepId' | 'answeredBy'>,
  job: JobNow,
  counted?: number,
): FastenerOnJob {
  const kind = fastenerKinds[id];
  const figure = fastenerOn(job, id);
  const count = countOf(id, figure, job) ?? counted;
  const rounds = roundsOf(figure, kind?.shares ?? onePass);
  const readings = job.state.tightened[id] ?? [];
  return {
    id,
    name: figure?.name ?? fastenerName(id),
    stepId,
    answeredBy,
    figure,
    why: kind?.why,
    count,
    rounds,
    walk:
      count === undefined ? undefined : tightenWalk(count, rounds, readings, figure?.source ?? ''),
    singleUse: figure?.singleUse ?? kind?.singleUse ?? false,
  };
}

/** Every fastener of the rebuild besides the centre nut, in its order. */
export const fastenersOf = (job: JobNow): FastenerOnJob[] =>
  stepsOf(job, 'rebuild').flatMap((s) =>
    s.fastener ? [fastenerAt({ id: s.fastener, stepId: s.id, answeredBy: s.answeredBy }, job)] : [],
  );

/** Whether every bolt of it has had its turns. */
export const isTightened = ({ walk }: FastenerOnJob): boolean =>
  walk !== undefined && walk.next === undefined;

/** Whether any of its bolts has had a turn. */
export const isBegun = ({ id }: FastenerOnJob, { state }: JobNow): boolean =>
  (state.tightened[id] ?? []).length > 0;

/** A pattern laid out for a number that was just counted and is not on record yet. */
export const withCount = (f: FastenerOnJob, counted: number, job: JobNow): FastenerOnJob =>
  f.count === undefined ? fastenerAt(f, job, counted) : f;

/** What the record does not take of one turn. */
export function tightenedRefusal(
  b: EventBody<'fastener-tightened'>,
  job: JobNow,
): Refusal | undefined {
  const found = fastenersOf(job).find((x) => x.id === b.fastenerId);
  if (!found) return refuse('fastenerId', 'fastener.none', { part: b.fastenerId });
  const f = withCount(found, b.of, job);
  if (b.of !== f.count) return refuse('of', 'fastener.count', { value: f.count });
  if (!job.ctx.wrenches.some((w) => w.id === b.toolId && !w.retired))
    return refuse('toolId', 'kit.tool', { part: b.toolId });
  const fault = f.walk && turnFault(f.walk, f.rounds, b);
  if (fault) return { field: fault.rule === 'fastener.spoilt' ? 'part' : 'bolt', ...fault };
  const round = f.rounds[b.round - 1];
  const said = f.figure !== undefined && isSaid(f.figure);
  if (!said && b.to === undefined) return refuse('to', 'fastener.to-what');
  if (b.actual !== undefined && b.actual < 0) return refuse('actual', 'torque.sign');
  if (!round || !('torqueNm' in round)) return undefined;
  return toolRefusal(round.torqueNm, b, job);
}

/** Two figures of one torque may differ by this share of it: no more than rounding. */
const roundingShare = 1e-5;

type TorqueRead = Pick<
  EventBody<'fastener-tightened'>,
  'toolId' | 'through' | 'actual' | 'shown' | 'typed'
>;

/** What was typed of a wrench is what it showed, and what is at the nut follows from it. */
function shownRefusal(b: TorqueRead, way: ToolWay): Refusal | undefined {
  if (b.actual === undefined || (!showsOther(way) && b.shown === undefined)) return undefined;
  const part = way.wrench.name;
  if (b.shown === undefined)
    return b.typed === undefined ? undefined : refuse('shown', 'wrench.shown', { part });
  const { actual } = readThrough(b.shown, way);
  return Math.abs(actual - b.actual) <= roundingShare * Math.max(1, actual)
    ? undefined
    : refuse('actual', 'wrench.at-nut', {
        part,
        value: b.actual,
        unit: 'N·m',
        with: { shown: b.shown.toFixed(1), nut: actual.toFixed(1) },
      });
}

/** A tool that cannot give a torque, with what stands between it and the nut; or a figure that it cannot have shown. */
export function toolRefusal(nm: number, b: TorqueRead, { ctx }: JobNow): Refusal | undefined {
  const { toolId, through = {} } = b;
  const tool = ctx.wrenches.find((w) => w.id === toolId);
  if (!tool || tool.retired) return refuse('toolId', 'kit.tool', { part: toolId });
  const between = ctx.wrenches.find((w) => w.id === through.multiplierId);
  if (through.multiplierId !== undefined && (between?.ratio === undefined || between.retired))
    return refuse('through.multiplierId', 'kit.tool', { part: through.multiplierId });
  const way = settingOf(nm, tool, through, ctx.wrenches, '');
  if (way.lengthUnknown) return refuse('through.offsetMm', 'wrench.length', { part: tool.name });
  const gravest = way.verdicts.find((v) => v.status === 'stop');
  return gravest ? { field: 'toolId', ...gravest } : shownRefusal(b, way);
}
