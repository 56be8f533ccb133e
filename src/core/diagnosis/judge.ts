import type { Causes } from './priors.ts';
import {
  type Belief,
  beliefOf,
  groupCap,
  type Instance,
  learn,
  type Model,
  modelOf,
  startBelief,
  stated,
  worthOf,
} from './belief.ts';
import { clues, type Complaint } from './complaint.ts';
import { type Contradiction, contradictions } from './contradiction.ts';
import { historyEvidence, type UnitHistory } from './history.ts';
import { secondFault, type SecondFault } from './second.ts';
import { type Layout, type Place, type Suspect } from './suspects.ts';
import {
  changeMinutes,
  likelihood,
  testById,
  type TestKind,
  type TestResult,
  trustIn,
} from './tests.ts';

export interface Reason {
  label: string;
  /** Bits for (+) or against (−) this suspect, against the field as it then stood. */
  bits: number;
}

export interface RankedSuspect extends Suspect {
  probability: number;
  before: number;
  reasons: Reason[];
}

export interface NextTest {
  test: TestKind;
  place: Place;
  bits: number;
  /** Minutes with the change of the car's state. */
  minutes: number;
  bitsPerMinute: number;
  /** Minutes of wrong work it can be expected to save. */
  saves: number;
  /** What each answer would do to the leading suspect. */
  answers: { label: string; probability: number; leaderId: string }[];
}

export interface Judgement {
  suspects: RankedSuspect[];
  next: NextTest[];
  second: SecondFault | undefined;
  contradictions: Contradiction[];
  /** Probability from which replacing costs less than testing on. */
  replaceLine: number;
  lineReason: string;
  /** `open`: no test pays any more, and what is seen once it is open decides. */
  call: 'replace' | 'open' | 'test' | 'stuck';
  callText: string;
}

/** What a wrong call costs here, in minutes of work. */
export interface Stakes {
  wrongMinutes: number;
  /** Tools that are not at hand; tests that need them are not offered. */
  without?: readonly string[];
}

/** What else bears on a judgement: stakes, the shop's own tables, the unit's history. */
export interface Circumstances extends Partial<Stakes> {
  tables?: readonly TestKind[];
  /** Causes that the shop confirmed: they move the shares before any test. */
  causes?: Causes | undefined;
  history?: UnitHistory;
}

export interface Evidence {
  label: string;
  group: string;
  weight: (s: Suspect) => number;
}

/** History, complaint and results as evidence on the suspects; results that could not be had say nothing. */
export function evidenceOf(
  complaint: Complaint | undefined,
  results: readonly TestResult[],
  m?: Model,
  history?: UnitHistory,
): Evidence[] {
  const made = new Set(results.filter((r) => !r.skipped).map((r) => r.testId));
  const words = complaint ? clues(complaint).filter((c) => !made.has(c.test ?? '')) : [];
  return [
    ...(history ? historyEvidence(history) : []),
    ...words.map((c) => ({ ...c, group: 'driver' })),
    ...results
      .filter((r) => !r.skipped)
      .flatMap((r): Evidence[] => {
        const t = m ? m.tests.get(r.testId) : testById(r.testId);
        return t
          ? [
              {
                label: resultInWords(t, r),
                group: t.group,
                weight: (s) => likelihood(t, r.place, r, s) ** trustIn(r),
              },
            ]
          : [];
      }),
  ];
}

/** "Hand on the spring RF: gritty"; what is only likely, or read by a simulated instrument, is told as such. */
export const resultInWords = (t: TestKind, r: TestResult): string =>
  `${plainWords(t, r)}${r.doubt ? ', with doubt' : ''}${r.standIn ? ', by a stand-in' : ''}`;

function plainWords(t: TestKind, r: TestResult): string {
  const where = r.place === 'car' ? '' : ` ${r.place}`;
  if (r.skipped) return `${t.short}${where}: could not do`;
  if (t.numeric && t.numeric.from >= 0)
    return `${t.short}${where}: ${(r.value ?? 0).toFixed(2)} ${t.numeric.unit}`;
  if (t.numeric)
    return `${t.short}${where}: left ${(r.value ?? 0) >= 0 ? '+' : '−'}${Math.abs(r.value ?? 0).toFixed(0)} ${t.numeric.unit}`;
  return `${t.short}${where}: ${t.results.find((x) => x.id === r.result)?.name.toLowerCase() ?? r.result}`;
}

/**
 * Posterior over the suspects, written out in full: prior times the capped likelihood of every group (Bayes).
 * Sums to 1. The judgement itself uses the same law on prepared tables (model.ts).
 */
export function posterior(suspects: readonly Suspect[], evidence: readonly Evidence[]): number[] {
  const groups = [...new Set(evidence.map((e) => e.group))];
  const logs = suspects.map((s) => Math.log(s.prior));
  for (const g of groups) {
    const sums = suspects.map((s) =>
      evidence.filter((e) => e.group === g).reduce((a, e) => a + Math.log(e.weight(s)), 0),
    );
    const centre = suspects.reduce((a, s, i) => a + s.prior * sums[i]!, 0);
    sums.forEach((x, i) => {
      logs[i]! += groupCap(g) * Math.tanh((x - centre) / groupCap(g));
    });
  }
  const top = Math.max(...logs);
  const w = logs.map((l) => Math.exp(l - top));
  const sum = w.reduce((a, b) => a + b, 0);
  return w.map((x) => x / sum);
}

