import { useEffect, useRef, useState } from 'react';

const runMs = 1800;
const restMs = 900;

/** Runs the planned stroke once on the drawing; with reduced motion it only shows where it ends. */
export function usePlay(plannedMm: number): { at: number | undefined; play: () => void } {
  const [at, setAt] = useState<number>();
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const play = () => {
    cancelAnimationFrame(frame.current);
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const start = performance.now();
    const step = (now: number) => {
      const t = now - start;
      if (t > runMs + restMs) return setAt(undefined);
      setAt(still ? plannedMm : plannedMm * Math.min(1, t / runMs));
      frame.current = requestAnimationFrame(step);
    };
    frame.current = requestAnimationFrame(step);
  };
  return { at, play };
}
