import { timeLeft } from '../units/index.ts';
import type { Timer } from './state.ts';

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
