import { keysOf } from '../src/core/keys-of.ts';
import type { CornerRecord } from '../src/core/corner-record.ts';
import type { Corner } from '../src/core/corner.ts';
import {
  facts,
  type FamilyCode,
  itemsOf,
  type RouteId,
  type Task,
  type Way,
} from '../src/core/families/index.ts';
import { limitsMm, tolerance } from '../src/core/fits/index.ts';
import {
  checksFor,
  choiceRefusal,
  chosenPart,
  complete,
  currentStation,
  familyCodeOf,
  isSpent,
  dangerOf,
  type JobContext,
  type JobNow,
  nextAction,
  project,
  projectOn,
  readingsToGo,
  reasonOf,
  type Refusal,
  refusal,
  setupOf,
  type Station,
  stepsOf,
  taskDone,
  unknownOfSeats,
  unknownOfStroke,
  walkOf,
  workOf,
} from '../src/core/job/index.ts';
import { isCount, sizeOf } from '../src/core/matching/index.ts';
import { type Figure, figureAt, seatsOf, solve } from '../src/core/press/index.ts';
import type { ChoiceBody, EventBody, EventType, JobEvent } from '../src/core/schemas/events.ts';
import { type Procedure, type Stage, wrenchesFor } from '../src/core/torque/index.ts';
import { shopContext } from './shop.ts';

/** One thing a technician writes down. */
export type Entry =
  | { [T in EventType]: { type: T; body: EventBody<T> } }[EventType]
  | { choice: 'plan'; value: ChoiceBody<'plan'> }
  | { choice: 'match'; value: ChoiceBody<'match'> };

/** Corners of the demo shop that are walked, one for each family and route. */
export interface Walked {
  family: FamilyCode;
  unit: string;
  corner: Corner;
  route: RouteId;
  /** Chosen at the start where the usual way of the family is not gone. */
  way?: Way;
}
/** How one corner is worked. */
type Manner = Pick<Walked, 'route' | 'way'>;
export const walked: readonly Walked[] = [
  { family: 'P1', unit: 'unit-07', corner: 'LF', route: 'bench' },
  { family: 'P1', unit: 'unit-07', corner: 'LF', route: 'on-car' },
  { family: 'P2', unit: 'unit-15', corner: 'RF', route: 'on-car' },
  { family: 'P2', unit: 'unit-15', corner: 'RF', route: 'bench' },
  { family: 'A1', unit: 'unit-11', corner: 'RR', route: 'on-car' },
  { family: 'A2', unit: 'unit-19', corner: 'RR', route: 'bench' },
  {
    family: 'A2',
    unit: 'unit-19',
    corner: 'RR',
    route: 'bench',
    way: { school: 'collar', option: 'one' },
  },
  { family: 'B2', unit: 'unit-04', corner: 'LR', route: 'bench' },
  { family: 'N1', unit: 'unit-11', corner: 'RF', route: 'bench' },
  { family: 'P3', unit: 'unit-12', corner: 'LR', route: 'on-car' },
  { family: 'P3L', unit: 'unit-28', corner: 'LF', route: 'on-car' },
  { family: 'T2', unit: 'unit-30', corner: 'LF', route: 'on-car' },
  { family: 'A3', unit: 'unit-35', corner: 'LR', route: 'on-car' },
  {
    family: 'A3',
    unit: 'unit-35',
    corner: 'LR',
    route: 'on-car',
    way: { school: 'feed', option: 'oil' },
  },
];

const entry = <T extends EventType>(type: T, body: EventBody<T>): Entry =>
  ({ type, body }) as Entry;

/**
 * A technician without judgement: does what the job needs next by its own tasks, with good readings, the first stack
 * that the solver gives and nothing besides. What stands in the record decides; an empty list means that all is done.
 */
export function nextEntries(job: JobNow, how: Manner): Entry[] {
  const station = currentStation(job.state.done);
  // What was used up by work that fell is taken new, before anything is made again.
  const spent = itemsOf(familyCodeOf(job)).filter((i) => isSpent(i.id, job.state));
  if (spent.length > 0)
    return spent.map((i) => entry('item-marked', { itemId: i.id, state: 'in-hand' }));
  return station ? atStation[station](job, how) : [];
}

/** What there is to read on a car of which nothing is on record. */
export interface Truth {
  record: CornerRecord;
  procedure: Procedure;
}

