import type { Entries } from './entry.ts';

/** Pictures and words left with the job. */
export const noteEntries = {
  'photo-left': (s, body, by) => {
    s.photos.push({ ...body, ...by });
  },
  'note-left': (s, body, by) => {
    s.notes.push({ ...body, ...by });
    if (body.forShift) s.shiftNote = { ...body, ...by };
  },
  'note-read': (s) => {
    delete s.shiftNote;
  },
} satisfies Partial<Entries>;
