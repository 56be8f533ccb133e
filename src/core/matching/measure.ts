import { median } from '../median.ts';
import { apart, spread } from '../printed.ts';
import { type Material, materials } from '../fits/index.ts';
import { type DimensionId, dimensionNames } from './catalogue-part.ts';

/** One reading as it was taken. */
export interface Reading {
  /** What the instrument showed. */
  valueMm: number;
  /** Depth or place along the axis, from 0. */
  plane?: number | undefined;
  angleDeg?: number | undefined;
  /** What the instrument shows at nothing, or on its setting ring: it is taken off. */
  zeroMm?: number | undefined;
  /** Temperature of the part, °C; 20 where it was not read is not assumed: then no correction is made. */
  partC?: number | undefined;
  /** Read by the simulated indicator. */
  standIn?: boolean | undefined;
}

/** A reading less its zero error, brought to 20 °C by the expansion of its material. */
export function atTwenty(
  { valueMm, zeroMm = 0, partC }: Reading,
  material: Material = 'steel',
): number {
  const value = valueMm - zeroMm;
  return partC === undefined ? value : value / (1 + materials[material].alphaPerK * (partC - 20));
}

export interface ReadingStats {
  meanMm: number;
  /** Largest difference of angles within a plane. */
  outOfRoundMm: number;
  /** Largest difference of plane means. */
  taperMm: number;
  /** Half-width of what the mean can be off by: the instrument's, and the scatter of the readings. */
  doubtMm: number;
  /** A reading that stands apart from the rest. */
  outlier?: { index: number; offMm: number };
}

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;

/** From here off the others a reading is pointed at, at the least, mm (judgement). */
const leastOutlierMm = 0.05;

/** Running figures of the readings of one size; undefined for none. Corrected values in mm. */
export function statsOf(
  readings: readonly (Reading & { atTwentyMm: number })[],
  instrumentMm: number,
): ReadingStats | undefined {
  if (readings.length === 0) return undefined;
  const values = readings.map((r) => r.atTwentyMm);
  const planes = [...new Set(readings.map((r) => r.plane ?? 0))].map((p) =>
    readings.filter((r) => (r.plane ?? 0) === p).map((r) => r.atTwentyMm),
  );
  const meanMm = mean(values);
  const scatter =
    values.length > 1
      ? Math.sqrt(
          values.reduce((a, v) => a + (v - meanMm) ** 2, 0) / (values.length - 1) / values.length,
        )
      : 0;
  return {
    meanMm,
    outOfRoundMm: Math.max(...planes.map(spread)),
    taperMm: spread(planes.map(mean)),
    doubtMm: Math.hypot(instrumentMm, 2 * scatter),
    ...outlierOf(values, instrumentMm),
  };
}

/** The one reading farthest from the middle of the others, if it is far beyond what they scatter. */
function outlierOf(values: readonly number[], instrumentMm: number): Pick<ReadingStats, 'outlier'> {
  if (values.length < 2) return {};
  const offs = values.map((v, i) => v - median(values.filter((_, k) => k !== i)));
  const index = offs.reduce((best, o, i) => (Math.abs(o) > Math.abs(offs[best]!) ? i : best), 0);
  const rest = values.filter((_, k) => k !== index);
  // Of two, neither is the odd one: the later is named, and only when they are far apart.
  const limit =
    values.length === 2
      ? Math.max(2 * leastOutlierMm, 6 * instrumentMm)
      : Math.max(leastOutlierMm, 4 * instrumentMm, 3 * spread(rest));
  if (values.length === 2)
    return Math.abs(offs[1]!) > limit ? { outlier: { index: 1, offMm: offs[1]! } } : {};
  return Math.abs(offs[index]!) > limit ? { outlier: { index, offMm: offs[index]! } } : {};
}

/** "This reading is 0.30 mm from the rest." */
export const outlierInWords = (o: NonNullable<ReadingStats['outlier']>): string =>
  `Reading ${o.index + 1} is ${Math.abs(o.offMm).toFixed(2)} mm ${o.offMm > 0 ? 'over' : 'under'} the rest: a slip?`;

/** Readings further apart than wear could explain cannot be of two parts that sat in one another, mm (judgement). */
const wearMm = 0.5;
/** A width further from the named part's than this is not its width, mm (judgement). */
const farMm = 2;

/** What is wrong between readings of the old part and of the seats; empty when they can all be true. */
export function conflicts(
  sizes: Partial<Record<DimensionId, number>>,
  seats: { boreMm?: number | undefined; journalMm?: number | undefined },
  nominalWidthMm?: number,
): { field: string; reason: string }[] {
  const out: { field: string; reason: string }[] = [];
  const wornOff = (field: string, a: number, b: number, text: string) => {
    if (apart(a, b) > wearMm) out.push({ field, reason: text });
  };
  const { outerMm, boreMm, widthMm } = sizes;
  if (outerMm !== undefined && boreMm !== undefined && boreMm >= outerMm)
    out.push({
      field: 'boreMm',
      reason: `A bore of ${boreMm.toFixed(2)} mm cannot be larger than the outside, ${outerMm.toFixed(2)} mm.`,
    });
  if (outerMm !== undefined && seats.boreMm !== undefined)
    wornOff(
      'outerMm',
      outerMm,
      seats.boreMm,
      `The ring is ${outerMm.toFixed(2)} mm outside and the bore ${seats.boreMm.toFixed(2)}: more apart than wear explains. One of them is not of this corner, or a slip.`,
    );
  if (boreMm !== undefined && seats.journalMm !== undefined)
    wornOff(
      'boreMm',
      boreMm,
      seats.journalMm,
      `The ring's bore is ${boreMm.toFixed(2)} mm and the journal ${seats.journalMm.toFixed(2)}: more apart than wear explains.`,
    );
  if (
    widthMm !== undefined &&
    nominalWidthMm !== undefined &&
    apart(widthMm, nominalWidthMm) > farMm
  )
    out.push({
      field: 'widthMm',
      reason: `A width of ${widthMm.toFixed(2)} mm is far from the ${nominalWidthMm} mm of the part that the record names: another part was fitted, or one ring alone was read.`,
    });
  return out;
}

/** Why one reading of the old part cannot be; undefined when it can. */
export function readingFault(
  d: DimensionId,
  valueMm: number,
  readings: Partial<Record<DimensionId, readonly number[]>>,
): string | undefined {
  if (!(valueMm > 0)) return `${dimensionNames[d]} must be more than 0.`;
  if (valueMm > 300)
    return `${dimensionNames[d]} of ${valueMm} mm is larger than any wheel bearing here (300 mm).`;
  const middle = (x: DimensionId) => (readings[x]?.length ? mean(readings[x]) : undefined);
  const outer = middle('outerMm');
  const bore = middle('boreMm');
  if (d === 'boreMm' && outer !== undefined && valueMm >= outer)
    return `A bore of ${valueMm} mm cannot be larger than the outside, ${outer.toFixed(2)} mm.`;
  if (d === 'outerMm' && bore !== undefined && valueMm <= bore)
    return `An outside of ${valueMm} mm cannot be smaller than the bore, ${bore.toFixed(2)} mm.`;
  return undefined;
}
