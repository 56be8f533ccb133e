import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Readable } from 'node:stream';

/** What is read of headers. */
export type AskedHeaders = Pick<Headers, 'get' | 'has'>;

/** A request as the interface reads it: of the web's kind, or of Node's own as it came. */
export interface Asked {
  method: string;
  /** The whole address; only what stands behind its host is read. */
  url: string;
  headers: AskedHeaders;
  body: Readable | ReadableStream<Uint8Array> | null;
  /** Says when whoever asked is gone. */
  signal: AbortSignal;
}

const encrypted = (request: IncomingMessage): boolean => 'encrypted' in request.socket;

/** Headers of Node's own request; one that was sent twice is read as one. */
const headersOf = ({ headers }: IncomingMessage): AskedHeaders => ({
  get: (name) => {
    const value = headers[name.toLowerCase()];
    return Array.isArray(value) ? value.join(', ') : (value ?? null);
  },
  has: (name) => headers[name.toLowerCase()] !== undefined,
});

/** Aborts when the answer cannot be heard any more. */
function heard(response: ServerResponse): AbortSignal {
  const gone = new AbortController();
  if (response.closed) gone.abort();
  else response.once('close', () => response.writableFinished || gone.abort());
  return gone.signal;
}

/** Node's own request, read without making another of it: most of what comes is small, and the making costs more than its answer. */
export function askedBy(request: IncomingMessage, response: ServerResponse): Asked {
  let signal: AbortSignal | undefined;
  return {
    method: request.method ?? 'GET',
    // By which name it was asked is looked at before; its port may be anything.
    url: `${encrypted(request) ? 'https' : 'http'}://shop${request.url}`,
    headers: headersOf(request),
    body: request.method === 'GET' ? null : request,
    get signal() {
      return (signal ??= heard(response));
    },
  };
}
