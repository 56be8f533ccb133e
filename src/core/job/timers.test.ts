import { expect, it } from 'vitest';
import { timerNow } from './index.ts';

const timer = { id: 't', label: 'soak', startedMs: 1_000_000, endsMs: 1_600_000 };

// Common practice, no published source: a wait that cannot be told is not told.
it.each([
  [1_000_000, 'running', '10:00', 0],
  [1_300_000, 'running', '5:00', 0.5],
  [999_000, 'running', '10:01', 0],
  [1_600_000, 'over', 'over', 1],
  [9_999_999, 'over', 'over', 1],
  [900_000, 'clock-back', 'clock set back: begin anew', 0],
])('at %d a wait is %s', (nowMs, stand, words, share) =>
  expect(timerNow(timer, nowMs)).toEqual({ stand, words, share }),
);
