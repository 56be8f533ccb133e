import { expect, it } from 'vitest';
import { madeUpParts } from '../standins/catalogue.ts';
import { toBuy, toOrder } from './index.ts';

it('what was fitted here and ran out is to be ordered, the most used first', () => {
  const [a, b, c, d] = madeUpParts(4, 1).map((p, i) => ({ ...p, stock: i === 2 ? 1 : 0 }));
  const fitted = [a!.number, b!.number, b!.number, c!.number, 'gone'];
  expect(toOrder([a!, b!, c!, d!], fitted)).toEqual([
    { part: b, fitted: 2 },
    { part: a, fitted: 1 },
  ]);
});
it('and what jobs took off the shelf until none was left', () => {
  const nut = { number: 'a', maker: 'm', item: 'axle-nut', sizeText: 'M24' };
  const of = (number: string, stock: number, used?: number) => ({
    ...{ ...nut, number, stock, priceMinor: 1, currency: 'EUR' as const, leadDays: 1 },
    ...(used === undefined ? {} : { used }),
  });
  const all = [of('never', 0), of('left', 1, 9), of('once', 0, 1), of('often', 0, 4)];
  expect(toBuy(all).map((c) => c.number)).toEqual(['often', 'once']);
});
