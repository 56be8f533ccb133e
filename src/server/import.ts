import { Type } from '@sinclair/typebox';
import Papa from 'papaparse';
import { bearingFaults, type CataloguePart } from '../core/matching/index.ts';
import { adapterFaults, type Adapter } from '../core/press/index.ts';
import { closed, JobCornerId, Id, oneOf, Text, Uuid } from '../core/schemas/common.ts';
import { choiceKeys, eventTypes } from '../core/schemas/events.ts';
import { WorkshopSchema, workshopKinds, type WorkshopFile, type WorkshopKind } from '../core/schemas/workshop.ts';
import { putMeta, putRecord, putTechnician } from '../db/records.ts';
import { addEvent, setChoice, startJob } from './jobs.ts';
import { hashPin } from './pin.ts';
import { invalid, type FieldFault } from './problem.ts';
import { store } from './store.ts';
import { validated } from './validate.ts';

const keyOf = (record: object): string => ('number' in record ? String(record.number) : String((record as { id: string }).id));

/** Imports a workshop file; all of it or nothing. Returns how many records of each kind were taken. */
export async function importWorkshop(input: unknown): Promise<Record<string, number>> {
  const file = validated(WorkshopSchema, input);
  const faults = workshopFaults(file);
  if (faults.length > 0) throw invalid(faults.slice(0, 20));
  const { db, writes } = await store();
  const people = await Promise.all((file.technicians ?? []).map(async ({ pin, ...t }) => ({ ...t, ...(await hashPin(pin)) })));
  const puts = [
    ...(file.name ? [putMeta(db, 'shop', file.name)] : []),
    ...people.map((p) => putTechnician(db, p)),
    ...workshopKinds.flatMap((kind) => (file[kind] ?? []).map((r, i) => putRecord(db, kind, keyOf(r), i, r))),
  ];
  const [first, ...rest] = puts;
  if (first) await writes.run(() => db.batch([first, ...rest]));
  return Object.fromEntries([['technicians', people.length], ...workshopKinds.map((k): [string, number] => [k, file[k]?.length ?? 0])].filter(([, n]) => n !== 0));
}

/** Faults a schema cannot see: sizes that contradict each other, the same id twice. */
function workshopFaults(file: WorkshopFile): FieldFault[] {
  const at = (kind: WorkshopKind, i: number, list: FieldFault[]) => list.map((f) => ({ field: `${kind}.${i}.${f.field}`, reason: f.reason }));
  const twice = workshopKinds.flatMap((kind) => {
    const keys = (file[kind] ?? []).map(keyOf);
    return keys.flatMap((k, i) => (keys.indexOf(k) < i ? [{ field: `${kind}.${i}`, reason: `“${k}” stands twice in this file.` }] : []));
  });
  return [
    ...(file.adapters ?? []).flatMap((a, i) => at('adapters', i, adapterFaults(a as Adapter))),
    ...(file.parts ?? []).flatMap((p, i) => at('parts', i, bearingFaults((p as CataloguePart).bearing).map((f) => ({ ...f, field: `bearing.${f.field}` })))),
    ...twice,
  ];
}

/** A CSV table of one kind as a workshop file. Heads are field names; a dot goes into a nested record (`bearing.outerMm`). */
export function csvToWorkshop(kind: 'adapters' | 'parts', csv: string): unknown {
  const parsed = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  if (parsed.errors.length > 0) throw invalid(parsed.errors.slice(0, 20).map((e) => ({ field: `row ${(e.row ?? 0) + 2}`, reason: `${e.message}.` })));
  return { format: 'true-spindle/workshop', version: 1, [kind]: parsed.data.map(nested) };
}

function nested(row: Record<string, string>): Record<string, unknown> {
  const out: Record<string, unknown> = {};
  for (const [head, text] of Object.entries(row)) {
    if (text === '') continue;
    const path = head.split('.');
    const last = path.pop()!;
    const parent = path.reduce<Record<string, unknown>>((o, k) => (o[k] ??= {}) as Record<string, unknown>, out);
    parent[last] = cell(last, text);
  }
  return out;
}

/** Numbers and yes/no by the look of the cell; names stay text even when they look like numbers. */
const cell = (head: string, text: string): unknown => {
  if (['id', 'number', 'name', 'maker', 'note', 'retired'].includes(head)) return text;
  if (text === 'true' || text === 'false') return text === 'true';
  return /^-?\d+(\.\d+)?$/u.test(text) ? Number(text) : text;
};

export const JobsFileSchema = closed({
  format: Type.Literal('true-spindle/jobs'), version: Type.Literal(1),
  jobs: Type.Array(closed({
    id: Uuid, unitId: Id, corner: JobCornerId, byId: Id, minutesAgo: Type.Number({ minimum: 0 }),
    choices: Type.Optional(Type.Array(closed({ key: oneOf(choiceKeys), value: Type.Unknown() }))),
    events: Type.Array(closed({ id: Uuid, type: oneOf(eventTypes), body: Type.Unknown(), byId: Id, minutesAgo: Type.Number({ minimum: 0 }), note: Type.Optional(Text()) })),
  })),
});

/** Imports jobs by replaying them through the same commands and interlocks as the interface. */
export async function importJobs(input: unknown, nowMs = Date.now()): Promise<Record<string, number>> {
  const file = validated(JobsFileSchema, input);
  let entries = 0;
  for (const job of file.jobs) {
    const ago = (minutes: number) => nowMs - Math.round(minutes * 60_000);
    await startJob({ id: job.id, unitId: job.unitId, corner: job.corner, byId: job.byId }, ago(job.minutesAgo));
    for (const c of job.choices ?? []) await setChoice(job.id, c.key, { id: job.id, version: 0, value: c.value, byId: job.byId }, ago(job.minutesAgo));
    for (const e of job.events) {
      await addEvent(job.id, e, ago(e.minutesAgo), true);
      entries += 1;
    }
  }
  return { jobs: file.jobs.length, entries };
}

/** Either open format, by its own word. */
export async function importFile(input: unknown): Promise<Record<string, number>> {
  return (input as { format?: unknown } | null)?.format === 'true-spindle/jobs' ? importJobs(input) : importWorkshop(input);
}
