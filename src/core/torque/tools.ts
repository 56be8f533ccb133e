import { type Static, Type } from '@sinclair/typebox';
import { closed, Id, Maybe, Mm } from '../schemas/common.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { armMm, standWithBarM, wrenchSetting } from './arithmetic.ts';
import { judgeWrench, type Wrench } from './wrench.ts';

/** Which of the shop's tools gives a torque, and what is set on it. */

/** What stands between wrench and nut: a multiplier, an offset adapter. */
export const ThroughSchema = closed({
  multiplierId: Maybe(Id),
  /** From square to square. */
  offsetMm: Maybe(Mm()),
  /** From the wrench's own line: 0° straight on, 90° no change. */
  offsetAngleDeg: Maybe(Type.Number({ minimum: -180, maximum: 180 })),
});
export type Through = Static<typeof ThroughSchema>;

/** What of it arrives through a multiplier whose record does not say. Our judgement. */
const usualEfficiency = 0.9;

/** One way to bring a torque onto a nut. */
export interface ToolWay {
  wrench: Wrench;
  through: Through;
  /** What is set on the wrench, or read on it, N·m. */
  setNm: number;
  /** Torque at the nut over what the wrench shows: its last deviation, an offset, a multiplier. */
  gain: number;
  /** How the wrench stands to what is set on it. */
  verdicts: Verdict[];
  /** Length from square to grip is not on record, so that an offset cannot be reckoned. */
  lengthUnknown?: boolean;
}

const grave = ({ verdicts }: ToolWay) => {
  if (verdicts.some((v) => v.status === 'stop')) return 2;
  return verdicts.every((v) => v.status === 'good') ? 0 : 1;
};

/** What speaks against a multiplier for a torque at the nut: past its own end, or what arrives through it not on record. */
function multiplierVerdicts(nm: number, m: Wrench | undefined): Verdict[] {
  if (!m) return [];
  const part = m.name;
  const range = { part, value: nm, min: m.minNm ?? 0, max: m.maxNm ?? nm, unit: 'N·m' as const };
  return [
    ...(m.maxNm !== undefined && nm > m.maxNm ? [verdict('wrench.range', range, 'stop')] : []),
    ...(m.efficiency === undefined
      ? [verdict('wrench.efficiency', { part, value: usualEfficiency * 100, unit: '%' })]
      : []),
  ];
}

/**
 * Torque at the nut over what the wrench shows: by its deviation at the last calibration, the offset and the multiplier
 * between. `unknown`: an offset on a wrench whose length is not on record; `behind`: the nut lies behind the grip.
 */
function gainOf(
  { lengthMm, deviationPct = 0 }: Wrench,
  { offsetMm = 0, offsetAngleDeg = 0 }: Through,
  multiplier: Wrench | undefined,
): { gain: number; fault?: 'unknown' | 'behind' } {
  const gain =
    ((multiplier?.ratio ?? 1) * (multiplier ? (multiplier.efficiency ?? usualEfficiency) : 1)) /
    (1 + deviationPct / 100);
  if (offsetMm <= 0) return { gain };
  if (lengthMm === undefined) return { gain, fault: 'unknown' };
  return armMm(lengthMm, offsetMm, offsetAngleDeg) > 0
    ? { gain: gain / wrenchSetting(1, lengthMm, offsetMm, offsetAngleDeg) }
    : { gain, fault: 'behind' };
}

/** What is set on a wrench for a torque at the nut, and how it stands to that. */
export function settingOf(
  nm: number,
  wrench: Wrench,
  through: Through,
  wrenches: readonly Wrench[],
  today: string,
): ToolWay {
  const multiplier = wrenches.find((w) => w.id === through.multiplierId);
  const { gain, fault } = gainOf(wrench, through, multiplier);
  const setNm = nm / gain;
  const way = { wrench, through, setNm, gain };
  if (fault === 'behind')
    return { ...way, verdicts: [verdict('wrench.behind', { part: wrench.name }, 'stop')] };
  return {
    ...way,
    verdicts: [...judgeWrench(wrench, setNm, today), ...multiplierVerdicts(nm, multiplier)],
    ...(fault === 'unknown' ? { lengthUnknown: true } : {}),
  };
}

/** A torque as it goes on record: at the nut; and what the wrench showed, where that is another figure. */
export interface ReadThrough {
  actual: number;
  shown?: number;
}

