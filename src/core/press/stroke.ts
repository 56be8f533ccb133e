import { printed } from '../printed.ts';
import {
  bearingNormal,
  forceN,
  seatFriction,
  interferenceBand,
  limitsMm,
  pressureMpa,
  removalFactor,
  smoothed,
  tolerance,
} from '../fits/index.ts';
import type { Found, RuleId } from '../rules/index.ts';
import {
  band,
  type Band,
  gravestFirst,
  type Status,
  verdict,
  type Verdict,
  worst,
} from '../verdict.ts';
import type { Press } from './kit.ts';
import { said as liveVerdict, type StrokeCall } from './live-call.ts';
import type { Operation } from './operations.ts';
import type { Requirement, Seat } from './requirement.ts';
import { mayGiveKn } from './screw.ts';
import { requirement } from './setups/index.ts';
import type { Setup } from './stack.ts';
import { easedMm, type School, usualSchool } from './temper.ts';
import { seatsOf, type SeatSpec, type Work } from './workpiece.ts';

/** Interference of the seats, mm, and whether it was measured or comes from classes. */
export interface Fits {
  bore?: Band;
  journal?: Band;
  measured: { bore: boolean; journal: boolean };
}

/** Fits from tolerance classes alone: wider than measured ones. ISO 286-2, ISO 492 Normal. */
export function classFits(work: Work): Fits {
  const { bore, journal } = seatsOf(work);
  const limits = (s: SeatSpec) => limitsMm(s.nominalMm, tolerance(s.nominalMm, s.toleranceClass));
  return {
    ...(bore
      ? {
          bore: interferenceBand(
            limitsMm(bore.nominalMm, bearingNormal(bore.nominalMm, 'outside', bore.series)),
            limits(bore),
          ),
        }
      : {}),
    ...(journal
      ? {
          journal: interferenceBand(
            limits(journal),
            limitsMm(journal.nominalMm, bearingNormal(journal.nominalMm, 'bore', journal.series)),
          ),
        }
      : {}),
    measured: { bore: false, journal: false },
  };
}

/**
 * Expected force of one fit at its greatest, kN: Lamé pressure × friction × seat area. What a ring from
 * cold or heat gives or takes goes whole to one end, by half to the likely, not at all to the other: nobody knows how long
 * it lay.
 */
function seatForceKn(
  { fit, lengthMm, kind, tightMm }: Seat,
  { operation, fitting }: Pick<Requirement, 'operation' | 'fitting'>,
  fits: Fits,
  school: School,
): Band {
  const tight = kind === 'fixed' ? tightMm : fits[kind];
  if (!tight) throw new RangeError(`fits.${kind}: missing`);
  const delta = kind === 'fixed' ? tight : smoothed(tight);
  const rust = fitting ? band(1, 1, 1) : removalFactor;
  const eased = fitting && kind !== 'fixed' ? easedMm(operation, fit.diameterMm, school) : 0;
  const by: Band = { low: Math.max(0, eased), likely: eased / 2, high: Math.min(0, eased) };
  // An old seat was fitted by somebody else: what was on it then is not known, so removal keeps the oiled band and its factor.
  const friction = seatFriction(fitting ? school.film : 'oiled', fit);
  const at = (which: keyof Band) =>
    (forceN(
      pressureMpa({ ...fit, interferenceMm: delta[which] - by[which] }),
      friction[which],
      fit.diameterMm,
      lengthMm,
    ) *
      rust[which]) /
    1000;
  return band(at('low'), at('likely'), at('high'));
}

/** Expected force of the whole stroke at its greatest, kN: of both fits together where two are closed. */
export function strokeForceKn(r: Requirement, fits: Fits, school: School = usualSchool): Band {
  const first = seatForceKn(r.seat, r, fits, school);
  if (!r.then) return first;
  const then = seatForceKn(r.then, r, fits, school);
  return band(first.low + then.low, first.likely + then.likely, first.high + then.high);
}

/** Share of a fit that is engaged, 0 to 1, after so much of its own way. */
const engaged = (wayMm: number, lengthMm: number): number =>
  Math.max(0, Math.min(1, wayMm / lengthMm));

/** Share of a stroke's first fit that is engaged at a travel. */
const firstEngaged = ({ requirement: r }: Setup, mm: number): number =>
  engaged(r.fitting ? mm : r.travelMm - mm, r.seat.lengthMm);

