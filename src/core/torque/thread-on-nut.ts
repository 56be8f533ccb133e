import { type ClampBar, clampBars, faceDiameterMm } from './clamp.ts';
import type { Procedure, Stage } from './stage.ts';
import { type ThreadState } from './threads.data.ts';
import { readGrade, readThread } from './threads.ts';

/** What the torque of a stage clamps: on a dry thread, on one as the procedure asks for, and greased. */
export interface ThreadOnNut {
  bars: readonly ClampBar[];
  /** Proof load of the thread in its grade, N, where the grade is known. */
  proofN?: number;
  /** Clamp on a greased thread over that on the thread as it is asked for. */
  greasedTimes: number;
}

/** Undefined where the procedure names no thread that can be read, or the stage no torque. */
export function threadOnNut(p: Procedure, stage: Stage): ThreadOnNut | undefined {
  const read = readThread(p.size ?? '');
  if (!read.ok || stage.kind !== 'torque' || stage.value === undefined) return undefined;
  const { thread } = read;
  const states = [...new Set<ThreadState>(['dry', p.thread, 'greased'])];
  const face = faceDiameterMm(p.hexMm, thread.diameterMm);
  const grade = p.grade === undefined ? undefined : readGrade(p.grade, thread.series);
  const { bars, proofN } = clampBars(stage.value, thread, face, states, grade);
  const asked = bars.find((b) => b.state === p.thread);
  const greased = bars.at(-1);
  if (!asked || !greased) return undefined;
  return {
    bars,
    ...(proofN === undefined ? {} : { proofN }),
    greasedTimes: greased.likelyN / asked.likelyN,
  };
}
