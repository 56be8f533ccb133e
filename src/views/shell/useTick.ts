import { useState, useSyncExternalStore } from 'react';

const everySecond = (listener: () => void) => {
  const t = setInterval(listener, 1000);
  return () => clearInterval(t);
};

/** The server's clock, a second at a time; the first value is the one the page was made with. */
export function useServerClock(firstMs: number): number {
  const [offsetMs] = useState(() => firstMs - Date.now());
  const second = useSyncExternalStore(
    everySecond,
    () => Math.floor(Date.now() / 1000),
    () => undefined,
  );
  return second === undefined ? firstMs : second * 1000 + offsetMs;
}
