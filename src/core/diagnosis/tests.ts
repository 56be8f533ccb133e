import { type Static, Type } from '@sinclair/typebox';
import { corners } from '../corner.ts';
import { closed, Id, Maybe, oneOf } from '../schemas/common.ts';
import { curveAt, curvesOf } from './curves.ts';
import { type Layout, type Place, places, relation, type Suspect } from './suspects.ts';
import { tests } from './tests.data.ts';

interface TestBase {
  id: string;
  name: string;
  short: string;
  /** Where it is made: once for the car, once an axle or once a corner. */
  place: 'car' | 'axle' | 'corner';
  minutes: number;
  /** State the car must be in; `off`: the part lies on the bench, too late to save it, so such a test is never offered. */
  state: 'driven' | 'lifted' | 'wheel-off' | 'off';
  tools: readonly string[];
  /** Layouts on which it says anything; all when left out. */
  layouts?: readonly Layout[];
  /** Tests of one group share their errors, so together they count for less than apart. */
  group: string;
  why: string;
  /** What can hurt while it is made. */
  caution?: string;
}

export type TestKind = TestBase &
  (
    | {
        results: readonly { id: string; name: string }[];
        /** The results are degrees of one thing, mildest first: worse never clears what it speaks of. */
        graded?: true;
        rows: Readonly<Record<string, readonly number[]>>;
        numeric?: undefined;
        bells?: undefined;
      }
    | {
        numeric: { unit: string; label: string; from: number; to: number; step: number };
        bells: Readonly<Record<string, readonly [mean: number, spread: number]>>;
        graded?: undefined;
        results?: undefined;
        rows?: undefined;
      }
  );

/** One answer: an ordinal result or a number, at a place. `skipped` says it could not be done. */
export const TestResultSchema = closed({
  testId: Id,
  place: oneOf(places),
  result: Maybe(Id),
  value: Maybe(Type.Number({ minimum: -500, maximum: 500 })),
  skipped: Maybe(Type.Boolean()),
  /** What was found may be something else: a bearing's orders by its ring size only. It counts half. */
  doubt: Maybe(Type.Boolean()),
  /** The reading came from a simulated instrument. */
  standIn: Maybe(Type.Boolean()),
});
export type TestResult = Static<typeof TestResultSchema>;

/** Minutes to bring the car from one state to another (common practice, no published source). */
export function changeMinutes(from: TestKind['state'] | undefined, to: TestKind['state']): number {
  if (from === undefined || from === to) return 0;
  const pair = new Set([from, to]);
  if (!pair.has('driven')) return 5;
  return pair.has('wheel-off') ? 11 : 6;
}

export const testById = (id: string): TestKind | undefined => tests.find((t) => t.id === id);
const placesBy: Record<TestKind['place'], readonly Place[]> = {
  car: ['car'],
  axle: ['front', 'rear'],
  corner: corners,
};
export const placesOf = (t: TestKind): readonly Place[] => placesBy[t.place];

/** Why a result is not one this test can have; undefined when it is. */
export function resultFault(r: TestResult): { field: string; reason: string } | undefined {
  const t = testById(r.testId);
  if (!t) return { field: 'testId', reason: `No test is called “${r.testId}”.` };
  if (!placesOf(t).includes(r.place))
    return { field: 'place', reason: `“${r.place}” is not a place of the test “${t.short}”.` };
  if (r.skipped) return undefined;
  if (t.numeric) {
    if (r.value === undefined || !Number.isFinite(r.value))
      return { field: 'value', reason: `“${t.short}” needs a number in ${t.numeric.unit}.` };
    if (Math.abs(r.value) > 3 * t.numeric.to)
      return {
        field: 'value',
        reason: `${r.value} ${t.numeric.unit} is beyond what “${t.short}” can read.`,
      };
  } else if (!t.results.some((x) => x.id === r.result))
    return {
      field: 'result',
      reason: `“${r.result ?? ''}” is not a result of the test “${t.short}”.`,
    };
  return undefined;
}

/** Key of the row that holds for a suspect at a place. */
export function rowKey(table: Readonly<Record<string, unknown>>, s: Suspect, place: Place): string {
  const exact = relation(s, place);
  return [exact, s.kind].find((key) => key in table) ?? 'rest';
}
const row = <T>(table: Readonly<Record<string, T>>, s: Suspect, place: Place): T =>
  table[rowKey(table, s, place)]!;

const grid = (n: NonNullable<TestKind['numeric']>): number[] =>
  Array.from({ length: Math.round((n.to - n.from) / n.step) + 1 }, (_, i) => n.from + i * n.step);

/** Likelihood of a result under a suspect. */
export function likelihood(
  t: TestKind,
  place: Place,
  r: { result?: string; value?: number },
  s: Suspect,
): number {
  if (t.numeric) return curveAt(curvesOf(t), rowKey(t.bells, s, place), r.value ?? 0);
  const i = t.results.findIndex((x) => x.id === r.result);
  return row(t.rows, s, place)[i] ?? 1;
}

/** Share of its bits that a result counts for: what is only likely to be what it seems counts half (judgement). */
export const trustIn = (r: TestResult): number => (r.doubt ? 0.5 : 1);

/** Likelihood of a result where nothing that this test sees is wrong. */
export function background(t: TestKind, r: { result?: string; value?: number }): number {
  if (t.numeric) return curveAt(curvesOf(t), 'rest', r.value ?? 0);
  return t.rows['rest']![t.results.findIndex((x) => x.id === r.result)] ?? 1;
}

/** All outcomes of a test with their weights: the results, or a grid over the number. */
export function outcomes(t: TestKind): { result?: string; value?: number; width: number }[] {
  if (!t.numeric) return t.results.map((r) => ({ result: r.id, width: 1 }));
  const { step } = t.numeric;
  return grid(t.numeric).map((value) => ({ value, width: step }));
}
