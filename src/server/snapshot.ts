import type { JobView } from '../core/job/index.ts';

/** What a job was judged against, as it is kept at signing. */
export type Frozen = Pick<JobView, 'ctx' | 'choices'>;

/** The version that contexts are kept in today. The first ones carry none. */
export const snapshotVersion = 3;

type Older = Record<string, unknown> & { version?: number };

/** Each step brings a kept context one version on. */
const steps: Record<number, (kept: Older) => Older> = {
  1: (kept) => ({ ...kept, version: 2 }),
  // The likelihood tables were called a book.
  2: (kept) => {
    const { book, ...ctx } = kept['ctx'] as Record<string, unknown>;
    return { ...kept, version: 3, ctx: { ...ctx, tables: book } };
  },
};

/** A kept context in today's form. Throws RangeError for a version that is not known. */
export function upcastSnapshot(kept: Older): Frozen {
  let snapshot: Older = { ...kept, version: kept.version ?? 1 };
  while (snapshot.version !== snapshotVersion) {
    const step = steps[snapshot.version ?? 1];
    if (!step) throw new RangeError(`version: ${snapshot.version} is no version of a kept context`);
    snapshot = step(snapshot);
  }
  const { ctx, choices } = snapshot as unknown as Frozen;
  return { ctx, choices };
}
