import { defineMiddleware } from 'astro:middleware';
import { Problem } from './server/problem.ts';

const guarded = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** A browser says where a write comes from; anything but this origin is refused. Tools that are no browser send neither header. */
function crossSite(request: Request, host: string): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null) return site !== 'same-origin' && site !== 'none';
  const origin = request.headers.get('origin');
  return origin !== null && (URL.canParse(origin) ? new URL(origin).host !== host : true);
}

export const onRequest = defineMiddleware(async ({ request, url }, next) => {
  if (guarded.has(request.method) && crossSite(request, request.headers.get('host') ?? url.host)) {
    return new Problem(
      403,
      'Cross-site write refused',
      'Writes are taken from this site’s own pages only.',
    ).toResponse();
  }
  const response = await next();
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('x-frame-options', 'DENY');
  return response;
});
