import { describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { facts, strokesIn } from '../families/index.ts';
import { walkOf } from './index.ts';

/** Every thing to be seen that locks a stroke of a walked family, with that stroke. */
const locks = walked.flatMap((w) => {
  const { out = [], in: fitted = [] } = walkOf(workThrough(w).worked.now) ?? {};
  const tasks = [...out, ...fitted];
  const asked = tasks.flatMap((t) => (t.kind === 'facts' ? t.facts : []));
  return asked.flatMap((id) => {
    const { before = [], rule } = facts[id].locks ?? {};
    return before
      .filter((o) => strokesIn(tasks).includes(o))
      .map((operation) => ({ ...w, id, operation, rule }));
  });
});

describe('things to be seen', () => {
  // What must be seen first: common practice, no published source.
  it.each(locks)('$family, $route: $operation waits for $id', ({ id, operation, rule, ...w }) => {
    const entries = workThrough(w).entries.filter((e) => 'choice' in e || e.body !== undefined);
    const upTo = entries.findIndex(
      (e) => 'type' in e && e.type === 'stroke-recorded' && e.body.operation === operation,
    );
    const job = new Worked(shopContext(w.unit, w.corner));
    const seen = (e: Entry) => 'type' in e && e.type === 'fact-seen' && e.body.factId === id;
    for (const e of entries.slice(0, upTo)) if (!seen(e)) job.put(e);
    expect(job.put(entries[upTo]!)?.rule).toBe(rule);
  });
});
