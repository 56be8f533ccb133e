import { useEffect, useState } from 'react';

/** Half-typed text, kept in this browser until it is confirmed; it survives a reload and the back button. */
export function useDraft(key: string, initial = ''): [string, (text: string) => void, () => void] {
  const [text, setText] = useState(initial);
  useEffect(() => {
    setText(localStorage.getItem(`draft:${key}`) ?? initial);
  }, [key, initial]);
  const change = (next: string) => {
    setText(next);
    if (next === '') localStorage.removeItem(`draft:${key}`);
    else localStorage.setItem(`draft:${key}`, next);
  };
  const clear = () => {
    setText('');
    localStorage.removeItem(`draft:${key}`);
  };
  return [text, change, clear];
}
