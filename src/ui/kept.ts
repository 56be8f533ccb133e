import { useCallback, useSyncExternalStore } from 'react';

type Area = 'localStorage' | 'sessionStorage';

const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/**
 * A text kept in this browser. The server knows none, so the first picture is the same on both sides and the kept
 * text comes in right after.
 */
export function useKept(area: Area, key: string): [string | null, (next: string | null) => void] {
  const kept = useSyncExternalStore(
    subscribe,
    () => window[area].getItem(key),
    () => null,
  );
  const keep = useCallback(
    (next: string | null) => {
      if (next === null) window[area].removeItem(key);
      else window[area].setItem(key, next);
      for (const listener of listeners) listener();
    },
    [area, key],
  );
  return [kept, keep];
}

const never = () => () => undefined;
/** Whether this browser has taken the page over from the server. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
