import { spread } from '../printed.ts';
import { type Said, saying } from '../rules/index.ts';
import { verdict, type Verdict } from '../verdict.ts';

/** Runout of flange and disc from readings round the circle. mm and degrees; angles as the hub is turned clockwise past a fixed indicator. */

/** One reading: how far the hub was turned, and what the indicator showed. */
export interface TurnedReading {
  deg: number;
  mm: number;
}

/** A tilted face, as the first harmonic of its readings: mm at a radius. */
export interface Tilt {
  /** Half of what the indicator goes up and down by it. */
  amplitudeMm: number;
  /** Where it is highest, degrees. */
  highAtDeg: number;
}

export interface RunoutFit {
  tilt: Tilt;
  /** Highest less lowest of the readings as they are. */
  totalMm: number;
  /** What the tilt alone makes of it: 2√(b² + c²). */
  tiltMm: number;
  /** Highest less lowest of what is left: rust, dirt or damage. */
  restMm: number;
  /** The reading that stands out most, where the rest is worth a look. */
  worst: TurnedReading;
  /** The fitted face at an angle, mm. */
  at: (deg: number) => number;
}

/** Readings that a first harmonic can be told from. */
export const leastReadings = 6;
/** A gap this much wider than an even share leaves part of the circle unseen. Our judgement. */
const widestShare = 1.6;

const rad = (deg: number) => (deg * Math.PI) / 180;
const round360 = (deg: number) => ((deg % 360) + 360) % 360;

/** Why readings do not make a circle; undefined when they do. */
export function circleFault(readings: readonly TurnedReading[]): Said | undefined {
  const count = readings.length;
  if (count < leastReadings)
    return saying('runout.few', 'refuses', { value: count, min: leastReadings });
  const at = readings.map((r) => round360(r.deg)).sort((a, b) => a - b);
  const gaps = at.map((a, i) => (i + 1 < at.length ? at[i + 1]! : at[0]! + 360) - a);
  const widest = Math.max(...gaps);
  if (widest > (widestShare * 360) / count || Math.min(...gaps) < 1)
    return saying('runout.uneven', 'refuses', { value: widest, max: 360 / count });
  return undefined;
}

/** Solves three equations in three unknowns by elimination with pivoting. */
function solve3(rows: number[][]): [number, number, number] {
  const m = rows.map((r) => [...r]);
  for (let c = 0; c < 3; c++) {
    const pivot = m
      .map((r, i) => ({ i, v: i < c ? -1 : Math.abs(r[c]!) }))
      .reduce((a, b) => (b.v > a.v ? b : a)).i;
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    for (let r = 0; r < 3; r++) {
      if (r === c) continue;
      const f = m[r]![c]! / m[c]![c]!;
      for (let k = c; k < 4; k++) m[r]![k]! -= f * m[c]![k]!;
    }
  }
  return [m[0]![3]! / m[0]![0]!, m[1]![3]! / m[1]![1]!, m[2]![3]! / m[2]![2]!];
}

/**
 * Least squares of y = a + b cos θ + c sin θ over the readings. Throws RangeError where they do not make a circle: see
 * `circleFault`.
 */
export function fitRunout(readings: readonly TurnedReading[]): RunoutFit {
  if (circleFault(readings)) throw new RangeError('readings: at least 6, evenly round the circle');
  const basis = readings.map(({ deg }) => [1, Math.cos(rad(deg)), Math.sin(rad(deg))]);
  const rows = [0, 1, 2].map((i) => [
    ...[0, 1, 2].map((j) => basis.reduce((sum, v) => sum + v[i]! * v[j]!, 0)),
    basis.reduce((sum, v, k) => sum + v[i]! * readings[k]!.mm, 0),
  ]);
  const [a, b, c] = solve3(rows);
  const at = (deg: number) => a + b * Math.cos(rad(deg)) + c * Math.sin(rad(deg));
  const rest = readings.map((r) => r.mm - at(r.deg));
  const amplitudeMm = Math.hypot(b, c);
  const far = rest.reduce((most, v, i) => (Math.abs(v) > Math.abs(rest[most]!) ? i : most), 0);
  return {
    tilt: { amplitudeMm, highAtDeg: round360((Math.atan2(c, b) * 180) / Math.PI) },
    totalMm: spread(readings.map((r) => r.mm)),
    tiltMm: 2 * amplitudeMm,
    restMm: spread(rest),
    worst: readings[far]!,
    at,
  };
}

