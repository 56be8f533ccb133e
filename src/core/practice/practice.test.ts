import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersOf, worthOf } from '../../../tests/learned.ts';
import { demoKit } from '../../../tests/shop.ts';
import { sounds } from '../diagnosis/index.ts';
import { judgeStack } from '../press/index.ts';
import type { FamilyCode } from '../families/index.ts';
import { soundInRoad, soundSamples } from '../standins/sounds.ts';
import { followPull, judgeStage, pulledFigure } from '../torque/index.ts';
import { type MistakeId, mistakes, mistakesOf, rightBodies, withMistake } from './mistakes.ts';
import {
  answered,
  beginner,
  benchFor,
  dueKinds,
  exercise,
  exerciseKinds,
  type Learner,
  layGiven,
  levels,
  nextExercise,
  noShop,
  nutAt,
  nutEnd,
  type PracticeKit,
  practiceSetup,
  pulledNext,
  relaid,
  slips,
  whereWrong,
} from './index.ts';

describe('exercises', () => {
  const anyExercise = fc
    .record({
      kind: fc.constantFrom(...exerciseKinds),
      seed: fc.nat(),
      level: fc.integer({ min: levels.least, max: levels.most }),
      kit: fc.constantFrom(demoKit, noShop.kit),
    })
    .map(({ kit, ...x }) => ({ ...x, bench: benchFor(x.kind, kit, x.seed, x.level) }))
    .map((x) => ({ ...x, e: exercise(x.kind, x.seed, x.level, x.bench) }));
  it('of any seed and level tell right from wrong and say why, and are the same again', () => {
    fc.assert(
      fc.property(anyExercise, ({ kind, seed, level, bench, e }) => {
        const { right, wrong } = answersOf(e);
        expect([e.worth(right)?.right, e.worth(wrong)?.right]).toEqual([true, false]);
        expect(e.worth('none such')).toBeUndefined();
        const ids = (e.options ?? []).map((o) => o.id);
        expect(new Set(ids).size).toBe(ids.length);
        expect(ids.filter((id) => e.worth(id)?.right).length).toBe(ids.length > 0 ? 1 : 0);
        const { because, otherwise } = worthOf(e, wrong);
        expect([because, otherwise, e.source].every((t) => t.length > 5)).toBe(true);
        expect(JSON.stringify(exercise(kind, seed, level, bench))).toBe(JSON.stringify(e));
      }),
      { numRuns: 150 },
    );
  });
  it('draw what a choice comes to: never the picture that was asked with', () => {
    fc.assert(
      fc.property(anyExercise, ({ e }) => {
        for (const given of Object.values(answersOf(e)))
          expect(worthOf(e, given).picture).not.toEqual(e.picture);
      }),
      { numRuns: 80 },
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

describe('a stack to lay', () => {
  const laid = (seed: number, level: number, kit: PracticeKit = demoKit) => {
    const e = exercise('lay', seed, level, benchFor('lay', kit, seed, level));
    if (e.picture.of !== 'lay') throw new Error('nothing to lay');
    return { e, ...e.picture };
  };
  it('is right where the press bench would not stop it, whoever’s pieces it is laid of', () => {
    for (let seed = 0; seed < 30; seed += 1) {
      const kit = seed % 3 === 0 ? noShop.kit : demoKit;
      const { e, bench, left } = laid(seed, 1 + (seed % 5), kit);
      expect(bench.own).toBe(kit === demoKit ? true : undefined);
      const setup = practiceSetup(bench.work);
      for (const pusher of bench.drawer) {
        const stack = relaid(left, 'pusher', pusher);
        expect(stack).toBeDefined();
        const judged = judgeStack(stack!, setup);
        expect(e.worth(layGiven(stack!))?.right).toBe(judged.status !== 'stop');
        const where = whereWrong({ work: bench.work, stack: stack! });
        expect(where === undefined).toBe(judged.status !== 'stop');
      }
    }
  });
  it('takes no piece that is not in the drawer, no place twice, nothing without what pushes', () => {
    const { e, left } = laid(3, 2);
    const { pusher } = left;
    for (const given of [
      '',
      'pusher=none',
      `support=${pusher.id}`,
      `pusher=${pusher.id};pusher=${pusher.id}`,
      `ram=${pusher.id}`,
    ])
      expect(e.worth(given), given).toBeUndefined();
    expect(relaid({ pusher }, 'support', pusher)).toBeUndefined();
    expect(relaid(left, 'support', pusher)).toMatchObject({
      pusher: left.support,
      support: pusher,
    });
  });
  it('has wrong pieces that come nearer as its level grows', () => {
    const middle = (level: number) => {
      const near = Array.from({ length: 30 }, (_, seed) => laid(seed, level).e.hard.value);
      return near.reduce((a, b) => a + b, 0) / near.length;
    };
    expect(middle(5)).toBeLessThan(middle(1));
  });
});

describe('the ram', () => {
  it('released where the press calls it is right, a stroke before it too soon, and after its allowance too late', () => {
    for (let seed = 0; seed < 60; seed += 1) {
      const level = 1 + (seed % 5);
      const e = exercise('ram', seed, level);
      if (e.picture.of !== 'ram') throw new Error('no ram');
      const { trace, from, aPump } = e.picture;
      const call = trace.findIndex((_, i) => e.worth(String(i))?.right);
      expect(call).toBeGreaterThan(from);
      expect(worthOf(e, String(call - aPump)).because).toMatch(/too soon/u);
      const last = trace.findLastIndex((_, i) => e.worth(String(i))?.right);
      // The last of the trace is as late as one can be.
      if (last < trace.length - 1)
        expect(worthOf(e, String(last + 1)).because).toMatch(/too late/u);
      expect(last - call).toBeGreaterThanOrEqual(Math.min(aPump, trace.length - 1 - call) / 2);
      expect(e.worth(String(trace.length))).toBeUndefined();
    }
  });
});

describe('a nut', () => {
  const nut = (seed: number, level: number) => {
    const { picture } = exercise('nut', seed, level);
    if (picture.of !== 'nut') throw new Error('no nut');
    return picture;
  };
  it('pulled by the stand-in wrench to its figures is read within what it may miss', () => {
    for (let seed = 0; seed < 12; seed += 1) {
      const p = nut(seed, 5);
      for (const stage of p.procedure.stages.filter((s) => s.kind === 'torque')) {
        const { nut: made, snugNm } = nutAt(p, stage)!;
        const samples = [];
        for (const s of made.pull({ targetDeg: 720, missDeg: 0, ratchet: false })) {
          samples.push(s);
          if (s.torqueNm >= stage.value!) break;
        }
        samples.push(...made.letGo());
        const figure = pulledFigure('torque', followPull(samples, snugNm))!;
        expect(judgeStage(p.procedure, stage, { actual: figure }).status).toBe('good');
      }
    }
  });
  it('ends at the first stage out of its window or its order, and at any slip', () => {
    const p = nut(3, 2);
    const [first, second] = p.procedure.stages;
    const actual = first!.value!;
    expect(nutEnd(p.procedure, [{ id: first!.id, actual }])).toBeUndefined();
    expect(nutEnd(p.procedure, [{ id: first!.id, actual: 2 * actual }])?.right).toBe(false);
    expect(nutEnd(p.procedure, [{ id: second!.id }])?.because).toMatch(/Out of order/u);
    for (const id of Object.keys(slips))
      expect(nutEnd(p.procedure, [{ id: first!.id, actual }, { id }])).toMatchObject({
        right: false,
        stageId: second!.id,
      });
    // A pull that nobody measured is none, an angle as little as a torque.
    for (const seed of [3, 7]) {
      const { stages } = nut(seed, 2).procedure;
      const pulled = stages.filter((s) => s.kind === 'torque' || s.kind === 'angle').at(-1)!;
      const before = stages.slice(0, stages.indexOf(pulled));
      const steps = before.map(({ id, kind, value }) => ({
        id,
        ...(kind === 'torque' ? { actual: value! } : {}),
      }));
      expect(nutEnd(nut(seed, 2).procedure, [...steps, { id: pulled.id }])?.right).toBe(false);
    }
    expect(pulledNext(p.procedure, [], first!.id)?.id).toBe(first!.id);
    expect(pulledNext(p.procedure, [], 'lock')).toBeUndefined();
  });
});

describe('a mistake in a section', () => {
  it('is seen, comes to something, and harms what is drawn', () => {
    for (const [code, ids] of Object.entries(mistakesOf) as [FamilyCode, MistakeId[]][])
      for (const id of ids) {
        const right = rightBodies(code);
        const { wrong, comes } = withMistake(code, id, 3);
        expect(wrong).not.toEqual(right);
        const roles = new Set(comes.map((b) => b.role));
        expect(mistakes[id].hurt.filter((role) => !roles.has(role))).toEqual([]);
      }
    expect(() => withMistake('P3', 'spacer-missing', 3)).toThrow(/mistake/u);
  });
});

describe('a noise in that of a road', () => {
  it('is the less like itself the less it stands over the road', () => {
    const likeness = (a: Float32Array, b: Float32Array) => {
      const dot = (x: Float32Array, y: Float32Array) => x.reduce((sum, v, i) => sum + v * y[i]!, 0);
      return dot(a, b) / Math.sqrt(dot(a, a) * dot(b, b));
    };
    for (const sound of sounds) {
      const clean = soundSamples(sound, 1, 8000);
      const like = [20, 10, 0].map((db) => likeness(clean, soundInRoad(sound, 1, 8000, db)));
      expect(like[0]!).toBeGreaterThan(0.98);
      expect(like[1]!).toBeLessThan(like[0]!);
      expect(like[2]!).toBeLessThan(like[1]!);
    }
  });
});
