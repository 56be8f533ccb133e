import { Type } from '@sinclair/typebox';
import { adapterFaults, pressFaults } from '../../core/press/index.ts';
import { AdapterSchema, PressSchema } from '../../core/press/kit.ts';
import { FloorRowSchema, FloorSchema } from '../../core/schemas/floor.ts';
import { workshopKinds, WorkshopSchema } from '../../core/schemas/workshop.ts';
import { listRecords, putRecord } from '../../db/records.ts';
import type { Asked, AskedHeaders } from '../asked.ts';
import { exportFile } from '../export.ts';
import { archive, ArchiveSchema, floorView } from '../floor.ts';
import { leadKinds, leadSays, type TableKind, tableKinds } from '../import.ts';
import { backUp } from '../backup.ts';
import { bookNow, headSent, heldAgainst, HeldSchema, SentSchema } from '../book.ts';
import { health, metrics } from '../health.ts';
import { heavy } from '../heavy/pool.ts';
import type { Tasks } from '../heavy/worker.ts';
import { LeadSchema, setUpShop, SetUpSchema } from '../staff.ts';
import { remindersCalendar } from '../reminders.ts';
import { changeSettings, SettingsChangeSchema, shopName, shopView } from '../shop.ts';
import {
  ConsumableSearchSchema,
  consumablesFor,
  findParts,
  forgetParts,
  PartSearchSchema,
} from '../parts.ts';
import { leadByPin } from '../people.ts';
import { invalid, Problem } from '../problem.ts';
import { store } from '../store.ts';
import { exportShop, importShop, shopIsEmpty } from '../whole-shop.ts';
import { importModes } from '../../core/schemas/shop-archive.ts';
import { importLimit, known, recordingLimit, route, type Route } from './route.ts';

