import { resultFault, suspectsFor, testById } from '../diagnosis/index.ts';
import {
  answersFault,
  cautions,
  facts,
  familiesBy,
  type Item,
  itemsOf,
} from '../families/index.ts';
import { isSlip } from '../fits/index.ts';
import { bearingFaults, isCount, readingFault } from '../matching/index.ts';
import { traceFault } from '../press/index.ts';
import { canBe, circleFault } from '../prove/index.ts';
import { type RuleId, ruleOfOverride, sentence } from '../rules/index.ts';
import type { ChoiceBody, ChoiceKey, EventBody, EventType } from '../schemas/events.ts';
import {
  beginsAgain,
  mayGoUnmeasured,
  orderFault,
  type Procedure,
  pullVerdict,
  stageUnit,
  walkProcedure,
  isSaid,
} from '../torque/index.ts';
import { worst } from '../verdict.ts';
import { endPlayRefusal, playRefusal } from './adjust-on-job.ts';
import { familyCodeOf, stepsOf } from './family-on-job.ts';
import { instrumentsInUse, type JobNow } from './job-now.ts';
import { unmet } from './needs.ts';
import { checksFor, owedAt } from './owed.ts';
import { chosenPart, partByNumber } from './part-on-job.ts';
import { figureRefusal } from './figures-on-job.ts';
import { byStandIn } from './practice.ts';
import { fittedStrokes, requirementOf } from './press-on-job.ts';
import { schoolRefusal } from './school-on-job.ts';
import { tightenedRefusal, toolRefusal } from './fasteners-on-job.ts';
import { type Refusal, refuse } from './refusal.ts';
import { dragRefusal, stageTools } from './stage-tools.ts';
import { bareSeat, seatAnswered, seatOf, seatVerdicts, workOf } from './seats-on-job.ts';
import { overrideOf, samplesOf } from './state.ts';
import { stations } from './stations.ts';
import { signedAtKm } from './summary.ts';
import { typedRefusal } from './typed-figure.ts';
import { bearingIsOut, strokeRefusal } from './stroke-interlocks.ts';

/** A cause has to be one that this car can have. */
const suspectRefusal = (field: string, id: string | undefined, { ctx }: JobNow) =>
  id === undefined || suspectsFor(ctx.unit.layout).some((s) => s.id === id)
    ? undefined
    : refuse(field, 'diagnose.suspect', { part: id });

/** Nobody drives further to a recheck, km: a clock that says more was misread. Our judgement. */
const longestToRecheckKm = 100_000;

type Guards = {
  [T in EventType]?: (body: EventBody<T>, job: JobNow) => Refusal | undefined;
};

const fault = (f: { field: string; reason: string } | undefined, rule: RuleId, under = '') =>
  f && refuse(under + f.field, rule, { with: { fault: f.reason } });

/** A clock goes on; one that was misread before is brought down by a lead, not by the next reading. */
function clockBack(odometerKm: number, { ctx }: JobNow): Refusal | undefined {
  const record = ctx.unit.odometerKm ?? 0;
  return odometerKm < record
    ? refuse('odometerKm', 'prove.clock-back', { value: odometerKm, with: { record } })
    : undefined;
}

/** The instrument that read is one of the shop's. */
const instrumentRefusal = (job: JobNow, id: string) =>
  instrumentsInUse(job).some((i) => i.id === id)
    ? undefined
    : refuse('instrumentId', 'kit.instrument', { part: id });

/** The nut that has to be taken new before stage 1 is pulled again: one that is used once or was stretched is pulled up once. */
export function spentNut(job: JobNow): Item | undefined {
  const { stages, items, itemsAt } = job.state;
  const p = job.ctx.procedure;
  const nut = itemsOf(familyCodeOf(job)).find((i) => i.id === 'axle-nut');
  const first = p?.stages[0]?.id;
  if (!p || !nut || first === undefined || !(p.singleUse || p.stretch)) return undefined;
  if (!beginsAgain(p, walkProcedure(p, stages), first)) return undefined;
  const fresh = items[nut.id] === 'in-hand' && (itemsAt[nut.id] ?? 0) > (stages.at(-1)?.seq ?? 0);
  return fresh ? undefined : nut;
}

