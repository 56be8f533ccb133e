import { strokesIn, usedUpBy } from '../families/index.ts';
import { strokesBefore, undoneBy, undoneWith } from '../families/order.ts';
import { figuresFor, type Operation, operationNames } from '../press/index.ts';
import type { EventBody, EventType } from '../schemas/events.ts';
import { procedureDone } from '../torque/index.ts';
import { outByHand } from './falls.ts';
import { familyCodeOf, walkOf } from './family-on-job.ts';
import { isSpent } from './items-on-job.ts';
import type { JobNow } from './job-now.ts';
import { type Need, needsOf } from './order.ts';
import { isRebuilt, owedAt } from './owed.ts';
import { fittedStrokes, isFitted, notRight } from './press-on-job.ts';
import { type Refusal, refuse } from './refusal.ts';
import { seatName } from './seats-on-job.ts';
import { type Station, stationNames, stations } from './stations.ts';
import { beforeStroke } from './stroke-interlocks.ts';

/** The body of an entry as far as a need looks at it; each need belongs to entries that have its fields. */
type Body = Partial<
  EventBody<'seat-read'> &
    EventBody<'figure-read'> &
    EventBody<'stroke-reading'> &
    EventBody<'stroke-recorded'> &
    EventBody<'step-done'> &
    EventBody<'fact-seen'> &
    EventBody<'diagnosis-accepted'> &
    EventBody<'family-named'> &
    EventBody<'station-done'> &
    EventBody<'overridden'> &
    EventBody<'trace-kept'>
>;

const workBegun = ({ state }: JobNow): boolean =>
  [state.strokes, state.facts, state.seats, state.felt].some((x) => Object.keys(x).length > 0);

const nutDone = ({ ctx, state }: JobNow): boolean =>
  ctx.procedure !== undefined && procedureDone(ctx.procedure, state.stages);

const needs: Record<Need, (b: Body, job: JobNow, by?: string) => Refusal | undefined> = {
  'same-corner': (b, job) =>
    workBegun(job) && b.suspectId !== `bearing-${job.ctx.corner}`
      ? refuse('suspectId', 'job.corner-kept', { part: job.ctx.corner })
      : undefined,
  'nothing-pressed': (b, job) =>
    Object.keys(job.state.strokes).length > 0 && b.code !== familyCodeOf(job)
      ? refuse('code', 'job.family-kept')
      : undefined,
  'nothing-fitted': (_b, job) => (isFitted(job) ? refuse('type', 'match.fitted') : undefined),
  'seat-bare': (b, job) => {
    const part = b.seat ? seatName(job, b.seat).toLowerCase() : '';
    if (isFitted(job)) return refuse('seat', 'seat.covered', { part });
    const out = walkOf(job)?.out ?? [];
    const open = strokesIn(out).find((o) => !(o in job.state.strokes));
    if (open) return refuse('seat', 'press.order', { part: operationNames[open] });
    const byHand = out
      .flatMap((t) => (t.kind === 'facts' ? t.facts : []))
      .find((f) => (outByHand as readonly string[]).includes(f) && !job.state.facts.includes(f));
    return byHand ? refuse('seat', 'seat.old-in', { part }) : undefined;
  },
  'not-used-before': (b, job) => {
    if (b.phase === 'strip' || b.absent) return undefined;
    const code = familyCodeOf(job);
    const does = [b.operation, b.factId, b.stepId].filter((x) => x !== undefined);
    const used = code && usedUpBy(code, does).find((i) => isSpent(i.id, job.state));
    return used && refuse('type', 'match.spent', { part: used.name });
  },
  'strokes-before-fact': ({ factId, absent }, job) => {
    const walk = walkOf(job);
    if (!walk || !factId) return undefined;
    const before = strokesBefore(walk, factId);
    const open = before.find((o) => !(o in job.state.strokes));
    if (open) return refuse('factId', 'press.order', { part: operationNames[open] });
    // What is wrong may be said of a stroke that is wrong; that all is well may not.
    const bad = absent ? undefined : before.find((o) => notRight(job, o));
    return bad && refuse('factId', 'press.stroke-not-right', { part: operationNames[bad] });
  },
  'nut-untouched': (_b, { ctx, state }) =>
    state.stages.length > 0 || (ctx.procedure && !state.procedure)
      ? refuse('procedure', 'torque.procedure-kept')
      : undefined,
  'figure-free': (b, job) => {
    const figure = figuresFor(familyCodeOf(job)).find((f) => f.path === b.path);
    const made = figure?.needs.find((o) => o in job.state.strokes);
    return made && refuse('path', 'figure.used', { part: operationNames[made] });
  },
  'stroke-in-order': (b, job, by) => {
    const { operation } = b;
    if (!operation) return undefined;
    return takenApartInOrder(operation, job) ?? beforeStroke(operation, job, by, b.pressId);
  },
  'fitted-before-rebuild': (b, job) =>
    b.phase === 'rebuild' ? fittedRefusal('phase', job) : undefined,
  fitted: (_b, job) => fittedRefusal('fastenerId', job),
  rebuilt: (_b, job) =>
    fittedRefusal('stageId', job) ??
    (isRebuilt(job) ? undefined : refuse('stageId', 'torque.not-rebuilt')),
  closed: (_b, { state }) => (state.closed ? undefined : refuse('type', 'job.not-closed')),
  'nut-done': (_b, job) => (nutDone(job) ? undefined : refuse('checkId', 'prove.nut-first')),
  'nut-done-for-after': (b, job) =>
    b.when === 'before' || nutDone(job) ? undefined : refuse('when', 'prove.nut-first'),
  signed: (_b, { state }) => (state.signed ? undefined : refuse('type', 'job.not-signed')),
  'seat-measured': (b, { state }) => {
    const seat = (['bore', 'journal'] as const).find((s) => b.rule === `seat.${s}`);
    return seat && !state.seats[seat] && !state.felt[seat]
      ? refuse('rule', 'seat.not-read')
      : undefined;
  },
  'earlier-stations': (b, { state }) => {
    const before = stations.slice(0, stations.indexOf((b.station ?? 'prove') as Station));
    const earlier = before.find((s) => !state.done.includes(s));
    return earlier && refuse('station', 'job.order', { part: stationNames[earlier] });
  },
};

/** Nothing goes back on to what is not pressed home. */
function fittedRefusal(field: string, job: JobNow): Refusal | undefined {
  const [owed] = owedAt('press-in', job);
  return owed && { ...owed, field };
}

/** Taken apart in the order in which it was fitted, last first; and nothing is pressed under what stands on it. */
function takenApartInOrder(operation: Operation, job: JobNow): Refusal | undefined {
  const fitted = fittedStrokes(job);
  const order = strokesIn(walkOf(job)?.in ?? []);
  const at = order.indexOf(operation);
  if (at >= 0) {
    const onTop = fitted.find((o) => order.indexOf(o) > at);
    return onTop && refuse('operation', 'press.covered', { part: operationNames[onTop] });
  }
  const undone = undoneBy(operation);
  const last = fitted.at(-1);
  if (undone.length === 0 || !last || undone.includes(last)) return undefined;
  const first = undoneWith(last);
  return first && refuse('operation', 'press.order', { part: operationNames[first] });
}

/** The first thing that must stand before this entry and does not. */
export function unmet(
  type: EventType,
  body: object,
  job: JobNow,
  by?: string,
): Refusal | undefined {
  for (const need of needsOf(type)) {
    const refused = needs[need](body as Body, job, by);
    if (refused) return refused;
  }
  return undefined;
}
