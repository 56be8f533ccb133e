import { existsSync, readFileSync } from 'node:fs';
import { type BuiltServer, startBuilt } from '../built-server.ts';

export interface Attacked extends BuiltServer {
  /** Resident memory at its highest so far, bytes. */
  peakBytes: () => number;
}

/** The built server under attack: how much memory it took at most is watched. */
export async function serve(dataDir: string): Promise<Attacked> {
  const server = await startBuilt(dataDir, { STANDIN_SPEED: '400' });
  let peak = 0;
  const status = `/proc/${server.pid}/status`;
  const look = setInterval(() => {
    if (!existsSync(status)) return clearInterval(look);
    const kb = /VmHWM:\s+(\d+)/u.exec(readFileSync(status, 'utf8'))?.[1];
    peak = Math.max(peak, 1024 * Number(kb ?? 0));
  }, 200);
  return { ...server, peakBytes: () => peak };
}
