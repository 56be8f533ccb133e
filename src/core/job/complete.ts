import { follower, type StrokeCall } from '../press/index.ts';
import type { EventBody, EventType } from '../schemas/events.ts';
import type { JobNow } from './job-now.ts';
import { chosenPart } from './part-on-job.ts';
import { setupOf } from './press-on-job.ts';
import { samplesOf } from './state.ts';

/** What the follower says of a whole trace; what was claimed stands where the geometry is missing. */
function traceCall(b: EventBody<'stroke-traced'>, job: JobNow): StrokeCall {
  const setup = setupOf(job, b.operation);
  if (!setup) return b.call;
  const follow = follower(setup);
  let call: StrokeCall = 'waiting';
  for (const s of samplesOf(b)) ({ call } = follow(s));
  return call;
}

type Completed = { [T in EventType]?: (body: EventBody<T>, job: JobNow) => EventBody<T> };

/** Entries that are about the part in hand say which one that was: on another part they count for nothing. */
const withPart = <B extends object>(b: B, job: JobNow): B & { partNumber?: string } => {
  const part = chosenPart(job);
  return part ? { ...b, partNumber: part.number } : b;
};

const completed: Completed = {
  'encoder-checked': withPart,
  'item-marked': (b, job) => (b.itemId === 'bearing' ? withPart(b, job) : b),
  'stroke-traced': (b, job) => ({ ...b, call: traceCall(b, job) }),
};

/** An entry as it goes into the record: what follows from the job is written by the record's keeper, never taken from a tablet. */
export function complete<T extends EventType>(
  type: T,
  body: EventBody<T>,
  job: JobNow,
): EventBody<T> {
  const add: Completed[T] = completed[type];
  return add ? add(body, job) : body;
}
