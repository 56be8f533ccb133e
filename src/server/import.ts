import { type TSchema, Type } from '@sinclair/typebox';
import Papa from 'papaparse';
import { JobCornerId } from '../core/corner.ts';
import { classFaults } from '../core/fits/index.ts';
import { InstrumentSchema } from '../core/fits/seat.ts';
import { PartSchema } from '../core/matching/catalogue-part.ts';
import { inKm, type LifeRecord, lifeFaults, LifeSchema } from '../core/logbook/life.ts';
import { bearingFaults } from '../core/matching/index.ts';
import { adapterFaults, pressFaults } from '../core/press/index.ts';
import { AdapterSchema, PressSchema } from '../core/press/kit.ts';
import { closed, Id, oneOf, Text, Uuid } from '../core/schemas/common.ts';
import { choiceKeys, eventTypes } from '../core/schemas/events.ts';
import {
  ConsumableSchema,
  type RecordOf,
  type WorkshopFile,
  type WorkshopKind,
  workshopKinds,
  WorkshopSchema,
} from '../core/schemas/workshop.ts';
import { WrenchSchema } from '../core/torque/wrench.ts';
import { putMeta, putRecords, putTechnician } from '../db/records.ts';
import { writeEvent } from './entries.ts';
import { setChoice, startJob } from './jobs.ts';
import { restored } from './csv.ts';
import { forgetParts } from './parts.ts';
import { hashPin } from './pin.ts';
import { type FieldFault, invalid, Problem } from './problem.ts';
import { store } from './store.ts';
import { faultsIn, parsedJson, validated } from './validate.ts';

const keyOf = (record: object): string =>
  'number' in record ? String(record.number) : String((record as { id: string }).id);

/** Kinds of record that only a lead changes: what is measured, tightened and judged by. */
export const leadKinds: readonly string[] = [
  'units',
  'procedures',
  'presses',
  'wrenches',
  'instruments',
  'lives',
];
export const leadSays =
  'People, units, procedures, presses, torque tools, instruments and lives are changed by a lead, with PIN.';

/** Reads a workshop file and imports it; without a lead it may hold parts and pieces alone. */
export async function importText(json: string, asLead: boolean): Promise<Record<string, number>> {
  const file = validated(WorkshopSchema, parsedJson(json));
  const kinds = Object.keys(file);
  if (!asLead && kinds.some((k) => k === 'technicians' || k === 'name' || leadKinds.includes(k)))
    throw new Problem(403, 'Lead only', leadSays, [{ field: 'x-lead-id', reason: 'Missing.' }]);
  return importWorkshop(file);
}

/** Imports a workshop file; all of it or nothing. Returns how many records of each kind were taken. */
export async function importWorkshop(input: unknown): Promise<Record<string, number>> {
  const file = validated(WorkshopSchema, input);
  const faults = workshopFaults(file);
  if (faults.length > 0) throw invalid(faults.slice(0, 20));
  return putWorkshop(file);
}

/** Rows in one statement: fewer statements, faster import. */
const chunk = 400;

async function putWorkshop(file: WorkshopFile): Promise<Record<string, number>> {
  const { db, writes } = await store();
  const people = await Promise.all(
    (file.technicians ?? []).map(async ({ pin, ...t }) => ({ ...t, ...(await hashPin(pin)) })),
  );
  const puts = [
    ...(file.name ? [putMeta(db, 'shop', file.name)] : []),
    ...people.map((p) => putTechnician(db, p)),
    ...workshopKinds.flatMap((kind) => {
      const list = kind === 'lives' ? file.lives?.map(inKm) : file[kind];
      const rows = (list ?? []).map((r, position) => ({
        kind,
        id: keyOf(r),
        position,
        data: JSON.stringify(r),
      }));
      return Array.from({ length: Math.ceil(rows.length / chunk) }, (_, i) =>
        putRecords(db, rows.slice(i * chunk, (i + 1) * chunk)),
      );
    }),
  ];
  const [first, ...rest] = puts;
  if (first) await writes.run(() => db.batch([first, ...rest]));
  if (file.parts) forgetParts();
  return Object.fromEntries(
    [
      ['technicians', people.length],
      ...workshopKinds.map((k): [string, number] => [k, file[k]?.length ?? 0]),
    ].filter(([, n]) => n !== 0),
  );
}

