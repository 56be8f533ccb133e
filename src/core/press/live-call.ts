import type { RuleId } from '../rules/index.ts';
import { verdict, type Verdict } from '../verdict.ts';
import type { TraceSample } from './trace.ts';

export const strokeCalls = [
  'waiting',
  'square',
  'cocked',
  'galling',
  'easy',
  'seated',
  'short',
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

const ends: ReadonlySet<StrokeCall> = new Set<StrokeCall>([
  'cocked',
  'galling',
  'seated',
  'short',
  'past',
  'stuck',
  'free',
]);
/** The ram is released at these: going on does harm. */
export const endsStroke = (c: StrokeCall): boolean => ends.has(c);

/** A follower takes one reading after another and says what the stroke is. */
export type Follower = (s: TraceSample) => LiveCall;

export function said(
  call: StrokeCall,
  s: Omit<TraceSample, 'ms'>,
  rule: RuleId = `follow.${call}`,
): LiveCall {
  const { travelMm, forceKn } = s;
  const figures = { value: forceKn, unit: 'kN' as const, with: { travelMm } };
  return { ...verdict(rule, figures), call, travelMm, forceKn };
}
export const waiting = said('waiting', { travelMm: 0, forceKn: 0 });

/** Throws RangeError when time runs backwards. */
export function inTime(last: TraceSample | undefined, s: TraceSample): void {
  if (last && s.ms < last.ms)
    throw new RangeError(`ms: time runs backwards, from ${last.ms} to ${s.ms} ms`);
}

/** Travel from which something has held: kept while nothing moves, forgotten once the part moves on without it. */
export function since(
  holds: boolean,
  moving: boolean,
  from: number | undefined,
  travelMm: number,
): number | undefined {
  if (holds) return from ?? travelMm;
  return moving ? undefined : from;
}
