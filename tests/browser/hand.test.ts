import { readFileSync } from 'node:fs';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { button, floorJob, go, launch, tablet, shopUrl } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

it('takes a piece drawn on to the axis, says while it hangs there what it would do, and gives the drawing away as a file', async () => {
  const { page, complaints } = await tablet(browser);
  const id = await floorJob(page, '07');
  await go(page, `/jobs/${id}/press-in`);
  await button(page, /^3\s*Bearing/u).click();
  await button(page, 'Lay it by hand').click();
  const piece = page.locator('.hand-drawer button', { hasText: 'Sleeve 44' });
  await piece.scrollIntoViewIfNeeded();
  const from = (await piece.boundingBox())!;
  await page.mouse.move(from.x + 40, from.y + 40);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y - 20, { steps: 4 });
  const place = (await page
    .locator('.place', { hasText: 'pushes' })
    .locator('rect')
    .boundingBox())!;
  await page.mouse.move(place.x + place.width / 2, place.y + place.height / 2, { steps: 8 });
  await page.locator('.hand-word.is-stop').waitFor();
  // While it hangs there the drawing says where it is wrong.
  await page.locator('svg.drawing .why', { hasText: /rests on the inner ring/u }).waitFor();
  await page.mouse.up();
  await page.locator('.call.is-stop', { hasText: /Balls carry .*dents of about/u }).waitFor();
  expect(await page.locator('.stack .from-kit').nth(1).textContent()).toContain('Sleeve 44');
  await button(page, /^Use the best stack/u).click();
  await page.locator('.call:not(.is-stop)').first().waitFor();
  // By keys: pick up, go down the axis, lay.
  const disc = page.locator('.hand-drawer button', { hasText: 'Disc 95' });
  await disc.focus();
  await page.keyboard.press('Enter');
  // It is in the hand before it is moved.
  await page.locator('.hand-held').waitFor();
  await page.keyboard.press('ArrowDown');
  await page.locator('.hand-word').waitFor();
  await page.keyboard.press('Escape');
  await page.locator('.hand-word').waitFor({ state: 'detached' });

  const [file] = await Promise.all([page.waitForEvent('download'), button(page, 'SVG').click()]);
  const svg = readFileSync(await file.path(), 'utf8');
  expect(file.suggestedFilename()).toMatch(/^bearing-in-.*\.svg$/u);
  expect(svg).toMatch(/^<svg[^>]+viewBox="0 0 924 584"/u);
  expect(svg).not.toMatch(/class=|var\(--|http:\/\/127/u);
  const [png] = await Promise.all([page.waitForEvent('download'), button(page, 'PNG').click()]);
  expect([...readFileSync(await png.path()).subarray(1, 4)]).toEqual([...Buffer.from('PNG')]);
  expect(complaints).toEqual([]);
});

it('gives a piece out of the drawer to a finger and to keys, and the focus back to the keys alone', async () => {
  const { page, complaints } = await tablet(browser);
  await go(page, `/jobs/${await floorJob(page, '07')}/press-in`);
  await button(page, /^3\s*Bearing/u).click();
  const place = page.locator('.stack .from-kit').nth(1);
  const drawer = page.getByRole('dialog', { name: 'What pushes?' });
  const holds = () => place.evaluate((el) => el === document.activeElement);
  // A finger: beside it nothing is chosen; what was tapped is not what a pedal acts on next.
  await place.click();
  await drawer.waitFor();
  await page.mouse.click(8, 792);
  await drawer.waitFor({ state: 'detached' });
  await place.click();
  await drawer.getByRole('button', { name: /^Sleeve 44:/u }).click();
  await page.locator('.call.is-stop').waitFor();
  await expect.poll(holds).toBe(false);
  // Keys: away again, then taken.
  await place.focus();
  for (const key of ['Tab', 'Shift+Tab', 'Enter']) await page.keyboard.press(key);
  await drawer.waitFor();
  await page.keyboard.press('Escape');
  await drawer.waitFor({ state: 'detached' });
  await expect.poll(holds).toBe(true);
  await page.keyboard.press('Enter');
  await drawer.getByRole('button', { name: /^Pusher ring 75:/u }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => place.textContent()).toContain('Pusher ring 75');
  await page.locator('.call:not(.is-stop)').first().waitFor();
  await expect.poll(holds).toBe(true);
  await button(page, /^Use the best stack/u).click();
  expect(complaints).toEqual([]);
});

it('keeps a kit: a piece is copied, moved to the van, retired with a reason', async () => {
  const { page } = await tablet(browser);
  await go(page, '/kit');
  await page.locator('.shelf button', { hasText: 'Mandrel 34' }).click();
  await button(page, 'Copy').click();
  await page.locator('.call.is-good', { hasText: 'Mandrel 34 copy is in the kit' }).waitFor();
  await page.locator('.shelf button', { hasText: 'Mandrel 34 copy' }).waitFor();
  await page
    .getByRole('radiogroup', { name: 'Kept in' })
    .getByRole('radio', { name: 'van' })
    .click();
  await page.locator('.call.is-good', { hasText: 'van kit' }).waitFor();
  await page.getByLabel('Retire it, because').fill('bent');
  await button(page, 'Retire').click();
  await page.locator('.call.is-good', { hasText: 'is retired' }).waitFor();
  const list = (await (await page.request.get(`${shopUrl}/api/records/adapters`)).json()) as {
    name: string;
    kit?: string;
    retired?: string;
  }[];
  expect(list.filter((a) => a.name === 'Mandrel 34 copy')).toMatchObject([
    { kit: 'van', retired: 'bent' },
  ]);
});
