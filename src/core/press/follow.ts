import type { RuleId } from '../rules/index.ts';
import { verdict, type Verdict } from '../verdict.ts';
import type { Setup } from './stack.ts';
import { forceAtKn, seatToleranceMm } from './stroke.ts';

/** One reading of gauge and travel; `ms` from the start of the stroke. */
export interface TraceSample {
  ms: number;
  travelMm: number;
  forceKn: number;
}

export const strokeCalls = [
  'waiting',
  'square',
  'cocked',
  'galling',
  'easy',
  'seated',
  'past',
  'stuck',
  'free',
] as const;
export type StrokeCall = (typeof strokeCalls)[number];

export interface LiveCall extends Verdict {
  call: StrokeCall;
  /** Where it was first called. */
  travelMm: number;
  forceKn: number;
}

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
  /** A fall of this share while the ram goes on; a pump's own rest is less. */
  dropShare: 0.16,
  dropKn: 0.3,
  /** Under the lower band by this factor for this far, mm: too easy. */
  easyFactor: 0.85,
  easyFromMm: 5,
  easyMm: 2,
  /** Steepness over the ramp's that says the shoulder, kN/mm at the least and as a multiple; and least rise, kN. */
  seatSlope: 7,
  seatTimes: 6,
  seatRiseKn: 1.2,
  /** How far before plan the shoulder may be met, mm. */
  seatEarlyMm: 0.7,
  /** Coming off: not moved yet under this travel, mm; over the greatest expected force by this factor and kN it is stuck. */
  stillMm: 0.8,
  stuckFactor: 1.15,
  stuckKn: 1,
  /** Free once this share of the seat is behind it and the force has fallen to this share of its peak. */
  freeFrom: 0.8,
  freeShare: 0.12,
};

/** The ram is released at these: going on does harm. */
export const endsStroke = (c: StrokeCall): boolean =>
  c === 'cocked' ||
  c === 'galling' ||
  c === 'seated' ||
  c === 'past' ||
  c === 'stuck' ||
  c === 'free';

/** A follower takes one reading after another and says what the stroke is. */
export type Follower = (s: TraceSample) => LiveCall;
export const follower = (setup: Setup): Follower =>
  setup.requirement.fitting ? fittingFollower(setup) : removalFollower(setup);

function said(
  call: StrokeCall,
  s: Omit<TraceSample, 'ms'>,
  rule: RuleId = `follow.${call}`,
): LiveCall {
  const { travelMm, forceKn } = s;
  const figures = { value: forceKn, unit: 'kN' as const, with: { travelMm } };
  return { ...verdict(rule, figures), call, travelMm, forceKn };
}
const waiting = said('waiting', { travelMm: 0, forceKn: 0 });
const inTime = (last: TraceSample | undefined, s: TraceSample) => {
  if (last && s.ms < last.ms)
    throw new RangeError(`ms: time runs backwards, from ${last.ms} to ${s.ms} ms`);
};

/** Travel from which something has held: kept while nothing moves, forgotten once the part moves on without it. */
function since(
  holds: boolean,
  moving: boolean,
  from: number | undefined,
  travelMm: number,
): number | undefined {
  if (holds) return from ?? travelMm;
  return moving ? undefined : from;
}

/** Follows a part coming off: it breaks away, goes on inside what a clean to rusted seat needs, and is free; or it sticks, or galls. */
function removalFollower({ requirement: r, forceKn: full }: Setup): Follower {
  let now = waiting;
  let last: TraceSample | undefined;
  let peak = 0;
  let overSince: number | undefined;
  return (s) => {
    inTime(last, s);
    const moving = !last || s.travelMm > last.travelMm + 0.002;
    last = s;
    if (endsStroke(now.call)) return now;
    peak = Math.max(peak, s.forceKn);
    if (s.travelMm < tuning.stillMm)
      return (now =
        s.forceKn > full.high * tuning.stuckFactor + tuning.stuckKn ? said('stuck', s) : waiting);
    if (
      s.travelMm > r.seat.lengthMm * tuning.freeFrom &&
      s.forceKn < Math.max(tuning.easyFactor * 0.5, peak * tuning.freeShare)
    )
      return (now = said('free', s));
    const over =
      s.forceKn >
      forceAtKn(r, full, s.travelMm).high * tuning.gallFactor +
        full.high * tuning.overShare +
        tuning.overKn;
    overSince = since(over, moving, overSince, s.travelMm);
    if (overSince !== undefined && s.travelMm - overSince > tuning.gallMm)
      return (now = said('galling', s, 'follow.galls-out'));
    return (now = said('square', s, 'follow.moves'));
  };
}

/**
 * Follows a fitting stroke reading by reading and says what it is. Its verdict never gets milder: a start that was cocked
 * stays cocked. Throws RangeError when time runs backwards.
 */
