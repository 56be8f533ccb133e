import { mean, std } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { corners } from '../corner.ts';
import {
  driveStraight,
  type MadeUpDrive,
  type SignalFault,
  signalFaults,
} from '../standins/wheel-speed.ts';
import {
  asTestResult,
  pulses,
  readSignals,
  type SignalKind,
  toneOf,
  tracesFromRows,
} from './index.ts';

const circumferenceMm = 1930;
const drive = (over: Partial<MadeUpDrive>): MadeUpDrive => ({
  fault: 'agree',
  corner: 'RF',
  kmh: 60,
  sensor: 'active',
  pairs: 48,
  circumferenceMm,
  seconds: 1,
  sampleRate: 5000,
  noiseV: 0.015,
  seed: 1,
  ...over,
});
const expected: Record<SignalFault, SignalKind> = {
  agree: 'agrees',
  'drop-out': 'drops-out',
  'tooth-missing': 'tooth-missing',
  'reversed-encoder': 'faint',
  'wide-gap': 'weak',
  'dead-lead': 'dead',
  'other-count': 'differs',
};
const record = Object.fromEntries(corners.map((c) => [c, 48]));

describe('wheel-speed reading', () => {
  it('finds corner and kind of every made-up fault, and nothing on the other wheels', () => {
    for (const fault of signalFaults)
      for (const [i, corner] of corners.entries())
        for (const kmh of [7, 60]) {
          const read = readSignals(
            driveStraight(
              drive({
                fault,
                corner,
                kmh,
                seconds: kmh < 10 ? 5 : 1,
                sampleRate: kmh < 10 ? 600 : 3000,
                seed: 10 * i + kmh,
              }),
            ),
            circumferenceMm,
            record,
          );
          expect(
            read.map((r) => r.kind),
            `${fault} ${corner} ${kmh}`,
          ).toEqual(corners.map((c) => (c === corner ? expected[fault] : 'agrees')));
        }
  });

  it('reads pole pairs, not poles: frequency = pairs × v ÷ circumference (common practice, no published source)', () => {
    const { volts, sampleRate } = driveStraight(drive({ noiseV: 0 }));
    const at = pulses(volts.LF, sampleRate, 0.2);
    const steps = at.slice(1).map((x, i) => x - at[i]!);
    expect(1 / Number(mean(steps))).toBeCloseTo((48 * (60 / 3.6)) / 1.93, -1);
    expect(Number(std(steps)) / Number(mean(steps))).toBeLessThan(0.02);
    expect(
      readSignals({ sampleRate, volts, kmh: 60, sensor: 'active' }, circumferenceMm, { LF: 96 })[0]!
        .kind,
    ).toBe('differs');
  });

  it('holds counts against each other where none is on record', () => {
    const read = readSignals(driveStraight(drive({ fault: 'other-count' })), circumferenceMm);
    expect(read.map((r) => r.kind)).toEqual(['agrees', 'differs', 'agrees', 'agrees']);
  });

  it('does not blame a coil for being silent at walking pace', () => {
    const slow = readSignals(
      driveStraight(drive({ sensor: 'coil', kmh: 4, fault: 'wide-gap' })),
      circumferenceMm,
      record,
    );
    expect(slow.every((r) => r.kind === 'cannot-read' && asTestResult(r.kind) === undefined)).toBe(
      true,
    );
  });

  // Whatever the wave looks like, pulses are counted right, or it is said why they cannot be.
  it.each([
    ['at a level', { levelV: 1.1 }, 'agrees', 'agrees'],
    ['square, a third high', { square: 0.33, levelV: 0.9 }, 'agrees', 'agrees'],
    ['square and narrow', { square: 0.15, levelV: 0.9, sampleRate: 8000 }, 'agrees', 'agrees'],
    ['dead for a third of the time', { deadShare: 0.33, levelV: 1 }, 'drops-out', 'agrees'],
    ['dead for four fifths', { deadShare: 0.8, levelV: 1 }, 'drops-out', 'agrees'],
    [
      'with a tooth gone, at a level',
      { fault: 'tooth-missing', levelV: 1 },
      'tooth-missing',
      'agrees',
    ],
    ['a coil at 8 km/h', { sensor: 'coil', kmh: 8, seconds: 5 }, 'agrees', 'agrees'],
    ['sampled twice a pulse', { sampleRate: 850 }, 'cannot-read', 'cannot-read'],
    ['sampled less than once a pulse', { sampleRate: 300 }, 'cannot-read', 'cannot-read'],
    ['in noise as high as itself', { noiseV: 1.2 }, 'cannot-read', 'cannot-read'],
  ] as const)('counts a signal %s, or says why not', (_name, over, one, rest) => {
    for (const seed of [3, 4, 5]) {
      const read = readSignals(driveStraight(drive({ ...over, seed })), circumferenceMm, record);
      expect(read.map((r) => r.kind)).toEqual(corners.map((c) => (c === 'RF' ? one : rest)));
      for (const r of read)
        if (r.perTurn !== undefined) expect(Math.abs(r.perTurn / 48 - 1)).toBeLessThan(0.02);
    }
  });

  it.each([0.85, 0.94, 1.08, 1.25])(
    'tells a speed typed %d times too high, and still the odd wheel',
    (off) => {
      const typed = (over: Partial<MadeUpDrive>) => {
        const t = driveStraight(drive(over));
        return readSignals({ ...t, kmh: t.kmh * off }, circumferenceMm, record);
      };
      const plain = typed({});
      expect(plain.every((r) => r.kind === 'cannot-read')).toBe(true);
      const told = Number(/about (\d+) km\/h/u.exec(plain[0]!.text)?.[1]);
      expect(Math.abs(told - 60)).toBeLessThanOrEqual(1);
      for (const fault of ['tooth-missing', 'other-count', 'reversed-encoder'] as const)
        expect(typed({ fault }).find((r) => r.corner === 'RF')?.kind).toBe(expected[fault]);
    },
  );

  it('measures a tone as its amplitude', () => {
    const v = Array.from({ length: 4000 }, (_, i) => 0.7 * Math.sin((2 * Math.PI * 50 * i) / 4000));
    expect(toneOf(v, 50, 4000)).toBeCloseTo(0.7, 6);
    expect(toneOf(v, 80, 4000)).toBeCloseTo(0, 6);
  });

  it('names what is wrong with a table or a drive', () => {
    const rows = [
      ['seconds', 'LF', 'RF', 'LR', 'RR'],
      ...Array.from({ length: 200 }, (_, i) => [String(i / 1000), '0', '1', '0', '1']),
    ];
    expect(tracesFromRows(rows, 20, 'active').sampleRate).toBeCloseTo(1000, 6);
    expect(() =>
      tracesFromRows(
        rows.map((r) => r.slice(0, 4)),
        20,
        'active',
      ),
    ).toThrow(/^RR: /u);
    expect(() =>
      tracesFromRows(
        rows.map((r, i) => (i === 50 ? ['0.001', ...r.slice(1)] : r)),
        20,
        'active',
      ),
    ).toThrow('line 51: time does not run forward');
    const paused = rows.map((r, i) => (i > 90 ? [String(i / 1000 + 0.2), ...r.slice(1)] : r));
    expect(() => tracesFromRows(paused, 20, 'active')).toThrow(/^line 92: 0\.2020 s since/u);
    expect(() =>
      tracesFromRows(
        rows.map((r, i) => (i === 9 ? [r[0]!, 'x', ...r.slice(2)] : r)),
        20,
        'active',
      ),
    ).toThrow('line 10: LF is not a number');
    expect(() => readSignals(driveStraight(drive({ kmh: 0 })), circumferenceMm)).toThrow(/^kmh: /u);
    expect(() => readSignals(driveStraight(drive({ seconds: 0.2 })), circumferenceMm)).toThrow(
      /^LF: /u,
    );
  });
});
