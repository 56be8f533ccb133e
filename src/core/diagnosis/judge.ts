import { clues, type Complaint } from './complaint.ts';
import { suspectsFor, type Layout, type Place, type Suspect } from './suspects.ts';
import { likelihood, outcomes, placesOf, testById, type TestKind, type TestResult } from './tests.ts';
import { tests } from './tests.data.ts';

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
  bitsPerMinute: number;
  /** What each answer would do to the leading suspect. */
  answers: { label: string; probability: number; leaderId: string }[];
}

export interface Judgement {
  suspects: RankedSuspect[];
  next: NextTest[];
  /** Probability from which replacing costs less than testing on. */
  replaceLine: number;
  lineReason: string;
  call: 'replace' | 'test' | 'stuck';
  callText: string;
}

/** What a wrong call costs here, in minutes of work. */
export interface Stakes {
  wrongMinutes: number;
}

/**
 * Results of one group share their errors, so what a group may add is capped: log-likelihoods are summed within
 * the group, centred, and bent over by c·tanh(x/c). Monotone and free of order. c in nats is our judgement.
 */
const groupCap = 3;

export interface Evidence {
  label: string;
  group: string;
  weight: (s: Suspect) => number;
}

/** Complaint and results as evidence on the suspects; results that could not be had say nothing. */
export function evidenceOf(complaint: Complaint | undefined, results: readonly TestResult[]): Evidence[] {
  return [
    ...(complaint ? clues(complaint).map((c) => ({ ...c, group: 'driver' })) : []),
    ...results.filter((r) => !r.skipped).flatMap((r): Evidence[] => {
      const t = testById(r.testId);
      return t ? [{ label: resultInWords(t, r), group: t.group, weight: (s) => likelihood(t, r.place, r, s) }] : [];
    }),
  ];
}

/** "Hand on the spring RF: gritty" */
export function resultInWords(t: TestKind, r: TestResult): string {
  const where = r.place === 'car' ? '' : ` ${r.place}`;
  if (r.skipped) return `${t.short}${where}: could not do`;
  if (t.numeric) return `${t.short}${where}: left ${(r.value ?? 0) >= 0 ? '+' : '−'}${Math.abs(r.value ?? 0).toFixed(0)} ${t.numeric.unit}`;
  return `${t.short}${where}: ${t.results.find((x) => x.id === r.result)?.name.toLowerCase() ?? r.result}`;
}

const normalised = (w: readonly number[]): number[] => {
  const sum = w.reduce((a, b) => a + b, 0);
  return w.map((x) => x / sum);
};

/** Posterior over the suspects: prior times the capped likelihood of every group (Bayes). Sums to 1. */
export function posterior(suspects: readonly Suspect[], evidence: readonly Evidence[]): number[] {
  const groups = [...new Set(evidence.map((e) => e.group))];
  const logs = suspects.map((s) => Math.log(s.prior));
  for (const g of groups) {
    const sums = suspects.map((s) => evidence.filter((e) => e.group === g).reduce((a, e) => a + Math.log(e.weight(s)), 0));
    const centre = suspects.reduce((a, s, i) => a + s.prior * sums[i]!, 0);
    sums.forEach((x, i) => { logs[i]! += groupCap * Math.tanh((x - centre) / groupCap); });
  }
  const top = Math.max(...logs);
  return normalised(logs.map((l) => Math.exp(l - top)));
}

const entropyBits = (p: readonly number[]) => p.reduce((h, x) => (x > 0 ? h - x * Math.log2(x) : h), 0);

/** Expected information of a test, bits: entropy now less the mean entropy over its outcomes. */
export function expectedBits(suspects: readonly Suspect[], evidence: readonly Evidence[], t: TestKind, place: Place): number {
  const now = posterior(suspects, evidence);
  const list = outcomes(t).map((o) => ({ chance: suspects.reduce((a, s, i) => a + now[i]! * likelihood(t, place, o, s) * o.width, 0), after: after(suspects, evidence, t, place, o) }));
  const all = list.reduce((a, o) => a + o.chance, 0);
  return entropyBits(now) - list.reduce((h, o) => h + (o.chance / all) * entropyBits(o.after), 0);
}

const after = (suspects: readonly Suspect[], evidence: readonly Evidence[], t: TestKind, place: Place, o: { result?: string; value?: number }) =>
  posterior(suspects, [...evidence, { label: '', group: t.group, weight: (s) => likelihood(t, place, o, s) }]);

/** A test done, or that could not be done, is not offered again at the same place. */
const undone = (t: TestKind, place: Place, results: readonly TestResult[]) => !results.some((r) => r.testId === t.id && r.place === place);

/**
 * The whole judgement from complaint and results. Pure and exact: the suspects are few enough to enumerate.
 */
