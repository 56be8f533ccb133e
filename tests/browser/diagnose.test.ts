import type { Browser, Page } from 'playwright-core';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { encodeWav } from '../../src/core/noise/index.ts';
import { record } from '../../src/core/standins/microphone.ts';
import { button, go, launch, openTest, tablet, shopUrl } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

/** A job on unit 07 with its complaint recorded, open at Diagnose. */
async function jobAtDiagnose(page: Page): Promise<string> {
  const id = uuid();
  const post = (path: string, data: object) => page.request.post(`${shopUrl}${path}`, { data });
  await post('/api/jobs', { id, unitId: 'unit-07', corner: 'RF', byId: 'rafe' });
  await post(`/api/jobs/${id}/events`, {
    id: uuid(),
    type: 'complaint-recorded',
    body: { corner: 'RF', sound: 'roar', bend: 'left', lamps: ['none'], history: [] },
    byId: 'rafe',
  });
  await post(`/api/jobs/${id}/events`, {
    id: uuid(),
    type: 'station-done',
    body: { station: 'complaint' },
    byId: 'rafe',
  });
  await go(page, `/jobs/${id}/diagnose`);
  return id;
}
const leader = async (page: Page) =>
  Number(await page.locator('svg.suspect-bar text.percent.top').textContent());

it('decides a case with three tests', async () => {
  const { page } = await tablet(browser);
  await jobAtDiagnose(page);
  await openTest(page, /coil spring: RF/u, 'Hand on the spring', 'RF');
  await button(page, /^Gritty/u).click();
  await page.locator('.heard', { hasText: 'gritty' }).waitFor();
  await openTest(page, /Level meter.*front/u, 'Level at the knuckles', 'front');
  await page.getByLabel(/Left, level/u).fill('50');
  await page.getByLabel(/Right, level/u).fill('61');
  await button(page, 'Record both').click();
  await page.locator('.heard', { hasText: 'left −11 dB' }).waitFor();
  await openTest(page, /Rock the wheel.*RF/u, 'Rock the wheel', 'RF');
  await button(page, /^Alike both ways/u).click();
  await page.locator('.call.is-good').waitFor();
  expect(await page.locator('h1').textContent()).toContain('Right front wheel bearing');
  expect(await leader(page)).toBeGreaterThanOrEqual(90);
});

it('says of a contradictory case which two results cannot both be right', async () => {
  const { page } = await tablet(browser);
  const id = await jobAtDiagnose(page);
  for (const body of [
    { testId: 'spring', place: 'RF', result: 'gritty' },
    { testId: 'swap', place: 'car', result: 'moves' },
    { testId: 'nuts', place: 'LF', result: 'loose' },
  ]) {
    await page.request.post(`${shopUrl}/api/jobs/${id}/events`, {
      data: { id: uuid(), type: 'test-recorded', body, byId: 'rafe' },
    });
  }
  await page.reload();
  await page
    .locator('.caution', { hasText: /cannot both be right: repeat/u })
    .first()
    .waitFor();
});

