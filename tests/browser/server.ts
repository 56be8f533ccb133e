import type { TestProject } from 'vitest/node';
import { clear, demoIn, scratchFolder, startBuilt } from '../../scripts/built-server.ts';

interface Running {
  url: string;
  dataDir: string;
  /** What it printed. */
  said: () => string;
  stop: () => void;
}

/** The built server on a scratch database of its own, with the demo data or empty. */
export async function start(demo: boolean, more: Record<string, string> = {}): Promise<Running> {
  const dataDir = scratchFolder();
  if (demo) demoIn(dataDir, more);
  const server = await startBuilt(dataDir, { LOG_LEVEL: 'error', STANDIN_SPEED: '8', ...more });
  const stop = () => {
    void server.stop();
    clear(dataDir);
  };
  return { url: server.url, dataDir, said: server.said, stop };
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
