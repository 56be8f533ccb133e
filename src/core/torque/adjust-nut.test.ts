import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sentence } from '../rules/index.ts';
import { adjustment, lockStepDeg, pitchOf, playOf, spreadVerdict } from './index.ts';

const window = { lowMm: 0.02, highMm: 0.12 };

describe('a pair set by its nut', () => {
  it('has its end play as pull less push, in the mean', () => {
    const read = playOf([
      [0, 0.06],
      [0.001, 0.063],
      [0, 0.058],
    ]);
    expect(read.meanMm).toBeCloseTo(0.06, 9);
    expect(spreadVerdict(read)).toBeUndefined();
    const rocking = playOf([
      [0, 0.03],
      [0, 0.09],
    ]);
    expect(spreadVerdict(rocking)).toMatchObject({ rule: 'adjust.spread', status: 'check' });
    expect(() => playOf([])).toThrow(/^pairs:/u);
  });
  it('takes the looser place inside: 30 marks at 1.5 mm are 12° and 0.05 mm each', () => {
    // Geometry of a screw, worked by hand: 0.06 mm, the lock 4.8° past its last mark.
    const { places, safe } = adjustment(0.06, { pitchMm: 1.5, stepDeg: 12, pastDeg: 4.8 }, window);
    expect(
      places.map((p) => [
        p.name,
        Number(p.turnDeg.toFixed(2)),
        Number(p.playMm.toFixed(3)),
        p.verdict.status,
      ]),
    ).toEqual([
      ['A', 7.2, 0.03, 'check'],
      ['B', -4.8, 0.08, 'good'],
      ['C', -16.8, 0.13, 'stop'],
    ]);
    expect(safe?.name).toBe('B');
    expect(places.map((p) => sentence(p.verdict))).toEqual([
      'Inside, on the tight side: a looser place is inside too.',
      'Inside; of the places inside, the looser one.',
      'Over 0.12 mm: too loose.',
    ]);
  });
  it('names no place where none is inside: a coarse lock, a narrow window', () => {
    const { safe, places, none } = adjustment(
      0.1,
      { pitchMm: 2, stepDeg: 60, pastDeg: 30 },
      { lowMm: 0.09, highMm: 0.11 },
    );
    expect(safe).toBeUndefined();
    expect(none).toMatchObject({ rule: 'adjust.none-fits', status: 'check' });
    expect(places.every((p) => p.verdict.status === 'stop')).toBe(true);
  });
  it('the place it takes lies inside, and no looser one does', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        mm(0, 0.3),
        mm(0.8, 3),
        fc.integer({ min: 4, max: 72 }),
        mm(0, 1),
        (play, pitchMm, marks, share) => {
          const stepDeg = 360 / marks;
          const { safe } = adjustment(play, { pitchMm, stepDeg, pastDeg: share * stepDeg }, window);
          const stepMm = (pitchMm * stepDeg) / 360;
          if (!safe) return;
          expect(safe.playMm).toBeGreaterThanOrEqual(window.lowMm);
          expect(safe.playMm).toBeLessThanOrEqual(window.highMm);
          expect(safe.playMm + stepMm).toBeGreaterThan(window.highMm);
        },
      ),
    );
  });
  it('knows the step of the lock from its slots or its marks, and does not guess it', () => {
    expect(lockStepDeg({ kind: 'castle', slots: 6, holeEnds: 4 })).toBe(30);
    expect(lockStepDeg({ kind: 'screw', marks: 30 })).toBe(12);
    expect(lockStepDeg({ kind: 'plate' }, 8)).toBe(45);
    expect(lockStepDeg({ kind: 'castle' })).toBeUndefined();
  });
  it('reads the pitch of a thread too large for a bolt, and refuses two systems in one', () => {
    // Geometry: 16 threads per inch are 1.5875 mm.
    expect(pitchOf('M52 × 1.5')).toEqual({ ok: true, pitchMm: 1.5 });
    expect(pitchOf('M24 × 1.5')).toEqual({ ok: true, pitchMm: 1.5 });
    const inch = pitchOf('2.5-16');
    expect(inch.ok && inch.pitchMm).toBeCloseTo(1.5875, 9);
    expect(pitchOf('M52-16')).toMatchObject({ ok: false });
    expect(pitchOf('M52 × 16')).toMatchObject({ ok: false });
    expect(pitchOf('2-2')).toMatchObject({ ok: false });
    expect(pitchOf('large')).toMatchObject({ ok: false });
    expect(pitchOf(undefined)).toMatchObject({ ok: false });
  });
});
