/** One piece of the job, described once: how it comes apart and how it goes back. */
export interface Step {
  id: string;
  place: 'car' | 'bench' | 'press';
  minutes: number;
  /** Item that is renewed here. */
  single?: string;
  out: StepSide;
  /** Absent when nothing has to be done on the way back. */
  back?: StepSide;
}

export interface StepSide {
  text: string;
  why: string;
  tools?: string[];
  caution?: string;
  /** What to look at before going on. */
  look?: string;
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
}

/** Strip order as described; rebuild order is the same list turned round, with its own texts and checks. */
export function walkSteps(steps: readonly Step[], phase: Phase): WalkStep[] {
  const list = phase === 'strip' ? steps : [...steps].reverse();
  return list.flatMap((s): WalkStep[] => {
    const side = phase === 'strip' ? s.out : s.back;
    return side ? [{ ...side, id: s.id, place: s.place, minutes: s.minutes, ...(s.single && phase === 'rebuild' ? { single: s.single } : {}) }] : [];
  });
}
