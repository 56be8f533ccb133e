import { useState } from 'react';
import { useKept } from '../../ui/kept.ts';

/** Opens a tab of another page before one goes there. */
export const keepTab = (key: string, tab: string): void =>
  sessionStorage.setItem(`tab:${key}`, tab);

/** The open tab: where the work stands at first, then where the hand went; kept over a reload. */
export function useTab<T extends string>(key: string, first: T): [T, (t: T) => void] {
  const [kept, keep] = useKept('sessionStorage', `tab:${key}`);
  // Work that moves on does not pull the tab away from under the hand.
  const [start] = useState(first);
  return [(kept as T | null) ?? start, keep];
}
