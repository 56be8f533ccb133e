import { bearingNormal, itGrade, limitsMm, tolerance } from './iso286.ts';
import { interferenceBand } from './pressure.ts';
import { worst, type Band, type Verdict } from '../verdict.ts';

export type SeatKind = 'bore' | 'journal';

export interface Instrument {
  id: string;
  name: string;
  /** Half-width of what a reading can be off by, mm. */
  doubtMm: number;
}

export interface SeatReadings {
  kind: SeatKind;
  nominalMm: number;
  /** ISO 286 class of the seat, e.g. P7 or m6. */
  toleranceClass: string;
  classSource: string;
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
  /** How tight the new ring will sit, mm. */
  interference: Band;
  verdicts: Verdict[];
}

/** A reading further than this from nominal is a slip or another part, mm (judgement). */
const slipMm = 1;

/** Why one reading cannot be of this seat; undefined when it can. */
export const seatReadingFault = (valueMm: number, nominalMm: number): string | undefined =>
  Math.abs(valueMm - nominalMm) > slipMm
    ? `${valueMm.toFixed(2)} is far from ${nominalMm} mm: a slip?`
    : undefined;

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;

/**
 * Judges a seat that must grip: size, roundness, taper and the fit of a new ring of ISO 492 class Normal.
 * Default form limits: half of IT6 (journal) or IT7 (bore), engineering judgement.
 */
export function judgeSeat(s: SeatReadings): SeatResult {
  const planes = s.readingsMm.map(mean);
  const meanMm = mean(planes);
  const outOfRoundMm = Math.max(...s.readingsMm.map((r) => Math.max(...r) - Math.min(...r)));
  const taperMm = Math.max(...planes) - Math.min(...planes);
  const limitMm = itGrade(s.nominalMm, s.kind === 'bore' ? 7 : 6) / 2000;
  const classLimits = limitsMm(s.nominalMm, tolerance(s.nominalMm, s.toleranceClass));
  const ring =
    s.ringMm === undefined
      ? limitsMm(s.nominalMm, bearingNormal(s.nominalMm, s.kind === 'bore' ? 'outside' : 'bore'))
      : { lowMm: s.ringMm - s.instrument.doubtMm, highMm: s.ringMm + s.instrument.doubtMm };
  const seat = { lowMm: meanMm - s.instrument.doubtMm, highMm: meanMm + s.instrument.doubtMm };
  const interference =
    s.kind === 'bore' ? interferenceBand(ring, seat) : interferenceBand(seat, ring);
  const verdicts = seatVerdicts(s, {
    meanMm,
    outOfRoundMm,
    taperMm,
    limitMm,
    classLimits,
    interference,
  });
  return { meanMm, outOfRoundMm, taperMm, limitMm, classLimits, interference, verdicts };
}

function seatVerdicts(s: SeatReadings, r: Omit<SeatResult, 'verdicts'>): Verdict[] {
  const out: Verdict[] = [];
  const name = s.kind === 'bore' ? 'knuckle bore' : 'hub journal';
  const classWidth = r.classLimits.highMm - r.classLimits.lowMm;
  const half = 'half the IT grade, engineering judgement';
  if (s.instrument.doubtMm > classWidth / 3) {
    out.push({
      status: 'check',
      rule: 'seat.instrument',
      text: `The ${s.instrument.name} reads to ±${s.instrument.doubtMm.toFixed(3)} mm: too coarse to judge a band of ${classWidth.toFixed(3)} mm. Read again with a ${s.kind === 'bore' ? 'bore gauge' : 'micrometer'}.`,
      source: 'a third of the band, common practice',
    });
  }
  const grip = r.interference;
  if (grip.likely <= 0) {
    out.push({
      status: 'stop',
      rule: 'seat.no-grip',
      value: grip.likely,
      limit: 'over 0 mm',
      text: `The new ring would slide ${s.kind === 'bore' ? 'into' : 'onto'} the ${name} by hand: fit ${grip.likely.toFixed(3)} mm. It will creep. Replace it or document a repair.`,
      source: 'the ring that turns with the wheel must grip',
    });
  } else if (
    r.meanMm < r.classLimits.lowMm - s.instrument.doubtMm ||
    r.meanMm > r.classLimits.highMm + s.instrument.doubtMm
  ) {
    const loose =
      s.kind === 'bore' ? r.meanMm > r.classLimits.highMm : r.meanMm < r.classLimits.lowMm;
    out.push({
      status: 'check',
      rule: 'seat.size',
      value: r.meanMm,
      limit: `${r.classLimits.lowMm.toFixed(3)}–${r.classLimits.highMm.toFixed(3)} mm`,
      text: `The ${name} is ${loose ? 'looser' : 'tighter'} than class ${s.toleranceClass}: ${r.meanMm.toFixed(3)} mm, fit ${grip.likely.toFixed(3)} mm.`,
      source: s.classSource,
    });
  }
  if (r.outOfRoundMm > r.limitMm)
    out.push({
      status: 'stop',
      rule: 'seat.round',
      value: r.outOfRoundMm,
      limit: `max ${r.limitMm.toFixed(3)} mm`,
      text: `The ${name} is out of round by ${r.outOfRoundMm.toFixed(3)} mm. Dress a burr and read again, or replace.`,
      source: half,
    });
  if (r.taperMm > r.limitMm)
    out.push({
      status: 'stop',
      rule: 'seat.taper',
      value: r.taperMm,
      limit: `max ${r.limitMm.toFixed(3)} mm`,
      text: `The ${name} is tapered by ${r.taperMm.toFixed(3)} mm from end to end.`,
      source: half,
    });
  if (worst(out) === 'good')
    out.push({
      status: 'good',
      rule: 'seat.good',
      value: r.meanMm,
      limit: `${r.classLimits.lowMm.toFixed(3)}–${r.classLimits.highMm.toFixed(3)} mm`,
      text: 'Round, straight and to size. The new ring will hold.',
      source: s.classSource,
    });
  return out;
}
