import type { Causes } from './priors.ts';
import { type Layout, suspectsFor } from './suspects.ts';
import { tests } from './tests.data.ts';
import { rowKey, testById, type TestKind, type TestResult } from './tests.ts';

/** A lead's own figures: by test, by row; results in order, or [mean, spread] for a number. */
export type Edits = Readonly<Record<string, Readonly<Record<string, readonly number[]>>>>;

/** A job whose cause was seen on the bench: what its tests had said. */
export interface Outcome {
  jobNumber: string;
  layout: Layout;
  suspectId: string;
  results: TestResult[];
}

/** What outcomes add to a row: how often each result came, or count, sum and sum of squares of the readings. */
export type Counts = Readonly<Record<string, Readonly<Record<string, readonly number[]>>>>;

/** Tables as the shop has them now. */
export interface LikelihoodTables {
  version: number;
  edits: Edits;
  counts: Counts;
  /** Confirmed outcomes that the counts stand on. */
  outcomes: number;
  /** Which causes those were; absent in tables kept before they were counted. */
  causes?: Causes;
}

export const plainTables: LikelihoodTables = { version: 0, edits: {}, counts: {}, outcomes: 0 };

/** A written row counts as many cases as this before an outcome is added (judgement). */
export const writtenWorth = 20;
/** Least chance of any result: nothing is ruled out by one answer alone (judgement). */
export const leastChance = 0.005;

/** Rows of a test, ordinal or numeric, in one shape. */
export const rowsOf = (t: TestKind): Readonly<Record<string, readonly number[]>> =>
  t.numeric ? t.bells : t.rows;

/** Why a row cannot stand; undefined when it can. */
export function rowFault(t: TestKind, key: string, row: readonly number[]): string | undefined {
  if (!rowsOf(t)[key]) return `“${t.short}” has no row “${key}”.`;
  if (t.numeric) {
    const [mean, spread] = row;
    if (row.length !== 2 || mean === undefined || spread === undefined)
      return `“${t.short}” needs a mean and a spread.`;
    if (mean < t.numeric.from || mean > t.numeric.to)
      return `The mean lies outside the scale of ${t.numeric.from} to ${t.numeric.to} ${t.numeric.unit}.`;
    return spread >= t.numeric.step / 4
      ? undefined
      : `A spread under ${t.numeric.step / 4} ${t.numeric.unit} claims more than the reading can.`;
  }
  if (row.length !== t.results.length)
    return `“${t.short}” has ${t.results.length} results, not ${row.length}.`;
  const small = row.findIndex((p) => !(p >= leastChance));
  if (small >= 0)
    return `“${t.results[small]!.name}” is under ${leastChance * 100} %: one answer alone must not rule a cause out.`;
  const sum = row.reduce((a, b) => a + b, 0);
  return Math.abs(sum - 1) < 0.006
    ? undefined
    : `The results sum to ${Math.round(sum * 100)} %, not 100 %.`;
}

/** Counts of a list of outcomes, from nothing. Skipped tests and outcomes whose suspect the layout has not say nothing. */
export function countsOf(outcomes: readonly Outcome[]): Counts {
  const all: Record<string, Record<string, number[]>> = {};
  for (const o of outcomes) {
    const cause = suspectsFor(o.layout).find((s) => s.id === o.suspectId);
    if (!cause) continue;
    for (const r of o.results) {
      const t = testById(r.testId);
      // The bench reading is what named the cause, so it cannot also be learnt from it.
      if (!t || r.skipped || t.state === 'off') continue;
      const key = rowKey(rowsOf(t), cause, r.place);
      const row = ((all[t.id] ??= {})[key] ??= t.numeric ? [0, 0, 0] : t.results.map(() => 0));
      if (t.numeric)
        [1, r.value!, r.value! ** 2].forEach((x, i) => {
          row[i]! += x;
        });
      else row[t.results.findIndex((x) => x.id === r.result)]! += 1;
    }
  }
  return all;
}

