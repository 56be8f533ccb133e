import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import {
  at,
  button,
  go,
  hydrated,
  jobId,
  launch,
  openTest,
  tablet,
  doneSteps,
  settleChecks,
  shopUrl,
} from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

const shows = (page: Page, text: RegExp) =>
  page.locator('.call', { hasText: text }).first().waitFor();

/** Types readings at the gauge and adds each to the strip. */
async function gauge(
  page: Page,
  readings: readonly (readonly [travel: string, force: string])[],
): Promise<void> {
  for (const [travel, force] of readings) {
    await page.getByLabel(/^Travel(, if read)?$/u).fill(travel);
    await page.getByLabel('Gauge', { exact: true }).fill(force);
    await page.getByLabel('Gauge', { exact: true }).press('Enter');
    await page.waitForFunction(
      () => (document.querySelector('.gauge input') as HTMLInputElement).value === '',
    );
    await page.locator('svg.drawing text.far', { hasText: /^\d/u }).waitFor();
    await page.locator('svg.drawing .live').waitFor();
  }
}

async function keepStroke(page: Page, label: string, depth?: string): Promise<void> {
  await button(page, label).click();
  if (!depth) return;
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(/depth|Travel of the hub/u).fill(depth);
  await dialog.getByRole('button', { name: 'Keep it' }).click();
}
async function recordStroke(page: Page, label: string, depth?: string): Promise<void> {
  await keepStroke(page, label, depth);
  await button(page, 'Next').click();
}

/** Six readings of a seat, kept. */
async function readSeat(
  page: Page,
  kind: 'bore' | 'journal',
  values: readonly string[],
): Promise<void> {
  const inputs = page.locator('.seat-grid input');
  await page.getByRole('heading', { name: new RegExp(`the ${kind}`, 'u') }).waitFor();
  for (const [i, v] of values.entries()) await inputs.nth(i).fill(v);
  await button(page, `Record ${kind}`).click();
}

async function pick(page: Page, row: string, piece: string): Promise<void> {
  await page.locator('.stack .from-kit', { hasText: row }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: new RegExp(`^${piece}:`, 'u') })
    .click();
  await page.locator('.stack .from-kit', { hasText: piece }).waitFor();
}

