import { type Static, Type } from '@sinclair/typebox';
import type { AlikeCorner } from '../core/corner-record.ts';
import { CornerRecordSchema } from '../core/corner-record.ts';
import { corners } from '../core/corner.ts';
import { builtAlike } from '../core/press/index.ts';
import { closed, Id, Km, Mm, Text } from '../core/schemas/common.ts';
import { type UnitRecord, UnitSchema } from '../core/schemas/workshop.ts';
import { everyOf, servicesOf } from '../core/service/index.ts';
import type { UnitSheet } from '../core/schemas/unit-sheet.ts';
import type { JobSummary } from '../core/job/index.ts';
import { getRecord, listRecords, putRecord, replacedAt } from '../db/records.ts';
import { jobsOfUnit } from '../db/summaries.ts';
import { floorSummaries } from './floor.ts';
import { leadByPin, peopleOf, personOrProblem } from './people.ts';
import { invalid, notFound } from './problem.ts';
import { partIndex } from './parts.ts';
import { settingsOf, shopTitle, shopZone } from './shop.ts';
import { store } from './store.ts';

export const AlikeSchema = closed({
  family: CornerRecordSchema.properties.family,
  outerMm: Mm(),
  boreMm: Mm(),
  /** The unit that asks: its own other corners come first. */
  unitId: Id,
});

const mostAlike = 6;

/** Corners on record that may be built alike, those of the same unit first. */
export async function alikeCorners({
  family,
  unitId,
  ...part
}: Static<typeof AlikeSchema>): Promise<AlikeCorner[]> {
  const { db } = await store();
  const procedures = await listRecords(db, 'procedures');
  return (await listRecords(db, 'units'))
    .sort((x, y) => Number(y.id === unitId) - Number(x.id === unitId))
    .flatMap((u) =>
      corners.flatMap((corner) => {
        const record = u.corners[corner];
        if (!record || !builtAlike(record, family, part)) return [];
        const procedure = procedures.find((p) => p.id === record.procedureId);
        return [
          {
            fleetNo: u.fleetNo,
            name: u.name,
            corner,
            record,
            fasteners: u.fasteners,
            ...(procedure ? { procedure } : {}),
          },
        ];
      }),
    )
    .slice(0, mostAlike);
}

export const NewUnitSchema = closed({
  byId: Id,
  fleetNo: UnitSchema.properties.fleetNo,
  layout: UnitSchema.properties.layout,
  odometerKm: Type.Optional(Km),
  name: Type.Optional(Text(60)),
});

/** A car that rolls in: number or plate, what drives it and its clock; everything else can wait. */
export async function newUnit({
  byId,
  name,
  ...unit
}: Static<typeof NewUnitSchema>): Promise<UnitRecord> {
  const { db, writes } = await store();
  await personOrProblem(db, byId);
  const record: UnitRecord = {
    id: `unit-${unit.fleetNo.toLowerCase()}`,
    name: name ?? `Unit ${unit.fleetNo}`,
    ...unit,
    corners: {},
    fasteners: {},
  };
  await writes.run(async () => {
    const all = await listRecords(db, 'units');
    const twin = all.find((u) => u.fleetNo === unit.fleetNo || u.id === record.id);
    if (twin)
      throw invalid([
        {
          field: 'fleetNo',
          reason: `${twin.fleetNo} is on record: ${twin.name}. Start its job from the list.`,
        },
      ]);
    await putRecord(db, 'units', record.id, all.length, record);
  });
  return record;
}

const stateOf = ({ station, closed }: JobSummary): 'open' | 'signed' | 'closed' => {
  if (closed) return 'closed';
  return station ? 'open' : 'signed';
};

