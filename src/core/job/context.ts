import { judge, testsOf, type Book, type Judgement, type UnitHistory } from '../diagnosis/index.ts';
import type { Instrument, SeatKind, SeatResult } from '../fits/index.ts';
import {
  bearingNormal,
  frictions,
  fromLimits,
  gripLostMm,
  gripWarmMm,
  holds,
  hoopMpa,
  judgeDamage,
  judgeSeat,
  limitsMm,
  pressureMpa,
  racewayChangeMm,
  smoothingShare,
  yieldMpa,
  yieldsAtMm,
  type Film,
  type FitChain,
} from '../fits/index.ts';
import { gravestFirst, type Verdict } from '../verdict.ts';
import {
  familyByCode,
  strokesIn,
  walks,
  walkSteps,
  type Family,
  type FamilyCode,
  type Phase,
  type Walk,
  type WalkStep,
} from '../families/index.ts';
import {
  atTwenty,
  candidates,
  compare,
  conflicts,
  meanOf,
  type CataloguePart,
  type Comparison,
  type OldPart,
} from '../matching/index.ts';
import { corners, type CornerRecord, type JobCorner, type Side } from '../parts.ts';
import {
  benchFor,
  classFits,
  freezerC,
  hammer,
  requirement,
  seatsOf,
  solve,
  usualSchool,
  workFrom,
  type Adapter,
  type Bench,
  type Fits,
  type Operation,
  type Press,
  type Requirement,
  type School,
  type SeatSpec,
  type Stack,
  type Work,
} from '../press/index.ts';
import type { Choices, StackIds } from '../schemas/events.ts';
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

export const cornerRecord = (ctx: Pick<JobContext, 'unit' | 'corner'>): CornerRecord | undefined =>
  ctx.corner === 'unknown' ? undefined : ctx.unit.corners[ctx.corner];

/** The corner the job is about: what the diagnosis named, else the one it was started on. */
export function cornerOfJob(startedOn: JobCorner, state: JobState): JobCorner {
  const named = corners.find((c) => state.diagnosis?.suspectId === `bearing-${c}`);
  return named ?? (startedOn !== 'unknown' ? startedOn : (state.complaint?.corner ?? 'unknown'));
}
export const partByNumber = (
  ctx: JobContext,
  number: string | undefined,
): CataloguePart | undefined => ctx.parts.find((p) => p.number === number);
/** The part the job is working with: chosen by hand, else what the unit's record names. */
export const chosenPart = (ctx: JobContext, choices: Choices): CataloguePart | undefined =>
  partByNumber(ctx, choices.match?.value.partNumber ?? cornerRecord(ctx)?.partNumber);

/** Where the sensor sits: the unit's record, else the side that the old part's encoder faced; undefined when neither says. */
export const sensorSide = (ctx: JobContext, state: JobState): Side | undefined =>
  cornerRecord(ctx)?.sensorSide ?? state.oldEncoder?.side;

export type EncoderState = 'no-encoder' | 'side-unknown' | 'unchecked' | 'reversed' | 'right';

/** How the new bearing's encoder stands to the sensor, as far as it has been checked. */
export function encoderState({ ctx, state, choices }: JobNow): EncoderState {
  if (chosenPart(ctx, choices)?.bearing.encoder.kind === 'none') return 'no-encoder';
  const sensor = sensorSide(ctx, state);
  if (!sensor) return 'side-unknown';
  if (!state.encoderChecked) return 'unchecked';
  return state.encoderChecked.side === sensor ? 'right' : 'reversed';
}

export const instrumentById = (ctx: JobContext, id: string | undefined): Instrument | undefined =>
  ctx.instruments.find((i) => i.id === id);

/** Geometry of the strokes; undefined when the unit's record or the part is missing, never guessed. */
export function workOf(ctx: JobContext, state: JobState, choices: Choices): Work | undefined {
  return workFrom(
    familyCodeOf(ctx, state),
    cornerRecord(ctx),
    chosenPart(ctx, choices)?.bearing,
    sensorSide(ctx, state),
  );
}

/** Family of the job: what was seen and named by hand, else the unit's record; undefined while neither says. */
export const familyCodeOf = (
  ctx: Pick<JobContext, 'unit' | 'corner'>,
  state: JobState,
): FamilyCode | undefined => state.family?.code ?? familyByCode(cornerRecord(ctx)?.family)?.code;
export const familyOf = (
  ctx: Pick<JobContext, 'unit' | 'corner'>,
  state: JobState,
): Family | undefined => familyByCode(familyCodeOf(ctx, state));

