import {
  cautions,
  type FactId,
  factIds,
  facts,
  strokesIn,
  type Task,
  type Walk,
} from '../families/index.ts';
import {
  hammer,
  judgeStack,
  mayGiveKn,
  type Operation,
  operationNames,
  type Setup,
  type Stack,
  toSettle,
} from '../press/index.ts';
import { type RuleId } from '../rules/index.ts';
import type { EventBody } from '../schemas/events.ts';
import { outByHand } from './falls.ts';
import { walkOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { isHere } from './owed.ts';
import { confirmed, encoderState, sensorSide } from './part-on-job.ts';
import { dangerOf, notRight, pressById, setupOf, stackOf, stillSeen } from './press-on-job.ts';
import { type Refusal, refuse } from './refusal.ts';
import { seatKinds, seatName } from './seats-on-job.ts';
import { overrideOf } from './state.ts';

/** Some stroke or fact that says the old bearing has left its seat. */
export const bearingIsOut = ({ strokes, facts: seen }: JobNow['state']): boolean =>
  (['bearing-out', 'cartridge-out', 'shaft-bearing-off'] as const).some((o) => o in strokes) ||
  outByHand.some((f) => seen.includes(f));

/** Order of the metal: what must be true before a stroke begins, with the tool it is named with or chosen for. */
export function beforeStroke(
  operation: Operation,
  job: JobNow,
  by?: string,
  pressId?: string,
): Refusal | undefined {
  const unread = cautionRefusal(operation, job, by, pressId);
  if (unread) return unread;
  const walk = walkOf(job);
  const tasks = walk && [walk.out, walk.in].find((list) => strokesIn(list).includes(operation));
  // Studs are changed whenever the need arises; every other stroke belongs to its family.
  if (!walk || !tasks) {
    const part = operationNames[operation];
    const stud = operation === 'stud-out' || operation === 'stud-in';
    return stud ? undefined : refuse('operation', 'press.not-here', { part });
  }
  return (
    orderRefusal(operation, tasks, job) ??
    (tasks === walk.in && strokesIn(tasks)[0] === operation
      ? fittingRefusal(walk, job)
      : undefined) ??
    factRefusal(operation, walk, job)
  );
}

/** Each who works a tool has read its caution once a job: a ram's says nothing of blows. */
function cautionRefusal(
  operation: Operation,
  job: JobNow,
  by: string | undefined,
  pressId: string | undefined,
): Refusal | undefined {
  const tool = pressById(job, pressId) ?? setupOf(job, operation)?.press;
  const danger = tool ? dangerOf(tool) : 'press';
  const readers = job.state.cautionsRead[danger] ?? [];
  const read = by === undefined ? readers.length > 0 : readers.includes(by);
  if (read) return undefined;
  return refuse('operation', 'press.caution', { part: cautions[danger].text });
}

function orderRefusal(
  operation: Operation,
  tasks: readonly Task[],
  job: JobNow,
): Refusal | undefined {
  const order = strokesIn(tasks);
  const before = order.slice(0, order.indexOf(operation));
  const earlier = before.find((o) => !job.state.strokes[o]);
  if (earlier) return refuse('operation', 'press.order', { part: operationNames[earlier] });
  const bad = before.find((o) => notRight(job, o));
  return bad && refuse('operation', 'press.stroke-not-right', { part: operationNames[bad] });
}

/** The first fitting stroke waits for the way out, the seats, the part and its encoder. */
function fittingRefusal(walk: Walk, job: JobNow): Refusal | undefined {
  const out = strokesIn(walk.out).find((o) => !(o in job.state.strokes));
  if (out) return refuse('operation', 'press.order', { part: operationNames[out] });
  if (!bearingIsOut(job.state)) return refuse('operation', 'press.old-in');
  return (
    seatsRefusal(job) ??
    inHandRefusal(job) ??
    (walk.in.some((t) => t.kind === 'encoder') ? encoderRefusal(job) : undefined)
  );
}

/** The new part is the one that was held against the old, and it is here. */
function inHandRefusal(job: JobNow): Refusal | undefined {
  if (!confirmed(job)) return refuse('operation', 'press.unproven');
  return isHere('bearing', job) ? undefined : refuse('operation', 'press.part-missing');
}

function factRefusal(operation: Operation, walk: Walk, job: JobNow): Refusal | undefined {
  // Taking apart asks anew; fitting goes by what was seen once.
  const out = strokesIn(walk.out).includes(operation);
  const holds = (id: FactId) => (out ? stillSeen(job, id) : job.state.facts.includes(id));
  const asked = [...walk.out, ...walk.in].flatMap((t) => (t.kind === 'facts' ? t.facts : []));
  const lock = factIds
    .filter((id) => asked.includes(id) && !holds(id))
    .map((id) => facts[id].locks)
    .find((l) => l?.before.includes(operation));
  return lock && refuse('operation', lock.rule);
}

/** Nothing goes on to a seat that has no verdict, or a bad one. */
function seatsRefusal(job: JobNow): Refusal | undefined {
  for (const seat of seatKinds(job)) {
    const part = seatName(job, seat).toLowerCase();
    const decision = job.state.seatDecisions[seat];
    if (!decision) return refuse('operation', 'press.seat-verdict', { part });
    if (decision === 'replace' && !overrideOf(job.state, `seat.${seat}`))
      return refuse('operation', 'press.seat-replace', { part });
  }
  return undefined;
}

function encoderRefusal(job: JobNow): Refusal | undefined {
  switch (encoderState(job)) {
    case 'no-encoder':
    case 'right':
      return undefined;
    case 'side-unknown':
      return refuse('operation', 'press.sensor-side');
    case 'unchecked':
      return refuse('operation', 'press.encoder');
    case 'reversed': {
      const faces = job.state.encoderChecked?.side ?? '';
      const sides = { faces, sensor: sensorSide(job) ?? '' };
      return refuse('operation', 'press.encoder-reversed', { with: sides });
    }
  }
}

/** Traces after which nothing is recorded until the stroke was made again. */
const badTraces: Partial<Record<EventBody<'stroke-traced'>['call'], RuleId>> = {
  cocked: 'press.cocked',
  galling: 'press.galling',
  stuck: 'press.stuck',
};

/** After a trace that was cocked, galling or stuck the stroke is made again; a hammer leaves none. */
export function traceRefusal(
  operation: Operation,
  pressId: string,
  { state }: JobNow,
): Refusal | undefined {
  const call = pressId === hammer.id ? undefined : state.traces[operation]?.call;
  const again = call && badTraces[call];
  return again && refuse('operation', again);
}

/** What has to be measured before a stack may be used: nothing is pressed on a size that is not known. */
export function unsettled(
  stack: Stack,
  setup: Setup,
  open = toSettle(stack, setup),
): Refusal | undefined {
  const [first, ...more] = open;
  if (!first) return undefined;
  const { figure, min, max } = first;
  return refuse('stack', 'press.measure-first', {
    part: figure.name,
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
    unit: 'mm',
    with: { more: more.length },
  });
}

/** Why a stroke may not be kept as it was done. */
export function strokeRefusal(b: EventBody<'stroke-recorded'>, job: JobNow): Refusal | undefined {
  const stack = stackOf(job, b.stack);
  if (!stack) return refuse('stack', 'kit.piece');
  if (!pressById(job, b.pressId)) return refuse('pressId', 'kit.press', { part: b.pressId });
  const setup = setupOf(job, b.operation, b.pressId);
  if (!setup) return refuse('operation', 'press.geometry');
  const judged = judgeStack(stack, setup);
  const [gravest] = judged.verdicts;
  if (judged.status === 'stop' && gravest) return { field: 'stack', ...gravest };
  const open = unsettled(stack, setup);
  if (open) return open;
  const again = traceRefusal(b.operation, b.pressId, job);
  if (again) return again;
  const driven = b.pressId === hammer.id;
  if (b.peakKn === undefined && !driven) return refuse('peakKn', 'stroke.no-force');
  if (b.peakKn !== undefined && mayGiveKn(b.peakKn, setup.press.screw) > setup.press.capacityKn) {
    const max = { value: b.peakKn, max: setup.press.capacityKn, unit: 'kN' as const };
    return refuse('peakKn', 'stroke.over-capacity', { part: setup.press.name, ...max });
  }
  const unmeasured = setup.requirement.fitting && b.depthMm === undefined;
  return unmeasured ? refuse('depthMm', 'press.depth') : undefined;
}
