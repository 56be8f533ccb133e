import type { IncomingHttpHeaders } from 'node:http';

/** What the proxy itself has added stands last. */
const last = (value: string | string[] | undefined): string | undefined =>
  [value].flat().at(-1)?.split(',').at(-1)?.trim() || undefined;

/** Which headers tell who sent a request on. */
const tells = (name: string): boolean => name === 'forwarded' || name.startsWith('x-forwarded-');

/**
 * Leaves of what a request says of its sender only what can be believed: anybody can write these headers, so that without
 * a proxy nothing of them stays, and behind one what that proxy added. Waits after wrong tries go by the address.
 */
export function believed(headers: IncomingHttpHeaders, behindProxy: boolean): void {
  const proto = last(headers['x-forwarded-proto']);
  const sender = last(headers['x-forwarded-for']);
  for (const name of Object.keys(headers)) if (tells(name)) delete headers[name];
  if (!behindProxy) return;
  if (proto !== undefined) headers['x-forwarded-proto'] = proto;
  if (sender !== undefined) headers['x-forwarded-for'] = sender;
}
