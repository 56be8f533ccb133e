import { createClient } from '@libsql/client';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { button, hydrated } from './browser.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();

it('shows a job that cannot be shown by its lines, leaves the floor alone, and a lead mends it', async () => {
  const { page, open } = shop;
  const { rows } = (await (await page.request.get(`${shop.url}/api/floor`)).json()) as {
    rows: { id: string; fleetNo: string; station: string }[];
  };
  const { id, station } = rows.find((r) => r.fleetNo === '07')!;
  // Somebody else's hand in the file.
  const db = createClient({ url: `file:${join(shop.dataDir, 'true-spindle.db')}` });
  const key = "job_id = ? AND key = 'plan'";
  await db.execute({ sql: `UPDATE choices SET value = '{oops' WHERE ${key}`, args: [id] });
  db.close();
  await open('/');
  await page.getByText('Cannot be shown').first().waitFor();
  expect(await page.locator('.jobs > li').count()).toBe(rows.filter((r) => r.station).length);
  await open(`/jobs/${id}/${station}`);
  await page.getByRole('heading', { name: 'This job cannot be shown' }).waitFor();
  expect(await page.locator('.broken-record .raw-lines li').count()).toBeGreaterThan(3);
  await page.getByLabel('PIN of Ines').fill('2580');
  await button(page, 'Take back plan').click();
  await page.getByRole('link', { name: 'To the job' }).click();
  await hydrated(page);
  await page.getByText('Unit 07').first().waitFor();
});

it('takes a change of the settings from a lead alone, and says who made it', async () => {
  const { page, open } = shop;
  await open('/shop');
  const change = async (who: string, km: string, pin: string) => {
    await page.getByLabel('On the job').selectOption({ label: who });
    await page.getByLabel('Recheck after').fill(km);
    await page.locator('.shop-form').getByLabel(`PIN of ${who}`).fill(pin);
    await page.locator('.shop-form button[type=submit]').click();
  };
  const changes = page.locator('.shop-changes li');
  const before = await changes.count();
  await change('Rafe', '120', '1470');
  await page.getByText('This is for a lead; Rafe is not one.').waitFor();
  expect(await changes.count()).toBe(before);
  await change('Ines', '120', '2580');
  await changes.nth(before).waitFor();
  await page.reload();
  await hydrated(page);
  expect(await page.getByLabel('Recheck after').inputValue()).toBe('120');
});
