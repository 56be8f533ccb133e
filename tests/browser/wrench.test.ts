import { expect, it } from 'vitest';
import { button } from './browser.ts';
import { jobWhere } from './finish.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();

const stageAt = (n: number) => shop.page.getByText(`stage ${n} of 6`).first().waitFor();
const call = (word: string) =>
  shop.page.locator('.side .call', { hasText: word }).first().waitFor();

/** Pulls with the stand-in wrench, and waits until the hand has let go. */
async function pull(setting: string): Promise<void> {
  const { page } = shop;
  await page.getByLabel('Stand-in wrench').selectOption({ label: setting });
  await button(page, /^Pull( on)?$/u).click();
  await page.locator('.btn.release').waitFor();
  await page.locator('.btn.release').waitFor({ state: 'detached', timeout: 20_000 });
}
const record = () => button(shop.page, /^Record \d/u).click();

/** From stage 1 to where the angle is to be pulled. */
async function uptoTheAngle(): Promise<void> {
  const { page } = shop;
  await stageAt(1);
  await pull('sound, one pull');
  await call('In the window.');
  await record();
  for (const [n, figure] of [
    [2, '180'],
    [3, '5'],
  ] as const) {
    await stageAt(n);
    await page.getByLabel(`Reading, stage ${n}`).fill(figure);
    await record();
  }
  await stageAt(4);
  await pull('sound, one pull');
  await record();
  await stageAt(5);
}

it('walks a nut with the stand-in wrench: one stage over and begun again, a silence in mid-pull, an angle in several pulls', async () => {
  const { page, url, open } = shop;
  const id = await jobWhere(shop, (r) => r.station === 'torque');
  await open(`/jobs/${id}/torque`);
  await stageAt(4);
  await page.getByLabel(/^Tool/u).selectOption('digital-340');

  // A wrench that is lost in mid-pull has recorded nothing.
  await pull('falls silent');
  await page.getByText(/fell silent in mid-pull at \d+ N·m/u).waitFor();
  await stageAt(4);

  // Too far is Stop: a new nut, and again from the first stage.
  await pull('goes too far');
  await call('Over by');
  await record();
  await button(page, /^New axle nut in hand/u).click();
  await uptoTheAngle();

  // A socket that slips has lost the angle: no pull after it can be Good, it is put on record and begun again.
  await pull('socket slips');
  await call('The socket slipped');
  expect(await button(page, /^Pull/u).count()).toBe(0);
  await button(page, /^Record that it is spoilt/u).click();
  await button(page, /^New axle nut in hand/u).click();
  await uptoTheAngle();

  // Stopped short and gone away: the nut stands where it was left, and the wrench goes on from there.
  await pull('stops short');
  await call('Below the window');
  await page.reload();
  await page.locator('astro-island[ssr]').first().waitFor({ state: 'detached' });
  await page.getByLabel(/^Tool/u).selectOption('digital-340');
  await pull('in several pulls');
  await call('In the window.');
  // The nut turns as it is pulled, and what it came to stands large.
  const turned = Number((await page.locator('text.giant').textContent())?.replace('°', ''));
  expect(Math.abs(turned - 60)).toBeLessThanOrEqual(3);
  await record();
  await stageAt(6);
  const { stages } = (await (await page.request.get(`${url}/api/jobs/${id}`)).json()).state;
  expect(stages.at(-1)).toMatchObject({ standIn: true });
  expect(stages.at(-1).curve.length).toBeGreaterThan(20);
}, 120_000);
