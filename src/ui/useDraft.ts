import { useKept } from './kept.ts';

/** Half-typed text, kept in this browser until it is confirmed; it survives a reload and the back button. */
export function useDraft(key: string, initial = ''): [string, (text: string) => void, () => void] {
  const [kept, keep] = useKept('localStorage', `draft:${key}`);
  const change = (next: string) => keep(next === initial ? null : next);
  return [kept ?? initial, change, () => keep(null)];
}

function read<T>(text: string, is: (x: unknown) => x is T): T | undefined {
  try {
    const kept: unknown = JSON.parse(text);
    return is(kept) ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Something half-done that is more than a text, kept in the same way; undefined while there is none. */
export function useDraftOf<T>(
  key: string,
  is: (x: unknown) => x is T,
): [T | undefined, (value: T) => void, () => void] {
  const [text, setText, clear] = useDraft(key);
  return [read(text, is), (value) => setText(JSON.stringify(value)), clear];
}

const isFigures = (x: unknown): x is number[] =>
  Array.isArray(x) && x.every((v) => typeof v === 'number' && Number.isFinite(v));

/** Figures read so far. */
export function useDraftList(key: string): [number[], (list: number[]) => void, () => void] {
  const [list, setList, clear] = useDraftOf(key, isFigures);
  return [list ?? [], setList, clear];
}
