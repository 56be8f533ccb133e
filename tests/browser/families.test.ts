import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { button, floorJob, go, launch, tablet, shopUrl } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

const strokes = async (page: Page, id: string) =>
  (
    (await (await page.request.get(`${shopUrl}/api/jobs/${id}`)).json()) as {
      state: {
        strokes: Record<string, { pressId: string; peakKn?: number; depthMm?: number }>;
        facts: string[];
      };
    }
  ).state;
const shows = (page: Page, text: RegExp) =>
  page.locator('.call', { hasText: text }).first().waitFor();
const record = async (page: Page, depth: string) => {
  await button(page, 'Record seat').click();
  await page.getByRole('dialog').locator('input').fill(depth);
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await button(page, 'Next').click();
};

it('pumps an axle bearing home on its shaft, then its ring, and tells why a short sleeve does not do', async () => {
  const { page, complaints } = await tablet(browser);
  const id = await floorJob(page, '19');
  await go(page, `/jobs/${id}/press-in`);
  await button(page, /^3\s*Bearing/u).click();
  await shows(page, /Force runs through the inner ring/u);
  // A sleeve that is too short says so at the place where it is wrong.
  await page.locator('.stack .from-kit', { hasText: 'Long sleeve 42' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Sleeve 41:/u })
    .click();
  await page.locator('svg.drawing .why', { hasText: 'meets the shaft’s end' }).waitFor();
  await button(page, /^Use the best stack/u).click();
  await button(page, /^Glasses on/u).click();
  await button(page, /^Pump/u).click();
  await page
    .locator('.ram-call.is-good', { hasText: /Seated at 4[78]\.\d mm/u })
    .waitFor({ timeout: 60_000 });
  await record(page, '48.0');
  await shows(page, /Force runs through the press ring/u);
  await page.getByLabel('With').selectOption({ label: 'Tall press, 245 kN' });
  await page.getByLabel(/^Travel(, if read)?$/u).fill('18');
  await page.getByLabel('Gauge', { exact: true }).fill('60 bar');
  await page.getByText(/kN by the piston/u).waitFor();
  await page.getByLabel('Gauge', { exact: true }).press('Enter');
  await shows(page, /Seated/u);
  await record(page, '18.1');
  await button(page, 'Turns smoothly').click();
  await button(page, 'No gap').click();
  await button(page, 'To Torque').click();
  await page.waitForURL(/torque/u);
  expect((await strokes(page, id)).strokes).toMatchObject({
    'shaft-bearing-on': { depthMm: 48 },
    'press-ring-on': { pressId: 'press-2', depthMm: 18.1 },
  });
  expect(complaints).toEqual([]);
});

it('draws a cartridge with half-shells and a forcing screw, its force read from the wrench', async () => {
  const { page, complaints } = await tablet(browser);
  const id = await floorJob(page, '15');
  await go(page, `/jobs/${id}/press-in`);
  await button(page, /^4\s*Cartridge/u).click();
  await shows(page, /Force runs through the outer ring/u);
  // A whole ring does not get behind the flange.
  await page.locator('.stack .from-kit', { hasText: 'Half-shells 154' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Pusher ring 75:/u })
    .click();
  await shows(page, /Stop/u);
  await page.locator('svg.drawing .why').first().waitFor();
  await button(page, /^Use the best stack/u).click();
  await button(page, /^Glasses on/u).click();
  await page.getByLabel(/^Travel(, if read)?$/u).fill('38');
  await page.getByLabel('Wrench or gauge').fill('14 Nm');
  await page.getByText(/kN by the thread/u).waitFor();
  await page.getByLabel('Wrench or gauge').press('Enter');
  await shows(page, /Seated/u);
  await record(page, '38.0');
  expect((await strokes(page, id)).strokes['cartridge-in']).toMatchObject({
    pressId: 'screw-1',
    depthMm: 38,
  });
  expect(complaints).toEqual([]);
});

it('drives a shell until the note changes: no force is asked for, the depth is', async () => {
  const { page } = await tablet(browser, 'maud');
  const id = await floorJob(page, '11');
  await go(page, `/jobs/${id}/press-in`);
  await button(page, /^3\s*Bearing/u).click();
  await shows(page, /Driven until the note changes/u);
  await page.getByText('By hammer: no force is read.').waitFor();
  await button(page, /^Glasses on/u).click();
  expect(await page.getByLabel('Gauge', { exact: true }).count()).toBe(0);
  await record(page, '24.1');
  const kept = (await strokes(page, id)).strokes['shell-in']!;
  expect(kept).toMatchObject({ pressId: 'hammer', depthMm: 24.1 });
  expect(kept.peakKn).toBeUndefined();
});