/** How the job's family is walked; undefined for one that is worked outside this version. */
export function walkOf({ ctx, state }: Pick<JobNow, 'ctx' | 'state'>): Walk | undefined {
  const code = familyCodeOf(ctx, state);
  return code && walks[code];
}
/** Steps of the job's family on its route. */
export const stepsOf = (job: JobNow, phase: Phase): WalkStep[] =>
  walkSteps(walkOf(job)?.steps ?? [], phase, job.choices.plan?.value.route);
/** Strokes of the job, out and in, in order. */
export const strokesOf = (job: Pick<JobNow, 'ctx' | 'state'>): Operation[] => {
  const w = walkOf(job);
  return w ? [...strokesIn(w.out), ...strokesIn(w.in)] : [];
};

export function oldPart(ctx: JobContext, state: JobState): OldPart {
  const named = partByNumber(ctx, cornerRecord(ctx)?.partNumber);
  return {
    kind: familyOf(ctx, state)?.kind ?? 'ring-set',
    readings: state.oldReadings,
    // Readings of an instrument that is no longer on record are in doubt altogether.
    doubtMm: instrumentById(ctx, state.oldInstrumentId)?.doubtMm ?? Infinity,
    ...(state.oldEncoder ? { encoder: state.oldEncoder } : {}),
    ...state.oldPoints,
    ...(named ? { ratingKn: named.bearing.staticRatingKn } : {}),
  };
}

/** Parts that may be right: all that lie near what was read, or near the part on record. */
export const candidatesFor = (ctx: JobContext, state: JobState): Comparison[] =>
  candidates(
    oldPart(ctx, state),
    ctx.parts.filter((p) => p.kind === (familyOf(ctx, state)?.kind ?? 'ring-set')),
  );
export const chosenComparison = (
  ctx: JobContext,
  state: JobState,
  choices: Choices,
): Comparison | undefined => {
  const part = chosenPart(ctx, choices);
  return part && compare(oldPart(ctx, state), part);
};

/** Readings of old part and seats that cannot all be true. */
export function conflictsOf({
  ctx,
  state,
}: Pick<JobNow, 'ctx' | 'state'>): { field: string; reason: string }[] {
  const middle = (rows: readonly (readonly number[])[] | undefined) => meanOf(rows?.flat());
  const named = partByNumber(ctx, cornerRecord(ctx)?.partNumber);
  const sizes = Object.fromEntries(
    Object.entries(state.oldReadings).map(([d, list]) => [d, meanOf(list)]),
  );
  return conflicts(
    sizes,
    {
      boreMm: middle(state.seats.bore?.readingsMm),
      journalMm: middle(state.seats.journal?.readingsMm),
    },
    named?.bearing.widthMm,
  );
}

/** A seat of these parts; undefined where the family has none of this kind. */
export const seatOf = (kind: SeatKind, work: Work): SeatSpec | undefined => seatsOf(work)[kind];

/** Seats that have to be measured on this job; none while the parts are not on record. */
export const seatKinds = ({ ctx, state, choices }: JobNow): SeatKind[] => {
  const work = workOf(ctx, state, choices);
  return work ? (Object.keys(seatsOf(work)) as SeatKind[]) : [];
};

/** Verdict on readings of a seat, kept or still being typed; undefined while geometry or instrument is missing. */
export function judgeReadings(
  kind: SeatKind,
  taken: readonly (readonly number[])[],
  instrumentId: string,
  { ctx, state, choices }: JobNow,
  { zeroMm, partC }: { zeroMm?: number | undefined; partC?: number | undefined } = {},
): SeatResult | undefined {
  const work = workOf(ctx, state, choices);
  const instrument = instrumentById(ctx, instrumentId);
  const seat = work && seatOf(kind, work);
  if (!seat || !instrument) return undefined;
  const readingsMm = taken.map((row) =>
    row.map((valueMm) => atTwenty({ valueMm, zeroMm, partC }, seat.material)),
  );
  return judgeSeat({
    kind,
    readingsMm,
    instrument,
    nominalMm: seat.nominalMm,
    toleranceClass: seat.toleranceClass,
    classSource: `${seat.toleranceClass}, ${cornerRecord(ctx)!.source}`,
  });
}

/** Verdict on the kept readings of a seat; undefined before they are read. */
export function seatResult(
  kind: SeatKind,
  ctx: JobContext,
  state: JobState,
  choices: Choices,
): SeatResult | undefined {
  const read = state.seats[kind];
  const result =
    read && judgeReadings(kind, read.readingsMm, read.instrumentId, { ctx, state, choices }, read);
  if (!result) return undefined;
  const marks = state.damage[kind];
  const more = [
    ...(marks ? judgeDamage(kind, marks) : []),
    ...warmVerdict(kind, result, seatOf(kind, workOf(ctx, state, choices)!)!),
  ];
  // A seat with a mark on it is no longer simply good.
  const own =
    more.length > 0 ? result.verdicts.filter((v) => v.status !== 'good') : result.verdicts;
  return { ...result, verdicts: gravestFirst([...own, ...more]) };
}

