import type { EventBody, EventType } from '../../schemas/events.ts';
import type { JobState } from '../state.ts';

/** Who made an entry, and when; kept with what it says. */
export interface By {
  byId: string;
  atMs: number;
}

/**
 * What each kind of entry does to the state. It changes the state it is given, at most two steps down: a list or map is
 * pushed to or set, what lies deeper is put in anew (`projectOn` copies no deeper).
 */
export type Entries<K extends EventType = EventType> = {
  [T in K]: (s: JobState, body: EventBody<T>, by: By, seq: number) => void;
};

/** Into a list that says a thing once. */
export const once = (list: string[], x: string): void => {
  if (!list.includes(x)) list.push(x);
};
