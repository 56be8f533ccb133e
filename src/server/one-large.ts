import { Problem } from './problem.ts';

let last: Promise<void> = Promise.resolve();

/** Fails as soon as whoever asked is gone. */
const gone = (signal: AbortSignal): Promise<never> =>
  new Promise((_, fail) => {
    const fails = () => fail(new Problem(400, 'Broken off', 'Whoever sent this has hung up.'));
    if (signal.aborted) fails();
    else signal.addEventListener('abort', fails, { once: true });
  });

/**
 * Works on something large once no other large thing is worked on: memory holds one of them. Who hangs up, waiting or
 * sending, holds up nobody: a body whose sender is gone never ends by itself.
 */
export async function oneLarge<T>(work: () => Promise<T>, signal: AbortSignal): Promise<T> {
  const before = last;
  let done: () => void = () => undefined;
  last = new Promise((resolve) => (done = resolve));
  const left = gone(signal);
  left.catch(() => undefined);
  try {
    await before;
    return await Promise.race([left, signal.aborted ? left : work()]);
  } finally {
    done();
  }
}
