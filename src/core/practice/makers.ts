import { keysOf } from '../keys-of.ts';
import { random } from '../standins/cars.ts';
import {
  fittingStrokes,
  type PracticeBench,
  type PracticeStroke,
  practiceStrokes,
} from './bench.ts';
import { ownBench, type PracticeKit } from './drawer.ts';
import type { BenchMaker, Exercise } from './exercise.ts';
import { adjust } from './makers/adjust.ts';
import { castle } from './makers/castle.ts';
import { corner } from './makers/corner.ts';
import { family } from './makers/family.ts';
import { hear } from './makers/hear.ts';
import { lay } from './makers/lay.ts';
import { nut } from './makers/nut.ts';
import { offset } from './makers/offset.ts';
import { order } from './makers/order.ts';
import { raceway } from './makers/raceway.ts';
import { ram } from './makers/ram.ts';
import { section } from './makers/section.ts';
import { stack } from './makers/stack.ts';

export const makers = {
  stack,
  lay,
  section,
  family,
  raceway,
  castle,
  adjust,
  offset,
  order,
  ram,
  corner,
  hear,
  nut,
} as const satisfies Record<string, BenchMaker>;
/** Kinds that are made up; a job of the shop's own that a lead gave is another. */
export type MadeUpKind = keyof typeof makers;
export type ExerciseKind = MadeUpKind | 'past';
export const exerciseKinds = keysOf(makers);
export const kindTitles: Record<ExerciseKind, string> = {
  stack: 'May it be pressed?',
  lay: 'Lay the stack',
  section: 'What is wrong in it?',
  family: 'Name the family',
  raceway: 'Read the raceway',
  castle: 'Next castle slot',
  adjust: 'Adjust a taper pair',
  offset: 'Set the wrench',
  order: 'Order of the steps',
  ram: 'Stop the ram',
  corner: 'Which corner',
  hear: 'Hear it',
  nut: 'Walk a nut',
  past: 'A job of ours',
};

/** Kinds that are done at a press, and the strokes of each. */
const strokesOf: Partial<Record<ExerciseKind, readonly PracticeStroke[]>> = {
  stack: fittingStrokes,
  lay: practiceStrokes,
};
/** The bench that an exercise of a kind is done at; undefined for one without a press, or a kit that lays no stroke. */
export function benchFor(
  kind: ExerciseKind,
  kit: PracticeKit,
  seed: number,
  level: number,
): PracticeBench | undefined {
  const strokes = strokesOf[kind];
  return strokes && ownBench(kit, strokes, random(seed), level);
}

/** The same exercise from the same seed and bench, on every tablet. */
export const exercise = (
  kind: MadeUpKind,
  seed: number,
  level: number,
  bench?: PracticeBench,
): Exercise => {
  const make: BenchMaker = makers[kind];
  return make(random(seed), level, bench);
};
