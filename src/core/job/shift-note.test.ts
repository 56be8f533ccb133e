import { expect, it } from 'vitest';
import { event, job } from '../../../tests/job-example.ts';
import type { JobEvent } from '../schemas/events.ts';
import { summaryOf } from './index.ts';

it('a note for the next shift stands on the floor until it is read; every note stays with the job', () => {
  const plain = event('note-left', { text: 'nut is new' });
  const first = event('note-left', { text: 'waits for the seal', forShift: true });
  const later = event('note-left', { text: 'seal is in the van', forShift: true });
  const read = event('note-read', {});
  const onFloor = (...events: JobEvent[]) => summaryOf(job(events), 'ines').note?.text;
  expect(onFloor(plain)).toBeUndefined();
  expect(onFloor(first, plain)).toBe('waits for the seal');
  expect(onFloor(first, later)).toBe('seal is in the van');
  expect(onFloor(first, later, read)).toBeUndefined();
  expect(job([plain, first, read]).state.notes).toHaveLength(2);
});
