import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { RecordOf, WorkshopKind } from '../core/schemas/workshop.ts';
import type { Db } from './open.ts';
import { meta, records, recordVersions, technicians } from './schema.ts';

/** What the shop owns and knows: one JSON record a row. */
export async function listRecords<K extends WorkshopKind>(db: Db, kind: K): Promise<RecordOf<K>[]> {
  const rows = await db
    .select({ data: records.data })
    .from(records)
    .where(eq(records.kind, kind))
    .orderBy(asc(records.position));
  return rows.map((r) => JSON.parse(r.data) as RecordOf<K>);
}

export async function countRecords(db: Db, kind: WorkshopKind): Promise<number> {
  return db.$count(records, eq(records.kind, kind));
}

export async function getRecord<K extends WorkshopKind>(
  db: Db,
  kind: K,
  id: string,
): Promise<RecordOf<K> | undefined> {
  const [row] = await db
    .select({ data: records.data })
    .from(records)
    .where(and(eq(records.kind, kind), eq(records.id, id)));
  return row && (JSON.parse(row.data) as RecordOf<K>);
}

export const putRecord = <K extends WorkshopKind>(
  db: Db,
  kind: K,
  id: string,
  position: number,
  data: RecordOf<K>,
) => {
  const row = { kind, id, position, data: JSON.stringify(data) };
  return db
    .insert(records)
    .values(row)
    .onConflictDoUpdate({ target: [records.kind, records.id], set: { data: row.data } });
};

/** Many records in one statement; later ones replace earlier ones of the same id. */
export const putRecords = (db: Db, rows: (typeof records.$inferInsert)[]) =>
  db
    .insert(records)
    .values(rows)
    .onConflictDoUpdate({ target: [records.kind, records.id], set: { data: sql`excluded.data` } });

/** When a record was changed, UTC milliseconds, newest first. */
export const replacedAt = async (db: Db, kind: WorkshopKind, id: string): Promise<number[]> =>
  (
    await db
      .select({ atMs: recordVersions.replacedMs })
      .from(recordVersions)
      .where(and(eq(recordVersions.kind, kind), eq(recordVersions.id, id)))
      .orderBy(desc(recordVersions.version))
  ).map((r) => r.atMs);

export const listTechnicians = (db: Db) => db.select().from(technicians);

export const technicianById = async (db: Db, id: string) =>
  (await db.select().from(technicians).where(eq(technicians.id, id)))[0];

export const putTechnician = (db: Db, row: typeof technicians.$inferInsert) =>
  db
    .insert(technicians)
    .values(row)
    .onConflictDoUpdate({
      target: technicians.id,
      set: { name: row.name, lead: row.lead, pinSalt: row.pinSalt, pinHash: row.pinHash },
    });
export const setPerson = (
  db: Db,
  id: string,
  set: { pinSalt: string; pinHash: string; name?: string },
) => db.update(technicians).set(set).where(eq(technicians.id, id));
export const setRetired = (db: Db, id: string, retiredMs: number | null) =>
  db.update(technicians).set({ retiredMs }).where(eq(technicians.id, id));

export async function getMeta(db: Db, key: string): Promise<string | undefined> {
  return (
    await db
      .select()
      .from(meta)
      .where(inArray(meta.key, [key]))
  )[0]?.value;
}
export const putMeta = (db: Db, key: string, value: string) =>
  db.insert(meta).values({ key, value }).onConflictDoUpdate({ target: meta.key, set: { value } });
