import type { APIContext } from 'astro';
import { defineMiddleware } from 'astro:middleware';
import { log } from './server/log.ts';
import { Problem } from './server/problem.ts';
import { bodies } from './server/routes/index.ts';
import { isNetwork, tabletCookie, tabletOf } from './server/tablets.ts';
import { readied } from './server/validate.ts';

void readied(bodies);

const guarded = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** A browser says where a write comes from; anything but this origin is refused. Tools that are no browser send neither header. */
function crossSite(request: Request, host: string): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null) return site !== 'same-origin' && site !== 'none';
  const origin = request.headers.get('origin');
  return origin !== null && (URL.canParse(origin) ? new URL(origin).host !== host : true);
}

export const onRequest = defineMiddleware(async (context, next) => {
  const { request, url } = context;
  if (guarded.has(request.method) && crossSite(request, request.headers.get('host') ?? url.host)) {
    return new Problem(
      403,
      'Cross-site write refused',
      'Writes are taken from this site’s own pages only.',
    ).toResponse();
  }
  if (isNetwork()) {
    const tablet = await tabletOf(context.cookies.get(tabletCookie)?.value);
    if (tablet) context.locals.tabletId = tablet.id;
    else if (!beforeJoining.has(url.pathname)) return notJoined(context);
  }
  try {
    return await whole(await next());
  } catch (e) {
    log.error({ err: e, path: url.pathname }, 'page failed');
    if (context.locals.broken !== undefined) return new Response('Broken.', { status: 500 });
    context.locals.broken = e instanceof Error ? e.message : 'unknown';
    // One bad record harms only its own page, and that one says why.
    const job = /^\/jobs\/([^/]+)/u.exec(url.pathname)?.[1];
    return whole(await context.rewrite(job ? `/jobs/${job}/raw` : '/500'));
  }
});

/** What is there for a tablet that has not joined. */
const beforeJoining = new Set(['/join', '/api/tablets/join']);

/** The pass comes before everything: nothing is shown or said, not even which pages there are. */
const notJoined = (context: APIContext): Response | Promise<Response> =>
  context.url.pathname.startsWith('/api/')
    ? new Problem(401, 'Not joined', 'This tablet has not joined the shop.', [
        { field: 'tablet', reason: 'Not joined.' },
      ]).toResponse()
    : context.rewrite('/join');

/** A page is sent once all of it is drawn: it never breaks off half-way. */
async function whole(response: Response): Promise<Response> {
  if (!response.headers.get('content-type')?.startsWith('text/html')) return response;
  return new Response(await response.text(), response);
}
