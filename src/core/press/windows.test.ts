import { describe, expect, it } from 'vitest';
import { exampleSetups, piece } from '../../../tests/example.ts';
import { type Adapter, judgePiece, type Measure, type Need, type Window } from './index.ts';

/** A piece of which one measure is so many mm, the others out of the way. */
function pieceWith(measure: Measure, mm: number): Adapter {
  switch (measure) {
    case 'outerMm':
      return piece('x', mm, 0, 400);
    case 'innerMm':
      return piece('x', 1000, mm, 400);
    case 'heightMm':
      return piece('x', 1000, 0, mm);
    case 'hollowMm':
      return piece('x', 1000, 100, mm + 30, { recessMm: mm });
    case 'lipMm':
      return piece('x', 1000, 100, mm + 30, { recessMm: 30 });
  }
}

const sides = exampleSetups().flatMap(({ label, setup: { requirement: r } }) =>
  (['pusher', 'support'] as const).flatMap((role) => {
    const need: Need | undefined = r[role];
    return (need?.windows ?? []).flatMap((w) =>
      (['min', 'max'] as const)
        .filter((end) => w[end] !== undefined)
        .map((end) => ({ label, role, need: need!, w, end, limit: w[end]! })),
    );
  }),
);

/** What is said of a piece by one window, and by no other of its rule. */
const saidBy = (a: Adapter, role: 'pusher' | 'support', need: Need, w: Window) =>
  judgePiece(a, role, { ...need, windows: [w] }, { low: 0, likely: 0, high: 0 }).filter(
    (v) => v.rule === w.rule && v.value !== undefined,
  );

// A law, whatever the figures: what stands at its limit is right, what is past it is told with it.
describe('every window of every stroke', () => {
  it('is there at all: no stroke takes any piece', () =>
    expect(new Set(sides.map((s) => s.label))).toEqual(
      new Set(exampleSetups().map((x) => x.label)),
    ));
  it('takes a piece at its limit and not a twentieth of a millimetre past it, and says which figure and which limit', () => {
    for (const { label, role, need, w, end, limit } of sides) {
      const past = end === 'min' ? limit - 0.05 : limit + 0.05;
      // A lip is a difference of two heights: its limit is tried a hair inside.
      const hair = w.measure === 'lipMm' ? 1e-9 : 0;
      const inside = end === 'min' ? limit + hair : limit - hair;
      const at = `${label}, ${role}, ${w.rule} ${end} ${limit}`;
      expect(saidBy(pieceWith(w.measure, inside), role, need, w), at).toEqual([]);
      if (past < 0) continue;
      const [said, ...more] = saidBy(pieceWith(w.measure, past), role, need, w);
      expect(more, at).toEqual([]);
      expect(said, at).toMatchObject({ role, [end]: limit, unit: 'mm' });
      expect(said!.value, at).toBeCloseTo(past, 6);
    }
  });
});
