import {
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  type KeyObject,
  sign,
} from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { dataDirOf } from '../db/open.ts';

/** The shop's own key, Ed25519, in a file beside the database and never in it: who only has the database cannot sign. */
const keyFile = () => resolve(dataDirOf(process.env), 'shop-key.pem');

let kept: { file: string; key: KeyObject } | undefined;

/** The key; made once, readable by its owner only. */
function shopKey(): KeyObject {
  const file = keyFile();
  if (kept?.file === file) return kept.key;
  if (!existsSync(file)) {
    mkdirSync(dataDirOf(process.env), { recursive: true });
    const { privateKey } = generateKeyPairSync('ed25519');
    writeFileSync(file, privateKey.export({ type: 'pkcs8', format: 'pem' }), {
      mode: 0o600,
      flag: 'wx',
    });
  }
  kept = { file, key: createPrivateKey(readFileSync(file)) };
  return kept.key;
}

/** What a day's head is signed as, with nothing else in it. */
export const signedText = (day: string, head: string) => `true-spindle day ${day} ${head}`;

/** Ed25519 over day and head, base64. */
export const signHead = (day: string, head: string): string =>
  sign(null, Buffer.from(signedText(day, head)), shopKey()).toString('base64');

/** Public half, PEM: with it anybody can try a signature. */
export const publicKeyPem = (): string =>
  createPublicKey(shopKey()).export({ type: 'spki', format: 'pem' }).toString();
