import type { Encoder } from '../corner-record.ts';
import type { Side } from '../corner.ts';
import type { Complaint, TestResult } from '../diagnosis/index.ts';
import type { FactId, FamilyCode, SchoolId } from '../families/index.ts';
import type { CataloguePart, DimensionId, OldPart, Reading } from '../matching/index.ts';
import type { Operation, StrokeReading } from '../press/index.ts';
import type { KeptSignal, KeptSpectrum } from '../prove/index.ts';
import type { EventBody } from '../schemas/events.ts';
import type { Timer } from '../schemas/floor.ts';
import type { Procedure } from '../torque/index.ts';
import type { By } from './entries/entry.ts';
import type { Station } from './stations.ts';
import type { WorkClock } from './work-clock.ts';

export type ItemState = EventBody<'item-marked'>['state'];

/** What an entry says, with who made it and when. */
type Kept<T> = T & By;

/** What the record says now: a projection of the events, nothing more. */
export interface JobState {
  complaint?: Complaint;
  results: Kept<TestResult>[];
  diagnosis?: Kept<EventBody<'diagnosis-accepted'>>;
  items: Record<string, ItemState>;
  /** Place in the record of the last mark of each item. */
  itemsAt: Record<string, number>;
  /** Place in the record at which work fell that had used an item up. */
  spentAt: Record<string, number>;
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
  contrary: Partial<Record<FactId, By>>;
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

/** A map by words from outside: no word is taken for something that every object has. */
const byWord = <T>(): Record<string, T> => Object.create(null) as Record<string, T>;

export const emptyState = (): JobState => ({
  results: [],
  items: byWord(),
  taken: byWord(),
  itemsAt: byWord(),
  spentAt: byWord(),
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

export const overrideOf = (s: JobState, rule: string) => s.overrides.find((o) => o.rule === rule);
