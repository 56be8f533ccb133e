import type { SeatKind } from '../fits/index.ts';
import { dimensionNames, dimensionsOf, oneRow, readingsNeeded } from '../matching/index.ts';
import { facts, itemsOf, type FactId, type Phase, type Task } from '../families/index.ts';
import { judgeStroke, operationNames, type Operation } from '../press/index.ts';
import { checksOf, judgeCheck, type Check } from '../proof/index.ts';
import { procedureDone, walkProcedure } from '../torque/index.ts';
import {
  benchOf,
  chosenComparison,
  chosenPart,
  conflictsOf,
  encoderState,
  familyCodeOf,
  familyOf,
  seatKinds,
  seatOf,
  stepsOf,
  walkOf,
  workOf,
  type JobNow,
} from './context.ts';
import { overrideOf } from './state.ts';
import { stations, type Station } from './stations.ts';

/** What is still missing before a station is done, most urgent first; each a sentence for the main action. */
export function missingFor(station: Station, job: JobNow): string[] {
  return missingBy[station](job).filter((m): m is string => typeof m === 'string');
}

type Missing = string | false | undefined;

const missingBy: Record<Station, (job: JobNow) => Missing[]> = {
  complaint: ({ state }) => [!state.complaint && 'Nothing recorded yet'],
  diagnose: ({ state }) => [
    !state.diagnosis && 'No call made yet',
    state.diagnosis &&
      !state.diagnosis.suspectId.startsWith('bearing-') &&
      'The call is not a bearing: close the job or call again',
  ],
  match: (job) => [
    familyMissing(job),
    !chosenPart(job.ctx, job.choices) && 'No part chosen',
    ...itemsMissing(job),
  ],
  plan: (job) => [
    familyMissing(job),
    notWalked(job),
    !job.choices.plan && 'No route chosen',
    job.choices.plan &&
      !familyOf(job.ctx, job.state)?.routes.find((r) => r.id === job.choices.plan!.value.route)
        ?.walked &&
      'This route is worked elsewhere: choose one that can be walked here',
  ],
  'press-out': (job) => [
    geometryMissing(job),
    ...tasksMissing(walkOf(job)?.out ?? [], job),
    ...conflictsOf(job).map((c) => c.reason),
    !confirmed(job) && 'Part not confirmed against the old one',
  ],
  'press-in': (job) => tasksMissing(walkOf(job)?.in ?? [], job),
  torque: (job) => [...stepsMissing(job, 'rebuild'), procedureMissing(job)],
  prove: (job) => [
    ...checksFor(job).map((c) => {
      const answer = job.state.checks[c.id];
      if (!answer) return c.release && `${c.text}: not checked`;
      return judgeCheck(c, answer).status === 'stop' && c.release && `${c.text}: not right yet`;
    }),
    !job.state.signed && 'Not signed yet',
  ],
};

/** Final checks of the job's family on its route. */
export const checksFor = ({ ctx, state, choices }: JobNow): Check[] =>
  checksOf(familyCodeOf(ctx, state), choices.plan?.value.route);

function familyMissing({ ctx, state }: JobNow): Missing {
  if (ctx.corner === 'unknown') return 'No corner named yet';
  return (
    !familyOf(ctx, state) && 'Which family is it? Nothing is on record: name it by what is seen'
  );
}

function notWalked({ ctx, state }: JobNow): Missing {
  const family = familyOf(ctx, state);
  return (
    family &&
    !walkOf({ ctx, state }) &&
    `${family.name}: strip, strokes and rebuild are not walked in this version`
  );
}

/** Readings of the old part that are still owed, by dimension. */
export function readingsToGo({ ctx, state }: Pick<JobNow, 'ctx' | 'state'>) {
  return dimensionsOf(familyOf(ctx, state)?.kind ?? 'ring-set')
    .map((d) => ({ d, n: Math.max(0, readingsNeeded(d) - (state.oldReadings[d]?.length ?? 0)) }))
    .filter(({ n }) => n > 0);
}

const geometryMissing = (job: JobNow): Missing =>
  !workOf(job.ctx, job.state, job.choices) &&
  'Dimensions of the parts it sits in are not on record';

/** What the job uses up and is neither here nor in the store, unless somebody answers for it. */
export const openItems = ({ ctx, state }: Pick<JobNow, 'ctx' | 'state'>) =>
  itemsOf(familyCodeOf(ctx, state)).filter(
    (i) =>
      !['in-hand', 'in-store'].includes(state.items[i.id] ?? '') &&
      !overrideOf(state, `match.open-item:${i.id}`),
  );

