import { useKept } from './kept.ts';

/** Half-typed text, kept in this browser until it is confirmed; it survives a reload and the back button. */
export function useDraft(key: string, initial = ''): [string, (text: string) => void, () => void] {
  const [kept, keep] = useKept('localStorage', `draft:${key}`);
  const change = (next: string) => keep(next === initial ? null : next);
  return [kept ?? initial, change, () => keep(null)];
}

const isFigures = (x: unknown): x is number[] =>
  Array.isArray(x) && x.every((v) => typeof v === 'number' && Number.isFinite(v));

function figuresIn(text: string): number[] {
  try {
    const read: unknown = JSON.parse(text);
    return isFigures(read) ? read : [];
  } catch {
    return [];
  }
}

/** Figures read so far, kept in the same way. */
export function useDraftList(key: string): [number[], (list: number[]) => void, () => void] {
  const [text, setText, clear] = useDraft(key);
  return [figuresIn(text), (list) => setText(JSON.stringify(list)), clear];
}
