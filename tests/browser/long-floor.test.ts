import { v7 as uuid } from 'uuid';
import { expect, it } from 'vitest';
import { ownServer } from './own-server.ts';

const shop = ownServer();

it('a long floor comes with its first rows, says how many there are, and is read on in the browser', async () => {
  const { page, open } = shop;
  await open('/');
  const before = await page.locator('.jobs .row').count();
  const added = 45;
  for (let i = 0; i < added; i += 1) {
    const r = await page.request.post(`${shop.url}/api/jobs`, {
      data: { id: uuid(), unitId: 'unit-07', corner: 'LF', byId: 'ines' },
    });
    expect(r.ok()).toBe(true);
  }
  const sent = await (await page.request.get(shop.url)).text();
  const drawn = [...sent.matchAll(/class="row[ "]/gu)].length;
  expect(drawn).toBeGreaterThanOrEqual(before);
  expect(drawn).toBeLessThan(before + added);
  await open('/');
  await page.getByRole('heading', { name: `${before + added} jobs open` }).waitFor();
  await expect.poll(() => page.locator('.jobs .row').count()).toBe(before + added);
}, 60_000);
