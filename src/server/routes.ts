import { type Static, type TSchema, Type } from '@sinclair/typebox';
import { JobCornerId } from '../core/corner.ts';
import { adapterFaults, pressFaults } from '../core/press/index.ts';
import { AdapterSchema, PressSchema } from '../core/press/kit.ts';
import { closed, Id, oneOf, Uuid } from '../core/schemas/common.ts';
import {
  choiceBodies,
  type ChoiceKey,
  choiceKeys,
  eventBodies,
  eventTypes,
} from '../core/schemas/events.ts';
import { type WorkshopKind, workshopKinds, WorkshopSchema } from '../core/schemas/workshop.ts';
import { listRecords, putRecord } from '../db/records.ts';
import { cardCsv, jobCard } from './card.ts';
import {
  diagnosis,
  DiagnosisSchema,
  GeometrySchema,
  noise,
  ordersOf,
  pressFit,
  PressFitSchema,
  screw,
  ScrewSchema,
  stacks,
  StackSolveSchema,
  testList,
  toleranceOf,
  ToleranceSchema,
  tyreOf,
  TyreSchema,
  wrench,
  WrenchSchema,
} from './compute.ts';
import { exportFile } from './export.ts';
import { floorView } from './floor.ts';
import { importTable, importWorkshop, tableKinds } from './import.ts';
import { jobRecord, jobView } from './job-record.ts';
import { addEvent, setChoice, startJob } from './jobs.ts';
import { kitGaps } from './kit.ts';
import { moodNow, MoodSchema, offers, setMood } from './offers.ts';
import { consumablesFor, findParts, PartNumbersSchema, PartSearchSchema } from './parts.ts';
import { leadByPin, people } from './people.ts';
import { invalid, notFound, Problem } from './problem.ts';
import { ramStream } from './ram.ts';
import { store } from './store.ts';
import { indicatorStream } from './streams.ts';
import {
  CountResetSchema,
  editTable,
  jobLessons,
  resetCounts,
  restoreTable,
  TableEditSchema,
  TableRestoreSchema,
  tablesView,
} from './tables.ts';
import { signals, SignalsSchema, TakeSchema, takeSignals } from './wheel-speed.ts';

export const jsonLimit = 1_000_000;
export const importLimit = 64_000_000;
export const recordingLimit = 256_000_000;

export interface Call<B = unknown> {
  params: Record<string, string>;
  body: B;
  headers: Headers;
}

export interface Route {
  method: 'GET' | 'POST' | 'PUT';
  path: string;
  summary: string;
  body?: TSchema;
  /** Largest body in bytes. */
  limit: number;
  /** Media type the route takes; JSON unless said. */
  takes: 'application/json' | 'text/csv' | 'multipart/form-data';
  handle: (call: Call) => Promise<unknown>;
}

interface Options<S extends TSchema> {
  body?: S;
  limit?: number;
  takes?: Route['takes'];
}

function route<S extends TSchema>(
  method: Route['method'],
  path: string,
  summary: string,
  options: Options<S>,
  handle: (call: Call<Static<S>>) => unknown,
): Route {
  return {
    method,
    path,
    summary,
    ...(options.body ? { body: options.body } : {}),
    limit: options.limit ?? jsonLimit,
    takes: options.takes ?? 'application/json',
    handle: async (c) => handle(c as Call<Static<S>>),
  };
}

const EventSchema = closed({
  id: Uuid,
  type: oneOf(eventTypes),
  body: Type.Unknown({ description: 'By type, see components.schemas.event-…' }),
  byId: Id,
  pin: Type.Optional(Type.String({ maxLength: 12 })),
});
const ChoiceSchema = closed({
  id: Uuid,
  version: Type.Integer({ minimum: 0, description: 'Version that was seen; 0 for none' }),
  value: Type.Unknown(),
  byId: Id,
});
const JobSchema = closed({ id: Uuid, unitId: Id, corner: JobCornerId, byId: Id });

const known = <T extends string>(
  list: readonly T[],
  value: string | undefined,
  what: string,
): T => {
  if (!list.includes(value as T)) throw notFound(what, value ?? '');
  return value as T;
};

