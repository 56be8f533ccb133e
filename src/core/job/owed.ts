import {
  type FactId,
  facts,
  isPressed,
  itemsOf,
  type Phase,
  type Task,
} from '../families/index.ts';
import type { SeatKind } from '../fits/index.ts';
import { clearanceTypeOf, dimensionNames } from '../matching/index.ts';
import { type Operation, operationNames } from '../press/index.ts';
import {
  type Check,
  checkRule,
  checksOf,
  judgeCheck,
  oneRowLimit,
  type PlayBearing,
} from '../prove/index.ts';
import { type Found, type RuleId, type Said, saying, sentence } from '../rules/index.ts';
import { procedureDone, walkProcedure } from '../torque/index.ts';
import { depthOf } from './depth-on-job.ts';
import { mayLeaveOut } from './depths.ts';
import { familyCodeOf, familyOf, stepsOf, walkOf } from './family-on-job.ts';
import { fastenersOf, isBegun, isTightened } from './fasteners-on-job.ts';
import { cornerRecord, type JobNow } from './job-now.ts';
import {
  chosenPart,
  confirmed,
  conflictsOf,
  encoderState,
  encoderToRead,
  misfitFound,
  misfitsOf,
  readingsToGo,
} from './part-on-job.ts';
import { strokeJudged } from './press-on-job.ts';
import { seatAnswered, seatKinds, seatName, seatPart, workOf } from './seats-on-job.ts';
import { openItemRule } from './items-on-job.ts';
import { overrideOf } from './state.ts';
import { type Station, stations } from './stations.ts';

/** Something a station still owes before it is done: not a verdict, only what is next. */
export interface Owed extends Said {
  /** The thing that has to be seen, where it is one. */
  fact?: FactId;
  /** Final check that was answered, and is not right: a verdict, not only something to do. */
  wrongCheck?: string;
}

/** What is still missing before a station is done, most urgent first. */
export const owedAt = (station: Station, job: JobNow): Owed[] => owedBy[station](job);
/** The same in words, for the main action. */
export const missingFor = (station: Station, job: JobNow): string[] =>
  owedAt(station, job).map(sentence);

const owe = (rule: RuleId, found: Found = {}): Owed => saying(rule, 'owes', found);
const when = (missing: unknown, rule: RuleId, found: Found = {}): Owed[] =>
  missing ? [owe(rule, found)] : [];

const owedBy: Record<Station, (job: JobNow) => Owed[]> = {
  complaint: ({ state }) => when(!state.complaint, 'complaint.none'),
  diagnose: ({ state: { diagnosis } }) => [
    ...when(!diagnosis, 'diagnose.no-call'),
    ...when(diagnosis && !namesBearing(diagnosis.suspectId), 'diagnose.not-bearing'),
  ],
  match: (job) => [
    ...familyOwed(job),
    ...when(!chosenPart(job), 'match.no-part'),
    ...misfitsOf(job).map((m) => owe('match.misfit', misfitFound(m))),
    ...openItems(job).map((i) => owe('match.open-item', { part: i.name })),
  ],
  plan: (job) => [...familyOwed(job), ...routeOwed(job)],
  'press-out': (job) => [
    ...when(needsGeometry(job) && !workOf(job), 'press.no-geometry'),
    ...tasksOwed(walkOf(job)?.out ?? [], job),
    ...conflictsOf(job).map((c) => owe('match.conflict', { with: { fault: c.reason } })),
    ...when(!confirmed(job), 'match.unconfirmed'),
  ],
  'press-in': (job) => tasksOwed(walkOf(job)?.in ?? [], job),
  torque: (job) => [...stepsOwed(job, 'rebuild'), ...procedureOwed(job)],
  prove: (job) => [
    ...checksFor(job).flatMap((c) => checkOwed(c, job)),
    ...when(!job.state.signed, 'prove.unsigned'),
  ],
};

const needsGeometry = (job: JobNow): boolean => {
  const walk = walkOf(job);
  return !walk || isPressed(walk);
};

