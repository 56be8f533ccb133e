import { type Static, Type } from '@sinclair/typebox';
import { corners } from '../core/corner.ts';
import { closed, DateOnly, Id, Km, oneOf } from '../core/schemas/common.ts';
import type { UnitSheet } from '../core/schemas/unit-sheet.ts';
import type { UnitRecord } from '../core/schemas/workshop.ts';
import { ServicedSchema, serviceWords } from '../core/service/index.ts';
import { isoDay } from '../core/units/index.ts';
import { personOrProblem } from './people.ts';
import { invalid } from './problem.ts';
import { shopZone } from './shop.ts';
import { store } from './store.ts';
import { changeUnit, clockForward } from './units.ts';

const { what, playMm, note } = ServicedSchema.properties;
export const ServiceSchema = closed({
  byId: Id,
  corner: oneOf(corners),
  what,
  playMm,
  note,
  odometerKm: Type.Optional(Km),
});
export const WadedSchema = closed({
  byId: Id,
  on: Type.Optional({ ...DateOnly, description: 'The day by the shop’s clock; today unless said' }),
});

/** What somebody did to a unit today, by the shop's clock. */
async function change(
  unitId: string,
  byId: string,
  by: (unit: UnitRecord, today: string) => UnitRecord,
): Promise<UnitSheet> {
  await personOrProblem((await store()).db, byId);
  const today = isoDay(Date.now(), await shopZone());
  return changeUnit(unitId, (unit) => by(unit, today));
}

/** The bearing of a corner was seen to, without a job. */
export const noteService = (
  unitId: string,
  { byId, corner, odometerKm, ...done }: Static<typeof ServiceSchema>,
): Promise<UnitSheet> =>
  change(unitId, byId, (unit, today) => {
    const no = (field: string, reason: string) => invalid([{ field, reason }]);
    if (done.what === 'fitted') throw no('what', 'A bearing is fitted by a job.');
    if (!serviceWords(unit.corners[corner]))
      throw no('corner', `Nothing is packed or fed at ${corner}: that bearing has no service.`);
    clockForward(unit, odometerKm, 'odometerKm');
    // A clock that nobody read then says nothing of how far it ran since.
    const read = odometerKm === undefined ? {} : { atKm: odometerKm };
    const wet = unit.wadedOn === today ? { afterWater: true as const } : {};
    return {
      ...unit,
      ...(odometerKm === undefined ? {} : { odometerKm }),
      serviced: { ...unit.serviced, [corner]: { on: today, ...read, ...wet, ...done, byId } },
    };
  });

/** The unit stood in deep water: every packed bearing of it is seen to. */
export const noteWaded = (
  unitId: string,
  { byId, on }: Static<typeof WadedSchema>,
): Promise<UnitSheet> =>
  change(unitId, byId, (unit, today) => {
    const wadedOn = on ?? today;
    if (wadedOn > today) throw invalid([{ field: 'on', reason: `${on} has not come yet.` }]);
    return { ...unit, wadedOn };
  });
