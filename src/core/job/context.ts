import { judge, testsOf, type Book, type Judgement, type UnitHistory } from '../diagnosis/index.ts';
import type { Instrument, SeatKind, SeatResult } from '../fits/index.ts';
import { bearingNormal, frictions, fromLimits, gripLostMm, gripWarmMm, holds, hoopMpa, judgeDamage, judgeSeat, limitsMm, pressureMpa, racewayChangeMm, smoothingShare, yieldMpa, yieldsAtMm, type Film, type FitChain } from '../fits/index.ts';
import { gravestFirst, type Verdict } from '../verdict.ts';
import { familyByCode, type Family, type FamilyCode } from '../families/index.ts';
import { atTwenty, candidates, compare, conflicts, meanOf, type CataloguePart, type Comparison, type OldPart } from '../matching/index.ts';
import { corners, type CornerRecord, type JobCorner, type Side } from '../parts.ts';
import { classFits, requirement, freezerC, seatFit, strokeForceKn, usualSchool, type Adapter, type Bench, type Fits, type Operation, type Press, type School, type Stack, type Work } from '../press/index.ts';
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

export const cornerRecord = (ctx: Pick<JobContext, 'unit' | 'corner'>): CornerRecord | undefined => (ctx.corner === 'unknown' ? undefined : ctx.unit.corners[ctx.corner]);

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

/** Family of the job: what was seen and named by hand, else the unit's record; undefined while neither says. */
export const familyCodeOf = (ctx: Pick<JobContext, 'unit' | 'corner'>, state: JobState): FamilyCode | undefined => state.family?.code ?? familyByCode(cornerRecord(ctx)?.family)?.code;
export const familyOf = (ctx: Pick<JobContext, 'unit' | 'corner'>, state: JobState): Family | undefined => familyByCode(familyCodeOf(ctx, state));

export function oldPart(ctx: JobContext, state: JobState): OldPart {
  const named = partByNumber(ctx, cornerRecord(ctx)?.partNumber);
  return {
    kind: familyOf(ctx, state)?.kind ?? 'ring-set', readings: state.oldReadings,
    // Readings of an instrument that is no longer on record are in doubt altogether.
    doubtMm: instrumentById(ctx, state.oldInstrumentId)?.doubtMm ?? Infinity,
    ...(state.oldEncoder ? { encoder: state.oldEncoder } : {}), ...state.oldPoints, ...(named ? { ratingKn: named.bearing.staticRatingKn } : {}),
  };
}

/** Parts that may be right: all that lie near what was read, or near the part on record. */
export const candidatesFor = (ctx: JobContext, state: JobState): Comparison[] => candidates(oldPart(ctx, state), ctx.parts.filter((p) => p.kind === (familyOf(ctx, state)?.kind ?? 'ring-set')));
export const chosenComparison = (ctx: JobContext, state: JobState, choices: Choices): Comparison | undefined => {
  const part = chosenPart(ctx, choices);
  return part && compare(oldPart(ctx, state), part);
};

/** Readings of old part and seats that cannot all be true. */
export function conflictsOf({ ctx, state }: Pick<JobNow, 'ctx' | 'state'>): { field: string; reason: string }[] {
  const middle = (rows: readonly (readonly number[])[] | undefined) => meanOf(rows?.flat());
  const named = partByNumber(ctx, cornerRecord(ctx)?.partNumber);
  const sizes = Object.fromEntries(Object.entries(state.oldReadings).map(([d, list]) => [d, meanOf(list)]));
  return conflicts(sizes, { boreMm: middle(state.seats.bore?.readingsMm), journalMm: middle(state.seats.journal?.readingsMm) }, named?.bearing.widthMm);
}

/** Nominal size and class of a seat with the word of where they come from. */
export const seatOf = (kind: SeatKind, work: Work) => (kind === 'bore'
  ? { nominalMm: work.bearing.outerMm, toleranceClass: work.knuckle.boreClass }
  : { nominalMm: work.bearing.boreMm, toleranceClass: work.hub.journalClass });

/** Verdict on readings of a seat, kept or still being typed; undefined while geometry or instrument is missing. */
export function judgeReadings(kind: SeatKind, taken: readonly (readonly number[])[], instrumentId: string, { ctx, state, choices }: JobNow, { zeroMm, partC }: { zeroMm?: number | undefined; partC?: number | undefined } = {}): SeatResult | undefined {
  const work = workOf(ctx, state, choices);
  const instrument = instrumentById(ctx, instrumentId);
  if (!work || !instrument) return undefined;
  const seat = seatOf(kind, work);
  const readingsMm = taken.map((row) => row.map((valueMm) => atTwenty({ valueMm, zeroMm, partC }, kind === 'bore' ? work.knuckle.material : 'steel')));
  return judgeSeat({ kind, readingsMm, instrument, ...seat, classSource: `${seat.toleranceClass}, ${cornerRecord(ctx)!.source}` });
}

