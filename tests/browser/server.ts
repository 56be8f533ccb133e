import { cpSync } from 'node:fs';
import type { TestProject } from 'vitest/node';
import { clear, demoIn, scratchFolder, startBuilt } from '../../scripts/built-server.ts';

interface Running {
  url: string;
  dataDir: string;
  /** What it printed. */
  said: () => string;
  stop: () => void;
}

/** The built server on a scratch database of its own: a copy of a shop's, or empty. */
export async function start(from?: string, more: Record<string, string> = {}): Promise<Running> {
  const dataDir = scratchFolder();
  if (from !== undefined) cpSync(from, dataDir, { recursive: true });
  const server = await startBuilt(dataDir, { LOG_LEVEL: 'error', STANDIN_SPEED: '8', ...more });
  const stop = () => {
    void server.stop();
    clear(dataDir);
  };
  return { url: server.url, dataDir, said: server.said, stop };
}

/** The demo data, loaded once, and a demo shop for each file that runs at a time. */
export default async function setup(project: TestProject): Promise<() => void> {
  const demoDir = scratchFolder();
  demoIn(demoDir);
  const shops: Running[] = [];
  for (let i = 0; i < project.config.maxWorkers; i++) shops.push(await start(demoDir));
  project.provide('demoDir', demoDir);
  project.provide(
    'urls',
    shops.map((s) => s.url),
  );
  return () => {
    for (const s of shops) s.stop();
    clear(demoDir);
  };
}

declare module 'vitest' {
  export interface ProvidedContext {
    /** A database with the demo data, to be copied. */
    demoDir: string;
    urls: string[];
  }
}
