import axe from 'axe-core';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { button, floorJob, go, hydrated, launch, tablet, shopUrl } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

/** Main views and the demo job that shows each best. */
const views: readonly (readonly [
  name: string,
  fleetNo: string | undefined,
  path: string,
  open?: string | RegExp,
])[] = [
  ['floor', undefined, '/'],
  ['start a job', undefined, '/', 'Start a job'],
  ['kit', undefined, '/kit'],
  ['complaint', '04', 'complaint'],
  ['diagnose', '04', 'diagnose'],
  ['ear', '04', 'diagnose', /Ear$/u],
  ['wheel speed', '04', 'diagnose', /Wheel speed$/u],
  ['tables', undefined, '/tables'],
  ['rules', undefined, '/rules'],
  ['match', '21', 'match'],
  ['bench list', '21', 'match', /On the bench/u],
  ['another family', '12', 'plan'],
  ['family', '30', 'match', /^1\s*Family/u],
  ['measure', '30', 'match', /^2\s*Measure/u],
  ['compare', '30', 'match', /^3\s*Part/u],
  ['catalogue', undefined, '/parts'],
  ['plan', '21', 'plan'],
  ['strip', '21', 'press-out'],
  ['old part', '07', 'press-out', /Old part/u],
  ['seats', '07', 'press-in', /Seats/u],
  ['encoder', '07', 'press-in', /Encoder/u],
  ['press in', '07', 'press-in', /^3\s*Bearing/u],
  ['torque', '33', 'torque'],
  ['prove', '33', 'prove'],
  ['card', '26', 'card'],
];

async function open(page: Page, [, fleetNo, path, press]: (typeof views)[number]): Promise<void> {
  await go(page, fleetNo ? `/jobs/${await floorJob(page, fleetNo)}/${path}` : path);
  if (press) await button(page, press).click();
  await page.waitForTimeout(80);
}

/** A and AA violations, as "rule: first element". */
async function violations(page: Page): Promise<string[]> {
  await page.evaluate(axe.source);
  return page.evaluate(async () => {
    // @ts-expect-error axe was put on the page above
    const r = await window.axe.run(document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    });
    return r.violations.map(
      (v: { id: string; nodes: { html: string; failureSummary: string }[] }) =>
        `${v.id}: ${v.nodes[0]!.html.slice(0, 120)} ${v.nodes[0]!.failureSummary.slice(0, 160)}`,
    );
  });
}

describe.each(['day', 'night'])('by %s', (bay) => {
  it('has no axe violation of level A or AA on the main views', async () => {
    const { page, complaints } = await tablet(browser, 'ines', { night: bay === 'night' });
    const found: string[] = [];
    for (const view of views) {
      await open(page, view);
      for (const v of await violations(page)) found.push(`${view[0]}: ${v}`);
    }
    expect(found).toEqual([]);
    expect(complaints).toEqual([]);
  });
});

describe.each([
  ['tablet in portrait', 820, 1180],
  ['phone', 390, 844],
] as const)('on a %s', (_name, width, height) => {
  it('fits the width, and the main action is under the thumb', async () => {
    const { page } = await tablet(browser, 'ines', { viewport: { width, height }, hasTouch: true });
    for (const view of views) {
      await open(page, view);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide, view[0]).toBeLessThanOrEqual(0);
      if (!view[1]) continue;
      const box = await page.locator('.acts .btn').first().boundingBox();
      expect(box, view[0]).not.toBeNull();
      if (width < 500) expect(box!.y, view[0]).toBeGreaterThan(height * 0.8);
      expect(box!.height, view[0]).toBeGreaterThanOrEqual(48);
    }
  });
});

