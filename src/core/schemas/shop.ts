import { type Static, Type } from '@sinclair/typebox';
import { schoolIds, type SchoolId } from '../families/schools.data.ts';
import type { Instrument } from '../fits/seat.ts';
import type { Wrench } from '../torque/wrench.ts';
import { unitSystems } from '../units/index.ts';
import type { Paces } from '../logbook/minutes.ts';
import { closed, Currency, eachOf, Id, Maybe, oneOf, Text } from './common.ts';

/** How one workshop works; each change is kept with who made it and when. */
export const ShopSettingsSchema = closed({
  name: Text(80),
  /** Simulated instruments may be used; outside a demo shop a job with one is practice. */
  standIns: Type.Boolean(),
  /** Which units come first; metric unless said. */
  units: Maybe(oneOf(unitSystems)),
  currency: Maybe(Currency),
  /** An hour of hands on a car, in minor units of the currency. */
  labourRateMinor: Maybe(Type.Integer({ minimum: 1, maximum: 100_000_000 })),
  /** Ways this shop goes where good technicians differ, by their question; ours where it says nothing. */
  schools: Maybe(Type.Partial(closed(eachOf(schoolIds, Id)), { additionalProperties: false })),
  /** Tax on a quote, per cent. */
  taxPercent: Maybe(Type.Number({ minimum: 0, maximum: 50 })),
  /** IANA name, "Europe/Oslo"; the machine's own unless said. */
  timeZone: Maybe(Text(60)),
  /** Distance after which nut and wheel nuts are looked at again, km. */
  recheckKm: Maybe(Type.Integer({ minimum: 10, maximum: 2000 })),
  /** Days after which they are looked at at the latest. */
  recheckDays: Maybe(Type.Integer({ minimum: 1, maximum: 365 })),
  /** Days, and distance in km, after which a packed bearing is looked at and packed. */
  serviceDays: Maybe(Type.Integer({ minimum: 30, maximum: 1500 })),
  serviceKm: Maybe(Type.Integer({ minimum: 1000, maximum: 200_000 })),
  /** Within this distance a bearing that fails again on its corner is a comeback, km. */
  comebackKm: Maybe(Type.Integer({ minimum: 100, maximum: 100_000 })),
  /** What a wrong call costs here, with its part and the comeback, in minutes of work. */
  wrongCallMinutes: Maybe(Type.Integer({ minimum: 20, maximum: 2000 })),
});
export type ShopSettings = Static<typeof ShopSettingsSchema>;

/** The settings as a page shows them, with who changed them when. */
export interface ShopView {
  version: number;
  settings: ShopSettings;
  demo: boolean;
  people: { id: string; name: string; lead: boolean; retired?: true }[];
  wrenches: Wrench[];
  instruments: Instrument[];
  changes: { version: number; byId: string | null; atMs: number }[];
}

/** What a job knows of its shop. */
export interface ShopOfJob {
  /** Loaded with made-up data: simulated instruments count as real ones there. */
  demo: boolean;
  standIns: boolean;
  /** The shop's own distance to the recheck, km. */
  recheckKm?: number;
  /** What a wrong call costs here, minutes of work. */
  wrongCallMinutes?: number;
  /** What it takes against our minutes, by kind of bearing, where it knows enough jobs. */
  paces?: Paces;
  /** The shop's own ways, by their question. */
  schools?: Partial<Record<SchoolId, string>>;
}
