import type { FamilyCode } from '../families/index.ts';
import { traceCall } from '../press/index.ts';
import type { EventBody, EventType } from '../schemas/events.ts';
import type { JobNow } from './job-now.ts';
import { familyCodeOf } from './family-on-job.ts';
import { chosenPart } from './part-on-job.ts';
import { setupOf } from './press-on-job.ts';
import { samplesOf } from './state.ts';

type Completed = { [T in EventType]?: (body: EventBody<T>, job: JobNow) => EventBody<T> };

/** Entries that are about the part in hand say which one that was: on another part they count for nothing. */
const withPart = <B extends object>(b: B, job: JobNow): B & { partNumber?: string } => {
  const part = chosenPart(job);
  return part ? { ...b, partNumber: part.number } : b;
};

/** Entries that others rest on say by which walk they were made: what falls with them falls by that one. */
function withFamily<B extends { family?: FamilyCode }>({ family: _claimed, ...b }: B, job: JobNow) {
  const family = familyCodeOf(job);
  return { ...b, ...(family ? { family } : {}) };
}

const completed: Completed = {
  'fact-seen': withFamily,
  'encoder-checked': withPart,
  'stroke-recorded': withExpected,
  'item-marked': (b, job) => (b.itemId === 'bearing' ? withPart(b, job) : b),
  // Without the geometry nothing can be said of a trace, whatever a tablet says.
  'stroke-traced': (b, job) => {
    const setup = setupOf(job, b.operation);
    return { ...b, call: setup ? traceCall(samplesOf(b), setup) : 'waiting' };
  },
};

/** What is expected of a stroke when it is recorded; what a tablet claims of it does not count. */
function withExpected(
  { expected: _claimed, ...b }: EventBody<'stroke-recorded'>,
  job: JobNow,
): EventBody<'stroke-recorded'> {
  const setup = setupOf(job, b.operation, b.pressId);
  const made = withFamily(b, job);
  if (!setup) return made;
  const { forceKn, requirement } = setup;
  return { ...made, expected: { forceKn, travelMm: requirement.travelMm } };
}

/** An entry as it goes into the record: what follows from the job is written by the record's keeper, never taken from a tablet. */
export function complete<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
): EventBody<T> {
  const add: Completed[T] = completed[type];
  return add ? add(body, job) : body;
}

/** What `complete` writes, and what is added at the signature: a repeat need not say it, or the same of it. */
const written: { [T in EventType]?: readonly string[] } = {
  'encoder-checked': ['partNumber'],
  'item-marked': ['partNumber'],
  'fact-seen': ['family'],
  'stroke-recorded': ['expected', 'family'],
  'stroke-traced': ['call'],
  signed: ['snapshot', 'card', 'startedBy', 'names'],
};

/** Whether what is sent says the same as an entry that was kept, whatever was added to that. */
export function saysTheSame(type: EventType, kept: object, sent: object): boolean {
  const own = (body: object) =>
    JSON.stringify(
      Object.entries(body)
        .filter(([key]) => !written[type]?.includes(key))
        .sort(([a], [b]) => (a < b ? -1 : 1)),
    );
  return own(kept) === own(sent);
}
