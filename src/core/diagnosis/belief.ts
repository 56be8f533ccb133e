import type { Evidence } from './judge.ts';
import { type Causes, suspectsBy } from './priors.ts';
import type { Layout, Place, Suspect } from './suspects.ts';
import { tests as ours } from './tests.data.ts';
import { likelihood, outcomes, placesOf, type TestKind } from './tests.ts';

/**
 * Results of one group share their errors, so what a group may add is capped: log-likelihoods are summed within
 * the group, centred on the prior mean, and bent over by c·tanh(x/c). Monotone and free of order. c in nats,
 * engineering judgement, set so that stated probabilities hold on perturbed cars (npm run bench).
 */
export const groupCap = (group: string): number => (group === 'driver' ? 2 : 9);

/** Share of every stated probability that stays with the prior: the model itself may be wrong (judgement). */
const modelDoubt = 0.01;
export const stated = (probability: number, prior: number): number =>
  (1 - modelDoubt) * probability + modelDoubt * prior;

/** One test at one place, with the chance of each outcome under each suspect, and its logarithm. */
export interface Instance {
  test: TestKind;
  place: Place;
  logs: Float64Array[];
  chances: Float64Array[];
}

export interface Model {
  suspects: Suspect[];
  /** Its tests by id, those on the bench too. */
  tests: ReadonlyMap<string, TestKind>;
  priors: Float64Array;
  priorLogs: Float64Array;
  instances: Instance[];
}

const models = new WeakMap<readonly TestKind[], Map<string, Model>>();

/** The model of a layout on a set of tables, built once. */
export function modelOf(layout: Layout, tests: readonly TestKind[] = ours, causes?: Causes): Model {
  const kept = models.get(tests) ?? new Map<string, Model>();
  models.set(tests, kept);
  const key = JSON.stringify([layout, causes]);
  const known = kept.get(key);
  if (known) return known;
  const suspects = suspectsBy(layout, causes);
  const instances = tests
    .filter((t) => t.state !== 'off' && (!t.layouts || t.layouts.includes(layout)))
    .flatMap((test) =>
      placesOf(test).map((place): Instance => {
        const chances = outcomes(test).map((o) =>
          Float64Array.from(suspects, (s) => likelihood(test, place, o, s) * o.width),
        );
        return { test, place, chances, logs: chances.map((c) => c.map(Math.log)) };
      }),
    );
  const priors = Float64Array.from(suspects, (s) => s.prior);
  const model: Model = {
    suspects,
    tests: new Map(tests.map((t) => [t.id, t])),
    priors,
    priorLogs: priors.map(Math.log),
    instances,
  };
  kept.set(key, model);
  return model;
}

/** Log sums of each group so far, and what they add after the cap. */
export interface Belief {
  sums: Map<string, Float64Array>;
  added: Map<string, Float64Array>;
  logs: Float64Array;
  now: Float64Array;
}

/** What a group adds: its sums centred on the prior mean and bent over. */
function capped(sums: Float64Array, suspects: readonly Suspect[], cap: number): Float64Array {
  const out = new Float64Array(sums.length);
  let centre = 0;
  for (let i = 0; i < sums.length; i++) centre += suspects[i]!.prior * sums[i]!;
  for (let i = 0; i < sums.length; i++) out[i] = cap * Math.tanh((sums[i]! - centre) / cap);
  return out;
}

function shares(logs: Float64Array, out = new Float64Array(logs.length)): Float64Array {
  let top = -Infinity;
  for (const l of logs) if (l > top) top = l;
  let sum = 0;
  for (let i = 0; i < logs.length; i++) sum += out[i] = Math.exp(logs[i]! - top);
  for (let i = 0; i < logs.length; i++) out[i]! /= sum;
  return out;
}

export const startBelief = (m: Model): Belief => ({
  sums: new Map(),
  added: new Map(),
  logs: m.priorLogs.slice(),
  now: shares(m.priorLogs),
});

/** Belief after further log-likelihoods of one group. */
export function learn(b: Belief, m: Model, group: string, more: Float64Array): Belief {
  const sums = b.sums.get(group)?.slice() ?? new Float64Array(more.length);
  for (let i = 0; i < more.length; i++) sums[i]! += more[i]!;
  const add = capped(sums, m.suspects, groupCap(group));
  const old = b.added.get(group);
  const logs = b.logs.slice();
  for (let i = 0; i < logs.length; i++) logs[i]! += add[i]! - (old?.[i] ?? 0);
  return {
    sums: new Map(b.sums).set(group, sums),
    added: new Map(b.added).set(group, add),
    logs,
    now: shares(logs),
  };
}

export const beliefOf = (m: Model, evidence: readonly Evidence[]): Belief =>
  evidence.reduce(
    (b, e) =>
      learn(
        b,
        m,
        e.group,
        Float64Array.from(m.suspects, (s) => Math.log(e.weight(s))),
      ),
    startBelief(m),
  );

export interface Worth {
  /** Expected information, bits. */
  bits: number;
  /** Expected probability of the leader after the test. */
  bestAfter: number;
}

/** Entropy in bits and largest share of weights given by their logs; p_i = e^(l_i)/S gives H = ln S − Σ e^(l_i) l_i / S. */
function entropyOf(logs: Float64Array): { bits: number; top: number } {
  let most = -Infinity;
  for (const l of logs) if (l > most) most = l;
  let sum = 0;
  let weighted = 0;
  for (const l of logs) {
    const e = Math.exp(l - most);
    sum += e;
    weighted += e * (l - most);
  }
  return { bits: (Math.log(sum) - weighted / sum) / Math.LN2, top: 1 / sum };
}

/** What an untried test is worth now: expected fall of entropy, and how sure the best call would be. */
export function worthOf(b: Belief, m: Model, { test, logs, chances }: Instance): Worth {
  const n = m.suspects.length;
  const sums = b.sums.get(test.group);
  const old = b.added.get(test.group);
  const trial = new Float64Array(n);
  const cap = groupCap(test.group);
  let all = 0;
  let left = 0;
  let best = 0;
  logs.forEach((l, k) => {
    const c = chances[k]!;
    let chance = 0;
    let centre = 0;
    for (let i = 0; i < n; i++) {
      chance += b.now[i]! * c[i]!;
      trial[i] = (sums === undefined ? 0 : sums[i]!) + l[i]!;
      centre += m.priors[i]! * trial[i]!;
    }
    // c·tanh(x/c) = c − 2c/(e^(2x/c) + 1): one exponential a suspect in the innermost loop.
    for (let i = 0; i < n; i++)
      trial[i] =
        b.logs[i]! -
        (old === undefined ? 0 : old[i]!) +
        cap -
        (2 * cap) / (Math.exp((2 * (trial[i]! - centre)) / cap) + 1);
    const after = entropyOf(trial);
    all += chance;
    left += chance * after.bits;
    best += chance * after.top;
  });
  return { bits: entropyOf(b.logs).bits - left / all, bestAfter: best / all };
}
