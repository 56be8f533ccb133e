import type { CautionId } from './cautions.data.ts';
import type { BodyRole } from './sections/index.ts';

/** One piece of the job, described once: how it comes apart and how it goes back. */
export interface Step {
  id: string;
  place: 'car' | 'bench' | 'press';
  minutes: number;
  /** Item that is renewed here. */
  single?: string;
  /** Only on this route: with the part on the bench, or left on the car. */
  only?: 'bench' | 'on-car';
  /** Bodies of the family's section that this step handles. */
  lit: readonly BodyRole[];
  /** What is lit stays where it is: it is soaked, cracked or looked at. */
  stays?: true;
  /** Absent for what is only done on the way back. */
  out?: StepSide;
  /** Absent when nothing has to be done on the way back. */
  back?: StepSide;
}

export interface StepSide {
  text: string;
  why: string;
  tools?: string[];
  caution?: CautionId;
  /** What to look at before going on. */
  look?: string;
  /** The final check or the thing seen that answers for it, at its own station. */
  answeredBy?: string;
  /** The centre nut is turned here: which way depends on its thread. */
  nut?: true;
  /** Key of a figure in the unit's own fastener list. */
  fastener?: string;
  wait?: { label: string; minutes: number };
}

export type Phase = 'strip' | 'rebuild';

export interface WalkStep extends StepSide {
  id: string;
  place: Step['place'];
  minutes: number;
  single?: string;
  lit: readonly BodyRole[];
  stays?: true;
}

/** Strip order as described; rebuild order is the same list turned round, with its own texts and checks; without a route, the steps of all. */
export function walkSteps(steps: readonly Step[], phase: Phase, route?: string): WalkStep[] {
  const here = steps.filter((s) => s.only === undefined || route === undefined || s.only === route);
  const list = phase === 'strip' ? here : [...here].reverse();
  return list.flatMap((s): WalkStep[] => {
    const side = phase === 'strip' ? s.out : s.back;
    return side
      ? [
          {
            ...side,
            id: s.id,
            place: s.place,
            minutes: s.minutes,
            lit: s.lit,
            ...(s.stays ? { stays: s.stays } : {}),
            ...(s.single && phase === 'rebuild' ? { single: s.single } : {}),
          },
        ]
      : [];
  });
}

/** Bodies that are off the car: taken off by a step that is done, or not put back by one that is not. */
export const offNow = (
  steps: readonly WalkStep[],
  phase: Phase,
  done: readonly string[],
): BodyRole[] =>
  steps
    .filter((s) => !s.stays && done.includes(s.id) === (phase === 'strip'))
    .flatMap((s) => s.lit);

/** Steps right behind one that carry no caution and no clock of their own: seen in one look, they are done in one go. */
export function plainRun(
  steps: readonly WalkStep[],
  at: number,
  done: readonly string[],
): WalkStep[] {
  const after = steps.slice(at + 1).filter((s) => !done.includes(s.id));
  const stop = after.findIndex((s) => s.caution ?? s.wait);
  return stop < 0 ? after : after.slice(0, stop);
}

/**
 * Steps still open before one further on that may be said done with it: all of them where none carries a caution or a clock
 * of its own, none where one does; undefined then.
 */
export function takenAlong(
  steps: readonly WalkStep[],
  at: number,
  done: readonly string[],
): WalkStep[] | undefined {
  const before = steps.slice(0, at).filter((s) => !done.includes(s.id));
  return before.every((s) => !s.caution && !s.wait) ? before : undefined;
}
