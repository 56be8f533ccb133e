import { type Static, Type } from '@sinclair/typebox';
import {
  causesOf,
  countsOf,
  type Edits,
  lessonsOf,
  type LikelihoodTables,
  type Outcome,
  plainTables,
  rowFault,
  testById,
} from '../core/diagnosis/index.ts';
import { closed, Id, Text, Uuid } from '../core/schemas/common.ts';
import {
  allTables,
  insertTables,
  lastTables,
  outcomeOf,
  outcomesFrom,
  type TablesRow,
} from '../db/likelihood-tables.ts';
import type { Db } from '../db/open.ts';
import { leadByPin, people } from './people.ts';
import { type FieldFault, invalid, notFound, Problem } from './problem.ts';
import { store } from './store.ts';

const Signed = { id: Uuid, byId: Id, pin: Type.String({ maxLength: 12 }), reason: Text(400) };
const seen = {
  version: Type.Integer({
    minimum: 0,
    description: 'Version that was seen; 0 for our own figures',
  }),
};

export const TableEditSchema = closed({
  ...Signed,
  ...seen,
  testId: Id,
  rows: Type.Record(
    Type.String({ pattern: '^[a-z]+(:[a-z]+)?$' }),
    Type.Array(Type.Number(), { minItems: 2, maxItems: 8 }),
  ),
});
export const TableRestoreSchema = closed({
  ...Signed,
  ...seen,
  restore: Type.Integer({
    minimum: 0,
    description: 'Version to go back to; 0 for our own figures',
  }),
});
export const CountResetSchema = closed({ ...Signed, ...seen });

const tablesAt = async (db: Db, row: TablesRow | undefined): Promise<LikelihoodTables> => {
  const outcomes = await outcomesFrom(db, row?.countFromMs ?? 0);
  return {
    version: row?.version ?? 0,
    edits: row?.edits ?? plainTables.edits,
    counts: countsOf(outcomes),
    outcomes: outcomes.length,
    causes: causesOf(outcomes),
  };
};

/** The tables as they stand. */
export const tablesNow = async (db: Db): Promise<LikelihoodTables> =>
  tablesAt(db, await lastTables(db));

export async function tablesView() {
  const { db } = await store();
  const all = await allTables(db);
  return {
    tables: await tablesAt(db, all[0]),
    countFromMs: all[0]?.countFromMs ?? 0,
    people: await people(),
    versions: all.map(({ version, reason, byId, atMs }) => ({ version, reason, byId, atMs })),
  };
}
export type TablesView = Awaited<ReturnType<typeof tablesView>>;

/** Writes a further version, if the one that was seen still stands. A repeat of the same command is done once. */
async function turn(
  input: { id: string; byId: string; pin: string; reason: string; version: number },
  next: (now: TablesRow | undefined, all: TablesRow[]) => { edits: Edits; countFromMs: number },
): Promise<TablesView> {
  const { db, writes } = await store();
  await leadByPin(db, input.byId, input.pin);
  await writes.run(async () => {
    const all = await allTables(db);
    if (all.some((b) => b.commandId === input.id)) return;
    const now = all[0];
    if ((now?.version ?? 0) !== input.version)
      throw new Problem(
        409,
        'Changed meanwhile',
        `Somebody changed the tables since you saw them (version ${input.version}, now ${now?.version ?? 0}). Look and change again.`,
        [{ field: 'version', reason: 'Stale.' }],
        { version: now?.version ?? 0 },
      );
    await insertTables(db, {
      ...next(now, all),
      commandId: input.id,
      reason: input.reason,
      byId: input.byId,
      atMs: Date.now(),
    });
  });
  return tablesView();
}

export async function editTable(b: Static<typeof TableEditSchema>): Promise<TablesView> {
  const t = testById(b.testId);
  if (!t) throw notFound('test', b.testId);
  const faults = Object.entries(b.rows).flatMap(([key, row]): FieldFault[] => {
    const fault = rowFault(t, key, row);
    return fault ? [{ field: `rows.${key}`, reason: fault }] : [];
  });
  if (faults.length > 0) throw invalid(faults);
  return turn(b, (now) => ({
    edits: { ...now?.edits, [t.id]: { ...now?.edits[t.id], ...b.rows } },
    countFromMs: now?.countFromMs ?? 0,
  }));
}

export const restoreTable = (b: Static<typeof TableRestoreSchema>): Promise<TablesView> =>
  turn(b, (now, all) => {
    const old = all.find((x) => x.version === b.restore);
    if (!old && b.restore !== 0) throw notFound('version', String(b.restore));
    return { edits: old?.edits ?? {}, countFromMs: now?.countFromMs ?? 0 };
  });

/** Outcomes so far count no more; they stay on record. */
export const resetCounts = (b: Static<typeof CountResetSchema>): Promise<TablesView> =>
  turn(b, (now) => ({ edits: now?.edits ?? {}, countFromMs: Date.now() }));

/** What a signed job taught the tables: each row before and after, against the tables without it. */
export async function jobLessons(jobId: string) {
  const { db } = await store();
  const own = await outcomeOf(db, jobId);
  if (!own) return { lessons: [] };
  const row = await lastTables(db);
  const others = (await outcomesFrom(db, row?.countFromMs ?? 0)).filter(
    (o: Outcome) => o.jobNumber !== own.outcome.jobNumber,
  );
  const before: LikelihoodTables = {
    version: row?.version ?? 0,
    edits: row?.edits ?? {},
    counts: countsOf(others),
    outcomes: others.length,
  };
  return {
    suspectId: own.outcome.suspectId,
    counted: own.atMs >= (row?.countFromMs ?? 0),
    lessons: lessonsOf(before, own.outcome),
  };
}
