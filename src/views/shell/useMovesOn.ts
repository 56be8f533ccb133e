import { useEffect, useRef } from 'react';

/** A task that was finished under the hand opens the next one by itself; one that was done before stays open to be looked at. */
export function useMovesOn(id: string | undefined, isDone: boolean, go: () => void): void {
  const was = useRef({ id, isDone });
  useEffect(() => {
    const finished = isDone && was.current.id === id && !was.current.isDone;
    was.current = { id, isDone };
    if (finished) go();
  });
}