export function judge(layout: Layout, complaint: Complaint | undefined, results: readonly TestResult[], stakes: Stakes = { wrongMinutes: 160 }): Judgement {
  const suspects = suspectsFor(layout);
  const evidence = evidenceOf(complaint, results);
  const now = posterior(suspects, evidence);
  const before = posterior(suspects, evidence.slice(0, Math.max(0, evidence.length - (results.some((r) => !r.skipped) ? 1 : 0))));
  const ranked = suspects
    .map((s, i): RankedSuspect => ({ ...s, probability: now[i]!, before: before[i]!, reasons: reasonsFor(s, suspects, evidence) }))
    .sort((a, b) => b.probability - a.probability);
  const next = tests
    .flatMap((test) => placesOf(test).filter((place) => undone(test, place, results)).map((place) => ({ test, place })))
    .map(({ test, place }) => ({ test, place, bits: expectedBits(suspects, evidence, test, place) }))
    .map((n): NextTest => ({ ...n, bitsPerMinute: n.bits / n.test.minutes, answers: [] }))
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
  const top = next[0];
  if (top) top.answers = answersOf(suspects, evidence, top, ranked[0]!);
  return { suspects: ranked, next, ...callOf(ranked, next, (n) => expectedSaving(suspects, evidence, n, stakes.wrongMinutes), stakes) };
}

function reasonsFor(s: Suspect, all: readonly Suspect[], evidence: readonly Evidence[]): Reason[] {
  let before = posterior(all, []);
  return evidence.map((e, n) => {
    const p = posterior(all, evidence.slice(0, n + 1));
    const i = all.indexOf(s);
    const bits = Math.log2(p[i]! / before[i]!);
    before = p;
    return { label: e.label, bits };
  });
}

function answersOf(suspects: readonly Suspect[], evidence: readonly Evidence[], n: NextTest, leader: RankedSuspect): NextTest['answers'] {
  const at = n.test.numeric ? [n.test.numeric.to / 3, 0, -n.test.numeric.to / 3].map((value) => ({ value, label: value === 0 ? 'Both the same' : `${value > 0 ? 'Left' : 'Right'} by ${Math.abs(value).toFixed(0)} ${n.test.numeric!.unit}` }))
    : n.test.results.map((r) => ({ result: r.id, label: r.name }));
  return at.map((o) => {
    const p = after(suspects, evidence, n.test, n.place, o);
    const lead = p.indexOf(Math.max(...p));
    return { label: o.label, probability: p[suspects.findIndex((s) => s.id === leader.id)]!, leaderId: suspects[lead]!.id };
  });
}

/** Minutes of wrong work that a test can be expected to save: the fall of (1 − best) over its outcomes, times the loss. */
function expectedSaving(suspects: readonly Suspect[], evidence: readonly Evidence[], n: NextTest, loss: number): number {
  const now = posterior(suspects, evidence);
  const list = outcomes(n.test).map((o) => ({ chance: suspects.reduce((a, s, i) => a + now[i]! * likelihood(n.test, n.place, o, s) * o.width, 0), best: Math.max(...after(suspects, evidence, n.test, n.place, o)) }));
  const all = list.reduce((a, o) => a + o.chance, 0);
  return loss * (list.reduce((a, o) => a + (o.chance / all) * o.best, 0) - Math.max(...now));
}

/** Below this no call is made on the ground that further tests do not pay (judgement). */
const leastForCall = 0.8;

/**
 * Replacing is right once the expected loss of a wrong call is no more than the next test's minutes,
 * (1 − p) × loss ≤ minutes; or once no test left can be expected to save what it costs.
 */
function callOf(ranked: readonly RankedSuspect[], tests: readonly NextTest[], saving: (n: NextTest) => number, { wrongMinutes }: Stakes): Pick<Judgement, 'replaceLine' | 'lineReason' | 'call' | 'callText'> {
  const next = tests[0];
  const minutes = next?.test.minutes ?? wrongMinutes;
  const replaceLine = Math.min(0.99, Math.max(0.5, 1 - minutes / wrongMinutes));
  const lineReason = `A wrong call loses about ${wrongMinutes} min and a part; the next test takes ${minutes}.`;
  const top = ranked[0]!;
  if (top.probability >= replaceLine) return { replaceLine, lineReason, call: 'replace', callText: 'Another test costs more than it can save.' };
  const pays = tests.slice(0, 8).some((n) => saving(n) > n.test.minutes);
  if (!pays && top.probability >= leastForCall) return { replaceLine, lineReason, call: 'replace', callText: 'No test left can be expected to save the minutes it takes.' };
  if (!next || next.bits < 0.02) return { replaceLine, lineReason, call: 'stuck', callText: `No test left here can part ${top.name.toLowerCase()} from ${ranked[1]?.name.toLowerCase() ?? 'the rest'}. Read the part on the bench.` };
  return { replaceLine, lineReason, call: 'test', callText: `${next.test.short}${next.place === 'car' ? '' : `, ${next.place}`} tells most per minute.` };
}