export const routes: readonly Route[] = [
  route('GET', '/api/health', 'Whether the server and its database answer', {}, async () => ({
    ok: (await store()) !== undefined,
  })),
  route('GET', '/api/floor', 'All jobs with their centre lines, next actions and timers', {}, () =>
    floorView(),
  ),
  route('GET', '/api/people', 'Technicians', {}, () => people()),
  route(
    'GET',
    '/api/records/{kind}',
    'What the shop owns and knows, one kind',
    {},
    async ({ params }) =>
      listRecords(
        (await store()).db,
        known(workshopKinds, params['kind'], 'kind of record') as WorkshopKind,
      ),
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
    async ({ body }) => {
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
    () => kitGaps(),
  ),
  route(
    'POST',
    '/api/import',
    'Import a workshop file (JSON)',
    { body: WorkshopSchema, limit: importLimit },
    async ({ body, headers }) => {
      if (body.technicians || body.procedures || body.units) await leadOnly(headers);
      return importWorkshop(body);
    },
  ),
  route(
    'POST',
    '/api/import/{kind}',
    'Import a CSV table of adapters, parts or consumables',
    { limit: importLimit, takes: 'text/csv' },
    ({ params, body }) =>
      importTable(known(tableKinds, params['kind'], 'kind of table'), String(body), false),
  ),
  route(
    'POST',
    '/api/import/{kind}/rest',
    'Take the lines of a CSV table that are right and leave the others out',
    { limit: importLimit, takes: 'text/csv' },
    ({ params, body }) =>
      importTable(known(tableKinds, params['kind'], 'kind of table'), String(body), true),
  ),
  route(
    'GET',
    '/api/export/{file}',
    'One kind of record as the import takes it: parts.csv, adapters.json, …',
    {},
    ({ params }) => exportFile(params['file']!),
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
  route(
    'POST',
    '/api/consumables/search',
    'What the shop can take for these items, in stock first, a few each',
    { body: closed({ items: Type.Array(Id, { minItems: 1, maxItems: 20 }) }) },
    async ({ body }) => consumablesFor(body.items),
  ),
  route('POST', '/api/jobs', 'Start a job', { body: JobSchema }, ({ body }) => startJob(body)),
  route('GET', '/api/jobs/{id}', 'One job as it stands', {}, ({ params }) =>
    jobView(params['id']!),
  ),
  route(
    'POST',
    '/api/jobs/{id}/events',
    'Add one line to the record of a job',
    { body: EventSchema },
    ({ params, body }) => addEvent(params['id']!, body as Parameters<typeof addEvent>[1]),
  ),
  route(
    'PUT',
    '/api/jobs/{id}/choices/{key}',
    'Change a choice; 409 with both values when it changed meanwhile',
    { body: ChoiceSchema },
    ({ params, body }) =>
      setChoice(
        params['id']!,
        known(choiceKeys, params['key'], 'choice') as ChoiceKey,
        body as Parameters<typeof setChoice>[2],
      ),
  ),
  route('GET', '/api/jobs/{id}/card.json', 'Job card', {}, async ({ params }) =>
    jobCard(await jobRecord(params['id']!)),
  ),
  route(
    'GET',
    '/api/jobs/{id}/card.csv',
    'Job card as lines',
    {},
    async ({ params }) =>
      new Response(cardCsv(jobCard(await jobRecord(params['id']!))), {
        headers: {
          'content-type': 'text/csv; charset=utf-8',
          'content-disposition': 'attachment; filename="job-card.csv"',
        },
      }),
  ),
  route(
    'GET',
    '/api/jobs/{id}/lessons',
    'What a signed job taught the likelihood tables, before and after',
    {},
    ({ params }) => jobLessons(params['id']!),
  ),
  route(
    'GET',
    '/api/tables',
    'The likelihood tables: edits, counts of confirmed outcomes, versions',
    {},
    () => tablesView(),
  ),
  route(
    'POST',
    '/api/tables/edit',
    'Change rows of one test (lead, PIN); a new version',
    { body: TableEditSchema },
    ({ body }) => editTable(body),
  ),
  route(
    'POST',
    '/api/tables/restore',
    'Go back to the figures of an earlier version (lead, PIN); a new version',
    { body: TableRestoreSchema },
    ({ body }) => restoreTable(body),
  ),
  route(
    'POST',
    '/api/tables/reset-counts',
    'Let earlier outcomes count no more (lead, PIN); a new version',
    { body: CountResetSchema },
    ({ body }) => resetCounts(body),
  ),
  route(
    'POST',
    '/api/compute/press-fit',
    'Pressure, force and stresses of a press fit (Lamé)',
    { body: PressFitSchema },
    ({ body }) => pressFit(body),
  ),
  route(
    'POST',
    '/api/compute/tolerance',
    'Deviations of an ISO 286 class',
    { body: ToleranceSchema },
    ({ body }) => toleranceOf(body),
  ),
  route(
    'POST',
    '/api/compute/wrench',
    'What to set on a wrench with an extension',
    { body: WrenchSchema },
    ({ body }) => wrench(body),
  ),
  route(
    'POST',
    '/api/compute/screw',
    'Force of a forcing screw from its torque, or torque for a force',
    { body: ScrewSchema },
    ({ body }) => screw(body),
  ),
  route(
    'POST',
    '/api/compute/stack',
    'Best stacks of a kit for one stroke, or the verdict on one laid by hand',
    { body: StackSolveSchema },
    ({ body }) => stacks(body),
  ),
  route(
    'POST',
    '/api/compute/bearing-orders',
    'Orders of a rolling bearing',
    { body: GeometrySchema },
    ({ body }) => ordersOf(body),
  ),
  route(
    'POST',
    '/api/compute/tyre',
    'Nominal diameter and rolling circumference of a tyre',
    { body: TyreSchema },
    ({ body }) => tyreOf(body),
  ),
  route(
    'POST',
    '/api/compute/diagnosis',
    'Suspects with probabilities and the next best tests',
    { body: DiagnosisSchema },
    ({ body }) => diagnosis(body),
  ),
  route('GET', '/api/compute/tests', 'The tests, their results and where they are made', {}, () =>
    testList(),
  ),
  route(
    'GET',
    '/api/jobs/{id}/ram/{operation}/{setting}',
    'Readings of the stand-in ram for a stroke (server-sent events); setting: good, cocked, galling, worn or rusted, “+drop-out” for a loose lead',
    {},
    ({ params }) => ramStream(params['id']!, params['operation']!, params['setting']!),
  ),
  route(
    'GET',
    '/api/devices/indicator/{nominal}',
    'Readings of the stand-in indicator until it settles (server-sent events)',
    {},
    ({ params }) => indicatorStream(params['nominal']!),
  ),
  route(
    'POST',
    '/api/parts-service/offers',
    'Price, stock and lead time from the parts service; `down` says why there is none',
    { body: PartNumbersSchema },
    ({ body }) => offers(body),
  ),
  route(
    'GET',
    '/api/parts-service/mood',
    'How the stand-in service behaves; null when a real one is set',
    {},
    () => moodNow(),
  ),
  route(
    'PUT',
    '/api/parts-service/mood',
    'Make the stand-in service slow or let it fail',
    { body: MoodSchema },
    ({ body }) => setMood(body),
  ),
  route(
    'POST',
    '/api/devices/wheel-speed/take',
    'A short recording of the four wheel-speed signals, from the stand-in reader',
    { body: TakeSchema },
    ({ body }) => takeSignals(body),
  ),
  route(
    'POST',
    '/api/compute/wheel-speed',
    'Which wheel-speed signal is not like the others, and how',
    { body: SignalsSchema, limit: importLimit },
    ({ body }) => signals(body),
  ),
  route(
    'POST',
    '/api/compute/noise',
    'What repeats in a recording: multipart with `recording` (WAV) and `settings` (JSON: speedKmh, tyre, axleRatio, bearing)',
    { limit: recordingLimit, takes: 'multipart/form-data' },
    async ({ body }) => {
      const form = body as FormData;
      const recording = form.get('recording');
      const settings = form.get('settings');
      if (!(recording instanceof Blob))
        throw invalid([{ field: 'recording', reason: 'A WAV file is needed.' }]);
      if (settings === null) throw invalid([{ field: 'settings', reason: 'Missing.' }]);
      return noise(
        await recording.arrayBuffer(),
        settings instanceof Blob ? await settings.text() : settings,
      );
    },
  ),
  route('GET', '/api/openapi.json', 'This interface', {}, () => openapi()),
];

/** Edits that only a lead may make carry the lead's id and PIN in headers. */
async function leadOnly(headers: Headers): Promise<void> {
  const id = headers.get('x-lead-id');
  if (id === null)
    throw new Problem(
      403,
      'Lead only',
      'Technicians, units and procedures are imported by a lead, with PIN.',
      [{ field: 'x-lead-id', reason: 'Missing.' }],
    );
  await leadByPin((await store()).db, id, headers.get('x-lead-pin') ?? undefined);
}

/** The interface's own description, from the same schemas that check it. */
function openapi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const r of routes) {
    const names = [...r.path.matchAll(/\{(\w+)\}/gu)].map((m) => m[1]);
    (paths[r.path] ??= {})[r.method.toLowerCase()] = {
      summary: r.summary,
      parameters: names.map((name) => ({
        name,
        in: 'path',
        required: true,
        schema: { type: 'string' },
      })),
      ...(r.body || r.takes !== 'application/json'
        ? {
            requestBody: {
              required: true,
              content: { [r.takes]: { schema: r.body ?? { type: 'string' } } },
            },
          }
        : {}),
      responses: {
        200: { description: 'Done' },
        default: {
          description: 'Problem document (RFC 9457)',
          content: {
            'application/problem+json': { schema: { $ref: '#/components/schemas/problem' } },
          },
        },
      },
    };
  }
  const problem = closed({
    type: Type.String(),
    title: Type.String(),
    status: Type.Integer(),
    detail: Type.String(),
    errors: Type.Array(closed({ field: Type.String(), reason: Type.String() })),
  });
  return {
    openapi: '3.1.0',
    info: {
      title: 'True Spindle',
      version: '1',
      description:
        'Lengths in mm, forces in kN, torque in N·m unless a name says otherwise. Times in UTC milliseconds.',
    },
    paths,
    components: {
      schemas: {
        problem,
        ...Object.fromEntries(eventTypes.map((t) => [`event-${t}`, eventBodies[t]])),
        ...Object.fromEntries(choiceKeys.map((k) => [`choice-${k}`, choiceBodies[k]])),
      },
    },
  };
}
