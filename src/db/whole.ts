import { getTableColumns, getTableName, is, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Db } from './open.ts';
import * as schema from './schema.ts';

/** A row as it is kept, by the names of its columns. */
export type Row = Record<string, string | number | null>;

export interface TableShape {
  name: string;
  columns: readonly string[];
  /** Columns that name a row. */
  key: readonly string[];
  /** Numbered by the database itself: another database gives its own. */
  numbered?: string;
}

/** What is worked out from the rest and made again by itself. */
const derived = ['job_summaries'];
/** Marks of this database and the tablets that joined it, not of the shop. */
const ownMarks = /^(lives-kept$|records-version$|shop-version$|shop-pass$|pin-tries:|tablet:)/u;
export const isOwnMark = (table: string, row: Row): boolean =>
  table === 'meta' && ownMarks.test(String(row['key']));

function shapeOf(table: SQLiteTable): TableShape {
  const { primaryKeys } = getTableConfig(table);
  const columns = Object.values(getTableColumns(table));
  const own = columns.filter((c) => c.primary);
  const key = primaryKeys[0]?.columns ?? own;
  const numbered = own.find((c) => c.dataType === 'number');
  return {
    name: getTableName(table),
    columns: columns.map((c) => c.name),
    key: key.map((c) => c.name),
    ...(numbered ? { numbered: numbered.name } : {}),
  };
}

/** Tables in an order in which each stands behind those it points to; the language promises none for what a file gives. */
function inOrder(all: readonly SQLiteTable[]): SQLiteTable[] {
  const ordered: SQLiteTable[] = [];
  const place = (table: SQLiteTable) => {
    if (ordered.includes(table)) return;
    for (const key of getTableConfig(table).foreignKeys) {
      const { foreignTable } = key.reference();
      if (foreignTable !== table) place(foreignTable);
    }
    ordered.push(table);
  };
  all.forEach(place);
  return ordered;
}

/** Every table of the shop, those that others point to first; a new one adds itself by standing in the schema. */
export const tables: readonly TableShape[] = inOrder(
  Object.values(schema)
    .filter((t) => is(t, SQLiteTable))
    // By name, so that the order is the same however the program was put together.
    .sort((a, b) => getTableName(a).localeCompare(getTableName(b))),
)
  .map(shapeOf)
  .filter((t) => !derived.includes(t.name));

/** All rows of a table in the order they were kept in. */
export const rowsOf = (db: Db, { name, columns }: TableShape): Promise<Row[]> =>
  db.all<Row>(
    sql`SELECT ${sql.join(
      columns.map((c) => sql.identifier(c)),
      sql`, `,
    )} FROM ${sql.identifier(name)} ORDER BY rowid`,
  );

/** Rows in one statement; with `renumber` the database numbers them itself. */
export function insertRows(table: TableShape, rows: readonly Row[], renumber: boolean): SQL {
  const columns = table.columns.filter((c) => !(renumber && c === table.numbered));
  const values = rows.map(
    (r) =>
      sql`(${sql.join(
        columns.map((c) => sql`${r[c] ?? null}`),
        sql`, `,
      )})`,
  );
  return sql`INSERT INTO ${sql.identifier(table.name)} (${sql.join(
    columns.map((c) => sql.identifier(c)),
    sql`, `,
  )}) VALUES ${sql.join(values, sql`, `)}`;
}
