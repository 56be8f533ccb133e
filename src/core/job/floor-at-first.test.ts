import fc from 'fast-check';
import { expect, it } from 'vitest';
import { atFirst, floorCounts, type FloorRow, type FloorView, openOn } from './index.ts';

const aRow = fc.record({
  station: fc.constantFrom('plan', undefined),
  closed: fc.boolean(),
  recheck: fc.constantFrom({ drivenKm: 1, dueKm: 160 }, undefined),
  note: fc.constantFrom({ who: 'Ines', text: 'x' }, undefined),
  timers: fc.constantFrom([], [{ id: 't' }]),
  spine: fc.constantFrom([{ mark: 'blocked' }], [{ mark: 'open' }]),
}) as unknown as fc.Arbitrary<FloorRow>;

it('a long floor comes short with its page: nothing of it twice or turned round, its numbers those of the whole', () => {
  fc.assert(
    fc.property(fc.array(aRow, { maxLength: 120 }), (rows) => {
      const { view, counts, more } = atFirst({ rows } as unknown as FloorView);
      expect(counts).toEqual(floorCounts(rows));
      // What is shown keeps its order, and what comes first of the open ones is there.
      const places = view.rows.map((r) => rows.indexOf(r));
      expect(places).toEqual([...new Set(places)].sort((a, b) => a - b));
      const open = openOn(rows);
      expect(openOn(view.rows).slice(0, 40)).toEqual(open.slice(0, 40));
      expect(view.rows.length).toBeLessThanOrEqual(46);
      expect(more).toBe(view.rows.length < rows.length);
      expect(more || open.length <= 40).toBe(true);
    }),
  );
});