/** The same on a car of which nothing is on record: names its family, reads what is asked for, types the procedure. */
export function nextOnUnknown(job: JobNow, how: Manner, truth: Truth): Entry[] {
  const { family = 'P1', partNumber = '' } = truth.record;
  switch (currentStation(job.state.done)) {
    case 'match':
      if (familyCodeOf(job) === family && chosenPart(job)) break;
      return [
        entry('family-named', { code: family, probability: 0.9, answers: {} }),
        { choice: 'match', value: { partNumber } },
      ];
    case 'torque': {
      if (job.ctx.procedure) break;
      const { checkedBy: _by, checkedOn: _on, ...procedure } = truth.procedure;
      return [
        entry('procedure-entered', { procedure }),
        entry('overridden', { rule: 'torque.unchecked', reason: 'held against the page' }),
      ];
    }
    case 'press-out':
    case 'press-in': {
      // One at a time: others may follow from it.
      const path = askedOf(job, currentStation(job.state.done) === 'press-out' ? 'out' : 'in')[0]
        ?.path;
      if (path === undefined) break;
      const value = figureAt(truth.record, path);
      if (value === undefined) throw new Error(`${family} asks for ${path}: not on its record`);
      return [entry('figure-read', { path, value })];
    }
  }
  return nextEntries(job, how);
}

/** Figures that the next task of a walk waits for. */
function askedOf(job: JobNow, way: 'out' | 'in'): readonly Figure[] {
  const task = (walkOf(job)?.[way] ?? []).find(
    (t) => !(t.kind === 'stroke' && t.spare) && !taskDone(t, job),
  );
  if (task?.kind === 'stroke') return unknownOfStroke(job, task.operation);
  return task?.kind === 'seats' ? unknownOfSeats(job) : [];
}

const done = (station: Station): Entry => entry('station-done', { station });

const atStation: Record<Station, (job: JobNow, how: Manner) => Entry[]> = {
  complaint: ({ ctx }, { way }) => [
    ...(way ? [entry('school-chosen', { ...way, reason: 'its fitting sheet' })] : []),
    entry('complaint-recorded', { corner: ctx.corner, lamps: ['none'], history: [] }),
    done('complaint'),
  ],
  diagnose: ({ ctx }) => {
    if (ctx.corner === 'unknown') throw new Error('This technician is told the corner');
    return [
      entry('test-recorded', { testId: 'spring', place: ctx.corner, result: 'gritty' }),
      entry('diagnosis-accepted', { suspectId: `bearing-${ctx.corner}`, probability: 0.9 }),
      done('diagnose'),
    ];
  },
  match: (job) => [
    ...itemsOf(familyCodeOf(job)).map((i) =>
      entry('item-marked', { itemId: i.id, state: 'in-hand' }),
    ),
    done('match'),
  ],
  plan: (_job, { route }) => [
    { choice: 'plan', value: { route, chill: false, soak: false } },
    done('plan'),
  ],
  'press-out': (job) => nextTask(job, walkOf(job)?.out ?? []) ?? [done('press-out')],
  'press-in': (job) => nextTask(job, walkOf(job)?.in ?? []) ?? [done('press-in')],
  torque: (job) => [
    ...stepsOf(job, 'rebuild').map((s) => entry('step-done', { phase: 'rebuild', stepId: s.id })),
    ...(job.ctx.procedure?.stages ?? []).flatMap((s) => stageDone(s, job)),
    done('torque'),
  ],
  prove: (job) => [
    ...checksFor(job).map((c) =>
      entry('check-recorded', {
        checkId: c.id,
        ...(c.numeric ? { value: 0.02, typed: '0.02' } : { ok: true }),
      }),
    ),
    entry('signed', { odometerKm: (job.ctx.unit.odometerKm ?? 0) + 5 }),
  ],
};

function stageDone(s: Stage, job: JobNow): Entry[] {
  const value = s.value ?? 0;
  const kept = entry('stage-recorded', {
    stageId: s.id,
    toolId:
      s.kind === 'end-play'
        ? 'dial'
        : (wrenchesFor(s, job.ctx.wrenches, '2026-01-01')[0]?.id ?? ''),
    ...(s.kind === 'lock' ? {} : { actual: value, typed: String(value) }),
  });
  if (s.kind !== 'end-play') return [kept];
  const readings: [number, number][] = [[0, value]];
  return [entry('play-read', { readings, pastDeg: 0, instrumentId: 'dial' }), kept];
}

function nextTask(job: JobNow, tasks: readonly Task[]): Entry[] | undefined {
  const task = tasks.find((t) => !(t.kind === 'stroke' && t.spare) && !taskDone(t, job));
  return task && forTask(task, job);
}

function forTask(task: Task, job: JobNow): Entry[] {
  switch (task.kind) {
    case 'strip':
      return stepsOf(job, 'strip').map((s) => entry('step-done', { phase: 'strip', stepId: s.id }));
    case 'facts':
      return task.facts.map((factId) =>
        entry('fact-seen', {
          factId,
          ...(facts[factId].amount ? { amountMl: 400, typed: '0.4 L' } : {}),
        }),
      );
    case 'old':
      return oldPartRead(job);
    case 'seats':
      return seatsRead(job);
    case 'verdict':
      return seatKindsOf(job).map((seat) => entry('seat-judged', { seat, decision: 'reuse' }));
    case 'encoder':
      return [entry('encoder-checked', { side: 'inboard', method: 'viewing-card' })];
    case 'stroke':
      return strokeMade(task.operation, job);
  }
}

