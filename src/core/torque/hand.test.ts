import { describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { handOf } from '../job/index.ts';
import { sentence } from '../rules/index.ts';
import { madeUpNut } from '../standins/wrench.ts';
import { followPull, pitchOf, sampleAtNut, sampleAtWrench, turnGoes, turnWords } from './index.ts';

describe('the hand of a thread', () => {
  // Geometry of a screw.
  it('says which way round a turn goes, and only where habit would go wrong', () => {
    expect(turnGoes('tighten', 'right')).toBe('clockwise');
    expect(turnGoes('loosen', 'left')).toBe('clockwise');
    expect(turnWords('loosen', 'right')).toBe('loosen');
    expect(turnWords('tighten', 'left')).toBe('tighten, anticlockwise');
    expect(pitchOf('M52 × 1.5 LH')).toEqual({ ok: true, pitchMm: 1.5 });
  });
  it('follows a left-hand nut by what the wrench shows, anticlockwise and through an offset', () => {
    const nut = madeUpNut({ snugNm: 100, fault: 'good', seed: 3 });
    const samples = [...nut.pull({ targetDeg: 720, targetNm: 100, ratchet: false, missDeg: 0 })];
    const shown = samples.map((s) => sampleAtWrench(s, 1.25, 'left'));
    expect(Math.min(...shown.map((s) => s.torqueNm))).toBeLessThan(-70);
    const followed = followPull(
      shown.map((s) => sampleAtNut(s, 1.25, 'left')),
      100,
    );
    expect(followed.peakNm).toBeCloseTo(followPull(samples, 100).peakNm, 6);
    // Read as a right-hand nut it has not been pulled at all.
    expect(followPull(shown, 100).pulls).toBe(0);
  });
  it('is left where the unit’s record or the procedure’s thread says so, and asked about where they differ', () => {
    const at = (hand: 'right' | 'left', size: string) => {
      const ctx = shopContext('unit-07', 'LF');
      const corner = ctx.unit.corners.LF!;
      const nut = { threadMm: 24, pitchMm: 1.5, hand, lock: 'stake' as const };
      return handOf({
        ctx: {
          ...ctx,
          unit: { ...ctx.unit, corners: { LF: { ...corner, nut } } },
          procedure: { ...ctx.procedure!, size },
        },
      });
    };
    expect(at('right', 'M24 × 1.5')).toEqual({ hand: 'right' });
    expect(at('left', 'M24 × 1.5')).toEqual({ hand: 'left' });
    const differ = at('right', 'M24 × 1.5 LH');
    expect(differ.hand).toBe('left');
    expect(sentence(differ.doubt!)).toMatch(/left-hand; the unit’s record says right-hand/u);
  });
});
