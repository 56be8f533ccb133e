import type { Asked, AskedHeaders } from '../asked.ts';
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

/** Names in braces in a path. */
type ParamOf<P extends string> = P extends `${string}{${infer Name}}${infer Rest}`
  ? Name | ParamOf<Rest>
  : never;

export interface Call<B = unknown, Param extends string = string> {
  /** What stands in the address for each name in braces. */
  params: Record<Param, string>;
  body: B;
  headers: AskedHeaders;
  /** As it came, for a route that reads the body by itself. */
  request: Asked;
}

type Takes =
  | 'application/json'
  | 'text/csv'
  | 'multipart/form-data'
  | 'application/zip'
  | 'application/octet-stream';

/** What comes in of a kind: JSON by its schema, a table as text, a file as bytes; a form is read by its own handler. */
type BodyOf<T extends Takes, S extends TSchema> = T extends 'application/json'
  ? Static<S>
  : T extends 'text/csv'
    ? string
    : T extends 'multipart/form-data'
      ? undefined
      : Uint8Array;

export interface Route {
  method: 'GET' | 'POST' | 'PUT';
  path: string;
  summary: string;
  body?: TSchema;
  /** What it answers with, as JSON; not said where that is a file, a stream or a thing that only its own screen reads. */
  gives?: TSchema;
  /** Largest body in bytes. */
  limit: number;
  /** Media type the route takes; JSON unless said. */
  takes: Takes;
  /** The handler gets the text as it is: it is read where it is worked out. */
  unread?: true;
  handle: (call: Call) => Promise<unknown>;
}

interface Options<S extends TSchema, G extends TSchema, T extends Takes> {
  body?: S;
  gives?: G;
  limit?: number;
  takes?: T;
  unread?: true;
}

export function route<
  S extends TSchema,
  P extends string,
  G extends TSchema,
  T extends Takes = 'application/json',
>(
  method: Route['method'],
  path: P,
  summary: string,
  options: Options<S, G, T>,
  handle: (call: Call<BodyOf<T, S>, ParamOf<P>>) => Static<G> | Promise<Static<G>>,
): Route {
  return {
    method,
    path,
    summary,
    ...(options.body ? { body: options.body } : {}),
    ...(options.gives ? { gives: options.gives } : {}),
    ...(options.unread ? { unread: true as const } : {}),
    limit: options.limit ?? jsonLimit,
    takes: options.takes ?? 'application/json',
    handle: async (c) => handle(c as Call<BodyOf<T, S>, ParamOf<P>>),
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
