import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CornerRecord } from './corner-record.ts';
import { isSlip, judgeFelt, judgeSeat } from './fits/index.ts';
import { conflicts, mark } from './matching/index.ts';
import { misfits } from './press/index.ts';
import { apart, spread } from './printed.ts';
import { fitRunout, judgeRunout } from './prove/index.ts';
import { playOf } from './torque/index.ts';

/** Thousandths as they are read: the nearest number to the decimal, with no dust of its own. */
const mm = (thousandths: number): number => thousandths / 1000;

const felt = (nominalMm: number, caliperMm: number[]) =>
  judgeFelt('bore', 'bore', nominalMm, { grip: 'grips', seen: [], caliperMm });
const seat = (readingsMm: number[][]) =>
  judgeSeat({
    kind: 'bore',
    nominalMm: 76,
    toleranceClass: 'P7',
    classSource: 'test',
    readingsMm,
    instrument: { id: 'x', name: 'gauge', doubtMm: 0.003 },
    material: 'ductile-iron',
    series: 'radial',
  }).verdicts;
/** Six readings of a tilted face, from a to b. */
const face = (a: number, b: number) =>
  [b, a + 0.075, a + 0.025, a, a + 0.025, a + 0.075].map((at, i) => ({ deg: 60 * i, mm: at }));
const says = (verdicts: readonly { rule: string }[], rule: string) =>
  verdicts.some((v) => v.rule === rule);

/** What two readings so far apart as the limit are not yet, and one thousandth further are. */
const limits: [
  what: string,
  limit: number,
  from: [number, number],
  past: (a: number, b: number) => boolean,
][] = [
  ['a slip at a seat', 1000, [10_000, 120_000], (a, b) => isSlip(b, a)],
  ['a bore opened by wear', 100, [20_000, 90_000], (a, b) => says(felt(a, [b]), 'seat.worn')],
  ['two calipers apart', 80, [20_000, 90_000], (a, b) => says(felt(a, [a, b]), 'seat.oval')],
  // Half of IT7 at 76 mm, 30 µm in ISO 286-1.
  ['a bore out of round', 15, [75_900, 76_100], (a, b) => says(seat([[a, b]]), 'seat.round')],
  ['a bore with taper', 15, [75_900, 76_100], (a, b) => says(seat([[a], [b]]), 'seat.taper')],
  [
    'a face that runs out',
    100,
    [0, 5000],
    (a, b) => judgeRunout(fitRunout(face(a, b)), 0.1, 'test')[0]!.rule === 'runout.over',
  ],
  [
    'a part that does not belong',
    100,
    [20_000, 60_000],
    (a, b) =>
      misfits('A2', { shaft: { journalMm: a } } as CornerRecord, { boreMm: b, outerMm: 80 })
        .length > 0,
  ],
  [
    'a ring that was not in this bore',
    500,
    [40_000, 90_000],
    (a, b) => conflicts({ outerMm: a }, { boreMm: b }).length > 0,
  ],
  // A window of three times the doubt: with all its doubt inside, and without any of it.
  ['a size that is the same', 40, [20_000, 90_000], (a, b) => mark(b, a, 0.02) !== 'same'],
  ['a size in doubt', 80, [20_000, 90_000], (a, b) => mark(b, a, 0.02) === 'different'],
];

// A law, whatever the figures: what stands at its limit is not past it, and a thousandth further is.
describe('a figure at its limit', () => {
  it.each(limits)('%s', (_what, limit, [low, high], past) =>
    fc.assert(
      fc.property(fc.integer({ min: low, max: high }), (from) => {
        expect(past(mm(from), mm(from + limit))).toBe(false);
        expect(past(mm(from), mm(from + limit + 1))).toBe(true);
      }),
      { numRuns: 400 },
    ),
  );
  it('is as far off as its decimals say, whichever way round', () =>
    fc.assert(
      fc.property(fc.integer({ max: 1e6, min: -1e6 }), fc.nat(1e6), (a, by) => {
        expect(apart(mm(a), mm(a + by))).toBe(mm(by));
        expect(spread([mm(a + by), mm(a)])).toBe(mm(by));
        expect(playOf([[mm(a), mm(a + by)]]).eachMm).toEqual([mm(by)]);
      }),
    ));
});