function usedNut(stageId: string, p: Procedure, job: JobNow): Refusal | undefined {
  const spent = p.stages[0]?.id === stageId ? spentNut(job) : undefined;
  return spent && refuse('stageId', 'torque.new-nut', { part: spent.name });
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
  'caution-read': (b) =>
    Object.hasOwn(cautions, b.cautionId)
      ? undefined
      : refuse('cautionId', 'job.caution', { part: b.cautionId }),
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
  'fact-seen': ({ factId, absent, amountMl }) => {
    const measured = facts[factId].amount;
    const right = (amountMl !== undefined) === (measured !== undefined && absent !== true);
    return right ? undefined : refuse('amountMl', 'fact.amount', { part: measured ?? '' });
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
  'seat-felt': (b, job) => {
    const seat = bareSeat(job, b.seat);
    if (!seat) return refuse('seat', 'press.geometry', workOf(job) ? { part: b.seat } : {});
    if (!b.caliperMm) return undefined;
    const unknown = instrumentRefusal(job, b.instrumentId ?? '');
    if (unknown) return unknown;
    const slip = b.caliperMm.find((mm) => isSlip(mm, seat.nominalMm));
    if (slip === undefined) return undefined;
    const nominal = { with: { nominal: seat.nominalMm } };
    return refuse('caliperMm', 'seat.reading', { value: slip, unit: 'mm', ...nominal });
  },
  'diagnosis-accepted': (b, job) => suspectRefusal('suspectId', b.suspectId, job),
  'job-closed': (b, job) => suspectRefusal('found', b.found, job),
  overridden: (b) =>
    ruleOfOverride(b.rule) ? undefined : refuse('rule', 'job.no-rule', { part: b.rule }),
  'recheck-done': (b, job) => {
    const from = signedAtKm(job);
    if (from === undefined) return undefined;
    const back = clockBack(b.odometerKm, job);
    if (back) return back;
    const driven = b.odometerKm - from;
    return driven >= 0 && driven <= longestToRecheckKm
      ? undefined
      : refuse('odometerKm', 'prove.recheck-clock', {
          value: b.odometerKm,
          with: { from, most: from + longestToRecheckKm },
        });
  },
  'figure-read': figureRefusal,
  'fastener-read': (b, job) => {
    const known = [...stepsOf(job, 'strip'), ...stepsOf(job, 'rebuild')];
    if (!known.some((s) => s.fastener === b.fastenerId))
      return refuse('fastenerId', 'fastener.none', { part: b.fastenerId });
    return isSaid(b.fastener) ? undefined : refuse('fastener', 'fastener.figure');
  },
  'fastener-tightened': tightenedRefusal,
  'stroke-reading': (b, job) =>
    b.travelMm === undefined && requirementOf(job, b.operation)?.fitting
      ? refuse('travelMm', 'stroke.no-travel')
      : undefined,
  'part-confirmed': (b, job) =>
    partByNumber(job, b.partNumber)
      ? undefined
      : refuse('partNumber', 'match.part', { part: b.partNumber }),
  'stroke-traced': (b) => {
    return fault(traceFault(samplesOf(b)), 'stroke.trace');
  },
  'stage-recorded': (b, job) => {
    const { ctx, state } = job;
    if (!ctx.procedure) return refuse('stageId', 'torque.no-procedure');
    const stage = ctx.procedure.stages.find((s) => s.id === b.stageId);
    if (!stageTools(job, stage, b).some((t) => t.id === b.toolId && !t.retired))
      return refuse('toolId', 'kit.tool', { part: b.toolId });
    const order = orderFault(ctx.procedure, walkProcedure(ctx.procedure, state.stages), b.stageId);
    if (order) return { field: 'stageId', ...order };
    const used = usedNut(b.stageId, ctx.procedure, job);
    if (used) return used;
    if (stage?.kind === 'lock') return undefined;
    if (stage?.kind === 'end-play') return endPlayRefusal(b, job);
    // A nut that is spoilt is put on record with a figure or without.
    if (b.pull && stage && pullVerdict(stage.kind, b.pull)) return undefined;
    if (b.asSaid && b.actual === undefined && stage && mayGoUnmeasured(stage)) return undefined;
    if (b.actual === undefined) return refuse('actual', 'torque.no-reading');
    if (stage?.kind === 'drag' && b.drag) return dragRefusal(b.drag, b.actual);
    if (b.actual < 0) return refuse('actual', 'torque.sign');
    if (!stage || stageUnit(stage) !== 'torque' || stage.kind === 'drag') return undefined;
    return toolRefusal(stage.value ?? 0, b, job);
  },
  'play-read': playRefusal,
  'school-chosen': schoolRefusal,
  'runout-read': (b, job) => {
    const wrong = circleFault(b.readings.map(([deg, mm]) => ({ deg, mm })));
    if (wrong) return { field: 'readings', ...wrong };
    if (b.face === 'disc' && !job.state.runout.hub) return refuse('face', 'runout.hub-first');
    return instrumentRefusal(job, b.instrumentId);
  },
  'trace-kept': (b) =>
    b.spectrum || b.signal ? undefined : refuse('spectrum', 'prove.nothing-kept'),
  'check-recorded': (b, job) => {
    const check = checksFor(job).find((c) => c.id === b.checkId);
    if (!check) return refuse('checkId', 'prove.check', { part: b.checkId });
    if (b.value !== undefined)
      return canBe(check, b.value)
        ? undefined
        : refuse('value', 'prove.sign', { part: check.text });
    if (!check.numeric) return undefined;
    return refuse('value', 'prove.reading', {
      part: check.text,
      with: { unit: check.numeric.unit },
    });
  },
};

/** What is judged once everything stands that it is built on. */
const verdicts: Guards = {
  'seat-judged': (b, job) => {
    if (b.decision === 'replace') return undefined;
    const verdicts = seatAnswered(job, b.seat) ? seatVerdicts(job, b.seat) : undefined;
    if (!verdicts) return refuse('seat', 'seat.not-read');
    const [gravest] = verdicts;
    const stopped = worst(verdicts) === 'stop' && !overrideOf(job.state, `seat.${b.seat}`);
    if (!stopped || !gravest) return undefined;
    return refuse('decision', 'seat.stop', { with: { because: sentence(gravest) } });
  },
  'stroke-recorded': strokeRefusal,
  'station-done': (b, job) => {
    const [owed] = owedAt(b.station, job);
    return owed && { field: 'station', ...owed };
  },
  // Whatever was closed before: nothing may be owed at any station when a name goes under it.
  signed: (b, job) => {
    const owed = stations.flatMap((s) => owedAt(s, job)).find((m) => m.rule !== 'prove.unsigned');
    return owed ? { field: 'signed', ...owed } : clockBack(b.odometerKm, job);
  },
};

/** Why a choice may not change now: the new part is chosen before it is pressed, and nothing on a closed job. */
export function choiceRefusal<K extends ChoiceKey>(
  key: K,
  value: ChoiceBody<K>,
  job: JobNow,
): Refusal | undefined {
  if (job.state.signed) return refuse(key, 'job.signed');
  if (job.state.closed) return refuse(key, 'job.closed', { with: { why: job.state.closed } });
  if (key !== 'match' || fittedStrokes(job).length === 0) return undefined;
  const { partNumber } = value as ChoiceBody<'match'>;
  return partNumber === chosenPart(job)?.number ? undefined : refuse('partNumber', 'match.fitted');
}

/** What may still be added under a signature. */
const afterSignature: readonly EventType[] = ['recheck-done', 'line-corrected'];

/** Judges whether an event may be added to the record as it stands; `by` is whose hand it is, where a rule asks for it. */
export function refusal<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
  by?: string,
): Refusal | undefined {
  if (job.state.signed && !afterSignature.includes(type)) return refuse('type', 'job.signed');
  if (job.state.closed && type !== 'job-reopened')
    return refuse('type', 'job.closed', { with: { why: job.state.closed } });
  const { shop } = job.ctx;
  if (shop && !shop.demo && !shop.standIns && byStandIn(type, body))
    return refuse('standIn', 'kit.stand-ins-off');
  const guard: Guards[T] = guards[type];
  const verdict: Guards[T] = verdicts[type];
  // What cannot be, then what may not be yet, then what is not right.
  return (
    guard?.(body, job) ??
    typedRefusal(type, body, job) ??
    unmet(type, body, job, by) ??
    verdict?.(body, job)
  );
}
