import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { type Corner } from '../src/core/corner.ts';
import { plainTables } from '../src/core/diagnosis/index.ts';
import type { JobContext } from '../src/core/job/index.ts';
import type { CataloguePart } from '../src/core/matching/index.ts';
import type { Adapter } from '../src/core/press/index.ts';
import type { WorkshopFile } from '../src/core/schemas/workshop.ts';

/** The demo shop as the core sees it, read straight from its files. */
const demo = (name: string) =>
  readFileSync(new URL(`../demo-data/${name}`, import.meta.url), 'utf8');

/** A table's line as a record: heads with a point are fields of fields; empty cells are left out. */
function recordOf(line: Record<string, string>): object {
  const record: Record<string, unknown> = {};
  for (const [head, cell] of Object.entries(line)) {
    if (cell === '') continue;
    const path = head.split('.');
    const last = path.pop() ?? head;
    let at = record;
    for (const p of path) at = (at[p] ??= {}) as Record<string, unknown>;
    at[last] = cell === 'true' || cell === 'false' ? cell === 'true' : numberOr(cell, last);
  }
  return record;
}
const words = ['number', 'maker', 'id', 'name', 'kind', 'shape', 'material', 'currency'];
const numberOr = (cell: string, head: string) =>
  words.includes(head) || !Number.isFinite(Number(cell)) ? cell : Number(cell);

const table = <T>(name: string): T[] =>
  Papa.parse<Record<string, string>>(demo(name).trim(), { header: true }).data.map(
    (line) => recordOf(line) as T,
  );

const shop = JSON.parse(demo('workshop.json')) as WorkshopFile;
const parts = table<CataloguePart>('parts.csv');
const adapters = table<Adapter>('kit.csv');

/** What the demo shop presses with. */
export const demoKit = { adapters, presses: shop.presses ?? [] };

/** What a job on this corner of a demo unit is judged against. */
export function shopContext(unitId: string, corner: Corner): JobContext {
  const unit = shop.units?.find((u) => u.id === unitId);
  if (!unit) throw new Error(`No unit ${unitId} in the demo shop`);
  const procedure = shop.procedures?.find((p) => p.id === unit.corners[corner]?.procedureId);
  return {
    unit,
    corner,
    parts,
    adapters,
    presses: shop.presses ?? [],
    instruments: shop.instruments ?? [],
    wrenches: shop.wrenches ?? [],
    tables: plainTables,
    ...(procedure ? { procedure } : {}),
  };
}