const itemsMissing = (job: JobNow): Missing[] => openItems(job).map((i) => `${i.name} is not here`);

/** Rebuild steps answered for at another place: the shield by its interlock, the wheel by the final checks. */
const elsewhere = ['shield', 'wheel'];

function stepsMissing(job: JobNow, phase: Phase): Missing[] {
  const { state } = job;
  const left = stepsOf(job, phase).filter(
    (s) =>
      !state.stepsDone[phase].includes(s.id) && !(phase === 'rebuild' && elsewhere.includes(s.id)),
  );
  return left.length > 0
    ? [
        `${left.length} ${phase} ${left.length === 1 ? 'step' : 'steps'} to go: ${left[0]!.text.toLowerCase()}`,
      ]
    : [];
}

function strokeMissing(operation: Operation, job: JobNow): Missing {
  const stroke = job.state.strokes[operation];
  if (!stroke) return `${operationNames[operation]}: not done`;
  const bench = benchOf(operation, job.ctx, job.state, job.choices);
  if (!bench) return undefined;
  const verdict = judgeStroke(stroke, bench);
  return verdict.status === 'stop' && `${operationNames[operation]}: ${verdict.verdicts[0]!.text}`;
}

/** What a station's tabs still owe, in their order. */
function tasksMissing(tasks: readonly Task[], job: JobNow): Missing[] {
  const { state } = job;
  return tasks.flatMap((t): Missing[] => {
    switch (t.kind) {
      case 'strip':
        return stepsMissing(job, 'strip');
      case 'stroke':
        return [strokeMissing(t.operation, job)];
      case 'facts':
        return t.facts.map((id) => factMissing(id, job));
      case 'old':
        return [
          ...readingsToGo(job).map(
            ({ d, n }) => `${dimensionNames[d]} of the old part: ${n} reading to go`,
          ),
          !state.oldEncoder &&
            !oneRow(familyOf(job.ctx, state)?.kind ?? 'ring-set') &&
            'Encoder of the old part not read',
        ];
      case 'seats':
        return seatKinds(job).map((k) => !state.seats[k] && `${seatName(k, job)} not measured`);
      case 'verdict':
        return seatKinds(job).map(
          (k) =>
            (!state.seatDecisions[k] && `No verdict on the ${seatName(k, job).toLowerCase()}`) ||
            (state.seatDecisions[k] === 'replace' &&
              !overrideOf(state, `seat.${k}`) &&
              `The ${seatPart(k, job)} has to be replaced and measured again`),
        );
      case 'encoder':
        return [!['no-encoder', 'right'].includes(encoderState(job)) && 'Encoder side not checked'];
    }
  });
}
const factMissing = (id: FactId, { state }: JobNow): Missing =>
  !state.facts.includes(id) && `${facts[id].ask}: not seen yet`;

/** What carries a seat, and the seat by its whole name: "Knuckle bore". */
export const seatPart = (kind: SeatKind, { ctx, state, choices }: JobNow): string => {
  const work = workOf(ctx, state, choices);
  return (work && seatOf(kind, work)?.part) ?? (kind === 'bore' ? 'housing' : 'shaft');
};
export const seatName = (kind: SeatKind, job: JobNow): string => {
  const name = `${seatPart(kind, job)} ${kind}`;
  return name[0]!.toUpperCase() + name.slice(1);
};

/** The part on the job has been held against the old one since it was chosen. */
export function confirmed(job: JobNow): boolean {
  const part = chosenPart(job.ctx, job.choices);
  return (
    part !== undefined &&
    job.state.partConfirmed === part.number &&
    chosenComparison(job.ctx, job.state, job.choices)?.status !== 'stop'
  );
}

function procedureMissing({ ctx, state }: JobNow): Missing {
  const p = ctx.procedure;
  if (!p) return 'No procedure on record for this nut: the lead enters it from the maker’s data';
  if (!p.checkedBy && !overrideOf(state, 'torque.unchecked'))
    return 'Nobody has checked this procedure: check it or answer for it by name';
  if (procedureDone(p, state.stages)) return undefined;
  const at = walkProcedure(p, state.stages).current;
  return `Stage ${at + 1} of ${p.stages.length}: ${p.stages[at]!.text.toLowerCase()}`;
}

/** The station the job stands at: the first that is not done; undefined when all are. */
export const currentStation = (done: readonly Station[]): Station | undefined =>
  stations.find((s) => !done.includes(s));
