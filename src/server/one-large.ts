let last: Promise<void> = Promise.resolve();

/** Works on something large once no other large thing is worked on: memory holds one of them. */
export async function oneLarge<T>(work: () => Promise<T>): Promise<T> {
  const before = last;
  let done: () => void = () => undefined;
  last = new Promise((resolve) => (done = resolve));
  await before;
  try {
    return await work();
  } finally {
    done();
  }
}
