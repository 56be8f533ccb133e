import { keysOf } from '../keys-of.ts';
import {
  bearingNormal,
  clearanceMm,
  expansionMm,
  materials,
  type FitChain,
  bothRz,
  type FeltSeat,
  fromLimits,
  givenBackWarmMm,
  gripLostMm,
  holds,
  hoopMpa,
  judgeDamage,
  judgeFelt,
  judgeSeat,
  judgeTightness,
  limitsMm,
  pressureMpa,
  racewayChangeMm,
  seatFriction,
  type SeatKind,
  type SeatResult,
  yieldMpa,
  yieldsAtMm,
} from '../fits/index.ts';
import { atTwenty, clearanceTypeOf } from '../matching/index.ts';
import {
  classFits,
  easedMm,
  type Fits,
  helpsStroke,
  seatsOf,
  type SeatSpec,
  withFigure,
  type Work,
  workFrom,
} from '../press/index.ts';
import { gravestFirst, verdict, type Verdict, worst } from '../verdict.ts';
import { depthOf } from './depth-on-job.ts';
import { familyCodeOf, strokesOf } from './family-on-job.ts';
import { cornerDrawn, unknownOfSeats } from './figures-on-job.ts';
import { cornerRecord, instrumentById, type JobNow, once, onceEach } from './job-now.ts';
import { chosenPart, sensorSide } from './part-on-job.ts';
import { schoolOf } from './school-on-job.ts';

/** Parts of the strokes with some figures of the corner set; undefined when record or part is missing, never guessed. */
export function workWith(job: JobNow, values: ReadonlyMap<string, number>): Work | undefined {
  const known = cornerDrawn(job)?.record ?? cornerRecord(job);
  return workFrom(
    familyCodeOf(job),
    known && [...values].reduce((r, [path, mm]) => withFigure(r, path, mm), known),
    chosenPart(job)?.bearing,
    sensorSide(job),
  );
}
export const workOf = once((job): Work | undefined => workWith(job, new Map()));

/** A seat of the job's parts; undefined where they are not on record or have none of this kind. */
export function seatOf(job: JobNow, kind: SeatKind): SeatSpec | undefined {
  const work = workOf(job);
  // A seat of which a figure is only drawn is not judged.
  return work && unknownOfSeats(job).length === 0 ? seatsOf(work)[kind] : undefined;
}

/** Seats that have to be measured on this job; none while the parts are not on record. */
export const seatKinds = once((job): SeatKind[] => {
  const work = workOf(job);
  return work ? keysOf(seatsOf(work)) : [];
});

/** A seat as far as its part tells it: what carries it, and its nominal size. */
export function bareSeat(job: JobNow, kind: SeatKind): SeatSpec | undefined {
  const work = workOf(job);
  return work && seatsOf(work)[kind];
}

/** What carries a seat: "knuckle", "axle tube". */
export const seatPart = (job: JobNow, kind: SeatKind): string =>
  bareSeat(job, kind)?.part ?? (kind === 'bore' ? 'housing' : 'shaft');

/** The seat by its whole name: "Knuckle bore". */
export function seatName(job: JobNow, kind: SeatKind): string {
  const name = `${seatPart(job, kind)} ${kind}`;
  return name.slice(0, 1).toUpperCase() + name.slice(1);
}

/** Readings of a seat as they were taken, with the instrument's zero and the part's temperature. */
export interface TakenSeat {
  readingsMm: readonly (readonly number[])[];
  instrumentId: string;
  zeroMm?: number | undefined;
  partC?: number | undefined;
}

/** Verdict on readings of a seat, kept or still being typed; undefined while geometry or instrument is missing. */
export function judgeReadings(
  job: JobNow,
  kind: SeatKind,
  { readingsMm, instrumentId, zeroMm, partC }: TakenSeat,
): SeatResult | undefined {
  const instrument = instrumentById(job, instrumentId);
  const seat = seatOf(job, kind);
  if (!seat || !instrument) return undefined;
  // Where no record names the class it is the usual one, and says so.
  const source = cornerRecord(job)?.source ?? 'usual class, general bearing practice';
  const result = judgeSeat({
    kind,
    part: seatName(job, kind).toLowerCase(),
    readingsMm: readingsMm.map((row) =>
      row.map((valueMm) => atTwenty({ valueMm, zeroMm, partC }, seat.material)),
    ),
    instrument,
    nominalMm: seat.nominalMm,
    toleranceClass: seat.toleranceClass,
    classSource: `${seat.toleranceClass}, ${source}`,
    material: seat.material,
    series: seat.series,
  });
  const name = seatName(job, kind).toLowerCase();
  const tight = judgeTightness(kind, name, seat.fit, result.grip);
  const more = [...tight, ...clearanceVerdicts(job, kind, result)];
  return more.length > 0 ? { ...result, verdicts: withMore(result.verdicts, more) } : result;
}

