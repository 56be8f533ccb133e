import { expect, it } from 'vitest';
import { madeUpParts } from '../standins/catalogue.ts';
import { toOrder } from './index.ts';

it('what was fitted here and ran out is to be ordered, the most used first', () => {
  const [a, b, c, d] = madeUpParts(4, 1).map((p, i) => ({ ...p, stock: i === 2 ? 1 : 0 }));
  const fitted = [a!.number, b!.number, b!.number, c!.number, 'gone'];
  expect(toOrder([a!, b!, c!, d!], fitted)).toEqual([
    { part: b, fitted: 2 },
    { part: a, fitted: 1 },
  ]);
});
