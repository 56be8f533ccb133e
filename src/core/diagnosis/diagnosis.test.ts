import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evidenceOf, expectedBits, judge, likelihood, outcomes, placesOf, posterior, resultFault, suspectsFor, testById, tests, type Complaint, type Place, type TestResult } from './index.ts';

const suspects = suspectsFor('front');
const said: Complaint = { corner: 'RF', sound: 'roar', startsKmh: 60, bend: 'left', lamps: ['none'], history: [] };

const anyResult: fc.Arbitrary<TestResult> = fc.constantFrom(...tests).chain((t) => fc.record({ place: fc.constantFrom(...placesOf(t)), o: fc.constantFrom(...outcomes(t)) }).map(({ place, o }): TestResult => ({ testId: t.id, place, ...(o.result === undefined ? { value: o.value } : { result: o.result }) })));

describe('likelihoods', () => {
  it('sum to one over the results of every test, under every suspect', () => {
    for (const t of tests) for (const place of placesOf(t)) for (const s of suspects) {
      const sum = outcomes(t).reduce((a, o) => a + likelihood(t, place, o, s) * o.width, 0);
      expect(sum, `${t.id} ${place} ${s.id}`).toBeCloseTo(1, t.numeric ? 0 : 9);
    }
  });
});

describe('judgement', () => {
  it('is plain Bayes for one result: equals enumeration by hand', () => {
    // One result in its group; the cap c·tanh(x/c) written out again from its definition.
    fc.assert(fc.property(anyResult, (r) => {
      const t = testById(r.testId)!;
      const l = suspects.map((s) => Math.log(likelihood(t, r.place, r, s)));
      const centre = suspects.reduce((a, s, i) => a + s.prior * l[i]!, 0);
      const w = suspects.map((s, i) => s.prior * Math.exp(3 * Math.tanh((l[i]! - centre) / 3)));
      const sum = w.reduce((a, b) => a + b);
      posterior(suspects, evidenceOf(undefined, [r])).forEach((p, i) => expect(p).toBeCloseTo(w[i]! / sum, 12));
    }));
  });

  it('does not depend on the order of the tests', () => {
    fc.assert(fc.property(fc.array(anyResult, { minLength: 2, maxLength: 6 }), (rs) => {
      const a = posterior(suspects, evidenceOf(said, rs));
      const b = posterior(suspects, evidenceOf(said, [...rs].reverse()));
      a.forEach((p, i) => expect(p).toBeCloseTo(b[i]!, 9));
    }), { numRuns: 40 });
  });

  it('expected information equals brute force over the outcomes', () => {
    const h = (p: readonly number[]) => -p.reduce((a, x) => a + (x > 0 ? x * Math.log2(x) : 0), 0);
    fc.assert(fc.property(fc.constantFrom(...tests.filter((t) => !t.numeric)), fc.nat(3), (t, n) => {
      const place = placesOf(t)[n % placesOf(t).length] as Place;
      const evidence = evidenceOf(said, []);
      const now = posterior(suspects, evidence);
      const brute = h(now) - t.results!.reduce((sum, r) => {
        const chance = suspects.reduce((a, s, i) => a + now[i]! * likelihood(t, place, { result: r.id }, s), 0);
        return sum + chance * h(posterior(suspects, evidenceOf(said, [{ testId: t.id, place, result: r.id }])));
      }, 0);
      expect(expectedBits(suspects, evidence, t, place)).toBeCloseTo(brute, 10);
    }));
  });

  it('points at the right of the car when it is louder bending left, and asks for the hand on the spring there', () => {
    const j = judge('front', said, []);
    expect(j.suspects[0]!.id).toBe('bearing-RF');
    expect(j.next[0]).toMatchObject({ place: 'RF' });
    expect(j.call).toBe('test');
  });

  it('calls it once the spring is gritty and the knuckle louder, and says why', () => {
    const j = judge('front', said, [{ testId: 'spring', place: 'RF', result: 'gritty' }, { testId: 'spring', place: 'LF', result: 'smooth' }, { testId: 'ear', place: 'front', value: -9 }, { testId: 'heat', place: 'front', value: -10 }]);
    expect(j.suspects[0]).toMatchObject({ id: 'bearing-RF' });
    expect(j.call).toBe('replace');
    expect(j.suspects[0]!.reasons.filter((r) => r.bits > 0).map((r) => r.label)).toContain('Hand on the spring RF: gritty');
  });

  it('calls a dragging brake by its heat, not a bearing', () => {
    const j = judge('front', { ...said, heat: 'warm', sound: 'grind' }, [{ testId: 'heat', place: 'front', value: -45 }, { testId: 'spring', place: 'RF', result: 'smooth' }, { testId: 'drag', place: 'RF', result: 'gone' }]);
    expect(j.suspects[0]!.id).toBe('brake-RF');
  });

  it('names the field of a result that a test cannot have', () => {
    expect(resultFault({ testId: 'spring', place: 'RF', result: 'purple' })).toMatchObject({ field: 'result' });
    expect(resultFault({ testId: 'heat', place: 'RF', value: 3 })).toMatchObject({ field: 'place' });
    expect(resultFault({ testId: 'nose', place: 'car' })).toMatchObject({ field: 'testId' });
  });
});
