import { desc } from 'drizzle-orm';
import type { ShopSettings } from '../core/schemas/shop.ts';
import type { Db } from './open.ts';
import { shopSettings } from './schema.ts';

export interface SettingsRow {
  version: number;
  commandId: string;
  settings: ShopSettings;
  byId: string | null;
  atMs: number;
}

/** Versions of the shop's settings, newest first. */
export const allSettings = async (db: Db): Promise<SettingsRow[]> =>
  (await db.select().from(shopSettings).orderBy(desc(shopSettings.version))).map(
    ({ data, ...row }) => ({ ...row, settings: data }),
  );
export const insertSettings = (db: Db, { settings, ...row }: Omit<SettingsRow, 'version'>) =>
  db.insert(shopSettings).values({ ...row, data: settings });
