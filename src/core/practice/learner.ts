import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { levels } from './exercise.ts';
import { type ExerciseKind, exerciseKinds } from './makers.ts';

/** How one learner stands: one card a kind of exercise, spaced by how it went (FSRS). Nothing of it is of any job. */
export interface Learner {
  cards: Partial<Record<ExerciseKind, LearnedKind>>;
  /** Begun and not answered: it goes on where it was left, on whatever tablet. */
  open?: OpenExercise;
  done: { atMs: number; kind: ExerciseKind; right: boolean }[];
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
export const dueKinds = (l: Learner, nowMs: number): ExerciseKind[] =>
  exerciseKinds
    .filter((k) => dueMs(l, k) <= nowMs)
    .sort(
      (a, b) => dueMs(l, a) - dueMs(l, b) || exerciseKinds.indexOf(a) - exerciseKinds.indexOf(b),
    );

/** The exercise to do now: the open one, else of a kind that is due, else of the one due next. `seed` makes a fresh one. */
export function nextExercise(l: Learner, nowMs: number, seed: number): OpenExercise {
  if (l.open) return l.open;
  const soonest = [...exerciseKinds].sort((a, b) => dueMs(l, a) - dueMs(l, b))[0];
  const kind = dueKinds(l, nowMs)[0] ?? soonest ?? 'family';
  return { kind, seed, level: l.cards[kind]?.level ?? levels.least };
}

/** After an answer: the card is put off or brought back by how it went, the level follows, and nothing is open. */
export function answered(
  l: Learner,
  { kind, level }: OpenExercise,
  right: boolean,
  nowMs: number,
): Learner {
  const before = l.cards[kind];
  const now = new Date(nowMs);
  const card = before
    ? { ...before.card, due: new Date(before.card.due), ...lastReview(before.card) }
    : createEmptyCard(now);
  const next = scheduler.next(card, now, right ? Rating.Good : Rating.Again).card;
  const stepped = right ? level + 1 : level - 1;
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
    done: [...l.done, { atMs: nowMs, kind, right }].slice(-keptAnswers),
  };
}

/** Dates come back from where they are kept as texts. */
const lastReview = ({ last_review }: Card): Partial<Card> =>
  last_review ? { last_review: new Date(last_review) } : {};

/** When a kind is due again, UTC milliseconds; 0 for one never tried. */
export const kindDueMs = dueMs;
