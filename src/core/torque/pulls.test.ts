import { describe, expect, it } from 'vitest';
import { lineThrough } from './line.ts';
import { pullsOf, springFrom } from './pulls.ts';
import type { PullSample } from './pull.ts';

/** Readings of torque, the body of the wrench further by 0.05° for each N·m of twist. */
const read = (torques: readonly number[], nut: (i: number) => number = () => 0): PullSample[] =>
  torques.map((torqueNm, i) => ({ ms: 10 * i, torqueNm, angleDeg: nut(i) + 0.05 * torqueNm }));
const freeNm = 5;
const tops = (torques: readonly number[]) =>
  pullsOf(read(torques), freeNm).map((p) => p.rise.at(-1)!.torqueNm);

// Limits of what a pull is: our judgement, each held at both of its sides.
describe('pulls of a hand', () => {
  it.each<[string, number[], number[]]>([
    ['nothing', [], []],
    ['a touch of three readings', [0, 9, 9, 9, 0], []],
    ['four readings', [0, 9, 9, 9, 10, 0], [10]],
    ['four that are not over yet', [0, 9, 9, 9, 10], [10]],
    ['three that are not over yet', [0, 9, 9, 10], []],
    ['a hand that rests on it', [5, 5, 5, 5, 5, 5], []],
    ['two, with the hand off between', [9, 9, 9, 20, 0, 9, 9, 9, 30, 0], [20, 30]],
    ['from the first reading on', [20, 30, 40, 50, 30, 10, 0], [50]],
  ])('%s', (_what, torques, is) => expect(tops(torques)).toEqual(is));
  it('end at the greatest torque that the hand let go from, not at a tooth before it', () => {
    expect(tops([20, 50, 60, 58, 61, 59, 40, 20, 0])).toEqual([61]);
    // It stuck at 100, fell to 60 and went on to 80: let go from there.
    expect(tops([20, 60, 100, 60, 70, 80, 50, 20, 0])).toEqual([80]);
    expect(tops([20, 60, 81, 76, 80, 50, 20, 0])).toEqual([81]);
    expect(tops([20, 60, 81, 74, 80, 50, 20, 0])).toEqual([80]);
  });
  it('hold the nut at the greatest torque of those before', () => {
    const three = [10, 30, 50, 60, 30, 0, 10, 20, 30, 40, 20, 0, 10, 20, 30, 50, 30, 0];
    expect(pullsOf(read(three), freeNm).map((p) => p.heldNm)).toEqual([0, 60, 60]);
  });
  it('keep every reading of theirs and no other', () => {
    const [first, second] = pullsOf(read([0, 9, 9, 9, 20, 8, 0, 0, 9, 9, 9, 30, 0]), freeNm);
    expect(first?.all.map((s) => s.torqueNm)).toEqual([9, 9, 9, 20, 8]);
    expect(second?.all.map((s) => s.torqueNm)).toEqual([9, 9, 9, 30]);
  });
});

describe('the twist of a wrench', () => {
  const fall = [92, 80, 60, 40, 20, 10, 0];
  it('shows as the hand lets go: between a tenth and nine tenths of where it was', () => {
    // Near the top the nut still goes on, near nothing the socket finds its corners: neither counts.
    const torques = [20, 50, 80, 100, 96, ...fall];
    const nut = (i: number) => (torques[i]! > 91 || torques[i]! < 11 ? 9 * i : 0);
    const [pull] = pullsOf(read(torques, nut), freeNm);
    expect(pull?.loading).toBeUndefined();
    expect(pull?.unloading?.slope).toBeCloseTo(0.05, 9);
  });
  it('and as the torque comes back, while the nut still stands: up to 85 % of what it was left at', () => {
    const torques = [20, 50, 80, 100, 60, 20, 0, 20, 40, 60, 84, 85, 100, 120, 60, 20, 0];
    // From 85 N·m on in the second pull the nut goes on.
    const nut = (i: number) => (i >= 11 ? 20 : 0);
    const [, second] = pullsOf(read(torques, nut), freeNm);
    expect(second?.loading?.slope).toBeCloseTo(0.05, 9);
    expect(second?.loading?.at(0)).toBeCloseTo(0, 9);
  });
  it('is the mean of every such stretch by its spread; one that goes backwards is none', () => {
    const line = (slope: number, weight: number) => ({ slope, weight, at: () => 0 });
    const pull = (loading?: ReturnType<typeof line>, unloading?: ReturnType<typeof line>) => ({
      all: [],
      rise: [],
      heldNm: 0,
      loading,
      unloading,
    });
    expect(springFrom([pull(line(0.04, 1), line(0.06, 3)), pull()])).toBeCloseTo(0.055, 12);
    expect(springFrom([pull(line(-0.9, 50), line(0.06, 3))])).toBeCloseTo(0.06, 12);
    expect(springFrom([pull(line(0, 50), line(0.06, 3))])).toBeCloseTo(0.06, 12);
    expect(springFrom([pull()])).toBeUndefined();
    expect(springFrom([])).toBeUndefined();
  });
});

// Least squares, by hand.
describe('a line through points', () => {
  it('goes through their middle, along itself or along another slope', () => {
    const line = lineThrough([
      [1, 3],
      [2, 4],
      [3, 8],
    ]);
    expect(line).toMatchObject({ slope: 2.5, weight: 2 });
    expect([line?.at(2), line?.at(4), line?.at(4, 1)]).toEqual([5, 10, 7]);
  });
  it('is none for fewer than three, or all at one place', () => {
    expect(lineThrough([])).toBeUndefined();
    expect(
      lineThrough([
        [1, 1],
        [2, 2],
      ]),
    ).toBeUndefined();
    expect(
      lineThrough([
        [1, 1],
        [1, 2],
        [1, 3],
      ]),
    ).toBeUndefined();
  });
});
