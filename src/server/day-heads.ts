import { digest } from './chain.ts';

/** One entry as the days are chained from it. */
export interface EntryHash {
  seq: number;
  jobId: string;
  hash: string;
  atMs: number;
}

export interface Day {
  /** UTC. */
  day: string;
  head: string;
  jobs: number;
  entries: number;
  /** Entries of the whole record up to its end. */
  upTo: number;
}

/**
 * The record day by day: each head covers the head of the day before and the last seal of every job that was written to.
 * A clock that was set back opens no earlier day again: an entry belongs to the latest day reached before it.
 */
export function daysOf(entries: readonly EntryHash[], before = ''): Day[] {
  const days: Day[] = [];
  let open:
    { day: string; jobs: Map<string, { hash: string; entries: number }>; upTo: number } | undefined;
  const close = () => {
    if (!open) return;
    const jobs = [...open.jobs].map(([jobId, j]) => ({ jobId, ...j }));
    jobs.sort((a, b) => (a.jobId < b.jobId ? -1 : 1));
    days.push({
      day: open.day,
      head: digest({ before: days.at(-1)?.head ?? before, day: open.day, jobs }),
      jobs: jobs.length,
      entries: jobs.reduce((sum, j) => sum + j.entries, 0),
      upTo: open.upTo,
    });
  };
  for (const [i, e] of entries.entries()) {
    const day = new Date(e.atMs).toISOString().slice(0, 10);
    if (!open || day > open.day) {
      close();
      open = { day, jobs: new Map(), upTo: i };
    }
    const { entries: count = 0 } = open.jobs.get(e.jobId) ?? {};
    open.jobs.set(e.jobId, { hash: e.hash, entries: count + 1 });
    open.upTo = i + 1;
  }
  close();
  return days;
}

/** The head that the record had when it was `upTo` entries long; undefined when it is shorter now. */
export function headAt(
  entries: readonly EntryHash[],
  days: readonly Day[],
  upTo: number,
): Pick<Day, 'day' | 'head'> | undefined {
  const i = days.findIndex((d) => d.upTo >= upTo);
  if (i < 0 || upTo <= 0) return undefined;
  const earlier = days[i - 1];
  return daysOf(entries.slice(earlier?.upTo ?? 0, upTo), earlier?.head ?? '').at(-1);
}
