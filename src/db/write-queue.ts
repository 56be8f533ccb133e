import { setImmediate as nextTurn } from 'node:timers/promises';

interface Waiting {
  item: unknown;
  key: string;
  done: (result: never) => void;
  fail: (why: unknown) => void;
}
/** Does several things in one write; each has its own outcome. */
type InOne<T, R> = (items: T[]) => Promise<PromiseSettledResult<R>[]>;

/** Most that goes into one write. */
const mostInOne = 40;

/** One write at a time: concurrent transactions on a file answer SQLITE_BUSY. */
export class WriteQueue {
  #last: Promise<unknown> = Promise.resolve();
  readonly #waiting = new Map<unknown, Waiting[]>();

  run<T>(work: () => Promise<T>): Promise<T> {
    const next = this.#last.then(work, work);
    this.#last = next.catch(() => undefined);
    return next;
  }

  /** The same for what can be written with others of its kind: what came while another write was on goes in one, but never two of a key. */
  together<T, R>(work: InOne<T, R>, key: string, item: T): Promise<R> {
    return new Promise<R>((done, fail) => {
      const waiting = this.#waiting.get(work) ?? [];
      this.#waiting.set(work, [...waiting, { item, key, done, fail }]);
      if (waiting.length === 0) this.#nextOf(work);
    });
  }

  #nextOf<T, R>(work: InOne<T, R>): void {
    void this.run(async () => {
      // Whoever asked at the same moment is heard first.
      await nextTurn();
      const group = this.#taken(work);
      try {
        const results = await work(group.map((w) => w.item as T));
        for (const [i, result] of results.entries()) {
          if (result.status === 'fulfilled') group[i]?.done(result.value as never);
          else group[i]?.fail(result.reason);
        }
      } catch (e) {
        for (const { fail } of group) fail(e);
      }
    });
  }

  /** The first of each key that wait; the others go next. */
  #taken<T, R>(work: InOne<T, R>): Waiting[] {
    const waiting = this.#waiting.get(work) ?? [];
    const firsts = new Map<string, Waiting>();
    for (const w of waiting)
      if (firsts.size < mostInOne && !firsts.has(w.key)) firsts.set(w.key, w);
    const left = waiting.filter((w) => firsts.get(w.key) !== w);
    this.#waiting.set(work, left);
    if (left.length > 0) this.#nextOf(work);
    return [...firsts.values()];
  }
}