/** How much warmer an inner ring runs than its outer, K (judgement). */
const ringsApartK = 10;

/** What a fit takes of the clearance between the rings, mm, at one interference. */
function clearanceLossMm(work: Work, kind: SeatKind, seat: SeatSpec, interferenceMm: number) {
  const { bearing: b } = work;
  const whole = { ...seat.fit, interferenceMm: Math.max(0, interferenceMm) };
  return Math.abs(
    kind === 'bore'
      ? racewayChangeMm('outer', whole, b.pitchMm + b.ballMm)
      : racewayChangeMm('inner', whole, b.pitchMm - b.ballMm),
  );
}

/** A bearing of a known class that cannot have any clearance left once both rings grip and it runs warm. */
function clearanceVerdicts(job: JobNow, kind: SeatKind, result: SeatResult): Verdict[] {
  const part = chosenPart(job);
  const type = part && clearanceTypeOf(part);
  const work = workOf(job);
  if (!part?.clearance || !type || !work) return [];
  const made = clearanceMm(type, part.bearing.boreMm, part.clearance);
  if (!made) return [];
  const losses = keysOf(seatsOf(work)).map((k) => {
    const seat = seatsOf(work)[k]!;
    // The other seat takes at least what its class does; what was read of it is held where it was read.
    const grip = k === kind ? result.grip.low : 0;
    return clearanceLossMm(work, k, seat, grip);
  });
  const warmMm = expansionMm(part.bearing.pitchMm, materials.steel.alphaPerK, ringsApartK);
  const most = made.high - losses.reduce((a, b) => a + b, 0) - warmMm;
  if (most >= 0) return [];
  return [
    verdict('seat.clearance', {
      value: most,
      min: 0,
      unit: 'mm',
      with: { class: part.clearance },
    }),
  ];
}

/** Verdict on the kept readings of a seat; undefined before they are read. */
export const seatResult = onceEach((job, kind: SeatKind): SeatResult | undefined => {
  const read = job.state.seats[kind];
  const result = read && judgeReadings(job, kind, read);
  return result && { ...result, verdicts: withDamage(result.verdicts, job, kind) };
});

function withDamage(verdicts: readonly Verdict[], job: JobNow, kind: SeatKind): Verdict[] {
  const marks = job.state.damage[kind];
  return withMore(verdicts, marks ? judgeDamage(seatPart(job, kind), marks) : []);
}

/** Verdicts with further ones: a seat of which something is wrong is no longer simply good. */
function withMore(verdicts: readonly Verdict[], more: readonly Verdict[]): Verdict[] {
  const own = more.length > 0 ? verdicts.filter((v) => v.status !== 'good') : verdicts;
  return gravestFirst([...own, ...more]);
}

/** What is said of a seat, measured or told by feel and eye; undefined before either. */
export function seatVerdicts(job: JobNow, kind: SeatKind): Verdict[] | undefined {
  const measured = seatResult(job, kind)?.verdicts;
  if (measured) return measured;
  const felt = job.state.felt[kind];
  return felt && feltVerdicts(job, kind, felt);
}

/** What is said of a seat told by feel and eye, kept or still being told; undefined while its part is missing. */
export function feltVerdicts(job: JobNow, kind: SeatKind, felt: FeltSeat): Verdict[] | undefined {
  const seat = bareSeat(job, kind);
  if (!seat) return undefined;
  const said = judgeFelt(kind, seatName(job, kind).toLowerCase(), seat.nominalMm, felt);
  return withDamage(said, job, kind);
}