it('takes a WAV from file to finding to a changed probability, and can be stopped in the middle', async () => {
  const { page, complaints } = await tablet(browser);
  await jobAtDiagnose(page);
  const before = await leader(page);
  const { bearing } = (
    (await (await page.request.get(`${shopUrl}/api/records/parts`)).json()) as {
      number: string;
      bearing: { balls: number; ballMm: number; pitchMm: number; contactAngleDeg: number };
    }[]
  ).find((p) => p.number === 'N4076-48')!;
  const make = (seconds: number, sampleRate: number) =>
    Buffer.from(
      encodeWav(
        record({
          fault: 'outer-ring',
          bearing: {
            balls: bearing.balls,
            ballMm: bearing.ballMm,
            pitchMm: bearing.pitchMm,
            angleDeg: bearing.contactAngleDeg,
            rotating: 'inner',
          },
          speeds: [{ atS: 0, kmh: 80 }],
          circumferenceMm: 1935,
          axleRatio: 3.9,
          seconds,
          sampleRate,
          faultDb: -3,
          ringHz: 3000,
          decay: 900,
          slip: 0.01,
          seed: 8,
        }),
      ),
    );
  await button(page, /Ear$/u).click();
  const file = page.locator('input[type=file]');
  // Without a speed nothing can be laid on turns of the wheel; what is not WAV is refused in a sentence.
  await file.setInputFiles({ name: 'drive.wav', mimeType: 'audio/wav', buffer: make(6, 16_000) });
  await page.locator('.call', { hasText: /Speed: Nothing typed/u }).waitFor();
  await page.getByLabel(/^Speed, from/u).fill('50 mph');
  await file.setInputFiles({
    name: 'notes.wav',
    mimeType: 'audio/wav',
    buffer: Buffer.from('not a recording at all'),
  });
  await page.locator('.call', { hasText: /not a WAV file/u }).waitFor();
  await page.getByLabel(/^Speed, from/u).fill('80');
  await file.setInputFiles(
    { name: 'long.wav', mimeType: 'audio/wav', buffer: make(240, 48_000) },
    { timeout: 40_000 },
  );
  await button(page, 'Cancel').click();
  await page.locator('.call', { hasText: 'No recording yet' }).waitFor();
  await file.setInputFiles({ name: 'drive.wav', mimeType: 'audio/wav', buffer: make(8, 16_000) });
  await page.locator('.call', { hasText: /Outer ring: order/u }).waitFor();
  await page.locator('.order-chart canvas').first().waitFor();
  await button(page, 'Use as evidence').click();
  await page.locator('.heard', { hasText: 'Recording: bearing orders' }).waitFor();
  expect(await leader(page)).toBeGreaterThan(before);
  expect(complaints).toEqual([]);
});

it('finds a wheel-speed fault from the reader, and it becomes evidence at its corner', async () => {
  const { page, complaints } = await tablet(browser);
  await jobAtDiagnose(page);
  await button(page, /Wheel speed$/u).click();
  await page.getByLabel(/^Speed, from/u).fill('0');
  await button(page, 'Take a reading').click();
  await page.locator('.call.is-stop', { hasText: 'no wheel turns' }).waitFor();
  await page.getByLabel(/^Speed, from/u).fill('60');
  await page.getByRole('radio', { name: 'active' }).click();
  await page.getByRole('radio', { name: 'wide gap' }).click();
  await page.getByRole('radio', { name: 'LR' }).click();
  await button(page, 'Take a reading').click();
  await page.locator('.call', { hasText: 'Left rear: weak' }).waitFor();
  expect(await page.locator('.wheel-sig .wheel-word').allTextContents()).toEqual([
    'Agrees',
    'Agrees',
    'Weak',
    'Agrees',
  ]);
  await button(page, 'Use as evidence').click();
  await page.locator('.heard', { hasText: 'Wheel-speed signal LR: drops out' }).waitFor();
  expect(complaints).toEqual([]);
});

it('lets a lead change what a test tells, and the judgement follows', async () => {
  const { page } = await tablet(browser, 'ines');
  const id = await jobAtDiagnose(page);
  await page.request.post(`${shopUrl}/api/jobs/${id}/events`, {
    data: {
      id: uuid(),
      type: 'test-recorded',
      body: { testId: 'spring', place: 'RF', result: 'rough' },
      byId: 'rafe',
    },
  });
  await page.reload();
  const before = await leader(page);
  await go(page, '/tables');
  await page.locator('svg.tables .suspect').first().click();
  for (const [name, value] of [
    ['Smooth', '70'],
    ['Rough', '20'],
    ['Gritty', '20'],
  ])
    await page.getByRole('textbox', { name: new RegExp(`^${name}`, 'u') }).fill(value!);
  await page.getByText('The results sum to 110 %, not 100 %.').waitFor();
  await page.getByRole('textbox', { name: /^Gritty/u }).fill('10');
  await page.getByLabel('Why').fill('Ours are felt smooth for long');
  await page.getByLabel('PIN of Ines').fill('2580');
  await button(page, /^Keep as version/u).click();
  await page.locator('.call.is-good').waitFor();
  await go(page, `/jobs/${id}/diagnose`);
  expect(await leader(page)).toBeLessThan(before);
  await go(page, '/tables');
  await page.getByLabel('Why').fill('Back');
  await page.getByLabel('PIN of Ines').fill('2580');
  await button(page, /0, as written/u).click();
  await page.locator('.call.is-good', { hasText: 'stands' }).waitFor();
});
