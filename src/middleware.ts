import { defineMiddleware } from 'astro:middleware';
import { letIn } from './server/let-in.ts';
import { log } from './server/log.ts';
import { responseOf } from './server/answer.ts';
import { Problem } from './server/problem.ts';

export const onRequest = defineMiddleware(async (context, next) => {
  const { request, url } = context;
  const who = await letIn(request, url);
  if (who instanceof Problem) {
    // Nothing is shown or said, not even which pages there are.
    const asksPage = who.status === 401 && !url.pathname.startsWith('/api/');
    return asksPage ? context.rewrite('/join') : responseOf(who.toAnswer());
  }
  Object.assign(context.locals, who);
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

/** A page is sent once all of it is drawn: it never breaks off half-way. */
async function whole(response: Response): Promise<Response> {
  if (!response.headers.get('content-type')?.startsWith('text/html')) return response;
  return new Response(await response.text(), response);
}
