/** Takes the pictures of docs/screenshots from the demo data. Needs a running demo; address as the first argument. */
import { readFileSync } from 'node:fs';
import { setTimeout } from 'node:timers/promises';
import { chromium } from 'playwright-core';
import { v7 as uuid } from 'uuid';

const url = process.argv[2] ?? 'http://127.0.0.1:4321';
const rows = (
  (await (await fetch(`${url}/api/floor`)).json()) as { rows: { id: string; fleetNo: string }[] }
).rows;
const job = (fleetNo: string) => `/jobs/${rows.find((r) => r.fleetNo === fleetNo)!.id}`;

async function send(
  method: string,
  path: string,
  body: object,
  headers: Record<string, string> = {},
): Promise<void> {
  const r = await fetch(url + path, {
    method,
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json', ...headers },
  });
  if (!r.ok) throw new Error(`${path}: ${await r.text()}`);
}

/** A unit that rolls in with nothing on record, at its first stroke; its part is one of the demo's. */
async function rollIn(): Promise<string> {
  const known = rows.find((r) => r.fleetNo === 'SP-40');
  if (known) return `/jobs/${known.id}`;
  const id = uuid();
  const byId = 'ines';
  const say = (type: string, body: object) =>
    send('POST', `/api/jobs/${id}/events`, { id: uuid(), type, body, byId });
  const choose = (key: string, value: object) =>
    send('PUT', `/api/jobs/${id}/choices/${key}`, { id: uuid(), version: 0, value, byId });
  const unit = { fleetNo: 'SP-40', layout: 'front', odometerKm: 74_300, name: 'Estate' };
  await send('POST', '/api/units', { byId, ...unit });
  await send('POST', '/api/jobs', { id, unitId: 'unit-sp-40', corner: 'LF', byId });
  await say('complaint-recorded', { corner: 'LF', lamps: ['none'], history: [], sound: 'roar' });
  await say('station-done', { station: 'complaint' });
  await say('diagnosis-accepted', { suspectId: 'bearing-LF', probability: 0.9 });
  await say('station-done', { station: 'diagnose' });
  await say('family-named', { code: 'P1', probability: 0.95, answers: {} });
  await choose('match', { partNumber: 'N3972-44' });
  for (const item of ['axle-nut', 'bearing', 'snap-ring', 'pinch-bolts', 'split-pin', 'seat-oil'])
    await say('item-marked', { itemId: item, state: 'in-hand' });
  await say('station-done', { station: 'match' });
  await choose('plan', { route: 'bench', chill: false, soak: true });
  await say('station-done', { station: 'plan' });
  for (const [path, value] of [
    ['knuckle.snapRingSide', 'outboard'],
    ['hub.journalLengthMm', 42.5],
    ['knuckle.bossDepthMm', 47.5],
  ] as const)
    await say('figure-read', { path, value });
  return `/jobs/${id}`;
}

/** A copy of a demo unit whose procedure is on no record, its job as far as the nut. */
async function atTheNut(): Promise<string> {
  const { units } = JSON.parse(readFileSync('demo-data/workshop.json', 'utf8')) as {
    units: { id: string; corners: Record<string, { procedureId?: string }> }[];
  };
  const { jobs } = JSON.parse(readFileSync('demo-data/jobs.json', 'utf8')) as {
    jobs: {
      unitId: string;
      corner: string;
      byId: string;
      choices: { key: string; value: object }[];
      events: { type: string; body: object; byId: string }[];
    }[];
  };
  const job = jobs.find((j) => j.unitId === 'unit-33')!;
  const unit = structuredClone(units.find((u) => u.id === job.unitId)!);
  delete unit.corners[job.corner]?.procedureId;
  const copy = { ...unit, id: 'unit-sp-41', fleetNo: 'SP-41' };
  const workshop = { format: 'true-spindle/workshop', version: 1, units: [copy] };
  await send('POST', '/api/import', workshop, { 'x-lead-id': 'ines', 'x-lead-pin': '2580' });
  const id = uuid();
  const { byId, corner } = job;
  await send('POST', '/api/jobs', { id, unitId: copy.id, corner, byId });
  for (const { key, value } of job.choices)
    await send('PUT', `/api/jobs/${id}/choices/${key}`, { id: uuid(), version: 0, value, byId });
  const entries = job.events.filter((e) => e.type !== 'stage-recorded');
  for (const [i, { type, body, byId: by }] of entries.entries()) {
    // The same reading twice within a moment counts as a double tap.
    if (JSON.stringify(entries[i - 1]?.body) === JSON.stringify(body)) await setTimeout(1500);
    await send('POST', `/api/jobs/${id}/events`, { id: uuid(), type, body, byId: by });
  }
  return `/jobs/${id}`;
}

