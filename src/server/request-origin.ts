import { AsyncLocalStorage } from 'node:async_hooks';

const current = new AsyncLocalStorage<string>();

/** Works on a request that came from somewhere: a joined tablet, else an address. */
export const from = <T>(where: string, work: () => Promise<T>): Promise<T> =>
  current.run(where, work);

/** Where the request that is worked on came from. */
export const origin = (): string => current.getStore() ?? 'here';
