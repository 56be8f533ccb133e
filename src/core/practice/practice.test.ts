import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  answered,
  beginner,
  dueKinds,
  exercise,
  exerciseKinds,
  type Learner,
  levels,
  nextExercise,
} from './index.ts';

describe('exercises', () => {
  it('of any seed and level have one right answer among theirs, and are the same again', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...exerciseKinds),
        fc.nat(),
        fc.integer({ min: levels.least, max: levels.most }),
        (kind, seed, level) => {
          const e = exercise(kind, seed, level);
          const ids = e.options.map((o) => o.id);
          expect(ids.filter((id) => id === e.answer)).toHaveLength(1);
          expect(new Set(ids).size).toBe(ids.length);
          expect(ids.length).toBeGreaterThan(1);
          expect([e.because, e.otherwise, e.source].every((t) => t.length > 5)).toBe(true);
          expect(exercise(kind, seed, level)).toEqual(e);
        },
      ),
      { numRuns: 600 },
    );
  });
  it('grow harder with their level', () => {
    const middle = (level: number) => {
      const margins = Array.from(
        { length: 40 },
        (_, seed) => exercise('adjust', seed, level).hard.value,
      );
      return margins.reduce((a, b) => a + b, 0) / margins.length;
    };
    expect(middle(5)).toBeLessThan(middle(1));
  });
});

describe('a learner', () => {
  const day = 86_400_000;
  const at = (kind: 'castle') => ({ kind, seed: 1, level: 2 }) as const;
  it('sees a failed kind again soon, and a known one later each time', () => {
    const failed = answered(beginner, at('castle'), false, 0);
    const known = answered(beginner, at('castle'), true, 0);
    const due = (l: Learner) => new Date(l.cards.castle!.card.due).getTime();
    expect(due(failed)).toBeLessThan(due(known));
    expect(due(failed)).toBeLessThan(day / 24);
    let l = known;
    let last = 0;
    for (let i = 0; i < 4; i += 1) {
      const from = due(l);
      // As it is kept and read again.
      l = answered(JSON.parse(JSON.stringify(l)) as Learner, at('castle'), true, from);
      expect(due(l) - from).toBeGreaterThan(last);
      last = due(l) - from;
    }
    expect(last).toBeGreaterThan(2 * day);
  });
  it('climbs a level by a right answer and comes down by a wrong one, within the least and the most', () => {
    const level = (l: Learner) => l.cards.castle?.level;
    expect(level(answered(beginner, at('castle'), true, 0))).toBe(3);
    expect(level(answered(beginner, at('castle'), false, 0))).toBe(1);
    expect(level(answered(beginner, { ...at('castle'), level: 5 }, true, 0))).toBe(5);
    expect(level(answered(beginner, { ...at('castle'), level: 1 }, false, 0))).toBe(1);
  });
  it('goes on with what was left open, then with what is due first', () => {
    const open = { kind: 'order', seed: 7, level: 2 } as const;
    expect(nextExercise({ ...beginner, open }, 0, 99)).toEqual(open);
    expect(dueKinds(beginner, 0)).toEqual(exerciseKinds);
    const after = answered(beginner, { kind: 'family', seed: 1, level: 1 }, true, 0);
    expect(nextExercise(after, 0, 5)).toEqual({ kind: exerciseKinds[0], seed: 5, level: 1 });
    expect(after.open).toBeUndefined();
    expect(after.done).toMatchObject([{ kind: 'family', right: true }]);
    const all = exerciseKinds.reduce(
      (l, kind) => answered(l, { kind, seed: 1, level: 1 }, true, 0),
      beginner,
    );
    expect(dueKinds(all, 1)).toEqual([]);
    expect(exerciseKinds).toContain(nextExercise(all, 1, 3).kind);
  });
});
