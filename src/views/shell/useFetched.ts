import { useEffect, useState } from 'react';
import { call } from './useJob.ts';

export interface Fetched<T> {
  value: T | undefined;
  /** Set while the last try did not succeed: why, and a way to try again. */
  failed: { reason: string; again: () => void } | undefined;
}

/**
 * Reads from the server when what is asked for changes, and when a failed read is tried again. An undefined path asks
 * for nothing. An answer that comes after the question changed is thrown away.
 */
export function useFetched<T>(path: string | undefined, body?: unknown, round = 0): Fetched<T> {
  const [value, setValue] = useState<T>();
  const [reason, setReason] = useState<string>();
  const [attempt, setAttempt] = useState(0);
  const asked = body === undefined ? undefined : JSON.stringify(body);
  useEffect(() => {
    if (path === undefined) return;
    let current = true;
    const method = asked === undefined ? 'GET' : 'POST';
    void call<T>(method, path, asked === undefined ? undefined : JSON.parse(asked)).then((r) => {
      if (!current) return;
      if (r.ok) setValue(r.value);
      setReason(r.ok ? undefined : r.problem.detail);
    });
    return () => {
      current = false;
    };
  }, [path, asked, attempt, round]);
  return {
    value,
    failed: reason === undefined ? undefined : { reason, again: () => setAttempt((n) => n + 1) },
  };
}
