import sharp from 'sharp';
import { expect, it } from 'vitest';
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

/** What a learner has open, and any answer of it: the kinds come one after another. */
async function openKind(kind: string): Promise<void> {
  for (let i = 0; i < 20; i += 1) {
    const got = await shop.page.evaluate(async () => {
      const r = await fetch('/api/practice/tobi');
      return (await r.json()) as {
        open: { kind: string; seed: number };
        set: { options: { id: string }[] };
      };
    });
    if (got.open.kind === kind) return;
    const answer = got.set.options[0]?.id ?? (got.open.kind === 'ram' ? '0' : 'gun');
    await shop.page.evaluate(
      (data) =>
        fetch('/api/practice/tobi/answers', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(data),
        }),
      { seed: got.open.seed, answer },
    );
  }
  throw new Error(`never came to ${kind}`);
}

it('the ram runs until it is released, by itself or stroke by stroke; then what would have come is drawn', async () => {
  const { page, open } = shop;
  await open('/practice');
  await openKind('ram');
  await page.getByLabel('On the job').selectOption({ label: 'Tobi' });
  await page
    .getByText(/^Stop the ram/u)
    .first()
    .waitFor();
  const read = () => page.locator('.practice-fig svg').innerHTML();
  const still = await read();
  await button(page, 'One stroke').click();
  await button(page, 'Start the pump').click();
  await expect.poll(read).not.toBe(still);
  expect(await page.locator('.ram-then').count()).toBe(0);
  await button(page, 'Release').click();
  await page.getByRole('heading', { name: 'On the car' }).waitFor();
  expect(await page.locator('.ram-then, .ram-window').count()).toBe(2);
  expect(await page.locator('.call .say').innerText()).toMatch(/^(Seen|Not so)/u);
}, 60_000);

it('a nut is pulled with the stand-in wrench until the hand lets go: too soon is told by the station’s rule', async () => {
  const { page, open } = shop;
  await open('/practice');
  await openKind('nut');
  await open('/practice');
  await page.getByLabel('On the job').selectOption({ label: 'Tobi' });
  await page.locator('.answers').waitFor();
  const first = await page.evaluate(async () => {
    const r = await fetch('/api/practice/tobi');
    const { set } = (await r.json()) as {
      set: { picture: { procedure: { stages: { text: string }[] } } };
    };
    return set.picture.procedure.stages[0]!.text;
  });
  await page.locator('.answers button', { hasText: first }).click();
  await page.getByText(/to go,/u).waitFor();
  await button(page, 'Let go').click();
  await page.locator('.call', { hasText: 'Not so' }).waitFor();
  expect(await page.locator('.call .say').innerText()).toMatch(/below|under|not/iu);
  expect(await page.locator('.nut-face').getAttribute('aria-label')).toContain(first);
}, 60_000);
