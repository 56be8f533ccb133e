/**
 * What a technician types, turned into the core's unit. Point or comma is taken as the decimal mark;
 * what could be read two ways ("1,250", a bare "ton") is asked about instead of guessed.
 */
export type Dimension =
  | 'length'
  | 'torque'
  | 'pressure'
  | 'force'
  /** What a hand on a spring scale pulls: a press is read in kN, this in N. */
  | 'pull'
  | 'angle'
  | 'temperature'
  /** How much warmer one thing is than another: no zero of a scale comes in. */
  | 'rise'
  | 'speed'
  | 'distance'
  | 'time'
  | 'turns'
  | 'count'
  | 'ratio'
  | 'share'
  | 'level'
  | 'volume';

interface Unit {
  /** Names accepted, lower case, without spaces and middle dots. */
  names: readonly string[];
  /** Multiply by this for the core unit (`temperature` has an offset too). */
  factor: number;
  offset?: number;
}

interface Scale {
  /** Unit of the core, and what a metric shop reads first. */
  core: string;
  /** What an inch shop reads first, where that is another. */
  inch?: string;
  units: readonly Unit[];
}

/** Which system a shop reads first; the other always stands beside it. */
export const unitSystems = ['metric', 'inch'] as const;
export type UnitSystem = (typeof unitSystems)[number];

/** Exact factors: international foot, pound and standard gravity (NIST SP 811; ISO 80000-4). */
export const LBF_FT = 1.3558179483314004;
export const KGF_M = 9.80665;
export const SHORT_TON_N = 8896.443230521;
export const TONNE_N = 9806.65;
export const LBF_N = 4.4482216152605;
/** Inch of mercury and pound-force on a square inch. NIST SP 811. */
export const INHG_KPA = 3.386389;
const PSI_KPA = 6.894757;
/** US fluid ounce, mL. NIST SP 811. */
export const FL_OZ_ML = 29.57353;
export const INCH_MM = 25.4;
export const MILE_KM = 1.609344;

const scales: Record<Dimension, Scale> = {
  length: {
    core: 'mm',
    inch: 'in',
    units: [
      { names: ['mm', ''], factor: 1 },
      { names: ['cm'], factor: 10 },
      { names: ['m'], factor: 1000 },
      { names: ['in', 'inch', 'inches', '"'], factor: INCH_MM },
      { names: ['thou', 'mil'], factor: INCH_MM / 1000 },
      { names: ['um', 'µm', 'μm'], factor: 0.001 },
    ],
  },
  torque: {
    core: 'N·m',
    inch: 'lb·ft',
    units: [
      { names: ['nm', ''], factor: 1 },
      { names: ['lbft', 'lbfft', 'ftlb', 'ftlbs', 'ftlbf', 'lb-ft', 'ft-lb'], factor: LBF_FT },
      { names: ['lbin', 'lbfin', 'inlb', 'inlbs'], factor: LBF_FT / 12 },
      { names: ['kgm', 'kgfm', 'mkg', 'mkp'], factor: KGF_M },
    ],
  },
  pressure: {
    core: 'kPa',
    inch: 'inHg',
    units: [
      { names: ['kpa', ''], factor: 1 },
      { names: ['bar'], factor: 100 },
      { names: ['mbar', 'hpa'], factor: 0.1 },
      { names: ['inhg'], factor: INHG_KPA },
      { names: ['mmhg'], factor: INHG_KPA / 25.4 },
      { names: ['psi'], factor: PSI_KPA },
    ],
  },
  force: {
    core: 'kN',
    inch: 'lbf',
    units: [
      { names: ['kn', ''], factor: 1 },
      { names: ['n'], factor: 0.001 },
      { names: ['lbf', 'lb', 'lbs'], factor: LBF_N / 1000 },
      { names: ['kgf'], factor: KGF_M / 1000 },
      { names: ['shortton', 'ustonf', 'uston'], factor: SHORT_TON_N / 1000 },
      { names: ['tonne', 'tonnes', 'metricton', 'tf'], factor: TONNE_N / 1000 },
    ],
  },
  pull: {
    core: 'N',
    inch: 'lbf',
    units: [
      { names: ['n', ''], factor: 1 },
      { names: ['lbf', 'lb', 'lbs'], factor: LBF_N },
      { names: ['kgf', 'kg'], factor: KGF_M },
      { names: ['ozf', 'oz'], factor: LBF_N / 16 },
    ],
  },
  angle: {
    core: '°',
    units: [
      { names: ['°', 'deg', 'degree', 'degrees', ''], factor: 1 },
      { names: ['turn', 'turns'], factor: 360 },
    ],
  },
  temperature: {
    core: '°C',
    inch: '°F',
    units: [
      { names: ['°c', 'c', '°', ''], factor: 1 },
      { names: ['°f', 'f'], factor: 5 / 9, offset: -32 },
      { names: ['k'], factor: 1, offset: -273.15 },
    ],
  },
  rise: {
    core: '°C',
    inch: '°F',
    units: [
      { names: ['°c', 'c', '°', 'k', ''], factor: 1 },
      { names: ['°f', 'f'], factor: 5 / 9 },
    ],
  },
  speed: {
    core: 'km/h',
    inch: 'mph',
    units: [
      { names: ['km/h', 'kmh', 'kph', ''], factor: 1 },
      { names: ['mph', 'mi/h'], factor: MILE_KM },
    ],
  },
  distance: {
    core: 'km',
    inch: 'mi',
    units: [
      { names: ['km', ''], factor: 1 },
      { names: ['mi', 'mile', 'miles'], factor: MILE_KM },
    ],
  },
  time: {
    core: 's',
    units: [
      { names: ['s', 'sec', 'seconds', ''], factor: 1 },
      { names: ['ms'], factor: 0.001 },
      { names: ['min', 'minutes'], factor: 60 },
    ],
  },
  count: { core: '', units: [{ names: ['', 'pairs', 'teeth', 'poles'], factor: 1 }] },
  ratio: { core: '', units: [{ names: ['', ':1'], factor: 1 }] },
  share: { core: '%', units: [{ names: ['%', ''], factor: 1 }] },
  level: { core: 'dB', units: [{ names: ['db', ''], factor: 1 }] },
  volume: {
    core: 'mL',
    inch: 'fl oz',
    units: [
      { names: ['ml', 'cm³', 'cm3', 'cc', ''], factor: 1 },
      { names: ['l', 'litre', 'liter'], factor: 1000 },
      { names: ['floz', 'oz'], factor: FL_OZ_ML },
    ],
  },
  turns: {
    core: 'turns',
    units: [
      { names: ['turns', 'turn', ''], factor: 1 },
      { names: ['°', 'deg'], factor: 1 / 360 },
    ],
  },
};

