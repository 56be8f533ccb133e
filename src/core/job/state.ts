import type { Encoder } from '../corner-record.ts';
import type { Side } from '../corner.ts';
import type { Complaint, TestResult } from '../diagnosis/index.ts';
import type { FactId, FamilyCode, SchoolId } from '../families/index.ts';
import {
  atTwenty,
  type CataloguePart,
  type DimensionId,
  isCount,
  type OldPart,
  type Reading,
  readingsNeeded,
} from '../matching/index.ts';
import { type Operation, type StrokeReading, thinned } from '../press/index.ts';
import type { KeptSignal, KeptSpectrum } from '../prove/index.ts';
import type { EventBody, JobEvent } from '../schemas/events.ts';
import type { Procedure } from '../torque/index.ts';
import { applyFalls } from './falls.ts';
import { clockAfter, type WorkClock } from './work-clock.ts';
import type { Station } from './stations.ts';

export type ItemState = EventBody<'item-marked'>['state'];

export interface Timer {
  id: string;
  label: string;
  startedMs: number;
  endsMs: number;
}

type Kept<T> = T & { byId: string; atMs: number };

/** What the record says now: a projection of the events, nothing more. */
export interface JobState {
  complaint?: Complaint;
  results: Kept<TestResult>[];
  diagnosis?: Kept<EventBody<'diagnosis-accepted'>>;
  items: Record<string, ItemState>;
  /** Place in the record of the last mark of each item. */
  itemsAt: Record<string, number>;
  /** What of the shop's own shelf an item was taken as, by its number. */
  taken: Record<string, string>;
  /** The part that the bearing in hand was, when it was marked. */
  bearingInHand?: string;
  stepsDone: { strip: string[]; rebuild: string[] };
  found: string[];
  timers: Timer[];
  /** Who has read which caution: each who pumps reads it once a job. */
  cautionsRead: Record<string, string[]>;
  facts: string[];
  /** What was measured with a thing seen, mL. */
  amountsMl: Partial<Record<FactId, number>>;
  /** When each of them was last seen. */
  seenAtMs: Partial<Record<FactId, number>>;
  /** Things looked for of which the opposite was seen. */
  contrary: Partial<Record<FactId, { byId: string; atMs: number }>>;
  /** Family as it was identified by what is seen. */
  family?: Kept<{ code: FamilyCode; probability: number }>;
  /** Readings brought to 20 °C, their zero taken off. */
  oldReadings: Partial<Record<DimensionId, number[]>>;
  /** The same as they were taken. */
  oldTaken: Partial<Record<DimensionId, Reading[]>>;
  oldPoints: Pick<OldPart, 'rolling' | 'seals' | 'spacer'>;
  /** A part entered by hand. */
  handPart?: CataloguePart;
  oldInstrumentId?: string;
  oldEncoder?: Encoder & { side: Side };
  seats: { bore?: Kept<EventBody<'seat-read'>>; journal?: Kept<EventBody<'seat-read'>> };
  seatDecisions: { bore?: 'reuse' | 'replace'; journal?: 'reuse' | 'replace' };
  /** How long hands were on it. */
  work: WorkClock;
  /** Seats that were told by feel and eye. */
  felt: { bore?: Kept<EventBody<'seat-felt'>>; journal?: Kept<EventBody<'seat-felt'>> };
  damage: { bore?: Kept<EventBody<'damage-read'>>; journal?: Kept<EventBody<'damage-read'>> };
  partConfirmed?: string;
  encoderChecked?: Kept<EventBody<'encoder-checked'>>;
  /** Figures of the corner that were read on this job, by their path. */
  figures: Record<string, Kept<EventBody<'figure-read'>>>;
  /** Fasteners read on this job, by their key in the walk. */
  fasteners: Record<string, Kept<EventBody<'fastener-read'>>>;
  /** What was tightened besides the centre nut, by its key in the walk, in the order it was done. */
  tightened: Record<string, Kept<EventBody<'fastener-tightened'>>[]>;
  /** A measure that showed that a corner is not built like the one its figures were taken from. */
  notAlike?: { path: string; hereMm: number; thereMm: number; takenFrom: string };
  readings: Partial<Record<Operation, StrokeReading[]>>;
  /** Greatest force that was read of a stroke without its travel. */
  peaks: Partial<Record<Operation, number>>;
  /** When the last of them was taken: later than the kept stroke, they are of one that is made again. */
  readAtMs: Partial<Record<Operation, number>>;
  /** The last trace of a stroke by a gauge; earlier ones stay on record. */
  traces: Partial<Record<Operation, Kept<EventBody<'stroke-traced'>>>>;
  strokes: Partial<Record<Operation, Kept<EventBody<'stroke-recorded'>>>>;
  /** Typed on this job, where the unit had none. */
  procedure?: Procedure;
  /** Readings of the procedure, with their place in the record. */
  stages: (Kept<EventBody<'stage-recorded'>> & { seq: number })[];
  /** Readings of end play, in the order they were made, with their place in the record. */
  plays: (Kept<EventBody<'play-read'>> & { seq: number })[];
  /** Last readings of each face. */
  runout: { hub?: Kept<EventBody<'runout-read'>>; disc?: Kept<EventBody<'runout-read'>> };
  /** The last sound and signal kept from Diagnose, and from after the work. */
  keptTraces: { before: KeptTraces; after: KeptTraces };
  /** Lines of the signed card that were wrong. */
  corrections: Kept<EventBody<'line-corrected'>>[];
  /** Ways chosen for this job. */
  schools: Partial<Record<SchoolId, Kept<EventBody<'school-chosen'>>>>;
  /** The customer's last yes. */
  agreed?: Kept<EventBody<'quote-agreed'>>;
  /** The old part as it was last read. */
  raceways?: Kept<EventBody<'raceways-read'>>;
  /** Pictures left with the job. */
  photos: Kept<EventBody<'photo-left'>>[];
  /** The last note for the next shift, while nobody has read it. */
  shiftNote?: Kept<EventBody<'note-left'>>;
  /** Notes left with the job. */
  notes: Kept<EventBody<'note-left'>>[];
  checks: Record<string, Kept<EventBody<'check-recorded'>>>;
  overrides: Kept<EventBody<'overridden'>>[];
  done: Station[];
  signed?: Kept<EventBody<'signed'>>;
  recheckedKm?: number;
  closed?: string;
  /** The cause that a closed job names. */
  closedFound?: string;
  closedMs?: number;
}

