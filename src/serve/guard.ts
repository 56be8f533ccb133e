import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { believed } from './forwarded.ts';
import { isLoopback, type ServeSettings } from './settings.ts';

const always: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'x-frame-options': 'DENY',
};
/** Files have no policy of their own as the pages have. */
const filePolicy = "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

/** Host of a request without its port. */
const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/u, '');

/** Lets through only what was asked of this shop by one of its names, and puts the headers on files too. */
export const guarded =
  (
    handler: RequestListener,
    { names, trustProxy }: Pick<ServeSettings, 'names' | 'trustProxy'>,
  ): RequestListener =>
  (request: IncomingMessage, response: ServerResponse) => {
    for (const [name, value] of Object.entries(always)) response.setHeader(name, value);
    const host = request.headers.host;
    if (host === undefined || !names.has(nameOf(host))) {
      response.writeHead(421, { 'content-type': 'application/problem+json' });
      response.end(
        JSON.stringify({
          type: 'about:blank',
          title: 'Not a name of this shop',
          status: 421,
          detail:
            'This server is asked by another name than its own. SHOP_NAMES lists further ones.',
          errors: [{ field: 'host', reason: 'Not a name of this shop.' }],
        }),
      );
      return;
    }
    believed(request.headers, trustProxy && isLoopback(request.socket.remoteAddress ?? ''));
    if (/\.\w+(\?|$)/u.test(request.url ?? '') && !request.url?.startsWith('/api/'))
      response.setHeader('content-security-policy', filePolicy);
    handler(request, response);
  };
