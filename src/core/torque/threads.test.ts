import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  castleTurn,
  circleTurns,
  castleWay,
  clampBars,
  clampN,
  clampOfAngleN,
  clampVerdicts,
  crossPatterns,
  faceDiameterMm,
  fastenerInWords,
  isSaid,
  type Locking,
  lockingWords,
  frictions,
  handTravelMm,
  platesStiffness,
  readGrade,
  readThread,
  standWithBarM,
  strengthOf,
  stressAreaMm2,
  type Procedure,
  type Thread,
  threadOnNut,
  threadVerdicts,
  pitchDiameterMm,
  yieldClampN,
  yieldTorqueNm,
} from './index.ts';

const thread = (text: string): Thread => {
  const read = readThread(text);
  if (!read.ok) throw new Error(read.reason);
  return read.thread;
};
const inch2 = (mm2: number) => mm2 / 25.4 ** 2;

describe('threads', () => {
  it.each<[string, listed: boolean, name: string]>([
    ['M12', true, 'M12 × 1.75'],
    [' m12*1,25 ', true, 'M12 × 1.25'],
    ['M12 × 1.6', false, 'M12 × 1.6'],
    ['M26 × 1.5', false, 'M26 × 1.5'],
    ['M3 × 0.5', false, 'M3 × 0.5'],
    ['M100 × 25', false, 'M100 × 25'],
    ['M12 × 3', false, 'M12 × 3'],
    ['M30 × 0.5', false, 'M30 × 0.5'],
    ['1/2-13', true, '1/2-13'],
    [' 1/2 in unf ', true, '1/2-20'],
    ['1/2 UNC', true, '1/2-13'],
    ['1/2-20', true, '1/2-20'],
    ['1/2-16', false, '1/2-16'],
    ['1/2-7', false, '1/2-7'],
    ['1/2-40', false, '1/2-40'],
    ['½-13', true, '1/2-13'],
    ['1 1/4-7 UNC', true, '1 1/4-7'],
  ])('%s is read, and told from one that stands in no table', (text, listed, name) =>
    expect(thread(text)).toMatchObject({ listed, name }),
  );
  it.each<[string, RegExp]>([
    ['M2.9 × 0.5', /does not exist/u],
    ['M101 × 6', /does not exist/u],
    ['M12 × 3.1', /does not exist/u],
    ['M30 × 0.45', /does not exist/u],
    ['M26', /has to be typed/u],
    ['1/2-6', /does not exist/u],
    ['1/2-41', /does not exist/u],
    ['1/2', /with its threads per inch, as 1\/2-13/u],
    // A special thread has no number of its own.
    ['1/2 UNS', /with its threads per inch/u],
    ['5/9-12', /no size/u],
    ['x1/2-13', /no thread/u],
    ['1/2-13 long', /no thread/u],
    ['1/2/3-13', /no thread/u],
    ['zM12', /no thread/u],
    ['M12 × 1.75 and a good deal more', /^“M12 × 1\.75 and a goo” is no thread/u],
  ])('%s is none, and told why', (text, reason) => {
    const read = readThread(text);
    expect(!read.ok && read.reason).toMatch(reason);
  });
  it.each([
    // ISO 898-1 (from memory): stress areas, mm²; the table rounds 272.
    ['M12', 84.3, 0.002],
    ['M20 × 1.5', 272, 0.005],
    ['m24x2', 384, 0.002],
    ['M10 x 1,5', 58, 0.002],
  ])('%s has the stress area of ISO 898-1', (text, mm2, share) =>
    expect(Math.abs(stressAreaMm2(thread(text)) / mm2 - 1)).toBeLessThan(share),
  );
  it.each([
    // ASME B1.1 (from memory), square inches.
    ['1/4-20', 0.0318],
    ['1/2-13', 0.1419],
    ['3/4 UNF', 0.373],
    ['1-8', 0.606],
    ['1 UNF', 0.663],
    ['1 1/4-7', 0.969],
    ['1¼-12', 1.073],
    ['1-14 UNS', 0.68],
  ])('%s has the stress area of ASME B1.1', (text, area) =>
    expect(Math.abs(inch2(stressAreaMm2(thread(text))) / area - 1)).toBeLessThan(0.003),
  );
  it.each([
    ['M13 × 9', /does not exist/u],
    ['M13', /its pitch has to be typed/u],
    ['M10 × 0.1', /does not exist/u],
    ['1/2', /threads per inch, as 1\/2-13/u],
    ['1/2-99', /does not exist/u],
    ['2/3-10', /no size of a unified thread/u],
    ['left-hand', /is no thread/u],
    ['', /is no thread/u],
  ])('%s is refused with what to type', (text, why) =>
    expect(readThread(text)).toMatchObject({ ok: false, reason: expect.stringMatching(why) }),
  );
  it('takes pairs that centre nuts use beside the tables, and says so', () => {
    expect(thread('M22 × 1.5')).toMatchObject({ pitchMm: 1.5, listed: true });
    expect(thread('M22 × 1.25')).toMatchObject({ pitchMm: 1.25, listed: false });
    expect(thread('M12').pitchMm).toBe(1.75);
  });
  it('has the proof loads of ISO 898-1 and SAE J429 by size', () => {
    // ISO 898-1 (from memory): proof loads, N.
    for (const [text, grade, newton] of [
      ['M12', '8.8', 48_900],
      ['M20 × 1.5', '10.9', 226_000],
      ['M24 × 2', '10.9', 319_000],
    ] as const) {
      const t = thread(text);
      const proof = strengthOf(grade, t)!.proofMpa * stressAreaMm2(t);
      expect(Math.abs(proof / newton - 1), text).toBeLessThan(0.005);
    }
    // SAE J429 (from memory): grade 5 is weaker above an inch, grade 2 above three quarters.
    const ksi = (grade: 'J429-5' | 'J429-2', text: string) =>
      Math.round(strengthOf(grade, thread(text))!.proofMpa / 6.894757);
    expect([ksi('J429-5', '1-8'), ksi('J429-5', '1 1/4-7')]).toEqual([85, 74]);
    expect([ksi('J429-2', '3/4-10'), ksi('J429-2', '7/8-9')]).toEqual([55, 33]);
    expect(strengthOf('J429-8', thread('M48 × 5'))).toBeUndefined();
    const read = (series: 'metric' | 'unified') => (text: string) => readGrade(text, series);
    expect(['10.9', 'SAE 8', 'grade 5', '8.2', '7.7'].map(read('unified'))).toEqual([
      '10.9',
      'J429-8',
      'J429-5',
      'J429-8',
      undefined,
    ]);
    // ISO 898-2, from memory: a metric nut marked 8 goes with a bolt 8.8; SAE J429 is of inch threads alone.
    expect(['8', '10', '12', '8.8', 'SAE 8', '7'].map(read('metric'))).toEqual([
      '8.8',
      '10.9',
      '12.9',
      '8.8',
      undefined,
      undefined,
    ]);
  });
  it('reads a left-hand thread as one', () => {
    // ISO 965-1: LH behind the size.
    for (const text of ['M24 × 1.5 LH', 'M24x1.5-LH', 'm24 × 1.5 left-hand'])
      expect(thread(text)).toMatchObject({ name: 'M24 × 1.5 LH', hand: 'left', pitchMm: 1.5 });
    expect(thread('1/2-13 LH')).toMatchObject({ name: '1/2-13 LH', hand: 'left' });
    expect('hand' in thread('M24 × 1.5')).toBe(false);
  });
});

