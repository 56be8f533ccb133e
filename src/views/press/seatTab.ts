import type { ReactNode } from 'react';

/** What stands round a seat whichever way it is read. */
export interface SeatTab {
  kicker: string;
  tabs: ReactNode;
  onDone: () => void;
  missing: string | undefined;
}
