import { afterEach, expect, it, vi } from 'vitest';
import { readDevice } from './deviceStream.ts';

class Fake {
  static all: Fake[] = [];
  closed = false;
  onmessage: ((e: { data: string }) => void) | undefined;
  onerror: (() => void) | undefined;
  constructor(readonly path: string) {
    Fake.all.push(this);
  }
  close() {
    this.closed = true;
  }
}
afterEach(() => vi.unstubAllGlobals());

it('a browser reads one device at a time, and who loses it hears so once', () => {
  vi.stubGlobal('EventSource', Fake);
  const [read, lost]: [number[], string[]] = [[], []];
  const take = (n: number) => read.push(n);
  const gauge = readDevice('/gauge', take, () => lost.push('gauge'));
  const [first] = Fake.all;
  first?.onmessage?.({ data: '7' });
  const wrench = readDevice('/wrench', take, () => lost.push('wrench'));
  expect([first?.closed, lost, read]).toEqual([true, ['gauge'], [7]]);
  // What ends late ends nobody else's, and putting down is no loss.
  first?.onerror?.();
  gauge.close();
  expect(Fake.all[1]?.closed).toBe(false);
  wrench.close();
  Fake.all[1]?.onerror?.();
  expect(lost).toEqual(['gauge']);
  readDevice('/dial', take, () => lost.push('dial'));
  Fake.all[2]?.onerror?.();
  Fake.all[2]?.onerror?.();
  expect(lost).toEqual(['gauge', 'dial']);
});
