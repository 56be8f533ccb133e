import { expect, it } from 'vitest';
import { afterRing, ringsNow, timerNow, waitKey } from './index.ts';

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

it('a wait rings once, again when it was put off or begun anew', () => {
  const key = waitKey('job', timer);
  const over = timer.endsMs;
  expect([over - 1, over].map((ms) => ringsNow(key, timer, {}, ms))).toEqual([false, true]);
  const rung = afterRing({}, key, Infinity);
  expect(ringsNow(key, timer, rung, over + 9e9)).toBe(false);
  const later = afterRing(rung, key, over + 60_000);
  expect([59_999, 60_000].map((ms) => ringsNow(key, timer, later, over + ms))).toEqual([
    false,
    true,
  ]);
  const anew = { ...timer, startedMs: over };
  expect(waitKey('job', anew)).not.toBe(key);
  const many = Array.from({ length: 60 }, (_, i) => `k${i}`).reduce(
    (r, k) => afterRing(r, k, 1),
    rung,
  );
  expect([Object.keys(many).length, key in many, 'k59' in many]).toEqual([40, false, true]);
});