describe('clamp', () => {
  const m10 = {
    thread: thread('M10'),
    frictionThread: 0.12,
    frictionBearing: 0.12,
    bearingDiameterMm: 12.8,
  };
  it('of a bolt at its yield is that of VDI 2230', () => {
    // VDI 2230 (from memory, recomputed): M10, 8.8, friction 0.12, face 12.8 mm: 29.6 kN, 48 N·m.
    expect(yieldClampN(m10.thread, 640, 0.12) / 1000).toBeCloseTo(29.6, 1);
    expect(yieldTorqueNm(m10, 640)).toBeCloseTo(48, 0);
    expect(clampN(yieldTorqueNm(m10, 640), m10) / 1000).toBeCloseTo(29.6, 1);
  });
  it('grows with torque and falls with friction', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 500, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        (nm, f) => {
          const at = (torque: number, friction: number) =>
            clampN(torque, { ...m10, frictionThread: friction, frictionBearing: friction });
          expect(at(2 * nm, f) / at(nm, f)).toBeCloseTo(2, 9);
          expect(at(nm, f)).toBeGreaterThan(at(nm, f * 1.1));
        },
      ),
    );
  });
  it('of a greased thread is half as much again, against the proof load', () => {
    const t = thread('M22 × 1.5');
    const { bars, proofN } = clampBars(120, t, faceDiameterMm(32, 22), ['dry', 'greased'], '8.8');
    const [dry, greased] = bars;
    expect(greased!.likelyN / dry!.likelyN).toBeGreaterThan(1.5);
    expect(dry!.lowN).toBeLessThan(dry!.likelyN);
    expect(dry!.likelyN).toBeLessThan(dry!.highN);
    expect(dry!.proofShare).toBeCloseTo(dry!.likelyN / proofN!, 9);
    expect(clampBars(120, t, 27, ['oiled'])).not.toHaveProperty('proofN');
    for (const [low, likely, high] of Object.values(frictions)) {
      expect(low).toBeLessThan(likely);
      expect(likely).toBeLessThan(high);
    }
  });
  it('of a nut is told where its procedure names a thread, and nowhere else', () => {
    const stage = { id: 'a', kind: 'torque', value: 90, text: '', why: '', wheel: 'air' } as const;
    const nut = { size: 'M24 × 1.5', grade: '10.9', thread: 'dry', hexMm: 36 } as Procedure;
    const on = threadOnNut(nut, stage)!;
    expect(on.bars.map((b) => b.state)).toEqual(['dry', 'greased']);
    expect(on.greasedTimes).toBeGreaterThan(1.5);
    expect(on.proofN! / 1000).toBeCloseTo(0.83 * stressAreaMm2(thread('M24 × 1.5')), 6);
    expect(threadOnNut({ ...nut, grade: 'unheard of' }, stage)).not.toHaveProperty('proofN');
    expect(threadOnNut({ ...nut, size: 'left-hand' }, stage)).toBeUndefined();
    expect(threadOnNut(nut, { ...stage, kind: 'angle' })).toBeUndefined();
  });
  it('of an angle follows from the stiffness of the joint', () => {
    // Shigley's cone (from memory, recomputed): M12, 40 mm of steel, 2.22 MN/mm.
    // Our judgement, said beside it: 0.95 of the hex, and the hole.
    expect(faceDiameterMm(32, 22)).toBeCloseTo(26.2, 9);
    expect(platesStiffness(12, 40) / 1e6).toBeCloseTo(2.22, 2);
    // A whole turn stretches by the pitch.
    expect(clampOfAngleN(360, 1.5, 1e-5)).toBeCloseTo(150_000, 6);
  });
});

