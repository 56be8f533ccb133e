import { judge, testsOf, type Book, type Judgement, type UnitHistory } from '../diagnosis/index.ts';
import type { Instrument, SeatKind, SeatResult } from '../fits/index.ts';
import { judgeSeat } from '../fits/index.ts';
import { candidates, compare, type CataloguePart, type Comparison, type OldPart } from '../matching/index.ts';
import { corners, type CornerRecord, type JobCorner, type Side } from '../parts.ts';
import { classFits, requirement, strokeForceKn, type Adapter, type Bench, type Fits, type Operation, type Press, type Stack, type Work } from '../press/index.ts';
import type { ChoiceBody, Choices } from '../schemas/events.ts';
import type { UnitRecord } from '../schemas/workshop.ts';
import type { Procedure, Wrench } from '../torque/index.ts';
import type { JobState } from './state.ts';

/** All that a job is judged against: the unit's record and what the shop owns. */
export interface JobContext {
  unit: UnitRecord;
  corner: JobCorner;
  parts: CataloguePart[];
  adapters: Adapter[];
  presses: Press[];
  instruments: Instrument[];
  wrenches: Wrench[];
  procedure?: Procedure;
  /** The likelihood tables as the shop keeps them. */
  book: Book;
}

/** A job as it stands: what it is judged against, what was done, what was chosen. */
export interface JobNow {
  ctx: JobContext;
  state: JobState;
  choices: Choices;
}

export const cornerRecord = (ctx: JobContext): CornerRecord | undefined => (ctx.corner === 'unknown' ? undefined : ctx.unit.corners[ctx.corner]);

/** The corner the job is about: what the diagnosis named, else the one it was started on. */
export function cornerOfJob(startedOn: JobCorner, state: JobState): JobCorner {
  const named = corners.find((c) => state.diagnosis?.suspectId === `bearing-${c}`);
  return named ?? (startedOn !== 'unknown' ? startedOn : (state.complaint?.corner ?? 'unknown'));
}
export const partByNumber = (ctx: JobContext, number: string | undefined): CataloguePart | undefined => ctx.parts.find((p) => p.number === number);
/** The part the job is working with: chosen by hand, else what the unit's record names. */
export const chosenPart = (ctx: JobContext, choices: Choices): CataloguePart | undefined =>
  partByNumber(ctx, choices.match?.value.partNumber ?? cornerRecord(ctx)?.partNumber);

/** Where the sensor sits: the unit's record, else the side that the old part's encoder faced; undefined when neither says. */
export const sensorSide = (ctx: JobContext, state: JobState): Side | undefined => cornerRecord(ctx)?.sensorSide ?? state.oldEncoder?.side;

export type EncoderState = 'no-encoder' | 'side-unknown' | 'unchecked' | 'reversed' | 'right';

/** How the new bearing's encoder stands to the sensor, as far as it has been checked. */
export function encoderState({ ctx, state, choices }: JobNow): EncoderState {
  if (chosenPart(ctx, choices)?.bearing.encoder.kind === 'none') return 'no-encoder';
  const sensor = sensorSide(ctx, state);
  if (!sensor) return 'side-unknown';
  if (!state.encoderChecked) return 'unchecked';
  return state.encoderChecked.side === sensor ? 'right' : 'reversed';
}

export const instrumentById = (ctx: JobContext, id: string | undefined): Instrument | undefined => ctx.instruments.find((i) => i.id === id);

/** Geometry of the strokes; undefined when the unit's record or the part is missing, never guessed. */
export function workOf(ctx: JobContext, state: JobState, choices: Choices): Work | undefined {
  const record = cornerRecord(ctx);
  const part = chosenPart(ctx, choices);
  if (!record?.knuckle || !record.hub || !part) return undefined;
  return { bearing: part.bearing, knuckle: record.knuckle, hub: record.hub, encoderSide: sensorSide(ctx, state) };
}

export function oldPart(ctx: JobContext, state: JobState): OldPart {
  // Readings of an instrument that is no longer on record are in doubt altogether.
  return { readings: state.oldReadings, doubtMm: instrumentById(ctx, state.oldInstrumentId)?.doubtMm ?? Infinity, ...(state.oldEncoder ? { encoder: state.oldEncoder } : {}) };
}