/** A sound and a signal, each with who kept it. */
export interface KeptTraces {
  spectrum?: Kept<KeptSpectrum> & { standIn?: boolean };
  signal?: Kept<KeptSignal> & { standIn?: boolean };
}

function tracesIn({ spectrum, signal, standIn, byId, atMs }: Kept<EventBody<'trace-kept'>>) {
  const by = { byId, atMs, ...(standIn ? { standIn } : {}) };
  return {
    ...(spectrum ? { spectrum: { ...spectrum, ...by } } : {}),
    ...(signal ? { signal: { ...signal, ...by } } : {}),
  } satisfies KeptTraces;
}

/** A map by words from outside: no word is taken for something that every object has. */
const byWord = <T>(): Record<string, T> => Object.create(null) as Record<string, T>;

const emptyState = (): JobState => ({
  results: [],
  items: byWord(),
  taken: byWord(),
  itemsAt: byWord(),
  stepsDone: { strip: [], rebuild: [] },
  found: [],
  timers: [],
  cautionsRead: byWord(),
  facts: [],
  amountsMl: {},
  seenAtMs: {},
  contrary: {},
  oldReadings: {},
  oldTaken: {},
  oldPoints: {},
  seats: {},
  seatDecisions: {},
  damage: {},
  felt: {},
  readings: {},
  figures: byWord(),
  fasteners: byWord(),
  tightened: byWord(),
  peaks: {},
  readAtMs: {},
  traces: {},
  strokes: {},
  stages: [],
  runout: {},
  plays: [],
  schools: {},
  keptTraces: { before: {}, after: {} },
  corrections: [],
  photos: [],
  notes: [],
  checks: byWord(),
  work: { doneMs: 0 },
  overrides: [],
  done: [],
});

/** Samples of a trace by their names. */
export const samplesOf = ({ samples }: Pick<EventBody<'stroke-traced'>, 'samples'>) =>
  samples.map(([ms = 0, travelMm = 0, forceKn = 0]) => ({ ms, travelMm, forceKn }));

/** An item in hand is of a number, where somebody took it off the shelf by that. */
function takeOff(s: JobState, { itemId, state, partNumber }: EventBody<'item-marked'>): void {
  if (itemId === 'bearing') {
    if (partNumber !== undefined) s.bearingInHand = partNumber;
    return;
  }
  delete s.taken[itemId];
  if (state === 'in-hand' && partNumber !== undefined) s.taken[itemId] = partNumber;
}

/** Folds the record into the state. Order is the server's sequence. */
export function project(events: readonly JobEvent[]): JobState {
  const s = emptyState();
  for (const e of events) apply(s, e);
  return s;
}

/** Carries a state forward by the entries after it; the state itself stays as it is. */
export function projectOn(state: JobState, events: readonly JobEvent[]): JobState {
  const s = copied(state);
  for (const e of events) apply(s, e);
  return s;
}

/** An object without what it would inherit stays one. */
const alike = (o: object): Record<string, unknown> =>
  Object.assign(Object.create(Object.getPrototypeOf(o) as object | null) as object, o) as Record<
    string,
    unknown
  >;

