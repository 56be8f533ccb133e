import { answersFault, facts, factIds, familiesBy, itemsOf, strokesIn } from '../families/index.ts';
import { resultFault, testById } from '../diagnosis/index.ts';
import { seatReadingFault } from '../fits/index.ts';
import { bearingFaults, isCount, readingFault } from '../matching/index.ts';
import { hammer, judgeStack, operationNames, traceFault, type Operation } from '../press/index.ts';
import type { EventBody, EventType } from '../schemas/events.ts';
import { orderFault, walkProcedure } from '../torque/index.ts';
import {
  benchOf,
  encoderState,
  familyCodeOf,
  partByNumber,
  seatKinds,
  seatOf,
  seatResult,
  sensorSide,
  stackOf,
  stepsOf,
  walkOf,
  workOf,
  type JobNow,
} from './context.ts';
import { worst } from '../verdict.ts';
import { checksFor, missingFor, seatName } from './gates.ts';
import { overrideOf } from './state.ts';
import { stationNames, stations } from './stations.ts';

/** Why something may not be recorded now: the field, the rule, and a sentence with the way on. */
export interface Refusal {
  field: string;
  rule: string;
  reason: string;
}

const no = (field: string, rule: string, reason: string): Refusal => ({ field, rule, reason });

type Guards = {
  [T in EventType]?: (body: EventBody<T>, job: JobNow, by?: string) => Refusal | undefined;
};

const guards: Guards = {
  'test-recorded': (b, { state, ctx }) => {
    const fault = resultFault(b);
    if (fault) return no(fault.field, 'diagnose.result', fault.reason);
    if (testById(b.testId)?.state !== 'off') return undefined;
    if (b.place !== ctx.corner)
      return no(
        'place',
        'diagnose.bench-corner',
        `The bearing on the bench is of the ${ctx.corner} corner.`,
      );
    return bearingIsOut(state)
      ? undefined
      : no(
          'testId',
          'diagnose.not-off',
          'The old bearing is still in: it is turned on the bench once it is out.',
        );
  },
  'item-marked': (b, { ctx, state }) =>
    itemsOf(familyCodeOf(ctx, state)).some((i) => i.id === b.itemId)
      ? undefined
      : no('itemId', 'match.item', `No item is called “${b.itemId}”.`),
  'step-done': (b, job) => {
    const steps = stepsOf(job, b.phase);
    return steps.some((s) => s.id === b.stepId)
      ? undefined
      : no('stepId', 'plan.step', `The ${b.phase} has no step “${b.stepId}”.`);
  },
  'old-part-read': (b, { ctx, state }) => {
    if (!ctx.instruments.some((i) => i.id === b.instrumentId))
      return no('instrumentId', 'kit.instrument', `No instrument is called “${b.instrumentId}”.`);
    const fault = readingFault(b.dimension, b.valueMm, state.oldReadings);
    if (fault) return no('valueMm', 'match.reading', fault);
    return isCount(b.dimension) && !Number.isInteger(b.valueMm)
      ? no('valueMm', 'match.count', 'This is counted: a whole number.')
      : undefined;
  },
  'family-named': (b) => {
    const fault = answersFault(b.answers);
    if (fault) return no('answers', 'match.family', fault);
    // Named by hand without a question is allowed; a probability that the answers do not give is not.
    const given = familiesBy(b.answers).find((f) => f.code === b.code)!.probability;
    return Math.abs(given - b.probability) > 0.01 && Object.keys(b.answers).length > 0
      ? no('probability', 'match.family', 'The answers do not give this probability.')
      : undefined;
  },
  'part-entered': (b, { ctx }) => {
    const fault = bearingFaults(b.part.bearing)[0];
    if (fault) return no(`part.bearing.${fault.field}`, 'match.part', fault.reason);
    return ctx.parts.some((p) => p.number === b.part.number && !p.byHand)
      ? no(
          'part.number',
          'match.part-twice',
          `The catalogue already has a part “${b.part.number}”.`,
        )
      : undefined;
  },
  'seat-read': (b, { ctx, state, choices }) => {
    if (!ctx.instruments.some((i) => i.id === b.instrumentId))
      return no('instrumentId', 'kit.instrument', `No instrument is called “${b.instrumentId}”.`);
    const work = workOf(ctx, state, choices);
    const seat = work && seatOf(b.seat, work);
    if (!seat)
      return no(
        'seat',
        'press.geometry',
        work
          ? `These parts have no ${b.seat} to measure.`
          : 'Dimensions of the parts are missing, so the seat cannot be judged.',
      );
    const fault = b.readingsMm
      .flat()
      .map((mm) => seatReadingFault(mm, seat.nominalMm))
      .find((f) => f !== undefined);
    return fault ? no('readingsMm', 'seat.reading', fault) : undefined;
  },
  'seat-judged': (b, { ctx, state, choices }) => {
    if (b.decision === 'replace') return undefined;
    const result = seatResult(b.seat, ctx, state, choices);
    if (!result)
      return no(
        'seat',
        'seat.not-read',
        'This seat has not been measured: nothing can be said of it yet.',
      );
    return worst(result.verdicts) === 'stop' && !overrideOf(state, `seat.${b.seat}`)
      ? no(
          'decision',
          'seat.stop',
          `${result.verdicts[0]!.text} Replace it, or answer for it by name.`,
        )
      : undefined;
  },
  'part-confirmed': (b, { ctx }) =>
    partByNumber(ctx, b.partNumber)
      ? undefined
      : no('partNumber', 'match.part', `The catalogue has no part “${b.partNumber}”.`),
  'stroke-recorded': strokeRefusal,
  'stroke-traced': (b, job, by) => {
    const early = beforeStroke(b.operation, job, by);
    if (early) return early;
    const fault = traceFault(
      b.samples.map(([ms, travelMm, forceKn]) => ({
        ms: ms!,
        travelMm: travelMm!,
        forceKn: forceKn!,
      })),
    );
    return fault && no(fault.field, 'stroke.trace', fault.reason);
  },
  'stroke-reading': (b, job, by) => beforeStroke(b.operation, job, by),
  'stage-recorded': (b, { ctx, state }) => {
    if (!ctx.procedure)
      return no(
        'stageId',
        'torque.no-procedure',
        'This unit has no procedure on record. The lead enters it from the maker’s data; True Spindle never guesses a figure.',
      );
    if (!ctx.wrenches.some((w) => w.id === b.toolId))
      return no('toolId', 'kit.tool', `No tool is called “${b.toolId}”.`);
    const order = orderFault(ctx.procedure, walkProcedure(ctx.procedure, state.stages), b.stageId);
    if (order) return no('stageId', 'torque.order', order);
    const stage = ctx.procedure.stages.find((s) => s.id === b.stageId);
    return stage?.kind !== 'lock' && b.actual === undefined
      ? no(
          'actual',
          'torque.no-reading',
          'Type what the tool showed: a reading is never filled in for you.',
        )
      : undefined;
  },
  'check-recorded': (b, job) => {
    const check = checksFor(job).find((c) => c.id === b.checkId);
    if (!check) return no('checkId', 'prove.check', `No check is called “${b.checkId}”.`);
    return check.numeric && b.value === undefined
      ? no('value', 'prove.reading', `“${check.text}” needs a reading in ${check.numeric.unit}.`)
      : undefined;
  },
  'station-done': (b, job) => {
    const i = stations.indexOf(b.station);
    const earlier = stations.slice(0, i).find((s) => !job.state.done.includes(s));
    if (earlier) return no('station', 'job.order', `${stationNames[earlier]} is not done yet.`);
    const missing = missingFor(b.station, job)[0];
    return missing ? no('station', 'job.not-yet', missing) : undefined;
  },
  signed: (_b, job) => {
    const missing = missingFor('prove', job).filter((m) => m !== 'Not signed yet')[0];
    return missing ? no('signed', 'prove.not-yet', missing) : undefined;
  },
};

