import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asWritten, lowerBoundMin, plan, planFromNow, type Task, taskFault } from './index.ts';

const task = (id: string, more: Partial<Task> = {}): Task => ({
  id,
  label: id,
  place: 'car',
  handsMin: 10,
  waitMin: 0,
  after: [],
  ...more,
});

/** Tasks that wait only for earlier ones, in three places. */
const taskList = (most: number): fc.Arbitrary<Task[]> =>
  fc
    .array(
      fc.record({
        place: fc.constantFrom('car', 'press', 'bench'),
        handsMin: fc.integer({ min: 0, max: 20 }),
        waitMin: fc.constantFrom(0, 0, 15, 40),
        before: fc.array(fc.nat(), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) =>
      list.map(({ before, ...t }, i) =>
        task(String(i), {
          ...t,
          handsMin: t.handsMin + t.waitMin === 0 ? 5 : t.handsMin,
          after: i === 0 ? [] : [...new Set(before.map((b) => String(b % i)))],
        }),
      ),
    );

/** The shortest of all plans by trying every moment: minute by minute, every choice of what begins then. Written for the test alone. */
function byEveryMoment(tasks: readonly Task[], people: number): number {
  let best = Infinity;
  const step = (now: number, begun: ReadonlyMap<string, number>, end: number): void => {
    if (end >= best) return;
    if (begun.size === tasks.length) {
      best = end;
      return;
    }
    const over = (id: string) => {
      const at = begun.get(id);
      const t = tasks.find((x) => x.id === id)!;
      return at !== undefined && at + t.handsMin + t.waitMin <= now;
    };
    const busy = tasks.filter((t) => {
      const at = begun.get(t.id);
      return at !== undefined && t.handsMin > 0 && at <= now && now < at + t.handsMin;
    });
    for (const t of tasks) {
      if (begun.has(t.id) || !t.after.every(over)) continue;
      const hands = t.handsMin > 0;
      if (hands && (busy.length >= people || busy.some((b) => b.place === t.place))) continue;
      step(now, new Map(begun).set(t.id, now), Math.max(end, now + t.handsMin + t.waitMin));
    }
    // Nothing begins now: on to the next moment at which something ends.
    const moments = tasks.flatMap((t) => {
      const at = begun.get(t.id);
      return at === undefined ? [] : [at + t.handsMin, at + t.handsMin + t.waitMin];
    });
    const next = Math.min(...moments.filter((m) => m > now));
    if (Number.isFinite(next)) step(next, begun, end);
  };
  step(0, new Map(), 0);
  return best;
}

describe('a plan', () => {
  it('is as short as the shortest that can be found by trying every moment', () => {
    fc.assert(
      fc.property(taskList(6), fc.constantFrom(1, 2), (tasks, n) => {
        const people = ['ines', 'rafe'].slice(0, n);
        const found = plan(tasks, people);
        expect(found.exact).toBe(true);
        expect(found.endMin).toBe(byEveryMoment(tasks, n));
      }),
      { numRuns: 150 },
    );
  });
  it('keeps order, hands and places, and is never shorter than its bound nor longer than what was written', () => {
    fc.assert(
      fc.property(taskList(24), fc.constantFrom(1, 2), (tasks, n) => {
        const people = ['ines', 'rafe'].slice(0, n);
        const { placed, endMin, boundMin } = plan(tasks, people);
        expect(placed).toHaveLength(tasks.length);
        expect(boundMin).toBe(lowerBoundMin(tasks, people));
        expect(endMin).toBeGreaterThanOrEqual(boundMin);
        expect(endMin).toBe(Math.max(...placed.map((p) => p.endMin)));
        const at = new Map(placed.map((p) => [p.task.id, p]));
        for (const p of placed)
          for (const id of p.task.after)
            expect(p.startMin).toBeGreaterThanOrEqual(at.get(id)!.endMin);
        const hands = placed.filter((p) => p.by !== undefined);
        for (const a of hands)
          for (const b of hands)
            if (a !== b && (a.by === b.by || a.task.place === b.task.place))
              expect(a.freeMin <= b.startMin || b.freeMin <= a.startMin).toBe(true);
      }),
      { numRuns: 100 },
    );
  });
  it('uses the waits: what needs no soak is done meanwhile', () => {
    const tasks = [
      task('soak', { handsMin: 2, waitMin: 20 }),
      task('strip', { handsMin: 30, after: ['soak'] }),
      task('press', { place: 'press', handsMin: 18 }),
    ];
    expect(asWritten(tasks, ['ines']).endMin).toBe(52);
    expect(plan(tasks, ['ines'])).toMatchObject({ endMin: 52, exact: true });
    const late = [tasks[2]!, tasks[0]!, tasks[1]!];
    expect(asWritten(late, ['ines']).endMin).toBe(70);
    expect(plan(late, ['ines']).endMin).toBe(52);
  });
  it('gives a task to the one who may do it', () => {
    const tasks = [task('a', { person: 'ines' }), task('b', { person: 'ines', place: 'press' })];
    expect(plan(tasks, ['ines', 'rafe'])).toMatchObject({ endMin: 20, boundMin: 20 });
  });
  it('goes on from now when something took longer', () => {
    const tasks = [
      task('a'),
      task('b', { after: ['a'], waitMin: 30 }),
      task('c', { after: ['b'], place: 'press' }),
    ];
    const later = planFromNow(
      tasks,
      ['ines'],
      new Map([
        ['a', { over: true as const }],
        ['b', { handsLeftMin: 0, waitLeftMin: 12 }],
      ]),
    );
    expect(later.placed.map((p) => [p.task.id, p.startMin, p.endMin])).toEqual([
      ['b', 0, 12],
      ['c', 12, 22],
    ]);
  });
  it.each([
    [
      'tasks that wait for each other',
      [task('a', { after: ['b'] }), task('b', { after: ['a'] })],
      /^These wait for each other: a → b → a\.$/u,
    ],
    ['a task of no time', [task('a', { handsMin: 0 })], /takes no time/u],
    ['a time that cannot be', [task('a', { handsMin: -3 })], /no time that can be/u],
    ['somebody who left', [task('a', { person: 'tobi' })], /waits for tobi, who is not here/u],
    ['what is not planned', [task('a', { after: ['z'] })], /“z”, which is not planned/u],
    ['two of one name', [task('a'), task('a')], /same name/u],
  ] as const)('says what is wrong with %s', (_what, tasks, says) => {
    expect(taskFault(tasks, ['ines'])).toMatch(says);
    expect(() => plan(tasks, ['ines'])).toThrow(RangeError);
  });
  it('needs somebody', () => {
    expect(taskFault([task('a')], [])).toBe('Nobody is there to do it.');
  });
});