/** A call that names a bearing, not another part. */
export const namesBearing = (suspectId: string): boolean => suspectId.startsWith('bearing-');

/** Final checks of the job's family on its route. */
export const checksFor = (job: JobNow): Check[] =>
  checksOf(
    familyCodeOf(job),
    job.choices.plan?.value.route,
    cornerRecord(job)?.limits,
    familyCodeOf(job) === 'A2' ? oneRowLimit(playBearingOf(job)) : undefined,
  );

/** The bearing on an axle shaft as its end play follows from it. */
function playBearingOf(job: JobNow): PlayBearing | undefined {
  const part = chosenPart(job);
  if (!part) return undefined;
  const { boreMm, ballMm } = part.bearing;
  return { type: clearanceTypeOf(part), clearance: part.clearance, boreMm, ballMm };
}

/** A measured check that this depth may leave out: the card says that it was not measured. */
export const leftOut = (check: Check, job: JobNow): boolean =>
  check.numeric !== undefined && mayLeaveOut[depthOf(job)] && !job.state.checks[check.id];

/** A fastener that this check answers for was begun bolt by bolt, and one of them is not right yet. */
const nutsOpen = (check: Check, job: JobNow): Owed[] =>
  fastenersOf(job)
    .filter((f) => f.answeredBy === check.id && isBegun(f, job) && !isTightened(f))
    .map((f) =>
      owe('prove.bolt-open', {
        part: f.name,
        value: f.walk?.next?.bolt ?? 0,
        with: { round: String(f.walk?.next?.round ?? 0) },
      }),
    );

function checkOwed(check: Check, job: JobNow): Owed[] {
  if (!check.release) return [];
  const answer = job.state.checks[check.id];
  const open = job.state.signed ? [] : nutsOpen(check, job);
  if (open.length > 0) return open;
  if (!answer) return leftOut(check, job) ? [] : [owe('prove.unchecked', { part: check.text })];
  const answered = check.byName && overrideOf(job.state, checkRule(check.id));
  const bad = judgeCheck(check, answer).status === 'stop' && !answered;
  return bad ? [{ ...owe('prove.not-right', { part: check.text }), wrongCheck: check.id }] : [];
}

function familyOwed(job: JobNow): Owed[] {
  if (job.ctx.corner === 'unknown') return [owe('match.no-corner')];
  return when(!familyOf(job), 'match.no-family');
}

function routeOwed(job: JobNow): Owed[] {
  const plan = job.choices.plan?.value;
  if (!plan) return [owe('plan.no-route')];
  const route = familyOf(job)?.routes.find((r) => r.id === plan.route);
  return when(!route?.walked, 'plan.route-elsewhere');
}

/** What the job uses up and is neither here nor in the store, unless somebody answers for it. */
export const openItems = (job: JobNow) =>
  itemsOf(familyCodeOf(job)).filter(
    (i) => !isHere(i.id, job) && !overrideOf(job.state, openItemRule(i.id)),
  );
/** In hand or in the store; a bearing that was marked as another part than the chosen one is not. */
export function isHere(itemId: string, job: JobNow): boolean {
  const { items, bearingInHand } = job.state;
  if (items[itemId] !== 'in-hand' && items[itemId] !== 'in-store') return false;
  const other = bearingInHand !== undefined && bearingInHand !== chosenPart(job)?.number;
  return itemId !== 'bearing' || !other;
}
function stepsOwed(job: JobNow, phase: Phase): Owed[] {
  const done = job.state.stepsDone[phase];
  const left = stepsOf(job, phase).filter((s) => !done.includes(s.id) && !s.answeredBy);
  const next = left[0];
  return next
    ? [owe('plan.steps-to-go', { value: left.length, part: next.text, with: { phase } })]
    : [];
}

function strokeOwed(operation: Operation, job: JobNow): Owed[] {
  const part = operationNames[operation];
  const stroke = job.state.strokes[operation];
  if (!stroke) return [owe('press.not-done', { part })];
  const judged = strokeJudged(job, operation);
  if (judged?.status !== 'stop') return [];
  return judged.verdicts
    .slice(0, 1)
    .map((v) => owe('press.not-right', { part, with: { because: sentence(v) } }));
}

