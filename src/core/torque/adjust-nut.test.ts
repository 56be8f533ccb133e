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
    expect(spreadVerdict(rocking)).toMatchObject({
      rule: 'adjust.spread',
      status: 'check',
      value: 0.06,
      max: 0.02,
      unit: 'mm',
    });
    const apart = (mm: number) =>
      spreadVerdict(
        playOf([
          [0, 0.05],
          [0, mm],
        ]),
      );
    expect([apart(0.07), apart(0.071)?.value]).toEqual([undefined, 0.021]);
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
  it('goes as far as it has to: the nearest places are drawn, and the one to take', () => {
    // 0.5 mm, 0.05 mm a mark: eight marks on it leaves 0.10.
    const { places, safe } = adjustment(0.5, { pitchMm: 1.5, stepDeg: 12, pastDeg: 0 }, window);
    expect(places.map((p) => [p.name, p.turnDeg])).toEqual([
      ['A', 96],
      ['B', 12],
      ['C', 0],
      ['D', -12],
    ]);
    expect(safe).toMatchObject({ name: 'A', playMm: 0.1, verdict: { status: 'good' } });
    const tight = adjustment(-0.4, { pitchMm: 1.5, stepDeg: 12, pastDeg: 0 }, window);
    expect(tight.safe).toMatchObject({ name: 'D', playMm: 0.1, turnDeg: -120 });
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
    // Slots are of a castle alone, and both of its figures are needed.
    expect(lockStepDeg({ kind: 'screw', slots: 6, holeEnds: 4, marks: 30 })).toBe(12);
    expect(lockStepDeg({ kind: 'castle', slots: 6, marks: 36 })).toBe(10);
    expect(lockStepDeg({ kind: 'castle', holeEnds: 4 }, 36)).toBe(10);
  });
  // Geometry: 16 threads per inch are 1.5875 mm.
  it.each<[string | undefined, number | RegExp]>([
    ['M52 × 1.5', 1.5],
    ['M24 × 1.5', 1.5],
    [' M52x1,5 ', 1.5],
    ['M 52.25 * 2', 2],
    ['m105 x0.5', 0.5],
    ['M110 × 6', 6],
    ['2.5-16', 1.5875],
    ['2 1/2"-16', 1.5875],
    ['2.5 in - 4', 6.35],
    ['2.5-40', 0.635],
    ['M105 × 0.4', /from 0\.5 to 6 mm/u],
    ['M52 × 16', /threads per inch/u],
    ['M110 × 6.5', /from 0\.5 to 6 mm/u],
    ['M52-16', /not both/u],
    ['M52 - 1', /not both/u],
    ['2-3', /from 4 to 40/u],
    ['2.5-41', /from 4 to 40/u],
    ['ring M52 × 1.5', /no thread/u],
    ['M52 × 1.5 left', 1.5],
    ['about 2.5-16', /no thread/u],
    ['large', /no thread/u],
    [undefined, /not on record/u],
  ])('reads the pitch of a thread too large for a bolt: %s', (text, is) => {
    const read = pitchOf(text);
    if (is instanceof RegExp) expect(!read.ok && read.reason).toMatch(is);
    else expect(read).toEqual({ ok: true, pitchMm: expect.closeTo(is, 9) as number });
  });
});
