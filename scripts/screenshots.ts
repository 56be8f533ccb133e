/** Takes the pictures of docs/screenshots from the demo data. Needs a running demo; address as the first argument. */
import { chromium } from 'playwright-core';

const url = process.argv[2] ?? 'http://127.0.0.1:4321';
const rows = (
  (await (await fetch(`${url}/api/floor`)).json()) as { rows: { id: string; fleetNo: string }[] }
).rows;
const job = (fleetNo: string) => `/jobs/${rows.find((r) => r.fleetNo === fleetNo)!.id}`;

interface Shot {
  name: string;
  path: string;
  press?: string;
  then?: string;
  size?: [number, number];
  night?: boolean;
  hear?: boolean;
  read?: boolean;
  /** What has to be computed or drawn before the picture is taken. */
  waitMs?: number;
}
const shots: Shot[] = [
  { name: 'floor', path: '/' },
  { name: 'complaint', path: `${job('04')}/complaint` },
  { name: 'diagnose', path: `${job('04')}/diagnose` },
  { name: 'ear', path: `${job('04')}/diagnose`, press: 'Ear', hear: true, waitMs: 900 },
  { name: 'wheel-speed', path: `${job('04')}/diagnose`, press: 'Wheel speed', read: true },
  { name: 'family', path: `${job('30')}/match`, press: 'Family', then: 'Look again' },
  { name: 'measure', path: `${job('30')}/match`, press: 'Measure' },
  { name: 'compare', path: `${job('30')}/match`, press: 'Part' },
  { name: 'match', path: `${job('21')}/match`, press: 'On the bench' },
  { name: 'plan', path: `${job('21')}/plan` },
  { name: 'seat', path: `${job('07')}/press-in`, press: 'Seats', waitMs: 1500 },
  { name: 'press', path: `${job('07')}/press-in`, press: 'Bearing' },
  { name: 'press-night', path: `${job('19')}/press-in`, press: 'Bearing', night: true },
  { name: 'press-portrait', path: `${job('15')}/press-in`, press: 'Cartridge', size: [820, 1180] },
  { name: 'torque', path: `${job('33')}/torque` },
  { name: 'prove', path: `${job('26')}/prove` },
  { name: 'card', path: `${job('26')}/card` },
  { name: 'kit', path: '/kit' },
  { name: 'rules', path: '/rules' },
];

const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
for (const s of shots) {
  const context = await browser.newContext({
    viewport: { width: s.size?.[0] ?? 1280, height: s.size?.[1] ?? 800 },
  });
  await context.addCookies([{ name: 'ts-theme', value: s.night ? 'night' : 'day', url }]);
  const page = await context.newPage();
  await page.goto(url + s.path, { waitUntil: 'networkidle' });
  await page.waitForFunction('!document.querySelector("astro-island[ssr]")');
  if (s.press) await page.locator('.ops button', { hasText: s.press }).click();
  if (s.then) await page.getByRole('button', { name: s.then }).click();
  if (s.hear) {
    await page.getByLabel(/^Speed, from/u).fill('80');
    await page.getByRole('button', { name: 'Hear a made-up drive' }).click();
    await page.locator('.order-chart canvas').nth(1).waitFor();
  }
  if (s.read) {
    await page.getByLabel(/^Speed, from/u).fill('60');
    for (const name of ['active', 'tooth missing', 'RF'])
      await page.getByRole('radio', { name }).click();
    await page.getByRole('button', { name: 'Take a reading' }).click();
    await page.locator('.wheel-sig').first().waitFor();
  }
  await page.waitForTimeout(s.waitMs ?? 400);
  await page.screenshot({ path: `docs/screenshots/${s.name}.png` });
  await context.close();
}
await browser.close();
