import { expect, it } from 'vitest';
import { button, hydrated } from './browser.ts';
import { jobWhere } from './finish.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();

it('plans two corners as one visit, says why another way is gone, prices it and keeps the customer’s yes', async () => {
  const { page, open } = shop;
  const id = await jobWhere(shop, (r) => r.fleetNo === '12');
  await open(`/jobs/${id}/plan`);
  const end = () => page.locator('svg.timeline').getAttribute('aria-label');
  const alone = await end();

  // The other side gets a job of its own, and both are planned together.
  await button(page, 'A job for this side too').click();
  await page.waitForURL((u) => !u.pathname.includes(id));
  await open(`/jobs/${id}/plan`);
  await page.getByRole('button', { name: /^RR, job/u }).waitFor();
  await expect.poll(end).not.toBe(alone);
  await page.getByRole('radio', { name: 'two', exact: true }).click();
  await page.locator('svg.timeline .hands.second').waitFor({ state: 'attached' });

  // Another way than the usual one asks for its reason.
  await page.getByText(/^Where good technicians differ/u).click();
  await page.getByText('anti-seize', { exact: true }).click();
  await page.getByRole('dialog').locator('input').fill('ceramic is out');
  await page.getByRole('dialog').getByRole('button', { name: 'Record' }).click();
  await page.getByText('Here: ceramic is out.').waitFor();

  // A price that nobody has on record is typed, never made up.
  await page.getByRole('link', { name: 'Quote' }).click();
  await page.waitForURL(/quote$/u);
  await hydrated(page);
  const total = page.locator('.quote-sheet .total');
  await total.waitFor();
  const before = await total.innerText();
  await page.getByLabel('Axle nut').fill('6.40');
  await expect.poll(() => total.innerText()).not.toBe(before);
  await button(page, 'The customer says yes').click();
  await page.getByLabel('Who said yes').fill('Keeper of the pool');
  await page.getByLabel(/^Up to/u).fill('450');
  await button(page, 'Agreed').click();
  await page.locator('.quote-sheet .agreed', { hasText: '450.00' }).waitFor();
  await page.reload();
  await page.locator('.quote-sheet .agreed', { hasText: 'Keeper of the pool' }).waitFor();
}, 120_000);
