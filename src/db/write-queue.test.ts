import fc from 'fast-check';
import { expect, it } from 'vitest';
import { WriteQueue } from './write-queue.ts';

it('writes each thing once, in the order of its key, never two of a key at a time, and one that fails harms only itself', async () => {
  const things = fc.array(fc.record({ key: fc.nat(5), fails: fc.boolean(), alone: fc.boolean() }));
  await fc.assert(
    fc.asyncProperty(things, async (list) => {
      const queue = new WriteQueue();
      const written: number[] = [];
      let under = 0;
      const inOne = async (group: number[]) => {
        expect((under += 1)).toBe(1);
        const keys = group.map((i) => list[i]!.key);
        expect(new Set(keys).size).toBe(keys.length);
        await Promise.resolve();
        const results = await Promise.allSettled(
          group.map(async (i) => {
            if (list[i]!.fails) throw new Error(`no ${i}`);
            written.push(i);
            return i;
          }),
        );
        under -= 1;
        return results;
      };
      const alone = async (i: number) => {
        const [result] = await inOne([i]);
        if (result?.status === 'rejected') throw result.reason as Error;
        return result?.value;
      };
      const said = await Promise.allSettled(
        list.map((t, i) =>
          t.alone ? queue.run(() => alone(i)) : queue.together(inOne, String(t.key), i),
        ),
      );
      expect(said).toEqual(
        list.map((t, i) =>
          t.fails
            ? { status: 'rejected', reason: new Error(`no ${i}`) }
            : { status: 'fulfilled', value: i },
        ),
      );
      for (const key of new Set(list.map((t) => t.key))) {
        const own = written.filter((i) => list[i]!.key === key);
        expect(own).toEqual(own.toSorted((a, b) => a - b));
      }
    }),
  );
});

it('puts what comes while a write is on into one, and a work that breaks as a whole tells all of them', async () => {
  const queue = new WriteQueue();
  const sizes: number[] = [];
  const inOne = async (group: number[]) => {
    sizes.push(group.length);
    if (group.length > 3) throw new Error('broken');
    return Promise.allSettled(group.map(async (i) => i));
  };
  const first = queue.together(inOne, 'a', 0);
  await first;
  const four = ['a', 'b', 'c', 'd'].map((key, i) => queue.together(inOne, key, i));
  for (const p of four) await expect(p).rejects.toThrow('broken');
  const two = ['a', 'b'].map((key, i) => queue.together(inOne, key, i));
  expect(await Promise.all(two)).toEqual([0, 1]);
  expect(sizes).toEqual([1, 4, 2]);
});
