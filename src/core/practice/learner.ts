import { random } from '../standins/cars.ts';
import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { type Exercise, levels, wrongOnes } from './exercise.ts';
import type { PracticeBench } from './bench.ts';
import type { PracticeKit } from './drawer.ts';
import { benchFor, exercise, type ExerciseKind, exerciseKinds } from './makers.ts';
import { type PastCase, pastExercise } from './past.ts';

/** How one learner stands: one card a kind of exercise, spaced by how it went (FSRS). Nothing of it is of any job. */
export interface Learner {
  cards: Partial<Record<ExerciseKind, LearnedKind>>;
  /** Begun and not answered: it goes on where it was left, on whatever tablet. */
  open?: OpenExercise;
  done: { atMs: number; kind: ExerciseKind; right: boolean }[];
  /** Its owner lets the others see how it stands. */
  shared?: true;
}
interface LearnedKind {
  card: Card;
  level: number;
  right: number;
  of: number;
}
export interface OpenExercise {
  kind: ExerciseKind;
  seed: number;
  level: number;
  /** The past job that it is made of. */
  past?: PastCase;
  /** The shop's own pieces as they were when it began: it stays the same whatever is bought or lost meanwhile. */
  bench?: PracticeBench;
  /** How often help was taken: each time one wrong answer is ruled out, or what runs goes slower. */
  helped?: number;
}

/** An open exercise as it is set. Throws RangeError for a past job that is not there. */
export function exerciseOf({ kind, seed, level, past, bench }: OpenExercise): Exercise {
  if (kind !== 'past') return exercise(kind, seed, level, bench);
  if (!past) throw new RangeError('past: missing');
  return pastExercise(past, random(seed), level);
}

/** Wrong answers that help has ruled out; one of them always stays. */
export function ruledOut(open: OpenExercise): string[] {
  const wrong = wrongOnes(exerciseOf(open));
  return wrong.slice(0, Math.max(0, Math.min(open.helped ?? 0, wrong.length - 1)));
}

export const beginner: Learner = { cards: {}, done: [] };

const scheduler = fsrs({ enable_fuzz: false });
/** Answers that are kept. */
const keptAnswers = 200;
/** A day's practice, exercises: about ten minutes. Our judgement. */
export const dailyExercises = 20;

const dueMs = (l: Learner, kind: ExerciseKind): number => {
  const card = l.cards[kind]?.card;
  return card ? new Date(card.due).getTime() : 0;
};

/** Kinds in the order they are due; those never tried first. */
export const dueKinds = (
  l: Learner,
  nowMs: number,
  kinds: readonly ExerciseKind[] = exerciseKinds,
): ExerciseKind[] =>
  kinds
    .filter((k) => dueMs(l, k) <= nowMs)
    .sort((a, b) => dueMs(l, a) - dueMs(l, b) || kinds.indexOf(a) - kinds.indexOf(b));

/** Kinds there are: a past job only where a lead has given one. */
export const kindsWith = (pasts: readonly PastCase[]): readonly ExerciseKind[] =>
  pasts.length > 0 ? [...exerciseKinds, 'past'] : exerciseKinds;

/** What of the shop exercises are made of. */
export interface OfTheShop {
  pasts: readonly PastCase[];
  kit: PracticeKit;
}
export const noShop: OfTheShop = { pasts: [], kit: { adapters: [], presses: [] } };

/** The exercise to do now: the open one, else of a kind that is due, else of the one due next. `seed` makes a fresh one. */
export function nextExercise(
  l: Learner,
  nowMs: number,
  seed: number,
  { pasts, kit }: OfTheShop = noShop,
): OpenExercise {
  if (l.open) return l.open;
  const kinds = kindsWith(pasts);
  const soonest = [...kinds].sort((a, b) => dueMs(l, a) - dueMs(l, b))[0];
  const kind = dueKinds(l, nowMs, kinds)[0] ?? soonest ?? 'family';
  const level = l.cards[kind]?.level ?? levels.least;
  const past = kind === 'past' ? pasts[seed % pasts.length] : undefined;
  const bench = benchFor(kind, kit, seed, level);
  return { kind, seed, level, ...(past ? { past } : {}), ...(bench ? { bench } : {}) };
}

/** After an answer: the card is put off or brought back by how it went, the level follows, and nothing is open. */
export function answered(
  l: Learner,
  { kind, level, helped = 0 }: OpenExercise,
  right: boolean,
  nowMs: number,
): Learner {
  const before = l.cards[kind];
  const now = new Date(nowMs);
  const card = before
    ? { ...before.card, due: new Date(before.card.due), ...lastReview(before.card) }
    : createEmptyCard(now);
  const next = scheduler.next(card, now, ratingOf(right, helped)).card;
  const stepped = right ? level + (helped > 0 ? 0 : 1) : level - 1;
  return {
    cards: {
      ...l.cards,
      [kind]: {
        card: next,
        level: Math.min(levels.most, Math.max(levels.least, stepped)),
        right: (before?.right ?? 0) + (right ? 1 : 0),
        of: (before?.of ?? 0) + 1,
      },
    },
    ...(l.shared ? { shared: true as const } : {}),
    done: [...l.done, { atMs: nowMs, kind, right }].slice(-keptAnswers),
  };
}

/** What was seen with help comes again sooner, and is no step up. */
const ratingOf = (right: boolean, helped: number) => {
  if (!right) return Rating.Again;
  return helped > 0 ? Rating.Hard : Rating.Good;
};

/** Dates come back from where they are kept as texts. */
const lastReview = ({ last_review }: Card): Partial<Card> =>
  last_review ? { last_review: new Date(last_review) } : {};

/** When a kind is due again, UTC milliseconds; 0 for one never tried. */
export const kindDueMs = dueMs;
