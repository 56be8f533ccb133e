import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether the page lives in the browser: false while it is drawn on the server and at its first look here. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