/** A state that can be folded on: what `apply` changes in place lies at most two steps down. */
function copied(state: JobState): JobState {
  const out = alike(state);
  for (const [field, value] of Object.entries(state)) {
    if (Array.isArray(value)) out[field] = [...(value as unknown[])];
    else if (typeof value === 'object' && value !== null) {
      const inner = alike(value as object);
      for (const [key, list] of Object.entries(inner))
        if (Array.isArray(list)) inner[key] = [...(list as unknown[])];
      out[field] = inner;
    }
  }
  return out as unknown as JobState;
}

/** A reading at a named place replaces the one there; without a place the list fills up and then begins anew, so a slip is corrected by reading again. */
function withReading(list: readonly Reading[], r: Reading, most: number): Reading[] {
  if (r.plane === undefined && r.angleDeg === undefined)
    return list.length >= most ? [r] : [...list, r];
  return [...list.filter((x) => x.plane !== r.plane || x.angleDeg !== r.angleDeg), r];
}

/** The stroke was kept after its last reading: the next one belongs to another try. */
const begunAgain = (s: JobState, o: Operation): boolean =>
  (s.strokes[o]?.atMs ?? -Infinity) >= (s.readAtMs[o] ?? Infinity);

/** A gauge read by eye: with its travel a point of the strip, without it only a peak. */
function typedReading(s: JobState, r: EventBody<'stroke-reading'>): void {
  const { operation: o, travelMm, forceKn } = r;
  if (begunAgain(s, o)) {
    delete s.readings[o];
    delete s.peaks[o];
  }
  if (travelMm === undefined) s.peaks[o] = Math.max(s.peaks[o] ?? 0, forceKn);
  else s.readings[o] = [...(s.readings[o] ?? []), { travelMm, forceKn }];
}

const once = (list: string[], x: string) => {
  if (!list.includes(x)) list.push(x);
};

