import { parseCookie } from 'cookie';
import type { Asked } from './asked.ts';
import { Problem } from './problem.ts';
import { isNetwork, tabletCookie, tabletOf } from './tablets.ts';

const guarded = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** A browser says where a write comes from; anything but this origin is refused. Tools that are no browser send neither header. */
function crossSite({ headers }: Pick<Asked, 'headers'>, host: string): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null) return site !== 'same-origin' && site !== 'none';
  const origin = headers.get('origin');
  return origin !== null && (URL.canParse(origin) ? new URL(origin).host !== host : true);
}

/** What is there for a tablet that has not joined. */
const beforeJoining = new Set(['/join', '/api/tablets/join']);

/** The tablet that asks, where the shop is on a network; a problem where it is not let in: the pass comes before everything. */
export async function letIn(
  asked: Pick<Asked, 'method' | 'headers'>,
  url: URL,
): Promise<{ tabletId?: string } | Problem> {
  if (guarded.has(asked.method) && crossSite(asked, asked.headers.get('host') ?? url.host))
    return new Problem(
      403,
      'Cross-site write refused',
      'Writes are taken from this site’s own pages only.',
    );
  if (!isNetwork()) return {};
  const tablet = await tabletOf(parseCookie(asked.headers.get('cookie') ?? '')[tabletCookie]);
  if (tablet) return { tabletId: tablet.id };
  if (beforeJoining.has(url.pathname)) return {};
  return new Problem(401, 'Not joined', 'This tablet has not joined the shop.', [
    { field: 'tablet', reason: 'Not joined.' },
  ]);
}
