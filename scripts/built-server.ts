import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

/** The built server as a user would start it, for browser tests, the attack and the benchmark. */

/** A port of this machine that nothing listens on. */
export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number };
      s.close(() => resolve(port));
    });
  });

export const scratchFolder = (): string => mkdtempSync(join(tmpdir(), 'true-spindle-scratch-'));
export const clear = (folder: string): void => rmSync(folder, { recursive: true, force: true });

/** The demo shop in a folder of its own. */
export function demoIn(dataDir: string): void {
  execFileSync('npx', ['tsx', 'scripts/load-demo.ts'], {
    env: { ...process.env, DATA_DIR: dataDir },
    stdio: 'pipe',
  });
}

export interface BuiltServer {
  url: string;
  dataDir: string;
  pid: number;
  /** What it printed so far. */
  said: () => string;
  /** Sends a signal and waits for the end; its code, null where the signal ended it. */
  stop: (signal?: NodeJS.Signals) => Promise<number | null>;
}

const [tries, betweenMs] = [400, 50];

/** Starts it on a folder, on this machine alone; throws with what it printed where it does not start. */
export async function startBuilt(
  dataDir: string,
  more: Record<string, string> = {},
): Promise<BuiltServer> {
  const port = await freePort();
  const env = {
    DATA_DIR: dataDir,
    HOST: '127.0.0.1',
    PORT: String(port),
    LOG_LEVEL: 'silent',
    // As ./start sets it.
    MALLOC_ARENA_MAX: '2',
  };
  // From another directory than its own: it has to find everything by itself.
  const child = spawn('node', [resolve('dist/serve.mjs')], {
    cwd: '/',
    env: { ...process.env, ...env, ...more },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  for (const out of [child.stdout, child.stderr]) out.on('data', (d) => (printed += String(d)));
  const ended = new Promise<number | null>((r) => child.once('exit', r));
  for (let i = 0; !printed.includes('True Spindle: '); i++) {
    if (i > tries || child.exitCode !== null)
      throw new Error(`It does not start; was it built? ${printed}`);
    await new Promise((r) => setTimeout(r, betweenMs));
  }
  return {
    url: /True Spindle: (\S+)/u.exec(printed)?.[1] ?? '',
    dataDir,
    pid: child.pid ?? 0,
    said: () => printed,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal);
      return ended;
    },
  };
}
