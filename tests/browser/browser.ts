import type { Browser, BrowserContextOptions, Page } from 'playwright-core';
import { inject } from 'vitest';

export { launch } from './chromium.ts';

/** The demo shop of this file: files that run at the same time have one each. */
export const shopUrl = inject('urls')[Number(process.env['VITEST_POOL_ID'] ?? 1) - 1] ?? '';

export interface Tablet {
  page: Page;
  /** What the page complained of: script errors and refused policies. */
  complaints: string[];
}

/** A tablet set to one technician. */
export async function tablet(
  browser: Browser,
  who = 'rafe',
  options: BrowserContextOptions & { night?: boolean } = {},
): Promise<Tablet> {
  const { night, ...rest } = options;
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...rest });
  await context.addCookies([
    { name: 'ts-who', value: who, url: shopUrl },
    { name: 'ts-theme', value: night ? 'night' : 'day', url: shopUrl },
  ]);
  const page = await context.newPage();
  page.setDefaultTimeout(10_000);
  const complaints: string[] = [];
  page.on('pageerror', (e) => complaints.push(e.message));
  page.on('console', (m) => {
    if (m.type() === 'error' && !/status of (4|5)\d\d/u.test(m.text())) complaints.push(m.text());
  });
  return { page, complaints };
}

/** Every island has taken over. */
export const hydrated = (page: Page) =>
  page.waitForFunction(() => !document.querySelector('astro-island[ssr]'));

export async function go(page: Page, path: string): Promise<void> {
  await page.goto(shopUrl + path);
  await hydrated(page);
}

/** Waits for the page of a station and its island. */
export async function at(page: Page, station: string): Promise<void> {
  await page.waitForURL(new RegExp(`/jobs/[^/]+/${station}$`, 'u'));
  await hydrated(page);
}

export const jobId = (page: Page): string => /jobs\/([^/]+)/u.exec(page.url())![1]!;
export const floorJob = async (page: Page, fleetNo: string): Promise<string> => {
  const floor = (await (await page.request.get(`${shopUrl}/api/floor`)).json()) as {
    rows: { id: string; fleetNo: string; station?: string }[];
  };
  return floor.rows.find((r) => r.fleetNo === fleetNo)!.id;
};
/** Opens a test of the Diagnose station at a place: it may already stand as the next best one; any other is at hand too. */
export async function openTest(
  page: Page,
  panel: RegExp,
  short: string,
  place: string,
): Promise<void> {
  const what = page.locator('.test-panel .what');
  if (panel.test((await what.textContent()) ?? '')) return;
  const all = page.locator('details.all-tests');
  if (!(await all.evaluate((d) => (d as HTMLDetailsElement).open)))
    await all.locator('summary').click();
  await all
    .getByRole('group', { name: short, exact: true })
    .getByText(place, { exact: true })
    .click();
  await page.locator('.test-panel .what', { hasText: panel }).waitFor();
}

export const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).first();

/** Taps “Done” through the steps of a station, as long as there are any. */
export async function doneSteps(page: Page): Promise<void> {
  await page.locator('.steps-line button').first().waitFor();
  const call = page.locator('.call').first();
  for (let i = 0; i < 20 && (await button(page, /^Done/u).isVisible()); i++) {
    const before = await call.textContent();
    await button(page, /^Done/u).click();
    await page.waitForFunction(
      (was) => document.querySelector('.call')?.textContent !== was,
      before,
    );
    // Steps that were said done together come in one by one.
    await page.getByText('Being kept').waitFor({ state: 'detached' });
  }
}

/** Answers every final check that is open: what is looked at is right, what is measured reads 0.03. */
export async function settleChecks(page: Page): Promise<void> {
  for (const row of await page.locator('.check-row').all()) {
    if (await row.locator('.verdict-shape').count()) continue;
    const field = row.locator('input');
    if (await field.count()) {
      await field.fill('0.03');
      await row.getByRole('button', { name: 'Record' }).click();
    } else await row.getByRole('button', { name: 'Right', exact: true }).click();
    await row.locator('.verdict-shape').first().waitFor();
  }
}