/** A row after its counts: Dirichlet mean for results; for a number the pooled mean and spread. Sums to one again. */
export function learnt(
  t: TestKind,
  row: readonly number[],
  count: readonly number[] | undefined,
): readonly number[] {
  if (!count) return row;
  if (!t.numeric) {
    const n = count.reduce((a, b) => a + b, 0);
    return row.map((p, i) => (writtenWorth * p + count[i]!) / (writtenWorth + n));
  }
  const [n, sum, squares] = count as [number, number, number];
  const [mean, spread] = row as [number, number];
  const all = writtenWorth + n;
  const now = (writtenWorth * mean + sum) / all;
  const square = (writtenWorth * (spread ** 2 + mean ** 2) + squares) / all;
  return [now, Math.sqrt(Math.max(spread ** 2 / 4, square - now ** 2))];
}

let last: { tables: LikelihoodTables; tests: readonly TestKind[] } | undefined;
const same = (a: LikelihoodTables, b: LikelihoodTables) =>
  a.version === b.version &&
  a.outcomes === b.outcomes &&
  JSON.stringify([a.edits, a.counts, a.causes]) === JSON.stringify([b.edits, b.counts, b.causes]);

/** The tests with the shop's figures in place of ours. The last book is kept, so that its models are too. */
export function testsOf(tables: LikelihoodTables): readonly TestKind[] {
  if (tables.version === 0 && tables.outcomes === 0) return tests;
  if (last && same(last.tables, tables)) return last.tests;
  const made = tests.map((t): TestKind => {
    const rows = Object.fromEntries(
      Object.entries(rowsOf(t)).map(([key, row]) => [
        key,
        learnt(t, tables.edits[t.id]?.[key] ?? row, tables.counts[t.id]?.[key]),
      ]),
    );
    return (t.numeric ? { ...t, bells: rows } : { ...t, rows }) as TestKind;
  });
  last = { tables, tests: made };
  return made;
}

/** What one outcome changes: the rows it falls into, before and after. */
export function lessonsOf(
  tables: LikelihoodTables,
  outcome: Outcome,
): {
  testId: string;
  key: string;
  before: readonly number[];
  after: readonly number[];
  result: TestResult;
}[] {
  const cause = suspectsFor(outcome.layout).find((s) => s.id === outcome.suspectId);
  if (!cause) return [];
  const before = testsOf(tables);
  return outcome.results.flatMap((result) => {
    const t = before.find((x) => x.id === result.testId);
    const one = t && countsOf([{ ...outcome, results: [result] }])[t.id];
    if (!t || !one) return [];
    const key = Object.keys(one)[0]!;
    const row = tables.edits[t.id]?.[key] ?? rowsOf(testById(t.id)!)[key]!;
    const count = tables.counts[t.id]?.[key];
    return [
      {
        testId: t.id,
        key,
        before: rowsOf(t)[key]!,
        after: learnt(
          t,
          row,
          one[key]!.map((x, i) => x + (count?.[i] ?? 0)),
        ),
        result,
      },
    ];
  });
}

const relationWords: Record<string, string> = {
  here: 'there',
  across: 'on the other side',
  away: 'on the other axle',
  left: 'on the left',
  right: 'on the right',
};
const kindWords: Record<string, string> = {
  bearing: 'Wheel bearing',
  brake: 'Brake drag or shield',
  joint: 'Suspension joint',
  nut: 'Loose nut',
  sensor: 'Sensor or encoder',
  seal: 'Axle seal',
  tyre: 'Tyre',
  cv: 'CV joint',
  ujoint: 'Propshaft joint',
  final: 'Final drive',
  gearbox: 'Gearbox',
  engine: 'Engine',
  nothing: 'Nothing wrong',
  rest: 'Every other cause',
};

/** "Wheel bearing there": a row's key in words. */
export function rowName(key: string): string {
  const [kind = '', where] = key.split(':');
  return `${kindWords[kind] ?? kind}${where ? ` ${relationWords[where] ?? where}` : ''}`;
}