/** Faults of one record that a schema cannot see: sizes that contradict each other. */
const faultsBy: { [K in WorkshopKind]?: (record: RecordOf<K>) => FieldFault[] } = {
  units: ({ corners }) => classFaults(corners, 'corners.'),
  adapters: adapterFaults,
  presses: pressFaults,
  lives: lifeFaults,
  parts: ({ bearing }) =>
    bearingFaults(bearing).map((f) => ({ ...f, field: `bearing.${f.field}` })),
};
function recordFaults<K extends WorkshopKind>(kind: K, record: RecordOf<K>): FieldFault[] {
  const faults: (typeof faultsBy)[K] = faultsBy[kind];
  return faults?.(record) ?? [];
}

/** Records whose key stood before in the same list, by place. */
function repeats(list: readonly object[]): Map<number, string> {
  const seen = new Set<string>();
  return new Map(
    list.flatMap((r, i) => {
      const key = keyOf(r);
      if (seen.has(key)) return [[i, key] as const];
      seen.add(key);
      return [];
    }),
  );
}

function workshopFaults(file: WorkshopFile): FieldFault[] {
  return workshopKinds.flatMap((kind) => {
    const list = file[kind] ?? [];
    const twice = [...repeats(list)].map(([i, key]): FieldFault => ({
      field: `${kind}.${i}`,
      reason: `“${key}” stands twice in this file.`,
    }));
    return [
      ...list.flatMap((r, i) =>
        recordFaults(kind, r).map((f) => ({ field: `${kind}.${i}.${f.field}`, reason: f.reason })),
      ),
      ...twice,
    ];
  });
}

export const tableKinds = [
  'adapters',
  'presses',
  'parts',
  'consumables',
  'wrenches',
  'instruments',
  'lives',
] as const;
export type TableKind = (typeof tableKinds)[number];
const rowSchemas: Record<TableKind, TSchema> = {
  adapters: AdapterSchema,
  presses: PressSchema,
  parts: PartSchema,
  consumables: ConsumableSchema,
  wrenches: WrenchSchema,
  instruments: InstrumentSchema,
  lives: LifeSchema,
};

/** Lines of a CSV table that can be taken, and what is wrong with the others. Line 1 holds the heads. */
export interface TableCheck {
  good: object[];
  faults: FieldFault[];
  /** Lines at fault, also those beyond what `faults` lists. */
  bad: number;
}

/** Most faults that are listed. */
const mostFaults = 20;

/** Checks a table line by line. Throws when its heads are wrong: then no line can be read. */
export function checkTable(kind: TableKind, csv: string): TableCheck {
  const parsed = Papa.parse<Record<string, string>>(csv.trim(), {
    header: true,
    skipEmptyLines: true,
  });
  const heads = parsed.meta.fields ?? [];
  const known = headsOf(rowSchemas[kind]);
  const wrong = heads.filter((h) => !known.has(h));
  if (wrong.length > 0)
    throw invalid(
      wrong.map((h) => ({
        field: `column ${h}`,
        reason: `No column of ${kind} is called “${h}”. Known are: ${[...known].join(', ')}.`,
      })),
    );
  if (parsed.data.length === 0)
    throw invalid([{ field: 'line 2', reason: 'There is no line under the heads of this table.' }]);
  const torn = new Map(parsed.errors.map((e) => [e.row ?? 0, e.message]));
  const records = parsed.data.map(nested);
  if (kind === 'lives') oneDistance(records as Partial<LifeRecord>[]);
  const twice = repeats(records);
  const out: TableCheck = { good: [], faults: [], bad: 0 };
  records.forEach((record, i) => {
    const faults: FieldFault[] = torn.has(i)
      ? [{ field: 'line', reason: `${torn.get(i)}.` }]
      : (faultsIn(rowSchemas[kind], record) ??
        // Just seen to be one by its schema.
        recordFaults(kind, record as RecordOf<TableKind>));
    if (faults.length === 0 && twice.has(i))
      faults.push({ field: 'number', reason: `“${twice.get(i)}” stands twice in this file.` });
    if (faults.length === 0) {
      out.good.push(record);
      return;
    }
    out.bad += 1;
    if (out.faults.length < mostFaults)
      out.faults.push(
        ...faults.map((f) => ({ field: `line ${i + 2}, ${f.field}`, reason: f.reason })),
      );
  });
  return out;
}