it('flags a left-hand thread, an unlisted one, a clamp past proof and a nut mark', () => {
  const rules = (list: readonly { rule: string; status: string }[]) =>
    list.map((v) => `${v.rule} ${v.status}`);
  expect(rules(threadVerdicts(thread('M24 × 1.5 LH')))).toEqual(['thread.left check']);
  expect(rules(threadVerdicts(thread('M22 × 1.75')))).toEqual(['thread.unlisted check']);
  // ISO 898-1, from memory: M12 8.8 is proved with 84.3 mm² × 580 MPa, 48.9 kN.
  const m12 = thread('M12');
  const proof = 580 * stressAreaMm2(m12);
  expect(clampVerdicts(m12, '8.8', 48_000, proof)).toEqual([]);
  expect(rules(clampVerdicts(m12, '8.8', 50_000, proof))).toEqual(['thread.proof stop']);
  expect(rules(clampVerdicts(m12, '8', 48_000, proof))).toEqual(['thread.nut-class check']);
  expect(clampVerdicts(thread('1/2-13'), '8', 10_000, proof)).toEqual([]);
});

describe('castle nut and circle of bolts', () => {
  it('goes on to the next slot to clamp, and back to set end play', () => {
    // Six slots, two crossed holes: every 30°. Geometry.
    const turn = castleTurn(6, 4, 42);
    expect(turn).toEqual({ stepDeg: 30, backDeg: 12, onDeg: 18 });
    expect(castleWay(turn, 'clamp')).toEqual({ deg: 18, way: 'tighten' });
    expect(castleWay(turn, 'end-play')).toEqual({ deg: 12, way: 'loosen' });
    expect(castleWay(turn, undefined)).toBeUndefined();
    expect(castleTurn(6, 2, 60)).toMatchObject({ onDeg: 0, backDeg: 0 });
    // Short of a slot is as far past the one before it.
    expect(castleTurn(6, 4, -12)).toEqual(castleTurn(6, 4, 18));
  });
  it('is told to be locked by what it holds, never by a guess', () => {
    // Common practice, no published source.
    const words = (l: Locking) => lockingWords(l);
    expect(words({ kind: 'castle', holds: 'clamp' })).toMatch(/^Clamps: tightened.*New pin/u);
    expect(words({ kind: 'castle', holds: 'end-play' })).toMatch(/loosened.*never tightened/u);
    expect(words({ kind: 'castle' })).toMatch(/not on record/u);
    const once = (['castle', 'plate', 'stake', 'tab', 'screw', 'self-locking'] as const).map(
      (kind) => words({ kind }),
    );
    expect(new Set(once).size).toBe(6);
    expect(words({ kind: 'stake' })).toMatch(/not used again/u);
    expect(words({ kind: 'screw' })).toMatch(/the looser one/u);
  });
});

