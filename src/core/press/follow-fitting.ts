import type { Band } from '../verdict.ts';
import {
  endsStroke,
  type Follower,
  inTime,
  type LiveCall,
  said,
  since,
  waiting,
  type StrokeCall,
} from './live-call.ts';
import type { Setup } from './stack.ts';
import { engagedShare, forceAtKn, seatToleranceMm } from './stroke.ts';
import type { TraceSample } from './trace.ts';

/** Figures of the follower: engineering judgement, tuned on one range of made-up strokes and reported on another. */
const tuning = {
  /** A start is judged once it has gone this far, mm, and is a start up to here. */
  startMm: 0.6,
  startEndMm: 6,
  /** Force over the upper band by this factor, and this share of the greatest expected force and kN beside it, is not square. */
  over: 1.3,
  overShare: 0.06,
  overKn: 0.4,
  /** Over the band later on for this far, mm: galling. */
  gallFactor: 1.15,
  gallMm: 0.7,
  /** A fall of this share and kN under a peak not further back than this, mm, that lasts while the ram goes on; two are galling. */
  dropShare: 0.16,
  dropKn: 0.3,
  dropToMm: 1.2,
  dropLastsMm: 0.08,
  drops: 2,
  /** One reading over the band by this factor is enough where there are few. */
  fewFactor: 1.5,
  /** Under the lower band by this factor and kN for this far, mm: too easy. */
  easyFactor: 0.85,
  easyKn: 0.05,
  easyFromMm: 5,
  easyMm: 2,
  /** A hard stop rises inside this way, mm, by at least so many kN or this share over all before it. */
  stopMm: 0.12,
  stopRiseKn: 1.2,
  stopShare: 0.1,
  /** Steepness of a hard stop near the plan: kN/mm at the least, and as a multiple of the ramp; and far from it. */
  slope: 7,
  slopeTimes: 6,
  farSlope: 40,
  /** Far from the plan the greatest single step does not count: a seat that galls jumps once, a stop goes on rising. */
  farRiseKn: 4,
  farShare: 0.1,
  /** Few readings: over what the one before lets expect by this many kN or this share of the greatest expected force; so far before plan, mm. */
  fewRiseKn: 2.5,
  fewShare: 0.08,
  fewNearMm: 2.5,
  /** How far before plan the shoulder is looked for, and how much before plan a stop is short of it, mm. */
  nearMm: 0.7,
  shortMm: seatToleranceMm + 0.15,
  /** Without a stop this far beyond plan, mm, it is past it. */
  pastMm: 1.5,
  /** Pumping on after the seat, kN. */
  chasedKn: 10,
};

/** Readings of the last half millimetre, thinned: where the ramp stood. */
const recentMm = 0.5;
const recentMost = 60;

/**
 * Follows a fitting stroke reading by reading and says what it is. Its verdict never gets milder: a start that was cocked
 * stays cocked. What rests or is released between pumps is neither a drop nor a new start. Throws RangeError when time runs
 * backwards.
 */
export function fittingFollower(setup: Setup): Follower {
  const { requirement: r } = setup;
  const stop = stopFinder(setup);
  const trouble = troubleFinder(setup);
  const easy = easyFinder();
  let last: TraceSample | undefined;
  let now = waiting;
  let front = -Infinity;
  const say = (call: StrokeCall, s: TraceSample): LiveCall => (now = said(call, s));

  return (s) => {
    inTime(last, s);
    const chased = s.travelMm > r.travelMm + 2 * seatToleranceMm;
    const before = last;
    last = s;
    if (now.call === 'seated' && chased && s.forceKn > now.forceKn + tuning.chasedKn)
      return say('past', s);
    if (endsStroke(now.call)) return now;
    const expected = forceAtKn(setup, s.travelMm);
    // Only a way not gone before is a way: a pump at rest trembles, and a released ram comes back.
    const moving = s.travelMm > front;
    front = Math.max(front, s.travelMm);
    const hard = stop(s, before, expected);
    if (hard) return say(s.travelMm < r.travelMm - tuning.shortMm ? 'short' : 'seated', s);
    if (s.travelMm > r.travelMm + tuning.pastMm) return say('past', s);
    if (s.travelMm <= tuning.startMm) return now;
    // Many readings near the plan wait for the stop; a lone one is judged.
    if (s.travelMm >= r.travelMm - tuning.nearMm && !lone(before, s))
      return say(easy.is() ? 'easy' : 'square', s);
    const bad = trouble(s, expected, moving);
    if (bad) return say(bad, s);
    easy.see(s, expected, moving);
    return say(easy.is() ? 'easy' : 'square', s);
  };
}

/** One of few readings, with a way between it and the one before in which anything may have been. */
const lone = (before: TraceSample | undefined, s: TraceSample): boolean =>
  before !== undefined && s.travelMm - before.travelMm > tuning.stopMm;

