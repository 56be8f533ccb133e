import type { Asked } from '../asked.ts';
import { leadByPin, personByPin } from '../people.ts';
import { origin } from '../request-origin.ts';
import { store } from '../store.ts';
import {
  invite,
  join,
  JoinSchema,
  listTablets,
  ShiftSchema,
  throwOut,
  ThrowOutSchema,
} from '../tablets.ts';
import { closed } from '../../core/schemas/common.ts';
import { route, type Route } from './route.ts';

/** Whether the answer goes back encrypted: by the server's own certificate, or by a proxy; the start leaves only what a trusted one says. */
const isSecure = (request: Asked): boolean =>
  new URL(request.url).protocol === 'https:' ||
  request.headers.get('x-forwarded-proto') === 'https';

/** Tablets of a shop on a network. */
export const tabletRoutes: readonly Route[] = [
  route(
    'POST',
    '/api/tablets/join',
    'Join by the pass of the shop, or by the code of a joined tablet; sets a cookie',
    { body: JoinSchema },
    ({ body, request }) => join(body, isSecure(request)),
  ),
  route(
    'POST',
    '/api/tablets/invite',
    'A code that lets one more tablet in, for ten minutes',
    { body: closed({}) },
    () => invite(),
  ),
  route('GET', '/api/tablets', 'Tablets that joined', {}, () => listTablets(origin().tabletId)),
  route(
    'POST',
    '/api/tablets/throw-out',
    'Throw a tablet out (lead, PIN)',
    { body: closed({ ...ShiftSchema.properties, ...ThrowOutSchema.properties }) },
    async ({ body }) => {
      await leadByPin((await store()).db, body.byId, body.pin);
      await throwOut(body.id);
      return listTablets(origin().tabletId);
    },
  ),
  route(
    'POST',
    '/api/tablets/shift',
    'Give a PIN once for a shift on this tablet',
    { body: ShiftSchema },
    async ({ body }) => {
      const { id } = await personByPin((await store()).db, body.byId, body.pin);
      return { id };
    },
  ),
];
