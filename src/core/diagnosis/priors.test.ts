import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { causesBehind, causesOf, suspectsBy } from './priors.ts';
import { type Layout, suspectsFor } from './suspects.ts';

const layouts: readonly Layout[] = ['front', 'rear', 'all', 'solid-rear'];
const of = (suspectId: string, n: number, layout: Layout = 'front') =>
  Array.from({ length: n }, () => ({ layout, suspectId }));
const share = (list: { id: string; prior: number }[], id: string) =>
  list.find((s) => s.id === id)!.prior;

// The Dirichlet mean by hand; weights are our judgement.
describe('shares before any test', () => {
  it('are ours until enough causes of more than one kind were confirmed', () => {
    const few = causesOf([...of('bearing-LF', 18), ...of('tyre-front', 1)]);
    const alike = causesOf(of('bearing-LF', 50));
    for (const causes of [undefined, few, alike]) {
      expect(causesBehind(causes)).toBe(0);
      expect(suspectsBy('front', causes)).toEqual(suspectsFor('front'));
    }
  });
  it('move towards what was confirmed, by kind and axle, the corners alike', () => {
    const causes = causesOf([
      ...of('bearing-LF', 5),
      ...of('bearing-RF', 5),
      ...of('tyre-front', 10),
    ]);
    const [was, now] = [suspectsFor('front'), suspectsBy('front', causes)];
    expect(share(now, 'tyre-front')).toBeCloseTo((40 * share(was, 'tyre-front') + 10) / 60, 12);
    const both = share(was, 'bearing-LF') + share(was, 'bearing-RF');
    expect(share(now, 'bearing-LF')).toBeCloseTo((40 * both + 10) / 60 / 2, 12);
    expect(share(now, 'bearing-LF')).toBe(share(now, 'bearing-RF'));
    expect(share(now, 'gearbox')).toBeLessThan(share(was, 'gearbox'));
  });
  it('sum to one whatever was confirmed, and rule nothing out', () => {
    const ids = suspectsFor('all').map((s) => s.id);
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...ids), { minLength: 20, maxLength: 200 }), (list) => {
        const causes = causesOf(list.map((suspectId) => ({ layout: 'all' as const, suspectId })));
        for (const layout of layouts) {
          const now = suspectsBy(layout, causes);
          expect(now.reduce((a, s) => a + s.prior, 0)).toBeCloseTo(1, 9);
          for (const [i, s] of suspectsFor(layout).entries())
            expect(now[i]!.prior > 0).toBe(s.prior > 0);
        }
      }),
    );
  });
});
