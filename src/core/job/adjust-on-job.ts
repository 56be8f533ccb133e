import { type Instrument, materials } from '../fits/index.ts';
import type { EventBody } from '../schemas/events.ts';
import {
  adjustment,
  type Adjustment,
  inMarkDeg,
  type JudgedPlace,
  lockStepDeg,
  pitchOf,
  type PlayRead,
  playDoubtMm,
  playOf,
  type PlayWindow,
  type Stage,
  stageWindow,
  walkProcedure,
  warmShiftMm,
} from '../torque/index.ts';
import { cornerRecord, instrumentsInUse, type JobNow, once } from './job-now.ts';
import type { Verdict } from '../verdict.ts';
import { chosenPart } from './part-on-job.ts';
import { type Refusal, refuse } from './refusal.ts';

/** A nut that sets end play, as far as it has been brought on this job. */
export interface AdjustNow {
  stage: Stage;
  window: PlayWindow;
  /** The stages before it are done and it is not. */
  isNow: boolean;
  /** Read in its window, the lock in a mark. */
  isDone: boolean;
  /** Undefined with the reason where the thread does not say. */
  pitchMm?: number;
  pitchFault?: string;
  /** Undefined until somebody has counted the marks. */
  stepDeg?: number;
  /** Places round the nut, as on record or counted here. */
  marks?: number;
  last?: PlayRead & {
    pastDeg: number;
    readings: readonly (readonly [number, number])[];
  };
  /** As it was last read it may be locked: inside its window, with the lock in a mark. */
  mayLock: boolean;
  /** Said where it stands in its window nearer to a limit than the reading may be off. */
  edge?: Verdict;
  /** Where the nut goes next; undefined where it stands there, or no place is inside. */
  turnTo?: JudgedPlace;
  /** Where the lock may go; undefined while something of it is not known. */
  adjusted?: Adjustment;
  /** How far the nut was turned since its first reading, tightening positive. */
  turnedDeg: number;
}

export const isInMark = (pastDeg: number): boolean => Math.abs(pastDeg) <= inMarkDeg;

/** Readings of the nut as it stands: one that was pulled or turned again by an earlier stage is read anew. */
function playsSince({ state }: JobNow, before: readonly Stage[]) {
  const pulled = state.stages.findLast((r) => before.some((s) => s.id === r.stageId));
  return state.plays.filter((x) => x.seq > (pulled?.seq ?? 0));
}

/** The end play of this job's nut; undefined where its procedure asks for none. */
export const adjustOf = once((job: JobNow): AdjustNow | undefined => {
  const { procedure: p } = job.ctx;
  const stage = p?.stages.find((s) => s.kind === 'end-play');
  const limits = stage && stageWindow(stage);
  if (!p || !limits) return undefined;
  const walk = walkProcedure(p, job.state.stages);
  const index = p.stages.indexOf(stage);
  const window = { lowMm: limits.low, highMm: limits.high };
  const plays = playsSince(job, p.stages.slice(0, index));
  const read = plays.at(-1);
  const counted = job.state.plays.findLast((x) => x.marks !== undefined)?.marks;
  const stepDeg = p.locking && lockStepDeg(p.locking, counted);
  const pitch = pitchOf(p.size);
  const last = read && { ...playOf(read.readings), pastDeg: read.pastDeg, readings: read.readings };
  const nut = pitch.ok &&
    stepDeg !== undefined &&
    last && { pitchMm: pitch.pitchMm, stepDeg, pastDeg: last.pastDeg };
  const instrumentMm = job.ctx.instruments.find((i) => i.id === read?.instrumentId)?.doubtMm ?? 0;
  const adjusted =
    last && nut
      ? adjustment(last.meanMm, nut, window, playDoubtMm(last, instrumentMm, nut.pitchMm))
      : undefined;
  const mayLock =
    last !== undefined &&
    isInMark(last.pastDeg) &&
    last.meanMm >= limits.low &&
    last.meanMm <= limits.high;
  const safe = adjusted?.safe;
  const stands = adjusted?.places.find((x) => isInMark(x.turnDeg))?.verdict;
  const edge = mayLock && safe && stands?.with?.['near'] ? stands : undefined;
  return {
    stage,
    window,
    mayLock,
    ...(edge ? { edge } : {}),
    ...(safe && (!mayLock || edge) && !isInMark(safe.turnDeg) ? { turnTo: safe } : {}),
    isNow: walk.current === index,
    isDone: walk.current > index,
    ...(pitch.ok ? { pitchMm: pitch.pitchMm } : { pitchFault: pitch.reason }),
    ...(stepDeg === undefined ? {} : { stepDeg, marks: Math.round(360 / stepDeg) }),
    ...(last ? { last } : {}),
    ...(adjusted ? { adjusted } : {}),
    turnedDeg: plays.reduce((sum, x) => sum + (x.turnedDeg ?? 0), 0),
  };
});

/** An instrument takes a window that is so many times its doubt. Our judgement. */
const finerThan = 4;

/** What an end play is read with unless another is picked: a dial before what measures a piece, and fine enough for the window. */
export function playInstrument(
  instruments: readonly Instrument[],
  { lowMm, highMm }: PlayWindow,
): Instrument | undefined {
  const rank = ({ name, doubtMm }: Instrument) =>
    Number(doubtMm * finerThan > highMm - lowMm) * 2 + Number(!/dial|indicator/iu.test(name));
  return [...instruments].sort((a, b) => rank(a) - rank(b))[0];
}

/** How much warmer hub and spindle run than when they were set, K, and how far the rows are apart, mm. */
export interface Warmth {
  hubK: number;
  spindleK: number;
  apartMm: number;
}

/** How the end play changes as it runs warm, mm; undefined where hub or part do not say what they are made like. */
export function warmShiftOf(job: JobNow, { hubK, spindleK, apartMm }: Warmth): number | undefined {
  const bearing = chosenPart(job)?.bearing;
  const hub = cornerRecord(job)?.housing?.material;
  if (!bearing || !hub || !(bearing.contactAngleDeg > 0)) return undefined;
  const strain = materials[hub].alphaPerK * hubK - materials.steel.alphaPerK * spindleK;
  const row = { radiusMm: bearing.pitchMm / 2, cupDeg: bearing.contactAngleDeg };
  return warmShiftMm(strain, [row, row], apartMm, 'back-to-back');
}

/** What the record does not take of a reading of end play. */
export function playRefusal(b: EventBody<'play-read'>, job: JobNow): Refusal | undefined {
  const now = adjustOf(job);
  if (!now?.isNow) return refuse('readings', 'adjust.not-now');
  if (b.readings.some(([push, pull]) => pull < push)) return refuse('readings', 'adjust.sign');
  return instrumentsInUse(job).some((i) => i.id === b.instrumentId)
    ? undefined
    : refuse('instrumentId', 'kit.instrument', { part: b.instrumentId });
}

/** Two figures of one reading, mm: no more than rounding. */
const sameMm = 0.0005;

/** An end play is kept as it was last read, in the place where the nut is locked. */
export function endPlayRefusal(
  { actual }: EventBody<'stage-recorded'>,
  job: JobNow,
): Refusal | undefined {
  const last = adjustOf(job)?.last;
  if (!last || actual === undefined || Math.abs(actual - last.meanMm) > sameMm)
    return refuse('actual', 'adjust.no-reading');
  return isInMark(last.pastDeg) ? undefined : refuse('actual', 'adjust.between');
}
