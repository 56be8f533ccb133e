import { once } from 'node:events';
import { createServer, type IncomingMessage, request as asking } from 'node:http';
import type { AddressInfo } from 'node:net';
import { json, text } from 'node:stream/consumers';
import { setTimeout as later } from 'node:timers/promises';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { loadShop } from './shop-server.ts';

const { answerAtDoor } = await import('../../src/serve/door.ts');
const { routes } = await import('../../src/server/routes/index.ts');

const server = createServer((request, response) => void answerAtDoor(request, response));
beforeAll(async () => {
  await loadShop();
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
}, 60_000);
afterAll(() => server.close());

function asked(method: string, path: string, headers: Record<string, string> = {}) {
  const { port } = server.address() as AddressInfo;
  return asking({ port, method, path, headers, agent: false });
}
const heard = async (r: ReturnType<typeof asked>) =>
  ((await once(r, 'response')) as [IncomingMessage])[0];

it.each([
  ['GET', '/api/health', {}, '', 200],
  ['GET', '/api/jobs/%ff', {}, '', 404],
  ['GET', '/api/../jobs', {}, '', 404],
  ['GET', '/api/health', { host: '127.0.0.1:99999' }, '', 200],
  ['DELETE', '/api/health', {}, '', 405],
  ['POST', '/api/jobs', { 'content-type': 'text/plain' }, '{}', 415],
  ['POST', '/api/jobs', { 'content-type': 'application/json' }, '{"id":', 400],
  ['POST', '/api/jobs', { 'sec-fetch-site': 'cross-site' }, '{}', 403],
  ['POST', '/api/jobs', { origin: 'http://elsewhere' }, '{}', 403],
  // A length that is announced, and one that only shows.
  [
    'POST',
    '/api/jobs',
    { 'content-type': 'application/json', 'content-length': '3000000' },
    ' '.repeat(3_000_000),
    413,
  ],
  ['POST', '/api/jobs', { 'content-type': 'application/json' }, ' '.repeat(3_000_000), 413],
] as const)('%s %s with %j is answered as it is', async (method, path, headers, body, status) => {
  const r = asked(method, path, headers);
  r.end(body);
  const response = await heard(r);
  expect([response.statusCode, await json(response)]).toEqual([
    status,
    expect.objectContaining(status === 200 ? { ok: true } : { status }),
  ]);
});

it('a file goes out as it is', async () => {
  const r = asked('GET', '/api/export/parts.csv');
  r.end();
  const response = await heard(r);
  expect(response.headers['content-disposition']).toMatch(/parts\.csv/u);
  expect(await text(response)).toMatch(/^number,/u);
});

it('who hangs up ends what runs for them: a stream of readings, and a computation by its signal', async () => {
  const stream = asked('GET', '/api/devices/indicator/76');
  stream.end();
  const response = await heard(stream);
  await once(response, 'data');
  stream.destroy();
  const gone = new Promise<void>((resolve) => {
    const route = routes.find((x) => x.path === '/api/kit/gaps')!;
    const before = route.handle;
    route.handle = async ({ request: { signal } }) => {
      route.handle = before;
      signal.addEventListener('abort', () => resolve());
      waiting.destroy();
      return once(signal, 'abort');
    };
  });
  const waiting = asked('GET', '/api/kit/gaps');
  waiting.on('error', () => undefined).end();
  await gone;
  while (await new Promise<number>((r) => server.getConnections((_, n) => r(n))))
    await new Promise((r) => setTimeout(r, 10));
});

/** A zip of which only the first bytes come. */
function half(bytes = 3_000_000) {
  const r = asked('POST', '/api/shop/archive/look', {
    'content-type': 'application/zip',
    'content-length': String(bytes),
  });
  r.on('error', () => undefined);
  r.write(Buffer.alloc(1000));
  return r;
}

it('a large upload that is broken off, sending or waiting its turn, holds up nobody', async () => {
  const sending = half();
  await later(50);
  const waiting = half();
  await later(50);
  waiting.destroy();
  await later(50);
  sending.destroy();
  const whole = asked('POST', '/api/shop/archive/look', { 'content-type': 'application/zip' });
  whole.end(Buffer.alloc(2_500_000));
  const response = await Promise.race([heard(whole), later(5000)]);
  // It is no zip; what counts is that it is answered.
  expect(response?.statusCode).toBeGreaterThanOrEqual(400);
}, 20_000);
