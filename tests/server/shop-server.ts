import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { expect } from 'vitest';

/** A server of its own on a scratch database: importing this module makes both. */
export const dataDir = mkdtempSync(join(tmpdir(), 'true-spindle-'));
process.env['DATA_DIR'] = dataDir;
process.env['LOG_LEVEL'] = 'silent';
process.env['STANDIN_SPEED'] = '400';
const { dispatch } = await import('../../src/server/dispatch.ts');
const { routes } = await import('../../src/server/routes/index.ts');
const { faultsIn } = await import('../../src/server/validate.ts');
const { markAsDemo } = await import('../../src/server/shop.ts');
const { store } = await import('../../src/server/store.ts');
const { importJobs, importTable, importWorkshop } = await import('../../src/server/import.ts');

const demo = (name: string) =>
  readFileSync(new URL(`../../demo-data/${name}`, import.meta.url), 'utf8');

/** The demo shop's records, without any job. */
export async function loadShop(): Promise<void> {
  await markAsDemo((await store()).db);
  await importTable('parts', demo('parts.csv'), false);
  await importTable('consumables', demo('consumables.csv'), false);
  await importTable('adapters', demo('kit.csv'), false);
  await importWorkshop(JSON.parse(demo('workshop.json')));
}
export const loadJobs = () => importJobs(JSON.parse(demo('jobs.json')));

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers are read as plain JSON, as a client would
export type Json = any;
export async function ask(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<{ status: number; type: string | null; json: Json }> {
  const init: RequestInit = {
    method,
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    headers: { 'content-type': 'application/json', ...headers },
  };
  const r = await dispatch(new Request(`http://127.0.0.1${path}`, init));
  const json = (await r.json()) as Json;
  if (r.ok) expect(notAsDescribed(method, path, json)).toEqual([]);
  return { status: r.status, type: r.headers.get('content-type'), json };
}
/** In what an answer is not what the interface's description says of it. */
function notAsDescribed(method: string, path: string, json: Json) {
  const at = path.split('?')[0]!;
  const found = routes.find(
    (x) =>
      x.method === method &&
      new RegExp(`^${x.path.replaceAll(/\{\w+\}/gu, '[^/]+')}$`, 'u').test(at),
  );
  return (found?.gives && faultsIn(found.gives, json)) ?? [];
}
export const fieldsOf = (json: Json): string[] =>
  json.errors.map((e: { field: string }) => e.field);

export async function newJob(unitId = 'unit-07', corner = 'LF'): Promise<string> {
  const id = uuid();
  expect((await ask('POST', '/api/jobs', { id, unitId, corner, byId: 'rafe' })).status).toBe(200);
  return id;
}
export const say = (job: string, type: string, body: unknown, more: object = {}) =>
  ask('POST', `/api/jobs/${job}/events`, { id: uuid(), type, body, byId: 'rafe', ...more });
export const complaint = { corner: 'LF', sound: 'roar', lamps: [], history: [] };

/** What a lead's change of records carries. */
export const lead = { 'x-lead-id': 'ines', 'x-lead-pin': '2580' };
