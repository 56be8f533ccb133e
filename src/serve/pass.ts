import { randomInt } from 'node:crypto';
import { type DbSettings, openDb } from '../db/open.ts';
import { getMeta, putMeta } from '../db/records.ts';
import { hashPin } from '../server/pin.ts';
import { passKey } from '../server/tablets.ts';

/** Letters and digits that are not mistaken for one another when read aloud. */
const signs = 'abcdefghjkmnpqrstuvwxyz23456789';

const word = (length: number): string =>
  Array.from({ length }, () => signs[randomInt(signs.length)]).join('');

/**
 * The shop's pass, made where there is none yet: given once to be shown, kept only as its hash. Undefined where one was
 * made before. With `anew` an old one is replaced; tablets that joined stay.
 */
export async function passOnce(settings: DbSettings, anew: boolean): Promise<string | undefined> {
  const db = await openDb(settings);
  try {
    if (!anew && (await getMeta(db, passKey)) !== undefined) return undefined;
    const pass = [word(4), word(4), word(4)].join('-');
    await putMeta(db, passKey, JSON.stringify(await hashPin(pass)));
    return pass;
  } finally {
    db.$client.close();
  }
}
