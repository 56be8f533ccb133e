import { type Static, Type } from '@sinclair/typebox';
import { apart, printed, spread } from '../printed.ts';
import { closed, Id, Maybe, Text } from '../schemas/common.ts';
import { type Band, verdict, type Verdict, worst } from '../verdict.ts';
import { smoothed } from './chain.ts';
import { givenBackWarmMm, serviceK } from './grip.ts';
import { bearingNormal, type BearingSeries, itGrade, limitsMm, tolerance } from './iso286.ts';
import { interferenceBand, type Material } from './pressure.ts';

export type SeatKind = 'bore' | 'journal';

export const InstrumentSchema = closed({
  id: Id,
  name: Text(60),
  /** Half-width of what a reading can be off by, mm. */
  doubtMm: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
  /** Why it is used no more; stays in records that were read with it. */
  retired: Maybe(Text(60)),
});
export type Instrument = Static<typeof InstrumentSchema>;

export interface SeatReadings {
  kind: SeatKind;
  /** What the seat is called on this vehicle: "axle tube bore"; a knuckle's or a hub's unless said. */
  part?: string;
  nominalMm: number;
  /** ISO 286 class of the seat, e.g. P7 or m6. */
  toleranceClass: string;
  classSource: string;
  /** What the seat is made of: aluminium gives grip back when it is warm. */
  material: Material;
  series: BearingSeries;
  /** Rows are depths, columns are angles; every reading in mm. */
  readingsMm: readonly (readonly number[])[];
  instrument: Instrument;
  /** The new ring's own measured size, mm, where it was measured. */
  ringMm?: number;
}

export interface SeatResult {
  meanMm: number;
  outOfRoundMm: number;
  taperMm: number;
  limitMm: number;
  classLimits: { lowMm: number; highMm: number };
  /** Difference of the sizes, and how tight the new ring will sit once the peaks are flattened, mm. */
  interference: Band;
  grip: Band;
  verdicts: Verdict[];
}

/** Half-width of scatter that any seat reading may have beside its instrument's doubt, mm (judgement). */
export const seatScatterMm = 0.003;

/** A reading further than this from nominal is a slip or another part, mm (judgement). */
const slipMm = 1;

/** A reading that cannot be of this seat. */
export const isSlip = (valueMm: number, nominalMm: number): boolean =>
  apart(valueMm, nominalMm) > slipMm;

const mean = (xs: readonly number[]) => printed(xs.reduce((a, b) => a + b, 0) / xs.length);

/**
 * Judges a seat that must grip: size, roundness, taper and the fit of a new ring of ISO 492 class Normal.
 * Default form limits: half of IT6 (journal) or IT7 (bore), engineering judgement.
 */
export function judgeSeat(s: SeatReadings): SeatResult {
  const planes = s.readingsMm.map(mean);
  const meanMm = mean(planes);
  const outOfRoundMm = Math.max(...s.readingsMm.map(spread));
  const taperMm = spread(planes);
  const limitMm = itGrade(s.nominalMm, s.kind === 'bore' ? 7 : 6) / 2000;
  const classLimits = limitsMm(s.nominalMm, tolerance(s.nominalMm, s.toleranceClass));
  const ring =
    s.ringMm === undefined
      ? limitsMm(
          s.nominalMm,
          bearingNormal(s.nominalMm, s.kind === 'bore' ? 'outside' : 'bore', s.series),
        )
      : { lowMm: s.ringMm - s.instrument.doubtMm, highMm: s.ringMm + s.instrument.doubtMm };
  const seat = { lowMm: meanMm - s.instrument.doubtMm, highMm: meanMm + s.instrument.doubtMm };
  const interference =
    s.kind === 'bore' ? interferenceBand(ring, seat) : interferenceBand(seat, ring);
  const result = {
    meanMm,
    outOfRoundMm,
    taperMm,
    limitMm,
    classLimits,
    interference,
    grip: smoothed(interference),
  };
  return { ...result, verdicts: seatVerdicts(s, result) };
}

function seatVerdicts(s: SeatReadings, r: Omit<SeatResult, 'verdicts'>): Verdict[] {
  const bore = s.kind === 'bore';
  const part = s.part ?? (bore ? 'knuckle bore' : 'hub journal');
  const { classLimits, grip, limitMm } = r;
  const doubt = s.instrument.doubtMm;
  const size = {
    part,
    value: r.meanMm,
    min: classLimits.lowMm,
    max: classLimits.highMm,
    unit: 'mm' as const,
    source: s.classSource,
  };
  const out: Verdict[] = [];
  const classWidth = classLimits.highMm - classLimits.lowMm;
  if (doubt > classWidth / 3)
    out.push(
      verdict('seat.instrument', {
        part: s.instrument.name,
        value: doubt,
        max: classWidth / 3,
        unit: 'mm',
        with: { band: classWidth.toFixed(3), better: bore ? 'bore gauge' : 'micrometer' },
      }),
    );
  const outside =
    r.meanMm < printed(classLimits.lowMm - doubt) || r.meanMm > printed(classLimits.highMm + doubt);
  if (grip.likely <= 0) {
    const way = bore ? 'into' : 'onto';
    out.push(
      verdict('seat.no-grip', { part, value: grip.likely, min: 0, unit: 'mm', with: { way } }),
    );
  } else if (outside) {
    const loose = bore ? r.meanMm > classLimits.highMm : r.meanMm < classLimits.lowMm;
    const names = { way: loose ? 'looser' : 'tighter', class: s.toleranceClass };
    out.push(verdict('seat.size', { ...size, with: { ...names, fit: grip.likely.toFixed(3) } }));
  }
  const warmMm = grip.likely - (bore ? givenBackWarmMm(s.nominalMm, s.material) : 0);
  if (grip.likely > 0 && warmMm <= 0)
    out.push(verdict('seat.warm', { part, value: warmMm, min: 0, unit: 'mm', with: { serviceK } }));
  const form = { part, max: limitMm, unit: 'mm' as const };
  if (r.outOfRoundMm > limitMm) out.push(verdict('seat.round', { ...form, value: r.outOfRoundMm }));
  if (r.taperMm > limitMm) out.push(verdict('seat.taper', { ...form, value: r.taperMm }));
  if (worst(out) === 'good') out.push(verdict('seat.good', size));
  return out;
}
