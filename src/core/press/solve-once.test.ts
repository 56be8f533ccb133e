import { expect, it } from 'vitest';
import { exampleSetups } from '../../../tests/example.ts';
import { shopContext } from '../../../tests/shop.ts';
import { type Setup, solve, solveOnce } from './index.ts';

it('says what solving says, of any kit and any setup, however often and in whatever order they are asked', () => {
  const kit = shopContext('unit-07', 'LF').adapters;
  const setups = exampleSetups().flatMap(({ setup }): Setup[] => [
    setup,
    { ...setup, press: { ...setup.press, daylightMm: setup.press.daylightMm - 60 } },
    { ...setup, usedAgain: true },
  ]);
  for (const pieces of [kit, kit.slice(0, kit.length / 2), kit])
    for (const setup of setups.filter((_, i) => i % 7 === 0))
      for (const most of [1, 3])
        expect(solveOnce(pieces, structuredClone(setup), most)).toEqual(solve(pieces, setup, most));
});

it('sifts a kit once for a setup that says the same', () => {
  const kit = shopContext('unit-07', 'LF').adapters;
  const [{ setup } = { setup: undefined! }] = exampleSetups();
  expect(solveOnce(kit, structuredClone(setup))).toBe(solveOnce(kit, setup));
  expect(solveOnce([...kit], setup)).not.toBe(solveOnce(kit, setup));
});