/** Kilometres in one line and miles in the next are a table put together from two: nobody says which line is wrong. */
function oneDistance(lives: readonly Partial<LifeRecord>[]): void {
  const units = new Set(lives.map((l) => l.distance ?? 'km'));
  if (units.size > 1)
    throw invalid([
      {
        field: 'column distance',
        reason: 'Two units of distance in one table. Bring km and mi in as two tables.',
      },
    ]);
}

/** Takes a table: all of it, or nothing and the faults with the number of lines that could be taken; with `rest` the good lines alone. */
export async function importTable(
  kind: TableKind,
  csv: string,
  rest: boolean,
): Promise<Record<string, number>> {
  const { good, faults, bad } = checkTable(kind, csv);
  if (bad > 0 && !rest)
    throw new Problem(
      422,
      'Not taken',
      `${bad} of ${bad + good.length} lines cannot be taken. Nothing was taken.`,
      faults,
      { good: good.length, bad },
    );
  return {
    ...(await putWorkshop({
      format: 'true-spindle/workshop',
      version: 1,
      [kind]: good,
    } as WorkshopFile)),
    ...(bad > 0 ? { leftOut: bad } : {}),
  };
}

/** Heads of a table: the fields of its records, a dot before a nested one (`bearing.outerMm`). */
function headsOf(schema: TSchema, before = ''): Set<string> {
  return new Set(
    Object.entries((schema as { properties?: Record<string, TSchema> }).properties ?? {}).flatMap(
      ([k, s]) =>
        (s as { properties?: object }).properties
          ? [...headsOf(s, `${before}${k}.`)]
          : [before + k],
    ),
  );
}

function nested(row: Record<string, string | readonly string[]>): Record<string, unknown> {
  const out: Record<string, unknown> = {};
  for (const [head, sent] of Object.entries(row)) {
    // Cells beyond the heads come as a list; such a line is told as torn.
    if (typeof sent !== 'string' || sent === '') continue;
    const text = restored(sent);
    const path = head.split('.');
    const last = path.pop()!;
    const parent = path.reduce<Record<string, unknown>>(
      (o, k) => (o[k] ??= {}) as Record<string, unknown>,
      out,
    );
    parent[last] = cell(last, text);
  }
  return out;
}

const textHeads: readonly string[] = [
  'id',
  'number',
  'partner',
  'name',
  'maker',
  'note',
  'retired',
  'sizeText',
  'unit',
  'part',
  'job',
  'cause',
];

/** Numbers and yes/no by the look of the cell; names stay text even when they look like numbers. */
const cell = (head: string, text: string): unknown => {
  if (textHeads.includes(head)) return text;
  if (text === 'true' || text === 'false') return text === 'true';
  return /^-?\d+(\.\d+)?$/u.test(text) ? Number(text) : text;
};

export const JobsFileSchema = closed({
  format: Type.Literal('true-spindle/jobs'),
  version: Type.Literal(1),
  jobs: Type.Array(
    closed({
      id: Uuid,
      unitId: Id,
      corner: JobCornerId,
      byId: Id,
      minutesAgo: Type.Number({ minimum: 0 }),
      choices: Type.Optional(Type.Array(closed({ key: oneOf(choiceKeys), value: Type.Unknown() }))),
      events: Type.Array(
        closed({
          id: Uuid,
          type: oneOf(eventTypes),
          body: Type.Unknown(),
          byId: Id,
          minutesAgo: Type.Number({ minimum: 0 }),
          note: Type.Optional(Text()),
        }),
      ),
    }),
  ),
});

/** Imports jobs by replaying them through the same commands and interlocks as the interface. */
export async function importJobs(
  input: unknown,
  nowMs = Date.now(),
): Promise<Record<string, number>> {
  const file = validated(JobsFileSchema, input);
  let entries = 0;
  for (const job of file.jobs) {
    const ago = (minutes: number) => nowMs - Math.round(minutes * 60_000);
    await startJob(
      { id: job.id, unitId: job.unitId, corner: job.corner, byId: job.byId },
      ago(job.minutesAgo),
    );
    for (const c of job.choices ?? [])
      await setChoice(
        job.id,
        c.key,
        { id: job.id, version: 0, value: c.value, byId: job.byId },
        ago(job.minutesAgo),
      );
    for (const e of job.events) {
      await writeEvent(job.id, e, ago(e.minutesAgo), true);
      entries += 1;
    }
  }
  return { jobs: file.jobs.length, entries };
}
