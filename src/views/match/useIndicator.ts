import { useEffect, useRef, useState } from 'react';
import { type DeviceStream, readDevice } from '../shell/deviceStream.ts';

interface IndicatorReading {
  valueMm: number;
  settled: boolean;
}

/** Reads the stand-in indicator until it stands still; the last figure is handed over. */
export function useIndicator() {
  const source = useRef<DeviceStream>(undefined);
  const [now, setNow] = useState<number>();
  const stop = () => {
    source.current?.close();
    source.current = undefined;
    setNow(undefined);
  };
  useEffect(() => stop, []);
  const readAt = (path: string, onSettled: (mm: number) => void) => {
    stop();
    const take = (r: IndicatorReading) => {
      setNow(r.valueMm);
      if (r.settled) {
        // What follows may be the next reading: it is not stopped with this one.
        stop();
        onSettled(r.valueMm);
      }
    };
    source.current = readDevice(path, take, stop);
  };
  const read = (nominalMm: number, onSettled: (mm: number) => void) =>
    readAt(`/api/devices/indicator/${nominalMm}`, onSettled);
  return { now, read, readAt };
}
