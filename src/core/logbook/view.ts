import { familyByCode, familyCodes, type FamilyCode } from '../families/index.ts';
import { type Calls, callsOf } from './calls.ts';
import { type GroupLives, groupLives, named, tell, type Told } from './compare.ts';
import { comebacks, type HungryCorner, hungryCorners } from './corners.ts';
import { clockJumps, type LifeRecord, type Span, spanOf } from './life.ts';
import { againstQuote, type AgainstQuote } from './money.ts';
import { type TookAgainst, tookAgainst } from './minutes.ts';
import { groupsOf, type Split, splits, splitsWith } from './split.ts';
import { underWatch } from './survival.ts';

/** What a shop asks of its book. */
export const questions = ['lasts', 'school', 'wrong', 'corners', 'cost'] as const;
export type Question = (typeof questions)[number];
export const questionNames: Record<Question, string> = {
  lasts: 'Which lasts here?',
  school: 'Which school wins here?',
  wrong: 'What did we get wrong?',
  corners: 'Which corner eats bearings?',
  cost: 'What did a job take and cost against its quote?',
};

/** The same as a short name among the others. */
export const questionShort: Record<Question, string> = {
  lasts: 'What lasts',
  school: 'Schools',
  wrong: 'Our calls',
  corners: 'Hungry corners',
  cost: 'Against plan',
};

export interface Asked {
  question: Question;
  family?: FamilyCode | undefined;
  /** By what lives are split; the first that parts them where none is named. */
  by?: string | undefined;
}

/** Lives under watch at some distances, for the rows under a curve. */
export interface Watched {
  name: string;
  at: number[];
}

export interface Comparison {
  by: string;
  /** Other splits of the same kind, as they could be asked for. */
  others: { id: string; name: string }[];
  groups: GroupLives[];
  told: Told;
  marksKm: number[];
  watched: Watched[];
}

export interface LogbookView {
  asked: Asked;
  lives: number;
  madeUp: number;
  /** Families that have lives, with how many. */
  families: { code: FamilyCode; name: string; lives: number }[];
  /** Units whose clock goes back from one life to a later one. */
  jumps: string[];
  /** The lives that the answer is made of, the latest fitted first, no more than can be looked at; and how many there are. */
  behind: LifeRecord[];
  behindCount: number;
  comparison?: Comparison;
  calls?: Calls;
  back?: ReturnType<typeof comebacks>;
  hungry?: HungryCorner[];
  took?: TookAgainst[];
  /** Sums agreed with customers against what jobs came to. */
  quotes?: AgainstQuote;
}

const stepsKm = [5, 10, 20, 25, 50, 100, 200].map((k) => k * 1000);
/** Marks along the axis, km: no more than eight. */
export function marksTo(longestKm: number): number[] {
  const step = stepsKm.find((s) => longestKm / s <= 8) ?? 500_000;
  return Array.from({ length: Math.ceil(longestKm / step) + 1 }, (_, i) => i * step);
}

function comparisonOf(spans: readonly Span[], asked: Asked): Comparison | undefined {
  const school = asked.question === 'school';
  const possible = splitsWith(spans, school);
  const split: Split | undefined =
    possible.find((s) => s.id === asked.by) ?? possible[0] ?? splits.find((s) => s.id === asked.by);
  if (!split) return undefined;
  const groups = [...groupsOf(split, spans)].map(([name, own]) => named(name, own));
  const longest = Math.max(1, ...groups.flatMap((g) => g.exact.map((l) => l.time)));
  const marksKm = marksTo(longest);
  return {
    by: split.id,
    others: possible.map(({ id, name }) => ({ id, name })),
    groups: groups.map(groupLives),
    told: tell(groups, Math.max(1, possible.length)),
    marksKm,
    watched: groups.map((g) => ({
      name: g.name,
      at: marksKm.map((km) => underWatch(g.exact, km)),
    })),
  };
}

/** Most corners that are told. */
const mostHungry = 20;
/** Most lives that are listed behind an answer. */
const mostBehind = 300;
const behindOf = (lives: readonly LifeRecord[]) => ({
  behindCount: lives.length,
  behind: [...lives]
    .sort((a, b) => (b.fittedOn ?? '').localeCompare(a.fittedOn ?? ''))
    .slice(0, mostBehind),
});

/** What the book says to a question. `clockKm`: the clock of a unit as it was last read, by its number in the fleet. */
export function logbookView(
  lives: readonly LifeRecord[],
  clockKm: (unit: string) => number | undefined,
  asked: Asked,
  withinKm?: number,
): LogbookView {
  const all = lives.flatMap((l) => spanOf(l, clockKm(l.unit)) ?? []);
  const spans = all.filter((s) => asked.family === undefined || s.life.family === asked.family);
  const own = spans.map((s) => s.life);
  const view: LogbookView = {
    asked,
    lives: all.length,
    madeUp: lives.filter((l) => l.madeUp).length,
    families: familyCodes.flatMap((code) => {
      const n = all.filter((s) => s.life.family === code).length;
      return n > 0 ? [{ code, name: familyByCode(code)?.name ?? code, lives: n }] : [];
    }),
    jumps: clockJumps(lives),
    ...behindOf(own),
  };
  switch (asked.question) {
    case 'lasts':
    case 'school': {
      const comparison = comparisonOf(spans, asked);
      const split = splits.find((s) => s.id === comparison?.by);
      return {
        ...view,
        ...behindOf(own.filter((l) => split?.of(l) !== undefined)),
        hungry: hungryCorners(spans).slice(0, mostHungry),
        ...(comparison ? { comparison } : {}),
      };
    }
    case 'wrong': {
      const calls = callsOf(own);
      const answered = own.filter((l) => l.call?.right !== undefined);
      return {
        ...view,
        ...behindOf(answered),
        back: comebacks(spans, withinKm),
        ...(calls ? { calls } : {}),
      };
    }
    case 'corners': {
      const hungry = hungryCorners(spans);
      return {
        ...view,
        ...behindOf(hungry.flatMap((h) => h.lives)),
        hungry: hungry.slice(0, mostHungry),
      };
    }
    case 'cost': {
      const took = tookAgainst(own);
      const counted = new Set(took.flatMap((t) => t.jobs.map((j) => j.id)));
      const quotes = againstQuote(own);
      return {
        ...view,
        ...behindOf(own.filter((l) => counted.has(l.id))),
        took,
        ...(quotes ? { quotes } : {}),
      };
    }
  }
}
