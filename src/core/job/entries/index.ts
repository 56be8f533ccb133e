import { diagnosisEntries } from './diagnosis.ts';
import { endingEntries } from './ending.ts';
import type { Entries } from './entry.ts';
import { noteEntries } from './notes.ts';
import { partEntries } from './parts.ts';
import { pressEntries } from './press.ts';
import { proveEntries } from './prove.ts';
import { torqueEntries } from './torque.ts';
import { walkEntries } from './walk.ts';

/** Only the clock hears of them. */
const clockAlone = {
  'work-started': () => undefined,
  'work-paused': () => undefined,
} satisfies Partial<Entries>;

/** What every kind of entry does to the state; a kind that is missing here does not compile. */
export const entries: Entries = {
  ...clockAlone,
  ...diagnosisEntries,
  ...walkEntries,
  ...partEntries,
  ...pressEntries,
  ...torqueEntries,
  ...proveEntries,
  ...noteEntries,
  ...endingEntries,
};
