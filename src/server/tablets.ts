import { eq, like } from 'drizzle-orm';
import { type Static, Type } from '@sinclair/typebox';
import { createHash, randomBytes } from 'node:crypto';
import { closed, Id, Text } from '../core/schemas/common.ts';
import type { TabletRow } from '../core/schemas/tablets.ts';
import type { Db } from '../db/open.ts';
import { getMeta, putMeta } from '../db/records.ts';
import { meta } from '../db/schema.ts';
import { triedRight } from './pin-tries.ts';
import { invalid, Problem } from './problem.ts';
import { store } from './store.ts';

/** Whether other machines reach this server: then a pass comes before everything. Set at the start. */
export const isNetwork = (): boolean => process.env['SHOP_NETWORK'] === 'yes';

export const tabletCookie = 'ts-tablet';
export const passKey = 'shop-pass';
const prefix = 'tablet:';

/** How long a PIN given once on a tablet holds for its person: a shift, ms. */
const shiftMs = 12 * 3_600_000;
/** A tablet that was not used for so long joins anew, ms. */
const idleMs = 90 * 86_400_000;

interface Kept {
  name: string;
  joinedMs: number;
  lastMs: number;
  /** Until when each person's PIN holds here. */
  shifts: Record<string, number>;
}
export interface Tablet extends Kept {
  id: string;
}

const idOf = (token: string): string => createHash('sha256').update(token).digest('hex');

async function tabletById(db: Db, id: string): Promise<Tablet | undefined> {
  const text = await getMeta(db, prefix + id);
  return text === undefined ? undefined : { id, ...(JSON.parse(text) as Kept) };
}
const keep = (db: Db, { id, ...kept }: Tablet) => putMeta(db, prefix + id, JSON.stringify(kept));

/** The tablet that a cookie names; undefined for one that never joined, was thrown out, or lay idle. */
export async function tabletOf(token: string | undefined): Promise<Tablet | undefined> {
  if (!token) return undefined;
  const { db } = await store();
  const tablet = await tabletById(db, idOf(token));
  const now = Date.now();
  if (!tablet || now - tablet.lastMs > idleMs) return undefined;
  // Written now and then: each request would be a write.
  if (now - tablet.lastMs > 60_000) await keep(db, { ...tablet, lastMs: now });
  return tablet;
}

/** Codes that a joined tablet shows, each for one other tablet and a few minutes. */
const codes = new Map<string, number>();
const codeMs = 10 * 60_000;

/** A code that lets one more tablet in. */
export function invite(): { code: string; untilMs: number } {
  const now = Date.now();
  for (const [code, untilMs] of codes) if (untilMs < now) codes.delete(code);
  const code = randomBytes(18).toString('base64url');
  codes.set(code, now + codeMs);
  return { code, untilMs: now + codeMs };
}

export const JoinSchema = closed({
  name: Text(40),
  pass: Type.Optional(Type.String({ maxLength: 60 })),
  code: Type.Optional(Type.String({ maxLength: 60 })),
});

const refused = (field: string, reason: string) =>
  new Problem(403, 'Not let in', reason, [{ field, reason }]);

async function letIn(db: Db, { pass, code }: Static<typeof JoinSchema>): Promise<void> {
  if (code !== undefined) {
    if ((codes.get(code) ?? 0) < Date.now())
      throw refused('code', 'This code is used or too old. Show a new one.');
    codes.delete(code);
    return;
  }
  const kept = await getMeta(db, passKey);
  if (kept === undefined) throw refused('pass', 'This shop has no pass yet: start it anew.');
  const secret = JSON.parse(kept) as { pinSalt: string; pinHash: string };
  if (!(await triedRight(db, passKey, pass, secret)))
    throw refused('pass', 'That is not the pass of this shop.');
}

/** Lets a tablet in by the shop's pass or by the code of a joined one; it is known by its cookie from then on. */
export async function join(body: Static<typeof JoinSchema>, secure: boolean): Promise<Response> {
  const { db } = await store();
  await letIn(db, body);
  const token = randomBytes(32).toString('base64url');
  const now = Date.now();
  await keep(db, {
    id: idOf(token),
    name: body.name.trim(),
    joinedMs: now,
    lastMs: now,
    shifts: {},
  });
  const cookie = `${tabletCookie}=${token}; Path=/; HttpOnly; SameSite=Strict; Max-Age=31536000`;
  return new Response('{"joined":true}', {
    headers: {
      'content-type': 'application/json',
      'set-cookie': secure ? `${cookie}; Secure` : cookie,
    },
  });
}

/** Tablets that joined, the latest used first. */
export async function listTablets(own: string | undefined): Promise<TabletRow[]> {
  const { db } = await store();
  const rows = await db
    .select()
    .from(meta)
    .where(like(meta.key, `${prefix}%`));
  return rows
    .map(({ key, value }) => {
      const { name, joinedMs, lastMs } = JSON.parse(value) as Kept;
      const id = key.slice(prefix.length);
      return { id, name, joinedMs, lastMs, own: id === own };
    })
    .sort((a, b) => b.lastMs - a.lastMs);
}

export const ThrowOutSchema = closed({ id: Type.String({ pattern: '^[0-9a-f]{64}$' }) });
/** A tablet that was lost is out at its next request. */
export async function throwOut(id: string): Promise<void> {
  const { db } = await store();
  if (!(await tabletById(db, id))) throw invalid([{ field: 'id', reason: 'No such tablet.' }]);
  await db.delete(meta).where(eq(meta.key, prefix + id));
}

export const ShiftSchema = closed({ byId: Id, pin: Type.String({ maxLength: 12 }) });

/** A person's PIN was right on a tablet: it is not asked again there for a shift, but for what is signed. */
export async function noteShift(db: Db, tabletId: string, personId: string): Promise<void> {
  const tablet = await tabletById(db, tabletId);
  if (!tablet) return;
  const shifts = { ...tablet.shifts, [personId]: Date.now() + shiftMs };
  await keep(db, { ...tablet, shifts });
}
export const onShift = async (db: Db, tabletId: string, personId: string): Promise<boolean> =>
  ((await tabletById(db, tabletId))?.shifts[personId] ?? 0) > Date.now();
