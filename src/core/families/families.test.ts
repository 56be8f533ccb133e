import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { schedule } from '../plan/index.ts';
import {
  type Answers,
  answersFault,
  bitsOf,
  families,
  familiesBy,
  type FamilyCode,
  familyCodes,
  itemsOf,
  mostQuestions,
  nextQuestion,
  p1Steps,
  questions,
  sectionOf,
  takenAlong,
  walkSteps,
} from './index.ts';

describe('steps', () => {
  it('rebuild is the strip turned round, with its own words', () => {
    const strip = walkSteps(p1Steps, 'strip').map((s) => s.id);
    const rebuild = walkSteps(p1Steps, 'rebuild');
    expect(rebuild.map((s) => s.id)).toEqual(
      strip.filter((id) => rebuild.some((s) => s.id === id)).reverse(),
    );
    expect(rebuild[0]!.id).toBe('shield');
    for (const s of rebuild) expect(s.text).not.toBe(p1Steps.find((x) => x.id === s.id)!.out?.text);
  });
  it('takes plain steps along with one further on, and none past a caution or a clock', () => {
    const back = walkSteps(p1Steps, 'rebuild', 'bench');
    expect(takenAlong(back, 3, [])?.map((s) => s.id)).toEqual(back.slice(0, 3).map((s) => s.id));
    expect(takenAlong(back, 3, [back[0]!.id])).toHaveLength(2);
    const strip = walkSteps(p1Steps, 'strip', 'bench');
    const afterSoak = strip.findIndex((s) => s.wait) + 1;
    expect(takenAlong(strip, afterSoak, [strip[0]!.id])).toBeUndefined();
  });
  it('every figure asked for is one that a unit can hold', () => {
    expect(walkSteps(p1Steps, 'rebuild').flatMap((s) => s.fastener ?? [])).toEqual([
      'strut',
      'lower-joint',
      'steering-joint',
      'calliper-bracket',
      'wheel-nuts',
    ]);
  });
});

describe('naming the family', () => {
  const typical = (code: FamilyCode) => {
    let answers: Answers = {};
    for (let q = nextQuestion(answers); q; q = nextQuestion(answers)) {
      const row = q.chances[code];
      answers = { ...answers, [q.id]: q.answers[row.indexOf(Math.max(...row))]!.id };
    }
    return answers;
  };
  it('has rows that are distributions, and an answer to each', () => {
    for (const q of questions)
      for (const code of familyCodes) {
        expect(q.chances[code].length).toBe(q.answers.length);
        expect(
          q.chances[code].reduce((a, b) => a + b, 0),
          `${q.id} ${code}`,
        ).toBeCloseTo(1, 9);
      }
  });
  it.each(familyCodes)(
    'finds %s in at most five questions when each is answered by what it usually looks like',
    (code) => {
      const answers = typical(code);
      expect(Object.keys(answers).length).toBeLessThanOrEqual(mostQuestions);
      expect(familiesBy(answers)[0]).toMatchObject({ code });
      expect(familiesBy(answers)[0]!.probability).toBeGreaterThan(0.7);
    },
  );
  it('is Bayes over the families: order of answers and what was not seen do not matter, and it sums to one', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom(...questions.map((q) => q.id)), fc.nat(5)),
        (picks) => {
          const answers = Object.entries(picks).map(([id, i]) => {
            const q = questions.find((x) => x.id === id)!;
            return [id, q.answers[i % q.answers.length]!.id] as const;
          });
          const a = familiesBy(Object.fromEntries(answers));
          const b = familiesBy({ ...Object.fromEntries([...answers].reverse()), other: 'unsure' });
          expect(a.reduce((s, f) => s + f.probability, 0)).toBeCloseTo(1, 12);
          a.forEach((f) =>
            expect(b.find((x) => x.code === f.code)!.probability).toBeCloseTo(f.probability, 12),
          );
          questions
            .filter((q) => !(q.id in picks))
            .forEach((q) =>
              expect(bitsOf(q, Object.fromEntries(answers))).toBeGreaterThanOrEqual(-1e-9),
            );
        },
      ),
    );
  });
  it('goes on when something cannot be seen, and refuses answers that are none', () => {
    expect(nextQuestion({ holds: 'unsure' })!.id).not.toBe('holds');
    expect(answersFault({ holds: 'glue' })).toMatch(/not an answer/u);
    expect(answersFault({ holds: 'clip', axle: 'unsure' })).toBeUndefined();
  });
  it('draws every family within its own space, with the bodies that its answers point at', () => {
    for (const { code } of families) {
      const s = sectionOf(code);
      for (const b of s.bodies)
        if (!('ball' in b))
          for (const [z, r] of b.points) {
            expect(r, `${code} ${b.role}`).toBeGreaterThanOrEqual(0);
            expect(z >= s.z0 && z <= s.z1).toBe(true);
          }
      expect(itemsOf(code).filter((i) => i.id === 'bearing')).toHaveLength(1);
    }
    for (const q of questions)
      for (const a of q.answers)
        for (const lit of a.picture.lit)
          expect(
            sectionOf(a.picture.code).bodies.some((b) => b.role === lit),
            `${q.id} ${a.id} ${lit}`,
          ).toBe(true);
  });
});

describe('schedule', () => {
  it('lets the freezer run beside the strip, so that a chill costs nothing', () => {
    expect(schedule({ chill: true, soak: true }).endMin).toBe(
      schedule({ chill: false, soak: true }).endMin,
    );
  });
  it('never has the hands in two places', () => {
    const hands = schedule({ chill: true, soak: true }).bars.filter((b) => b.handsOn);
    hands.slice(1).forEach((b, i) => expect(b.startMin).toBeGreaterThanOrEqual(hands[i]!.endMin));
  });
});