describe('a fastener as it is read', () => {
  it('says its torque and its angle, an older figure as it was written, or whose manual', () => {
    expect(fastenerInWords({ torqueNm: 60, angleDeg: 90 })).toBe('60 N·m + 90°');
    expect(fastenerInWords({ angleDeg: 90, figure: '60' })).toBe('90°');
    expect(fastenerInWords({ figure: 'wet 45' })).toBe('wet 45');
    expect(fastenerInWords({ byManual: true })).toBe('by the maker’s manual');
  });
  it('is said only with a figure or a manual: a thread and a grade are none', () => {
    const said = [{ torqueNm: 60 }, { angleDeg: 90 }, { byManual: true as const }];
    expect(said.every((f) => isSaid({ ...f, source: 'x' }))).toBe(true);
    expect(isSaid({ thread: 'M12 × 1.5', grade: '10.9', source: 'x' })).toBe(false);
  });
  it.each(Object.entries(crossPatterns))(
    'takes each of %s bolts once, never two neighbours in a row from four on',
    (n, order) => {
      const count = Number(n);
      expect([...order].sort((a, b) => a - b)).toEqual(
        Array.from({ length: count }, (_, i) => i + 1),
      );
      if (count < 5) return;
      for (const [i, bolt] of order.slice(1).entries()) {
        const apart = Math.abs(bolt - order[i]!);
        expect(Math.min(apart, count - apart)).toBeGreaterThan(1);
      }
    },
  );
  it('leads the hand round the nut', () => {
    // A sixth of a turn at 620 mm: the arc of the angle. Geometry.
    expect(handTravelMm(60, 620)).toBeCloseTo((2 * Math.PI * 620) / 6, 9);
  });
  it('goes round as often as asked, and knows no order of eleven', () => {
    const turns = circleTurns(5, 2)!;
    expect(turns.map((t) => t.bolt)).toEqual([1, 3, 5, 2, 4, 1, 3, 5, 2, 4]);
    expect(turns.map((t) => t.round).lastIndexOf(1)).toBe(4);
    expect(circleTurns(11, 2)).toBeUndefined();
  });
  it('takes the weight of the bar off where somebody stands', () => {
    // 80 kg on a bar of 2 m and 50 N: its own moment is 50 N·m. Statics.
    expect(standWithBarM(450, 800, { lengthM: 2, weightN: 50 })).toBeCloseTo(0.5, 9);
    expect(() => standWithBarM(40, 800, { lengthM: 2, weightN: 50 })).toThrow(/bar/u);
  });
});
it('pitch diameters are those of ISO 724', () => {
  // ISO 724 (from memory): M12 10.863, M24 × 2 22.701 mm.
  expect(pitchDiameterMm(thread('M12'))).toBeCloseTo(10.863, 3);
  expect(pitchDiameterMm(thread('M24 × 2'))).toBeCloseTo(22.701, 3);
});
