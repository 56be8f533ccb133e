import { execFileSync, spawnSync } from 'node:child_process';
import { copyFileSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { get, request as plainRequest } from 'node:http';
import { createServer as createTlsServer, request } from 'node:https';
import { join, resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { createClient } from '@libsql/client';
import { v7 as uuid } from 'uuid';
import { expect, it } from 'vitest';
import { openBackup } from '../../src/db/backup.ts';
import { freePort, scratchFolder as folder, startBuilt as up } from '../../scripts/built-server.ts';
import { shopUrl } from './browser.ts';

const program = resolve('dist/serve.mjs');
const envOf = (dataDir: string, more: Record<string, string> = {}) => ({
  ...process.env,
  DATA_DIR: dataDir,
  LOG_LEVEL: 'silent',
  ...more,
});

/** Starts it where it cannot start: its code and what it says. */
const cannot = (dataDir: string, more: Record<string, string>) => {
  const { status, stderr } = spawnSync('node', [program], { env: envOf(dataDir, more) });
  return { status, said: String(stderr) };
};

const withFile = (bytes: string | Buffer): string => {
  const dir = folder();
  writeFileSync(join(dir, 'true-spindle.db'), bytes);
  return dir;
};
const inUse = new URL(shopUrl).port;

it.each<[string, () => string, Record<string, string>, RegExp]>([
  ['a port that is none', folder, { PORT: '99999' }, /PORT is “99999”: a whole number/u],
  ['a port in use', folder, { PORT: inUse }, /Port \d+ on 127\.0\.0\.1 is in use/u],
  ['an address that is none', folder, { DATABASE_URL: 'ftp://x' }, /DATABASE_URL is “ftp:\/\/x”/u],
  ['half a certificate', folder, { SERVER_CERT_PATH: '/x' }, /given together/u],
  [
    'a file that is no database',
    () => withFile('some text of another kind'),
    {},
    /is not a database/u,
  ],
  [
    'a damaged database',
    () => withFile(Buffer.concat([Buffer.from('SQLite format 3\0'), Buffer.alloc(4000, 7)])),
    {},
    /is damaged/u,
  ],
  [
    'a folder that is a file',
    () => join(withFile(''), 'true-spindle.db'),
    {},
    /cannot be written/u,
  ],
])('says of %s why it does not start, in one sentence', (_what, dir, more, sentence) => {
  const { status, said } = cannot(dir(), more);
  expect([status, said.trim().split('\n').length]).toEqual([1, 1]);
  expect(said).toMatch(sentence);
});

it('refuses a second process on its folder, a database of a newer version, and goes on after a kill', async () => {
  const dir = join(folder(), 'made', 'when missing');
  const first = await up(dir);
  expect(cannot(dir, { PORT: String(await freePort()) }).said).toMatch(
    /in use by process \d+ at http:\/\/127\.0\.0\.1/u,
  );
  await fetch(`${first.url}/api/health`);
  await first.stop('SIGKILL');
  const second = await up(dir);
  expect((await (await fetch(`${second.url}/api/health`)).json()).ok).toBe(true);
  expect(await second.stop('SIGTERM')).toBe(0);
  const db = createClient({ url: `file:${join(dir, 'true-spindle.db')}` });
  await db.execute(
    "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)",
  );
  db.close();
  expect(cannot(dir, {}).said).toMatch(/written by a newer version/u);
}, 60_000);

it('backs a database of the first version up before it changes it, and restores it to the last entry', async () => {
  const dir = folder();
  const place = join(dir, 'true-spindle.db');
  writeFileSync(place, gunzipSync(readFileSync('tests/fixtures/first-demo.db.gz')));
  const shop = await up(dir);
  const [made] = readdirSync(join(dir, 'backups'));
  expect(made).toMatch(/-before-update\.db$/u);
  await fetch(`${shop.url}/api/floor`);
  await shop.stop('SIGTERM');
  const was = await openBackup(join(dir, 'backups', made!));
  const run = (script: string, ...args: string[]) =>
    execFileSync('npx', ['tsx', `scripts/${script}.ts`, ...args], { env: envOf(dir) }).toString();
  const said = run('backup');
  const copy = said.split(': ')[0]!;
  expect(await openBackup(copy)).toEqual(was);
  copyFileSync(copy, join(dir, 'copy.db'));
  writeFileSync(place, 'overwritten');
  run('restore', join(dir, 'copy.db'));
  expect(await openBackup(place)).toEqual(was);
}, 60_000);

it('ends what is in flight when it is told to stop', async () => {
  const dir = folder();
  const shop = await up(dir);
  const body = JSON.stringify({ id: uuid(), shop: 'Garth', name: 'Wren', pin: '4826' });
  const asked = fetch(`${shop.url}/api/shop/setup`, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json' },
  });
  await new Promise((r) => setTimeout(r, 60));
  expect(await shop.stop('SIGTERM')).toBe(0);
  expect((await asked).status).toBe(200);
}, 60_000);

it('is told by its own names only, and puts the policy on files as well', async () => {
  const { port } = new URL(shopUrl);
  const ask = (host: string, path: string) =>
    new Promise<{ status: number; policy: string }>((done) =>
      get({ host: '127.0.0.1', port, path, headers: { host } }, (r) => {
        r.resume();
        done({
          status: r.statusCode ?? 0,
          policy: String(r.headers['content-security-policy'] ?? ''),
        });
      }),
    );
  expect((await ask(`rebound.example:${port}`, '/api/floor')).status).toBe(421);
  const file = await ask(`localhost:${port}`, '/icon.svg');
  expect([file.status, file.policy.includes("object-src 'none'")]).toEqual([200, true]);
});

it('speaks TLS by its own files, and its cookie then travels no other way', async () => {
  const file = (name: string) => resolve(`tests/fixtures/localhost.${name}.pem`);
  const shop = await up(folder(), {
    SHOP_NETWORK: 'yes',
    SERVER_CERT_PATH: file('cert'),
    SERVER_KEY_PATH: file('key'),
  });
  const pass = /shown once: (\S+)/u.exec(shop.said())?.[1];
  const ca = readFileSync(file('cert'));
  const cookie = await new Promise<string | undefined>((done, fail) => {
    const headers = { 'content-type': 'application/json' };
    request(`${shop.url}/api/tablets/join`, { method: 'POST', ca, headers }, (r) =>
      done(r.headers['set-cookie']?.[0]),
    )
      .on('error', fail)
      .end(JSON.stringify({ pass, name: 'Bay 1' }));
  });
  await shop.stop();
  expect(shop.url).toMatch(/^https:/u);
  expect(cookie).toMatch(/HttpOnly; SameSite=Strict; .*Secure/u);
}, 60_000);

it('stands behind a proxy that speaks TLS, and believes nobody else of where a request came from', async () => {
  const pem = (name: string) => readFileSync(resolve(`tests/fixtures/localhost.${name}.pem`));
  /** A small proxy: it says whom it sends on, behind whatever the sender wrote there. */
  const before = async (url: string) => {
    const proxy = createTlsServer({ cert: pem('cert'), key: pem('key') }, (asked, answer) => {
      const said = [asked.headers['x-forwarded-for'], asked.headers['x-client']];
      const headers = {
        ...asked.headers,
        'x-forwarded-for': said.flat().filter(Boolean).join(', '),
        'x-forwarded-proto': 'https',
      };
      asked.pipe(
        plainRequest(`${url}${asked.url ?? ''}`, { method: asked.method, headers }, (r) => {
          answer.writeHead(r.statusCode ?? 0, r.headers);
          r.pipe(answer);
        }),
      );
    });
    const port = await freePort();
    await new Promise<void>((done) => proxy.listen(port, '127.0.0.1', done));
    return { url: `https://localhost:${port}`, close: () => proxy.close() };
  };
  const joins = (url: string, pass: string | undefined, headers: Record<string, string>) =>
    new Promise<{ status: number; cookie: string | undefined }>((done, fail) => {
      const to = url.startsWith('https:') ? request : plainRequest;
      to(
        `${url}/api/tablets/join`,
        {
          method: 'POST',
          ca: pem('cert'),
          agent: false,
          headers: { 'content-type': 'application/json', ...headers },
        },
        (r) => {
          r.resume();
          done({ status: r.statusCode ?? 0, cookie: r.headers['set-cookie']?.[0] });
        },
      )
        .on('error', fail)
        .end(JSON.stringify({ pass, name: 'Bay 1' }));
    });
  /** Wrong passes one after the other until there is a wait; at most ten. */
  const untilWait = async (url: string, headers: (i: number) => Record<string, string>) => {
    for (let i = 1; i <= 10; i += 1)
      if ((await joins(url, 'wrong-pass-here', headers(i))).status === 429) return i;
    return undefined;
  };
  const shop = await up(folder(), { SHOP_NETWORK: 'yes', TRUST_PROXY: 'yes' });
  const pass = /shown once: (\S+)/u.exec(shop.said())?.[1];
  const proxy = await before(shop.url);
  // Whatever a stranger writes before it, the proxy says where the tries came from.
  const stranger = (i: number) => ({ 'x-client': '10.0.0.9', 'x-forwarded-for': `10.0.1.${i}` });
  expect(await untilWait(proxy.url, stranger)).toBeLessThan(10);
  const { status, cookie } = await joins(proxy.url, pass, { 'x-client': '10.0.0.7' });
  expect([status, cookie]).toEqual([200, expect.stringMatching(/HttpOnly; .*Secure/u)]);
  proxy.close();
  await shop.stop();

  // Without a proxy these headers are a stranger's own word.
  const bare = await up(folder(), { SHOP_NETWORK: 'yes' });
  const forged = (i: number) => ({
    'x-forwarded-for': `10.0.1.${i}`,
    'x-forwarded-proto': 'https',
  });
  expect(await untilWait(bare.url, forged)).toBeLessThan(10);
  await bare.stop();
}, 60_000);
