import type { Page } from 'playwright-core';
import { v4 as uuid } from 'uuid';
import { expect } from 'vitest';
import { button, settleChecks } from './browser.ts';
import type { OwnServer } from './own-server.ts';

interface Stage {
  id: string;
  kind: string;
  value?: number;
}
interface View {
  ctx: { procedure: { stages: Stage[] } };
  state: { stages: { stageId: string }[] };
}

/** An entry by the interface, as a tablet would send it. */
export async function say(
  { page, url }: OwnServer,
  job: string,
  type: string,
  body: object,
): Promise<void> {
  const r = await page.request.post(`${url}/api/jobs/${job}/events`, {
    data: { id: uuid(), type, body, byId: 'ines' },
  });
  expect(r.status(), await r.text()).toBe(200);
}

/** The job that stands at a station of the demo shop. */
export async function jobWhere(
  { page, url }: OwnServer,
  is: (row: { id: string; station: string; fleetNo: string }) => boolean,
): Promise<string> {
  const { rows } = (await (await page.request.get(`${url}/api/floor`)).json()) as {
    rows: { id: string; station: string; fleetNo: string }[];
  };
  return rows.find(is)!.id;
}

/** The centre nut done and locked, by the interface: the browser walks what comes beside and after it. */
export async function nutDone(shop: OwnServer, id: string): Promise<void> {
  const { page, url } = shop;
  const { ctx, state } = (await (await page.request.get(`${url}/api/jobs/${id}`)).json()) as View;
  const { stages } = ctx.procedure;
  const from = stages.findIndex((s) => s.id === state.stages.at(-1)?.stageId) + 1;
  for (const s of stages.slice(from)) {
    const read = s.kind === 'lock' ? {} : { actual: s.value, typed: String(s.value) };
    const toolId = s.kind === 'torque' ? 'click-200' : 'paint';
    await say(shop, id, 'stage-recorded', { stageId: s.id, toolId, ...read });
  }
}

/** Answers every check that is open and signs by name; the card comes. */
export async function signOff(page: Page, km: string): Promise<void> {
  await settleChecks(page);
  await page.getByLabel('Distance on the clock now').fill(km);
  await button(page, 'Sign off').click();
  await page.getByLabel(/^PIN/u).fill('2580');
  await page.getByRole('dialog').getByRole('button', { name: /^Sign/u }).click();
  await page.waitForURL(/\/card$/u);
}
