import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sentence } from '../rules/index.ts';
import {
  lockStepDeg,
  neverLinesUp,
  platesStiffness,
  type Procedure,
  readThread,
  slotStep,
  slotVerdict,
  stressAreaMm2,
  type Thread,
} from './index.ts';

const thread = (text: string): Thread => {
  const read = readThread(text);
  if (!read.ok) throw new Error(read.reason);
  return read.thread;
};
const p20: Procedure = {
  id: 'p',
  name: 'p',
  fastener: 'nut',
  stretch: false,
  singleUse: false,
  thread: 'oiled',
  size: 'M20 × 1.5',
  hexMm: 30,
  locking: { kind: 'castle', slots: 6, holeEnds: 2, holds: 'clamp' },
  stages: [{ id: 'a', kind: 'torque', value: 120, text: '', why: '', wheel: 'air' }],
  source: 'made up',
};

describe('a castle nut on to its next slot', () => {
  it('says what a step of a nut that clamps means, and stops only where all of it is past proof', () => {
    // M20 × 1.5 of 8.8: proof 600 MPa on 272 mm², ISO 898-1 (from memory); 60 mm clamped.
    const nut = { ...p20, grade: '8.8' };
    const proof = 600 * stressAreaMm2(thread('M20 × 1.5'));
    const step = slotStep(nut, 59, 60)!;
    expect(step.proofN).toBeCloseTo(proof, 6);
    // Shigley's cone and the shank as springs in a row, worked apart from the code; 59° of 1.5 mm.
    const cone = platesStiffness(20, 60);
    const more =
      ((59 / 360) * 1.5) / (1 / cone + 60 / (stressAreaMm2(thread('M20 × 1.5')) * 206_000));
    const snug = slotStep(nut, 0, 60)!;
    expect(step.clampN.low - snug.clampN.low).toBeCloseTo(more, -3);
    expect([step.verdict.status, snug.verdict.status]).toEqual(['stop', 'good']);
    // Nobody has measured what it clamps: some of it may hold, so it is asked about, not stopped.
    expect(slotStep(nut, 59)!.verdict.status).toBe('check');
    expect(sentence(slotStep(p20, 59)!.verdict)).toMatch(/grade is not on record/u);
    expect(slotStep({ ...nut, size: 'tube' }, 59)).toBeUndefined();
    const back = { ...p20.stages[0]!, id: 'b', kind: 'back-off' as const, value: 90 };
    expect(slotStep({ ...nut, stages: [...nut.stages, back] }, 59)).toBeUndefined();
    // More turn is more clamp, whatever is not known.
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 1, max: 60 }), (deg, on) => {
        const [a, b] = [slotStep(nut, deg)!.clampN, slotStep(nut, deg + on)!.clampN];
        expect(b.low).toBeGreaterThan(a.low);
        expect(b.high).toBeGreaterThan(a.high);
      }),
    );
  });
  it('never lines odd slots up with a pin through the shaft, found by going round', () => {
    const each = (n: number) => Array.from({ length: n }, (_, i) => (360 * i) / n);
    for (let slots = 3; slots <= 24; slots++)
      for (const holeEnds of [2, 4]) {
        // A slot over one end: is there one over the other?
        const across = each(slots).some((deg) => Math.abs(deg - 180) < 1e-9);
        expect(neverLinesUp(slots, holeEnds)).toBe(!across);
      }
    const locking = { kind: 'castle', slots: 5, holeEnds: 2, holds: 'clamp' } as const;
    const said = slotVerdict({ ...p20, locking }, { slots: 5, holeEnds: 2, pastDeg: 10 });
    expect(said).toMatchObject({ rule: 'torque.slots-odd', status: 'stop' });
    expect(lockStepDeg(locking)).toBeUndefined();
    const sets = { ...p20, locking: { ...locking, slots: 6, holds: 'end-play' as const } };
    expect(slotVerdict(sets, { slots: 6, holeEnds: 2, pastDeg: 1 })).toBeUndefined();
    // One degree past its last slot, it would go on by 59.
    const clamps = { slots: 6, holeEnds: 2, pastDeg: 1, gripMm: 60 };
    expect(slotVerdict({ ...p20, grade: '8.8' }, clamps)?.status).toBe('stop');
  });
});
