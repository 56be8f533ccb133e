import { gzipSync } from 'node:zlib';
import type { Page } from 'playwright-core';
import { launch } from '../../tests/browser/chromium.ts';
import { minuteHeard } from './heard.ts';
import { atLeast, hold, median } from './hold.ts';

/** Taps a piece of the drawer and waits until its row and verdict are painted; milliseconds. As text: it runs in the page. */
const tap = (label: string) => `new Promise((resolve) => {
  const target = [...document.querySelectorAll('dialog .drawer button')].find((b) => b.getAttribute('aria-label').startsWith('${label}'));
  const t = performance.now();
  target.click();
  const look = () => document.querySelectorAll('.stack .from-kit')[1].textContent.includes('${label}')
    ? requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - t)))
    : requestAnimationFrame(look);
  look();
})`;

/** What a screen costs on the built server: weight of its scripts, a tap, frames drawn while something runs. */
export async function screens(url: string): Promise<void> {
  const browser = await launch();
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const floor = (await (await fetch(`${url}/api/floor`)).json()) as {
      rows: { id: string; fleetNo: string }[];
    };
    const job = (fleetNo: string) =>
      `${url}/jobs/${floor.rows.find((r) => r.fleetNo === fleetNo)?.id}`;
    await weight(page, `${job('07')}/press-in`);
    await taps(page);
    await whilePumped(page, `${job('07')}/press-in`);
    await whileHeard(page, `${job('04')}/diagnose`);
  } finally {
    await browser.close();
  }
}

async function opened(page: Page, address: string): Promise<void> {
  await page.goto(address, { waitUntil: 'networkidle' });
  await page.locator('astro-island[ssr]').first().waitFor({ state: 'detached' });
}

async function weight(page: Page, address: string): Promise<void> {
  const scripts: Promise<number>[] = [];
  page.on('response', (r) => {
    if (r.request().resourceType() === 'script')
      scripts.push(r.body().then((b) => gzipSync(b).length));
  });
  await opened(page, address);
  hold(
    'JavaScript of the Press page, gzip',
    (await Promise.all(scripts)).reduce((a, b) => a + b, 0) / 1000,
    250,
    'kB',
    `${scripts.length} files`,
  );
}

async function taps(page: Page): Promise<void> {
  const took: number[] = [];
  for (let i = 0; i < 40; i++) {
    await page.locator('.stack .from-kit').nth(1).click();
    // The drawer comes with the tap that opens it.
    await page.locator('dialog .drawer button').first().waitFor();
    const name = i % 2 === 0 ? 'Sleeve 44' : 'Pusher ring 75';
    took.push(await page.evaluate<number>(tap(name)));
    await page.waitForTimeout(120);
  }
  const sorted = [...took].sort((a, b) => a - b);
  hold(
    'tap to painted verdict with the whole kit, 95th of 40',
    sorted[37] ?? Infinity,
    50,
    'ms',
    `median ${median(took).toFixed(0)} ms, slowest ${Math.max(...took).toFixed(0)} ms`,
  );
}

/** Frames drawn while a gauge is read 60 times a second. */
async function whilePumped(page: Page, address: string): Promise<void> {
  await opened(page, address);
  await page.getByRole('button', { name: /^3\s*Bearing/u }).click();
  // The taps above left a stack that is Stop.
  await page.getByRole('button', { name: /^Use the best stack/u }).click();
  await page.getByRole('button', { name: /^Pump/u }).click();
  await page.locator('.btn.release').waitFor();
  const drawn = await page.evaluate<number>(
    `new Promise((resolve) => { let n = 0; const t0 = performance.now(); const look = () => { n += 1; const t = performance.now() - t0; if (t > 6000) resolve((1000 * n) / t); else requestAnimationFrame(look); }; requestAnimationFrame(look); })`,
  );
  await page.locator('.btn.release').click();
  atLeast('interface while the gauge is read', drawn, 50, 'frames/s');
}

/** Frames drawn while the worker hears a minute of sound. */
async function whileHeard(page: Page, address: string): Promise<void> {
  const { minute, wav } = minuteHeard();
  await opened(page, address);
  await page.getByRole('button', { name: /Ear$/u }).click();
  await page.getByLabel(/^Speed, from/u).fill(String(minute.speeds[0]!.kmh.toFixed(1)));
  const frames = page.evaluate<number>(`new Promise((resolve) => {
    let n = 0; let t0 = 0;
    const look = (t) => {
      const busy = document.querySelector('[role=progressbar]');
      if (busy && !t0) t0 = t;
      if (t0 && !busy) return resolve((1000 * n) / (t - t0));
      if (t0) n += 1;
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  })`);
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'minute.wav', mimeType: 'audio/wav', buffer: Buffer.from(wav) });
  atLeast('interface while the ear works', await frames, 50, 'frames/s');
}
