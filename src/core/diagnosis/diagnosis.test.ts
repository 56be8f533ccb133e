import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { againstExact } from '../../../tests/exact-diagnosis.ts';
import {
  beliefOf,
  callOf,
  testingPays,
  type Complaint,
  evidenceOf,
  judge,
  likelihood,
  modelOf,
  outcomes,
  type Place,
  placesOf,
  posterior,
  relation,
  resultFault,
  sounds,
  suspectsFor,
  testById,
  type TestResult,
  tests,
  worthOf,
} from './index.ts';

const suspects = suspectsFor('front');
const model = modelOf('front');
const said: Complaint = {
  corner: 'RF',
  sound: 'roar',
  startsKmh: 60,
  bend: 'left',
  lamps: ['none'],
  history: [],
};

const anyResult: fc.Arbitrary<TestResult> = fc.constantFrom(...tests).chain((t) =>
  fc
    .record({ place: fc.constantFrom(...placesOf(t)), o: fc.constantFrom(...outcomes(t)) })
    .map(({ place, o }): TestResult => ({
      testId: t.id,
      place,
      ...(o.result === undefined ? { value: o.value } : { result: o.result }),
    })),
);

describe('likelihoods', () => {
  it('sum to one over the results of every test, under every suspect', () => {
    for (const t of tests)
      for (const place of placesOf(t))
        for (const s of suspects) {
          const sum = outcomes(t).reduce((a, o) => a + likelihood(t, place, o, s) * o.width, 0);
          expect(sum, `${t.id} ${place} ${s.id}`).toBeCloseTo(1, 9);
        }
  });
});

