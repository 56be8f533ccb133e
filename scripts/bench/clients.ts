import { createClient } from '@libsql/client';
import { once } from 'node:events';
import { Agent, type IncomingMessage, request } from 'node:http';
import { join } from 'node:path';
import { json } from 'node:stream/consumers';
import { v7 as uuid } from 'uuid';

const agent = new Agent({ keepAlive: true });

/** Twenty tablets are one process here: what asks costs it as little as may be, so that the server is what is measured. */
async function post(url: string, body: unknown, context?: string) {
  const asked = request(url, {
    agent,
    method: 'POST',
    headers: { 'content-type': 'application/json', ...(context ? { 'x-context': context } : {}) },
  });
  asked.end(JSON.stringify(body));
  const [r] = (await once(asked, 'response')) as [IncomingMessage];
  const answer = (await json(r)) as { context?: string; detail?: string };
  if (r.statusCode !== 200) throw new Error(`${url}: ${answer.detail}`);
  return answer;
}

/** Commits of one row at full synchronisation by the bare database client for a while: how many a second. */
async function rawCommits(folder: string, ms: number): Promise<number> {
  const db = createClient({ url: `file:${join(folder, 'raw.db')}` });
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL'])
    await db.execute(`PRAGMA ${pragma}`);
  await db.execute('CREATE TABLE IF NOT EXISTS e (id TEXT PRIMARY KEY, body TEXT)');
  const from = performance.now();
  let n = 0;
  for (; performance.now() - from < ms; n++)
    await db.batch([{ sql: 'INSERT INTO e VALUES (?, ?)', args: [uuid(), '{"minutes":5}'] }]);
  db.close();
  return (1000 * n) / ms;
}

/** Tablets that write without a pause, each on a job of its own: how many a second, and the time to an answer of each, ms. */
async function clients(url: string, count: number, ms: number) {
  const took: number[] = [];
  const until = performance.now() + ms;
  const one = async () => {
    const id = uuid();
    await post(`${url}/api/jobs`, { id, unitId: 'unit-07', corner: 'LF', byId: 'ines' });
    let context: string | undefined;
    for (let n = 0; performance.now() < until; n++) {
      const from = performance.now();
      const type = n % 2 === 0 ? 'work-started' : 'work-paused';
      const entry = { id: uuid(), type, body: {}, byId: 'ines' };
      ({ context } = await post(`${url}/api/jobs/${id}/events`, entry, context));
      took.push(performance.now() - from);
    }
  };
  await Promise.all(Array.from({ length: count }, one));
  took.sort((a, b) => a - b);
  return { perSecond: (1000 * took.length) / ms, p95: took[Math.floor(took.length * 0.95)] ?? 0 };
}

/** Twenty unpaced tablets against bare commits on the same disk, in turn, so that a slow moment falls on both. */
export async function unpaced(url: string, folder: string) {
  await clients(url, 20, 1000);
  const rounds = [];
  for (let i = 0; i < 3; i++)
    rounds.push({ raw: await rawCommits(folder, 1500), ...(await clients(url, 20, 3000)) });
  const [, middle] = rounds.sort((a, b) => a.raw / a.perSecond - b.raw / b.perSecond);
  if (!middle) throw new Error('no round');
  return middle;
}
