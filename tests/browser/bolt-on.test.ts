import { it } from 'vitest';
import { button, doneSteps, hydrated } from './browser.ts';
import { jobWhere, nutDone, say, signOff } from './finish.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();

it('takes a bolt-on unit from its plan to a signed card: nothing is pressed, the bond, the seat and the bolts decide', async () => {
  const { page, open } = shop;
  const id = await jobWhere(shop, (r) => r.fleetNo === '12');
  await open(`/jobs/${id}/plan`);
  await page.locator('.call', { hasText: 'Nothing is pressed here' }).waitFor();
  await page.getByRole('radio', { name: /^quick/u }).click();
  await button(page, 'Start work').click();
  await page.waitForURL(/press-out$/u);
  await hydrated(page);
  await doneSteps(page);

  // It does not move at first: said, and what to do stands there.
  await button(page, 'It does not move').click();
  await page.locator('.call', { hasText: 'Soak it another twenty minutes' }).waitFor();
  await button(page, 'Unit is off').click();
  await page.locator('h1', { hasText: 'Same as the new one?' }).waitFor();
  const readings = { pilotMm: 78, boltCount: 4, boltCircleMm: 116, studCount: 5, splineCount: 26 };
  for (const [dimension, valueMm] of Object.entries(readings))
    await say(shop, id, 'old-part-read', {
      dimension,
      valueMm,
      typed: String(valueMm),
      instrumentId: 'mic',
    });
  await say(shop, id, 'encoder-read', { kind: 'magnetic', pairs: 48, side: 'inboard' });
  await page.reload();
  await hydrated(page);
  await button(page, 'Accept part').click();
  await page.waitForURL(/press-in$/u);
  await hydrated(page);

  await button(page, /^All 2 as they should be/u).click();
  await page.locator('h1', { hasText: 'On its seat by hand' }).waitFor();
  await button(page, /^All 2 as they should be/u).click();
  await page.locator('h1', { hasText: 'Does it turn as it should?' }).waitFor();
  await button(page, 'Turns smoothly').click();
  await button(page, 'To Torque').click();
  await page.waitForURL(/torque$/u);
  await hydrated(page);

  await doneSteps(page);
  await button(page, /Fasteners/u).click();
  for (const n of [1, 2, 3, 4, 1, 2, 3, 4]) await button(page, `Number ${n}: it clicked`).click();
  await page.locator('.call', { hasText: 'Every one has had its turns.' }).waitFor();
  await nutDone(shop, id);
  await open(`/jobs/${id}/torque`);
  await button(page, /Axle nut/u).click();
  await button(page, 'To Prove').click();
  await page.waitForURL(/prove$/u);
  await hydrated(page);
  await signOff(page, '999000');
  await page.locator('.paper', { hasText: 'Hub bolts' }).waitFor();
}, 120_000);
