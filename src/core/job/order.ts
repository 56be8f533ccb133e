import type { EventType } from '../schemas/events.ts';

/**
 * The order of the metal, in one table: what must stand before an entry is taken, and what no longer stands once it is.
 * What each word means is written once, in `needs.ts` and `falls.ts`. Common practice, no published source.
 */
export const order = {
  'complaint-recorded': {},
  'test-recorded': {},
  /** Metal that was moved at one corner is not at another: the call stays once work has begun. */
  'diagnosis-accepted': { needs: ['same-corner'] },
  'item-marked': { falls: ['taken-as-number', 'nut-renewed'] },
  'caution-read': {},
  'step-done': { needs: ['fitted-before-rebuild', 'not-used-before'] },
  'timer-started': {},
  'timer-ended': {},
  /** A thing is seen after the stroke that shows it. */
  'fact-seen': {
    needs: ['strokes-before-fact', 'not-used-before'],
    falls: ['taken-out-by-hand', 'built-on-the-contrary', 'fact-or-its-contrary'],
  },
  'family-named': { needs: ['nothing-pressed'] },
  'old-part-read': {},
  'raceways-read': {},
  'points-read': {},
  'part-entered': {},
  /** A seat is looked at with the old bearing out and the new one not in; what is seen there ends its verdict. */
  'damage-read': { needs: ['seat-bare'], falls: ['verdict-of-seat'] },
  'encoder-read': {},
  'seat-read': { needs: ['seat-bare'], falls: ['verdict-of-seat'] },
  'seat-felt': { needs: ['seat-bare'], falls: ['verdict-of-seat'] },
  'seat-judged': { needs: ['seat-bare'] },
  /** What a stroke was laid out by is not changed under it. */
  'figure-read': { needs: ['figure-free'], falls: ['lent-by-another'] },
  'part-confirmed': { needs: ['nothing-fitted'] },
  'encoder-checked': { needs: ['nothing-fitted'] },
  'stroke-reading': { needs: ['stroke-in-order'], falls: ['readings-of-earlier-try'] },
  'stroke-traced': { needs: ['stroke-in-order'] },
  /** A stroke made again takes with it all that was done after it; one that takes apart, all that was fitted. */
  'stroke-recorded': { needs: ['stroke-in-order', 'not-used-before'], falls: ['after-stroke'] },
  /** A nut that was pulled keeps the procedure it was pulled by. */
  'procedure-entered': { needs: ['nut-untouched'], falls: ['answer-for-procedure'] },
  'fastener-read': {},
  'fastener-tightened': { needs: ['fitted'] },
  /** What was proved before it was proved of a nut that stood otherwise. */
  'stage-recorded': { needs: ['rebuilt'], falls: ['checks-of-nut'] },
  'play-read': { needs: ['rebuilt'] },
  'runout-read': { needs: ['nut-done'], falls: ['told-from-hub'] },
  'check-recorded': { needs: ['nut-done'], falls: ['answer-for-check'] },
  'trace-kept': { needs: ['nut-done-for-after'] },
  'school-chosen': {},
  'quote-agreed': {},
  'photo-left': {},
  'note-left': {},
  'note-read': {},
  'work-started': {},
  'work-paused': {},
  overridden: { needs: ['seat-measured'] },
  'station-done': { needs: ['earlier-stations'] },
  'station-reopened': {},
  signed: { needs: ['earlier-stations'] },
  'line-corrected': { needs: ['signed'] },
  'recheck-done': {},
  'job-closed': {},
  'job-reopened': { needs: ['closed'] },
} as const satisfies Record<EventType, { needs?: readonly string[]; falls?: readonly string[] }>;

type Order = typeof order;
type Each<K extends 'needs' | 'falls'> = {
  [T in EventType]: Order[T] extends Record<K, readonly (infer N)[]> ? N : never;
}[EventType];
export type Need = Each<'needs'>;
export type Fall = Each<'falls'>;

export const needsOf = (type: EventType): readonly Need[] =>
  (order[type] as { needs?: readonly Need[] }).needs ?? [];
export const fallsOf = (type: EventType): readonly Fall[] =>
  (order[type] as { falls?: readonly Fall[] }).falls ?? [];
