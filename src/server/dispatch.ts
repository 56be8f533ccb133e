import { type Answer, jsonAnswer, responseOf } from './answer.ts';
import type { Asked } from './asked.ts';
import { countAnswer } from './health.ts';
import { log } from './log.ts';
import { Problem } from './problem.ts';
import { oneLarge } from './one-large.ts';
import { from, type Origin } from './request-origin.ts';
import { type Route, routes } from './routes/index.ts';
import { parsedJson, validated } from './validate.ts';

interface Found {
  route: Route;
  params: Record<string, string>;
}

const patterns = routes.map((route) => ({ route, parts: route.path.split('/') }));

/** Route and path parameters of a request; what is wrong otherwise. */
function find(method: string, pathname: string): Found | Problem {
  const parts = pathname.replace(/\/$/u, '').split('/');
  const matches = patterns.filter(
    (p) =>
      p.parts.length === parts.length &&
      p.parts.every((x, i) => x.startsWith('{') || x === parts[i]),
  );
  const found = matches.find((p) => p.route.method === method);
  if (!found)
    return matches.length > 0
      ? new Problem(405, 'Method not allowed', `${method} is not for ${pathname}.`)
      : new Problem(404, 'Not found', `There is nothing at ${pathname.slice(0, 200)}.`);
  const params: Record<string, string> = {};
  for (const [i, x] of found.parts.entries()) {
    if (!x.startsWith('{')) continue;
    const text = decoded(parts[i] ?? '');
    if (text === undefined || text.includes('\0'))
      return new Problem(404, 'Not found', `There is nothing at ${pathname.slice(0, 200)}.`);
    params[x.slice(1, -1)] = text;
  }
  return { route: found.route, params };
}

const decoded = (part: string): string | undefined => {
  try {
    return decodeURIComponent(part);
  } catch {
    return undefined;
  }
};

/** Most of a refused body that is let run by, bytes: a sender that is cut off does not hear why. */
const mostRunBy = 64_000_000;
function runBy(pieces: AsyncIterator<Uint8Array>): void {
  let size = 0;
  const next = async (): Promise<void> => {
    const { done, value } = await pieces.next();
    size += value?.byteLength ?? 0;
    if (!done) await (size > mostRunBy ? pieces.return?.() : next());
  };
  next().catch(() => undefined);
}

/** Reads a body up to the route's limit; refuses early when the length is announced. */
async function readBody({ headers, body }: Asked, limit: number): Promise<Buffer> {
  const tooLarge = () =>
    new Problem(
      413,
      'Too large',
      `This body is over the limit of ${limit < 1e6 ? `${limit / 1000} kB` : `${limit / 1e6} MB`} for this route.`,
      [{ field: 'body', reason: `At most ${limit} bytes.` }],
      { limitBytes: limit },
    );
  if (!body) return Buffer.alloc(0);
  // One by one: leaving a loop over them early would cut the sender off.
  const pieces = body[Symbol.asyncIterator]() as AsyncIterator<Uint8Array>;
  const held = (bytes: number) => {
    if (bytes <= limit) return;
    runBy(pieces);
    throw tooLarge();
  };
  held(Number(headers.get('content-length') ?? 0));
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await pieces.next();
    if (done) return Buffer.concat(chunks);
    size += value.byteLength;
    held(size);
    chunks.push(value);
  }
}

async function bodyOf(request: Asked, route: Route): Promise<unknown> {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]!.trim();
  if (type !== route.takes)
    throw new Problem(
      415,
      'Wrong kind of body',
      `This route takes ${route.takes}, not ${type || 'nothing'}.`,
      [{ field: 'content-type', reason: `Must be ${route.takes}.` }],
    );
  const large = Number(request.headers.get('content-length') ?? Infinity) > largeBytes;
  return large && route.limit > largeBytes
    ? oneLarge(() => parsed(request, route), request.signal)
    : parsed(request, route);
}

/** Bodies over this wait for one another. */
const largeBytes = 2_000_000;

const notText = () =>
  new Problem(400, 'Not text', 'The body is not text in UTF-8.', [
    { field: 'body', reason: 'Not UTF-8.' },
  ]);
function utf8(bytes: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw notText();
  }
}

async function parsed(request: Asked, route: Route): Promise<unknown> {
  // A recording is read as it comes in, by its own handler.
  if (route.takes === 'multipart/form-data') return undefined;
  const bytes = await readBody(request, route.limit);
  if (route.takes === 'application/zip' || route.takes === 'application/octet-stream') return bytes;
  const text = utf8(bytes);
  if (route.takes === 'text/csv' || route.unread) {
    if (text.includes('\0')) throw notText();
    return text;
  }
  const value = parsedJson(text);
  return route.body ? validated(route.body, value) : value;
}

const isFull = (e: unknown): boolean =>
  /SQLITE_FULL|ENOSPC|disk is full/u.test(
    [e, (e as { cause?: unknown }).cause].map(String).join(' '),
  );

/** What is said of an error that nobody foresaw. */
export function unforeseen(e: unknown, path: string): Problem {
  log.error({ err: e, path }, 'request failed');
  if (isFull(e))
    return new Problem(
      507,
      'Disk full',
      'The disk is full: this was not kept, and nothing before it is lost. It goes on once there is room.',
    );
  return new Problem(
    500,
    'Something broke',
    'The server could not do this. Nothing was changed. It is in the log.',
  );
}

async function answer(request: Asked, found: Found): Promise<Answer | Response> {
  const { route, params } = found;
  const body = route.method === 'GET' ? undefined : await bodyOf(request, route);
  const result = await route.handle({ params, body, headers: request.headers, request });
  return result instanceof Response ? result : jsonAnswer(result);
}

/** Answers one request to the interface; every error leaves as a problem document. */
export async function answerTo(
  request: Asked,
  { pathname }: URL,
  where: Origin,
): Promise<Answer | Response> {
  const started = performance.now();
  const found = find(request.method, pathname);
  if (found instanceof Problem) return found.toAnswer();
  const answered = await from(where, () => answer(request, found)).catch((e: unknown) =>
    (e instanceof Problem ? e : unforeseen(e, found.route.path)).toAnswer(),
  );
  countAnswer(`${found.route.method} ${found.route.path}`, answered.status, started);
  return answered;
}

/** The same in the web's kind of request and answer. */
export async function dispatch(
  request: Request,
  where: Origin = { address: 'here' },
): Promise<Response> {
  const answered = await answerTo(request, new URL(request.url), where);
  return answered instanceof Response ? answered : responseOf(answered);
}
