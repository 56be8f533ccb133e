import type { APIRoute } from 'astro';
import { dispatch } from '../../server/dispatch.ts';

export const prerender = false;
export const ALL: APIRoute = ({ request, clientAddress }) => dispatch(request, clientAddress);