/** Verdict on the kept readings of a seat; undefined before they are read. */
export function seatResult(kind: SeatKind, ctx: JobContext, state: JobState, choices: Choices): SeatResult | undefined {
  const read = state.seats[kind];
  const result = read && judgeReadings(kind, read.readingsMm, read.instrumentId, { ctx, state, choices }, read);
  if (!result) return undefined;
  const marks = state.damage[kind];
  const more = [...(marks ? judgeDamage(kind, marks) : []), ...warmVerdict(kind, result, workOf(ctx, state, choices)!)];
  // A seat with a mark on it is no longer simply good.
  const own = more.length > 0 ? result.verdicts.filter((v) => v.status !== 'good') : result.verdicts;
  return { ...result, verdicts: gravestFirst([...own, ...more]) };
}

/** How much warmer than the shop a housing runs on the road, K (judgement). */
const serviceK = 60;

/** An aluminium housing gives grip back when it is warm: what is left then. */
function warmVerdict(kind: SeatKind, { interference }: SeatResult, { bearing, knuckle }: Work): Verdict[] {
  if (kind !== 'bore' || knuckle.material !== 'aluminium') return [];
  const left = gripWarmMm(interference.likely, bearing.outerMm, 'aluminium', serviceK);
  return left > 0 ? [] : [{ status: 'check', rule: 'seat.warm', value: left, limit: 'over 0 mm', text: `Warm on the road, +${serviceK} K, the aluminium bore gives back all its grip: ${left.toFixed(3)} mm left. The ring would creep.`, source: 'difference of expansion, common practice for the 60 K' }];
}

/** Roughness heights Rz of a turned or bored seat and a ground ring together, mm (judgement; measured where it can be). */
const bothRz = { mean: 0.008, sd: 0.002 };

/** What a measured fit does to the parts: pressure, stresses against yield, loss of clearance, what it can hold. Likely values. */
export function fitEffects(kind: SeatKind, job: JobNow) {
  const work = workOf(job.ctx, job.state, job.choices);
  const result = seatResult(kind, job.ctx, job.state, job.choices);
  if (!work || !result) return undefined;
  const { fit, lengthMm } = seatFit(kind, work);
  const whole = { ...fit, interferenceMm: Math.max(0, result.interference.likely - smoothingShare * bothRz.mean) };
  const { bearing: b, knuckle, hub } = work;
  return {
    pressureMpa: pressureMpa(whole), hoopMpa: hoopMpa(whole).outerMpa, yieldMpa: kind === 'bore' ? yieldMpa[fit.outerMaterial] : undefined,
    clearanceLossMm: Math.abs(kind === 'bore' ? racewayChangeMm('outer', whole.interferenceMm, b.outerMm, b.pitchMm + b.ballMm, knuckle.bossOuterMm) : racewayChangeMm('inner', whole.interferenceMm, b.boreMm, b.pitchMm - b.ballMm, hub.boreMm)),
    ...holds(whole, frictions.oiled.low, lengthMm),
  };
}

/** The chain of a seat that was read, for its spread; undefined before. What is not on record is left out, not guessed. */
export function seatChain(kind: SeatKind, { ctx, state, choices }: JobNow): FitChain | undefined {
  const work = workOf(ctx, state, choices);
  const result = seatResult(kind, ctx, state, choices);
  const instrument = instrumentById(ctx, state.seats[kind]?.instrumentId);
  if (!work || !result || !instrument) return undefined;
  const seat = { mean: result.meanMm, sd: instrument.doubtMm / 2 };
  const nominal = seatOf(kind, work).nominalMm;
  const ringLimits = limitsMm(nominal, bearingNormal(nominal, kind === 'bore' ? 'outside' : 'bore'));
  const ring = fromLimits(ringLimits.lowMm, ringLimits.highMm);
  const radialN = cornerRecord(ctx)?.limits?.radialN;
  const { fit, lengthMm } = seatFit(kind, work);
  return {
    fit, lengthMm, ...(kind === 'bore' ? { inside: ring, outside: seat, tightMm: yieldsAtMm(fit) } : { inside: seat, outside: ring }),
    roughness: bothRz, friction: fromLimits(frictions[schoolOf(choices).film].low, frictions[schoolOf(choices).film].high, 2),
    creepMm: kind === 'journal' && radialN !== undefined ? gripLostMm(radialN, work.bearing.boreMm, work.bearing.widthMm) : 0,
  };
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

/** Film and cold as chosen at Plan; thin oil and no chill while nothing is chosen, and said so on the strip. */
export const schoolOf = (choices: Choices): School => ({ film: choices.plan?.value.film ?? usualSchool.film, ...(choices.plan?.value.chill ? { chilledC: freezerC } : {}) });
export const filmNames: Record<Film, string> = { oiled: 'thin oil', dry: 'dry', paste: 'paste' };

/** The bench of one stroke; undefined while geometry or press is missing. */
export function benchOf(operation: Operation, ctx: JobContext, state: JobState, choices: Choices): Bench | undefined {
  const work = workOf(ctx, state, choices);
  const fits = fitsOf(ctx, state, choices);
  const press = ctx.presses[0];
  if (!work || !fits || !press) return undefined;
  return { work, press, requirement: requirement(operation, work), forceKn: strokeForceKn(operation, work, fits, schoolOf(choices)) };
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
