import { type Static, Type } from '@sinclair/typebox';
import { closed, Id, Km, Text } from '../core/schemas/common.ts';
import { type UnitRecord, UnitSchema } from '../core/schemas/workshop.ts';
import { listRecords, putRecord } from '../db/records.ts';
import { personOrProblem } from './people.ts';
import { invalid } from './problem.ts';
import { store } from './store.ts';

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
