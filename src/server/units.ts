import { type Static, Type } from '@sinclair/typebox';
import type { AlikeCorner } from '../core/corner-record.ts';
import { CornerRecordSchema } from '../core/corner-record.ts';
import { corners } from '../core/corner.ts';
import { builtAlike } from '../core/press/index.ts';
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

const mostAlike = 6;

/** Corners on record that may be built alike, those of the same unit first. */
export async function alikeCorners({
  family,
  unitId,
  ...part
}: Static<typeof AlikeSchema>): Promise<AlikeCorner[]> {
  const { db } = await store();
  return (await listRecords(db, 'units'))
    .sort((x, y) => Number(y.id === unitId) - Number(x.id === unitId))
    .flatMap((u) =>
      corners.flatMap((corner) => {
        const record = u.corners[corner];
        return record && builtAlike(record, family, part)
          ? [{ fleetNo: u.fleetNo, name: u.name, corner, record }]
          : [];
      }),
    )
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
