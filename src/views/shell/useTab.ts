import { useEffect, useState } from 'react';

/** The open tab: where the work stands at first, then where the hand went; kept over a reload. */
export function useTab<T extends string>(key: string, first: T): [T, (t: T) => void] {
  const [open, setOpen] = useState<T>(first);
  useEffect(() => {
    const kept = sessionStorage.getItem(`tab:${key}`);
    if (kept) setOpen(kept as T);
  }, [key]);
  return [
    open,
    (t) => {
      setOpen(t);
      sessionStorage.setItem(`tab:${key}`, t);
    },
  ];
}
