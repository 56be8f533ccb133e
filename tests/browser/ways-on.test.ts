import type { Browser } from 'playwright-core';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { at, button, floorJob, go, launch, tablet, shopUrl } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

it('leads on from a nut that was pulled too far: a new one in hand, and again from the first stage', async () => {
  const { page, complaints } = await tablet(browser);
  const id = await floorJob(page, '33');
  await go(page, `/jobs/${id}/torque`);
  const call = page.locator('.call').first();
  await page.getByLabel(/^Reading, stage 4/u).fill('300');
  await button(page, 'Record 300 N·m').click();
  await call.getByText(/slacken, begin again at stage 1/u).waitFor();
  await button(page, 'New axle nut in hand').click();
  await page.getByLabel(/^Reading, stage 1/u).fill('185');
  await button(page, 'Record 185 N·m').click();
  await page.locator('.stages li.now', { hasText: /^2/u }).waitFor();
  expect(complaints).toEqual([]);
});

it('closes a job by a tap with its reason, never by Enter, finds it again, and a lead opens it', async () => {
  const { page } = await tablet(browser);
  const id = uuid();
  const post = (path: string, data: object) => page.request.post(`${shopUrl}${path}`, { data });
  const say = (type: string, body: object) =>
    post(`/api/jobs/${id}/events`, { id: uuid(), type, body, byId: 'rafe' });
  await post('/api/jobs', { id, unitId: 'unit-12', corner: 'LR', byId: 'rafe' });
  await say('complaint-recorded', { corner: 'LR', lamps: ['none'], history: [], sound: 'roar' });
  await say('station-done', { station: 'complaint' });
  await say('diagnosis-accepted', { suspectId: 'tyre-rear', probability: 0.9 });
  await go(page, `/jobs/${id}/diagnose`);
  await button(page, /^Close/u).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Reason').fill('');
  await dialog.getByRole('button', { name: 'Type the reason' }).click();
  await dialog.getByLabel('Reason').fill('sent out, zinnia');
  await dialog.getByLabel('Reason').press('Enter');
  await dialog.getByRole('button', { name: 'Close the job' }).click();
  await dialog.waitFor({ state: 'detached' });
  await go(page, '/archive');
  await page.getByLabel(/^Unit, part/u).fill('zinnia');
  await page.locator('.archive-jobs li a', { hasText: 'sent out, zinnia' }).click();
  await at(page, 'diagnose');
  const again = button(page, 'Open it again');
  const openAs = async (name: string, pin: string) => {
    await page.getByLabel('On the job').selectOption({ label: name });
    await again.click();
    await dialog.getByLabel(/^Reason/u).fill('it came back');
    await dialog.getByLabel(`PIN of ${name}`).fill(pin);
    await dialog.getByRole('button', { name: `Sign as ${name}` }).click();
  };
  await openAs('Rafe', '1470');
  await dialog.getByText('Rafe is not one.').waitFor();
  await page.keyboard.press('Escape');
  await openAs('Ines', '2580');
  await again.waitFor({ state: 'detached' });
  await page.locator('.side .call').first().waitFor();
});
