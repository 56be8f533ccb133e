import { networkInterfaces, hostname } from 'node:os';
import { dataDirOf, type DbSettings, dbSettings } from '../db/open.ts';
import { StartFault } from './fault.ts';

export interface ServeSettings {
  host: string;
  port: number;
  /** Whether other machines can reach it. */
  network: boolean;
  /** Names that a browser may ask for this shop by; others are a page of somebody else’s that points here. */
  names: ReadonlySet<string>;
  /** Whether a proxy of this machine stands before it and is believed of whom it sends on. */
  trustProxy: boolean;
  dataDir: string;
  db: DbSettings;
  /** Files of certificate and key; absent without TLS of its own. */
  tls?: { certFile: string; keyFile: string };
}

const loopback = /^(localhost|(::ffff:)?127(\.\d{1,3}){3}|::1|\[::1\])$/u;
/** A name or an address of this machine alone. */
export const isLoopback = (name: string): boolean => loopback.test(name);

/** Reads the environment; throws what is wrong with it. `root` is where the program lies, whatever directory it is started from. */
export function settingsFrom(env: NodeJS.ProcessEnv, root: string): ServeSettings {
  const host = env['HOST'] || '127.0.0.1';
  const portText = env['PORT'] || '4321';
  const port = Number(portText);
  if (!/^\d+$/u.test(portText) || port < 1 || port > 65_535)
    throw new StartFault(`PORT is “${portText}”: a whole number from 1 to 65535 is needed.`);
  const db = dbSettings(env, root);
  if (!/^(file:|libsql:|https?:|wss?:)/u.test(db.url))
    throw new StartFault(`DATABASE_URL is “${db.url}”: it begins with file: or libsql: or https:.`);
  const [certFile, keyFile] = [env['SERVER_CERT_PATH'], env['SERVER_KEY_PATH']];
  if (Boolean(certFile) !== Boolean(keyFile))
    throw new StartFault('SERVER_CERT_PATH and SERVER_KEY_PATH are given together or not at all.');
  return {
    host,
    port,
    // Behind a proxy of the same machine it listens to itself alone, and the others come all the same.
    network: !isLoopback(host) || env['SHOP_NETWORK'] === 'yes',
    names: namesOf(host, env['SHOP_NAMES'] ?? ''),
    trustProxy: env['TRUST_PROXY'] === 'yes',
    dataDir: dataDirOf(env, root),
    db,
    ...(certFile && keyFile ? { tls: { certFile, keyFile } } : {}),
  };
}

function namesOf(host: string, more: string): Set<string> {
  const local = ['localhost', '127.0.0.1', '[::1]'];
  const own = Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).map((i) => (i.family === 'IPv6' ? `[${i.address}]` : i.address)),
  );
  const here = [hostname(), `${hostname()}.local`];
  return new Set(
    [...local, host, ...(isLoopback(host) ? [] : [...own, ...here]), ...more.split(',')]
      .map((n) => n.trim().toLowerCase())
      .filter((n) => n !== '' && n !== '0.0.0.0' && n !== '::'),
  );
}