/** What a further test of one state tells beside the one before it, as a share. Our judgement. */
const besideShare = 0.8;
/** So many tests share the minutes that bring the car into their state. Our judgement. */
const inOneGo = 3;

/** Bits a minute of the tests of one state made in one go, the change of the car's state paid once. */
function rateInOneGo(ofState: readonly NextTest[], changeMin: number): number {
  const list = [...ofState].sort((a, b) => b.bits / b.test.minutes - a.bits / a.test.minutes);
  let [minutes, bits, best] = [changeMin, 0, 0];
  for (const [i, n] of list.slice(0, inOneGo).entries()) {
    minutes += n.test.minutes;
    bits += n.bits * besideShare ** i;
    best = Math.max(best, bits / minutes);
  }
  return best;
}

/** The state first in which a few tests in one go tell most a minute, then by what each tells a minute there. */
function inOrder(tests: readonly NextTest[], state: TestKind['state'] | undefined): NextTest[] {
  const rates = new Map(
    [...new Set(tests.map((n) => n.test.state))].map((to) => [
      to,
      rateInOneGo(
        tests.filter((n) => n.test.state === to),
        changeMinutes(state, to),
      ),
    ]),
  );
  const rate = (n: NextTest) => rates.get(n.test.state) ?? 0;
  return [...tests].sort(
    (a, b) => rate(b) - rate(a) || b.bits / b.test.minutes - a.bits / a.test.minutes,
  );
}

/** Tests not yet done or found impossible, in the order in which they tell most a minute; those in the car's present state come cheaper. */
export function nextTests(
  m: Model,
  belief: Belief,
  done: (i: Instance) => boolean,
  state: TestKind['state'] | undefined,
  { wrongMinutes, without = [] }: Stakes,
): NextTest[] {
  const best = Math.max(...belief.now);
  const open = m.instances
    .filter((i) => !done(i) && !i.test.tools.some((t) => without.includes(t)))
    .map((i): NextTest => {
      const { bits, bestAfter } = worthOf(belief, m, i);
      const minutes = i.test.minutes + changeMinutes(state, i.test.state);
      return {
        test: i.test,
        place: i.place,
        bits,
        minutes,
        bitsPerMinute: bits / minutes,
        saves: wrongMinutes * (bestAfter - best),
        answers: [],
      };
    });
  return inOrder(open, state);
}

/**
 * The whole judgement from complaint and results. Pure and exact: the suspects are few enough to enumerate.
 */
export function judge(
  layout: Layout,
  complaint: Complaint | undefined,
  results: readonly TestResult[],
  { wrongMinutes = 160, without = [], tables, causes, history }: Circumstances = {},
): Judgement {
  const stakes = { wrongMinutes, without };
  const m = modelOf(layout, tables, causes);
  const evidence = evidenceOf(complaint, results, m, history);
  const steps = evidence.reduce<Belief[]>(
    (list, e) => [
      ...list,
      learn(
        list.at(-1)!,
        m,
        e.group,
        Float64Array.from(m.suspects, (s) => Math.log(e.weight(s))),
      ),
    ],
    [startBelief(m)],
  );
  const belief = steps.at(-1)!;
  const before = steps[Math.max(0, steps.length - (results.some((r) => !r.skipped) ? 2 : 1))]!;
  const ranked = m.suspects
    .map((s, i): RankedSuspect => ({
      ...s,
      probability: stated(belief.now[i]!, s.prior),
      before: stated(before.now[i]!, s.prior),
      reasons: evidence.map((e, n) => ({
        label: e.label,
        bits: Math.log2(steps[n + 1]!.now[i]! / steps[n]!.now[i]!),
      })),
    }))
    .sort((a, b) => b.probability - a.probability);
  const state = m.tests.get(results.at(-1)?.testId ?? '')?.state;
  // A test done, or that could not be done, is not offered again at the same place.
  const next = nextTests(
    m,
    belief,
    (i) => results.some((r) => r.testId === i.test.id && r.place === i.place),
    state,
    stakes,
  );
  const second = secondFault(m, ranked[0]!, results);
  const top = next[0];
  if (top) top.answers = answersOf(m, evidence, top, ranked[0]!);
  return {
    suspects: ranked,
    next,
    second,
    contradictions: contradictions(m, results),
    ...callOf(ranked, next, stakes, second),
  };
}

/** What a few answers would do to the leader. */
export function answersOf(
  m: Model,
  evidence: readonly Evidence[],
  n: NextTest,
  leader: RankedSuspect,
): NextTest['answers'] {
  const at = n.test.numeric
    ? numericSamples(n.test.numeric)
    : n.test.results.map((r) => ({ result: r.id, label: r.name }));
  return at.map((o) => {
    const p = beliefOf(m, [
      ...evidence,
      { label: '', group: n.test.group, weight: (s) => likelihood(n.test, n.place, o, s) },
    ]).now;
    return {
      label: o.label,
      probability: stated(p[m.suspects.findIndex((s) => s.id === leader.id)]!, leader.prior),
      leaderId: m.suspects[p.indexOf(Math.max(...p))]!.id,
    };
  });
}