function apply(s: JobState, e: JobEvent): void {
  applyFalls(s, e);
  s.work = clockAfter(s.work, e);
  const kept = { byId: e.byId, atMs: e.atMs };
  switch (e.type) {
    case 'complaint-recorded':
      s.complaint = e.body;
      break;
    case 'test-recorded':
      // A test done again replaces its earlier answer in the judgement; both stay on record.
      s.results = [
        ...s.results.filter((r) => r.testId !== e.body.testId || r.place !== e.body.place),
        { ...e.body, ...kept },
      ];
      break;
    case 'diagnosis-accepted':
      s.diagnosis = { ...e.body, ...kept };
      break;
    case 'item-marked':
      s.items[e.body.itemId] = e.body.state;
      s.itemsAt[e.body.itemId] = e.seq;
      takeOff(s, e.body);
      break;
    case 'caution-read':
      once((s.cautionsRead[e.body.cautionId] ??= []), e.byId);
      break;
    case 'step-done':
      once(s.stepsDone[e.body.phase], e.body.stepId);
      if (e.body.found) s.found.push(e.body.found);
      break;
    case 'timer-started':
      s.timers.push({
        id: e.body.timerId,
        label: e.body.label,
        startedMs: e.atMs,
        endsMs: e.atMs + e.body.minutes * 60_000,
      });
      break;
    case 'timer-ended':
      s.timers = s.timers.filter((t) => t.id !== e.body.timerId);
      break;
    case 'fact-seen':
      if (e.body.absent) {
        s.facts = s.facts.filter((f) => f !== e.body.factId);
        s.contrary[e.body.factId] = kept;
      } else {
        once(s.facts, e.body.factId);
        s.seenAtMs[e.body.factId] = e.atMs;
        delete s.contrary[e.body.factId];
        if (e.body.amountMl !== undefined) s.amountsMl[e.body.factId] = e.body.amountMl;
      }
      break;
    case 'old-part-read': {
      const { dimension: d, instrumentId, typed: _typed, ...taken } = e.body;
      s.oldTaken[d] = withReading(s.oldTaken[d] ?? [], taken, readingsNeeded(d));
      s.oldReadings[d] = s.oldTaken[d].map((r) => (isCount(d) ? r.valueMm : atTwenty(r)));
      s.oldInstrumentId = instrumentId;
      break;
    }
    case 'encoder-read':
      s.oldEncoder = e.body;
      break;
    case 'family-named':
      s.family = { code: e.body.code, probability: e.body.probability, ...kept };
      break;
    case 'points-read':
      s.oldPoints = { ...s.oldPoints, ...e.body };
      break;
    case 'part-entered':
      s.handPart = { ...e.body.part, byHand: true } as CataloguePart;
      break;
    case 'damage-read':
      s.damage[e.body.seat] = { ...e.body, ...kept };
      break;
    case 'seat-read':
      s.seats[e.body.seat] = { ...e.body, ...kept };
      break;
    case 'seat-felt':
      s.felt[e.body.seat] = { ...e.body, ...kept };
      break;
    case 'figure-read':
      applyFigure(s, { ...e.body, ...kept });
      break;
    case 'seat-judged':
      s.seatDecisions[e.body.seat] = e.body.decision;
      break;
    case 'part-confirmed':
      s.partConfirmed = e.body.partNumber;
      break;
    case 'encoder-checked':
      s.encoderChecked = { ...e.body, ...kept };
      break;
    case 'stroke-reading':
      typedReading(s, e.body);
      s.readAtMs[e.body.operation] = e.atMs;
      break;
    case 'stroke-traced':
      s.traces[e.body.operation] = { ...e.body, ...kept };
      s.readings[e.body.operation] = thinned(samplesOf(e.body));
      s.readAtMs[e.body.operation] = e.atMs;
      break;
    case 'stroke-recorded':
      s.strokes[e.body.operation] = { ...e.body, ...kept };
      break;
    case 'fastener-read':
      s.fasteners[e.body.fastenerId] = { ...e.body, ...kept };
      break;
    case 'fastener-tightened':
      (s.tightened[e.body.fastenerId] ??= []).push({ ...e.body, ...kept });
      break;
    case 'procedure-entered':
      s.procedure = e.body.procedure;
      break;
    case 'stage-recorded':
      s.stages.push({ ...e.body, ...kept, seq: e.seq });
      break;
    case 'play-read':
      s.plays.push({ ...e.body, ...kept, seq: e.seq });
      break;
    case 'runout-read':
      s.runout[e.body.face] = { ...e.body, ...kept };
      // What was read of the disc is told from the hub as it was then.
      if (e.body.face === 'hub') delete s.runout.disc;
      break;
    case 'trace-kept':
      s.keptTraces = {
        ...s.keptTraces,
        [e.body.when]: { ...s.keptTraces[e.body.when], ...tracesIn({ ...e.body, ...kept }) },
      };
      break;
    case 'line-corrected':
      s.corrections.push({ ...e.body, ...kept });
      break;
    case 'school-chosen':
      s.schools[e.body.school] = { ...e.body, ...kept };
      break;
    case 'quote-agreed':
      s.agreed = { ...e.body, ...kept };
      break;
    case 'raceways-read':
      s.raceways = { ...e.body, ...kept };
      break;
    case 'photo-left':
      s.photos.push({ ...e.body, ...kept });
      break;
    case 'note-left':
      s.notes.push({ ...e.body, ...kept });
      if (e.body.forShift) s.shiftNote = { ...e.body, ...kept };
      break;
    case 'note-read':
      delete s.shiftNote;
      break;
    case 'check-recorded':
      s.checks[e.body.checkId] = { ...e.body, ...kept };
      break;
    case 'overridden':
      s.overrides.push({ ...e.body, ...kept });
      break;
    case 'station-done':
      if (!s.done.includes(e.body.station)) s.done.push(e.body.station);
      break;
    case 'station-reopened':
      s.done = s.done.filter((x) => x !== e.body.station);
      break;
    case 'signed':
      s.signed = { ...e.body, ...kept };
      if (!s.done.includes('prove')) s.done.push('prove');
      break;
    case 'recheck-done':
      s.recheckedKm = e.body.odometerKm;
      break;
    case 'job-closed':
      s.closed = e.body.reason;
      if (e.body.found !== undefined) s.closedFound = e.body.found;
      s.closedMs = e.atMs;
      break;
    case 'job-reopened':
      delete s.closed;
      delete s.closedFound;
      delete s.closedMs;
      break;
  }
}

/** Measured and taken over further apart than this, mm, is not built alike. Our judgement: more than a caliper can be off. */
const alikeMm = 0.5;

/** A figure that is read; where it shows that the corner is not built like the one that lent it, all that it lent falls. */
function applyFigure(s: JobState, f: Kept<EventBody<'figure-read'>>): void {
  const lent = s.figures[f.path];
  const from = lent?.takenFrom;
  const differs =
    typeof lent?.value === 'number' && typeof f.value === 'number'
      ? Math.abs(lent.value - f.value) > alikeMm
      : lent?.value !== f.value;
  if (lent && from && !f.takenFrom && differs) {
    s.figures = Object.fromEntries(
      Object.entries(s.figures).filter(([, other]) => other.takenFrom !== from),
    );
    if (typeof lent.value === 'number' && typeof f.value === 'number')
      s.notAlike = { path: f.path, hereMm: f.value, thereMm: lent.value, takenFrom: from };
  }
  s.figures[f.path] = f;
}

export const overrideOf = (s: JobState, rule: string) => s.overrides.find((o) => o.rule === rule);
