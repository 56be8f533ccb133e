import { livesMissing, worthKnowing } from './enough.ts';
import type { Span } from './life.ts';
import { logRank } from './log-rank.ts';
import { type CurvePoint, type Life, type Median, medianOf, survivalCurve } from './survival.ts';
import { fitWeibull, type IntervalLife, type Weibull } from './weibull.ts';

/** One group of lives as it is drawn and told. */
export interface GroupLives {
  name: string;
  lives: number;
  failed: number;
  curve: CurvePoint[];
  median: Median;
  weibull: Weibull | null;
  /** Why there is no shape. */
  noWeibull?: string;
  /** Failed between two readings: in the shape, not in the curve. */
  between: number;
}

export interface NamedLives {
  name: string;
  exact: readonly Life[];
  intervals: readonly IntervalLife[];
}

const noShape = (failed: number) =>
  failed === 0
    ? 'Nothing has failed yet.'
    : 'It takes failures at two different distances to tell a shape.';

export function groupLives({ name, exact, intervals }: NamedLives): GroupLives {
  const curve = survivalCurve(exact);
  const failed = exact.filter((l) => l.failed).length + intervals.length;
  const weibull = fitWeibull(exact, intervals) ?? null;
  return {
    name,
    lives: exact.length + intervals.length,
    failed,
    curve,
    median: medianOf(curve),
    weibull,
    ...(weibull ? {} : { noWeibull: noShape(failed) }),
    between: intervals.length,
  };
}

/** What a comparison may be said to show. */
export type Told =
  /** Fewer than two groups. */
  | { say: 'one' }
  | { say: 'too-few'; more: number; p: number | undefined }
  /** Enough to have seen one kind fail twice as fast, and it does not. */
  | { say: 'alike'; p: number; looked: number }
  | { say: 'differ'; p: number; looked: number };

/** Chance of a gap by luck below which it is told as likely real. Common practice, no published source. */
const luck = 0.05;
/** With fewer failures in a group a small chance of luck says little. Our judgement. */
const leastFailed = 4;

/**
 * What can be said of groups of lives. `looked`: how many such comparisons stand beside this one; the chance of luck is
 * multiplied by it (Bonferroni), so that the best of many is not told as found.
 */
export function tell(groups: readonly NamedLives[], looked = 1): Told {
  const filled = groups.filter((g) => g.exact.length > 0);
  if (filled.length < 2) return { say: 'one' };
  const counts = filled.map((g) => ({
    lives: g.exact.length,
    failed: g.exact.filter((l) => l.failed).length,
  }));
  const test = logRank(filled.map((g) => g.exact));
  const more = livesMissing(counts);
  if (!test) return { say: 'too-few', more, p: undefined };
  const p = Math.min(1, test.p * looked);
  const failed = counts.reduce((s, c) => s + c.failed, 0);
  if (p < luck && failed >= 2 * leastFailed) return { say: 'differ', p, looked };
  return more > 0 ? { say: 'too-few', more, p } : { say: 'alike', p, looked };
}

export const named = (name: string, spans: readonly Span[]): NamedLives => ({
  name,
  exact: spans.flatMap((s) => s.exact ?? []),
  intervals: spans.flatMap((s) => s.interval ?? []),
});

/** In a sentence, with what would have to be found. */
export function toldInWords(t: Told): { title: string; text: string; sure: boolean } {
  switch (t.say) {
    case 'one':
      return {
        title: 'One kind only',
        text: 'Nothing to hold it against: only one kind has lives on record.',
        sure: false,
      };
    case 'too-few':
      return {
        title: 'Too few to tell',
        text: Number.isFinite(t.more)
          ? `About ${t.more} more ${t.more === 1 ? 'life' : 'lives'} would show one kind failing ${worthKnowing === 2 ? 'twice' : `${worthKnowing} times`} as fast.`
          : 'Only one kind has lives on record.',
        sure: false,
      };
    case 'alike':
      return {
        title: 'It may be luck',
        text: `Luck alone shows a gap this wide ${inHundred(t.p)}.${countedIn(t.looked)} There are enough lives to have seen one kind failing twice as fast.`,
        sure: true,
      };
    case 'differ':
      return {
        title: 'Likely a real difference',
        text: `If all lasted equally long, luck alone would show a gap this wide ${inHundred(t.p)}.${countedIn(t.looked)}`,
        sure: true,
      };
  }
}

const countedIn = (looked: number) =>
  looked > 1 ? ` That ${looked} questions were looked at is counted in.` : '';

function inHundred(p: number): string {
  if (p < 0.005) return 'in fewer than one of 200 tries';
  const n = Math.round(100 * p);
  return `in about ${n} of 100 tries (p ${p.toFixed(2)})`;
}
