import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number };
      s.close(() => resolve(port));
    });
  });

export interface Attacked {
  url: string;
  dataDir: string;
  /** Resident memory at its highest so far, bytes. */
  peakBytes: () => number;
  kill: (signal: NodeJS.Signals) => Promise<number | null>;
}

export const scratch = (): string => mkdtempSync(join(tmpdir(), 'true-spindle-attack-'));
export const clear = (dir: string) => rmSync(dir, { recursive: true, force: true });

/** The demo shop in a folder of its own. */
export function demoIn(dataDir: string): void {
  execFileSync('npx', ['tsx', 'scripts/load-demo.ts'], {
    env: { ...process.env, DATA_DIR: dataDir },
    stdio: 'pipe',
  });
}

/** The built server on a folder, on this machine alone. */
export async function serve(dataDir: string): Promise<Attacked> {
  const port = await freePort();
  const child = spawn('node', ['dist/serve.mjs'], {
    env: {
      ...process.env,
      DATA_DIR: dataDir,
      HOST: '127.0.0.1',
      PORT: String(port),
      LOG_LEVEL: 'silent',
      STANDIN_SPEED: '400',
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  for (const out of [child.stdout, child.stderr]) out.on('data', (d) => (said += String(d)));
  const ended = new Promise<number | null>((r) => child.once('exit', r));
  const url = `http://127.0.0.1:${port}`;
  for (let i = 0; !said.includes('True Spindle: '); i++) {
    if (i > 300 || child.exitCode !== null) throw new Error(`It does not start: ${said}`);
    await new Promise((r) => setTimeout(r, 50));
  }
  let peak = 0;
  const look = setInterval(() => {
    const status = `/proc/${child.pid}/status`;
    if (!existsSync(status)) return;
    const kb = /VmHWM:\s+(\d+)/u.exec(readFileSync(status, 'utf8'))?.[1];
    peak = Math.max(peak, 1024 * Number(kb ?? 0));
  }, 200);
  void ended.then(() => clearInterval(look));
  return {
    url,
    dataDir,
    peakBytes: () => peak,
    kill: async (signal) => {
      child.kill(signal);
      return ended;
    },
  };
}
