import {
  expansionMm,
  forceN,
  frictions,
  materials,
  type Film,
  interferenceBand,
  pressureMpa,
  removalFactor,
  tolerance,
  limitsMm,
  bearingNormal,
} from '../fits/index.ts';
import { band, worst, type Band, type Status, type Verdict } from '../verdict.ts';
import type { Press } from './kit.ts';
import type { Operation, Requirement } from './operation.ts';
import { requirement } from './setups/index.ts';
import type { Bench } from './stack.ts';
import { seatsOf, type SeatSpec, type Work } from './work.ts';

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
            limitsMm(bore.nominalMm, bearingNormal(bore.nominalMm, 'outside')),
            limits(bore),
          ),
        }
      : {}),
    ...(journal
      ? {
          journal: interferenceBand(
            limits(journal),
            limitsMm(journal.nominalMm, bearingNormal(journal.nominalMm, 'bore')),
          ),
        }
      : {}),
    measured: { bore: false, journal: false },
  };
}

/** What the schools chosen on the job do to a stroke. */
export interface School {
  film: Film;
  /** The ring comes out of the freezer this cold, °C, into a shop of 20 °C; absent when it is not chilled. */
  chilledC?: number | undefined;
}
export const usualSchool: School = { film: 'oiled' };
/** A domestic freezer, °C. */
export const freezerC = -18;

/**
 * Expected force of the whole stroke at its greatest, kN: Lamé pressure × friction × seat area. A chilled ring gives its
 * whole shrink to the low end, half of it to the likely, none to the high: nobody knows how long it lay.
 */
export function strokeForceKn(r: Requirement, fits: Fits, school: School = usualSchool): Band {
  const { fit, lengthMm, kind, tightMm } = r.seat;
  const delta = kind === 'fixed' ? tightMm : fits[kind];
  if (!delta) throw new RangeError(`fits.${kind}: missing`);
  const rust = r.fitting ? band(1, 1, 1) : removalFactor;
  const chilled = r.fitting && kind === 'bore' && school.chilledC !== undefined;
  const shrink = chilled
    ? Math.abs(expansionMm(fit.diameterMm, materials.steel.alphaPerK, school.chilledC! - 20))
    : 0;
  const cold: Band = { low: shrink, likely: shrink / 2, high: 0 };
  // An old seat was fitted by somebody else: what was on it then is not known, so removal keeps the oiled band and its factor.
  const friction = frictions[r.fitting ? school.film : 'oiled'];
  const at = (which: keyof Band) =>
    (forceN(
      pressureMpa({ ...fit, interferenceMm: delta[which] - cold[which] }),
      friction[which],
      fit.diameterMm,
      lengthMm,
    ) *
      rust[which]) /
    1000;
  return band(at('low'), at('likely'), at('high'));
}

/** Share of the full force at a travel: grows with engaged length when fitting, falls when removing. */
export function engagedShare(r: Requirement, travelMm: number): number {
  const x = Math.max(0, Math.min(1, travelMm / r.seat.lengthMm));
  return r.fitting ? x : 1 - x;
}

/** Expected band at a travel, kN. */
export function forceAtKn(r: Requirement, full: Band, travelMm: number): Band {
  const share = engagedShare(r, travelMm);
  return band(full.low * share, full.likely * share, full.high * share);
}

/** The bench of one stroke; undefined where these parts have no such stroke. */
export function benchFor(
  operation: Operation,
  work: Work,
  press: Press,
  fits: Fits = classFits(work),
  school: School = usualSchool,
): Bench | undefined {
  const r = requirement(operation, work);
  return r && { requirement: r, press, forceKn: strokeForceKn(r, fits, school) };
}

export interface StrokeReading {
  travelMm: number;
  forceKn: number;
}

/** Tolerance of the seat against plan, mm. */
export const seatToleranceMm = 0.3;

