import { setImmediate as nextTurn } from 'node:timers/promises';

/** Does several things in one write; each has its own outcome. */
type InOne<T, R> = (items: T[]) => Promise<PromiseSettledResult<R>[]>;
interface Waiting<T = unknown, R = unknown> {
  item: T;
  key: string;
  done: (result: R) => void;
  fail: (why: unknown) => void;
}

/** Most that goes into one write. */
const mostInOne = 40;

/** One write at a time, in the order they were asked for: concurrent transactions on a file answer SQLITE_BUSY. */
export class WriteQueue {
  #last: Promise<unknown> = Promise.resolve();
  /** What waits to go in one: it takes more as long as nothing else is asked for. */
  #open: { work: unknown; group: Waiting[] } | undefined;

  run<T>(work: () => Promise<T>): Promise<T> {
    this.#open = undefined;
    return this.#next(work);
  }

  /** The same for what can be written with others of its kind: what waits goes in one, but never two of a key. */
  together<T, R>(work: InOne<T, R>, key: string, item: T): Promise<R> {
    return new Promise<R>((done, fail) => {
      const waiting = { item, key, done, fail } as Waiting;
      if (this.#open?.work === work) {
        this.#open.group.push(waiting);
        return;
      }
      const group = [waiting];
      this.#open = { work, group };
      void this.#next(async () => {
        // Whoever asked at the same moment is heard first.
        await nextTurn();
        if (this.#open?.group === group) this.#open = undefined;
        await writeAll(work as InOne<unknown, unknown>, group);
      });
    });
  }

  #next<T>(work: () => Promise<T>): Promise<T> {
    const next = this.#last.then(work, work);
    this.#last = next.catch(() => undefined);
    return next;
  }
}

/** The first of each key, then what is left of them. */
async function writeAll(work: InOne<unknown, unknown>, group: readonly Waiting[]): Promise<void> {
  const firsts = new Map<string, Waiting>();
  for (const w of group) if (firsts.size < mostInOne && !firsts.has(w.key)) firsts.set(w.key, w);
  await writeInOne(work, [...firsts.values()]);
  const left = group.filter((w) => firsts.get(w.key) !== w);
  if (left.length > 0) await writeAll(work, left);
}

async function writeInOne(work: InOne<unknown, unknown>, group: readonly Waiting[]): Promise<void> {
  try {
    const results = await work(group.map((w) => w.item));
    for (const [i, result] of results.entries()) {
      if (result.status === 'fulfilled') group[i]?.done(result.value);
      else group[i]?.fail(result.reason);
    }
  } catch (e) {
    for (const { fail } of group) fail(e);
  }
}