/** Below this share a figure at the wrench and one at the nut are the same. */
const sameShare = 1e-6;
/** Whether what this wrench shows is another figure than what is at the nut. */
export const showsOther = ({ gain }: Pick<ToolWay, 'gain'>): boolean =>
  Math.abs(gain - 1) > sameShare;

/** What a wrench shows, N·m, as it is at the nut. */
export const readThrough = (shown: number, way: Pick<ToolWay, 'gain'>): ReadThrough =>
  showsOther(way) ? { actual: shown * way.gain, shown } : { actual: shown };

/**
 * Ways to give a torque with the tools of the shop, best first: those that can be trusted with what is set on them
 * (ISO 6789-1), without a multiplier before with one, the smallest that reaches. Those that cannot do it come last and
 * say why.
 */
export function rankTools(
  nm: number,
  wrenches: readonly Wrench[],
  today: string,
  offset: Omit<Through, 'multiplierId'> = {},
): ToolWay[] {
  if (!(nm > 0)) throw new RangeError('nm: a torque over 0');
  const kept = wrenches.filter((w) => !w.retired);
  const reading = kept.filter((w) => w.maxNm !== undefined && w.type !== 'multiplier');
  const direct = reading.map((w) => settingOf(nm, w, offset, kept, today));
  // Through a multiplier only where no wrench reaches by itself: it adds its own uncertainty.
  const reach = direct.some((w) => grave(w) < 2);
  const multipliers = kept.filter(
    (w) => w.type === 'multiplier' && w.ratio !== undefined && (w.maxNm ?? nm) >= nm,
  );
  const through = reach
    ? []
    : multipliers.flatMap((m) =>
        reading.map((w) => settingOf(nm, w, { ...offset, multiplierId: m.id }, kept, today)),
      );
  const rank = (w: ToolWay) => [
    w.lengthUnknown ? 1 : 0,
    grave(w),
    w.through.multiplierId ? 1 : 0,
    w.wrench.maxNm ?? 0,
  ];
  return [...direct, ...through].sort((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    const i = x.findIndex((v, k) => v !== y[k]);
    return i < 0 ? 0 : x[i]! - y[i]!;
  });
}

/** A level bar and somebody's weight, where nothing in the shop reaches. */
export interface BarWay {
  /** Where to stand, m from the nut. */
  standM: number;
  /** The bar is long enough for it. */
  reaches: boolean;
}

/**
 * Where to stand on the bar; undefined where the bar alone gives more. A bar that lies at a slope gives less:
 * cos of it. Stop-gap, ±10 % at best.
 */
export function barWay(
  nm: number,
  weightN: number,
  bar: { lengthM: number; weightN: number; slopeDeg?: number },
): BarWay | undefined {
  const level = Math.cos(((bar.slopeDeg ?? 0) * Math.PI) / 180);
  if (!(Math.abs(bar.slopeDeg ?? 0) < 90)) throw new RangeError('slopeDeg: under 90° from level');
  const own = (bar.weightN * bar.lengthM * level) / 2;
  if (own >= nm) return undefined;
  // Level the arm is the bar's own; at a slope both weights have a shorter one.
  const standM = standWithBarM(nm / level, weightN, bar);
  return { standM, reaches: standM <= bar.lengthM };
}

/** A bar as it stands in most shops, and somebody of usual weight. Our judgement. */
export const usualBar = { lengthM: 1.2, weightN: 45 };
export const usualPersonKg = 80;
const standardGravity = 9.80665;

/** Where somebody of usual weight stands on the usual bar. */
export const usualBarWay = (nm: number): BarWay | undefined =>
  barWay(nm, usualPersonKg * standardGravity, usualBar);

const turnsTo: Readonly<Record<'angle' | 'words', readonly Wrench['type'][]>> = {
  // Its degrees, or the paint mark.
  angle: ['digital', 'angle-gauge', 'bar'],
  words: ['click', 'beam', 'digital', 'bar', 'hand'],
};

/** Tools that turn a fastener where no torque is asked: by an angle, or to what the maker's manual says. */
export const toolsToTurn = (to: 'angle' | 'words', tools: readonly Wrench[]): Wrench[] =>
  tools.filter((w) => !w.retired && turnsTo[to].includes(w.type));