it('takes no write from another site and runs no script that is not its own', async () => {
  const url = shopUrl;
  const write = (headers: Record<string, string>) =>
    fetch(`${url}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: '{}',
    }).then((r) => r.status);
  expect(await write({ origin: 'http://elsewhere.example' })).toBe(403);
  expect(await write({ 'sec-fetch-site': 'cross-site' })).toBe(403);
  expect(await write({ origin: url })).toBe(422);
  const policy = (await fetch(url)).headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self' 'sha256-");
  expect(policy).not.toContain('unsafe');
});

it('tells a missing job and a missing page apart from a broken one', async () => {
  const { page } = await tablet(browser);
  for (const path of [
    '/jobs/00000000-0000-7000-8000-000000000000/torque',
    '/jobs/x/nowhere',
    '/no-such-page',
  ]) {
    const r = await page.goto(shopUrl + path);
    expect(r?.status()).toBe(404);
    await page.getByRole('link', { name: 'To the floor' }).waitFor();
  }
});

it('refuses bad input beside the field and keeps what was typed', async () => {
  const { page } = await tablet(browser, 'ines');
  await go(page, '/kit');
  await page.getByRole('radio', { name: 'sleeve' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Sleeve of the test');
  for (const [label, typed] of [
    ['Outside diameter', '40'],
    ['Inside diameter, 0 for solid', '50'],
    ['Height', '-3'],
    ['Rating', '20 ton'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(typed);
  await page.getByText(/Which ton/u).waitFor();
  await page.getByLabel('Rating', { exact: true }).fill('20 short ton');
  await page
    .getByText(/must be smaller than the outside, 40 mm/u)
    .first()
    .waitFor();
  await page
    .getByText(/Height must be more than 0/u)
    .first()
    .waitFor();
  await page.reload();
  await hydrated(page);
  await page.waitForFunction(
    () =>
      (document.querySelector('.add-piece .text-in') as HTMLInputElement).value ===
      'Sleeve of the test',
  );
  await page.getByLabel('Outside diameter', { exact: true }).fill('60');
  await page.getByLabel('Height', { exact: true }).fill('2 in');
  await button(page, 'Add piece').click();
  await page.getByText(/is in the kit/u).waitFor();
  // An import with an unknown field names it and takes nothing.
  await page.locator('input[type=file]').setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify({ format: 'true-spindle/workshop', version: 1, adapters: [], wheels: 4 }),
    ),
  });
  await page.getByText(/Unknown field “wheels”/u).waitFor();
});

it('two tabs on one job tell each other apart by version', async () => {
  const one = await tablet(browser, 'maud');
  const two = await tablet(browser, 'tobi');
  const id = await floorJob(one.page, '04');
  await one.page.request.post(`${shopUrl}/api/jobs/${id}/events`, {
    data: {
      id: '01900000-0000-7000-8000-000000000001',
      type: 'diagnosis-accepted',
      body: { suspectId: 'bearing-RF', probability: 0.9 },
      byId: 'maud',
    },
  });
  await one.page.request.post(`${shopUrl}/api/jobs/${id}/events`, {
    data: {
      id: '01900000-0000-7000-8000-000000000002',
      type: 'station-done',
      body: { station: 'diagnose' },
      byId: 'maud',
    },
  });
  await go(one.page, `/jobs/${id}/match`);
  await go(two.page, `/jobs/${id}/match`);
  await button(one.page, 'Take T3564-00').click();
  await one.page.getByRole('heading', { name: 'Is everything on the bench?' }).waitFor();
  await button(two.page, 'Choose').click();
  const told = two.page.getByRole('dialog', { name: 'Changed meanwhile' });
  await told.getByRole('row', { name: /^Part T3564-00/u }).waitFor();
});

it('walks the centre line by keyboard and reopens a done station with a reason', async () => {
  const { page } = await tablet(browser, 'maud');
  await go(page, `/jobs/${await floorJob(page, '21')}/press-out`);
  await page.waitForTimeout(250);
  await page.keyboard.press('ArrowLeft');
  await page.waitForURL(/\/plan$/u);
  await hydrated(page);
  await button(page, 'Reopen').click();
  await page.getByRole('dialog').getByLabel('Reason').fill('chill after all');
  await page.getByRole('dialog').getByRole('button', { name: 'Record' }).click();
  await button(page, /chill the bearing/u).click();
  await button(page, 'Start work').click();
  await page.waitForURL(/\/press-out$/u);
});