/** Seats without a decision that were told by feel with nothing against them: they may be reused in one tap. */
export function reusableTogether(job: JobNow): SeatKind[] {
  const open = seatKinds(job).filter((k) => !job.state.seatDecisions[k]);
  const right = (k: SeatKind) =>
    seatAnswered(job, k) && worst(seatVerdicts(job, k) ?? []) !== 'stop';
  const felt = open.some((k) => !job.state.seats[k]);
  return felt && open.every(right) ? open : [];
}

/** Whether a seat was told as deep as the job is worked; where nothing measures it, somebody says so by name. */
export function seatAnswered(job: JobNow, kind: SeatKind): boolean {
  if (job.state.seats[kind]) return true;
  const felt = job.state.felt[kind];
  if (!felt) return false;
  const depth = depthOf(job);
  const tried = felt.grip !== 'not-tried';
  if (depth === 'full' || felt.noInstrument) return felt.noInstrument === true;
  return tried && (depth === 'quick' || (felt.caliperMm?.length ?? 0) > 0);
}

/** Fits of the two seats: measured where they were read, classes where not. */
export const fitsOf = once((job): Fits | undefined => {
  const work = workOf(job);
  if (!work) return undefined;
  const bore = seatResult(job, 'bore')?.interference;
  const journal = seatResult(job, 'journal')?.interference;
  return {
    ...classFits(work),
    ...(bore ? { bore } : {}),
    ...(journal ? { journal } : {}),
    measured: { bore: bore !== undefined, journal: journal !== undefined },
  };
});

/** What a measured fit does to the parts: pressure, stresses against yield, loss of clearance, what it can hold. Likely values. */
export function fitEffects(job: JobNow, kind: SeatKind) {
  const work = workOf(job);
  const result = seatResult(job, kind);
  const seat = seatOf(job, kind);
  if (!work || !seat || !result) return undefined;
  const { fit, lengthMm } = seat;
  const whole = { ...fit, interferenceMm: Math.max(0, result.grip.likely) };
  return {
    pressureMpa: pressureMpa(whole),
    hoopMpa: hoopMpa(whole).outerMpa,
    yieldMpa: kind === 'bore' ? yieldMpa[fit.outerMaterial] : undefined,
    clearanceLossMm: clearanceLossMm(work, kind, seat, result.grip.likely),
    ...holds(whole, seatFriction('oiled', fit).low, lengthMm),
  };
}

/** The chain of a seat that was read, for its spread; undefined before. What is not on record is left out, not guessed. */
export function seatChain(job: JobNow, kind: SeatKind): FitChain | undefined {
  const work = workOf(job);
  const result = seatResult(job, kind);
  const instrument = instrumentById(job, job.state.seats[kind]?.instrumentId);
  const spec = seatOf(job, kind);
  if (!work || !spec || !result || !instrument) return undefined;
  const { fit, lengthMm, nominalMm } = spec;
  const bore = kind === 'bore';
  const seat = { mean: result.meanMm, sd: instrument.doubtMm / 2 };
  const limits = limitsMm(
    nominalMm,
    bearingNormal(nominalMm, bore ? 'outside' : 'bore', spec.series),
  );
  const ring = fromLimits(limits.lowMm, limits.highMm);
  const radialN = cornerRecord(job)?.limits?.radialN;
  const creeps = !bore && radialN !== undefined;
  const school = schoolOf(job);
  const film = seatFriction(school.film, fit);
  const stroke = strokesOf(job).find((o) => helpsStroke(o) === (bore ? 'cold' : 'warm'));
  const eased = stroke ? easedMm(stroke, nominalMm, school) : 0;
  return {
    fit,
    lengthMm,
    ...(bore
      ? { inside: ring, outside: seat, tightMm: yieldsAtMm(fit) }
      : { inside: seat, outside: ring }),
    roughness: bothRz,
    friction: { ...fromLimits(film.low, film.high, 2), mean: film.likely },
    ...(eased === 0 ? {} : { eased: { mean: eased / 2, sd: Math.abs(eased) / 4 } }),
    creepMm: creeps
      ? gripLostMm(radialN, work.bearing.boreMm, work.bearing.widthMm)
      : givenBackWarmMm(nominalMm, bore ? spec.material : 'steel'),
  };
}
