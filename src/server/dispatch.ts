import { pino } from 'pino';
import { Problem } from './problem.ts';
import { type Route, routes } from './routes/index.ts';
import { validated } from './validate.ts';

export const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });

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
      : new Problem(404, 'Not found', `There is nothing at ${pathname}.`);
  const params = Object.fromEntries(
    found.parts.flatMap((x, i) =>
      x.startsWith('{') ? [[x.slice(1, -1), decodeURIComponent(parts[i]!)]] : [],
    ),
  );
  return { route: found.route, params };
}

/** Reads a body up to the route's limit; refuses early when the length is announced. */
async function readBody(request: Request, limit: number): Promise<Buffer> {
  const tooLarge = () =>
    new Problem(
      413,
      'Too large',
      `This body is over the limit of ${(limit / 1e6).toFixed(0)} MB for this route.`,
      [{ field: 'body', reason: `At most ${limit} bytes.` }],
      { limitBytes: limit },
    );
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  if (!request.body) return Buffer.alloc(0);
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return Buffer.concat(chunks);
    size += value.byteLength;
    if (size > limit) {
      await reader.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
}

async function bodyOf(request: Request, route: Route): Promise<unknown> {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]!.trim();
  if (type !== route.takes)
    throw new Problem(
      415,
      'Wrong kind of body',
      `This route takes ${route.takes}, not ${type || 'nothing'}.`,
      [{ field: 'content-type', reason: `Must be ${route.takes}.` }],
    );
  const bytes = await readBody(request, route.limit);
  if (route.takes === 'multipart/form-data') {
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': request.headers.get('content-type')! },
    })
      .formData()
      .catch(() => {
        throw new Problem(400, 'Not a form', 'The body is not multipart form data.', [
          { field: 'body', reason: 'Not multipart.' },
        ]);
      });
  }
  if (route.takes === 'application/zip') return bytes;
  const text = bytes.toString('utf8');
  if (route.takes === 'text/csv') return text;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (e) {
    throw new Problem(400, 'Not JSON', `The body is not JSON: ${(e as Error).message}.`, [
      { field: 'body', reason: 'Not JSON.' },
    ]);
  }
  return route.body ? validated(route.body, value) : value;
}

/** Answers one request to the interface; every error leaves as a problem document. */
export async function dispatch(request: Request): Promise<Response> {
  const { pathname } = new URL(request.url);
  try {
    const found = find(request.method, pathname);
    if (found instanceof Problem) throw found;
    const { route, params } = found;
    const body = route.method === 'GET' ? undefined : await bodyOf(request, route);
    const result = await route.handle({ params, body, headers: request.headers });
    if (result instanceof Response) return result;
    return new Response(JSON.stringify(result), {
      headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
    });
  } catch (e) {
    if (e instanceof Problem) return e.toResponse();
    log.error({ err: e, path: pathname }, 'request failed');
    return new Problem(
      500,
      'Something broke',
      'The server could not do this. Nothing was changed. It is in the log.',
    ).toResponse();
  }
}