/** What one gauge reading says while the handle moves. */
export function judgeReading(
  { travelMm, forceKn }: StrokeReading,
  { requirement: r, forceKn: full, press }: Bench,
): Verdict {
  const expected = forceAtKn(r, full, travelMm);
  const limit = `${expected.low.toFixed(1)}–${expected.high.toFixed(1)} kN`;
  const v = (status: Status, rule: string, text: string): Verdict => ({
    status,
    rule,
    text,
    value: forceKn,
    limit,
    source: 'expected band from the fit',
  });
  if (forceKn > press.capacityKn)
    return v(
      'stop',
      'stroke.capacity',
      `Above what ${press.name} gives (${press.capacityKn.toFixed(0)} kN). Release and check the reading.`,
    );
  if (r.fitting) {
    if (travelMm > r.travelMm + seatToleranceMm)
      return v(
        'stop',
        'stroke.past',
        `Travel is ${(travelMm - r.travelMm).toFixed(1)} mm past the planned seat. Release and measure.`,
      );
    if (travelMm >= r.travelMm - seatToleranceMm && forceKn >= expected.likely)
      return v(
        'good',
        'stroke.seated',
        'Seated: travel is at plan and force has risen. Stop, do not chase it.',
      );
  }
  if (forceKn > expected.high && !(!r.fitting && travelMm < 1))
    return v(
      forceKn > 1.5 * expected.high ? 'stop' : 'check',
      'stroke.above',
      'Above the expected band: cocked or galling. Back off, look, start square again.',
    );
  if (forceKn > full.high)
    return v(
      'check',
      'stroke.break-away',
      'More than a rusted seat should need. Release, soak again, check the support.',
    );
  if (forceKn < expected.low && r.fitting)
    return v(
      'check',
      'stroke.easy',
      'Easier than the fit should be: worn seat? Measure before going on.',
    );
  return v(
    'good',
    'stroke.in-band',
    !r.fitting
      ? 'Inside what a clean to rusted seat needs.'
      : 'Reading is inside the expected band.',
  );
}

export interface StrokeResult {
  /** Absent where it was driven with a hammer: no force is read. */
  peakKn?: number | undefined;
  /** Depth of the seat measured after the stroke; absent for removal. */
  depthMm?: number | undefined;
}

/** The verdict that is kept of a stroke. */
export function judgeStroke(
  result: StrokeResult,
  { requirement: r, forceKn: full }: Bench,
): { status: Status; verdicts: Verdict[] } {
  const out: Verdict[] = [];
  const { peakKn } = result;
  const limit = `${full.low.toFixed(1)}–${full.high.toFixed(1)} kN`;
  if (r.fitting) {
    const off = (result.depthMm ?? Number.NaN) - r.travelMm;
    if (!(Math.abs(off) <= seatToleranceMm))
      out.push({
        status: 'stop',
        rule: 'stroke.seat',
        value: result.depthMm ?? Number.NaN,
        limit: `${r.travelMm.toFixed(1)} ± ${seatToleranceMm} mm`,
        text:
          off < 0
            ? `Not home: ${(-off).toFixed(2)} mm short of the seat. Press on, square.`
            : `${off.toFixed(2)} mm past the planned seat. Look at the shoulder and measure again.`,
        source: 'plan of the stroke',
      });
    if (peakKn !== undefined && peakKn < full.low)
      out.push({
        status: 'check',
        rule: 'stroke.easy',
        value: peakKn,
        limit,
        text: `Peak ${peakKn.toFixed(1)} kN is below the band: the seat may be worn.`,
        source: 'expected band from the fit',
      });
  }
  if (peakKn !== undefined && peakKn > full.high)
    out.push({
      status: 'check',
      rule: 'stroke.above',
      value: peakKn,
      limit,
      text: `Peak ${peakKn.toFixed(1)} kN is above the band: look for galling.`,
      source: 'expected band from the fit',
    });
  if (out.length === 0)
    out.push({
      status: 'good',
      rule: 'stroke.good',
      ...(peakKn === undefined ? {} : { value: peakKn }),
      limit,
      text:
        peakKn === undefined
          ? r.fitting
            ? 'Home at the planned depth; driven, no force was read.'
            : 'Out; driven, no force was read.'
          : !r.fitting
            ? 'Came out inside the expected band.'
            : 'Home at the planned depth, force inside the band.',
      source: 'expected band from the fit',
    });
  return { status: worst(out), verdicts: out };
}
