import sharp from 'sharp';
import { expect, it } from 'vitest';
import {
  exercise,
  type Exercise,
  type ExerciseKind,
  kindTitles,
  layGiven,
  practiceSetup,
} from '../../src/core/practice/index.ts';
import { roles, solve } from '../../src/core/press/index.ts';
import { answersOf } from '../learned.ts';
import { button, hydrated } from './browser.ts';
import { jobWhere } from './finish.ts';
import { ownServer } from './own-server.ts';

const shop = ownServer();

it('reads an old part with a photo: what is seen, what it speaks for, and both on the card', async () => {
  const { page, open } = shop;
  const id = await jobWhere(shop, (r) => r.fleetNo === '07');
  await open(`/jobs/${id}/raceways`);
  await page.getByText('Choose what you see').waitFor();
  await page.getByLabel('all round').check();
  const row = page.locator('.tap-row').first();
  await row.click({ position: { x: 60, y: 12 } });
  await page.locator('.call', { hasText: 'loaded through the balls' }).waitFor();
  // The rival of a look is one tap away, and speaks for something else.
  await page.getByRole('button', { name: 'Take away' }).click();
  await button(page, 'No, the other').click();
  await row.click({ position: { x: 60, y: 12 } });
  await page.locator('.call', { hasText: 'shaken while standing' }).waitFor();
  // Half-done it survives a reload.
  await page.reload();
  await hydrated(page);
  await page.locator('.call', { hasText: 'shaken while standing' }).waitFor();
  const photo = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#654' } })
    .jpeg()
    .toBuffer();
  const input = page.locator('.photo-box input[type=file]');
  await input.setInputFiles({ name: 'no.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no') });
  await page.getByText(/This is no photo/u).waitFor();
  await input.setInputFiles({ name: 'ring.jpg', mimeType: 'image/jpeg', buffer: photo });
  const shown = page.locator('.photos img');
  await shown.waitFor();
  await expect.poll(() => shown.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(90);
  await button(page, 'Record reading').click();
  await page.locator('.call', { hasText: 'Read and recorded' }).waitFor();
  await open(`/jobs/${id}/card`);
  await page.getByText('shaken while standing').waitFor();
  expect(await page.locator('.card-photos img').count()).toBe(1);
}, 120_000);

it('answers a question of the shop with its picture, how sure, and the lives behind it', async () => {
  const { page, open } = shop;
  await open('/logbook');
  await page.getByRole('link', { name: 'Schools' }).click();
  await page.waitForURL(/q=school/u);
  await hydrated(page);
  await page.getByLabel('Kind of bearing').selectOption('A3');
  await page.waitForURL(/family=A3/u);
  await hydrated(page);
  await page
    .getByRole('combobox', { name: 'By' })
    .selectOption({ label: 'what feeds the bearing' });
  await page.waitForURL(/by=school-feed/u);
  await hydrated(page);
  await page.getByRole('heading', { name: 'Likely a real difference' }).waitFor();
  expect(await page.locator('svg.survival').getAttribute('aria-label')).toMatch(/of 30 failed/u);
  await page.getByRole('button', { name: /^Open the 56/u }).click();
  expect(await page.locator('.behind tbody tr').count()).toBe(56);
  await page.goBack();
  await page.waitForURL(/family=A3/u);
}, 60_000);

it('practises: a wrong answer shows what would have happened, and the exercise stays open until it is answered', async () => {
  const { page, open } = shop;
  await open('/practice');
  const ask = page.locator('.practice .ask');
  const set = await ask.innerText();
  await page.reload();
  await hydrated(page);
  await ask.waitFor();
  expect(await ask.innerText()).toBe(set);
  await page.locator('.answers button').first().click();
  await page.getByRole('heading', { name: 'On the car' }).waitFor();
  const [right, given] = await Promise.all([
    page.locator('.answers .is-right').count(),
    page.locator('.answers .is-given').count(),
  ]);
  expect([right, given <= 1]).toEqual([1, true]);
  await button(page, 'Next').click();
  await page.getByText(/^1 of 20 today/u).waitFor();
}, 60_000);

interface OpenNow {
  open: { kind: ExerciseKind; seed: number; level: number };
  set: Pick<Exercise, 'picture' | 'options'>;
}
/** What somebody has open, as the page is told it. */
const openNow = async (api: string) => (await (await shop.page.request.get(api)).json()) as OpenNow;

/** Something wrong that an exercise takes as an answer. */
function anyAnswer({ picture, options }: OpenNow['set']): string {
  if (picture.of === 'ram') return '0';
  if (picture.of === 'nut') return 'gun';
  return picture.of === 'lay' ? layGiven(picture.left) : options![0]!.id;
}