type Finder<T> = (s: TraceSample, expected: Band, moving: boolean) => T;

/** A hard stop: far steeper than any ramp, and above all that was before it, so that a pump's new start is none. */
function stopFinder(setup: Setup) {
  const { requirement: r, forceKn: full } = setup;
  const rampKnPerMm = full.high / Math.max(1, r.travelMm);
  let recent: TraceSample[] = [];
  let farPeakKn = 0;
  return (s: TraceSample, before: TraceSample | undefined, expected: Band): boolean => {
    if (before && lone(before, s)) return leaps(before, s, setup);
    const nearStart = s.travelMm - tuning.stopMm;
    for (const x of recent) if (x.travelMm <= nearStart) farPeakKn = Math.max(farPeakKn, x.forceKn);
    recent = [...recent.filter((x) => x.travelMm > s.travelMm - recentMm), s].slice(-recentMost);
    const near = recent.filter((x) => x.travelMm > nearStart);
    const from = near[0] ?? s;
    const rise = s.forceKn - Math.max(farPeakKn, Math.min(...near.map((x) => x.forceKn)));
    const slope = (s.forceKn - from.forceKn) / Math.max(0.02, s.travelMm - from.travelMm);
    if (s.travelMm >= r.travelMm - tuning.nearMm)
      return (
        rise > Math.max(tuning.stopRiseKn, tuning.stopShare * farPeakKn) &&
        slope > Math.max(tuning.slope, tuning.slopeTimes * rampKnPerMm)
      );
    if (s.travelMm <= tuning.startEndMm) return false;
    const steps = near.map((x, i) => x.forceKn - (near[i - 1] ?? x).forceKn);
    return (
      slope > tuning.farSlope &&
      rise - Math.max(...steps) > Math.max(tuning.farRiseKn, tuning.farShare * full.high) &&
      s.forceKn > expected.high * tuning.gallFactor
    );
  };
}

/** Of few readings one says a stop when it leaps over what the one before, still in its band, lets expect there. */
function leaps(before: TraceSample, s: TraceSample, setup: Setup): boolean {
  const { requirement: r, forceKn: full } = setup;
  if (s.travelMm < Math.max(tuning.startEndMm, r.travelMm - tuning.fewNearMm)) return false;
  const then = engagedShare(setup, before.travelMm);
  if (then === 0 || before.forceKn > full.high * then) return false;
  const expectedKn = (before.forceKn * engagedShare(setup, s.travelMm)) / then;
  return s.forceKn - expectedKn > Math.max(tuning.fewRiseKn, tuning.fewShare * full.high);
}

/** Cocked at the start; later on galling, by staying over the band or by drops while the ram goes on. */
function troubleFinder({ forceKn: full }: Setup): Finder<'cocked' | 'galling' | undefined> {
  let overSince: number | undefined;
  let drops = 0;
  let peak = { travelMm: 0, forceKn: 0 };
  let lowFrom: number | undefined;
  let last: TraceSample | undefined;
  return (s, expected, moving) => {
    const few = lone(last, s);
    last = s;
    const limit = expected.high * tuning.over + full.high * tuning.overShare + tuning.overKn;
    if (s.travelMm <= tuning.startEndMm) return s.forceKn > limit ? 'cocked' : undefined;
    if (few && s.forceKn > expected.high * tuning.fewFactor + tuning.overKn) return 'galling';
    const over = s.forceKn > expected.high * tuning.gallFactor + tuning.overKn;
    overSince = since(over, moving, overSince, s.travelMm);
    if (overSince !== undefined && s.travelMm - overSince > tuning.gallMm) return 'galling';
    const past = s.travelMm - peak.travelMm;
    const fallen = s.forceKn < peak.forceKn * (1 - tuning.dropShare) - tuning.dropKn;
    lowFrom = since(fallen, true, lowFrom, s.travelMm);
    if (s.forceKn > peak.forceKn || past > tuning.dropToMm) peak = s;
    else if (lowFrom !== undefined && s.travelMm - lowFrom > tuning.dropLastsMm) {
      drops += 1;
      peak = s;
      lowFrom = undefined;
    }
    return drops >= tuning.drops ? 'galling' : undefined;
  };
}

/** Too easy: under the band for a while; said at the end of the stroke too. */
function easyFinder() {
  let is = false;
  let underSince: number | undefined;
  return {
    is: () => is,
    see: (s: TraceSample, expected: Band, moving: boolean): void => {
      if (s.travelMm <= tuning.easyFromMm) return;
      const under = s.forceKn < expected.low * tuning.easyFactor - tuning.easyKn;
      underSince = since(under, moving, underSince, s.travelMm);
      if (underSince !== undefined && s.travelMm - underSince > tuning.easyMm) is = true;
    },
  };
}
