import { type JobState, project, projectOn } from '../core/job/index.ts';
import { type EventRow, eventsAfter, eventsOf, type JobHead } from '../db/jobs.ts';
import type { Db } from '../db/open.ts';

interface Carried {
  last: number;
  events: readonly EventRow[];
  state: JobState;
}

/** Jobs whose state is carried forward, the one used last at the end. */
const carried = new Map<string, Carried>();
const mostCarried = 60;

function keep(id: string, c: Carried): Carried {
  carried.delete(id);
  carried.set(id, c);
  const [oldest] = carried.keys();
  if (carried.size > mostCarried && oldest !== undefined) carried.delete(oldest);
  return c;
}

/** What was carried no longer holds: rows came in from elsewhere. */
export const dropCarried = (): void => carried.clear();

/** The same as it stands in the database now, for who looks whether anything was altered. */
export function entriesAnew(db: Db, head: JobHead): Promise<Carried> {
  carried.delete(head.job.id);
  return entriesOf(db, head);
}

/** An entry that this process wrote itself need not be read again. */
export function carryOn(id: string, entry: EventRow): void {
  const known = carried.get(id);
  if (known && known.last < entry.seq)
    keep(id, {
      last: entry.seq,
      events: [...known.events, entry],
      state: projectOn(known.state, [entry]),
    });
}

/** Entries and state of a job: folded once, then carried forward by what was written since. */
export async function entriesOf(db: Db, { job: { id }, last, count }: JobHead): Promise<Carried> {
  const known = carried.get(id);
  if (known && known.last === last && known.events.length === count) return keep(id, known);
  if (known && known.last < last) {
    const more = await eventsAfter(db, id, known.last);
    // Entries are only ever added; anything else is read anew.
    if (known.events.length + more.length === count) {
      const events = [...known.events, ...more];
      return keep(id, {
        last: more.at(-1)?.seq ?? last,
        events,
        state: projectOn(known.state, more),
      });
    }
  }
  const events = await eventsOf(db, id);
  return keep(id, { last: events.at(-1)?.seq ?? 0, events, state: project(events) });
}
