import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, inject } from 'vitest';
import { hydrated, launch } from './browser.ts';
import { start } from './server.ts';

export interface OwnServer {
  page: Page;
  url: string;
  dataDir: string;
  open: (path: string) => Promise<void>;
}

/** A demo shop and a lead's tablet of one test file's own: what is done to it reaches no other file. */
export function ownServer(): OwnServer {
  const own = {} as OwnServer;
  let browser: Browser;
  let stop: () => void;
  beforeAll(async () => {
    browser = await launch();
    const shop = await start(inject('demoDir'));
    stop = shop.stop;
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: 'ts-who', value: 'ines', url: shop.url }]);
    const page = await context.newPage();
    page.setDefaultTimeout(10_000);
    const open = async (path: string) => {
      await page.goto(shop.url + path);
      await hydrated(page);
    };
    Object.assign(own, { page, url: shop.url, dataDir: shop.dataDir, open });
  }, 60_000);
  afterAll(async () => {
    await browser.close();
    stop();
  });
  return own;
}
