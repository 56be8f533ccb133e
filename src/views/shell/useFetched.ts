import { useEffect, useState } from 'react';
import { call } from './useJob.ts';

export interface Fetched<T> {
  value: T | undefined;
  /** Set while the last try did not succeed: why, and a way to try again. */
  failed: { reason: string; again: () => void } | undefined;
}

/**
 * Reads from the server when what is asked for changes, and when a failed read is tried again. An undefined path asks
 * for nothing. An answer that comes after the question changed is thrown away; one of another path is not shown for this
 * one, while of the same path the last stands until the next has come.
 */
export function useFetched<T>(path: string | undefined, body?: unknown, round = 0): Fetched<T> {
  const [got, setGot] = useState<{ of: string; value: T }>();
  const [reason, setReason] = useState<string>();
  const [attempt, setAttempt] = useState(0);
  const asked = body === undefined ? undefined : JSON.stringify(body);
  useEffect(() => {
    if (path === undefined) return;
    let current = true;
    const method = asked === undefined ? 'GET' : 'POST';
    void call<T>(method, path, asked === undefined ? undefined : JSON.parse(asked)).then((r) => {
      if (!current) return;
      if (r.ok) setGot({ of: path, value: r.value });
      setReason(r.ok ? undefined : r.problem.detail);
    });
    return () => {
      current = false;
    };
  }, [path, asked, attempt, round]);
  return {
    value: got?.of === path ? got?.value : undefined,
    failed: reason === undefined ? undefined : { reason, again: () => setAttempt((n) => n + 1) },
  };
}
