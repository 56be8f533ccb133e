import { isOneOf } from '../core/keys-of.ts';
import Papa from 'papaparse';
import { workshopKinds } from '../core/schemas/workshop.ts';
import { listRecords } from '../db/records.ts';
import { harmless } from './csv.ts';
import { notFound } from './problem.ts';
import { store } from './store.ts';

/** A record as flat columns; a dot goes into a nested one, as the import reads it. */
const flat = (o: object, before = ''): Record<string, unknown> =>
  Object.assign(
    {},
    ...Object.entries(o).map(([k, v]) =>
      v !== null && typeof v === 'object' && !Array.isArray(v)
        ? flat(v as object, `${before}${k}.`)
        : { [before + k]: v },
    ),
  );

/** `parts.csv`, `parts.json`, …: one kind of record in the format that the import takes. */
export async function exportFile(name: string): Promise<Response> {
  const [kind = '', ending] = name.split('.');
  if (!isOneOf(workshopKinds, kind) || (ending !== 'csv' && ending !== 'json'))
    throw notFound('file', name);
  const list = await listRecords((await store()).db, kind);
  const headers = {
    'content-disposition': `attachment; filename="${name}"`,
    'content-type': ending === 'csv' ? 'text/csv; charset=utf-8' : 'application/json',
  };
  if (ending === 'json')
    return new Response(
      JSON.stringify({ format: 'true-spindle/workshop', version: 1, [kind]: list }, undefined, 1),
      { headers },
    );
  const rows = list.map((r) => flat(r));
  const fields = [...new Set(rows.flatMap((r) => Object.keys(r)))];
  return new Response(
    Papa.unparse({ fields, data: rows.map((r) => fields.map((f) => harmless(r[f] ?? ''))) }),
    { headers },
  );
}