describe('judgement', () => {
  it('is plain Bayes for one result: equals enumeration by hand', () => {
    // One result in its group, capped at 9 as c·tanh(x/c), written out again from its definition; with doubt half the bits.
    const cap = 9;
    fc.assert(
      fc.property(anyResult, fc.boolean(), (bare, doubt) => {
        const r = { ...bare, doubt };
        const t = testById(r.testId)!;
        const share = doubt ? 0.5 : 1;
        const l = suspects.map((s) => share * Math.log(likelihood(t, r.place, r, s)));
        const centre = suspects.reduce((a, s, i) => a + s.prior * l[i]!, 0);
        const w = suspects.map(
          (s, i) => s.prior * Math.exp(cap * Math.tanh((l[i]! - centre) / cap)),
        );
        const sum = w.reduce((a, b) => a + b);
        posterior(suspects, evidenceOf(undefined, [r])).forEach((p, i) =>
          expect(p).toBeCloseTo(w[i]! / sum, 12),
        );
      }),
    );
  });

  it('never lets the driver’s story alone decide: it moves the odds of any two causes by e⁴ at most', () => {
    const anything: fc.Arbitrary<Complaint> = fc.record({
      corner: fc.constantFrom('LF', 'RF', 'LR', 'RR', 'unknown'),
      sound: fc.constantFrom(...sounds),
      startsKmh: fc.integer({ min: 0, max: 200 }),
      bend: fc.constantFrom('left', 'right', 'same'),
      heat: fc.constantFrom('cold', 'warm'),
      lamps: fc.constant([]),
      history: fc.constant([]),
    });
    fc.assert(
      fc.property(anything, (complaint) => {
        const shift = posterior(suspects, evidenceOf(complaint, [])).map((p, i) =>
          Math.log(p / suspects[i]!.prior),
        );
        expect(Math.max(...shift) - Math.min(...shift)).toBeLessThanOrEqual(4 + 1e-9);
      }),
    );
  });

  it('prepared tables give the same as the law written out, on any results', () => {
    fc.assert(
      fc.property(fc.array(anyResult, { maxLength: 8 }), (rs) => {
        const evidence = evidenceOf(said, rs);
        const full = posterior(suspects, evidence);
        beliefOf(model, evidence).now.forEach((p, i) => expect(p).toBeCloseTo(full[i]!, 10));
      }),
      { numRuns: 60 },
    );
  });

  it('does not depend on the order of the tests', () => {
    fc.assert(
      fc.property(fc.array(anyResult, { minLength: 2, maxLength: 6 }), (rs) => {
        const a = posterior(suspects, evidenceOf(said, rs));
        const b = posterior(suspects, evidenceOf(said, [...rs].reverse()));
        a.forEach((p, i) => expect(p).toBeCloseTo(b[i]!, 9));
      }),
      { numRuns: 40 },
    );
  });

  it('expected information equals brute force over the outcomes', () => {
    const h = (p: readonly number[]) => -p.reduce((a, x) => a + (x > 0 ? x * Math.log2(x) : 0), 0);
    fc.assert(
      fc.property(
        fc.constantFrom(...model.instances.filter((i) => !i.test.numeric)),
        fc.array(anyResult, { maxLength: 3 }),
        (instance, rs) => {
          const { test: t, place } = instance as { test: (typeof tests)[number]; place: Place };
          // The bend test takes the place of the driver's word of a bend; elsewhere evidence only adds.
          const words = { ...said, bend: undefined };
          const evidence = evidenceOf(words, rs);
          const now = posterior(suspects, evidence);
          const brute =
            h(now) -
            t.results!.reduce((sum, r) => {
              const chance = suspects.reduce(
                (a, s, i) => a + now[i]! * likelihood(t, place, { result: r.id }, s),
                0,
              );
              return (
                sum +
                chance *
                  h(
                    posterior(
                      suspects,
                      evidenceOf(words, [...rs, { testId: t.id, place, result: r.id }]),
                    ),
                  )
              );
            }, 0);
          const all = t.results!.reduce(
            (a, r) =>
              a +
              suspects.reduce(
                (x, s, i) => x + now[i]! * likelihood(t, place, { result: r.id }, s),
                0,
              ),
            0,
          );
          expect(all).toBeCloseTo(1, 9);
          expect(worthOf(beliefOf(model, evidence), model, instance).bits).toBeCloseTo(brute, 8);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('ends where no test is expected to save its minutes, by itself or in a row, and says that it is opened', () => {
    const test = { test: tests[0]!, place: 'car' as const, saves: 0, answers: [] };
    const left = (bits: number, minutes: number) => ({
      ...test,
      bits,
      minutes,
      bitsPerMinute: bits / minutes,
    });
    const call = (probability: number, next: ReturnType<typeof left>) =>
      callOf(
        [
          { id: 'b', name: 'Bearing', kind: 'bearing', probability },
          { id: 't', name: 'Tyre', probability: 1 - probability },
        ],
        [next],
        { wrongMinutes: 160 },
      );
    // 160 · 0.24 at risk: 38 min, of which 0.05 bits a minute win less than 2, and 0.1 more.
    expect([call(0.76, left(0.2, 4)).call, call(0.76, left(0.4, 4)).call]).toEqual([
      'open',
      'test',
    ]);
    expect(call(0.76, left(0.2, 4)).callText).toMatch(
      /^Open it up: 76 %\. Further tests cost more/u,
    );
    // One that saves its minutes by itself is made, however little it tells.
    expect(call(0.76, { ...left(0.01, 4), saves: 5 }).call).toBe('test');
    // What a wrong call costs here moves the end.
    expect(testingPays(0.76, [left(0.2, 4)], 160)).toBe(false);
    expect(testingPays(0.76, [left(0.2, 4)], 320)).toBe(true);
  });

  it('costs hardly more than the best course of small diagnoses, worked out exactly, and less than no test', () => {
    const cost = againstExact(12, 5, 4711);
    expect(cost.ours / cost.exact).toBeLessThan(1.04);
    expect(cost.ours / cost.exact).toBeGreaterThan(0.995);
    expect(cost.ours).toBeLessThan(0.9 * cost.none);
  });

  it('points at the right of the car when it is louder bending left, and asks for the hand on the spring there', () => {
    const j = judge('front', said, []);
    expect(j.suspects[0]!.id).toBe('bearing-RF');
    expect(j.next[0]).toMatchObject({ place: 'RF' });
    expect(j.call).toBe('test');
  });

  it('calls it once the spring is gritty and the knuckle louder, and says why', () => {
    const j = judge('front', said, [
      { testId: 'spring', place: 'RF', result: 'gritty' },
      { testId: 'spring', place: 'LF', result: 'smooth' },
      { testId: 'ear', place: 'front', value: -9 },
      { testId: 'heat', place: 'front', value: -10 },
    ]);
    expect(j.suspects[0]).toMatchObject({ id: 'bearing-RF' });
    expect(j.call).toBe('replace');
    expect(j.suspects[0]!.reasons.filter((r) => r.bits > 0).map((r) => r.label)).toContain(
      'Hand on the spring RF: gritty',
    );
  });

  it('calls a dragging brake by its heat, not a bearing', () => {
    const j = judge('front', { ...said, heat: 'warm', sound: 'grind' }, [
      { testId: 'heat', place: 'front', value: -45 },
      { testId: 'spring', place: 'RF', result: 'smooth' },
      { testId: 'drag', place: 'RF', result: 'gone' },
    ]);
    expect(j.suspects[0]!.id).toBe('brake-RF');
  });

  it('says which two results cannot both be right, and which to repeat', () => {
    const j = judge('front', said, [
      { testId: 'nuts', place: 'RF', result: 'loose' },
      { testId: 'spring', place: 'LF', result: 'gritty' },
      { testId: 'swap', place: 'car', result: 'moves' },
    ]);
    expect(j.contradictions[0]!.text).toMatch(/cannot both be right: repeat “/u);
    expect(
      judge('front', said, [
        { testId: 'spring', place: 'RF', result: 'gritty' },
        { testId: 'rock', place: 'RF', result: 'all-round' },
      ]).contradictions,
    ).toEqual([]);
  });

  it('gives a second fault at the same corner a line of its own', () => {
    const j = judge('front', said, [
      { testId: 'spring', place: 'RF', result: 'gritty' },
      { testId: 'ear', place: 'front', value: -10 },
      { testId: 'rock', place: 'RF', result: 'only-12-6' },
      { testId: 'look', place: 'RF', result: 'grease' },
    ]);
    expect(j.suspects[0]!.id).toBe('bearing-RF');
    expect(j.second?.suspect.id).toBe('joint-RF');
  });

  it('stays in the state the car is in while that tells enough a minute', () => {
    const j = judge('front', { ...said, corner: 'unknown' }, [
      { testId: 'spring', place: 'RF', result: 'smooth' },
    ]);
    expect(j.next[0]!.test.state).toBe('lifted');
    expect(j.next.find((n) => n.test.id === 'heat')!.minutes).toBe(11);
  });

  it('offers no test whose tool is not there, and only suspects the layout has', () => {
    expect(
      judge('front', said, [], { wrongMinutes: 160, without: ['dial indicator'] }).next.some(
        (n) => n.test.id === 'endplay',
      ),
    ).toBe(false);
    expect(suspectsFor('front').some((s) => s.kind === 'final' || s.kind === 'seal')).toBe(false);
    expect(
      suspectsFor('solid-rear')
        .filter((s) => s.kind === 'seal')
        .map((s) => s.corner),
    ).toEqual(['LR', 'RR']);
  });

  it('names the field of a result that a test cannot have', () => {
    expect(resultFault({ testId: 'spring', place: 'RF', result: 'purple' })).toMatchObject({
      field: 'result',
    });
    expect(resultFault({ testId: 'heat', place: 'RF', value: 3 })).toMatchObject({
      field: 'place',
    });
    expect(resultFault({ testId: 'nose', place: 'car' })).toMatchObject({ field: 'testId' });
  });
});

describe('more than one fault, and none', () => {
  const spring = (place: 'LF' | 'RF' | 'LR' | 'RR', result: string) =>
    ({ testId: 'spring', place, result }) as const;
  const listen = (place: 'LF' | 'RF', result: string) =>
    ({ testId: 'listen', place, result }) as const;
  const look = (place: 'LF' | 'RF') => ({ testId: 'look', place, result: 'grease' }) as const;
  it('takes two gritty wheels for two bad bearings, calls both, and still shares out one whole', () => {
    const both = [
      spring('LF', 'gritty'),
      spring('RF', 'gritty'),
      listen('LF', '4'),
      listen('RF', '4'),
      look('LF'),
      look('RF'),
      spring('LR', 'smooth'),
      spring('RR', 'smooth'),
    ];
    const j = judge('front', undefined, both);
    expect(j.contradictions).toEqual([]);
    expect(j.suspects[0]!.kind).toBe('bearing');
    expect(j.second?.suspect.kind).toBe('bearing');
    expect(j.second!.probability).toBeGreaterThan(0.8);
    expect(j.call).toBe('replace');
    expect(j.callText).toMatch(/^Both:/u);
    expect(j.suspects.reduce((sum, s) => sum + s.probability, 0)).toBeCloseTo(1, 9);
  });
  it('comes to nothing wrong where every test is clean', () => {
    const clean = (['LF', 'RF', 'LR', 'RR'] as const).flatMap((place) => [
      spring(place, 'smooth'),
      { testId: 'rock', place, result: 'none' },
      { testId: 'nuts', place, result: 'tight' },
      { testId: 'signal', place, result: 'agrees' },
      { testId: 'look', place, result: 'clean' },
    ]);
    const road = [
      { testId: 'road', place: 'car', result: 'none' },
      { testId: 'surface', place: 'car', result: 'same' },
      { testId: 'recording', place: 'car', result: 'nothing' },
      { testId: 'coast', place: 'car', result: 'same' },
      { testId: 'load', place: 'car', result: 'same' },
      { testId: 'lock', place: 'car', result: 'quiet' },
      { testId: 'heat', place: 'front', value: 0 },
      { testId: 'heat', place: 'rear', value: 0 },
    ] as const;
    const j = judge('front', undefined, [...clean, ...road]);
    expect(j.suspects[0]!.id).toBe('nothing');
  });
  it('counts a bend once: the test in place of the driver’s word', () => {
    const bend = [{ testId: 'bend', place: 'car', result: 'left' }] as const;
    const of = (c: Complaint) =>
      judge('front', c, bend).suspects.map((s) => [s.id, s.probability] as const);
    expect(of(said)).toEqual(of({ ...said, bend: undefined }));
  });
  it.each(tests.filter((t) => t.graded).map((t) => [t.short, t] as const))(
    '%s: a worse degree never speaks less for what it speaks of',
    (_short, t) => {
      const rows = t.rows!;
      for (const [key, row] of Object.entries(rows)) {
        const odds = row.map((p, i) => p / rows['rest']![i]!);
        expect(odds, key).toEqual([...odds].sort((a, b) => a - b));
      }
    },
  );
});

describe('worse is never better', () => {
  const numeric = tests.filter((t) => t.numeric);
  const layouts = ['front', 'rear', 'all', 'solid-rear'] as const;
  // A bearing's share before and after the same reading grew, with whatever was found besides.
  it.each(numeric.map((t) => [t.short, t] as const))(
    '%s: more of it never clears the bearing it speaks of',
    (_short, t) => {
      const spring = testById('spring')!;
      fc.assert(
        fc.property(
          fc.constantFrom(...layouts.filter((l) => !t.layouts || t.layouts.includes(l))),
          fc.constantFrom(...placesOf(t)),
          fc.double({ min: 0, max: 1, noNaN: true }),
          fc.double({ min: 0, max: 1, noNaN: true }),
          fc.array(fc.constantFrom(...spring.results!.map((r) => r.id)), { maxLength: 2 }),
          (layout, place, a, b, felt) => {
            const { from, to } = t.numeric!;
            const zero = Math.max(0, from);
            const [less, more] = [a, b].sort((x, y) => x - y).map((x) => zero + x * (to - zero));
            const others = felt.map((result, i) => ({
              testId: 'spring',
              place: (['LF', 'RR'] as const)[i]!,
              result,
            }));
            const share = (value: number) => {
              const { suspects } = judge(layout, undefined, [
                ...others,
                { testId: t.id, place, value },
              ]);
              return suspects
                .filter((s) => s.kind === 'bearing' && /left|here/u.test(relation(s, place)))
                .reduce((sum, s) => sum + s.probability, 0);
            };
            expect(share(more!)).toBeGreaterThanOrEqual(share(less!) - 1e-6);
          },
        ),
        { numRuns: 60 },
      );
    },
  );
});
