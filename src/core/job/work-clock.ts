import type { JobEvent } from '../schemas/events.ts';

/** Hands-on work on a job: what is done, and since when it runs. */
export interface WorkClock {
  doneMs: number;
  /** Running since; absent while it is paused or was never begun. */
  sinceMs?: number;
  /** The last entry while it ran. */
  lastMs?: number;
}

/** A clock that nobody stopped ends at its last entry when nothing was written this long. Our judgement: a night, not a lunch. */
const forgottenMs = 4 * 3_600_000;

const stopped = ({ doneMs, sinceMs }: WorkClock, atMs: number): WorkClock => ({
  doneMs: doneMs + (sinceMs === undefined ? 0 : Math.max(0, atMs - sinceMs)),
});

/** The clock after one more entry: begun and paused by a tap, paused by itself overnight. */
export function clockAfter(clock: WorkClock, e: Pick<JobEvent, 'type' | 'atMs'>): WorkClock {
  const { lastMs } = clock;
  const forgotten = lastMs !== undefined && e.atMs - lastMs > forgottenMs;
  const now = forgotten ? stopped(clock, lastMs) : clock;
  switch (e.type) {
    case 'work-started':
      return now.sinceMs === undefined ? { ...now, sinceMs: e.atMs, lastMs: e.atMs } : now;
    case 'work-paused':
    case 'signed':
    case 'job-closed':
      return stopped(now, e.atMs);
    default:
      return now.sinceMs === undefined ? now : { ...now, lastMs: e.atMs };
  }
}

/** Whether work runs at a time, and how long hands were on the job by then. */
export function handsOn(clock: WorkClock, nowMs: number): { running: boolean; ms: number } {
  const { sinceMs, lastMs = 0 } = clock;
  if (sinceMs === undefined) return { running: false, ms: clock.doneMs };
  const running = nowMs - lastMs <= forgottenMs;
  return { running, ms: stopped(clock, running ? nowMs : lastMs).doneMs };
}