/** Some stroke or fact that says the old bearing has left its seat. */
const bearingIsOut = ({ strokes, facts: seen }: JobNow['state']) =>
  ['bearing-out', 'cartridge-out', 'shaft-bearing-off'].some((o) => o in strokes) ||
  ['shell-drawn', 'rings-driven-out'].some((f) => seen.includes(f));

/** Order of the metal: what must be true before a stroke begins. */
export function beforeStroke(operation: Operation, job: JobNow, by?: string): Refusal | undefined {
  const { state } = job;
  const readers = state.cautionsRead['press'] ?? [];
  if (by === undefined ? readers.length === 0 : !readers.includes(by))
    return no(
      'operation',
      'press.caution',
      'Read the press caution first: glasses on, guard shut, aside of the ram.',
    );
  const walk = walkOf(job);
  const tasks = [walk?.out ?? [], walk?.in ?? []].find((list) =>
    strokesIn(list).includes(operation),
  );
  // Studs are changed whenever the need arises; every other stroke belongs to its family.
  if (!walk || !tasks)
    return operation.startsWith('stud')
      ? undefined
      : no(
          'operation',
          'press.not-here',
          `${operationNames[operation]}: this family has no such stroke.`,
        );
  const order = strokesIn(tasks);
  const earlier = order.slice(0, order.indexOf(operation)).find((o) => !state.strokes[o]);
  if (earlier) return no('operation', 'press.order', `${operationNames[earlier]} comes first.`);
  if (tasks === walk.in && order[0] === operation) {
    const closed =
      seatsRefusal(job) ??
      (tasks.some((t) => t.kind === 'encoder') ? encoderRefusal(job) : undefined);
    if (closed) return closed;
  }
  const asked = [...walk.out, ...walk.in].flatMap((t) => (t.kind === 'facts' ? t.facts : []));
  const open = factIds.find(
    (id) =>
      asked.includes(id) &&
      facts[id].locks?.before.includes(operation) &&
      !state.facts.includes(id),
  );
  return open && no('operation', facts[open].locks!.rule, facts[open].locks!.text);
}

