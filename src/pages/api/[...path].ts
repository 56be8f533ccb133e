import type { APIRoute } from 'astro';
import { dispatch } from '../../server/dispatch.ts';

export const prerender = false;
export const ALL: APIRoute = ({ request, clientAddress, locals }) =>
  dispatch(request, {
    address: clientAddress,
    ...(locals.tabletId === undefined ? {} : { tabletId: locals.tabletId }),
  });
