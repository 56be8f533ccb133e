import { AsyncLocalStorage } from 'node:async_hooks';

/** Where a request came from: a joined tablet, else an address. */
export interface Origin {
  address: string;
  tabletId?: string;
}

const current = new AsyncLocalStorage<Origin>();

/** Works on a request that came from somewhere. */
export const from = <T>(where: Origin, work: () => Promise<T>): Promise<T> =>
  current.run(where, work);

/** Where the request that is worked on came from; the server itself while none is. */
export const origin = (): Origin => current.getStore() ?? { address: 'here' };
