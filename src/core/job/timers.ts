import { timeLeft } from '../units/index.ts';
import type { Timer } from '../schemas/floor.ts';

/** How a wait stands: running, over, or unknown because the clock it was begun by was set back since. */
export interface TimerNow {
  stand: 'running' | 'over' | 'clock-back';
  /** Time left, “over”, or that it has to be begun anew. */
  words: string;
  /** Part of the wait that is gone, 0 to 1. */
  share: number;
}

/** A clock this far before a timer's begin was set back, ms: two machines never agree to the second. */
const slackMs = 5000;

export function timerNow({ startedMs, endsMs }: Timer, nowMs: number): TimerNow {
  if (nowMs < startedMs - slackMs)
    return { stand: 'clock-back', words: 'clock set back: begin anew', share: 0 };
  if (nowMs >= endsMs) return { stand: 'over', words: 'over', share: 1 };
  return {
    stand: 'running',
    words: timeLeft(endsMs - nowMs),
    share: Math.max(0, (nowMs - startedMs) / (endsMs - startedMs)),
  };
}

/** What a tablet keeps of a wait that rang: for good, or until it is asked to ring again. */
export type Rung = Readonly<Record<string, number>>;

/** Minutes that “later” puts a wait off. */
export const laterMin = 5;

/** A wait by its job and its begin: begun anew, it is another one. */
export const waitKey = (jobId: string, { id, startedMs }: Timer): string =>
  `${jobId}:${id}:${startedMs}`;

/** Whether a wait rings now: it is over, and has not rung, or its putting off has run out. */
export function ringsNow(key: string, { endsMs }: Timer, rung: Rung, nowMs: number): boolean {
  const again = rung[key];
  return nowMs >= endsMs && (again === undefined || nowMs >= again);
}

/** Waits that rang are kept while one may still look at them, no more than so many. */
const keptWaits = 40;
export const afterRing = (rung: Rung, key: string, againMs: number): Rung =>
  Object.fromEntries(
    [...Object.entries(rung).filter(([k]) => k !== key), [key, againMs] as const].slice(-keptWaits),
  );