it('takes unit 07 from the floor to a signed job card, past a wrong adapter and a reversed encoder', async () => {
  const { page, complaints } = await tablet(browser, 'rafe');
  await go(page, '/');
  await button(page, 'Start a job').click();
  await page.getByRole('dialog').getByRole('radio', { name: /07/u }).click();
  await page
    .getByRole('dialog')
    .getByRole('radio', { name: /Left front/u })
    .last()
    .click();
  await button(page, 'Start').click();

  await at(page, 'complaint');
  const id = jobId(page);
  await page.getByRole('radio', { name: 'roar' }).click();
  await page.getByRole('radio', { name: 'right', exact: true }).click();
  await page.getByRole('slider', { name: /strongest/u }).press('ArrowRight');
  await button(page, 'salt').click();
  // A reload in the middle loses nothing that was tapped.
  await page.reload();
  await hydrated(page);
  await page.getByRole('radio', { name: 'roar', checked: true }).waitFor();
  await button(page, 'To the tests').click();

  await at(page, 'diagnose');
  await openTest(page, /coil spring: LF/u, 'Hand on the spring', 'LF');
  await button(page, /^Gritty/u).click();
  await page.locator('.heard', { hasText: 'gritty' }).waitFor();
  await openTest(page, /Level meter.*front/u, 'Level at the knuckles', 'front');
  await page.getByLabel(/Left, level/u).fill('62');
  await page.getByLabel(/Right, level/u).fill('51');
  await button(page, 'Record both').click();
  await page.locator('.heard', { hasText: 'left +11 dB' }).waitFor();
  await button(page, /^Call it: LF bearing/u).click();
  const why = page.getByRole('dialog');
  if (await why.isVisible().catch(() => false)) {
    await why.getByLabel('Reason').fill('gritty and louder');
    await why.getByRole('button', { name: 'Record' }).click();
  }

  await at(page, 'match');
  await button(page, 'Take N4076-48').click();
  for (const name of ['Axle nut', 'Bearing', 'Snap ring', 'Pinch bolt', 'Split pin', 'Seat oil']) {
    const item = page.locator('.bench .item', { hasText: name });
    await item.click();
    await page.locator('.bench .item', { hasText: new RegExp(`${name}.*in hand`, 'u') }).waitFor();
  }
  await button(page, 'All here').click();

  await at(page, 'plan');
  await button(page, 'Start work').click();

  await at(page, 'press-out');
  await doneSteps(page);
  await button(page, /read$/u).click();
  await gauge(page, [['0.5', '24']]);
  await recordStroke(page, 'Record stroke');
  await button(page, 'Ring is off').click();
  await button(page, 'Ring is out').click();
  await gauge(page, [['0.5', '4 400 lbf']]);
  await recordStroke(page, 'Record stroke');

  // The old part: a bore that cannot be is refused beside its field and what was typed stays.
  for (const [label, first, second] of [
    ['Outer diameter', '76.00', '2.992 in'],
    ['Bore', '40.00', '40.01'],
    ['Width', '37.00', '37,01'],
  ] as const) {
    if (label === 'Bore') {
      await page.getByLabel('Bore at face 0°').fill('80');
      await page.getByText(/cannot be larger than the outside/u).waitFor();
      expect(await page.getByLabel('Bore at face 0°').inputValue()).toBe('80');
    }
    const [at0, next] = label === 'Width' ? ['0°', '180°'] : ['face 0°', 'face 90°'];
    await page.getByLabel(`${label} at ${at0}`).fill(first);
    await page.getByLabel(`${label} at ${at0}`).press('Enter');
    await page.getByLabel(`${label} at ${next}`).fill(second);
    await page.getByLabel(`${label} at ${next}`).press('Enter');
  }
  await page.getByRole('radio', { name: 'magnetic' }).click();
  await page.getByRole('radio', { name: 'inboard' }).click();
  await page.getByLabel(/Pole PAIRS/u).fill('48');
  await button(page, 'Record encoder').click();
  await button(page, 'Sandy or loose').click();
  await button(page, 'Accept part').click();
  // A bore that lets the ring creep is Stop; the way on is a new knuckle, measured and judged.
  const worn = ['76.021', '76.020', '76.021', '76.019', '76.020', '76.021'];
  const sound = ['75,964', '75.961', '75.961', '75.959', '75.962', '75.958'];
  await readSeat(page, 'bore', worn);
  await readSeat(page, 'journal', ['40.017', '40.016', '40.016', '40.015', '40.016', '40.015']);
  await button(page, 'To Press in').click();

  await at(page, 'press-in');
  await shows(page, /Stop/u);
  await button(page, 'Replace the knuckle').click();
  await button(page, 'Reuse the hub').click();
  await button(page, /^Measure the new/u).click();
  await at(page, 'press-out');
  await button(page, /^Read again|^Measure again/u).click();
  await readSeat(page, 'bore', sound);
  await button(page, 'To Press in').click();
  await at(page, 'press-in');
  await button(page, 'Reuse the knuckle').click();
  // Reversed encoder: the interlock holds until it is turned.
  await page.getByRole('radio', { name: 'outboard' }).click();
  await page.getByRole('radio', { name: 'viewing card' }).click();
  await shows(page, /Stop.*Turn the bearing over/u);
  await button(page, /^3\s*Bearing/u).click();
  await shows(page, /Stop.*encoder would face outboard/u);
  await button(page, /^2\s*Encoder/u).click();
  await page.getByRole('radio', { name: 'inboard' }).click();
  // Wrong adapter: Stop, with the reason and the way on.
  await pick(page, 'Old outer ring 76', 'Sleeve 44');
  await shows(page, /Stop.*Balls carry.*is Good/u);
  expect(await page.locator('svg.drawing .bad').count()).toBe(1);
  await button(page, /^Use the best stack/u).click();
  await shows(page, /Good.*Force runs through the outer ring/u);
  await page.reload();
  await hydrated(page);
  await gauge(page, [
    ['10', '1.6'],
    ['25', '4'],
    ['37', '6'],
  ]);
  await shows(page, /inside the expected band/u);
  await gauge(page, [['41.5', '14']]);
  await shows(page, /Seated/u);
  // Short of its seat is Stop; the way on is to press again.
  await keepStroke(page, 'Record seat', '30');
  await shows(page, /Stop/u);
  await button(page, 'Press again').click();
  await gauge(page, [['41.5', '14']]);
  await recordStroke(page, 'Record seat', '41.6');
  await button(page, 'Part of the groove is hidden').click();
  await shows(page, /Stop.*press again until the groove is clear/u);
  await button(page, 'Groove is clear all round').click();
  await button(page, 'Snapped in, gap down').click();
  await button(page, 'Shield is on').click();
  await gauge(page, [
    ['20', '4'],
    ['44', '7'],
  ]);
  // The whole journal goes through: 7 mm of it come out below the ring.
  await recordStroke(page, 'Record seat', '44.0');
  await button(page, 'Turns smoothly').click();
  await button(page, 'No gap').click();
  await button(page, 'To Torque').click();

  await at(page, 'torque');
  await doneSteps(page);
  const reading = page.getByLabel(/^Reading, stage/u);
  const stage = async (typed: string, n: number) => {
    await reading.fill(typed);
    await button(page, /^Record/u).click();
    await page.locator('.stages li.now', { hasText: new RegExp(`^${n}`, 'u') }).waitFor();
  };
  await reading.fill('80');
  await button(page, 'Record 80 N·m').click();
  await shows(page, /Check.*Below the window/u);
  await stage('89 lbft', 2);
  await stage('180', 3);
  await stage('5', 4);
  await stage('70', 5);
  await stage('60', 6);
  await button(page, 'Locked, seen').click();
  await button(page, 'To Prove').click();

  await at(page, 'prove');
  await settleChecks(page);
  await page.getByLabel(/Distance on the clock/u).fill('54 900 mi');
  await button(page, 'Sign off').click();
  const pin = page.getByRole('dialog').getByLabel(/^PIN of/u);
  await pin.fill('1111');
  await button(page, 'Sign as Rafe').click();
  await page
    .getByText(/not the PIN|Wrong PIN/u)
    .first()
    .waitFor();
  await pin.fill('1470');
  await button(page, 'Sign as Rafe').click();
  await at(page, 'card');
  await shows(page, /entries match their seals/u);

  const card = await (await page.request.get(`${shopUrl}/api/jobs/${id}/card.json`)).json();
  expect(card).toMatchObject({
    format: 'true-spindle/job-card',
    corner: { id: 'LF' },
    signed: { who: 'Rafe' },
    seal: { verified: true },
    encoder: { side: 'inboard' },
    unit: { odometerKm: 88353 },
  });
  expect(
    card.strokes.map((s: { operation: string; status: string }) => `${s.operation} ${s.status}`),
  ).toEqual(['hub-out good', 'bearing-out good', 'bearing-in good', 'hub-in good']);
  expect(card.strokes[2].path).not.toContain('balls');
  expect(card.turnedBack.map((l: { what: string }) => l.what)).toEqual([
    'knuckle',
    'Press out reopened',
    'Press bearing into knuckle, made again',
    'Snap-ring groove fully clear',
  ]);
  expect(
    card.torque.readings.map((r: { actual: number | null }) => r.actual && Math.round(r.actual)),
  ).toEqual([80, 121, 180, 5, 70, 60, null]);
  expect(card.oldPart[0]).toMatchObject({ what: 'Outer diameter', value: '76.00', limit: '76.00' });
  const csv = await (await page.request.get(`${shopUrl}/api/jobs/${id}/card.csv`)).text();
  expect(csv).toContain('stroke,Press bearing into knuckle,"14 kN, 41.6 mm"');
  await go(page, '/archive');
  await page.getByLabel(/^Unit, part/u).fill('07 N4076');
  await page.locator('.archive-jobs li', { hasText: 'Signed' }).waitFor();
  await page.getByLabel(/^Unit, part/u).fill('07 N4076 nowhere');
  await page.getByText('No job holds that.').waitFor();
  expect(complaints).toEqual([]);
});
