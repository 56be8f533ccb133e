import { type Entries, once } from './entry.ts';

/** Stations done and opened again, and how a job ends. */
export const endingEntries = {
  'station-done': (s, { station }) => once(s.done, station),
  'station-reopened': (s, { station }) => {
    s.done = s.done.filter((x) => x !== station);
  },
  signed: (s, body, by) => {
    s.signed = { ...body, ...by };
    once(s.done, 'prove');
  },
  'recheck-done': (s, { odometerKm }) => {
    s.recheckedKm = odometerKm;
  },
  'job-closed': (s, { reason, found }, { atMs }) => {
    s.closed = reason;
    if (found !== undefined) s.closedFound = found;
    s.closedMs = atMs;
  },
  'job-reopened': (s) => {
    delete s.closed;
    delete s.closedFound;
    delete s.closedMs;
  },
} satisfies Partial<Entries>;
