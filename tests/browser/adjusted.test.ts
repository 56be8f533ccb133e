import { expect, it } from 'vitest';
import { button, doneSteps, hydrated } from './browser.ts';
import { jobWhere, say, signOff } from './finish.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();
const call = (text: string | RegExp) =>
  shop.page.locator('.side .call', { hasText: text }).first().waitFor();
const heading = (text: string) => shop.page.locator('h1', { hasText: text }).waitFor();

/** The dial pushed and pulled twice by the stand-in. */
async function pushAndPull(): Promise<void> {
  const { page } = shop;
  for (const n of [1, 2]) {
    await button(page, 'Push and pull with the stand-in dial').click();
    await page.locator(`.play-times li:nth-child(${n + 1})`).waitFor();
  }
}

/** Reads the end play, turns the nut to the place the drawing names, reads again there and keeps it. */
async function adjust(past: string): Promise<void> {
  const { page } = shop;
  await button(page, /Adjust$/u).click();
  await heading('How much end play?');
  await pushAndPull();
  await page.getByLabel(/^The lock stands past/u).fill(past);
  await button(page, /^Keep \d\.\d+ mm$/u).click();
  await heading('Which place does the lock take?');
  // What was read stands after a reload, and so does what it asks for.
  await page.reload();
  await hydrated(page);
  await button(page, /^At [A-F], read again$/u).click();
  await call(/^To do\s*Nut turned to/u);
  await pushAndPull();
  await button(page, /^Keep \d\.\d+ mm$/u).click();
  await call('Inside, and the lock stands in a place.');
  await button(page, /lock it$/u).click();
  await heading('Set and read');
  await button(page, 'Lock the nut').click();
  await button(page, /^(Locked|Seen)/u).click();
  await button(page, 'To Prove').click();
  await page.waitForURL(/prove$/u);
  await hydrated(page);
}

it('sets the hub of a full-floating axle by the dial, locks it in its mark, puts the shaft in and signs', async () => {
  const { page, open } = shop;
  const id = await jobWhere(shop, (r) => r.fleetNo === '35');
  await open(`/jobs/${id}/torque`);
  await adjust('4.8');
  await signOff(page, '999000');
  const torque = page.locator('.paper section', { hasText: 'Hub nut, unit 35' });
  expect(await torque.locator('tr', { hasText: 'End play by the dial' }).innerText()).toMatch(
    /0\.\d+ mm/u,
  );
  await page.locator('.paper', { hasText: 'Shaft in, face sealed' }).waitFor();
}, 120_000);

it('takes two taper rows from the old cups to a signed card', async () => {
  const { page, open } = shop;
  const id = await jobWhere(shop, (r) => r.fleetNo === '30' && r.station === 'press-out');
  await open(`/jobs/${id}/press-out`);
  await button(page, 'Both are out').click();
  await heading('Same as the new one?');
  const sizes = { outerMm: 64, boreMm: 34, widthMm: 16 };
  for (const [dimension, mm] of Object.entries(sizes))
    for (const valueMm of [mm, mm + 0.001, mm + 0.002, mm + 0.003])
      await say(shop, id, 'old-part-read', {
        dimension,
        valueMm,
        typed: valueMm.toFixed(3),
        instrumentId: 'mic',
      });
  const plane = [63.975, 63.975];
  await say(shop, id, 'seat-read', {
    seat: 'bore',
    readingsMm: [plane, plane, plane],
    instrumentId: 'bore-gauge',
  });
  await page.reload();
  await hydrated(page);
  await button(page, 'Accept part').click();
  await button(page, 'To Press in').click();
  await page.waitForURL(/press-in$/u);
  await hydrated(page);
  await say(shop, id, 'seat-judged', { seat: 'bore', decision: 'reuse' });
  await say(shop, id, 'caution-read', { cautionId: 'hammer' });
  await page.reload();
  await hydrated(page);
  for (const [cup, depth] of [
    ['Outer cup', '18.0'],
    ['Inner cup', '20.0'],
  ] as const) {
    await button(page, new RegExp(`${cup}$`, 'u')).click();
    await page.getByLabel('With').selectOption({ label: 'Hammer and driver' });
    await page.getByText('By hammer: no force is read.').waitFor();
    await button(page, 'Record seat').click();
    await page.getByRole('dialog').locator('input').fill(depth);
    await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
    await button(page, 'Next').click();
  }
  await button(page, 'Home all round').click();
  await button(page, 'Bright, no step, cones slide by hand').click();
  await button(page, 'Packed or oiled').click();
  await button(page, 'Seal is in').click();
  await button(page, 'To Torque').click();
  await page.waitForURL(/torque$/u);
  await hydrated(page);
  await doneSteps(page);
  const stages = { s1: 55, s2: 10, s3: 90, s4: 12 };
  for (const [stageId, actual] of Object.entries(stages))
    await say(shop, id, 'stage-recorded', {
      stageId,
      toolId: stageId === 's3' ? 'paint' : 'click-60',
      actual,
      typed: String(actual),
    });
  await open(`/jobs/${id}/torque`);
  await adjust('7');
  await signOff(page, '999000');
  await page.locator('.paper', { hasText: 'Two taper rollers' }).waitFor();
}, 120_000);
