import { type Corner, corners } from '../corner.ts';
import { median } from '../median.ts';
import { pulses, toneOf, waveOf } from './pulses.ts';

/** A short recording of the four wheel-speed signals, driven straight at one speed. Volts about any level. */
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
  'cannot-read',
] as const;
export type SignalKind = (typeof signalKinds)[number];

export interface WheelReading {
  corner: Corner;
  kind: SignalKind;
  text: string;
  /** Level that the signal swings about. */
  centreV: number;
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
/** Samples that a pulse needs to be counted: fewer are read as a slower signal (sampling theorem, with as much again). */
const samplesAPulse = 4;
/** Most pulses a turn of any encoder, for where none is on record (judgement). */
const mostPulses = 100;
/** Median stray of the steps between pulses, as a share, over which noise is counted and not the encoder (judgement). */
const unevenShare = 0.2;
/** Wheels whose counts must be off alike before the speed is blamed and not an encoder (judgement). */
const leastAlike = 3;

/** One wheel's trace with what was counted in it. */
interface Counted {
  corner: Corner;
  /** Volts about the level of this signal. */
  swing: readonly number[];
  centreV: number;
  amplitudeV: number;
  share: number;
  pulses: number;
  periodS: number;
  uneven: number;
  gaps: { fromS: number; lengthS: number }[];
  perTurn: number | undefined;
}

/** What all four wheels are held against. */
interface Drive {
  t: Traces;
  turnS: number;
  record: Partial<Record<Corner, number>>;
  /** Pulses due a turn where none are on record: what the others count. */
  usual: number | undefined;
  /** By how much all counts on record are off alike; 1 where they are not. */
  alike: number;
}

type Said = Pick<WheelReading, 'kind' | 'text'>;

function mustBeReadable(t: Traces): void {
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
}

function countedOf(t: Traces, turnS: number, record: Drive['record']): Counted[] {
  const waves = corners.map((c) =>
    waveOf(t.volts[c], t.sampleRate, turnS / (record[c] ?? mostPulses / 2)),
  );
  return corners.map((corner, i): Counted => {
    const { centreV, amplitudeV } = waves[i]!;
    const usual = median(waves.filter((_, k) => k !== i).map((w) => w.amplitudeV));
    const swing = t.volts[corner].map((x) => x - centreV);
    const at = pulses(swing, t.sampleRate, 0.3 * Math.max(amplitudeV, faintShare * usual));
    const steps = at.slice(1).map((x, k) => x - at[k]!);
    const periodS = median(steps);
    const seconds = swing.length / t.sampleRate;
    // A signal that is dead when the reading begins or ends has its gap there.
    const marks = periodS > 0 ? [Math.min(0, at[0]! - periodS), ...at, seconds] : [];
    return {
      corner,
      swing,
      centreV,
      amplitudeV,
      share: usual > 0 ? amplitudeV / usual : 0,
      pulses: at.length,
      periodS,
      uneven: periodS > 0 ? median(steps.map((s) => Math.abs(s / periodS - 1))) : 0,
      gaps: [
        ...(periodS > 0 && at[0]! > longPulse * periodS ? [{ fromS: 0, lengthS: at[0]! }] : []),
        ...marks.slice(2).flatMap((to, k) => {
          const fromS = marks[k + 1]!;
          return to - fromS > longPulse * periodS ? [{ fromS, lengthS: to - fromS }] : [];
        }),
      ],
      perTurn: periodS > 0 ? turnS / periodS : undefined,
    };
  });
}

/** By how much at least three wheels' counts are off their record, all alike: that is the speed, or the tyres. */
function offAlike(counted: readonly Counted[], record: Drive['record']): number {
  const off = counted.flatMap(({ corner, perTurn, share }) => {
    const due = record[corner];
    return due === undefined || perTurn === undefined || share < faintShare ? [] : [perTurn / due];
  });
  const middle = median(off);
  const same = off.filter((x) => Math.abs(x / middle - 1) <= sameShare);
  return same.length >= leastAlike && Math.abs(middle - 1) > sameShare ? middle : 1;
}

/**
 * Which wheel's signal is not like the others, and how. `record` is the count of pole pairs or teeth on record; without
 * one, counts are held against each other. What cannot be counted says why. Throws RangeError naming the field.
 */
export function readSignals(
  t: Traces,
  circumferenceMm: number,
  record: Partial<Record<Corner, number>> = {},
): WheelReading[] {
  mustBeReadable(t);
  const turnS = circumferenceMm / 1000 / (t.kmh / 3.6);
  const counted = countedOf(t, turnS, record);
  const strong = counted.filter((r) => r.share >= weakShare && r.perTurn !== undefined);
  const usual = median(strong.map((r) => r.perTurn!)) || undefined;
  const drive: Drive = { t, turnS, record, usual, alike: offAlike(counted, record) };
  return counted.map((c): WheelReading => {
    const said =
      unreadable(c, drive) ??
      faint(c, drive) ??
      differs(c, drive) ??
      gappy(c, drive) ??
      whole(c, drive);
    const silent = said.kind === 'faint' || said.kind === 'dead';
    const countable = !silent && said.kind !== 'cannot-read';
    const lost = c.gaps.reduce((a, g) => a + g.lengthS - c.periodS, 0);
    return {
      ...said,
      corner: c.corner,
      centreV: c.centreV,
      amplitudeV: c.amplitudeV,
      amplitudeShare: c.share,
      perTurn: countable ? c.perTurn : undefined,
      gapShare: silent ? 1 : lost / secondsOf(drive),
      gapsAt: countable ? c.gaps.map((g) => ((g.fromS + c.periodS) / trueTurnS(drive)) % 1) : [],
    };
  });
}

/** A turn at the speed that was driven, not the one that was typed. */
const trueTurnS = ({ turnS, alike }: Drive): number => turnS / alike;
const secondsOf = ({ t }: Drive): number => t.volts.LF.length / t.sampleRate;

const dueOf = ({ corner }: Counted, { record, usual, alike }: Drive): number | undefined => {
  const own = record[corner];
  return own === undefined ? usual : own * alike;
};

/** What no count can be trusted of: a coil below its speed, samples too far apart. */
function unreadable({ corner }: Counted, { t, turnS, record }: Drive): Said | undefined {
  const cannot = (because: string): Said => ({
    kind: 'cannot-read',
    text: `Cannot be read, because ${because}`,
  });
  if (t.sensor === 'coil' && t.kmh < coilSilentKmh)
    return cannot(`a coil is silent below about ${coilSilentKmh} km/h by nature: read it faster.`);
  const most = record[corner] ?? mostPulses;
  const needed = (samplesAPulse * most) / turnS;
  if (t.sampleRate < needed)
    return cannot(
      `${Math.round(t.sampleRate)} samples a second are too few for ${record[corner] === undefined ? 'up to ' : ''}${most} pulses a turn at ${t.kmh} km/h: ${Math.ceil(needed / 100) * 100} are needed, or a slower drive.`,
    );
  return undefined;
}

/** A signal far under the others': a trace of the right tone, or nothing. */
function faint(c: Counted, drive: Drive): Said | undefined {
  if (c.share >= faintShare) return undefined;
  const due = dueOf(c, drive);
  const { sampleRate } = drive.t;
  // Speed is known to a few hundredths, so the tone is looked for about where it should be.
  const tone =
    due === undefined
      ? 0
      : Math.max(
          ...Array.from({ length: 61 }, (_, k) =>
            toneOf(c.swing, (due / drive.turnS) * (0.97 + k / 1000), sampleRate),
          ),
        );
  const rest = Math.sqrt(c.swing.reduce((a, x) => a + x * x, 0) / c.swing.length);
  return tone > 0.5 * rest && tone > 0
    ? {
        kind: 'faint',
        text: 'The pulses are there, but far too faint: the encoder faces away from the sensor, or the sensor is not home.',
      }
    : { kind: 'dead', text: 'No pulses at all: sensor, lead or plug, or no encoder.' };
}

function differs(c: Counted, drive: Drive): Said | undefined {
  if (c.uneven > unevenShare)
    return {
      kind: 'cannot-read',
      text: 'Cannot be read, because its pulses come unevenly all the time: interference, or a loose lead of the reader.',
    };
  const due = dueOf(c, drive);
  if (due === undefined || c.perTurn === undefined) return undefined;
  if (Math.abs(c.perTurn / due - 1) <= sameShare) return undefined;
  const count = (c.perTurn / drive.alike).toFixed(1);
  const whose = drive.record[c.corner] === undefined ? 'on the others' : 'on record';
  return {
    kind: 'differs',
    text: `${count} pulses a turn, ${(due / drive.alike).toFixed(0)} ${whose}: another encoder, or another tyre.`,
  };
}

/** Pulses that are missing: one at the same place of every turn, or any. */
function gappy({ gaps }: Counted, drive: Drive): Said | undefined {
  const [first] = gaps;
  if (!first) return undefined;
  const turnS = trueTurnS(drive);
  const turns = secondsOf(drive) / turnS;
  const apart = gaps.slice(1).map((g, k) => (g.fromS - gaps[k]!.fromS) / turnS);
  const regular =
    turns >= leastTurns &&
    gaps.length >= Math.floor(turns) - 1 &&
    apart.every((a) => Math.abs(a - 1) < 0.05);
  if (regular)
    return {
      kind: 'tooth-missing',
      text: 'One pulse is missing once every turn: a tooth gone, or a damaged or dirty spot on the encoder.',
    };
  const lost = gaps.reduce((a, g) => a + g.lengthS, 0) / secondsOf(drive);
  return {
    kind: 'drops-out',
    text: `Drops out for ${Math.max(1, Math.round(lost * 100))} % of the time, at no fixed place of the turn: play, gap or lead.`,
  };
}

/** A signal without a gap: weak, or as it should be, as far as the speed lets that be said. */
function whole({ share, perTurn }: Counted, { t, alike }: Drive): Said {
  if (share < weakShare)
    return {
      kind: 'weak',
      text: `Only ${Math.round(share * 100)} % of the others’ strength: the air gap is wide. Look for rust under the sensor, and for play.`,
    };
  if (alike !== 1)
    return {
      kind: 'cannot-read',
      text: `Cannot be read, because all counts are ${Math.abs(100 * (alike - 1)).toFixed(0)} % ${alike > 1 ? 'over' : 'under'} the record alike: the speed was about ${(t.kmh * alike).toFixed(0)} km/h, or the tyres are of another size.`,
    };
  return {
    kind: 'agrees',
    text: perTurn === undefined ? 'Agrees.' : `${perTurn.toFixed(1)} pulses a turn, full strength.`,
  };
}

/** How a reading answers the wheel-speed test of the diagnosis; undefined where it says nothing. */
export function asTestResult(kind: SignalKind): 'agrees' | 'drops' | 'differs' | undefined {
  switch (kind) {
    case 'agrees':
      return 'agrees';
    case 'cannot-read':
      return undefined;
    case 'differs':
    case 'tooth-missing':
      return 'differs';
    default:
      return 'drops';
  }
}
