import { useKept } from '../../ui/kept.ts';

/** The open tab: where the work stands at first, then where the hand went; kept over a reload. */
export function useTab<T extends string>(key: string, first: T): [T, (t: T) => void] {
  const [kept, keep] = useKept('sessionStorage', `tab:${key}`);
  return [(kept as T | null) ?? first, keep];
}
