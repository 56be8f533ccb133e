import { type Corner, corners } from '../corner.ts';

/** A short recording of the four wheel-speed signals, driven straight at one speed. Volts about zero. */
export interface Traces {
  sampleRate: number;
  kmh: number;
  /** A coil is silent at walking pace by nature; an active sensor is not. */
  sensor: 'active' | 'coil';
  volts: Record<Corner, readonly number[]>;
}

export const signalKinds = [
  'agrees',
  'drops-out',
  'tooth-missing',
  'faint',
  'weak',
  'dead',
  'differs',
  'too-slow',
] as const;
export type SignalKind = (typeof signalKinds)[number];

export interface WheelReading {
  corner: Corner;
  kind: SignalKind;
  text: string;
  amplitudeV: number;
  /** Against the median of the other three. */
  amplitudeShare: number;
  /** Pulses a turn as read; undefined where none can be counted. */
  perTurn: number | undefined;
  /** Share of the time without a pulse where there should be one. */
  gapShare: number;
  /** Where in a turn pulses are missing, 0–1, for the picture. */
  gapsAt: number[];
}

/** Coils give too little to count below this speed (common practice, no published source). */
export const coilSilentKmh = 5;
/** Signal strength against the others below which a gap is wide, and below which only a trace of it arrives (judgement). */
const weakShare = 0.6;
const faintShare = 0.12;
/** A pulse this many times longer than the usual one has one missing in it (judgement). */
const longPulse = 1.6;
/** Pulse counts and speeds closer than this are the same: tyres differ (judgement). */
const sameShare = 0.03;
/** Least whole turns for telling a missing tooth, which comes once a turn, from a drop-out (judgement). */
const leastTurns = 3;

const median = (list: readonly number[]): number => {
  const s = [...list].sort((a, b) => a - b);
  return s.length === 0 ? 0 : (s[(s.length - 1) >> 1]! + s[s.length >> 1]!) / 2;
};

/** Half of the span between the 5th and the 95th hundredth. */
function amplitude(v: readonly number[]): number {
  const s = [...v].sort((a, b) => a - b);
  return s.length === 0
    ? 0
    : (s[Math.floor(s.length * 0.95)]! - s[Math.floor(s.length * 0.05)]!) / 2;
}

/** Amplitude of one frequency (Goertzel), in volts. */
export function toneOf(v: readonly number[], hz: number, sampleRate: number): number {
  const k = 2 * Math.cos((2 * Math.PI * hz) / sampleRate);
  let a = 0;
  let b = 0;
  for (const x of v) {
    const next = x + k * a - b;
    b = a;
    a = next;
  }
  return (2 * Math.sqrt(Math.max(0, a * a + b * b - k * a * b))) / v.length;
}

/** Times of rising crossings, with a hysteresis of ±`level`; linear between samples. */
export function pulses(v: readonly number[], sampleRate: number, level: number): number[] {
  const at: number[] = [];
  let low = false;
  for (let i = 1; i < v.length; i++) {
    if (v[i]! < -level) low = true;
    if (low && v[i - 1]! < level && v[i]! >= level) {
      at.push((i - 1 + (level - v[i - 1]!) / (v[i]! - v[i - 1]!)) / sampleRate);
      low = false;
    }
  }
  return at;
}

/**
 * Which wheel's signal is not like the others, and how. `perTurn` is the count of pole pairs or teeth on record; without
 * one, counts are held against each other. Throws RangeError naming the field.
 */
