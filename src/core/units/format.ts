import {
  coreUnit,
  type Dimension,
  firstUnit,
  FL_OZ_ML,
  INCH_MM,
  INHG_KPA,
  LBF_FT,
  LBF_N,
  MILE_KM,
  type UnitSystem,
} from './quantity.ts';

/** A fixed number of decimals with a true minus and thin thousands: `3 190`, `−0.05`. */
export function fixed(value: number, decimals = 0): string {
  const rounded = Math.abs(value) < 0.5 * 10 ** -decimals ? 0 : value;
  const [whole = '0', part] = Math.abs(rounded).toFixed(decimals).split('.');
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/gu, ' ') : whole;
  return `${rounded < 0 ? '−' : ''}${grouped}${part ? `.${part}` : ''}`;
}

export interface BothSystems {
  value: string;
  unit: string;
  /** The same in the other system, with its unit; empty for angles and turns. */
  other: string;
}

/** A figure of the core in both systems, with the decimals that its instrument gives. */
export function both(
  value: number,
  dimension: Dimension,
  decimals = defaultDecimals[dimension],
  firstSystem: UnitSystem = 'metric',
): BothSystems {
  const metric = metricFirst(value, dimension, decimals);
  if (firstSystem === 'metric' || !metric.other) return metric;
  const unit = firstUnit(dimension, 'inch');
  const figure = metric.other.slice(0, -unit.length).trim();
  return { value: figure, unit, other: `${metric.value} ${metric.unit}` };
}

function metricFirst(value: number, dimension: Dimension, decimals: number): BothSystems {
  const first = fixed(value, decimals);
  switch (dimension) {
    case 'length':
      return { value: first, unit: 'mm', other: `${fixed(value / INCH_MM, decimals + 1)} in` };
    case 'torque':
      return { value: first, unit: 'N·m', other: `${fixed(value / LBF_FT, decimals)} lb·ft` };
    case 'force':
      return {
        value: first,
        unit: 'kN',
        other: `${fixed(roundTo((value * 1000) / LBF_N, 10))} lbf`,
      };
    case 'pull':
      return { value: first, unit: 'N', other: `${fixed(value / LBF_N, decimals)} lbf` };
    case 'pressure':
      return { value: first, unit: 'kPa', other: `${fixed(value / INHG_KPA, decimals)} inHg` };
    case 'temperature':
      return { value: first, unit: '°C', other: `${fixed(value * 1.8 + 32, decimals)} °F` };
    case 'rise':
      return { value: first, unit: '°C', other: `${fixed(value * 1.8, decimals)} °F` };
    case 'speed':
      return { value: first, unit: 'km/h', other: `${fixed(value / MILE_KM, decimals)} mph` };
    case 'distance':
      return { value: first, unit: 'km', other: `${fixed(value / MILE_KM, decimals)} mi` };
    case 'volume':
      return { value: first, unit: 'mL', other: `${fixed(value / FL_OZ_ML, decimals + 1)} fl oz` };
    case 'angle':
      return { value: first, unit: '°', other: '' };
    case 'time':
    case 'count':
    case 'ratio':
    case 'share':
    case 'level':
      return { value: first, unit: coreUnit(dimension), other: '' };
    case 'turns':
      return { value: first, unit: value === 1 ? 'turn' : 'turns', other: '' };
  }
}

const defaultDecimals: Record<Dimension, number> = {
  length: 2,
  torque: 0,
  pressure: 1,
  force: 1,
  pull: 1,
  angle: 0,
  temperature: 0,
  volume: 0,
  rise: 0,
  speed: 0,
  distance: 0,
  turns: 0,
  time: 1,
  count: 0,
  ratio: 2,
  share: 0,
  level: 0,
};

const roundTo = (value: number, step: number) => Math.round(value / step) * step;

/** Time left as it is read across a bay: m:ss under 20 min, minutes to an hour, then hours. */
export function timeLeft(ms: number): string {
  const s = Math.max(0, Math.ceil(ms / 1000));
  if (s < 1200) return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
  const min = Math.ceil(s / 60);
  return min < 60 ? `${min} min` : `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`;
}

/** Clock time of UTC milliseconds in the shop's time zone, 24 h. */
export const clockTime = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(
    new Date(ms),
  );
/** Day and clock time in the shop's time zone. */
export const dayTime = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  }).format(new Date(ms));

/** The date of UTC milliseconds in the shop's time zone, as records write it: 2026-11-27. */
export const isoDay = (ms: number, timeZone: string): string =>
  // Swedish dates are written so.
  new Intl.DateTimeFormat('sv-SE', { timeZone }).format(new Date(ms));

/** Whole per cents that sum to 100 (largest remainder), for shown probabilities. */
export function wholePercents(shares: readonly number[]): number[] {
  const exact = shares.map((p) => p * 100);
  const floor = exact.map(Math.floor);
  let left = 100 - floor.reduce((a, b) => a + b, 0);
  const order = exact
    .map((e, i) => ({ i, part: e - Math.floor(e) }))
    .sort((a, b) => b.part - a.part);
  for (const { i } of order) {
    if (left <= 0) break;
    floor[i] = (floor[i] ?? 0) + 1;
    left -= 1;
  }
  return floor;
}
