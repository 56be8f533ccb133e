import { type Static, Type } from '@sinclair/typebox';
import type { AlikeCorner } from '../core/corner-record.ts';
import { type CornerRecord, CornerRecordSchema } from '../core/corner-record.ts';
import { corners } from '../core/corner.ts';
import { closed, Id, Km, Mm, Text } from '../core/schemas/common.ts';
import { type UnitRecord, UnitSchema } from '../core/schemas/workshop.ts';
import { listRecords, putRecord } from '../db/records.ts';
import { personOrProblem } from './people.ts';
import { invalid } from './problem.ts';
import { store } from './store.ts';

export const AlikeSchema = closed({
  family: CornerRecordSchema.properties.family,
  outerMm: Mm(),
  boreMm: Mm(),
  /** The unit that asks: its own other corners come first. */
  unitId: Id,
});

/** How near the rings of two corners are to be the same size, mm. */
const sameMm = 0.05;
const mostAlike = 6;

/** Corners on record of the same family with a part of the same size, those of the same unit first. */
export async function alikeCorners(b: Static<typeof AlikeSchema>): Promise<AlikeCorner[]> {
  const { db } = await store();
  const parts = new Map((await listRecords(db, 'parts')).map((p) => [p.number, p.bearing]));
  const same = (record: CornerRecord): boolean => {
    const part = parts.get(record.partNumber ?? '');
    const outer = part?.outerMm ?? record.knuckle?.boreMm ?? record.housing?.boreMm;
    const bore = part?.boreMm ?? record.hub?.journalMm ?? record.shaft?.journalMm;
    const off = (x: number | undefined, y: number) => x !== undefined && Math.abs(x - y) > sameMm;
    return record.family === b.family && !off(outer, b.outerMm) && !off(bore, b.boreMm);
  };
  return (await listRecords(db, 'units'))
    .sort((x, y) => Number(y.id === b.unitId) - Number(x.id === b.unitId))
    .flatMap((u) =>
      corners.flatMap((corner) => {
        const record = u.corners[corner];
        return record && same(record) ? [{ fleetNo: u.fleetNo, name: u.name, corner, record }] : [];
      }),
    )
    .filter(({ record }) => record.knuckle ?? record.housing ?? record.shaft)
    .slice(0, mostAlike);
}

export const NewUnitSchema = closed({
  byId: Id,
  fleetNo: UnitSchema.properties.fleetNo,
  layout: UnitSchema.properties.layout,
  odometerKm: Km,
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
