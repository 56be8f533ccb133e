import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

const hashOf = (pin: string, salt: string): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    scrypt(pin, salt, 32, { N: 16_384, r: 8, p: 1 }, (e, key) => (e ? reject(e) : resolve(key))),
  );

/** A PIN as it is kept: scrypt with a salt of its own. */
export async function hashPin(pin: string): Promise<{ pinSalt: string; pinHash: string }> {
  const pinSalt = randomBytes(16).toString('hex');
  return { pinSalt, pinHash: (await hashOf(pin, pinSalt)).toString('hex') };
}

export async function pinMatches(
  pin: string,
  kept: { pinSalt: string; pinHash: string },
): Promise<boolean> {
  return timingSafeEqual(await hashOf(pin, kept.pinSalt), Buffer.from(kept.pinHash, 'hex'));
}