/** The shop: its floor, people, records, imports and exports. */
export const shopRoutes: readonly Route[] = [
  route('GET', '/api/health', 'Whether database, disk and clock are as they have to be', {}, () =>
    health(),
  ),
  route('GET', '/api/metrics', 'Counts and times since the start, open text format', {}, () =>
    metrics(),
  ),
  route(
    'POST',
    '/api/shop/backup',
    'Copy the database as it stands, and look whether the copy is whole (lead, PIN)',
    { body: LeadSchema },
    ({ body }) => backUp(body),
  ),
  route(
    'GET',
    '/api/verify',
    'Every seal of the record tried: what was altered, left out or cut off, the heads of its days, and up to where it can be proven',
    {},
    () => bookNow(),
  ),
  route(
    'POST',
    '/api/verify/sent',
    'Note that the head of a day left this machine, printed or mailed',
    { body: SentSchema },
    ({ body }) => headSent(body),
  ),
  route(
    'POST',
    '/api/verify/held',
    'Hold what stands on paper against the record: the head of a day, or the seal of a card by its job number',
    { body: HeldSchema },
    ({ body }) => heldAgainst(body),
  ),
  route(
    'GET',
    '/api/floor',
    'All jobs with their centre lines, next actions and timers',
    { gives: FloorSchema },
    () => floorView(),
  ),
  route(
    'GET',
    '/api/reminders.ics',
    'Every recheck that is owed, as a calendar (RFC 5545)',
    {},
    () => remindersCalendar(),
  ),
  route(
    'POST',
    '/api/archive/search',
    'Signed and closed jobs by words of number, unit, part or finding, and by days',
    { body: ArchiveSchema, gives: Type.Array(FloorRowSchema) },
    ({ body }) => archive(body),
  ),
  route(
    'GET',
    '/api/records/{kind}',
    'What the shop owns and knows, one kind',
    {},
    async ({ params }) =>
      listRecords((await store()).db, known(workshopKinds, params.kind, 'kind of record')),
  ),
  route(
    'POST',
    '/api/adapters',
    'Add or change one piece of the kit',
    { body: AdapterSchema },
    async ({ body }) => {
      const faults = adapterFaults(body);
      if (faults.length > 0) throw invalid(faults);
      const { db, writes } = await store();
      await writes.run(async () =>
        putRecord(db, 'adapters', body.id, (await listRecords(db, 'adapters')).length, body),
      );
      return body;
    },
  ),
  route(
    'POST',
    '/api/presses',
    'Add or change a press, a ram or a screw tool',
    { body: PressSchema },
    async ({ body, headers }) => {
      await leadOnly(headers);
      const faults = pressFaults(body);
      if (faults.length > 0) throw invalid(faults);
      const { db, writes } = await store();
      const list = await listRecords(db, 'presses');
      const at = list.findIndex((p) => p.id === body.id);
      await writes.run(async () =>
        putRecord(db, 'presses', body.id, at < 0 ? list.length : at, body),
      );
      return body;
    },
  ),
  route(
    'GET',
    '/api/kit/gaps',
    'Strokes of the fleet that the kit cannot set up, and the one piece that would open most',
    {},
    ({ request }) => heavy('gaps', undefined, { signal: request.signal }),
  ),
  route(
    'POST',
    '/api/import',
    'Import a workshop file (JSON); by a lead where it holds more than parts and pieces',
    { limit: importLimit, unread: true },
    async ({ body, headers, request }) => {
      const asLead = headers.has('x-lead-id');
      if (asLead) await leadOnly(headers);
      return imported('workshop', { json: String(body), asLead }, request);
    },
  ),
  route(
    'POST',
    '/api/import/{kind}',
    'Import a CSV table: parts, consumables, adapters; by a lead: presses, wrenches, instruments',
    { limit: importLimit, takes: 'text/csv' },
    async ({ params, body, headers, request }) => {
      const kind = await tableFor(params.kind, headers);
      return imported('table', { kind, csv: body, rest: false }, request);
    },
  ),
  route(
    'POST',
    '/api/import/{kind}/rest',
    'Take the lines of a CSV table that are right and leave the others out',
    { limit: importLimit, takes: 'text/csv' },
    async ({ params, body, headers, request }) => {
      const kind = await tableFor(params.kind, headers);
      return imported('table', { kind, csv: body, rest: true }, request);
    },
  ),
  route(
    'GET',
    '/api/export/{file}',
    'One kind of record as the import takes it: parts.csv, adapters.json, …',
    {},
    ({ params }) => exportFile(params.file),
  ),
  route('GET', '/api/schema/workshop', 'JSON schema of a workshop file', {}, () => ({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    ...WorkshopSchema,
  })),
  route(
    'POST',
    '/api/parts/search',
    'Parts of the catalogue by size and tolerance, kind, number or maker',
    { body: PartSearchSchema },
    ({ body }) => findParts(body),
  ),
  route('GET', '/api/shop', 'The settings of the shop, and who changed them when', {}, () =>
    shopView(),
  ),
  route(
    'POST',
    '/api/shop/setup',
    'Set an empty shop up: its name and its first lead',
    { body: SetUpSchema },
    ({ body }) => setUpShop(body),
  ),
  route(
    'PUT',
    '/api/shop',
    'Change the settings, by a lead with PIN',
    { body: SettingsChangeSchema },
    ({ body }) => changeSettings(body),
  ),
  route(
    'POST',
    '/api/shop/archive',
    'The whole shop as one archive (zip), by a lead with PIN',
    { body: LeadSchema },
    async ({ body }) => {
      const { db } = await store();
      await leadByPin(db, body.byId, body.pin);
      return new Response(new Uint8Array(await exportShop(db, (await shopName()) ?? '')), {
        headers: {
          'content-type': 'application/zip',
          'content-disposition': 'attachment; filename="shop.zip"',
        },
      });
    },
  ),
  route(
    'POST',
    '/api/shop/archive/{mode}',
    'Take an archive in: look, fill an empty shop, or merge; by a lead unless the shop is empty',
    { takes: 'application/zip', limit: recordingLimit },
    async ({ params, body, headers }) => {
      const mode = known(importModes, params.mode, 'way to take an archive in');
      const shop = await store();
      if (!(await shopIsEmpty(shop.db))) await leadOnly(headers);
      return importShop(shop, body, mode);
    },
  ),
  route(
    'POST',
    '/api/consumables/search',
    'What the shop can take for these items, in stock first, a few each',
    { body: ConsumableSearchSchema },
    ({ body }) => consumablesFor(body),
  ),
];

/** A kind of table, and a lead's PIN where it is asked for. */
async function tableFor(kind: string | undefined, headers: AskedHeaders): Promise<TableKind> {
  const table = known(tableKinds, kind, 'kind of table');
  if (leadKinds.includes(table)) await leadOnly(headers);
  return table;
}

/** Takes records in beside the server, one write after another; who stops in time has taken nothing. */
async function imported<T extends 'table' | 'workshop'>(
  task: T,
  input: Parameters<Tasks[T]>[0],
  { signal }: Asked,
): Promise<Record<string, number>> {
  const { writes } = await store();
  try {
    return await writes.run(() =>
      heavy<'table' | 'workshop'>(task, input, { endless: true, signal }),
    );
  } finally {
    forgetParts();
  }
}

/** Edits that only a lead may make carry the lead's id and PIN in headers. */
async function leadOnly(headers: AskedHeaders): Promise<void> {
  const id = headers.get('x-lead-id');
  if (id === null)
    throw new Problem(403, 'Lead only', leadSays, [{ field: 'x-lead-id', reason: 'Missing.' }]);
  await leadByPin((await store()).db, id, headers.get('x-lead-pin') ?? undefined);
}