/** How much warmer than the shop a housing runs on the road, K (judgement). */
const serviceK = 60;

/** An aluminium housing gives grip back when it is warm: what is left then. */
function warmVerdict(
  kind: SeatKind,
  { interference }: SeatResult,
  { nominalMm, material }: SeatSpec,
): Verdict[] {
  if (kind !== 'bore' || material !== 'aluminium') return [];
  const left = gripWarmMm(interference.likely, nominalMm, 'aluminium', serviceK);
  return left > 0
    ? []
    : [
        {
          status: 'check',
          rule: 'seat.warm',
          value: left,
          limit: 'over 0 mm',
          text: `Warm on the road, +${serviceK} K, the aluminium bore gives back all its grip: ${left.toFixed(3)} mm left. The ring would creep.`,
          source: 'difference of expansion, common practice for the 60 K',
        },
      ];
}

/** Roughness heights Rz of a turned or bored seat and a ground ring together, mm (judgement; measured where it can be). */
const bothRz = { mean: 0.008, sd: 0.002 };

/** What a measured fit does to the parts: pressure, stresses against yield, loss of clearance, what it can hold. Likely values. */
export function fitEffects(kind: SeatKind, job: JobNow) {
  const work = workOf(job.ctx, job.state, job.choices);
  const result = seatResult(kind, job.ctx, job.state, job.choices);
  const seat = work && seatOf(kind, work);
  if (!seat || !result) return undefined;
  const { fit, lengthMm } = seat;
  const whole = {
    ...fit,
    interferenceMm: Math.max(0, result.interference.likely - smoothingShare * bothRz.mean),
  };
  const b = work.bearing;
  return {
    pressureMpa: pressureMpa(whole),
    hoopMpa: hoopMpa(whole).outerMpa,
    yieldMpa: kind === 'bore' ? yieldMpa[fit.outerMaterial] : undefined,
    clearanceLossMm: Math.abs(
      kind === 'bore'
        ? racewayChangeMm(
            'outer',
            whole.interferenceMm,
            b.outerMm,
            b.pitchMm + b.ballMm,
            fit.outerDiameterMm,
          )
        : racewayChangeMm(
            'inner',
            whole.interferenceMm,
            b.boreMm,
            b.pitchMm - b.ballMm,
            fit.innerBoreMm,
          ),
    ),
    ...holds(whole, frictions.oiled.low, lengthMm),
  };
}

/** The chain of a seat that was read, for its spread; undefined before. What is not on record is left out, not guessed. */
export function seatChain(kind: SeatKind, { ctx, state, choices }: JobNow): FitChain | undefined {
  const work = workOf(ctx, state, choices);
  const result = seatResult(kind, ctx, state, choices);
  const instrument = instrumentById(ctx, state.seats[kind]?.instrumentId);
  const spec = work && seatOf(kind, work);
  if (!spec || !result || !instrument) return undefined;
  const seat = { mean: result.meanMm, sd: instrument.doubtMm / 2 };
  const nominal = spec.nominalMm;
  const ringLimits = limitsMm(
    nominal,
    bearingNormal(nominal, kind === 'bore' ? 'outside' : 'bore'),
  );
  const ring = fromLimits(ringLimits.lowMm, ringLimits.highMm);
  const radialN = cornerRecord(ctx)?.limits?.radialN;
  const { fit, lengthMm } = spec;
  return {
    fit,
    lengthMm,
    ...(kind === 'bore'
      ? { inside: ring, outside: seat, tightMm: yieldsAtMm(fit) }
      : { inside: seat, outside: ring }),
    roughness: bothRz,
    friction: fromLimits(
      frictions[schoolOf(choices).film].low,
      frictions[schoolOf(choices).film].high,
      2,
    ),
    creepMm:
      kind === 'journal' && radialN !== undefined
        ? gripLostMm(radialN, work.bearing.boreMm, work.bearing.widthMm)
        : 0,
  };
}

/** Fits of the two seats: measured where they were read, classes where not. */
export function fitsOf(ctx: JobContext, state: JobState, choices: Choices): Fits | undefined {
  const work = workOf(ctx, state, choices);
  if (!work) return undefined;
  const byClass = classFits(work);
  const bore = seatResult('bore', ctx, state, choices)?.interference;
  const journal = seatResult('journal', ctx, state, choices)?.interference;
  return {
    ...byClass,
    ...(bore ? { bore } : {}),
    ...(journal ? { journal } : {}),
    measured: { bore: bore !== undefined, journal: journal !== undefined },
  };
}