/** What of a stroke's force, as given, is needed at a travel: of each fit as much as is engaged. */
function neededAt(setup: Setup, mm: number, which: keyof Band): number {
  const { requirement: r, forceKn, thenKn } = setup;
  const first = firstEngaged(setup, mm);
  if (!r.then || !thenKn) return forceKn[which] * first;
  const later = Math.min(thenKn[which], forceKn[which]);
  return (forceKn[which] - later) * first + later * engaged(mm - r.then.fromMm, r.then.lengthMm);
}

/**
 * Share of the full force at a travel: grows with engaged length when fitting, falls when removing once the leading end is
 * out. Where the way is longer than the seat, a stretch of it is made with all of the seat engaged.
 */
export const engagedShare = (setup: Setup, travelMm: number): number =>
  setup.forceKn.likely > 0
    ? neededAt(setup, travelMm, 'likely') / setup.forceKn.likely
    : firstEngaged(setup, travelMm);

/** Expected band at a travel, kN. */
export const forceAtKn = (setup: Setup, travelMm: number): Band =>
  band(
    neededAt(setup, travelMm, 'low'),
    neededAt(setup, travelMm, 'likely'),
    neededAt(setup, travelMm, 'high'),
  );

/** The setup of one stroke; undefined where these parts have no such stroke. */
export function setupFor(
  operation: Operation,
  work: Work,
  press: Press,
  fits: Fits = classFits(work),
  school: School = usualSchool,
): Setup | undefined {
  const r = requirement(operation, work);
  if (!r) return undefined;
  const forceKn = strokeForceKn(r, fits, school);
  const thenKn = r.then && seatForceKn(r.then, r, fits, school);
  return { requirement: r, press, forceKn, ...(thenKn ? { thenKn } : {}) };
}

export interface StrokeReading {
  travelMm: number;
  forceKn: number;
}

/** Tolerance of the seat against plan, mm. */
export const seatToleranceMm = 0.3;

/** Over the band by this factor a reading is Stop, under it a warning (judgement). */
const stopFactor = 1.5;

/** Up to this travel, mm, a start is read with so many kN, or this share of the greatest expected force, beside the band (judgement). */
const startMm = 6;
const startKn = 0.4;
const startShare = 0.06;

/** So far before the plan the ramp ends and the shoulder may be met, mm (judgement). */
const shoulderMm = 0.7;
/**
 * How far force may rise over the ramp where the ring meets its shoulder: so many kN, or this share of the ramp where that
 * is more. Past it the press loads the part and its own frame (judgement).
 */
const riseKn = 20;
const riseShare = 1;

/** Most that the gauge may show at the shoulder, kN. */
const mostAtShoulder = ({ forceKn: { high } }: Setup): number =>
  high + Math.max(riseKn, riseShare * high);

/** Whether a reading is of the end of a fitting stroke, where the rise of force is the seat itself. */
const isAtShoulder = ({ requirement: r }: Setup, travelMm: number): boolean =>
  r.fitting && printed(travelMm - r.travelMm) >= -shoulderMm;

/** What one gauge reading says while the handle moves. */
export function judgeReading({ travelMm, forceKn }: StrokeReading, setup: Setup): Verdict {
  const { requirement: r, forceKn: full, press } = setup;
  const expected = forceAtKn(setup, travelMm);
  const read = { value: forceKn, min: expected.low, max: expected.high, unit: 'kN' as const };
  const say = (rule: RuleId, more: Found = {}, status?: Status) =>
    verdict(rule, { ...read, ...more }, status);
  if (mayGiveKn(forceKn, press.screw) > press.capacityKn)
    return say('stroke.capacity', { part: press.name, min: 0, max: press.capacityKn });
  if (r.fitting) {
    const past = printed(travelMm - r.travelMm);
    if (past > seatToleranceMm) return say('stroke.past', { with: { past: past.toFixed(1) } });
    if (isAtShoulder(setup, travelMm) && forceKn > expected.high) {
      const most = mostAtShoulder(setup);
      if (forceKn > most) return say('stroke.forced', { max: most });
      if (past >= -seatToleranceMm) return say('stroke.seated');
    }
  }
  const breaksAway = !r.fitting && travelMm < 1;
  // At the start the band is narrower than a gauge can be read.
  const slackKn = r.fitting && travelMm < startMm ? Math.max(startKn, startShare * full.high) : 0;
  const over = forceKn - slackKn;
  if (over > expected.high && !breaksAway)
    return say('stroke.above', {}, over > stopFactor * expected.high ? 'stop' : 'check');
  if (forceKn > full.high) return say('stroke.break-away', { min: full.low, max: full.high });
  if (forceKn < expected.low && r.fitting) return say('stroke.easy');
  return say('stroke.in-band', { with: { fitting: r.fitting ? 'yes' : '' } });
}