/** One unit with all that is known of it. */
export async function unitSheet(id: string): Promise<UnitSheet> {
  const { db } = await store();
  const unit = await getRecord(db, 'units', id);
  if (!unit) throw notFound('unit', id);
  // Jobs written since the last look at the floor are summed up first.
  await floorSummaries();
  const jobs = (await jobsOfUnit(db, id)).map((row) => {
    const summary = JSON.parse(row.data) as JobSummary;
    return {
      id: row.id,
      number: row.number,
      corner: summary.corner,
      startedMs: row.createdMs,
      ...(summary.endedMs === undefined ? {} : { endedMs: summary.endedMs }),
      ...(summary.part ? { part: summary.part } : {}),
      state: stateOf(summary),
    };
  });
  const procedures = await listRecords(db, 'procedures');
  const index = await partIndex(db);
  return {
    unit,
    jobs,
    lives: (await listRecords(db, 'lives')).filter((l) => l.unit === unit.fleetNo),
    bores: Object.fromEntries(
      corners.flatMap((c) => {
        const part = index.byNumber.get(unit.corners[c]?.partNumber ?? '');
        return part ? [[c, part.bearing.boreMm]] : [];
      }),
    ),
    services: servicesOf(unit, everyOf(await settingsOf()), Date.now()),
    changes: await replacedAt(db, 'units', id),
    procedures: Object.fromEntries(
      corners.flatMap((c) => {
        const p = procedures.find((x) => x.id === unit.corners[c]?.procedureId);
        return p ? [[c, { name: p.name, source: p.source }]] : [];
      }),
    ),
    shop: await shopTitle(),
    people: await peopleOf(db),
    timeZone: await shopZone(),
  };
}

const { name, tyre, year, identification, axleLoadN } = UnitSchema.properties;
export const UnitFactsSchema = closed({
  byId: Id,
  facts: closed({ name, odometerKm: Type.Optional(Km), tyre, year, identification, axleLoadN }),
});

/** Changes a unit's record; as it was it is kept. */
export async function changeUnit(
  id: string,
  by: (unit: UnitRecord) => UnitRecord,
): Promise<UnitSheet> {
  const { db, writes } = await store();
  await writes.run(async () => {
    const unit = await getRecord(db, 'units', id);
    if (!unit) throw notFound('unit', id);
    await putRecord(db, 'units', id, 0, by(unit));
  });
  return unitSheet(id);
}

/** A clock goes forward; only a lead brings it down. */
export function clockForward(unit: UnitRecord, odometerKm: number | undefined, field: string) {
  if ((odometerKm ?? Infinity) >= (unit.odometerKm ?? 0)) return;
  const reason = `The record stands at ${unit.odometerKm} km: a lead brings it down, with a reason.`;
  throw invalid([{ field, reason }]);
}

/** What was learned of a unit besides its corners. */
export async function noteFacts(
  id: string,
  { byId, facts }: Static<typeof UnitFactsSchema>,
): Promise<UnitSheet> {
  await personOrProblem((await store()).db, byId);
  return changeUnit(id, (unit) => {
    clockForward(unit, facts.odometerKm, 'facts.odometerKm');
    return { ...unit, ...facts };
  });
}

export const ClockSchema = closed({
  byId: Id,
  pin: Type.String({ maxLength: 12 }),
  odometerKm: Km,
  reason: Text(400),
});

/** A lead brings a clock down that was misread or exchanged; who, when and why stay on the record. */
export async function correctClock(
  id: string,
  { byId, pin, odometerKm, reason }: Static<typeof ClockSchema>,
): Promise<UnitSheet> {
  await leadByPin((await store()).db, byId, pin);
  return changeUnit(id, (unit) => {
    const fromKm = unit.odometerKm ?? 0;
    if (odometerKm >= fromKm)
      throw invalid([
        {
          field: 'odometerKm',
          reason: `The record stands at ${fromKm} km: only a lower clock is a correction.`,
        },
      ]);
    const corrected = { fromKm, toKm: odometerKm, reason, byId, atMs: Date.now() };
    return {
      ...unit,
      odometerKm,
      clockCorrected: [...(unit.clockCorrected ?? []), corrected],
    };
  });
}
