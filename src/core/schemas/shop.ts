import { type Static, Type } from '@sinclair/typebox';
import type { Instrument } from '../fits/seat.ts';
import type { Wrench } from '../torque/procedure.ts';
import { closed, Text } from './common.ts';

/** How one workshop works; each change is kept with who made it and when. */
export const ShopSettingsSchema = closed({
  name: Text(80),
  /** Simulated instruments may be used; outside a demo shop a job with one is practice. */
  standIns: Type.Boolean(),
});
export type ShopSettings = Static<typeof ShopSettingsSchema>;

/** The settings as a page shows them, with who changed them when. */
export interface ShopView {
  version: number;
  settings: ShopSettings;
  demo: boolean;
  people: { id: string; name: string; lead: boolean }[];
  wrenches: Wrench[];
  instruments: Instrument[];
  changes: { version: number; byId: string | null; atMs: number }[];
}

/** What a job knows of its shop. */
export interface ShopOfJob {
  /** Loaded with made-up data: simulated instruments count as real ones there. */
  demo: boolean;
  standIns: boolean;
}
