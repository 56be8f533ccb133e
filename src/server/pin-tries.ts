import { eq, sql } from 'drizzle-orm';
import type { Db } from '../db/open.ts';
import { getMeta, putMeta } from '../db/records.ts';
import { meta } from '../db/schema.ts';
import { pinMatches } from './pin.ts';
import { Problem } from './problem.ts';
import { origin } from './request-origin.ts';

/** Wrong tries that nobody waits for. */
const freeTries = 5;
/** First wait after them, ms; each further wrong try doubles it, up to an hour. */
const firstWaitMs = 60_000;
const longestWaitMs = 3_600_000;

/** Names of these rows in the table of marks; they stay where they are when a shop is saved. */
const triesPrefix = 'pin-tries:';

interface Tries {
  count: number;
  untilMs: number;
}

/** Tries are forgotten this long after their wait is over, ms: addresses of strangers do not gather for ever. */
const forgottenMs = 86_400_000;
const forgetOld = (db: Db, nowMs: number) =>
  db.run(
    sql`DELETE FROM meta WHERE key LIKE ${`${triesPrefix}%`} AND json_extract(value, '$.untilMs') < ${nowMs - forgottenMs}`,
  );

/** Secrets that are being compared just now: one at a time for each person from each tablet. */
const underWay = new Set<string>();

const tooMany = (seconds: number): Problem =>
  new Problem(429, 'Too many tries', `Too many wrong tries. Wait ${seconds} s.`, [
    { field: 'pin', reason: 'Too many wrong tries.' },
  ]);

/**
 * Whether a secret is right. A try is counted before it is compared, so that many at once are no more than one after the
 * other; waits grow and outlive a restart, and they hold for where the tries came from: nobody locks another one out.
 */
export async function triedRight(
  db: Db,
  whose: string,
  said: string | undefined,
  kept: { pinSalt: string; pinHash: string },
  nowMs = Date.now(),
): Promise<boolean> {
  const { tabletId, address } = origin();
  const key = `${triesPrefix}${whose}@${tabletId ?? address}`;
  if (underWay.has(key)) throw tooMany(1);
  underWay.add(key);
  try {
    const before = JSON.parse((await getMeta(db, key)) ?? '{"count":0,"untilMs":0}') as Tries;
    if (before.count >= freeTries && nowMs < before.untilMs)
      throw tooMany(Math.ceil((before.untilMs - nowMs) / 1000));
    const count = before.count + 1;
    const wait = Math.min(longestWaitMs, firstWaitMs * 2 ** Math.max(0, count - freeTries));
    await putMeta(db, key, JSON.stringify({ count, untilMs: nowMs + wait } satisfies Tries));
    await forgetOld(db, nowMs);
    const right = said !== undefined && (await pinMatches(said, kept));
    if (right) await db.delete(meta).where(eq(meta.key, key));
    return right;
  } finally {
    underWay.delete(key);
  }
}