const vector = ({ amplitudeMm, highAtDeg }: Tilt) => ({
  b: amplitudeMm * Math.cos(rad(highAtDeg)),
  c: amplitudeMm * Math.sin(rad(highAtDeg)),
});
const tiltOf = ({ b, c }: { b: number; c: number }): Tilt => ({
  amplitudeMm: Math.hypot(b, c),
  highAtDeg: round360((Math.atan2(c, b) * 180) / Math.PI),
});

/** A tilt as it shows at another radius: it grows with it. */
export const atRadius = (t: Tilt, fromMm: number, toMm: number): Tilt => ({
  ...t,
  amplitudeMm: (t.amplitudeMm * toMm) / fromMm,
});

/** What of a reading on the disc is the disc's own: less the hub's tilt at the radius of the disc. */
export function discOwn(onDisc: Tilt, hub: Tilt, hubMm: number, discMm: number): Tilt {
  const [d, h] = [vector(onDisc), vector(atRadius(hub, hubMm, discMm))];
  return tiltOf({ b: d.b - h.b, c: d.c - h.c });
}

/** One way to put the disc on. */
export interface DiscPlace {
  /** Holes that the disc is turned clockwise from where it is now. */
  holes: number;
  /** Total reading that hub and disc make there by their tilts, mm. */
  tiltMm: number;
}

/**
 * Total reading for every stud position, from the one it has now. Turned clockwise by a hole, the disc's own high place
 * comes past the indicator that much sooner. Throws RangeError for a disc without studs to turn it on.
 */
export function discPlaces(own: Tilt, hubAtDisc: Tilt, studs: number): DiscPlace[] {
  if (!(studs >= 3)) throw new RangeError('studs: at least 3');
  const h = vector(hubAtDisc);
  return Array.from({ length: studs }, (_, holes) => {
    const d = vector({ ...own, highAtDeg: own.highAtDeg - (holes * 360) / studs });
    return { holes, tiltMm: 2 * Math.hypot(h.b + d.b, h.c + d.c) };
  });
}

/** The place with the least runout; where it stands now, if turning gains less than a reading can tell. */
export function bestPlace(places: readonly DiscPlace[]): DiscPlace {
  const best = places.reduce((a, b) => (b.tiltMm < a.tiltMm ? b : a));
  return places[0]!.tiltMm - best.tiltMm < leastGainMm ? places[0]! : best;
}
/** What turning has to gain to be worth it, mm: a division of the indicator. Our judgement. */
const leastGainMm = 0.01;

/** Whether what is left beside the tilt is worth a look by itself. Our judgement: more than half of the tilt. */
export const restStandsOut = (f: RunoutFit): boolean =>
  f.restMm > f.tiltMm / 2 && f.restMm > leastGainMm;

/** What the readings of a face say, held against the limit where there is one, mm; gravest first. */
export function judgeRunout(f: RunoutFit, limitMm: number | undefined, source: string): Verdict[] {
  const found = { value: f.totalMm, unit: 'mm' as const, source };
  const out: Verdict[] = [];
  if (limitMm !== undefined && f.totalMm > limitMm)
    out.push(verdict('runout.over', { ...found, max: limitMm }));
  if (f.restMm > f.tiltMm && f.restMm > leastGainMm)
    out.push(
      verdict('runout.rest', { ...found, value: f.restMm, with: { at: f.worst.deg.toFixed(0) } }),
    );
  const limit = limitMm === undefined ? {} : { max: limitMm };
  return out.length > 0 ? out : [verdict('runout.good', { ...found, ...limit })];
}