/** `typed` is what was typed, with its unit where a bare number would be read as another on the wire. */
export type Parsed = { ok: true; value: number; typed: string } | { ok: false; reason: string };

const shown = (text: string) => `“${text.length > 24 ? `${text.slice(0, 24)}…` : text}”`;

/** A unit as it is looked for: without spaces, points and middle dots, and without case. */
const nameOf = (unit: string) => unit.toLowerCase().replace(/[\s·.*]/gu, '');

/** What a bare number is read in by a shop, and what its field shows. On the wire that is always the core's unit. */
export const firstUnit = (dimension: Dimension, system: UnitSystem): string => {
  const { core, inch } = scales[dimension];
  return system === 'inch' && inch !== undefined ? inch : core;
};

/**
 * Reads one typed quantity. The value comes back in the core's unit of the dimension. `near` is the size it should come
 * near to, in the core's unit: “71,965” beside 72 is 71.965. A bare number is in the first unit of `system`.
 */
export function parseQuantity(
  text: string,
  dimension: Dimension,
  near?: number,
  system: UnitSystem = 'metric',
): Parsed {
  const typed = text.trim();
  if (typed === '') return { ok: false, reason: 'Nothing typed yet.' };
  const found = /^([+\-−]?)\s*(\d[\d.,\s]*|[.,]\d+)\s*(.*)$/u.exec(typed);
  if (!found) return { ok: false, reason: `${shown(typed)} is not a number.` };
  const [, sign = '', digits = '', rest = ''] = found;
  const name = nameOf(rest);
  if (dimension === 'force' && (name === 'ton' || name === 'tons')) {
    return { ok: false, reason: 'Which ton? Write “short ton” (8.896 kN) or “tonne” (9.807 kN).' };
  }
  const { core, units } = scales[dimension];
  const first = firstUnit(dimension, system);
  const isBare =
    name === '' || (name === '°' && (dimension === 'temperature' || dimension === 'rise'));
  const wanted = isBare ? nameOf(first) : name;
  const unit = units.find((u) => u.names.includes(wanted));
  if (!unit)
    return {
      ok: false,
      reason: `${shown(rest)} is not a unit of ${dimension} known here; ${core || 'a bare number'} is.`,
    };
  const number = readNumber(digits, near === undefined ? undefined : near / unit.factor);
  if (typeof number === 'string') return { ok: false, reason: number };
  const signed = sign === '-' || sign === '−' ? -number : number;
  return {
    ok: true,
    value: (signed + (unit.offset ?? 0)) * unit.factor,
    typed: isBare && first !== core ? `${sign}${digits.trim()} ${first}` : typed,
  };
}

/** A number, or the sentence that says why it is none. */
function readNumber(digits: string, near: number | undefined): number | string {
  const grouped = digits.trim();
  // Spaces part thousands and nothing else: “2 15” may be 2.15 or a slip.
  if (/\s/u.test(grouped) && !/^\d{1,3}(?:\s\d{3})+(?:[.,]\d+)?$/u.test(grouped))
    return `Is ${shown(grouped)} ${grouped.replace(/\s+/u, '.')} or ${grouped.replace(/\s/gu, '')}? Write it without a space.`;
  const text = grouped.replace(/\s/gu, '');
  const marks = text.match(/[.,]/gu) ?? [];
  if (marks.length > 1) return `${shown(digits)} has more than one decimal mark.`;
  if (/^[1-9]\d{0,2},\d{3}$/u.test(text)) {
    const [whole, part] = text.split(',');
    const readings = [Number(`${whole}.${part}`), Number(`${whole}${part}`)];
    const meant = readings.find((v) => near !== undefined && Math.abs(v - near) < 0.5 * near);
    if (meant !== undefined) return meant;
    return `Is ${shown(text)} ${whole}.${part} or ${whole}${part}? Write a point, or no mark.`;
  }
  return Number(text.replace(',', '.'));
}

/** All dimensions, in the order of the table. */
export const dimensions = Object.keys(scales) as readonly Dimension[];

/** Core unit of a dimension, as it is shown. */
export const coreUnit = (dimension: Dimension): string => scales[dimension].core;