/** Film and cold as chosen at Plan; thin oil and no chill while nothing is chosen, and said so on the strip. */
export const schoolOf = (choices: Choices): School => ({
  film: choices.plan?.value.film ?? usualSchool.film,
  ...(choices.plan?.value.chill ? { chilledC: freezerC } : {}),
});
export const filmNames: Record<Film, string> = { oiled: 'thin oil', dry: 'dry', paste: 'paste' };

/** What one stroke asks of its pieces; undefined while geometry is missing or the family has no such stroke. */
export function requirementOf(
  operation: Operation,
  { ctx, state, choices }: JobNow,
): Requirement | undefined {
  const work = workOf(ctx, state, choices);
  return work && requirement(operation, work);
}

/** What can give the force of a stroke on the chosen route, likeliest first: on the car no bench press, and a hammer only where it is a way. */
export function toolsFor(
  r: Requirement,
  { ctx, choices }: Pick<JobNow, 'ctx' | 'choices'>,
): Press[] {
  const onCar = choices.plan?.value.route === 'on-car';
  const order = onCar ? ['screw', 'ram'] : ['press', 'ram', 'screw'];
  const ranked = order.flatMap((kind) => ctx.presses.filter((p) => (p.kind ?? 'press') === kind));
  // Where the part stands by itself on the vehicle, it is driven; a press cannot get there.
  return [...(r.support ? ranked : []), ...(r.hammer.allowed ? [hammer] : [])];
}

/** The tool of a stroke: what it was recorded with, what was chosen, else the first that a stack of this kit can be laid for. */
function toolOf(
  operation: Operation,
  r: Requirement,
  job: JobNow,
  bench: (p: Press) => Bench | undefined,
): Press | undefined {
  const tools = toolsFor(r, job);
  const named =
    job.state.strokes[operation]?.pressId ?? job.choices[`stack-${operation}`]?.value.pressId;
  const all = [...job.ctx.presses, hammer];
  const byName = named !== undefined ? all.find((p) => p.id === named) : undefined;
  return (
    byName ??
    tools.find((p) => {
      const b = bench(p);
      return b && solve(job.ctx.adapters, b, 1).solutions.length > 0;
    }) ??
    tools[0]
  );
}

/** The bench of one stroke, with the named tool if any; undefined while geometry or tool is missing. */
export function benchOf(
  operation: Operation,
  ctx: JobContext,
  state: JobState,
  choices: Choices,
  pressId?: string,
): Bench | undefined {
  const work = workOf(ctx, state, choices);
  const fits = fitsOf(ctx, state, choices);
  const r = work && requirement(operation, work);
  if (!r || !fits) return undefined;
  const usedAgain = !r.fitting && choices[`stack-${operation}`]?.value.usedAgain === true;
  const on = (p: Press) => {
    const b = benchFor(operation, work, p, fits, schoolOf(choices));
    return b && { ...b, ...(usedAgain ? { usedAgain } : {}) };
  };
  const press =
    pressId === undefined
      ? toolOf(operation, r, { ctx, state, choices }, on)
      : [...ctx.presses, hammer].find((p) => p.id === pressId);
  return press && on(press);
}

/** Pieces of a chosen stack; undefined when one of them is not in the kit. */
export function stackOf(ctx: JobContext, ids: StackIds): Stack | undefined {
  const named = {
    cap: ids.capId,
    pusher: ids.pusherId,
    support: ids.supportId,
    riser: ids.riserId,
  };
  const found = Object.entries(named)
    .filter(([, id]) => id !== undefined)
    .map(([role, id]) => [role, ctx.adapters.find((a) => a.id === id)] as const);
  return found.every(([, a]) => a !== undefined)
    ? (Object.fromEntries(found) as unknown as Stack)
    : undefined;
}

/** What the unit's record says of its bearings. */
export const historyOf = (unit: UnitRecord): UnitHistory => ({
  odometerKm: unit.odometerKm,
  fitted: unit.fitted ?? {},
  exposure: unit.exposure ?? [],
});

/** The diagnosis of a job as it stands, on the shop's own tables and the unit's history. */
export const judgementOf = (ctx: JobContext, state: JobState, choices: Choices): Judgement =>
  judge(ctx.unit.layout, state.complaint, state.results, {
    tables: testsOf(ctx.book),
    history: historyOf(ctx.unit),
    without: choices.diagnose?.value.without ?? [],
  });