function fittingFollower(setup: Setup): Follower {
  const { requirement: r, forceKn: full } = setup;
  const rampKnPerMm = full.high / Math.max(1, r.travelMm);
  let last: TraceSample | undefined;
  let now = waiting;
  let easy = false;
  let overSince: number | undefined;
  let underSince: number | undefined;
  let drops = 0;
  let peak = { travelMm: 0, forceKn: 0 };
  /** Readings of the last half millimetre, thinned: where the ramp stood. */
  let recent: TraceSample[] = [];
  const say = (call: StrokeCall, s: TraceSample): LiveCall => (now = said(call, s));

  return (s) => {
    inTime(last, s);
    if (
      now.call === 'seated' &&
      s.travelMm > r.travelMm + 2 * seatToleranceMm &&
      s.forceKn > now.forceKn + 10
    )
      return say('past', s);
    if (endsStroke(now.call)) {
      last = s;
      return now;
    }
    const band = forceAtKn(r, full, s.travelMm);
    recent = [...recent.filter((x) => x.travelMm > s.travelMm - 0.5), s].slice(-40);
    const moving = !last || s.travelMm > last.travelMm + 0.002;

    // The shoulder: far steeper than any ramp, near the plan.
    if (s.travelMm >= r.travelMm - tuning.seatEarlyMm) {
      const near = recent.filter((x) => x.travelMm > s.travelMm - 0.12);
      const from = near[0]!;
      const rise = s.forceKn - from.forceKn;
      const slope = rise / Math.max(0.02, s.travelMm - from.travelMm);
      const least = Math.min(...recent.map((x) => x.forceKn));
      if (
        rise > tuning.seatRiseKn &&
        slope > Math.max(tuning.seatSlope, tuning.seatTimes * rampKnPerMm) &&
        s.forceKn > least + Math.max(tuning.seatRiseKn, 0.1 * least)
      ) {
        last = s;
        return say('seated', s);
      }
      if (s.travelMm > r.travelMm + 1.5) {
        last = s;
        return say('past', s);
      }
    }

    if (s.travelMm > tuning.startMm && s.travelMm < r.travelMm - tuning.seatEarlyMm) {
      const limit = band.high * tuning.over + full.high * tuning.overShare + tuning.overKn;
      if (s.travelMm <= tuning.startEndMm && s.forceKn > limit) {
        last = s;
        return say('cocked', s);
      }
      if (s.travelMm > tuning.startEndMm) {
        const over = s.forceKn > band.high * tuning.gallFactor + tuning.overKn;
        overSince = since(over, moving, overSince, s.travelMm);
        if (overSince !== undefined && s.travelMm - overSince > tuning.gallMm) {
          last = s;
          return say('galling', s);
        }
        // A fall in mid-stroke while the ram goes on, beyond what a pump's rest gives.
        if (s.forceKn > peak.forceKn) peak = s;
        else if (
          moving &&
          s.travelMm - peak.travelMm < 1.2 &&
          s.forceKn < peak.forceKn * (1 - tuning.dropShare) - tuning.dropKn
        ) {
          drops += 1;
          peak = s;
        } else if (s.travelMm - peak.travelMm > 1.2) peak = s;
        if (drops >= 2) {
          last = s;
          return say('galling', s);
        }
      }
      if (s.travelMm > tuning.easyFromMm) {
        const under = s.forceKn < band.low * tuning.easyFactor - 0.05;
        underSince = since(under, moving, underSince, s.travelMm);
        if (underSince !== undefined && s.travelMm - underSince > tuning.easyMm) easy = true;
      }
    }
    last = s;
    if (s.travelMm <= tuning.startMm) return now;
    return say(easy ? 'easy' : 'square', s);
  };
}

/** What is wrong with a trace as a file or a device gave it; undefined when nothing is. */
export function traceFault(
  samples: readonly TraceSample[],
): { field: string; reason: string } | undefined {
  if (samples.length < 2)
    return { field: 'samples', reason: 'A trace needs at least two readings.' };
  const back = samples.findIndex((s, i) => i > 0 && s.ms < samples[i - 1]!.ms);
  if (back > 0)
    return {
      field: `samples.${back}.ms`,
      reason: `Time runs backwards here, from ${samples[back - 1]!.ms} to ${samples[back]!.ms} ms.`,
    };
  const odd = samples.findIndex(
    (s) => !(s.forceKn >= 0 && s.forceKn < 2000) || !(s.travelMm >= -5 && s.travelMm < 600),
  );
  return odd >= 0
    ? {
        field: `samples.${odd}`,
        reason: `${samples[odd]!.forceKn} kN at ${samples[odd]!.travelMm} mm cannot be.`,
      }
    : undefined;
}

/** A trace as the strip and the card show it: the greatest force in each step of travel. */
export function thinned(
  samples: readonly TraceSample[],
  stepMm = 0.25,
): { travelMm: number; forceKn: number }[] {
  const best = new Map<number, TraceSample>();
  for (const s of samples) {
    const k = Math.floor(s.travelMm / stepMm);
    if (s.forceKn > (best.get(k)?.forceKn ?? -1)) best.set(k, s);
  }
  return [...best.entries()]
    .sort(([a], [b]) => a - b)
    .map(([, { travelMm, forceKn }]) => ({ travelMm, forceKn }));
}
