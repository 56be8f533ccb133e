/**
 * 10,000 made-up cars with known faults: tests, minutes, right calls, calibration and the total cost of our order, which
 * stops by its own rule, against a call without any test: minutes, and the stakes for each call that is wrong.
 */
import {
  callOf,
  changeMinutes,
  type Instance,
  type Layout,
  learn,
  likelihood,
  type Model,
  modelOf,
  nextTests,
  startBelief,
  stated,
} from '../../src/core/diagnosis/index.ts';
import { madeUpCar, type MadeUpCar, random } from '../../src/core/standins/cars.ts';

const stakes = { wrongMinutes: 160 };

interface Outcome {
  tests: number;
  minutes: number;
  right: boolean;
  said: number;
}

/** Tests one car until the call is made; `untested`: it is made at once. */
function diagnose(m: Model, car: MadeUpCar, untested: boolean): Outcome {
  let belief = startBelief(m);
  const done = new Set<Instance>();
  let state: Instance['test']['state'] | undefined;
  let minutes = 0;
  for (;;) {
    const next = untested ? [] : nextTests(m, belief, (i) => done.has(i), state, stakes);
    const ranked = m.suspects
      .map((s, i) => ({ name: s.name, probability: stated(belief.now[i]!, s.prior), id: s.id }))
      .sort((a, b) => b.probability - a.probability);
    const over = untested || callOf(ranked, next, stakes).call !== 'test';
    const pick =
      next[0] && m.instances.find((i) => i.test === next[0]!.test && i.place === next[0]!.place);
    if (over || !pick)
      return {
        tests: done.size,
        minutes,
        right: ranked[0]!.id === car.fault.id,
        said: ranked[0]!.probability,
      };
    minutes += pick.test.minutes + changeMinutes(state, pick.test.state);
    state = pick.test.state;
    done.add(pick);
    const answer = car.answer(pick.test, pick.place);
    belief = learn(
      belief,
      m,
      pick.test.group,
      Float64Array.from(m.suspects, (s) => Math.log(likelihood(pick.test, pick.place, answer, s))),
    );
  }
}

/** Mean distance of what was said from what came true, over ten bins of what was said. */
function calibrationError(list: readonly Outcome[]): number {
  return (
    Array.from({ length: 10 }, (_, b) =>
      list.filter((o) => Math.min(9, Math.floor(o.said * 10)) === b),
    )
      .filter((bin) => bin.length > 0)
      .reduce(
        (sum, bin) => sum + Math.abs(bin.reduce((a, o) => a + o.said - Number(o.right), 0)),
        0,
      ) / list.length
  );
}

const mean = (list: readonly Outcome[], of: (o: Outcome) => number) =>
  list.reduce((a, o) => a + of(o), 0) / list.length;
const layouts: readonly Layout[] = ['front', 'rear', 'all', 'solid-rear'];

/** Minutes, and the stakes where the call was wrong. */
const cost = (o: Outcome) => o.minutes + (o.right ? 0 : stakes.wrongMinutes);

export interface Comparison {
  /** Mean total cost of a car, minutes, its standard error, and its share of what no test costs. */
  total: number;
  totalError: number;
  shareOfNone: number;
  /** The most that our order costs over no test at all, of the layouts, minutes. */
  worstOverNone: number;
  ece: number;
  text: string;
}

/** Our order and a call without any test, on the same cars. */
export function compareOrders(cars: number, spread: number, seed: number): Comparison {
  const r = random(seed);
  const ours: Outcome[] = [];
  const none: Outcome[] = [];
  for (let n = 0; n < cars; n++) {
    const m = modelOf(layouts[n % layouts.length]!);
    const car = madeUpCar(m.suspects, r, spread);
    ours.push(diagnose(m, car, false));
    none.push(diagnose(m, car, true));
  }
  const line = (name: string, l: readonly Outcome[]) =>
    `${name} ${mean(l, cost).toFixed(1)} min in all: ${mean(l, (o) => o.tests).toFixed(1)} tests, ${mean(l, (o) => o.minutes).toFixed(1)} min, ${(100 * mean(l, (o) => Number(o.right))).toFixed(1)} % right, ECE ${(100 * calibrationError(l)).toFixed(1)} %`;
  const total = mean(ours, cost);
  const over = layouts.map((_, at) => {
    const of = (l: readonly Outcome[]) =>
      mean(
        l.filter((_o, n) => n % layouts.length === at),
        cost,
      );
    return of(ours) - of(none);
  });
  return {
    total,
    totalError: Math.sqrt(mean(ours, (o) => (cost(o) - total) ** 2) / ours.length),
    shareOfNone: (100 * total) / mean(none, cost),
    worstOverNone: Math.max(...over),
    ece: 100 * calibrationError(ours),
    text: `${line('our order:', ours)}; ${line('no test:', none)}`,
  };
}
