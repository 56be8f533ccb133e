import { useState } from 'react';
import type { PracticeView, Worth } from '../../core/practice/index.ts';
import { call } from '../shell/useJob.ts';

/** What an answer came to, as the server tells it. */
export interface Told extends Worth {
  source: string;
  dueMs: number;
}

export interface ExerciseHandle {
  worth: Told | undefined;
  /** Why an answer was not taken. */
  said: string | undefined;
  given: string | undefined;
  /** Options that help has ruled out. */
  out: readonly string[];
  helped: number;
  answer: (given: string) => Promise<void>;
  help: () => Promise<void>;
}

/** An open exercise: answered once, helped where one asks for it. */
export function useExercise({ open, ruledOut }: PracticeView, who: string): ExerciseHandle {
  const [worth, setWorth] = useState<Told>();
  const [said, setSaid] = useState<string>();
  const [given, setGiven] = useState<string>();
  const [out, setOut] = useState(ruledOut);
  const [helped, setHelped] = useState(open.helped ?? 0);
  return {
    worth,
    said,
    given,
    out,
    helped,
    answer: async (id) => {
      if (worth || given !== undefined || out.includes(id)) return;
      setGiven(id);
      const r = await call<Told>('POST', `/api/practice/${who}/answers`, {
        seed: open.seed,
        answer: id,
      });
      if (r.ok) return setWorth(r.value);
      setGiven(undefined);
      setSaid(r.problem.errors[0]?.reason ?? r.problem.detail);
    },
    help: async () => {
      const r = await call<{ ruledOut: string[] }>('POST', `/api/practice/${who}/help`, {
        seed: open.seed,
      });
      if (!r.ok) return setSaid(r.problem.detail);
      setOut(r.value.ruledOut);
      setHelped(helped + 1);
    },
  };
}

/** How much slower what runs goes once help was taken. */
export const slowerBy = (helped: number): number => (helped > 0 ? 2 : 1);
