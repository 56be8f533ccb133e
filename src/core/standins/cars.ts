import {
  likelihood,
  outcomes,
  type Place,
  placesOf,
  type Suspect,
  type TestKind,
  tests,
} from '../diagnosis/index.ts';

/** A stream of numbers in [0, 1) from a seed (mulberry32). */
export function random(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t = (t + Math.imul(t ^ (t >>> 7), t | 61)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Standard normal (Box–Muller). */
export const normal = (r: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - r())) * Math.cos(2 * Math.PI * r());

export function pick<T>(list: readonly T[], weight: (x: T) => number, r: () => number): T {
  let left = r() * list.reduce((a, x) => a + weight(x), 0);
  for (const x of list) if ((left -= weight(x)) < 0) return x;
  return list.at(-1)!;
}

/** A made-up car with one known fault that answers tests. */
export interface MadeUpCar {
  fault: Suspect;
  answer: (test: TestKind, place: Place) => { result?: string; value?: number };
}

/**
 * Draws a car. `spread` 0 answers from our own likelihoods; otherwise each probability is off by a log-normal factor
 * of that σ, and tests of one group share a further term of the same σ, so that they err together.
 */
export function madeUpCar(
  suspects: readonly Suspect[],
  r: () => number,
  spread: number,
): MadeUpCar {
  const fault = pick(suspects, (s) => s.prior, r);
  const shared = new Map(tests.map((t) => [t.group, spread * normal(r)]));
  const drawn = new Map<string, { result?: string; value?: number }>();
  for (const test of tests)
    for (const place of placesOf(test)) {
      const list = outcomes(test);
      const mid = (list.length - 1) / 2;
      // The shared term leans a whole group towards or away from its telling results.
      const lean = (i: number) => {
        if (test.numeric) return Math.sign(i - mid);
        return i === 0 ? -1 : 1;
      };
      const weights = list.map(
        (o, i) =>
          likelihood(test, place, o, fault) *
          Math.exp(spread * normal(r) + (shared.get(test.group)! * lean(i)) / 2),
      );
      const o = pick(list, (x) => weights[list.indexOf(x)]!, r);
      drawn.set(
        `${test.id}@${place}`,
        o.result === undefined ? { value: o.value! } : { result: o.result },
      );
    }
  return { fault, answer: (test, place) => drawn.get(`${test.id}@${place}`)! };
}
