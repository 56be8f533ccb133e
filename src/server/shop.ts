import { type Static, Type } from '@sinclair/typebox';
import { type SchoolId, schoolOption } from '../core/families/index.ts';
import { closed, Id, Uuid } from '../core/schemas/common.ts';
import {
  type ShopOfJob,
  type ShopSettings,
  ShopSettingsSchema,
  type ShopView,
} from '../core/schemas/shop.ts';
import type { UnitSystem } from '../core/units/index.ts';
import type { Db } from '../db/open.ts';
import { getMeta, listRecords, putMeta } from '../db/records.ts';
import { allSettings, insertSettings } from '../db/shop.ts';
import { leadByPin, people } from './people.ts';
import { invalid, Problem } from './problem.ts';
import { store } from './store.ts';

/** Key under which a shop is kept as one of made-up data. */
const demoKey = 'demo';
export const markAsDemo = (db: Db) => putMeta(db, demoKey, 'yes');
const isDemo = async (db: Db): Promise<boolean> => (await getMeta(db, demoKey)) === 'yes';

/** The settings as they stand; before any were made, the name that came with an import, and no simulated instruments. */
export async function settingsNow(db: Db): Promise<{ version: number; settings: ShopSettings }> {
  const [last] = await allSettings(db);
  if (last) return { version: last.version, settings: last.settings };
  return { version: 0, settings: { name: (await getMeta(db, 'shop')) ?? '', standIns: false } };
}

/** How this shop works, as it stands. */
export const settingsOf = async (): Promise<ShopSettings> =>
  (await settingsNow((await store()).db)).settings;

/** What a job is told of its shop. */
export async function shopOfJob(db: Db): Promise<ShopOfJob> {
  const demo = await isDemo(db);
  const { standIns, recheckKm, schools, wrongCallMinutes } = (await settingsNow(db)).settings;
  return {
    demo,
    standIns: demo || standIns,
    ...(recheckKm ? { recheckKm } : {}),
    ...(wrongCallMinutes ? { wrongCallMinutes } : {}),
    ...(schools ? { schools } : {}),
  };
}

/** Which units this shop reads first. */
export async function unitsFirst(): Promise<UnitSystem> {
  const { db } = await store();
  return (await settingsNow(db)).settings.units ?? 'metric';
}

/** Times are kept in UTC and shown in the shop's zone: its own, the environment's, the machine's. */
export async function zoneOf(db: Db): Promise<string> {
  return (
    (await settingsNow(db)).settings.timeZone ??
    process.env['SHOP_TZ'] ??
    Intl.DateTimeFormat().resolvedOptions().timeZone
  );
}
export const shopZone = async (): Promise<string> => zoneOf((await store()).db);

const isZone = (name: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
};

/** The name on every head strip; undefined while the shop has none. */
export async function shopName(): Promise<string | undefined> {
  const { db } = await store();
  return (await settingsNow(db)).settings.name || undefined;
}
/** The name as a head strip says it, with the mark of a shop of made-up data. */
export async function shopTitle(): Promise<string> {
  const { db } = await store();
  const name = (await shopName()) ?? 'Workshop';
  return (await isDemo(db)) ? `${name}, demo` : name;
}

export async function shopView(): Promise<ShopView> {
  const { db } = await store();
  const versions = await allSettings(db);
  return {
    ...(await settingsNow(db)),
    demo: await isDemo(db),
    people: await people(),
    wrenches: await listRecords(db, 'wrenches'),
    instruments: await listRecords(db, 'instruments'),
    changes: versions.map(({ settings: _s, commandId: _c, ...v }) => v),
  };
}
export const SettingsChangeSchema = closed({
  id: Uuid,
  byId: Id,
  pin: Type.String({ maxLength: 12 }),
  version: Type.Integer({ minimum: 0, description: 'Version that was seen; 0 for none yet' }),
  settings: ShopSettingsSchema,
});

/** A lead changes the settings, if the version that was seen still stands. A repeat of the same command is done once. */
export async function changeSettings({
  id,
  byId,
  pin,
  version,
  settings,
}: Static<typeof SettingsChangeSchema>): Promise<ShopView> {
  const { db, writes } = await store();
  await leadByPin(db, byId, pin);
  if (settings.timeZone && !isZone(settings.timeZone))
    throw invalid([
      { field: 'settings.timeZone', reason: `“${settings.timeZone}” is no time zone known here.` },
    ]);
  for (const [id, chosen = ''] of Object.entries(settings.schools ?? {}))
    if (!schoolOption(id as SchoolId, chosen))
      throw invalid([{ field: `settings.schools.${id}`, reason: `No way is called “${chosen}”.` }]);
  await writes.run(async () => {
    const [last] = await allSettings(db);
    if (last?.commandId === id) return;
    if ((last?.version ?? 0) !== version)
      throw new Problem(
        409,
        'Changed meanwhile',
        'Somebody changed the settings since you saw them. Look again.',
        [{ field: 'version', reason: 'Stale.' }],
      );
    await insertSettings(db, { commandId: id, settings, byId, atMs: Date.now() });
  });
  return shopView();
}

/** Simulated instruments answer in a demo shop, or where a lead has switched them on. */
export async function standInsOn(): Promise<void> {
  if (!(await shopOfJob((await store()).db)).standIns)
    throw new Problem(
      409,
      'Off in this shop',
      'Simulated instruments are off in this shop. A lead switches them on in the settings.',
      [{ field: 'standIns', reason: 'Off.' }],
    );
}
