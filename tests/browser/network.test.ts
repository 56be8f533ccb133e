import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { button, hydrated, launch } from './browser.ts';
import { start } from './server.ts';

let browser: Browser;
let shop: Awaited<ReturnType<typeof start>>;
beforeAll(async () => {
  browser = await launch();
  shop = await start(inject('demoDir'), { SHOP_NETWORK: 'yes' });
}, 60_000);
afterAll(async () => {
  await browser.close();
  shop.stop();
});

/** A tablet that has never been here. */
const fresh = async (): Promise<Page> => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  return context.newPage();
};
const open = async (page: Page, path: string) => {
  await page.goto(shop.url + path);
  await hydrated(page);
};
const join = async (page: Page, name: string) => {
  await page.getByLabel('Name of this tablet').fill(name);
  await button(page, 'Join the shop').click();
  await page.getByRole('heading', { name: /open$/u }).waitFor();
};

it('lets nobody in without the pass, another tablet by a code, asks a PIN once a shift, and throws a lost one out', async () => {
  const pass = /shown once: (\S+)/u.exec(shop.said())![1]!;
  const stranger = await fresh();
  const api = (path: string) => stranger.request.get(shop.url + path);
  // Not even which pages there are is told.
  expect([(await api('/api/floor')).status(), (await api('/api/nothing')).status()]).toEqual([
    401, 401,
  ]);
  await open(stranger, '/shop');
  await stranger.getByRole('heading', { name: 'This tablet has not joined' }).waitFor();
  await stranger.getByLabel('Pass of the shop').fill('wrong-pass-here');
  await stranger.getByLabel('Name of this tablet').fill('Nobody');
  await button(stranger, 'Join the shop').click();
  await stranger.getByText('That is not the pass of this shop.').waitFor();

  const first = await fresh();
  await open(first, '/');
  await first.getByLabel('Pass of the shop').fill(pass);
  await join(first, 'Bay 1');
  const [cookie] = (await first.context().cookies()).filter((c) => c.name === 'ts-tablet');
  expect([cookie?.httpOnly, cookie?.sameSite]).toEqual([true, 'Strict']);

  await open(first, '/shop');
  await button(first, 'Let another tablet in').click();
  const link = await first.locator('.join-code a').getAttribute('href');
  await first.getByRole('img', { name: 'Code that lets one more tablet in' }).waitFor();
  const second = await fresh();
  await second.goto(link!);
  await hydrated(second);
  await join(second, 'Bay 2');
  // A code is for one.
  await stranger.goto(link!);
  await hydrated(stranger);
  await stranger.getByLabel('Name of this tablet').fill('Nobody');
  await button(stranger, 'Join the shop').click();
  await stranger.getByText('This code is used or too old.').waitFor();

  // A PIN once on this tablet, then the entry goes on by itself; the next one asks nothing.
  await open(second, '/');
  await button(second, 'Start a job').click();
  await button(second, 'Not on record').click();
  for (const plate of ['NW 1', 'NW 2']) {
    if (plate === 'NW 2') await button(second, 'Not on record').click();
    await second.getByLabel('Number or plate').fill(plate);
    await second.getByRole('radio', { name: 'front-wheel drive' }).click();
    await button(second, /^Keep NW-/u).click();
    const dialog = second.getByRole('dialog', { name: 'Is it Ines?' });
    if (plate === 'NW 1') {
      await dialog.getByLabel('PIN of Ines').fill('2580');
      await dialog.getByRole('button', { name: 'Go on as Ines' }).click();
    }
    await second.getByRole('radio', { name: new RegExp(plate.replace(' ', '-'), 'u') }).waitFor();
  }

  await open(first, '/shop');
  await button(first, /^Throw out/u).click();
  await first.getByRole('dialog').getByLabel('PIN of Ines').fill('2580');
  await button(first, 'Keep as Ines').click();
  await first.locator('.shop-list li', { hasText: 'Bay 2' }).waitFor({ state: 'detached' });
  await open(second, '/');
  await second.getByRole('heading', { name: 'This tablet has not joined' }).waitFor();
});
