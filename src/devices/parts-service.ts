import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

export interface Offer {
  number: string;
  priceMinor: number;
  currency: string;
  stock: number;
  leadDays: number;
}

/** Why the service gave no answer, in words for a person. */
export class ServiceDown extends Error {}

/** Port of a parts service: price, stock and lead time by part number. */
export interface PartsService {
  offers: (numbers: readonly string[]) => Promise<Offer[]>;
}

/** Longest wait before the job goes on with what is known, ms. */
const patienceMs = 2500;

/** A service over HTTP: GET {url}/offers?number=…&number=… answers {offers: Offer[]}. */
export const httpPartsService = (url: string, patience = patienceMs): PartsService => ({
  offers: async (numbers) => {
    const query = numbers.map((n) => `number=${encodeURIComponent(n)}`).join('&');
    let r: Response;
    try {
      r = await fetch(`${url}/offers?${query}`, { signal: AbortSignal.timeout(patience) });
    } catch (e) {
      throw new ServiceDown(
        (e as Error).name === 'TimeoutError'
          ? `The parts service did not answer within ${patience / 1000} s.`
          : 'The parts service cannot be reached.',
      );
    }
    if (!r.ok) throw new ServiceDown(`The parts service answered with an error (${r.status}).`);
    const body = (await r.json().catch(() => undefined)) as { offers?: unknown } | undefined;
    if (!Array.isArray(body?.offers))
      throw new ServiceDown('The parts service sent something that is not a list of offers.');
    return (body.offers as Offer[]).filter(
      (o) =>
        typeof o?.number === 'string' &&
        Number.isFinite(o.priceMinor) &&
        Number.isFinite(o.stock) &&
        Number.isFinite(o.leadDays),
    );
  },
});

/** How the stand-in behaves: how slow it is, and whether it fails. */
export interface Mood {
  latencyMs: number;
  fails: 'no' | 'error' | 'nonsense';
}

export interface StandInService {
  url: string;
  mood: Mood;
  server: Server;
}

/** A stand-in service with a server of its own on a free port of this machine; it knows what `known` tells it. */
export async function standInPartsService(
  known: (numbers: readonly string[]) => Promise<Offer[]>,
): Promise<StandInService> {
  const service = { url: '', mood: { latencyMs: 120, fails: 'no' } as Mood };
  const server = createServer((request, response) => {
    void (async () => {
      const { mood } = service;
      await new Promise((done) => setTimeout(done, mood.latencyMs));
      const numbers = new URL(request.url ?? '/', 'http://stand-in').searchParams.getAll('number');
      response.setHeader('content-type', 'application/json');
      if (mood.fails === 'error') {
        response.statusCode = 503;
        return response.end('{}');
      }
      return response.end(
        mood.fails === 'nonsense' ? '<html>' : JSON.stringify({ offers: await known(numbers) }),
      );
    })();
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  server.unref();
  return Object.assign(service, {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    server,
  });
}