export interface StrokeResult {
  /** Absent where it was driven with a hammer: no force is read. */
  peakKn?: number | undefined;
  /** Depth of the seat measured after the stroke; absent for removal. */
  depthMm?: number | undefined;
}

/** What was read of a stroke on its way, in one try. */
export interface StrokeWay {
  readings: readonly StrokeReading[];
  /** What the follower called them, where they were many enough to have a shape. */
  call?: StrokeCall | undefined;
}

/** Calls that stay whatever is read afterwards. */
const badCalls: ReadonlySet<StrokeCall> = new Set<StrokeCall>(['cocked', 'galling', 'stuck']);

/** The gravest that was seen on the way, by the follower where it followed, else reading by reading; and at the shoulder. */
function wayVerdict({ readings, call }: StrokeWay, setup: Setup): Verdict | undefined {
  const followed = call !== undefined;
  const ramp = readings.filter((r) => !isAtShoulder(setup, r.travelMm));
  if (followed && badCalls.has(call)) {
    const most = ramp.reduce((a, r) => (r.forceKn > a.forceKn ? r : a), ramp[0] ?? readings[0]!);
    return liveVerdict(call, most);
  }
  const looked = followed ? readings.filter((r) => isAtShoulder(setup, r.travelMm)) : readings;
  const over = looked
    .map((r) => judgeReading(r, setup))
    .filter((v) => v.rule === 'stroke.above' || v.rule === 'stroke.forced');
  const [found] = gravestFirst(over);
  return found && { ...found, with: { ...found.with, kept: 'yes' } };
}

/** A peak of which nobody wrote down where it was: of a fitting stroke it may be the rise at the shoulder. */
function peakVerdict(peakKn: number, setup: Setup): Verdict | undefined {
  const { low, high } = setup.forceKn;
  const peak = { value: peakKn, min: low, unit: 'kN' as const };
  if (!setup.requirement.fitting)
    return peakKn > high
      ? verdict('stroke.above', { ...peak, max: high, with: { kept: 'yes' } }, 'check')
      : undefined;
  const max = mostAtShoulder(setup);
  return peakKn > max ? verdict('stroke.forced', { ...peak, max }) : undefined;
}

/**
 * The verdict that is kept of a stroke: its way by the band at each travel, its end by the rise. `way` is what was
 * read in this try, followed or typed; what was Stop on the way stays Stop. Without any reading the peak is held against
 * what it can have been.
 */
export function judgeStroke(
  result: StrokeResult,
  setup: Setup,
  way: StrokeWay = { readings: [] },
): { status: Status; verdicts: Verdict[] } {
  const { requirement: r, forceKn: full } = setup;
  const out: Verdict[] = [];
  const { peakKn, depthMm } = result;
  const fitting = r.fitting ? 'yes' : '';
  const peak = { value: peakKn, min: full.low, max: full.high, unit: 'kN' as const };
  if (r.fitting) {
    const off = printed((depthMm ?? Number.NaN) - r.travelMm);
    if (!(Math.abs(off) <= seatToleranceMm))
      out.push(
        verdict('stroke.seat', {
          value: depthMm,
          min: printed(r.travelMm - seatToleranceMm),
          max: printed(r.travelMm + seatToleranceMm),
          unit: 'mm',
          with: { off: Math.abs(off).toFixed(2) },
        }),
      );
    if (peakKn !== undefined && peakKn < full.low)
      out.push(verdict('stroke.easy', { ...peak, with: { kept: 'yes' } }));
  }
  if (peakKn !== undefined) {
    const over =
      (r.fitting && way.readings.length > 0 ? wayVerdict(way, setup) : undefined) ??
      peakVerdict(peakKn, setup);
    if (over) out.push(over);
  }
  const force = peakKn === undefined ? 'none' : 'read';
  if (out.length === 0) out.push(verdict('stroke.good', { ...peak, with: { fitting, force } }));
  return { status: worst(out), verdicts: gravestFirst(out) };
}
