import { resultFault, testById } from '../diagnosis/index.ts';
import { answersFault, familiesBy, itemsOf } from '../families/index.ts';
import { isSlip } from '../fits/index.ts';
import { bearingFaults, isCount, readingFault } from '../matching/index.ts';
import { traceFault } from '../press/index.ts';
import { type Found, type RuleId, type Said, saying, sentence } from '../rules/index.ts';
import type { EventBody, EventType } from '../schemas/events.ts';
import { orderFault, walkProcedure } from '../torque/index.ts';
import { worst } from '../verdict.ts';
import { familyCodeOf, stepsOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { checksFor, owedAt } from './owed.ts';
import { partByNumber } from './part-on-job.ts';
import { seatOf, seatResult, workOf } from './seats-on-job.ts';
import { overrideOf } from './state.ts';
import { type Station, stationNames, stations } from './stations.ts';
import { bearingIsOut, beforeStroke, strokeRefusal } from './stroke-interlocks.ts';

/** Why something may not be recorded now: the field of the entry, and the rule with its figures. */
export interface Refusal extends Said {
  field: string;
}
export const refuse = (field: string, rule: RuleId, found: Found = {}): Refusal => ({
  field,
  ...saying(rule, 'refuses', found),
});
/** The way on, in a sentence. */
export const reasonOf = (r: Refusal): string => sentence(r);

type Guards = {
  [T in EventType]?: (body: EventBody<T>, job: JobNow, by?: string) => Refusal | undefined;
};

const fault = (f: { field: string; reason: string } | undefined, rule: RuleId, under = '') =>
  f && refuse(under + f.field, rule, { with: { fault: f.reason } });

/** The instrument that read is one of the shop's. */
const instrumentRefusal = ({ ctx }: JobNow, id: string) =>
  ctx.instruments.some((i) => i.id === id)
    ? undefined
    : refuse('instrumentId', 'kit.instrument', { part: id });

/** A station is closed only after those before it; the signature closes the last. */
function earlierStation(station: Station, field: string, { state }: JobNow): Refusal | undefined {
  const before = stations.slice(0, stations.indexOf(station));
  const earlier = before.find((s) => !state.done.includes(s));
  return earlier && refuse(field, 'job.order', { part: stationNames[earlier] });
}

const guards: Guards = {
  'test-recorded': (b, { state, ctx }) => {
    const wrong = resultFault(b);
    if (wrong) return fault(wrong, 'diagnose.result');
    if (testById(b.testId)?.state !== 'off') return undefined;
    if (b.place !== ctx.corner)
      return refuse('place', 'diagnose.bench-corner', { part: ctx.corner });
    return bearingIsOut(state) ? undefined : refuse('testId', 'diagnose.not-off');
  },
  'item-marked': (b, job) =>
    itemsOf(familyCodeOf(job)).some((i) => i.id === b.itemId)
      ? undefined
      : refuse('itemId', 'match.item', { part: b.itemId }),
  'step-done': (b, job) =>
    stepsOf(job, b.phase).some((s) => s.id === b.stepId)
      ? undefined
      : refuse('stepId', 'plan.step', { part: b.stepId, with: { phase: b.phase } }),
  'old-part-read': (b, job) => {
    const unknown = instrumentRefusal(job, b.instrumentId);
    if (unknown) return unknown;
    const wrong = readingFault(b.dimension, b.valueMm, job.state.oldReadings);
    if (wrong) return refuse('valueMm', 'match.reading', { with: { fault: wrong } });
    const broken = isCount(b.dimension) && !Number.isInteger(b.valueMm);
    return broken ? refuse('valueMm', 'match.count') : undefined;
  },
  'family-named': (b) => {
    const wrong = answersFault(b.answers);
    if (wrong) return refuse('answers', 'match.family', { with: { fault: wrong } });
    // Named by hand without a question is allowed; a probability that the answers do not give is not.
    if (Object.keys(b.answers).length === 0) return undefined;
    const given = familiesBy(b.answers).find((f) => f.code === b.code)?.probability ?? 0;
    return Math.abs(given - b.probability) > 0.01
      ? refuse('probability', 'match.family')
      : undefined;
  },
  'part-entered': (b, { ctx }) => {
    const wrong = bearingFaults(b.part.bearing)[0];
    if (wrong) return fault(wrong, 'match.part', 'part.bearing.');
    const twice = ctx.parts.some((p) => p.number === b.part.number && !p.byHand);
    return twice ? refuse('part.number', 'match.part-twice', { part: b.part.number }) : undefined;
  },
  'seat-read': (b, job) => {
    const unknown = instrumentRefusal(job, b.instrumentId);
    if (unknown) return unknown;
    const seat = seatOf(job, b.seat);
    if (!seat) return refuse('seat', 'press.geometry', workOf(job) ? { part: b.seat } : {});
    const slip = b.readingsMm.flat().find((mm) => isSlip(mm, seat.nominalMm));
    if (slip === undefined) return undefined;
    const nominal = { with: { nominal: seat.nominalMm } };
    return refuse('readingsMm', 'seat.reading', { value: slip, unit: 'mm', ...nominal });
  },
  'seat-judged': (b, job) => {
    if (b.decision === 'replace') return undefined;
    const result = seatResult(job, b.seat);
    if (!result) return refuse('seat', 'seat.not-read');
    const [gravest] = result.verdicts;
    const stopped = worst(result.verdicts) === 'stop' && !overrideOf(job.state, `seat.${b.seat}`);
    if (!stopped || !gravest) return undefined;
    return refuse('decision', 'seat.stop', { with: { because: sentence(gravest) } });
  },
  'part-confirmed': (b, job) =>
    partByNumber(job, b.partNumber)
      ? undefined
      : refuse('partNumber', 'match.part', { part: b.partNumber }),
  'stroke-recorded': strokeRefusal,
  'stroke-traced': (b, job, by) => {
    const early = beforeStroke(b.operation, job, by);
    if (early) return early;
    const samples = b.samples.map(([ms = 0, travelMm = 0, forceKn = 0]) => ({
      ms,
      travelMm,
      forceKn,
    }));
    return fault(traceFault(samples), 'stroke.trace');
  },
  'stroke-reading': (b, job, by) => beforeStroke(b.operation, job, by),
  'stage-recorded': (b, { ctx, state }) => {
    if (!ctx.procedure) return refuse('stageId', 'torque.no-procedure');
    if (!ctx.wrenches.some((w) => w.id === b.toolId))
      return refuse('toolId', 'kit.tool', { part: b.toolId });
    const order = orderFault(ctx.procedure, walkProcedure(ctx.procedure, state.stages), b.stageId);
    if (order) return { field: 'stageId', ...order };
    const stage = ctx.procedure.stages.find((s) => s.id === b.stageId);
    const unread = stage?.kind !== 'lock' && b.actual === undefined;
    return unread ? refuse('actual', 'torque.no-reading') : undefined;
  },
  'check-recorded': (b, job) => {
    const check = checksFor(job).find((c) => c.id === b.checkId);
    if (!check) return refuse('checkId', 'prove.check', { part: b.checkId });
    if (!check.numeric || b.value !== undefined) return undefined;
    return refuse('value', 'prove.reading', {
      part: check.text,
      with: { unit: check.numeric.unit },
    });
  },
  'station-done': (b, job) => {
    const early = earlierStation(b.station, 'station', job);
    if (early) return early;
    const [owed] = owedAt(b.station, job);
    return owed && { field: 'station', ...owed };
  },
  signed: (_b, job) => {
    const early = earlierStation('prove', 'signed', job);
    if (early) return early;
    const owed = owedAt('prove', job).find((m) => m.rule !== 'prove.unsigned');
    return owed && { field: 'signed', ...owed };
  },
};

/** Judges whether an event may be added to the record as it stands; `by` is whose hand it is, where a rule asks for it. */
export function refusal<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
  by?: string,
): Refusal | undefined {
  if (job.state.signed && type !== 'recheck-done') return refuse('type', 'job.signed');
  if (job.state.closed) return refuse('type', 'job.closed', { with: { why: job.state.closed } });
  const guard: Guards[T] = guards[type];
  return guard?.(body, job, by);
}
