import { expansionMm, forceN, frictions, materials, type Film, interferenceBand, pressureMpa, removalFactor, tolerance, limitsMm, bearingNormal, type PressFit, type SeatKind } from '../fits/index.ts';
import { band, worst, type Band, type Status, type Verdict } from '../verdict.ts';
import type { Operation, Requirement, Work } from './operation.ts';
import type { Press } from './kit.ts';

/** Fit of the two seats, mm of interference, with the word of where each comes from. */
export interface Fits {
  bore: Band;
  journal: Band;
  measured: { bore: boolean; journal: boolean };
}

/** Fits from tolerance classes alone: wider than measured ones. ISO 286-2, ISO 492 Normal. */
export function classFits({ bearing, knuckle, hub }: Work): Fits {
  const bore = limitsMm(bearing.outerMm, tolerance(bearing.outerMm, knuckle.boreClass));
  const journal = limitsMm(bearing.boreMm, tolerance(bearing.boreMm, hub.journalClass));
  return {
    bore: interferenceBand(limitsMm(bearing.outerMm, bearingNormal(bearing.outerMm, 'outside')), bore),
    journal: interferenceBand(journal, limitsMm(bearing.boreMm, bearingNormal(bearing.boreMm, 'bore'))),
    measured: { bore: false, journal: false },
  };
}

const removal = (o: Operation) => o === 'hub-out' || o === 'bearing-out';
const onBore = (o: Operation) => o === 'bearing-in' || o === 'bearing-out';

