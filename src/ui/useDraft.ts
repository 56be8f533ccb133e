import { useKept } from './kept.ts';

/** Half-typed text, kept in this browser until it is confirmed; it survives a reload and the back button. */
export function useDraft(key: string, initial = ''): [string, (text: string) => void, () => void] {
  const [kept, keep] = useKept('localStorage', `draft:${key}`);
  const change = (next: string) => keep(next === initial ? null : next);
  return [kept ?? initial, change, () => keep(null)];
}
