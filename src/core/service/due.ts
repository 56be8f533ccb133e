import type { CornerRecord } from '../corner-record.ts';
import { type Corner, corners } from '../corner.ts';
import type { FamilyCode } from '../families/index.ts';
import { dueMs } from '../prove/index.ts';
import type { ShopSettings } from '../schemas/shop.ts';
import type { UnitRecord } from '../schemas/workshop.ts';
import type { FleetService, ServiceCause, ServiceDue } from './serviced.ts';

/**
 * Days after which a packed bearing is looked at: “every year or two”, the shorter of both. Common practice, no published
 * source; the shop's own comes first, and the maker's before that.
 */
export const serviceDays = 365;

/** How often a shop looks: days at the latest, and a distance where it has set one. */
export interface ServiceEvery {
  days: number;
  km?: number | undefined;
}

/** What is done at the service of a family that has one; a bearing sealed for life has none. */
const packed: Partial<Record<FamilyCode, string>> = {
  T2: 'Jacked, shaken, turned: end play by the dial, drag felt, both sides compared; washed out and packed where it is due.',
  A3: 'Jacked, shaken, turned: end play by the dial, drag felt, both sides compared; washed out and packed where it is due.',
  P3L: 'Needle bearing behind the shaft packed, locking hub freed and filmed, vacuum held.',
};
const inOil =
  'With the axle oil: level and colour, breather, no weep at the seal; end play and drag felt.';

/** Whether the bearing of a corner is one that is packed or fed, and what its service is. */
export function serviceWords(c: CornerRecord | undefined): string | undefined {
  const words = c && packed[c.family];
  return words && c.feed === 'oil' ? inOil : words;
}

const dayMs = 86_400_000;

/** When the bearing of one corner is seen to next; undefined where it has no service. `nowMs`: UTC milliseconds. */
export function serviceDue(
  unit: UnitRecord,
  corner: Corner,
  every: ServiceEvery,
  nowMs: number,
): ServiceDue | undefined {
  const words = serviceWords(unit.corners[corner]);
  if (!words) return undefined;
  const last = unit.serviced?.[corner];
  if (!last) return { corner, words };
  const onMs = Date.parse(last.on);
  const wadedMs = unit.wadedOn === undefined ? -Infinity : Date.parse(unit.wadedOn);
  const drivenKm =
    last.atKm === undefined || unit.odometerKm === undefined
      ? undefined
      : Math.max(0, unit.odometerKm - last.atKm);
  const told = {
    corner,
    words,
    last,
    ...(drivenKm === undefined ? {} : { drivenKm }),
    ...(every.km === undefined ? {} : { everyKm: every.km }),
  };
  const owed = (due: number, cause: ServiceCause): ServiceDue => ({
    ...told,
    dueMs: due,
    cause,
    late: due <= nowMs,
  });
  // Water that stood over the hub is in the grease from that day on.
  if (wadedMs > onMs || (wadedMs === onMs && !last.afterWater)) return owed(wadedMs, 'deep-water');
  const byDate = onMs + every.days * dayMs;
  if (every.km === undefined || drivenKm === undefined) return owed(byDate, 'date');
  const due = dueMs({
    signedMs: onMs,
    signedKm: 0,
    dueKm: every.km,
    nowKm: drivenKm,
    nowMs,
    days: every.days,
  });
  return owed(due, due < byDate ? 'distance' : 'date');
}

/** Every corner of a unit that has a service, in the order of the corners. */
export const servicesOf = (unit: UnitRecord, every: ServiceEvery, nowMs: number): ServiceDue[] =>
  corners.flatMap((c) => serviceDue(unit, c, every, nowMs) ?? []);

/** How often a shop sees to packed bearings: its own figures first. */
export const everyOf = ({
  serviceDays: days,
  serviceKm,
}: Pick<ShopSettings, 'serviceDays' | 'serviceKm'>): ServiceEvery => ({
  days: days ?? serviceDays,
  ...(serviceKm === undefined ? {} : { km: serviceKm }),
});

/** Services of a fleet whose day is known, the first that is due first. */
export const servicesDue = (
  units: readonly UnitRecord[],
  every: ServiceEvery,
  nowMs: number,
): FleetService[] =>
  units
    .flatMap((u) =>
      servicesOf(u, every, nowMs).flatMap(({ dueMs: due, cause, ...s }) =>
        due === undefined || cause === undefined
          ? []
          : [{ ...s, dueMs: due, cause, unitId: u.id, fleetNo: u.fleetNo }],
      ),
    )
    .sort((a, b) => a.dueMs - b.dueMs);
