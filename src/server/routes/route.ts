import { isOneOf } from '../../core/keys-of.ts';
import type { Static, TSchema } from '@sinclair/typebox';
import { notFound } from '../problem.ts';

/** Largest bodies, bytes, by what they can mean: a form; a stroke by the gauge or a kit for the solver; a shop's tables; a recording of ten minutes. */
export const jsonLimit = 64_000;
export const traceLimit = 1_000_000;
export const signalsLimit = 6_000_000;
export const importLimit = 24_000_000;
/** A photo of a phone. */
export const photoLimit = 20_000_000;
export const recordingLimit = 128_000_000;

export interface Call<B = unknown> {
  params: Record<string, string>;
  body: B;
  headers: Headers;
  /** As it came, for a route that reads the body by itself. */
  request: Request;
}

export interface Route {
  method: 'GET' | 'POST' | 'PUT';
  path: string;
  summary: string;
  body?: TSchema;
  /** Largest body in bytes. */
  limit: number;
  /** Media type the route takes; JSON unless said. */
  takes:
    | 'application/json'
    | 'text/csv'
    | 'multipart/form-data'
    | 'application/zip'
    | 'application/octet-stream';
  /** The handler gets the text as it is: it is read where it is worked out. */
  unread?: true;
  handle: (call: Call) => Promise<unknown>;
}

interface Options<S extends TSchema> {
  body?: S;
  limit?: number;
  takes?: Route['takes'];
  unread?: true;
}

export function route<S extends TSchema>(
  method: Route['method'],
  path: string,
  summary: string,
  options: Options<S>,
  handle: (call: Call<Static<S>>) => unknown,
): Route {
  return {
    method,
    path,
    summary,
    ...(options.body ? { body: options.body } : {}),
    ...(options.unread ? { unread: true as const } : {}),
    limit: options.limit ?? jsonLimit,
    takes: options.takes ?? 'application/json',
    handle: async (c) => handle(c as Call<Static<S>>),
  };
}

export const known = <T extends string>(
  list: readonly T[],
  value: string | undefined,
  what: string,
): T => {
  if (!isOneOf(list, value)) throw notFound(what, value ?? '');
  return value;
};
