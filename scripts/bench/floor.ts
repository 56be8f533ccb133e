import { createClient } from '@libsql/client';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { startBuilt } from '../built-server.ts';

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;
/** Ratio of two works done in turn, so that a busy machine slows both. */
async function ratioOf(work: () => Promise<unknown>, other: () => Promise<unknown>, runs = 41) {
  const ms = async (f: () => Promise<unknown>) => {
    const t = performance.now();
    await f();
    return performance.now() - t;
  };
  await work();
  await other();
  const pairs: number[] = [];
  for (let i = 0; i < runs; i++) pairs.push((await ms(work)) / (await ms(other)));
  return median(pairs);
}

/** Time to the whole of the floor's page from the built server, ms: the middle one of several, warm. */
async function pageMs(dataDir: string, runs = 15): Promise<number> {
  const server = await startBuilt(dataDir);
  const once = async () => {
    const t = performance.now();
    const page = await fetch(`${server.url}/`);
    await page.text();
    if (page.status !== 200) throw new Error(`floor: ${page.status}`);
    return performance.now() - t;
  };
  await once();
  const took: number[] = [];
  for (let i = 0; i < runs; i++) took.push(await once());
  await server.stop();
  return median(took);
}

/** Rows of the floor against a plain SELECT of the same columns and rows, beside 20,000 closed jobs: their ratio; and its page, ms. */
export async function floorOf(
  open = 500,
  closed = 20_000,
): Promise<{ ratio: number; pageMs: number }> {
  const dataDir = mkdtempSync(join(tmpdir(), 'true-spindle-floor-'));
  process.env['DATA_DIR'] = dataDir;
  try {
    const { floorRows, floorView } = await import('../../src/server/floor.ts');
    const { importWorkshop } = await import('../../src/server/import.ts');
    const person = { id: 'rafe', name: 'Rafe', lead: true, pin: '1470' };
    const unit = {
      id: 'u',
      fleetNo: '07',
      name: 'Hatch',
      maker: 'Made up',
      layout: 'front',
      odometerKm: 1000,
      tyre: '195/65R15',
      corners: {},
      fasteners: {},
    };
    const file = {
      format: 'true-spindle/workshop',
      version: 1,
      technicians: [person],
      units: [unit],
    };
    await importWorkshop(file);
    const db = createClient({ url: `file:${join(dataDir, 'true-spindle.db')}` });
    const jobs = Array.from({ length: open + closed }, (_, i) => ({
      sql: 'INSERT INTO jobs VALUES (?, ?, ?, ?, ?, ?)',
      args: [uuid(), `2026-${i}`, 'u', 'LF', i, 'rafe'],
    }));
    await db.batch(jobs);
    await db.execute({
      sql: 'UPDATE job_summaries SET on_floor = 0, stale = 0 WHERE job_id IN (SELECT id FROM jobs WHERE created_ms >= ?)',
      args: [open],
    });
    // Works the open ones out once, as the first look at the floor does.
    await floorView();
    const plain = `SELECT j.id, j.number, j.unit_id, j.corner, j.created_ms, j.by_id, s.stale, s.records_version, s.data
      FROM job_summaries s JOIN jobs j ON j.id = s.job_id WHERE s.on_floor = 1 ORDER BY j.created_ms`;
    const ratio = await ratioOf(floorRows, () => db.execute(plain));
    db.close();
    return { ratio, pageMs: await pageMs(dataDir) };
  } finally {
    rmSync(dataDir, { recursive: true, force: true });
  }
}