/** The two bodies of a seat and its length. */
export function seatFit(kind: SeatKind, { bearing: b, knuckle: k, hub: h }: Work): { fit: Omit<PressFit, 'interferenceMm'>; lengthMm: number } {
  return kind === 'bore'
    ? { fit: { diameterMm: b.outerMm, outerDiameterMm: k.bossOuterMm, innerBoreMm: b.outerFaceInnerMm, outerMaterial: k.material, innerMaterial: 'steel' }, lengthMm: b.widthMm }
    : { fit: { diameterMm: b.boreMm, outerDiameterMm: b.innerFaceOuterMm, innerBoreMm: h.boreMm, outerMaterial: 'steel', innerMaterial: 'steel' }, lengthMm: b.innerWidthMm };
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
export function strokeForceKn(o: Operation, w: Work, fits: Fits, school: School = usualSchool): Band {
  const { fit, lengthMm: length } = seatFit(onBore(o) ? 'bore' : 'journal', w);
  const diameter = fit.diameterMm;
  const pressure = (interferenceMm: number) => pressureMpa({ ...fit, interferenceMm });
  const delta = onBore(o) ? fits.bore : fits.journal;
  const rust = removal(o) ? removalFactor : band(1, 1, 1);
  const shrink = o === 'bearing-in' && school.chilledC !== undefined ? Math.abs(expansionMm(diameter, materials.steel.alphaPerK, school.chilledC - 20)) : 0;
  const cold: Band = { low: shrink, likely: shrink / 2, high: 0 };
  // An old seat was fitted by somebody else: what was on it then is not known, so removal keeps the oiled band and its factor.
  const friction = frictions[removal(o) ? 'oiled' : school.film];
  const at = (which: keyof Band) => (forceN(pressure(delta[which] - cold[which]), friction[which], diameter, length) * rust[which]) / 1000;
  return band(at('low'), at('likely'), at('high'));
}

/** Share of the full force at a travel: grows with engaged length when fitting, falls when removing. */
export function engagedShare(o: Operation, w: Work, travelMm: number): number {
  const length = onBore(o) ? w.bearing.widthMm : w.bearing.innerWidthMm;
  const x = Math.max(0, Math.min(1, travelMm / length));
  return removal(o) ? 1 - x : x;
}

/** Expected band at a travel, kN. */
export function forceAtKn(o: Operation, w: Work, full: Band, travelMm: number): Band {
  const share = engagedShare(o, w, travelMm);
  return band(full.low * share, full.likely * share, full.high * share);
}

export interface StrokeReading {
  travelMm: number;
  forceKn: number;
}

/** Tolerance of the seat against plan, mm. */
export const seatToleranceMm = 0.3;

/** What one gauge reading says while the handle moves. */
export function judgeReading(reading: StrokeReading, o: Operation, w: Work, r: Requirement, full: Band, press: Press): Verdict {
  const { travelMm, forceKn } = reading;
  const expected = forceAtKn(o, w, full, travelMm);
  const limit = `${expected.low.toFixed(1)}–${expected.high.toFixed(1)} kN`;
  const v = (status: Status, rule: string, text: string): Verdict => ({ status, rule, text, value: forceKn, limit, source: 'expected band from the fit' });
  if (forceKn > press.capacityKn) return v('stop', 'stroke.capacity', `Above what ${press.name} gives (${press.capacityKn.toFixed(0)} kN). Release and check the reading.`);
  if (!removal(o)) {
    if (travelMm > r.travelMm + seatToleranceMm) return v('stop', 'stroke.past', `Travel is ${(travelMm - r.travelMm).toFixed(1)} mm past the planned seat. Release and measure.`);
    if (travelMm >= r.travelMm - seatToleranceMm && forceKn >= expected.likely) return v('good', 'stroke.seated', 'Seated: travel is at plan and force has risen. Stop, do not chase it.');
  }
  if (forceKn > expected.high && !(removal(o) && travelMm < 1)) return v(forceKn > 1.5 * expected.high ? 'stop' : 'check', 'stroke.above', 'Above the expected band: cocked or galling. Back off, look, start square again.');
  if (forceKn > full.high) return v('check', 'stroke.break-away', 'More than a rusted seat should need. Release, soak again, check the support.');
  if (forceKn < expected.low && !removal(o)) return v('check', 'stroke.easy', 'Easier than the fit should be: worn seat? Measure before going on.');
  return v('good', 'stroke.in-band', removal(o) ? 'Inside what a clean to rusted seat needs.' : 'Reading is inside the expected band.');
}

export interface StrokeResult {
  peakKn: number;
  /** Depth of the seat measured after the stroke; absent for removal. */
  depthMm?: number;
}

/** The verdict that is kept of a stroke. */
export function judgeStroke(result: StrokeResult, o: Operation, r: Requirement, full: Band): { status: Status; verdicts: Verdict[] } {
  const out: Verdict[] = [];
  const limit = `${full.low.toFixed(1)}–${full.high.toFixed(1)} kN`;
  if (!removal(o)) {
    const off = (result.depthMm ?? Number.NaN) - r.travelMm;
    if (!(Math.abs(off) <= seatToleranceMm)) out.push({ status: 'stop', rule: 'stroke.seat', value: result.depthMm ?? Number.NaN, limit: `${r.travelMm.toFixed(1)} ± ${seatToleranceMm} mm`, text: off < 0 ? `Not home: ${(-off).toFixed(2)} mm short of the seat. Press on, square.` : `${off.toFixed(2)} mm past the planned seat. Look at the shoulder and measure again.`, source: 'plan of the stroke' });
    if (result.peakKn < full.low) out.push({ status: 'check', rule: 'stroke.easy', value: result.peakKn, limit, text: `Peak ${result.peakKn.toFixed(1)} kN is below the band: the seat may be worn.`, source: 'expected band from the fit' });
  }
  if (result.peakKn > full.high) out.push({ status: 'check', rule: 'stroke.above', value: result.peakKn, limit, text: `Peak ${result.peakKn.toFixed(1)} kN is above the band: look for galling.`, source: 'expected band from the fit' });
  if (out.length === 0) out.push({ status: 'good', rule: 'stroke.good', value: result.peakKn, limit, text: removal(o) ? 'Came out inside the expected band.' : 'Home at the planned depth, force inside the band.', source: 'expected band from the fit' });
  return { status: worst(out), verdicts: out };
}
