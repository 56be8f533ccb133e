import { describe, expect, it } from 'vitest';
import { afterPull, canBeRecorded, followPull, type PullSample, pullVerdict } from './index.ts';
import { callOf, gives, longSnugDeg, slips } from './pull-call.ts';

// Limits of these calls are our judgement: each is held at both of its sides.

/** A nut's curve of so many N·m a degree, and from a degree on of so many. */
const curveOf = (slope: number, then: number, fromDeg: number, toDeg: number) =>
  Array.from({ length: 2 * toDeg + 1 }, (_, i): [number, number] => {
    const deg = i / 2;
    return [deg, 60 + slope * Math.min(deg, fromDeg) + then * Math.max(0, deg - fromDeg)];
  });

describe('a thread that gives', () => {
  it('is one whose torque grows by less than 45 % of what it did', () => {
    expect(gives(curveOf(2, 2, 20, 40))).toBe(false);
    expect(gives(curveOf(2, 0.95, 20, 40))).toBe(false);
    expect(gives(curveOf(2, 0.85, 20, 40))).toBe(true);
    // What falls off at the end gives too.
    expect(gives(curveOf(2, -1, 20, 40))).toBe(true);
  });
  it('cannot be told before two stretches of 8°, nor where the torque never grew', () => {
    expect(gives(curveOf(2, 0, 4, 15))).toBe(false);
    expect(gives(curveOf(2, 0, 4, 17))).toBe(true);
    expect(gives(curveOf(0, 0, 10, 40))).toBe(false);
    expect(gives([])).toBe(false);
  });
});

describe('a socket that slips', () => {
  const pullOf = (all: [nm: number, deg: number][]) => ({
    all: all.map(([torqueNm, angleDeg], i): PullSample => ({ ms: 10 * i, torqueNm, angleDeg })),
  });
  const fall = (toNm: number, byDeg: number) =>
    pullOf([
      [80, 10],
      [80, 10 + byDeg / 4],
      [80, 10 + byDeg / 2],
      [toNm, 10 + byDeg],
      [toNm, 10 + byDeg],
    ]);
  it('has lost more than 40 % of its torque while the hand went on by more than 2°', () => {
    expect(slips(fall(40, 4), 60)).toBe(true);
    expect(slips(fall(50, 4), 60)).toBe(false);
    // Let go, the torque falls too, and the wrench goes back or stands.
    expect(slips(fall(0, 1), 60)).toBe(false);
    expect(slips(fall(0, -6), 60)).toBe(false);
  });
  it('was loaded at all: under a third of snug a socket only finds its corners', () => {
    expect(slips(fall(10, 6), 239)).toBe(true);
    expect(slips(fall(10, 6), 241)).toBe(false);
  });
});

describe('what is called', () => {
  const nothing = { slipped: false, crossed: false, gives: false, snug: false, free: false };
  it('is the gravest that was seen, else how far the pull has come', () => {
    const call = (x: Partial<typeof nothing>) => callOf({ ...nothing, ...x });
    expect(call({ slipped: true, crossed: true, gives: true })).toBe('slipped');
    expect(call({ crossed: true, gives: true, snug: true })).toBe('cross-threaded');
    expect(call({ gives: true, snug: true, free: true })).toBe('yielding');
    expect([call({ free: true }), call({})]).toEqual(['waiting', 'snugging']);
    expect([call({ snug: true }), call({ snug: true, free: true })]).toEqual(['turning', 'let-go']);
  });
  it('of a nut that turns too long before it is snug is crossed, whatever is asked of it', () => {
    // Geometry: from a third of snug (20 N·m) to snug (60 N·m) at so many N·m a degree.
    const pulled = (nmPerDeg: number): PullSample[] =>
      Array.from({ length: 240 }, (_, i) => ({
        ms: 10 * i,
        torqueNm: nmPerDeg * i,
        angleDeg: i,
      }));
    const call = (degToSnug: number) => followPull(pulled(40 / degToSnug), 60, 0).call;
    expect(call(longSnugDeg - 8)).not.toBe('cross-threaded');
    expect(call(longSnugDeg + 8)).toBe('cross-threaded');
    for (const kind of ['torque', 'angle'] as const)
      expect(pullVerdict(kind, 'cross-threaded')).toMatchObject({ status: 'stop' });
  });
  it('decides what comes next: nothing pulled is pulled, what is spoilt can only be put on record', () => {
    expect(afterPull('torque', undefined, false)).toBe('pull');
    const crossed = { ...followPull([], 60), call: 'cross-threaded' as const };
    expect(afterPull('torque', crossed, true)).toBe('spoilt');
    expect(canBeRecorded('torque', crossed)).toBe(true);
    // Before snug there is no angle to put down, though the hand has let go.
    const loose = followPull([{ ms: 0, torqueNm: 1, angleDeg: 0 }], 60);
    expect([loose.free, canBeRecorded('angle', loose), canBeRecorded('torque', loose)]).toEqual([
      true,
      false,
      true,
    ]);
    expect(afterPull('angle', loose, true)).toBe('pull');
  });
});
