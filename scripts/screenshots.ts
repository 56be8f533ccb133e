/** Takes the pictures of docs/screenshots from the demo data. Needs a running demo; address as the first argument. */
import { launch } from '../tests/browser/chromium.ts';
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

/** The old bearing of unit 07, dented all round and flaked in its load zone. */
async function readOld(): Promise<string> {
  const path = job('07');
  const on = { on: 'outer', row: 'outboard' };
  const marks = [
    { ...on, look: 'dents', severity: 2, round: true, gapDeg: 30 },
    { ...on, look: 'spall-below', severity: 3, atDeg: 12 },
    { on: 'inner', row: 'outboard', look: 'dents', severity: 2, round: true, gapDeg: 30 },
  ];
  const body = { marks, cause: 'through-balls' };
  await send('POST', `/api${path}/events`, {
    id: uuid(),
    type: 'raceways-read',
    body,
    byId: 'rafe',
  });
  return `${path}/raceways`;
}

/** The hub of the full-floating axle with its end play read, the lock between two marks. */
async function atThePlay(): Promise<string> {
  const path = job('35');
  const readings = [
    [0, 0.06],
    [0.001, 0.063],
    [0, 0.058],
  ];
  const body = { readings, pastDeg: 4.8, instrumentId: 'dial' };
  await send('POST', `/api${path}/events`, { id: uuid(), type: 'play-read', body, byId: 'rafe' });
  return `${path}/torque`;
}

/** The second exercise of a fresh learner: a stack to lay from the shop's own kit. */
async function atTheStack(): Promise<string> {
  const learner = `${url}/api/practice/rafe`;
  const { open, set } = (await (await fetch(learner)).json()) as {
    open: { kind: string; seed: number };
    set: { options?: { id: string }[] };
  };
  const first = set.options?.[0];
  if (open.kind !== 'lay' && first)
    await send('POST', '/api/practice/rafe/answers', { seed: open.seed, answer: first.id });
  return '/practice';
}

let rolledIn: Promise<string> | undefined;
const unknownCorner = (): Promise<string> => (rolledIn ??= rollIn());

interface Shot {
  name: string;
  path: string | (() => Promise<string>);
  press?: string;
  size?: [number, number];
  /** A pull with the stand-in wrench, and how. */
  pull?: string;
  /** What has to be computed or drawn before the picture is taken. */
  waitMs?: number;
}
const shots: Shot[] = [
  { name: 'floor', path: '/' },
  { name: 'diagnose', path: `${job('04')}/diagnose` },
  { name: 'bolt-on', path: `${job('28')}/press-out`, press: 'Unit' },
  { name: 'plan', path: `${job('21')}/plan` },
  { name: 'seat', path: `${job('07')}/press-in`, press: 'Seats', waitMs: 1500 },
  { name: 'press', path: `${job('07')}/press-in`, press: 'Bearing' },
  { name: 'press-portrait', path: `${job('15')}/press-in`, press: 'Cartridge', size: [820, 1180] },
  { name: 'torque', path: atTheAngle, pull: 'in several pulls' },
  { name: 'prove', path: `${job('26')}/prove` },
  {
    name: 'scratch',
    path: '/scratch?c=castle&slots=6&holes=2&past=20&holds=clamp&pitch=1.5',
  },
  { name: 'verify', path: '/verify' },
  { name: 'card', path: `${job('26')}/card` },
  { name: 'kit', path: '/kit' },
  { name: 'old-part', path: readOld, waitMs: 600 },
  { name: 'logbook', path: '/logbook?q=school&family=A3&by=school-feed' },
  { name: 'practice', path: atTheStack, waitMs: 1500 },
  { name: 'adjust', path: atThePlay, press: 'Adjust' },
  { name: 'quote', path: `${job('21')}/quote`, waitMs: 900 },
  {
    name: 'figures',
    path: async () => `${await unknownCorner()}/press-out`,
    press: 'Hub',
    waitMs: 900,
  },
];

const browser = await launch();
for (const s of shots) {
  const context = await browser.newContext({
    viewport: { width: s.size?.[0] ?? 1280, height: s.size?.[1] ?? 800 },
  });
  await context.addCookies([
    { name: 'ts-theme', value: 'day', url },
    { name: 'ts-who', value: 'rafe', url },
  ]);
  const page = await context.newPage();
  const path = typeof s.path === 'string' ? s.path : await s.path();
  await page.goto(url + path, { waitUntil: 'networkidle' });
  await page.locator('astro-island[ssr]').first().waitFor({ state: 'detached' });
  if (s.press) await page.locator('.ops button', { hasText: s.press }).click();
  if (s.pull) {
    await page.getByLabel(/^Tool/u).selectOption('digital-340');
    await page.getByLabel('Stand-in wrench').selectOption({ label: s.pull });
    await page.getByRole('button', { name: 'Pull', exact: true }).click();
    await page.locator('.btn.release').waitFor();
    await page.locator('.btn.release').waitFor({ state: 'detached' });
  }
  await page.waitForTimeout(s.waitMs ?? 400);
  await page.screenshot({ path: `docs/screenshots/${s.name}.png` });
  await context.close();
}
await browser.close();
