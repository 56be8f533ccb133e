import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';

/** A port of this machine that nothing listens on. */
export const freePort = () =>
  new Promise<number>((resolve) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number };
      s.close(() => resolve(port));
    });
  });

interface Running {
  url: string;
  /** What it printed. */
  said: () => string;
  stop: () => void;
}

/** The built server on a scratch database of its own, with the demo data or empty. */
export async function start(demo: boolean, more: Record<string, string> = {}): Promise<Running> {
  const dataDir = mkdtempSync(join(tmpdir(), 'true-spindle-browser-'));
  const port = await freePort();
  const env = {
    ...process.env,
    DATA_DIR: dataDir,
    HOST: '127.0.0.1',
    PORT: String(port),
    LOG_LEVEL: 'error',
    STANDIN_SPEED: '8',
    ...more,
  };
  if (demo) execFileSync('npx', ['tsx', 'scripts/load-demo.ts'], { env, stdio: 'pipe' });
  const server = spawn('node', ['dist/serve.mjs'], { env, stdio: 'pipe' });
  const url = `http://127.0.0.1:${port}`;
  let printed = '';
  server.stdout.on('data', (d) => (printed += String(d)));
  for (let i = 0; ; i++) {
    const up = await fetch(`${url}/api/health`).then(
      // Without the pass it says that it is there, and nothing else.
      (r) => r.ok || r.status === 401,
      () => false,
    );
    if (up) break;
    if (i > 80) throw new Error('the server did not start; was it built?');
    await new Promise((r) => setTimeout(r, 250));
  }
  const stop = () => {
    server.kill();
    rmSync(dataDir, { recursive: true, force: true });
  };
  return { url, said: () => printed, stop };
}

/** A demo shop and an empty one, as a user would start them. */
export default async function setup(project: TestProject): Promise<() => void> {
  const [demo, empty] = [await start(true), await start(false)];
  project.provide('url', demo.url);
  project.provide('emptyUrl', empty.url);
  return () => {
    demo.stop();
    empty.stop();
  };
}

declare module 'vitest' {
  export interface ProvidedContext {
    url: string;
    /** A shop in which there is nothing yet. */
    emptyUrl: string;
  }
}
