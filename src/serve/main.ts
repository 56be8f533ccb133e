import { readFileSync } from 'node:fs';
import { createServer, type RequestListener, type Server } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { dirname, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { checkedFile, readyFolder } from './database.ts';
import type * as Door from './door.ts';
import { StartFault } from './fault.ts';
import { guarded } from './guard.ts';
import { lockFolder } from './lock.ts';
import { passOnce } from './pass.ts';
import { type ServeSettings, settingsFrom } from './settings.ts';

/** Starts the built program: looks at everything that can be wrong first, and says it in one sentence. */

const dist = dirname(fileURLToPath(import.meta.url));

const built = async <T>(name: string): Promise<T> =>
  (await import(pathToFileURL(resolve(dist, 'server', name)).href)) as T;

/** The built program as a listener; it reads its settings from the environment. */
async function program(s: ServeSettings): Promise<RequestListener> {
  Object.assign(process.env, {
    NODE_ENV: 'production',
    ASTRO_NODE_AUTOSTART: 'disabled',
    ASTRO_NODE_LOGGING: 'disabled',
    DATA_DIR: s.dataDir,
    DATABASE_URL: s.db.url,
    MIGRATIONS_DIR: s.db.migrationsDir,
    SHOP_NETWORK: s.network ? 'yes' : '',
  });
  const { handler } = await built<{ handler: RequestListener }>('entry.mjs');
  const { answerAtDoor } = await built<typeof Door>('door.mjs');
  return (request, response) =>
    request.url?.startsWith('/api/')
      ? void answerAtDoor(request, response)
      : handler(request, response);
}

function listen(server: Server, { host, port }: ServeSettings): Promise<void> {
  return new Promise((done, fail) => {
    server.once('error', (e: NodeJS.ErrnoException) =>
      fail(
        new StartFault(
          e.code === 'EADDRINUSE'
            ? `Port ${port} on ${host} is in use: stop what uses it, or choose another with PORT.`
            : `It cannot listen on ${host}:${port} (${e.code ?? e.message}).`,
        ),
      ),
    );
    server.listen(port, host, done);
  });
}

/** Longest that what is in flight is waited for when told to stop, ms. */
const patienceMs = 8000;

function stopWhenTold(server: Server, unlock: () => void): void {
  const stop = () => {
    server.close(() => {
      unlock();
      process.exit(0);
    });
    server.closeIdleConnections();
    // Streams of readings go on for ever.
    setTimeout(() => server.closeAllConnections(), patienceMs).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
  process.once('exit', unlock);
}

async function start(): Promise<void> {
  const s = settingsFrom(process.env, resolve(dist, '..'));
  const scheme = s.tls ? 'https' : 'http';
  const address = `${scheme}://${s.host}:${s.port}`;
  const { file } = s.db;
  readyFolder(file === undefined ? s.dataDir : dirname(file));
  const unlock = lockFolder(`${file ?? resolve(s.dataDir, 'remote')}.lock`, address);
  try {
    if (file !== undefined) await checkedFile(file, s.db.migrationsDir);
    const pass = s.network ? await passOnce(s.db, process.env['SHOP_PASS'] === 'new') : undefined;
    const listener = guarded(await program(s), s);
    const server = s.tls
      ? createTlsServer(
          { cert: readFileSync(s.tls.certFile), key: readFileSync(s.tls.keyFile) },
          listener,
        )
      : createServer(listener);
    server.headersTimeout = 20_000;
    // Large bodies wait for one another: one that trickles may not hold the others up for long.
    server.requestTimeout = 120_000;
    await listen(server, s);
    stopWhenTold(server, unlock);
    if (pass)
      console.log(
        `Other machines reach it. Pass of this shop, shown once: ${pass}\nEach tablet joins with it; SHOP_PASS=new makes another.`,
      );
    // Last of all: whoever waits for this line has read everything before it.
    console.log(`True Spindle: ${address}`);
  } catch (e) {
    unlock();
    throw e;
  }
}

start().catch((e: unknown) => {
  const known = e instanceof StartFault;
  console.error(`True Spindle does not start. ${known ? e.message : String((e as Error).stack)}`);
  process.exit(1);
});
