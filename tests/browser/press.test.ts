import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { button, floorJob, go, launch, tablet, shopUrl } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

const stateOf = async (page: Page, id: string) =>
  (
    (await (await page.request.get(`${shopUrl}/api/jobs/${id}`)).json()) as {
      state: { traces: Record<string, { call: string; samples: number[][]; atMs: number }> };
    }
  ).state;
const choose = async (page: Page, fault: string) => {
  if (!(await page.getByRole('radio', { name: fault }).isVisible()))
    await page.locator('.ram-panel summary').click();
  await page.getByRole('radio', { name: fault }).click();
};

/** Every call that the strip shows from now on, with how it is marked: one that passes by is not missed. */
async function callsShown(page: Page): Promise<() => Promise<string>> {
  await page.evaluate(() => {
    const seen = new Set<string>();
    const look = () =>
      document
        .querySelectorAll('.ram-call')
        .forEach((x) => seen.add(`${x.className} ${x.textContent}`));
    const changes = { subtree: true, childList: true, characterData: true, attributes: true };
    new MutationObserver(look).observe(document.body, changes);
    Object.assign(window, { callsShown: seen });
  });
  return () =>
    page.evaluate(() =>
      [...(window as never as { callsShown: Set<string> }).callsShown].join('\n'),
    );
}

it('stops a cocked stroke, lets it be squared, bridges a lost gauge, and says seated', async () => {
  const { page, complaints } = await tablet(browser);
  const id = await floorJob(page, '07');
  await go(page, `/jobs/${id}/press-in`);
  await button(page, /^3\s*Bearing/u).click();
  // Somebody else read the caution; who pumps reads it too.
  await button(page, /^Glasses on/u).click();
  await choose(page, 'cocked start');
  await button(page, /^Pump/u).click();
  await page
    .locator('.ram-call.is-stop', { hasText: /Cocked: .* Back off, square it/u })
    .waitFor({ timeout: 30_000 });
  await page.locator('.btn.notyet', { hasText: 'The last trace was cocked' }).waitFor();
  expect((await stateOf(page, id)).traces['bearing-in']!.call).toBe('cocked');
  await button(page, 'Backed off and squared').click();

  await choose(page, 'sound');
  await page.getByLabel('Gauge lead comes loose').check();
  const shown = await callsShown(page);
  await button(page, /^Pump/u).click();
  await page.locator('.ram-call', { hasText: 'Square and inside the band' }).waitFor();
  await button(page, 'Release').waitFor();
  // A second tablet does not get the same gauge.
  expect(
    (
      await page.request.get(`${shopUrl}/api/jobs/${id}/ram/bearing-in/good`, {
        timeout: 5000,
      })
    ).status(),
  ).toBe(409);
  await page
    .locator('.ram-call.is-good', { hasText: /Seated at 4\d\.\d mm/u })
    .waitFor({ timeout: 90_000 });
  expect(await shown()).toMatch(/is-check.*No signal.*the trace is kept/u);
  await button(page, 'Look at the stroke again').click();
  await page.locator('.trace-chart canvas').waitFor();
  const { samples, call } = (await stateOf(page, id)).traces['bearing-in']!;
  expect(call).toBe('seated');
  expect(samples.length).toBeGreaterThan(1000);
  samples.slice(1).forEach((s, i) => expect(s[0]!).toBeGreaterThanOrEqual(samples[i]![0]!));
  expect(complaints).toEqual([]);
});

it('says too easy of a worn seat, and the trace is there after a reload', async () => {
  const { page } = await tablet(browser);
  const id = await floorJob(page, '07');
  await go(page, `/jobs/${id}/press-in`);
  await button(page, /^3\s*Bearing/u).click();
  await choose(page, 'worn seat');
  const before = (await stateOf(page, id)).traces['bearing-in']?.atMs ?? 0;
  await button(page, /^Pump/u).click();
  await page
    .locator('.ram-call', { hasText: /Too easy: .*Measure before it leaves/u })
    .waitFor({ timeout: 60_000 });
  // A reload in mid-stroke loses nothing that was read.
  await page.reload();
  // On a slow machine the ring may have come home meanwhile.
  await expect
    .poll(async () => (await stateOf(page, id)).traces['bearing-in']!.atMs, { timeout: 10_000 })
    .toBeGreaterThan(before);
  const { call } = (await stateOf(page, id)).traces['bearing-in']!;
  expect(['easy', 'seated']).toContain(call);
  await button(page, 'Look at the stroke again').waitFor();
});
