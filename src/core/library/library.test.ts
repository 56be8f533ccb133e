import fc from 'fast-check';
import { expect, it } from 'vitest';
import { kinds, library, lookUp } from './index.ts';

it('holds every kind, no entry twice, each with its source', () => {
  for (const kind of kinds)
    expect(
      library.some((e) => e.kind === kind),
      kind,
    ).toBe(true);
  expect(new Set(library.map((e) => `${e.kind} ${e.id}`)).size).toBe(library.length);
  for (const e of library) expect(e.source, e.id).not.toBe('');
});

it('finds what holds every word, and more words never find more', () => {
  expect(lookUp('')).toHaveLength(library.length);
  expect(lookUp('castle')[0]?.title).toMatch(/castle/iu);
  expect(lookUp('zzz')).toEqual([]);
  const words = fc.constantFrom('nut', 'press', 'oil', 'ring', 'ISO', 'seal', 'torque', 'axle');
  fc.assert(
    fc.property(words, words, (a, b) => {
      const both = lookUp(`${a} ${b}`);
      for (const w of [a, b]) expect(lookUp(w)).toEqual(expect.arrayContaining(both));
    }),
  );
});
