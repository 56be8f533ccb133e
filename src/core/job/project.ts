import type { EventBody, EventType, JobEvent } from '../schemas/events.ts';
import type { By } from './entries/entry.ts';
import { entries } from './entries/index.ts';
import { applyFalls } from './falls.ts';
import { emptyState, type JobState } from './state.ts';
import { clockAfter } from './work-clock.ts';

type Does = (s: JobState, body: EventBody<EventType>, by: By, seq: number) => void;

function apply(s: JobState, e: JobEvent): void {
  applyFalls(s, e);
  s.work = clockAfter(s.work, e);
  // The table holds for each type what takes its body.
  (entries[e.type] as Does)(s, e.body, { byId: e.byId, atMs: e.atMs }, e.seq);
}

/** Folds the record into the state. Order is the server's sequence. */
export function project(events: readonly JobEvent[]): JobState {
  const s = emptyState();
  for (const e of events) apply(s, e);
  return s;
}

/** Carries a state forward by the entries after it; the state itself stays as it is. */
export function projectOn(state: JobState, events: readonly JobEvent[]): JobState {
  const s = copied(state);
  for (const e of events) apply(s, e);
  return s;
}

/** An object without what it would inherit stays one. */
const alike = (o: object): Record<string, unknown> =>
  Object.getPrototypeOf(o) === null
    ? (Object.assign(Object.create(null) as object, o) as Record<string, unknown>)
    : { ...o };

/** A state that can be folded on: what `apply` changes in place lies at most two steps down. */
function copied(state: JobState): JobState {
  const out = alike(state);
  for (const [field, value] of Object.entries(state)) {
    if (Array.isArray(value)) out[field] = [...(value as unknown[])];
    else if (typeof value === 'object' && value !== null) {
      const inner = alike(value as object);
      for (const [key, list] of Object.entries(inner))
        if (Array.isArray(list)) inner[key] = [...(list as unknown[])];
      out[field] = inner;
    }
  }
  return out as unknown as JobState;
}