/** From here two bad bearings are called together: which of them is the main one need not be found out (judgement). */
const sureOfTwo = 0.9;
/** Share of two faults at once against all single ones: the pair against the main one alone, by its odds. */
const shareOfBoth = (main: number, second: number): number => {
  const both = (main * second) / (1 - second);
  return both / (both + 1);
};

/** So many of the best tests left say how fast it goes on. Our judgement. */
const asFastAs = 6;
/**
 * A bit at the best halves what a wrong call may cost, and a series of tests sees further than its first: testing goes on
 * while the loss at risk, times the bits of a minute, is over this. Held by the simulation (npm run bench).
 */
const leastReturn = 2;

/** Bits a minute of the best tests that are left, together. */
function bitsPerMinuteLeft(tests: readonly NextTest[]): number {
  const best = [...tests].sort((a, b) => b.bitsPerMinute - a.bitsPerMinute).slice(0, asFastAs);
  const minutes = best.reduce((sum, n) => sum + n.minutes, 0);
  return minutes > 0 ? best.reduce((sum, n) => sum + n.bits, 0) / minutes : 0;
}

/** Whether testing on is expected to save more than it costs: one test by itself, or the best of those left in a row. */
export function testingPays(
  probability: number,
  tests: readonly NextTest[],
  wrongMinutes: number,
): boolean {
  const atRisk = wrongMinutes * (1 - probability);
  return tests.some((n) => n.saves > n.minutes) || atRisk * bitsPerMinuteLeft(tests) > leastReturn;
}

/**
 * Where testing ends: once a wrong call is expected to lose no more than the next test takes, once two bad bearings are
 * told together, or once no test is expected to save what it costs: then it is opened, and what is seen there decides.
 */
export function callOf(
  ranked: readonly { id: string; name: string; probability: number; kind?: string }[],
  tests: readonly NextTest[],
  { wrongMinutes }: Stakes,
  second?: SecondFault,
): Pick<Judgement, 'replaceLine' | 'lineReason' | 'call' | 'callText'> {
  const next = tests[0];
  const minutes = next?.minutes ?? wrongMinutes;
  const replaceLine = Math.min(0.985, Math.max(0.5, 1 - minutes / wrongMinutes));
  const lineReason = `A wrong call loses about ${wrongMinutes} min and a part; the next test takes ${minutes}.`;
  const line = { replaceLine, lineReason };
  const top = ranked[0]!;
  if (top.probability >= replaceLine)
    return {
      ...line,
      call: 'replace',
      callText:
        top.id === 'nothing'
          ? 'Nothing points at a fault. Drive it with the driver until it is heard, or hand it back.'
          : 'Another test costs more than it can save.',
    };
  const twin = second?.suspect;
  if (twin?.kind === 'bearing' && shareOfBoth(top.probability, second!.probability) >= sureOfTwo)
    return {
      ...line,
      call: 'replace',
      callText: `Both: ${top.name.toLowerCase()} first, then ${twin.name.toLowerCase()} in a job of its own.`,
    };
  if (!next)
    return {
      ...line,
      call: 'stuck',
      callText: `No test left here can part ${top.name.toLowerCase()} from ${ranked[1]?.name.toLowerCase() ?? 'the rest'}. Read the part on the bench.`,
    };
  if (!testingPays(top.probability, tests, wrongMinutes)) return { ...line, ...openUp(top) };
  return {
    ...line,
    call: 'test',
    callText: `${next.test.short}${next.place === 'car' ? '' : `, ${next.place}`} tells most per minute.`,
  };
}

function openUp({
  id,
  kind,
  probability,
}: {
  id: string;
  kind?: string;
  probability: number;
}): Pick<Judgement, 'call' | 'callText'> {
  const share = `${Math.round(100 * probability)} %`;
  const why = 'Further tests cost more than they save';
  if (id === 'nothing')
    return {
      call: 'open',
      callText: `Nothing wrong: ${share}. ${why}. Drive it with the driver until it is heard.`,
    };
  return {
    call: 'open',
    callText:
      kind === undefined || kind === 'bearing'
        ? `Open it up: ${share}. ${why}; what is seen there decides.`
        : `Look there first: ${share}. ${why}; what is seen there decides.`,
  };
}

/** Three readings to show what a number would do: both sides and the middle, or low, middling and high. */
function numericSamples({
  from,
  to,
  unit,
}: NonNullable<TestKind['numeric']>): { value: number; label: string }[] {
  if (from < 0)
    return [to / 3, 0, -to / 3].map((value) => ({
      value,
      label:
        value === 0
          ? 'Both the same'
          : `${value > 0 ? 'Left' : 'Right'} by ${Math.abs(value).toFixed(0)} ${unit}`,
    }));
  return [0, to / 4, to / 2].map((value) => ({ value, label: `${value.toFixed(2)} ${unit}` }));
}
