import { useEffect, useEffectEvent, useState } from 'react';
import type { RamPicture } from '../../core/practice/index.ts';

export interface RamRun {
  at: number;
  running: boolean;
  /** The pump runs by itself. */
  start: () => void;
  /** Stops it where it is, and says where. */
  halt: () => number;
  /** One stroke by hand. */
  pump: () => void;
}

/** The pump of an exercise: it runs from where it is begun, or goes stroke by stroke, until it is released or can go no further. */
export function useRamRun(p: RamPicture, slower: number, onEnd: (at: number) => void): RamRun {
  const [at, setAt] = useState(p.from);
  const [running, setRunning] = useState(false);
  const last = p.trace.length - 1;
  const go = useEffectEvent((to: number) => {
    setAt(Math.min(to, last));
    if (to < last) return;
    setRunning(false);
    onEnd(last);
  });
  const whereNow = useEffectEvent(() => at);
  useEffect(() => {
    if (!running) return undefined;
    const [from, t0] = [whereNow(), performance.now()];
    let frame = requestAnimationFrame(function step(now) {
      go(from + Math.floor(Math.max(0, now - t0) / (p.everyMs * slower)));
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [running, p, slower]);
  return {
    at,
    running,
    start: () => setRunning(true),
    halt: () => {
      setRunning(false);
      return at;
    },
    pump: () => {
      const to = Math.min(last, at + p.aPump);
      setAt(to);
      if (to === last) onEnd(last);
    },
  };
}