/** Comes to a kind, by any answer of those before it, and shows it to who learns. */
async function openKind(kind: ExerciseKind, who = 'Tobi'): Promise<OpenNow> {
  const { page, open } = shop;
  const api = `${shop.url}/api/practice/${who.toLowerCase()}`;
  await open('/practice');
  let now = await openNow(api);
  for (let i = 0; i < 20 && now.open.kind !== kind; i += 1) {
    const data = { seed: now.open.seed, answer: anyAnswer(now.set) };
    await page.request.post(`${api}/answers`, { data });
    now = await openNow(api);
  }
  // Theirs comes with the page, or once they are on the job: whoever was before may have the same kind open.
  const come = page.waitForResponse((r) => r.url() === api);
  await open('/practice');
  await page.getByLabel('On the job').selectOption({ label: who });
  await come;
  await page.locator('.kicker', { hasText: kindTitles[kind] }).waitFor();
  return now;
}
const calledSeen = () => shop.page.locator('.call', { hasText: 'Seen.' }).waitFor();

it('a stack is laid of the shop’s own pieces without a word, then pressed and judged', async () => {
  const { page } = shop;
  const { set } = await openKind('lay');
  if (set.picture.of !== 'lay') throw new Error('nothing to lay');
  const { drawer, work } = set.picture.bench;
  const { stack } = solve(drawer, practiceSetup(work), 1).solutions[0]!;
  await page.locator('.hand-drawer button').first().waitFor();
  // Neither the way of the force nor a mark is drawn yet.
  const told = page.locator('.practice-fig').locator('.force-path, .why');
  expect(await told.count()).toBe(0);
  for (const role of ['cap', 'riser', 'support', 'pusher'] as const) {
    await page.locator('.laid-places button').nth(roles.indexOf(role)).click();
    const name = stack[role]?.name;
    const dialog = page.getByRole('dialog');
    await (
      name === undefined
        ? dialog.getByText('Nothing')
        : dialog.getByRole('button', { name, exact: true })
    ).click();
  }
  await button(page, 'Press it').click();
  await calledSeen();
  expect(await told.count()).toBeGreaterThan(0);
}, 60_000);

it('the ram is pumped stroke by stroke and released in time; run on by itself, it shows what would have come', async () => {
  const { page } = shop;
  const { open, set } = await openKind('ram');
  if (set.picture.of !== 'ram') throw new Error('no ram');
  const first = Number(answersOf(exercise('ram', open.seed, open.level)).right);
  const strokes = Math.ceil((first - set.picture.from) / set.picture.aPump);
  for (let i = 0; i < strokes; i += 1) await button(page, 'One stroke').click();
  expect(await page.locator('.ram-then').count()).toBe(0);
  await button(page, 'Release here').click();
  await calledSeen();
  expect(await page.locator('.ram-then, .ram-window').count()).toBe(2);
  await openKind('ram', 'Maud');
  const read = () => page.locator('.practice-fig svg').innerHTML();
  const still = await read();
  await button(page, 'Start the pump').click();
  await expect.poll(read).not.toBe(still);
  await button(page, 'Release').click();
  await page.getByRole('heading', { name: 'On the car' }).waitFor();
}, 90_000);

it('a nut is walked to its lock with the stand-in wrench, each pull let go as its figure comes', async () => {
  const { page } = shop;
  const { set } = await openKind('nut');
  if (set.picture.of !== 'nut') throw new Error('no nut');
  for (const stage of set.picture.procedure.stages) {
    await page.locator('.answers button', { hasText: stage.text }).click();
    if (stage.kind !== 'torque' && stage.kind !== 'angle') continue;
    // The hand lets go as the eye reads that no more is to go.
    await page.waitForFunction(
      () => {
        const face = document.querySelector('.nut-face');
        const left = face?.querySelector('.giant')?.textContent ?? '';
        const there = /to go, /u.test(face?.textContent ?? '') && /^[01](?!\d)/u.test(left);
        if (there)
          [...document.querySelectorAll('button')].find((b) => b.textContent === 'Let go')?.click();
        return there;
      },
      undefined,
      { polling: 'raf', timeout: 60_000 },
    );
  }
  await calledSeen();
  // Let go before it is there, the station's own rule says so.
  const soon = await openKind('nut', 'Maud');
  if (soon.set.picture.of !== 'nut') throw new Error('no nut');
  const first = soon.set.picture.procedure.stages[0]!.text;
  await page.locator('.answers button', { hasText: first }).click();
  await page.getByText(/to go,/u).waitFor();
  await button(page, 'Let go').click();
  await page.locator('.call', { hasText: 'Not so' }).waitFor();
  expect(await page.locator('.call .say').innerText()).toMatch(/below|under|not/iu);
  expect(await page.locator('.nut-face').getAttribute('aria-label')).toContain(first);
}, 120_000);
