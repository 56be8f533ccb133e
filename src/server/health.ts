import { statfs } from 'node:fs/promises';
import { dirname } from 'node:path';
import { collectDefaultMetrics, Counter, Histogram, register } from 'prom-client';
import { lastEntryMs } from '../db/jobs.ts';
import { dbSettings } from '../db/open.ts';
import { store } from './store.ts';

/** Less free room than this, and the shop is told before it is full, bytes. */
const littleBytes = 200_000_000;
/** A clock this far behind the last entry was set back, ms. */
const slackMs = 60_000;

export interface Health {
  ok: boolean;
  database: 'answers' | 'silent';
  /** Free room where the database lies; null where it lies elsewhere. */
  freeBytes: number | null;
  disk: 'room' | 'nearly full' | 'elsewhere';
  clock: 'goes on' | 'behind the last entry';
  upSeconds: number;
}

async function freeBytes(): Promise<number | null> {
  const { file } = dbSettings();
  if (file === undefined) return null;
  const { bavail, bsize } = await statfs(dirname(file));
  return bavail * bsize;
}

function diskOf(free: number | null): Health['disk'] {
  if (free === null) return 'elsewhere';
  return free < littleBytes ? 'nearly full' : 'room';
}

/** How far the clock stands behind the last entry, ms; undefined while it goes on. */
export const clockBehindMs = (lastMs: number): number | undefined =>
  lastMs > Date.now() + slackMs ? lastMs - Date.now() : undefined;

/** Whether the shop can go on writing: its database answers, there is room, and its clock is not behind what was written. */
export async function health(): Promise<Health> {
  const free = await freeBytes().catch(() => null);
  const last = await store()
    .then(({ db }) => lastEntryMs(db))
    .catch(() => undefined);
  const database = last === undefined ? 'silent' : 'answers';
  const behind = clockBehindMs(last ?? 0) !== undefined;
  const disk = diskOf(free);
  return {
    ok: database === 'answers' && disk !== 'nearly full' && !behind,
    database,
    freeBytes: free,
    disk,
    clock: behind ? 'behind the last entry' : 'goes on',
    upSeconds: Math.round(process.uptime()),
  };
}

collectDefaultMetrics({ prefix: 'true_spindle_' });
const answers = new Counter({
  name: 'true_spindle_answers_total',
  help: 'Answers of the interface by route and status',
  labelNames: ['route', 'status'],
});
const seconds = new Histogram({
  name: 'true_spindle_answer_seconds',
  help: 'Time to an answer by route',
  labelNames: ['route'],
  buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 1, 5],
});
/** Counts one answer of the interface. */
export function countAnswer(route: string, status: number, startedMs: number): void {
  answers.inc({ route, status: String(status) });
  seconds.observe({ route }, (performance.now() - startedMs) / 1000);
}

/** What was counted since the start, in the open text format of metrics. */
export const metrics = async (): Promise<Response> =>
  new Response(await register.metrics(), { headers: { 'content-type': register.contentType } });
