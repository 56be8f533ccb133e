import {
  callOf,
  changeMinutes,
  type Instance,
  learn,
  type Model,
  nextTests,
  startBelief,
  type Suspect,
  type TestKind,
} from '../src/core/diagnosis/index.ts';
import { random } from '../src/core/standins/cars.ts';

/**
 * Small made-up diagnoses whose best course is worked out exactly: every order of tests and every answer, by dynamic
 * programming on plain Bayes. It shares nothing with the order and the end of testing that are held against it.
 */

/** A model of a few suspects and yes-or-no tests, each in a group of its own. */
function smallModel(r: () => number, suspects: number, tests: number): Model {
  const weights = Array.from({ length: suspects }, () => 0.2 + r());
  const sum = weights.reduce((a, b) => a + b, 0);
  const list = weights.map((w, i): Suspect => ({
    id: `s${i}`,
    kind: 'bearing',
    name: `Suspect ${i}`,
    prior: w / sum,
  }));
  const states = ['driven', 'lifted', 'wheel-off'] as const;
  const kinds = Array.from({ length: tests }, (_, i) => {
    const test = {
      id: `t${i}`,
      name: `Test ${i}`,
      short: `Test ${i}`,
      place: 'car',
      minutes: 1 + Math.floor(8 * r()),
      state: states[Math.floor(3 * r())]!,
      tools: [],
      group: `g${i}`,
      why: '',
      results: [
        { id: 'yes', name: 'yes' },
        { id: 'no', name: 'no' },
      ],
      rows: {},
    } as unknown as TestKind;
    const yes = Float64Array.from(list, () => 0.05 + 0.9 * r());
    const chances = [yes, yes.map((p) => 1 - p)];
    return { test, place: 'car', chances, logs: chances.map((c) => c.map(Math.log)) } as Instance;
  });
  const priors = Float64Array.from(list, (s) => s.prior);
  return {
    suspects: list,
    tests: new Map(kinds.map((k) => [k.test.id, k.test])),
    priors,
    priorLogs: priors.map(Math.log),
    instances: kinds,
  };
}

const total = (joint: Float64Array) => joint.reduce((a, b) => a + b, 0);
const times = (joint: Float64Array, c: Float64Array) => joint.map((p, i) => p * c[i]!);
/** What a call costs on this branch, weighed by how likely the branch is. */
const lossOf = (joint: Float64Array, wrong: number) => wrong * (total(joint) - Math.max(...joint));

/** Expected cost of the best course from here, weighed by the branch. */
function best(
  m: Model,
  joint: Float64Array,
  left: readonly Instance[],
  state: TestKind['state'] | undefined,
  wrong: number,
): number {
  let least = lossOf(joint, wrong);
  for (const i of left) {
    let cost = total(joint) * (i.test.minutes + changeMinutes(state, i.test.state));
    const rest = left.filter((x) => x !== i);
    for (const c of i.chances) {
      if (cost >= least) break;
      cost += best(m, times(joint, c), rest, i.test.state, wrong);
    }
    least = Math.min(least, cost);
  }
  return least;
}

/** Expected cost of our order and our end of testing, over every answer. */
function ours(m: Model, wrong: number): number {
  const go = (
    joint: Float64Array,
    belief: ReturnType<typeof startBelief>,
    done: ReadonlySet<Instance>,
    state: TestKind['state'] | undefined,
  ): number => {
    const next = nextTests(m, belief, (i) => done.has(i), state, { wrongMinutes: wrong });
    const ranked = m.suspects
      .map((s, i) => ({ ...s, at: i, probability: belief.now[i]! }))
      .sort((a, b) => b.probability - a.probability);
    if (callOf(ranked, next, { wrongMinutes: wrong }).call !== 'test')
      return wrong * (total(joint) - joint[ranked[0]!.at]!);
    const pick = m.instances.find((i) => i.test === next[0]!.test)!;
    const minutes = pick.test.minutes + changeMinutes(state, pick.test.state);
    const after = new Set([...done, pick]);
    return pick.chances.reduce(
      (sum, c, k) =>
        sum +
        go(
          times(joint, c),
          learn(belief, m, pick.test.group, pick.logs[k]!),
          after,
          pick.test.state,
        ),
      total(joint) * minutes,
    );
  };
  return go(m.priors, startBelief(m), new Set(), undefined);
}

/** Mean cost of the exact optimum, of our order and of no test, over made-up small diagnoses, minutes. */
export function againstExact(
  models: number,
  tests: number,
  seed: number,
  wrong = 160,
): { exact: number; ours: number; none: number; worst: number } {
  const r = random(seed);
  const rows = Array.from({ length: models }, () => {
    const m = smallModel(r, 3 + Math.floor(4 * r()), 2 + Math.floor((tests - 1) * r()));
    const exact = best(m, m.priors, m.instances, undefined, wrong);
    return { exact, ours: ours(m, wrong), none: lossOf(m.priors, wrong) };
  });
  const mean = (of: (x: (typeof rows)[number]) => number) =>
    rows.reduce((sum, x) => sum + of(x), 0) / rows.length;
  return {
    exact: mean((x) => x.exact),
    ours: mean((x) => x.ours),
    none: mean((x) => x.none),
    worst: Math.max(...rows.map((x) => x.ours / x.exact)),
  };
}