function oldPartRead(job: JobNow): Entry[] {
  const part = chosenPart(job);
  if (!part) throw new Error('No part to hold the old one against');
  const { kind, pairs } = part.bearing.encoder;
  return [
    ...readingsToGo(job).flatMap(({ d, n }) =>
      Array.from({ length: n }, (_, k) => {
        const valueMm = (sizeOf(part, d) ?? 0) + (isCount(d) ? 0 : k * 0.001);
        const reading = { dimension: d, valueMm, typed: valueMm.toFixed(isCount(d) ? 0 : 3) };
        return entry('old-part-read', { ...reading, instrumentId: 'mic' });
      }),
    ),
    ...(kind === 'none' ? [] : [entry('encoder-read', { kind, pairs, side: 'inboard' })]),
    entry('part-confirmed', { partNumber: part.number }),
  ];
}

const seatKindsOf = (job: JobNow) => {
  const work = workOf(job);
  return work ? keysOf(seatsOf(work)) : [];
};

function seatsRead(job: JobNow): Entry[] {
  const work = workOf(job);
  if (!work) throw new Error('No geometry to measure');
  return seatKindsOf(job).flatMap((seat) => {
    const spec = seatsOf(work)[seat];
    if (!spec) return [];
    const limits = limitsMm(spec.nominalMm, tolerance(spec.nominalMm, spec.toleranceClass));
    const middle = (limits.lowMm + limits.highMm) / 2;
    const plane = [middle, middle];
    return [entry('seat-read', { seat, readingsMm: [plane, plane, plane], instrumentId: 'mic' })];
  });
}

function strokeMade(
  operation: Extract<Task, { kind: 'stroke' }>['operation'],
  job: JobNow,
): Entry[] {
  const setup = setupOf(job, operation);
  const best = setup && solve(job.ctx.adapters, setup, 1).solutions[0];
  if (!setup || !best) throw new Error(`No stack for ${operation}`);
  const { cap, pusher, support, riser } = best.stack;
  const danger = dangerOf(setup.press);
  const unread = danger in job.state.cautionsRead ? [] : [{ cautionId: danger }];
  const made = entry('stroke-recorded', {
    operation,
    pressId: setup.press.id,
    stack: {
      pusherId: pusher.id,
      ...(cap ? { capId: cap.id } : {}),
      ...(support ? { supportId: support.id } : {}),
      ...(riser ? { riserId: riser.id } : {}),
    },
    ...(setup.press.kind === 'hammer' ? {} : { peakKn: setup.forceKn.likely }),
    ...(setup.requirement.fitting ? { depthMm: setup.requirement.travelMm } : {}),
  });
  return [...unread.map((u) => entry('caution-read', u)), made];
}

/** A job that is worked without a server: each entry is held against the interlocks, then stands in the record. */
export class Worked {
  events: readonly JobEvent[] = [];
  now: JobNow;

  constructor(
    ctx: JobContext,
    private readonly by = 'ines',
  ) {
    this.now = { ctx, state: project([]), choices: {} };
  }

  /** Another job that stands just where this one does, and goes its own way from here. */
  fork(): Worked {
    const other = new Worked(this.now.ctx, this.by);
    other.events = this.events;
    other.now = this.now;
    return other;
  }

  /** Why the entry was refused; undefined when it stands. */
  put(e: Entry): Refusal | undefined {
    if ('choice' in e) {
      const no = choiceRefusal(e.choice, e.value, this.now);
      if (no) return no;
      const choices = { ...this.now.choices, [e.choice]: { version: 1, value: e.value } };
      this.now = { ...this.now, choices };
      return undefined;
    }
    const refused = refusal(e.type, e.body, this.now, this.by);
    if (refused) return refused;
    const seq = this.events.length + 1;
    const event = {
      type: e.type,
      body: complete(e.type, e.body, this.now),
      seq,
      id: String(seq),
      jobId: 'j',
      byId: this.by,
      atMs: seq * 60_000,
    } as JobEvent;
    this.events = [...this.events, event];
    this.now = { ...this.now, state: projectOn(this.now.state, [event]) };
    return undefined;
  }
}

/** All that the technician writes down from the start to the signature, and the next actions on the way. */
export function workThrough({ unit, corner, ...how }: Walked) {
  const worked = new Worked(shopContext(unit, corner));
  const entries: Entry[] = [];
  const actions: string[] = [];
  for (;;) {
    const { text } = nextAction(worked.now);
    if (actions.at(-1) !== text) actions.push(text);
    const next = nextEntries(worked.now, how);
    if (next.length === 0) return { worked, entries, actions };
    for (const e of next) {
      const refused = worked.put(e);
      if (refused) throw new Error(`${JSON.stringify(e)}: ${reasonOf(refused)}`);
      entries.push(e);
    }
  }
}
