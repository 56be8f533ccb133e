import { verdict, type Verdict } from '../verdict.ts';
import type { Thread } from './threads.ts';

/** Verdicts on a thread and its clamp, shared by every calculation. */

/** A left-hand thread, and one that stands in no table of its standard. */
export const threadVerdicts = ({ name, hand, listed }: Thread): Verdict[] => [
  ...(hand === 'left' ? [verdict('thread.left', { part: name })] : []),
  ...(listed ? [] : [verdict('thread.unlisted', { part: name })]),
];

/** A clamp against the proof load of the thread in its grade, and a bare mark that is a nut's on a metric thread. */
export function clampVerdicts(
  thread: Thread,
  grade: string,
  clampN: number,
  proofN: number,
): Verdict[] {
  const metricNut = thread.series === 'metric' && /^\s*\d+\s*$/u.test(grade);
  const found = {
    part: thread.name,
    value: clampN / 1000,
    max: proofN / 1000,
    unit: 'kN' as const,
  };
  return [
    ...(clampN > proofN ? [verdict('thread.proof', found)] : []),
    ...(metricNut
      ? [verdict('thread.nut-class', { part: thread.name, with: { mark: grade.trim() } })]
      : []),
  ];
}
