/**
 * 10,000 made-up cars with known faults: tests, minutes, right calls and calibration of our order, which stops by its
 * own rule, against the fixed order of the table, which stops once a suspect stands at nine in ten. Same judgement.
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

/** Where one who works the table down would make the call. */
const tableSure = 0.9;

interface Outcome {
  tests: number;
  minutes: number;
  right: boolean;
  said: number;
}

/** Tests one car until the call is made; `fixed` takes the table in its order. */
function diagnose(m: Model, car: MadeUpCar, fixed: boolean): Outcome {
  let belief = startBelief(m);
  const done = new Set<Instance>();
  let state: Instance['test']['state'] | undefined;
  let minutes = 0;
  for (;;) {
    const next = fixed ? [] : nextTests(m, belief, (i) => done.has(i), state, stakes);
    const ranked = m.suspects
      .map((s, i) => ({ name: s.name, probability: stated(belief.now[i]!, s.prior), id: s.id }))
      .sort((a, b) => b.probability - a.probability);
    const over = fixed
      ? ranked[0]!.probability >= tableSure
      : callOf(ranked, next, stakes).call !== 'test';
    const pick = fixed
      ? m.instances.find((i) => !done.has(i))
      : next[0] && m.instances.find((i) => i.test === next[0]!.test && i.place === next[0]!.place);
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

export interface Comparison {
  minutesSaved: number;
  accuracyGained: number;
  /** Standard error of the paired difference. */ accuracyError: number;
  ece: number;
  text: string;
}

/** Both orders on the same cars. */
export function compareOrders(cars: number, spread: number, seed: number): Comparison {
  const r = random(seed);
  const ours: Outcome[] = [];
  const fixed: Outcome[] = [];
  for (let n = 0; n < cars; n++) {
    const m = modelOf(layouts[n % layouts.length]!);
    const car = madeUpCar(m.suspects, r, spread);
    ours.push(diagnose(m, car, false));
    fixed.push(diagnose(m, car, true));
  }
  const line = (name: string, l: readonly Outcome[]) =>
    `${name} ${mean(l, (o) => o.tests).toFixed(1)} tests, ${mean(l, (o) => o.minutes).toFixed(1)} min, ${(100 * mean(l, (o) => Number(o.right))).toFixed(1)} % right, ECE ${(100 * calibrationError(l)).toFixed(1)} %`;
  const gains = ours.map((o, i) => Number(o.right) - Number(fixed[i]!.right));
  const gain = gains.reduce((a, b) => a + b, 0) / gains.length;
  return {
    accuracyError:
      100 *
      Math.sqrt(gains.reduce((a, g) => a + (g - gain) ** 2, 0) / (gains.length - 1) / gains.length),
    minutesSaved: 100 * (1 - mean(ours, (o) => o.minutes) / mean(fixed, (o) => o.minutes)),
    accuracyGained:
      100 * (mean(ours, (o) => Number(o.right)) - mean(fixed, (o) => Number(o.right))),
    ece: 100 * calibrationError(ours),
    text: `${line('our order:', ours)}; ${line('table order:', fixed)}`,
  };
}
