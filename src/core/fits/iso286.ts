import {
  fineRanges,
  holeJ,
  itGrades,
  lowerShaft,
  normalBore,
  normalOutside,
  ranges,
  shaftJ,
  shaftT,
  taperBore,
  taperOutside,
  upperShaft,
} from './iso286.data.ts';

/** Limits of size from the nominal, in µm. */
export interface Deviations {
  upperUm: number;
  lowerUm: number;
}

const indexIn = (limits: readonly number[], sizeMm: number): number => {
  const i = limits.findIndex((upTo) => sizeMm <= upTo);
  if (!(sizeMm > 3) || i < 0)
    throw new RangeError(`sizeMm: ${sizeMm} mm is outside the table (over 3 up to 500 mm)`);
  return i;
};

/** Standard tolerance IT in µm for a size in mm. ISO 286-1:2010. Throws RangeError outside the table. */
export function itGrade(sizeMm: number, grade: number): number {
  const row = itGrades[grade];
  if (!row) throw new RangeError(`class: grade ${grade} is outside the table (3 to 11)`);
  return row[indexIn(ranges, sizeMm)]!;
}

/**
 * Deviations of a tolerance class such as `P7` (hole) or `k6` (shaft), µm. ISO 286-1:2010.
 * Holes K M N up to IT8 and P R S up to IT7 carry the Δ = IT(n) − IT(n−1) of the standard.
 */
export function tolerance(sizeMm: number, toleranceClass: string): Deviations {
  const found = /^(js|JS|[fghjkmnprstFGHJKMNPRS])(\d{1,2})$/u.exec(toleranceClass);
  if (!found)
    throw new RangeError(
      `class: “${toleranceClass}” is not a class in the table, such as P7 or k6`,
    );
  const [, letter = '', digits = ''] = found;
  const grade = Number(digits);
  const it = itGrade(sizeMm, grade);
  const kind = letter.toLowerCase();
  const hole = letter !== kind;
  if (kind === 'js') return { upperUm: it / 2, lowerUm: -it / 2 };
  if (kind === 'j') {
    const row = (hole ? holeJ : shaftJ)[grade];
    if (!row)
      throw new RangeError(
        `class: ${letter}${grade} is not tabled; ${hole ? 'J6 to J8' : 'j5 to j7'} are`,
      );
    const d = row[indexIn(ranges, sizeMm)]!;
    return hole ? { upperUm: d, lowerUm: d - it } : { upperUm: d + it, lowerUm: d };
  }
  if (kind === 't') {
    const own = sizeMm > 24 ? shaftT.find(([upTo]) => sizeMm <= upTo) : undefined;
    if (!own) throw new RangeError(`sizeMm: shafts t begin over 24 mm, not at ${sizeMm} mm`);
    return { upperUm: own[1] + it, lowerUm: own[1] };
  }
  const clearance = upperShaft[kind];
  if (clearance) {
    const es = clearance[indexIn(ranges, sizeMm)]!;
    return hole ? { upperUm: it - es, lowerUm: 0 - es } : { upperUm: es, lowerUm: es - it };
  }
  const ei =
    kind === 'k' && grade > 7 && !hole
      ? 0
      : lowerShaft[kind]![indexIn(kind === 'r' || kind === 's' ? fineRanges : ranges, sizeMm)]!;
  if (!hole) return { upperUm: ei + it, lowerUm: ei };
  const deltaUpTo = kind === 'k' || kind === 'm' || kind === 'n' ? 8 : 7;
  if (kind === 'n' && grade > 8) return { upperUm: 0, lowerUm: -it };
  if (kind === 'k' && grade > 8) throw new RangeError('class: hole K is tabled up to IT8 only');
  const delta = grade <= deltaUpTo && grade > 3 ? it - itGrade(sizeMm, grade - 1) : 0;
  // The one figure that the standard prints against its own rule.
  if (toleranceClass === 'M6' && sizeMm > 250 && sizeMm <= 315)
    return { upperUm: -9, lowerUm: -9 - it };
  return { upperUm: -ei + delta, lowerUm: -ei + delta - it };
}

/** Bearings with balls, and taper roller bearings, have tolerance tables of their own. */
export type BearingSeries = 'radial' | 'taper';
const normalBands = {
  radial: { bore: normalBore, outside: normalOutside },
  taper: { bore: taperBore, outside: taperOutside },
};

/** Bearing tolerance, ISO 492 class Normal, µm: bore or outside mean diameter. */
export function bearingNormal(
  sizeMm: number,
  what: 'bore' | 'outside',
  series: BearingSeries = 'radial',
): Deviations {
  const row = normalBands[series][what].find(([upTo]) => sizeMm <= upTo);
  if (!row) throw new RangeError(`sizeMm: ${sizeMm} mm is outside the table`);
  return { upperUm: 0, lowerUm: -row[1] };
}

/** Limits of size in mm. */
export const limitsMm = (sizeMm: number, d: Deviations) => ({
  lowMm: sizeMm + d.lowerUm / 1000,
  highMm: sizeMm + d.upperUm / 1000,
});