export function readSignals(
  t: Traces,
  circumferenceMm: number,
  perTurn: Partial<Record<Corner, number>> = {},
): WheelReading[] {
  if (!(t.kmh > 0)) throw new RangeError('kmh: the wheels must turn; a speed over 0 is needed');
  if (!(t.sampleRate >= 200))
    throw new RangeError(
      `sampleRate: ${t.sampleRate} samples a second are too few to count pulses`,
    );
  const short = corners.find((c) => t.volts[c].length < t.sampleRate / 2);
  if (short)
    throw new RangeError(
      `${short}: under half a second of signal; at least half a second is needed`,
    );
  const turnS = circumferenceMm / 1000 / (t.kmh / 3.6);
  const amplitudes = corners.map((c) => amplitude(t.volts[c]));
  const raw = corners.map((corner, i) => {
    const v = t.volts[corner];
    const usual = median(amplitudes.filter((_, k) => k !== i));
    const at = pulses(v, t.sampleRate, 0.3 * Math.max(amplitudes[i]!, faintShare * usual));
    const steps = at.slice(1).map((x, k) => x - at[k]!);
    const period = median(steps);
    const gaps = steps.flatMap((s, k) => (s > longPulse * period ? [{ from: at[k]!, s }] : []));
    return {
      corner,
      v,
      amplitudeV: amplitudes[i]!,
      share: usual > 0 ? amplitudes[i]! / usual : 0,
      at,
      period,
      gaps,
      count: period > 0 ? turnS / period : undefined,
    };
  });
  const usualCount = median(
    raw.filter((r) => r.share >= weakShare && r.count !== undefined).map((r) => r.count!),
  );
  return raw.map(({ corner, v, amplitudeV, share, at, period, gaps, count }): WheelReading => {
    const due = perTurn[corner] ?? (usualCount || undefined);
    const seconds = v.length / t.sampleRate;
    const gapShare = gaps.reduce((a, g) => a + g.s - period, 0) / seconds;
    const gapsAt = gaps.map((g) => ((g.from + period) / turnS) % 1);
    const base = { corner, amplitudeV, amplitudeShare: share, perTurn: count, gapShare, gapsAt };
    if (t.sensor === 'coil' && t.kmh < coilSilentKmh)
      return {
        ...base,
        kind: 'too-slow',
        text: `A coil is silent below about ${coilSilentKmh} km/h by nature: read it faster.`,
      };
    if (share < faintShare) {
      // Speed is known to a few hundredths, so the tone is looked for about where it should be.
      const hz = due === undefined ? undefined : due / turnS;
      const tone =
        hz === undefined
          ? 0
          : Math.max(
              ...Array.from({ length: 61 }, (_, k) =>
                toneOf(v, hz * (0.97 + k / 1000), t.sampleRate),
              ),
            );
      const rest = Math.sqrt(v.reduce((a, x) => a + x * x, 0) / v.length);
      return tone > 0.5 * rest && tone > 0
        ? {
            ...base,
            perTurn: undefined,
            gapShare: 1,
            gapsAt: [],
            kind: 'faint',
            text: 'The pulses are there, but far too faint: the encoder faces away from the sensor, or the sensor is not home.',
          }
        : {
            ...base,
            perTurn: undefined,
            gapShare: 1,
            gapsAt: [],
            kind: 'dead',
            text: 'No pulses at all: sensor, lead or plug, or no encoder.',
          };
    }
    if (due !== undefined && count !== undefined && Math.abs(count / due - 1) > sameShare)
      return {
        ...base,
        kind: 'differs',
        text: `${count.toFixed(1)} pulses a turn, ${due.toFixed(0)} ${perTurn[corner] === undefined ? 'on the others' : 'on record'}: another encoder, or another tyre.`,
      };
    if (gaps.length > 0 && period > 0) {
      const apart = gaps.slice(1).map((g, k) => g.from - gaps[k]!.from);
      const regular =
        seconds / turnS >= leastTurns &&
        gaps.length >= Math.floor(seconds / turnS) - 1 &&
        apart.every(
          (a) => Math.abs(a / turnS - Math.round(a / turnS)) < 0.05 && Math.round(a / turnS) === 1,
        );
      return regular
        ? {
            ...base,
            kind: 'tooth-missing',
            text: `One pulse is missing once every turn: a tooth gone, or a damaged or dirty spot on the encoder.`,
          }
        : {
            ...base,
            kind: 'drops-out',
            text: `Drops out for ${Math.round(gapShare * 100)} % of the time, at no fixed place of the turn: play, gap or lead.`,
          };
    }
    if (share < weakShare)
      return {
        ...base,
        kind: 'weak',
        text: `Only ${Math.round(share * 100)} % of the others’ strength: the air gap is wide. Look for rust under the sensor, and for play.`,
      };
    return {
      ...base,
      kind: 'agrees',
      text:
        at.length > 0 && count !== undefined
          ? `${count.toFixed(1)} pulses a turn, full strength.`
          : 'Agrees.',
    };
  });
}

/** How a reading answers the wheel-speed test of the diagnosis; undefined where it says nothing. */
export function asTestResult(kind: SignalKind): 'agrees' | 'drops' | 'differs' | undefined {
  switch (kind) {
    case 'agrees':
      return 'agrees';
    case 'too-slow':
      return undefined;
    case 'differs':
    case 'tooth-missing':
      return 'differs';
    default:
      return 'drops';
  }
}
