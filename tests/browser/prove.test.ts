import { createClient } from '@libsql/client';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { button, hydrated } from './browser.ts';
import { jobWhere, nutDone, signOff } from './finish.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();
const call = (text: string | RegExp) =>
  shop.page.locator('.side .call', { hasText: text }).first().waitFor();

it('takes every fastener, the runout and the wheel nuts to a signed card, and finds a record that was altered', async () => {
  const { page, dataDir, open } = shop;
  const id = await jobWhere(shop, (r) => r.station === 'torque');
  await nutDone(shop, id);

  // A pair by turns, through an offset adapter: what is set is less than what is asked.
  await open(`/jobs/${id}/torque`);
  await button(page, /Fasteners$/u).click();
  await page.getByText('An offset adapter between?').click();
  await page.getByLabel('Square to square').fill('50');
  await page.getByText(/^set 145 N·m/u).waitFor();
  await button(page, 'Number 1: it clicked').click();
  // What is typed is what the wrench shows; what goes on record is at the bolt.
  await page.getByLabel(/^Reading at the wrench, number 2/u).fill('145');
  await button(page, 'Number 2: record 160 N·m').click();
  await call('Every one has had its turns.');
  await button(page, /Axle nut/u).click();
  await button(page, 'To Prove').click();
  await page.waitForURL(/\/prove$/u);
  await hydrated(page);

  // Five nuts crosswise, twice; one of them too far on the way.
  await button(page, /Wheel nuts$/u).click();
  await button(page, 'Number 1: it clicked').click();
  await page.getByLabel(/^Reading, number 2/u).fill('150');
  await button(page, 'Number 2: record 150 N·m').click();
  await call(/Over by \d+/u);
  await page.getByLabel(/^Reading, number 2/u).fill('');
  for (const n of [2, 3, 4, 5, 1, 2, 3, 4, 5])
    await button(page, `Number ${n}: it clicked`).click();
  await call('Every one has had its turns.');

  // The flange, then the disc; it is turned on its studs and read again.
  await button(page, /Runout$/u).click();
  const read = async (radius: string, keep: RegExp) => {
    for (let deg = 0; deg < 360; deg += 45) {
      await page.getByText(`Indicator at ${deg}°`).waitFor();
      await button(page, 'Read with the stand-in indicator').click();
    }
    await page.getByLabel('The indicator stands at a radius of').fill(radius);
    await button(page, keep).click();
  };
  await read('60', /^Keep flange/u);
  await read('114', /^Keep disc/u);
  await call(/Turn the disc \d holes? clockwise: 0\.\d+ → 0\.\d+ mm/u);
  const total = async () =>
    Number(await page.locator('text.giant').evaluate((t) => t.firstChild?.textContent));
  const before = await total();
  await button(page, 'Turned, read again').click();
  await read('114', /^Keep disc/u);
  await call('Good');
  expect(await total()).toBeLessThan(before);
  await button(page, /^Take 0\.\d+ mm as the check/u).click();

  // The signal of the new encoder is kept, and lies over the one before.
  await button(page, /Signal$/u).click();
  await page.getByLabel(/^Speed, from/u).fill('60');
  await page.getByText('active', { exact: true }).click();
  await page.getByText('all agree').click();
  await button(page, 'Take a reading').click();
  await button(page, 'Keep it beside the one before').click();
  await page.locator('svg.over-one .line-after[d^="M30"]').waitFor();

  // Every check, and the name under it.
  await button(page, /Checks/u).click();
  await signOff(page, '999000');
  await hydrated(page);
  await page.locator('.paper', { hasText: 'Wheel nuts' }).waitFor();
  await page.getByRole('img', { name: /^Code with the number/u }).waitFor();

  // A line that was wrong stays, and what is right stands beside it by name and reason.
  await page.getByText('A line is wrong?').click();
  await page
    .getByLabel('Line of the card')
    .selectOption({ label: 'Brake hose not twisted, pedal pumped firm: right' });
  await page.getByLabel('What is right').fill('one turn in it, put right');
  await button(page, 'Correct it').click();
  await page.getByLabel(/^Reason/u).fill('seen on the ramp');
  await page.getByLabel(/^PIN/u).fill('2580');
  await page.getByRole('dialog').getByRole('button', { name: /^Sign/u }).click();
  await page.locator('.paper', { hasText: 'one turn in it, put right' }).waitFor();
  await hydrated(page);

  // One sheet to stand by, a second one for the readings.
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/gu)?.length).toBe(2);

  // The record fits; after a row was altered in the file it does not, and says where.
  await open('/verify');
  await page.locator('.verify-side .call', { hasText: 'Every seal fits' }).waitFor();
  const file = createClient({ url: `file:${join(dataDir, 'true-spindle.db')}` });
  await file.execute(
    `UPDATE events SET body = '{"ok":true,"checkId":"hose"}' WHERE job_id = '${id}' AND type = 'runout-read'`,
  );
  file.close();
  await button(page, 'Try all seals again').click();
  await page.locator('.verify-side .call', { hasText: 'is not what was sealed' }).waitFor();
}, 120_000);

it('reckons without a job, keeps the figures in the address, and leaves the result with the job that was open', async () => {
  const { page, url, open } = shop;
  const id = await jobWhere(shop, (r) => r.station === 'press-in');
  // A page without a field that takes the key.
  await open(`/jobs/${id}/plan`);
  // The page listens a moment after it is drawn.
  for (let i = 0; i < 10 && !page.url().includes('/scratch'); i++) {
    await page.keyboard.press('s');
    await page.waitForURL(/\/scratch\?/u, { timeout: 1000 }).catch(() => undefined);
  }
  await hydrated(page);
  await page.getByLabel('Torque at the nut').fill('100');
  await page.getByLabel('Wrench, square to grip').fill('400');
  await page.getByLabel('Offset, square to square').fill('100');
  const result = page.locator('.scratch-results .main b');
  await result.filter({ hasText: '80.0 N·m' }).waitFor();
  await page.reload();
  await hydrated(page);
  await result.filter({ hasText: '80.0 N·m' }).waitFor();
  await page.getByLabel('Wrench, square to grip').fill('long');
  await page.getByText('One figure cannot be.').waitFor();
  await page.getByLabel('Wrench, square to grip').fill('400');
  await button(page, /^Into job/u).click();
  await page.getByText('Kept with the job as a note.').waitFor();
  const { state } = (await (await page.request.get(`${url}/api/jobs/${id}`)).json()) as {
    state: { notes: { text: string }[] };
  };
  expect(state.notes.at(-1)?.text).toMatch(/^What to set: set at the wrench 80\.0 N·m/u);
}, 60_000);
