import { v7 as uuid } from 'uuid';
import { expect, it } from 'vitest';
import { button, openTest } from './browser.ts';
import { ownServer } from './own-server.ts';
import { start } from './server.ts';

const own = ownServer();
const post = (url: string, path: string, data: object) =>
  own.page.request.post(url + path, { data });

it('takes its own whole shop in on another machine, down to the seals', async () => {
  const zip = await post(own.url, '/api/shop/archive', { byId: 'ines', pin: '2580' });
  expect(zip.status()).toBe(200);
  const there = await start();
  const taken = await own.page.request.post(`${there.url}/api/shop/archive/fill`, {
    headers: { 'content-type': 'application/zip' },
    data: await zip.body(),
  });
  const said = (await taken.json()) as { jobs: number; sealed: number };
  there.stop();
  expect([taken.status(), said.sealed]).toEqual([200, said.jobs]);
  expect(said.jobs).toBeGreaterThan(5);
}, 60_000);

it('keeps what was typed at Diagnose when it could not be sent', async () => {
  const { page, url, open } = own;
  const id = uuid();
  await post(url, '/api/jobs', { id, unitId: 'unit-07', corner: 'RF', byId: 'ines' });
  const say = (type: string, body: object) =>
    post(url, `/api/jobs/${id}/events`, { id: uuid(), type, body, byId: 'ines' });
  await say('complaint-recorded', { corner: 'RF', sound: 'roar', lamps: ['none'], history: [] });
  await say('station-done', { station: 'complaint' });
  await open(`/jobs/${id}/diagnose`);
  await openTest(page, /Level meter.*front/u, 'Level at the knuckles', 'front');
  const [left, right] = [page.getByLabel(/Left, level/u), page.getByLabel(/Right, level/u)];
  await left.fill('50');
  await right.fill('61');
  await page.route('**/events', (r) => r.abort());
  const failed = page.waitForEvent('requestfailed');
  await button(page, 'Record both').click();
  await failed;
  await page.getByRole('alert').first().waitFor();
  expect([await left.inputValue(), await right.inputValue()]).toEqual(['50', '61']);
  await page.unroute('**/events');
  await button(page, 'Record both').click();
  await page.locator('.heard', { hasText: 'left −11 dB' }).waitFor();
});

it('asks again for a part of the page that did not come', async () => {
  const { page, url, open } = own;
  const id = uuid();
  await post(url, '/api/jobs', { id, unitId: 'unit-07', corner: 'LF', byId: 'ines' });
  await open(`/jobs/${id}/complaint`);
  await page.route(/NoteForm.*\.js/u, (r) => r.abort());
  await page.locator('details', { hasText: /note/iu }).last().locator('summary').click();
  await page.getByText('This part did not load').waitFor();
  await page.unroute(/NoteForm.*\.js/u);
  await button(page, 'Load it again').click();
  await page.locator('details[open] textarea, details[open] input').first().waitFor();
});

it('reads a bare torque in foot-pounds where the shop reads those first', async () => {
  const { page, url, open } = own;
  const shop = (await (await page.request.get(`${url}/api/shop`)).json()) as {
    version: number;
    settings: object;
  };
  const settings = { ...shop.settings, units: 'inch' };
  const put = await page.request.put(`${url}/api/shop`, {
    data: { id: uuid(), byId: 'ines', pin: '2580', version: shop.version, settings },
  });
  expect(put.status()).toBe(200);
  await open('/scratch?c=clamp');
  const field = page.getByLabel('Torque', { exact: true });
  expect(await page.locator('.field', { has: field }).locator('.unit-name').textContent()).toBe(
    'lb·ft',
  );
  await field.fill('66');
  await page.getByText('66 lb·ft / 89 N·m').first().waitFor();
  // The address can be opened in a shop that reads the other system.
  await page.waitForFunction(() => decodeURIComponent(location.search).includes('66+lb·ft'));
});
