/** Writes the made-up catalogue of the demo: keeps the parts already named by units and adds to them. Same seed, same files. */
import { readFileSync, writeFileSync } from 'node:fs';
import Papa from 'papaparse';
import { madeUpConsumables, madeUpParts } from '../src/core/standins/catalogue.ts';

const path = 'demo-data/parts.csv';
const named = Papa.parse<Record<string, string>>(readFileSync(path, 'utf8').trim(), {
  header: true,
}).data.filter((p) => !/^[A-Z]{2}\d/u.test(p['number']!));

/** A record as flat columns; a dot goes into a nested one. */
const flat = (o: object, before = ''): Record<string, unknown> =>
  Object.assign(
    {},
    ...Object.entries(o).map(([k, v]) =>
      v !== null && typeof v === 'object' ? flat(v, `${before}${k}.`) : { [before + k]: v },
    ),
  );

const extra = {
  rolling: 'ball',
  'seals.inboard': 'contact',
  'seals.outboard': 'contact',
  spacer: 'none',
};
const rows = [
  ...named.map((p) => ({ ...extra, ...p })),
  ...madeUpParts(300, 2026).map((p) => flat(p)),
];
const heads = [...new Set([...Object.keys(named[0]!), ...rows.flatMap((x) => Object.keys(x))])];
writeFileSync(
  path,
  `${Papa.unparse({ fields: heads, data: rows.map((x) => heads.map((h) => (x as Record<string, unknown>)[h] ?? '')) }, { newline: '\n' })}\n`,
);
const used = madeUpConsumables(3, 7).map((c) => flat(c));
const columns = [...new Set(used.flatMap((x) => Object.keys(x)))];
writeFileSync(
  'demo-data/consumables.csv',
  `${Papa.unparse({ fields: columns, data: used.map((x) => columns.map((h) => x[h] ?? '')) }, { newline: '\n' })}\n`,
);
console.log(rows.length, 'parts');
