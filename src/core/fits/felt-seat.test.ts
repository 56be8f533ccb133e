import { describe, expect, it } from 'vitest';
import { type FeltSeat, judgeFelt, type SeatKind } from './index.ts';

const rulesOf = (kind: SeatKind, nominalMm: number, felt: Partial<FeltSeat>) =>
  judgeFelt(kind, 'seat', nominalMm, { grip: 'grips', seen: [], ...felt }).map((v) => v.rule);

// Common practice, no published source: what a hand and an eye find.
describe('a seat by feel and eye', () => {
  it.each<[string, SeatKind, number, Partial<FeltSeat>, string[]]>([
    ['grips, nothing seen', 'bore', 76, {}, ['seat.by-feel']],
    ['grips, caliper to size', 'bore', 76, { caliperMm: [75.98, 75.96] }, ['seat.by-feel']],
    ['slides by hand', 'journal', 40, { grip: 'slides' }, ['seat.slides']],
    ['a bore opened by wear', 'bore', 76, { caliperMm: [76.15] }, ['seat.worn']],
    ['a bore that reads small', 'bore', 76, { caliperMm: [75.88] }, ['seat.by-feel']],
    ['a journal thinned by wear', 'journal', 40, { caliperMm: [39.85, 39.86] }, ['seat.worn']],
    ['two readings apart', 'journal', 40, { caliperMm: [40.02, 39.92] }, ['seat.oval']],
    ['marks and rust', 'bore', 76, { seen: ['rust', 'marks'] }, ['seat.marks', 'seat.rust']],
    ['blue', 'journal', 40, { seen: ['blued'] }, ['seat.blued']],
  ])('%s', (_what, kind, nominalMm, felt, said) =>
    expect(rulesOf(kind, nominalMm, felt)).toEqual(said),
  );
  it('is never Good', () => {
    const said = judgeFelt('bore', 'knuckle bore', 76, { grip: 'not-tried', seen: [] });
    expect(said).toMatchObject([{ status: 'check', rule: 'seat.by-feel' }]);
  });
});