/** Nothing goes on to a seat that has no verdict, or a bad one. */
function seatsRefusal(job: JobNow): Refusal | undefined {
  for (const seat of seatKinds(job)) {
    const name = seatName(seat, job).toLowerCase();
    const decision = job.state.seatDecisions[seat];
    if (!decision) return no('operation', 'press.seat-verdict', `The ${name} has no verdict yet.`);
    if (decision === 'replace' && !overrideOf(job.state, `seat.${seat}`))
      return no(
        'operation',
        'press.seat-replace',
        `The ${name} was judged “replace”. Fit the new part, measure it, judge again.`,
      );
  }
  return undefined;
}

function encoderRefusal(job: JobNow): Refusal | undefined {
  switch (encoderState(job)) {
    case 'no-encoder':
    case 'right':
      return undefined;
    case 'side-unknown':
      return no(
        'operation',
        'press.sensor-side',
        'Where the sensor sits is not on record, and the old part’s encoder was not read. Read it at Press out, Old part.',
      );
    case 'unchecked':
      return no(
        'operation',
        'press.encoder',
        'The encoder side has not been checked. Hold the viewing card to both faces.',
      );
    case 'reversed':
      return no(
        'operation',
        'press.encoder-reversed',
        `The encoder would face ${job.state.encoderChecked?.side}; the sensor sits ${sensorSide(job.ctx, job.state)}. Turn the bearing over: pressed in like this it is lost.`,
      );
  }
}

/** Traces after which nothing is recorded until the stroke was made again. */
const badTraces: Partial<Record<EventBody<'stroke-traced'>['call'], string>> = {
  cocked:
    'The last trace was cocked: back off, square it and press again before the seat is recorded.',
  galling:
    'The last trace was galling: press it out and look at the seat before anything is recorded.',
  stuck: 'The last trace was stuck: it has not moved. Soak, look at the support, press again.',
};

function strokeRefusal(b: EventBody<'stroke-recorded'>, job: JobNow): Refusal | undefined {
  const { ctx, state, choices } = job;
  const early = beforeStroke(b.operation, job);
  if (early) return early;
  const stack = stackOf(ctx, b.stack);
  if (!stack) return no('stack', 'kit.piece', 'A piece of this stack is not in the kit.');
  if (b.pressId !== hammer.id && !ctx.presses.some((p) => p.id === b.pressId))
    return no('pressId', 'kit.press', `No press is called “${b.pressId}”.`);
  const bench = benchOf(b.operation, ctx, state, choices, b.pressId);
  if (!bench)
    return no(
      'operation',
      'press.geometry',
      'Dimensions of the parts are missing, so the stack cannot be judged.',
    );
  const verdict = judgeStack(stack, bench);
  if (verdict.status === 'stop')
    return no(
      'stack',
      verdict.verdicts[0]!.rule,
      `${operationNames[b.operation]}: ${verdict.verdicts[0]!.text}`,
    );
  const traced = b.pressId === hammer.id ? undefined : state.traces[b.operation]?.call;
  const again = traced && badTraces[traced];
  if (again) return no('operation', `press.${traced}`, again);
  if (b.peakKn === undefined && b.pressId !== hammer.id)
    return no(
      'peakKn',
      'stroke.no-force',
      'Type what the gauge showed: a force is never filled in for you.',
    );
  return bench.requirement.fitting && b.depthMm === undefined
    ? no('depthMm', 'press.depth', 'Measure the seat depth after the stroke and type it.')
    : undefined;
}

/** Judges whether an event may be added to the record as it stands; `by` is whose hand it is, where a rule asks for it. */
export function refusal<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
  by?: string,
): Refusal | undefined {
  if (job.state.signed && type !== 'recheck-done')
    return no(
      'type',
      'job.signed',
      'This job card is signed. A correction is a new job or a line that refers to it.',
    );
  if (job.state.closed) return no('type', 'job.closed', `This job is closed: ${job.state.closed}`);
  const guard = guards[type] as
    ((b: EventBody<T>, j: JobNow, by?: string) => Refusal | undefined) | undefined;
  return guard?.(body, job, by);
}
