import { printed, spread } from '../printed.ts';
import { INCH_MM } from '../units/index.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { type LockPlace, lockPlaces, type PlayWindow, safePlace } from './adjust.ts';
import { castleStepDeg, neverLinesUp } from './castle.ts';
import { endPlayMm } from './end-play.ts';
import type { Locking } from './stage.ts';
import { readThread, withoutHand } from './threads.ts';

/** A taper pair that is set by its nut: what the dial says, and in which mark the lock goes. mm and degrees. */

/** The dial pushed and pulled, once each, mm. */
export type PlayPair = readonly [pushMm: number, pullMm: number];

/** End play from the dial: pull less push, each time and in the mean; how far the times lie apart. */
export interface PlayRead {
  eachMm: readonly number[];
  meanMm: number;
  spreadMm: number;
}

/** Throws RangeError where nothing was read. */
export function playOf(pairs: readonly PlayPair[]): PlayRead {
  if (pairs.length === 0) throw new RangeError('pairs: push and pull at least once');
  const eachMm = pairs.map(([push, pull]) => printed(pull - push));
  return {
    eachMm,
    // To a tenth of what a dial shows, as it goes on record.
    meanMm: Number((eachMm.reduce((sum, mm) => sum + mm, 0) / eachMm.length).toFixed(4)),
    spreadMm: spread(eachMm),
  };
}

/** A lock stands in its mark as near as an eye can tell, degrees. Our judgement. */
export const inMarkDeg = 1;

/** How far an end play may be off, mm: instrument and scatter, and for a place that is still to be turned to the eye at the mark. */
export const playDoubtMm = (read: PlayRead, instrumentMm: number, pitchMm = 0): number =>
  Math.hypot(instrumentMm, read.spreadMm / 2, endPlayMm(pitchMm || 1, pitchMm ? inMarkDeg : 0));

/** Times that lie further apart are rock, dirt or a base that slips, mm. Our judgement. */
const steadyMm = 0.02;

/** What the readings themselves are worth; undefined where they agree. */
export const spreadVerdict = ({ spreadMm }: PlayRead): Verdict | undefined =>
  spreadMm > steadyMm
    ? verdict('adjust.spread', { value: spreadMm, max: steadyMm, unit: 'mm' })
    : undefined;

/** From one place of the lock to the next; undefined where the record does not say and nobody has counted. */
export function lockStepDeg(
  { kind, slots, holeEnds, marks }: Pick<Locking, 'kind' | 'slots' | 'holeEnds' | 'marks'>,
  counted?: number,
): number | undefined {
  if (kind === 'castle' && slots !== undefined && holeEnds !== undefined)
    return neverLinesUp(slots, holeEnds) ? undefined : castleStepDeg(slots, holeEnds);
  const n = marks ?? counted;
  return n === undefined ? undefined : 360 / n;
}

type Pitch = { ok: true; pitchMm: number } | { ok: false; reason: string };
const no = (reason: string): Pitch => ({ ok: false, reason });

/**
 * The pitch of a spindle or tube thread as it is written: "M52 × 1.5", "2-16". Larger ones than bolts are made in stand in
 * no table here, so their pitch has to be written out; a metric thread with threads per inch is no thread.
 */
export function pitchOf(size: string | undefined): Pitch {
  if (size === undefined) return no('The thread of the nut is not on record.');
  const listed = readThread(size);
  if (listed.ok) return { ok: true, pitchMm: listed.thread.pitchMm };
  const plain = withoutHand(size).replaceAll(/[×*]/gu, 'x').replaceAll(',', '.');
  const metric = /^M\s*\d+(?:\.\d+)?\s*x\s*(\d+(?:\.\d+)?)$/iu.exec(plain)?.[1];
  if (metric !== undefined) {
    const mm = Number(metric);
    return mm >= 0.5 && mm <= 6
      ? { ok: true, pitchMm: mm }
      : no(
          `A metric thread has a pitch from 0.5 to 6 mm, not ${metric}: are these threads per inch?`,
        );
  }
  if (/^M.*-\s*\d+/iu.test(plain))
    return no('A metric thread has a pitch in mm, an inch thread has threads per inch: not both.');
  const perInch = /^[\d ./]+(?:in|")?\s*-\s*(\d+)/iu.exec(plain)?.[1];
  if (perInch !== undefined) {
    const n = Number(perInch);
    return n >= 4 && n <= 40
      ? { ok: true, pitchMm: INCH_MM / n }
      : no(`${n} threads per inch: from 4 to 40 are made.`);
  }
  return no(listed.reason);
}

/** A place of the lock with its name on the drawing, and whether it may be taken. */
export interface JudgedPlace extends LockPlace {
  name: string;
  verdict: Verdict;
}

export interface Adjustment {
  /** Along its axis from one place of the lock to the next, mm. */
  stepMm: number;
  /** From tight to loose. */
  places: readonly JudgedPlace[];
  /** The one to take; undefined: none of them leaves what is asked. */
  safe: JudgedPlace | undefined;
  /** What to do where none does. */
  none?: Verdict;
}

/** So many places are drawn, the nearest ones and the one to take. */
const shown = 3;

/** Places of the lock round where the nut stands, named from tight to loose, the safe one chosen. */
export function adjustment(
  playMm: number,
  nut: { pitchMm: number; stepDeg: number; pastDeg: number },
  window: PlayWindow,
  /** How far reading and place together may be off, mm. */
  doubtMm: number,
): Adjustment {
  const toEndsMm = Math.max(...[window.lowMm, window.highMm].map((mm) => Math.abs(mm - playMm)));
  const stepMm = endPlayMm(nut.pitchMm, nut.stepDeg);
  const around = Math.ceil(toEndsMm / stepMm) + shown;
  const every = lockPlaces(playMm, nut, window, around);
  const safe = safePlace(every);
  const nearest = [...every].sort((a, b) => Math.abs(a.turnDeg) - Math.abs(b.turnDeg));
  const near = new Set(nearest.slice(0, shown));
  const places = every
    .filter((p) => near.has(p) || p === safe)
    .map((p, i): JudgedPlace => {
      const found = { value: p.playMm, min: window.lowMm, max: window.highMm, unit: 'mm' as const };
      const taken = p === safe;
      const near = p.insideMm < doubtMm;
      const inside = taken && !near ? 'good' : 'check';
      const said = {
        ...found,
        with: { taken: taken ? 'yes' : '', near: near ? doubtMm.toFixed(3) : '' },
      };
      return {
        ...p,
        name: String.fromCodePoint(65 + i),
        verdict: verdict('adjust.place', said, p.inWindow ? inside : 'stop'),
      };
    });
  return {
    stepMm,
    places,
    safe: places.find((p) => safe && p.turnDeg === safe.turnDeg),
    ...(safe ? {} : { none: verdict('adjust.none-fits', {}) }),
  };
}
