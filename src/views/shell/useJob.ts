import { askPin } from './askPin.ts';
import { createContext, useCallback, useContext, useEffect, useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import type { JobAnswer, JobView } from '../../core/job/index.ts';
import type { ChoiceBody, ChoiceKey, EventBody, EventType } from '../../core/schemas/events.ts';

/** A problem document, or the same shape for a server that did not answer. */
export interface ProblemDoc {
  title: string;
  status: number;
  detail: string;
  errors: { field: string; reason: string }[];
  rule?: string;
  yours?: unknown;
  theirs?: unknown;
  version?: number;
}

const silent: ProblemDoc = {
  title: 'No answer',
  status: 0,
  detail: 'The server does not answer. What you typed is kept here; try again.',
  errors: [],
};

const stopped: ProblemDoc = {
  ...silent,
  title: 'Stopped',
  detail: 'Stopped. What the list shows is what stands.',
};

/** On a network a person's PIN is asked for once a shift; then what was refused for want of it is sent again. */
async function withPin(response: Response, again: () => Promise<Response>): Promise<Response> {
  if (response.status !== 401) return response;
  const { needs, personId, name } = (await response.clone().json()) as {
    needs?: 'pin';
    personId?: string;
    name?: string;
  };
  if (needs !== 'pin' || !personId) return response;
  const pin = await askPin(personId, name ?? personId);
  if (pin === undefined) return response;
  const given = await fetch('/api/tablets/shift', {
    method: 'POST',
    body: JSON.stringify({ byId: personId, pin }),
    headers: { 'content-type': 'application/json' },
  });
  return given.ok ? again() : given;
}

const bodyAs = (type: string, body: unknown): BodyInit => {
  if (type === 'application/json') return JSON.stringify(body);
  return body instanceof ArrayBuffer ? body : String(body);
};

/** Calls the interface; a repeat with the same command id is safe, so one lost answer is tried again. */
export async function call<T>(
  method: string,
  path: string,
  body?: unknown,
  type = 'application/json',
  headers: Readonly<Record<string, string>> = {},
  signal?: AbortSignal,
): Promise<{ ok: true; value: T } | { ok: false; problem: ProblemDoc }> {
  const init: RequestInit = {
    method,
    ...(signal ? { signal } : {}),
    ...(body === undefined
      ? {}
      : {
          body: bodyAs(type, body),
          headers: { ...headers, 'content-type': type },
        }),
  };
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      const response = await withPin(await fetch(path, init), () => fetch(path, init));
      const value = await response.json();
      return response.ok
        ? { ok: true, value: value as T }
        : { ok: false, problem: value as ProblemDoc };
    } catch {
      if (signal?.aborted) return { ok: false, problem: stopped };
      continue;
    }
  }
  return { ok: false, problem: silent };
}

/** What a refusal says, whatever came back. */
export const problemOf = (r: Response): Promise<ProblemDoc> =>
  (r.json() as Promise<ProblemDoc>).catch(() => silent);

/** What became of a write: taken, refused for good, or not there yet because nobody answered. */
export type Told = 'taken' | 'refused' | 'unsent';
const toldBy = (problem: ProblemDoc): Told =>
  problem.status >= 400 && problem.status < 500 ? 'refused' : 'unsent';

export interface JobApi {
  view: JobView;
  who: string;
  setWho: (id: string) => void;
  busy: boolean;
  problem: ProblemDoc | undefined;
  clear: () => void;
  /** Adds a line to the record; true when it was taken. */
  send: <T extends EventType>(type: T, body: EventBody<T>, pin?: string) => Promise<boolean>;
  /** The same, told apart where it was not taken. */
  tell: <T extends EventType>(type: T, body: EventBody<T>, pin?: string) => Promise<Told>;
  /** Changes a choice under the version seen. */
  choose: <K extends ChoiceKey>(key: K, value: ChoiceBody<K>) => Promise<boolean>;
  /** Milliseconds of the server's clock now. */
  now: () => number;
}

export function useJobApi(first: JobView, firstWho: string): JobApi {
  const [view, setView] = useState(first);
  const [who, setWho] = useState(firstWho);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<ProblemDoc>();
  const offset = useRef(0);
  const current = useRef(first);
  const queue = useRef<Promise<boolean>>(Promise.resolve(true));
  const id = first.job.id;

  const show = useCallback((next: JobView) => {
    current.current = next;
    setView(next);
  }, []);

  useEffect(() => {
    offset.current = first.nowMs - Date.now();
    // Another tablet may have moved the job: look again when this one comes back to the front.
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      const r = await call<JobView>('GET', `/api/jobs/${id}`);
      if (r.ok) show(r.value);
    };
    document.addEventListener('visibilitychange', look);
    window.addEventListener('pageshow', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('pageshow', look);
    };
  }, [id, first.nowMs, show]);

  const run = useCallback(
    async (method: string, path: string, body: unknown): Promise<Told> => {
      setBusy(true);
      const { context, ctx, people } = current.current;
      const has = { 'x-context': context };
      const r = await call<JobAnswer>(method, path, body, 'application/json', has);
      setBusy(false);
      if (r.ok) {
        show({ ctx, people, ...r.value });
        setProblem(undefined);
        return 'taken';
      }
      setProblem(r.problem);
      return toldBy(r.problem);
    },
    [show],
  );

  /** Shown at once, written in the order of the taps; taken back when the server refuses. */
  const choose: JobApi['choose'] = (key, value) => {
    const before = current.current;
    // With what is shown, not a moment later: one drawing less.
    setBusy(true);
    show({
      ...before,
      choices: { ...before.choices, [key]: { version: before.choices[key]?.version ?? 0, value } },
    });
    const write = queue.current.then(async () => {
      const told = await run('PUT', `/api/jobs/${id}/choices/${key}`, {
        id: uuid(),
        version: current.current.choices[key]?.version ?? 0,
        value,
        byId: who,
      });
      const ok = told === 'taken';
      if (!ok) show({ ...current.current, choices: before.choices });
      return ok;
    });
    queue.current = write;
    return write;
  };

  const tell: JobApi['tell'] = (type, body, pin) =>
    run('POST', `/api/jobs/${id}/events`, {
      id: uuid(),
      type,
      body,
      byId: who,
      ...(pin === undefined ? {} : { pin }),
    });

  return {
    view,
    who,
    setWho,
    busy,
    problem,
    clear: () => setProblem(undefined),
    tell,
    send: async (type, body, pin) => (await tell(type, body, pin)) === 'taken',
    choose,
    now: () => Date.now() + offset.current,
  };
}

const JobContextValue = createContext<JobApi | undefined>(undefined);
export const JobProvider = JobContextValue.Provider;

export function useJob(): JobApi {
  const api = useContext(JobContextValue);
  if (!api) throw new Error('useJob outside a job sheet');
  return api;
}

/** A fault of the last problem on one of these fields. */
export const faultOf = (problem: ProblemDoc | undefined, ...fields: string[]) =>
  problem?.errors.find((e) => fields.includes(e.field))?.reason;
