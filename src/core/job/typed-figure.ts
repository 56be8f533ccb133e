import { isCount } from '../matching/index.ts';
import type { EventBody, EventType } from '../schemas/events.ts';
import { dimensionOf } from '../prove/index.ts';
import { stageUnit } from '../torque/index.ts';
import { type Dimension, parseQuantity } from '../units/index.ts';
import { fastenersOf } from './fasteners-on-job.ts';
import type { JobNow } from './job-now.ts';
import { checksFor } from './owed.ts';
import { type Refusal, refuse } from './refusal.ts';

/** A figure, and the dimension that what was typed for it is read in. */
interface Figure {
  field: string;
  value: unknown;
  dimension: Dimension | undefined;
}

/** What was typed of a tool is what it showed. */
const readOf = (
  { actual, shown }: { actual?: number; shown?: number },
  dimension: Dimension | undefined,
): Figure =>
  dimension === 'torque' && shown !== undefined
    ? { field: 'shown', value: shown, dimension }
    : { field: 'actual', value: actual, dimension };

/** Entries that keep what was typed beside the figure that was read from it. */
const figureIn: { [T in EventType]?: (body: EventBody<T>, job: JobNow) => Figure } = {
  'old-part-read': (b) => ({
    field: 'valueMm',
    value: b.valueMm,
    dimension: isCount(b.dimension) ? 'count' : 'length',
  }),
  'figure-read': (b) => ({ field: 'value', value: b.value, dimension: 'length' }),
  'fact-seen': (b) => ({ field: 'amountMl', value: b.amountMl, dimension: 'volume' }),
  'stage-recorded': (b, { ctx }) => {
    const stage = ctx.procedure?.stages.find((s) => s.id === b.stageId);
    return readOf(b, stage && stageUnit(stage));
  },
  'fastener-tightened': (b, job) => {
    const round = fastenersOf(job).find((f) => f.id === b.fastenerId)?.rounds[b.round - 1];
    const dimension = round && 'angleDeg' in round ? 'angle' : 'torque';
    return readOf(b, dimension);
  },
  'check-recorded': (b, job) => {
    const check = checksFor(job).find((c) => c.id === b.checkId);
    return { field: 'value', value: b.value, dimension: check && dimensionOf(check) };
  },
};

/** Two readings of one text may differ by this share of it: no more than rounding. */
const roundingShare = 1e-5;

/** What was typed and the figure beside it are the same thing, or one of them is wrong. */
export function typedRefusal<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
): Refusal | undefined {
  const { typed } = body as { typed?: string };
  const of: (typeof figureIn)[T] = figureIn[type];
  if (typed === undefined || !of) return undefined;
  const { field, value, dimension } = of(body, job);
  if (typeof value !== 'number' || !dimension) return undefined;
  const read = parseQuantity(typed, dimension);
  if (read.ok && Math.abs(read.value - value) <= roundingShare * Math.max(1, Math.abs(value)))
    return undefined;
  return refuse(field, 'job.typed', { value, with: { typed } });
}
