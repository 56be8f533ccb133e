import { useEffect, useState, useSyncExternalStore } from 'react';
import { nutEnd, type NutPicture, type NutStep, pulledNext } from '../../core/practice/index.ts';
import { type Pulling, PracticeWrench } from './practiceWrench.ts';

export interface NutWalk {
  steps: readonly NutStep[];
  /** The stage that is pulled now. */
  pulling: Pulling | undefined;
  act: (id: string) => void;
  letGo: () => void;
}

/** A nut walked stage by stage: what is pulled runs until the hand lets go; `onEnd` when it is locked, or something was wrong. */
export function useNutWalk(
  p: NutPicture,
  slower: number,
  onEnd: (steps: readonly NutStep[]) => void,
): NutWalk {
  const [steps, setSteps] = useState<readonly NutStep[]>([]);
  const [wrench] = useState(() => new PracticeWrench());
  const pulling = useSyncExternalStore(wrench.subscribe, wrench.state, wrench.state);
  useEffect(() => wrench.putDown, [wrench]);
  const add = (step: NutStep) => {
    const next = [...steps, step];
    setSteps(next);
    if (nutEnd(p.procedure, next)) onEnd(next);
  };
  return {
    steps,
    pulling,
    act: (id) => {
      const stage = pulledNext(p.procedure, steps, id);
      if (stage) wrench.pull(p, stage, slower);
      else add({ id });
    },
    letGo: () => {
      // Let go before it was snug, the nut has not turned.
      const actual = wrench.letGo() ?? 0;
      if (pulling) add({ id: pulling.stage.id, actual: Number(actual.toFixed(1)) });
    },
  };
}
