import { solve } from '../src/core/press/index.ts';
import {
  type Exercise,
  layGiven,
  nutGiven,
  practiceSetup,
  type Worth,
} from '../src/core/practice/index.ts';

/** Answers of those who know it, and of those who do not: by what an exercise says of them, and by its picture alone. */
export function answersOf(e: Exercise): { right: string; wrong: string } {
  const { picture: p } = e;
  if (p.of === 'ram') {
    const points = p.trace.map((_, i) => String(i));
    return { right: points.find((i) => e.worth(i)?.right)!, wrong: '0' };
  }
  if (p.of === 'nut') {
    const steps = p.procedure.stages.map(({ id, kind, value }) => ({
      id,
      ...(kind === 'torque' || kind === 'angle' ? { actual: value! } : {}),
    }));
    return { right: nutGiven(steps), wrong: 'lock' };
  }
  if (p.of === 'lay') {
    const { drawer, work } = p.bench;
    const [best] = solve(drawer, practiceSetup(work), 1).solutions;
    return { right: layGiven(best!.stack), wrong: layGiven(p.left) };
  }
  const by = (right: boolean) => e.options!.find((o) => e.worth(o.id)?.right === right)!.id;
  return { right: by(true), wrong: by(false) };
}
export const worthOf = (e: Exercise, given: string): Worth => e.worth(given)!;