/** Unit 33 with its base torque pulled: the angle is next. */
async function atTheAngle(): Promise<string> {
  const path = job('33');
  const { ctx, state } = (await (await fetch(`${url}/api${path}`)).json()) as {
    ctx: { procedure: { stages: { id: string }[] } };
    state: { stages: unknown[] };
  };
  const stageId = ctx.procedure.stages[3]?.id;
  const body = { stageId, actual: 91, typed: '91', toolId: 'click-200' };
  if (state.stages.length === 3)
    await send('POST', `/api${path}/events`, {
      id: uuid(),
      type: 'stage-recorded',
      body,
      byId: 'ines',
    });
  return `${path}/torque`;
}

let rolledIn: Promise<string> | undefined;
const unknownCorner = (): Promise<string> => (rolledIn ??= rollIn());

interface Shot {
  name: string;
  path: string | (() => Promise<string>);
  press?: string;
  then?: string;
  size?: [number, number];
  night?: boolean;
  hear?: boolean;
  read?: boolean;
  /** A pull with the stand-in wrench, and how. */
  pull?: string;
  /** Stages typed from a made-up page: kind and figure. */
  type?: readonly (readonly [string, string])[];
  /** What has to be computed or drawn before the picture is taken. */
  waitMs?: number;
}
const shots: Shot[] = [
  { name: 'floor', path: '/' },
  { name: 'diagnose', path: `${job('04')}/diagnose` },
  { name: 'ear', path: `${job('04')}/diagnose`, press: 'Ear', hear: true, waitMs: 900 },
  { name: 'wheel-speed', path: `${job('04')}/diagnose`, press: 'Wheel speed', read: true },
  { name: 'family', path: `${job('30')}/match`, press: 'Family', then: 'Look again' },
  { name: 'measure', path: `${job('30')}/match`, press: 'Measure' },
  { name: 'plan', path: `${job('21')}/plan` },
  { name: 'seat', path: `${job('07')}/press-in`, press: 'Seats', waitMs: 1500 },
  { name: 'press', path: `${job('07')}/press-in`, press: 'Bearing' },
  { name: 'press-night', path: `${job('19')}/press-in`, press: 'Bearing', night: true },
  { name: 'press-portrait', path: `${job('15')}/press-in`, press: 'Cartridge', size: [820, 1180] },
  { name: 'torque', path: atTheAngle, pull: 'in several pulls' },
  { name: 'prove', path: `${job('26')}/prove` },
  { name: 'card', path: `${job('26')}/card` },
  { name: 'kit', path: '/kit' },
  { name: 'shop', path: '/shop' },
  { name: 'unit', path: '/units/unit-07' },
  {
    name: 'figures',
    path: async () => `${await unknownCorner()}/press-out`,
    press: 'Hub',
    waitMs: 900,
  },
  {
    name: 'procedure',
    path: async () => `${await atTheNut()}/torque`,
    press: 'Axle nut',
    type: [
      ['torque', '70'],
      ['turn hub', '5'],
      ['angle', '60'],
      ['lock', ''],
    ],
  },
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
  const path = typeof s.path === 'string' ? s.path : await s.path();
  await page.goto(url + path, { waitUntil: 'networkidle' });
  await page.locator('astro-island[ssr]').first().waitFor({ state: 'detached' });
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
  if (s.pull) {
    await page.getByLabel(/^Tool/u).selectOption('digital-340');
    await page.getByLabel('Stand-in wrench').selectOption({ label: s.pull });
    await page.getByRole('button', { name: 'Pull', exact: true }).click();
    await page.locator('.btn.release').waitFor();
    await page.locator('.btn.release').waitFor({ state: 'detached' });
  }
  for (const [i, [kind, figure]] of (s.type ?? []).entries()) {
    if (i > 0) await page.getByRole('button', { name: kind, exact: true }).click();
    if (figure) await page.getByLabel(`Figure, stage ${i + 1}`).fill(figure);
  }
  if (s.type) await page.locator('.stage-pick').nth(2).click();
  await page.waitForTimeout(s.waitMs ?? 400);
  await page.screenshot({ path: `docs/screenshots/${s.name}.png` });
  await context.close();
}
await browser.close();
