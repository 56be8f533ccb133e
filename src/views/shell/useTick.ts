import { useEffect, useRef, useState } from 'react';

/** Renders again every `ms` while mounted, for clocks. */
export function useTick(ms = 1000): number {
  const [n, set] = useState(0);
  useEffect(() => {
    const t = setInterval(() => set((x) => x + 1), ms);
    return () => clearInterval(t);
  }, [ms]);
  return n;
}

/** The server's clock, a second at a time; the first value is the one the page was made with. */
export function useServerClock(firstMs: number): number {
  const offset = useRef<number>(undefined);
  const n = useTick();
  useEffect(() => {
    offset.current = firstMs - Date.now();
  }, [firstMs]);
  return n === 0 || offset.current === undefined ? firstMs : Date.now() + offset.current;
}
