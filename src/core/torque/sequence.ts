import type { Verdict } from '../verdict.ts';

/** Stages that are built on one another, of a nut or of one bolt, walked by the readings in the order they were made. */
export interface Sequence<R> {
  /** What counts of each stage: its last reading that nothing behind it has taken back. */
  counts: readonly (Counted<R> | undefined)[];
  /** The stage to do now; their number when all are done. */
  current: number;
  /** Set when it was taken too far and begins anew. */
  restart: boolean;
}
export interface Counted<R> {
  reading: R;
  /** Undefined where there is no figure to hold the reading against. */
  verdict: Verdict | undefined;
}

const isRight = (c: Counted<unknown> | undefined): boolean =>
  c !== undefined && (c.verdict === undefined || c.verdict.status === 'good');

/**
 * A stage counts once its latest reading is right. What was built on a stage falls when that is read again and is not
 * right, or when it was pulled again rather than read (`pullsAgain`); one taken too far sends the walk back to the first.
 */
export function walkSequence<R>(
  stages: number,
  readings: readonly R[],
  of: {
    stage: (r: R) => number;
    judge: (r: R, stage: number) => Verdict | undefined;
    pullsAgain: (r: R) => boolean;
  },
): Sequence<R> {
  let counts: (Counted<R> | undefined)[] = Array.from({ length: stages }, () => undefined);
  let restart = false;
  for (const reading of readings) {
    const i = of.stage(reading);
    if (i < 0 || i >= stages) continue;
    const counted = { reading, verdict: of.judge(reading, i) };
    const stands = isRight(counted) && isRight(counts[i]) && !of.pullsAgain(reading);
    if (i === 0) restart = false;
    counts = counts.map((c, k) => (k < i || (k > i && stands) ? c : undefined));
    counts[i] = counted;
    if (counted.verdict?.status === 'stop') restart = true;
  }
  const open = counts.findIndex((c) => !isRight(c));
  const next = open < 0 ? stages : open;
  return { counts, current: restart ? 0 : next, restart };
}