export const ringSets = (ctx: JobContext) => ctx.parts.filter((p) => p.kind === 'ring-set');
export const candidatesFor = (ctx: JobContext, state: JobState): Comparison[] => candidates(oldPart(ctx, state), ringSets(ctx));
export const chosenComparison = (ctx: JobContext, state: JobState, choices: Choices): Comparison | undefined => {
  const part = chosenPart(ctx, choices);
  return part && compare(oldPart(ctx, state), part);
};

/** Nominal size and class of a seat with the word of where they come from. */
export const seatOf = (kind: SeatKind, work: Work) => (kind === 'bore'
  ? { nominalMm: work.bearing.outerMm, toleranceClass: work.knuckle.boreClass }
  : { nominalMm: work.bearing.boreMm, toleranceClass: work.hub.journalClass });

/** Verdict on readings of a seat, kept or still being typed; undefined while geometry or instrument is missing. */
export function judgeReadings(kind: SeatKind, readingsMm: readonly (readonly number[])[], instrumentId: string, { ctx, state, choices }: JobNow): SeatResult | undefined {
  const work = workOf(ctx, state, choices);
  const instrument = instrumentById(ctx, instrumentId);
  if (!work || !instrument) return undefined;
  const seat = seatOf(kind, work);
  return judgeSeat({ kind, readingsMm, instrument, ...seat, classSource: `${seat.toleranceClass}, ${cornerRecord(ctx)!.source}` });
}

/** Verdict on the kept readings of a seat; undefined before they are read. */
export function seatResult(kind: SeatKind, ctx: JobContext, state: JobState, choices: Choices): SeatResult | undefined {
  const read = state.seats[kind];
  return read && judgeReadings(kind, read.readingsMm, read.instrumentId, { ctx, state, choices });
}

/** Fits of the two seats: measured where they were read, classes where not. */
export function fitsOf(ctx: JobContext, state: JobState, choices: Choices): Fits | undefined {
  const work = workOf(ctx, state, choices);
  if (!work) return undefined;
  const byClass = classFits(work);
  const bore = seatResult('bore', ctx, state, choices)?.interference;
  const journal = seatResult('journal', ctx, state, choices)?.interference;
  return { bore: bore ?? byClass.bore, journal: journal ?? byClass.journal, measured: { bore: bore !== undefined, journal: journal !== undefined } };
}

/** The bench of one stroke; undefined while geometry or press is missing. */
export function benchOf(operation: Operation, ctx: JobContext, state: JobState, choices: Choices): Bench | undefined {
  const work = workOf(ctx, state, choices);
  const fits = fitsOf(ctx, state, choices);
  const press = ctx.presses[0];
  if (!work || !fits || !press) return undefined;
  return { work, press, requirement: requirement(operation, work), forceKn: strokeForceKn(operation, work, fits) };
}

/** Pieces of a chosen stack; undefined when one of them is not in the kit. */
export function stackOf(ctx: JobContext, ids: ChoiceBody<'stack-hub-out'>): Stack | undefined {
  const find = (id: string | undefined) => ctx.adapters.find((a) => a.id === id);
  const pusher = find(ids.pusherId);
  const support = find(ids.supportId);
  const cap = find(ids.capId);
  if (!pusher || !support || (ids.capId !== undefined && !cap)) return undefined;
  return { ...(cap ? { cap } : {}), pusher, support };
}

/** What the unit's record says of its bearings. */
export const historyOf = (unit: UnitRecord): UnitHistory => ({ odometerKm: unit.odometerKm, fitted: unit.fitted ?? {}, exposure: unit.exposure ?? [] });

/** The diagnosis of a job as it stands, on the shop's own tables and the unit's history. */
export const judgementOf = (ctx: JobContext, state: JobState, choices: Choices): Judgement =>
  judge(ctx.unit.layout, state.complaint, state.results, { tables: testsOf(ctx.book), history: historyOf(ctx.unit), without: choices.diagnose?.value.without ?? [] });
