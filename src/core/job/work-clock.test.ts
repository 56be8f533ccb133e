import { describe, expect, it } from 'vitest';
import { clockAfter, handsOn, type WorkClock } from './work-clock.ts';

const hour = 3_600_000;
type Entry = [type: Parameters<typeof clockAfter>[1]['type'], atHour: number];
const after = (...entries: Entry[]): WorkClock =>
  entries.reduce<WorkClock>((c, [type, at]) => clockAfter(c, { type, atMs: at * hour }), {
    doneMs: 0,
  });
const hours = (clock: WorkClock, at: number) => {
  const { running, ms } = handsOn(clock, at * hour);
  return [running, ms / hour];
};

describe('the clock of the work', () => {
  it.each<[string, Entry[], number, [boolean, number]]>([
    ['never begun', [['step-done', 1]], 5, [false, 0]],
    ['running', [['work-started', 1]], 3, [true, 2]],
    [
      'paused',
      [
        ['work-started', 1],
        ['work-paused', 2],
      ],
      9,
      [false, 1],
    ],
    [
      'begun twice is begun once',
      [
        ['work-started', 1],
        ['work-started', 2],
      ],
      3,
      [true, 2],
    ],
    [
      'taken up again',
      [
        ['work-started', 1],
        ['work-paused', 2],
        ['work-started', 5],
      ],
      6,
      [true, 2],
    ],
    [
      'forgotten overnight, ends at its last entry',
      [
        ['work-started', 1],
        ['step-done', 3],
      ],
      14,
      [false, 2],
    ],
    [
      'forgotten, and gone on with in the morning',
      [
        ['work-started', 1],
        ['step-done', 3],
        ['step-done', 14],
        ['work-started', 15],
      ],
      16,
      [true, 3],
    ],
    [
      'ended by the signature',
      [
        ['work-started', 1],
        ['signed', 4],
      ],
      20,
      [false, 3],
    ],
  ])('%s', (_what, entries, at, said) => expect(hours(after(...entries), at)).toEqual(said));
});
