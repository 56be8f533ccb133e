import type { EventBody } from '../../schemas/events.ts';
import type { JobState } from '../state.ts';
import { type Entries, once } from './entry.ts';

/** An item in hand is of a number, where somebody took it off the shelf by that. */
function takeOff(s: JobState, { itemId, state, partNumber }: EventBody<'item-marked'>): void {
  if (itemId === 'bearing') {
    if (partNumber !== undefined) s.bearingInHand = partNumber;
    return;
  }
  if (state === 'in-hand' && partNumber !== undefined) s.taken[itemId] = partNumber;
}

/** Things in hand, steps, what is seen on the way, and clocks. */
export const walkEntries = {
  'item-marked': (s, body, _by, seq) => {
    s.items[body.itemId] = body.state;
    s.itemsAt[body.itemId] = seq;
    takeOff(s, body);
  },
  'caution-read': (s, { cautionId }, { byId }) => once((s.cautionsRead[cautionId] ??= []), byId),
  'step-done': (s, { phase, stepId, found }) => {
    once(s.stepsDone[phase], stepId);
    if (found) s.found.push(found);
  },
  'timer-started': (s, { timerId, label, minutes }, { atMs }) => {
    s.timers.push({ id: timerId, label, startedMs: atMs, endsMs: atMs + minutes * 60_000 });
  },
  'timer-ended': (s, { timerId }) => {
    s.timers = s.timers.filter((t) => t.id !== timerId);
  },
  'fact-seen': (s, { factId, absent, amountMl }, by) => {
    if (absent) {
      s.contrary[factId] = by;
      return;
    }
    once(s.facts, factId);
    s.seenAtMs[factId] = by.atMs;
    if (amountMl !== undefined) s.amountsMl[factId] = amountMl;
  },
  'school-chosen': (s, body, by) => {
    s.schools[body.school] = { ...body, ...by };
  },
  'quote-agreed': (s, body, by) => {
    s.agreed = { ...body, ...by };
  },
} satisfies Partial<Entries>;
