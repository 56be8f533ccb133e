import { describe, expect, it } from 'vitest';
import { exampleSetup, exampleWorks, piece } from '../../../tests/example.ts';
import { impactAdvice } from './impact.ts';
import { capScore, pieceScore, riserScore, score } from './score.ts';
import { forceAtKn, type Operation, operations, requirement, type Work } from './index.ts';

/** Points are ours; what they have to order is common practice, no published source. */
describe('the worth of a piece', () => {
  const setup = exampleSetup('bearing-in');
  const need = setup.requirement.pusher;
  const worth = (o = 75, i = 68, h = 30, more = {}) =>
    pieceScore(piece('p', o, i, h, { ratingKn: 30, ...more }), need, {
      low: 3,
      likely: 6,
      high: 10,
    });
  const base = worth();

  it('grows with the width it bears on, 25 for the whole face', () => {
    const whole = (need.face.outerMm - need.face.innerMm) / 2;
    expect(worth(75, 67.2) - base).toBeCloseTo((25 * 0.4) / whole, 9);
  });
  it('grows by 1.2 for each millimetre it centres closer in the bore it follows, besides its contact', () => {
    const gain = (outer: number) =>
      worth(outer) - (25 * (outer - 68)) / (need.face.outerMm - need.face.innerMm);
    expect(gain(75) - gain(74)).toBeCloseTo(1.2, 9);
  });
  it('counts the margin of its rating up to three times what may come, and none below it', () => {
    const at = (ratingKn: number) => worth(75, 68, 30, { ratingKn });
    expect(at(20) - at(10)).toBeCloseTo(4, 9);
    expect(at(30) - at(10)).toBeCloseTo(8, 9);
    expect([at(90), at(5)]).toEqual([at(30), at(10)]);
  });
  it('prefers the old ring by 4, and the lower of two by 0.02 a millimetre', () => {
    expect(worth(75, 68, 30, { shape: 'old-ring' }) - base).toBeCloseTo(4, 9);
    expect(base - worth(75, 68, 40)).toBeCloseTo(0.2, 9);
  });
  it('takes 15 off for a size that is only warned of, and 12 to 18 for a nose that centres', () => {
    const piloted = exampleWorks
      .flatMap((w) => operations.flatMap((o) => requirement(o, w as Work) ?? []))
      .find((r) => r.pusher.pilot);
    const { pilot, ...bare } = piloted!.pusher;
    const nose = piece('p', 30, 0, 20, { pilotMm: (pilot!.min + pilot!.max) / 2 });
    const band = { low: 1, likely: 2, high: 3 };
    const with_ = pieceScore(nose, piloted!.pusher, band);
    const without = pieceScore(nose, { ...bare }, band);
    expect(with_ - without).toBeGreaterThanOrEqual(6);
    expect(with_ - without).toBeLessThanOrEqual(18);
  });
  it('of a stack is that of its pieces; each further one costs 8 and its size', () => {
    const stack = { pusher: piece('p', 75, 68, 30), support: piece('s', 110, 84, 20) };
    const cap = piece('c', 74, 0, 12);
    const riser = piece('r', 120, 90, 40);
    expect(capScore(cap)).toBeCloseTo(-8 - 0.24 - 0.74, 9);
    expect(riserScore(riser)).toBeCloseTo(-8.8, 9);
    expect([capScore(undefined), riserScore(undefined)]).toEqual([0, 0]);
    expect(score({ ...stack, cap, riser }, setup) - score(stack, setup)).toBeCloseTo(
      capScore(cap) + riserScore(riser),
      9,
    );
    const alone = score({ pusher: stack.pusher }, setup);
    expect(alone).toBeCloseTo(10 + pieceScore(stack.pusher, need, setup.forceKn), 9);
    expect(score(stack, setup) - alone).toBeCloseTo(
      pieceScore(stack.support, setup.requirement.support!, setup.forceKn),
      9,
    );
  });
});

// Handbook, pressing: the last of a hub by hand, a gun for removal and for the first three quarters of an outer ring.
it.each([
  ['hub-in', /^The last 10 mm by hand/u],
  ['hub-out', /fine for removal/u],
  ['bearing-out', /fine for removal/u],
  ['bearing-in', /may start an outer ring; from 31 mm on/u],
] as const)('an impact tool at %s', (operation, words) =>
  expect(impactAdvice(exampleSetup(operation).requirement)).toMatch(words),
);
it('asks of bearing and ring in one stroke what both ask, the ring’s part once it enters its fit', () => {
  const work = exampleWorks.find((w) => w.family === 'A2')!;
  const on = (o: Operation) => exampleSetup(o, work);
  const [both, bearing, ring] = [
    on('bearing-and-ring-on'),
    on('shaft-bearing-on'),
    on('press-ring-on'),
  ];
  const end = both.requirement.travelMm;
  for (const which of ['low', 'likely', 'high'] as const) {
    expect(forceAtKn(both, end)[which]).toBeCloseTo(
      bearing.forceKn[which] + ring.forceKn[which],
      9,
    );
    const entry = work.bearing.widthMm;
    expect(forceAtKn(both, entry)[which]).toBeCloseTo(forceAtKn(bearing, entry)[which], 9);
    expect(forceAtKn(both, entry + 8)[which]).toBeCloseTo(
      forceAtKn(bearing, entry + 8)[which] + forceAtKn(ring, 8)[which],
      9,
    );
  }
});
it('never uses an impact tool on a ring that goes on to a shaft', () => {
  const work = exampleWorks.find((w) => w.family === 'A2')!;
  for (const operation of ['shaft-bearing-on', 'press-ring-on'] as const)
    expect(impactAdvice(exampleSetup(operation, work).requirement)).toMatch(/By hand all the way/u);
});