function factOwed(fact: FactId, { state }: JobNow): Owed[] {
  if (state.facts.includes(fact)) return [];
  const { seen, then } = facts[fact].opposite;
  if (state.contrary[fact])
    return [{ ...owe('press.contrary', { part: seen, with: { then } }), fact }];
  return [{ ...owe('press.unseen', { part: facts[fact].ask }), fact }];
}

function oldPartOwed(job: JobNow): Owed[] {
  const readings = readingsToGo(job).map(({ d, n }) =>
    owe('match.readings-to-go', { part: dimensionNames[d], value: n }),
  );
  return [...readings, ...when(encoderToRead(job), 'match.encoder-unread')];
}

function verdictOwed(seat: SeatKind, job: JobNow): Owed[] {
  const decision = job.state.seatDecisions[seat];
  if (!decision) return [owe('seat.no-verdict', { part: seatName(job, seat).toLowerCase() })];
  const givenUp = decision === 'replace' && !overrideOf(job.state, `seat.${seat}`);
  return when(givenUp, 'seat.to-replace', { part: seatPart(job, seat) });
}

const taskOwed: {
  [K in Task['kind']]: (task: Extract<Task, { kind: K }>, job: JobNow) => Owed[];
} = {
  strip: (_task, job) => stepsOwed(job, 'strip'),
  stroke: (task, job) => strokeOwed(task.operation, job),
  facts: (task, job) => task.facts.flatMap((id) => factOwed(id, job)),
  old: (_task, job) => oldPartOwed(job),
  seats: (_task, job) =>
    seatKinds(job)
      .filter((k) => !seatAnswered(job, k))
      .map((k) => owe('seat.unmeasured', { part: seatName(job, k) })),
  verdict: (_task, job) => seatKinds(job).flatMap((k) => verdictOwed(k, job)),
  encoder: (_task, job) =>
    when(!['no-encoder', 'right'].includes(encoderState(job)), 'press.encoder-unchecked'),
};

/** What a station's tabs still owe, in their order. */
const tasksOwed = (tasks: readonly Task[], job: JobNow): Owed[] =>
  tasks.flatMap((task) => (taskOwed[task.kind] as (t: Task, j: JobNow) => Owed[])(task, job));

/** Whether nothing is owed of one task of a walk. */
export function taskDone(task: Task, job: JobNow): boolean {
  if (tasksOwed([task], job).length > 0) return false;
  if (task.kind === 'old') return confirmed(job);
  return task.kind !== 'seats' && task.kind !== 'verdict' ? true : seatKinds(job).length > 0;
}

/** Steps of the rebuild that belong before the nut. */
export const rebuildSteps = (job: JobNow) => stepsOf(job, 'rebuild').filter((s) => !s.answeredBy);
export const isRebuilt = (job: JobNow): boolean => stepsOwed(job, 'rebuild').length === 0;

/** A procedure that nobody has checked is used only when somebody answers for it. */
export const procedureUnchecked = ({ ctx, state }: JobNow): boolean =>
  ctx.procedure !== undefined && !ctx.procedure.checkedBy && !overrideOf(state, 'torque.unchecked');

function procedureOwed(job: JobNow): Owed[] {
  const { procedure } = job.ctx;
  if (!procedure) return [owe('torque.procedure-missing')];
  if (procedureUnchecked(job)) return [owe('torque.unchecked')];
  if (procedureDone(procedure, job.state.stages)) return [];
  const at = walkProcedure(procedure, job.state.stages).current;
  const of = procedure.stages.length;
  const part = procedure.stages[at]?.text ?? '';
  return [owe('torque.stage-to-go', { value: at + 1, part, with: { of } })];
}

/** The station the job stands at: the first that is not done; undefined when all are. */
export const currentStation = (done: readonly Station[]): Station | undefined =>
  stations.find((s) => !done.includes(s));
