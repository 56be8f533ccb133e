import { useEffect, useRef, useState } from 'react';

interface IndicatorReading {
  valueMm: number;
  settled: boolean;
}

/** Reads the stand-in indicator until it stands still; the last figure is handed over. */
export function useIndicator() {
  const source = useRef<EventSource>(undefined);
  const [now, setNow] = useState<number>();
  const stop = () => {
    source.current?.close();
    source.current = undefined;
    setNow(undefined);
  };
  useEffect(() => stop, []);
  const readAt = (path: string, onSettled: (mm: number) => void) => {
    stop();
    const s = new EventSource(path);
    source.current = s;
    s.onmessage = (e: MessageEvent<string>) => {
      const r = JSON.parse(e.data) as IndicatorReading;
      setNow(r.valueMm);
      if (r.settled) {
        // What follows may be the next reading: it is not stopped with this one.
        stop();
        onSettled(r.valueMm);
      }
    };
    s.onerror = stop;
  };
  const read = (nominalMm: number, onSettled: (mm: number) => void) =>
    readAt(`/api/devices/indicator/${nominalMm}`, onSettled);
  return { now, read, readAt };
}
