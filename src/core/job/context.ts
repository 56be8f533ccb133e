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

export const sensorSide = (ctx: JobContext): Side => cornerRecord(ctx)?.sensorSide ?? 'inboard';

export const instrumentById = (ctx: JobContext, id: string | undefined): Instrument =>
  ctx.instruments.find((i) => i.id === id) ?? { id: 'unknown', name: 'unknown instrument', doubtMm: 0.05 };

/** Geometry of the strokes; undefined when the unit's record or the part is missing, never guessed. */
export function workOf(ctx: JobContext, choices: Choices): Work | undefined {
  const record = cornerRecord(ctx);
  const part = chosenPart(ctx, choices);
  if (!record?.knuckle || !record.hub || !part) return undefined;
  return { bearing: part.bearing, knuckle: record.knuckle, hub: record.hub, encoderSide: sensorSide(ctx) };
}

export function oldPart(ctx: JobContext, state: JobState): OldPart {
  return { readings: state.oldReadings, doubtMm: instrumentById(ctx, state.oldInstrumentId).doubtMm, ...(state.oldEncoder ? { encoder: state.oldEncoder } : {}) };
}

export const ringSets = (ctx: JobContext) => ctx.parts.filter((p) => p.kind === 'ring-set');
export const candidatesFor = (ctx: JobContext, state: JobState): Comparison[] => candidates(oldPart(ctx, state), ringSets(ctx));
export const chosenComparison = (ctx: JobContext, state: JobState, choices: Choices): Comparison | undefined => {
  const part = chosenPart(ctx, choices);
  return part && compare(oldPart(ctx, state), part);
};

/** Seat verdict from the readings, against the part that will be fitted; undefined before they are read. */
export function seatResult(kind: SeatKind, ctx: JobContext, state: JobState, choices: Choices): SeatResult | undefined {
  const work = workOf(ctx, choices);
  const read = state.seats[kind];
  if (!work || !read) return undefined;
  return judgeSeat({
    kind, readingsMm: read.readingsMm, instrument: instrumentById(ctx, read.instrumentId),
    nominalMm: kind === 'bore' ? work.bearing.outerMm : work.bearing.boreMm,
    toleranceClass: kind === 'bore' ? work.knuckle.boreClass : work.hub.journalClass,
    classSource: `${kind === 'bore' ? work.knuckle.boreClass : work.hub.journalClass}, ${cornerRecord(ctx)!.source}`,
  });
}

/** Fits of the two seats: measured where they were read, classes where not. */
export function fitsOf(ctx: JobContext, state: JobState, choices: Choices): Fits | undefined {
  const work = workOf(ctx, choices);
  if (!work) return undefined;
  const byClass = classFits(work);
  const bore = seatResult('bore', ctx, state, choices)?.interference;
  const journal = seatResult('journal', ctx, state, choices)?.interference;
  return { bore: bore ?? byClass.bore, journal: journal ?? byClass.journal, measured: { bore: bore !== undefined, journal: journal !== undefined } };
}

/** The bench of one stroke; undefined while geometry or press is missing. */
export function benchOf(operation: Operation, ctx: JobContext, state: JobState, choices: Choices): Bench | undefined {
  const work = workOf(ctx, choices);
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
