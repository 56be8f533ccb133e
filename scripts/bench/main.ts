/**
 * Numbers the project holds itself to, measured in one run on this machine: all, or the parts that are named. Exits 1
 * when one is missed. Needs a built server (npm run build).
 */
import { manners } from '../../src/core/standins/manners.ts';
import { reportWrench } from '../../src/core/standins/wrench.ts';
import { keptGood } from '../../tests/kept-strokes.ts';
import { followMany } from '../../tests/pulls.ts';
import { clear, demoIn, scratchFolder, startBuilt } from '../built-server.ts';
import { unpaced } from './clients.ts';
import { againstExact } from '../../tests/exact-diagnosis.ts';
import { compareOrders } from './diagnosis.ts';
import { fits } from './fits.ts';
import { floorOf } from './floor.ts';
import { ear } from './heard.ts';
import { atLeast, hold, missedSoFar } from './hold.ts';
import { livesRatio } from './lives.ts';
import { planGaps, sixtyTasksMs, weekOfWork } from './plan.ts';
import { screens } from './screens.ts';
import { search } from './search.ts';
import { solver } from './solver.ts';
import { mannered, strokes } from './strokes.ts';

function plans(): void {
  const gaps = planGaps(1000, Date.now());
  hold('1,000 plans of 11 to 59 tasks, middle one over its bound', gaps.median, 2, '%');
  console.log(`  the farthest ${gaps.worst.toFixed(1)} %`);
  const week = weekOfWork(Date.now());
  hold(
    'a made-up week of a shop, planned over first come first served',
    week.planned / week.asTheyCame,
    1,
    '×',
  );
  console.log(`  ${week.planned} min planned, ${week.asTheyCame} min as they came`);
  hold('60 tasks for two planned', sixtyTasksMs(Date.now()), 200, 'ms');
}

async function floor(): Promise<void> {
  const floorTold = await floorOf();
  hold(
    'floor of 500 open jobs beside 20,000 closed, against a plain SELECT',
    floorTold.ratio,
    2,
    '×',
  );
  hold('its page, whole, from the built server', floorTold.pageMs, 150, 'ms');
}

function followed(): void {
  const pressed = strokes('report', 1000, 31);
  atLeast('strokes, right verdict on 1,000 made-up ones', pressed.right, 97, '%');
  atLeast(
    'strokes, seat within 0.5 mm and before 10 kN or a half more',
    pressed.seatInTime,
    97,
    '%',
  );
  atLeast('strokes, cocked start called before 5 mm', pressed.cockedInTime, 97, '%');
  for (const manner of [...manners, 'ideal'] as const)
    atLeast(`strokes ${manner}, right verdict on 1,000`, mannered(manner, 1000, 77).right, 98, '%');
  console.log(pressed.text);
}

function nuts(): void {
  const pulled = followMany(reportWrench, 1000, 61);
  atLeast(
    'nuts by the wrench, right verdict on 1,000 made-up ones',
    pulled.right,
    98,
    '%',
    `${pulled.ratcheted} in several pulls; angle off by ${pulled.p95Deg.toFixed(2)}° at most in 95 of 100`,
  );
  hold('nuts by the wrench, angle from snug off by more than 3°', pulled.beyond3Deg, 0.2, '%');
}

/** What is kept of strokes that were followed to their end. */
function keptStrokes(): void {
  atLeast('seated strokes that are kept as Good', keptGood('good', 600, 4711), 98, '%');
  hold('galled strokes that are kept as Good', keptGood('galling', 600, 4711), 5, '%');
}

/** The judgement on made-up cars, matched and perturbed. */
function diagnosis(): void {
  const cars = Number(process.env['BENCH_CARS'] ?? 10_000);
  for (const [name, spread, worst, most] of [
    ['matched', 0, 3, 62],
    ['perturbed, σ 0.5', 0.5, 6, 67],
  ] as const) {
    const c = compareOrders(cars, spread, 4711);
    console.log(`        ${cars} cars, ${name}: ${c.text}`);
    hold(
      `total cost of a car, share of a call without a test, ${name}`,
      c.shareOfNone,
      most,
      '%',
      `${c.total.toFixed(1)} min, standard error ${c.totalError.toFixed(1)}`,
    );
    hold(`more than no test, worst layout, ${name}`, c.worstOverNone, 0, 'min');
    hold(`calibration error, ${name}`, c.ece, worst, '%');
  }
  const small = againstExact(300, 6, 4711);
  hold(
    'small diagnoses, our cost over the exact optimum',
    100 * (small.ours / small.exact - 1),
    3,
    '%',
  );
}

/** A server on demo data of its own, for as long as something is measured on it. */
async function served(measure: (url: string, dataDir: string) => Promise<void>): Promise<void> {
  const dataDir = scratchFolder();
  demoIn(dataDir);
  const server = await startBuilt(dataDir);
  try {
    await measure(server.url, dataDir);
  } finally {
    await server.stop();
    clear(dataDir);
  }
}

async function writes(url: string, dataDir: string): Promise<void> {
  const load = await unpaced(url, dataDir);
  hold(
    'bare commits at full sync against writes of 20 unpaced tablets',
    load.raw / load.perSecond,
    5,
    '×',
    `${load.raw.toFixed(0)} against ${load.perSecond.toFixed(0)} a second`,
  );
  hold('20 unpaced tablets, 95th of the answers', load.p95, 100, 'ms');
}

const parts: Record<string, () => void | Promise<void>> = {
  plans,
  lives: () => hold('100,000 lives told, over sorting them', livesRatio(Date.now()), 3, 'times'),
  floor,
  solver,
  search,
  fits,
  ear,
  strokes: followed,
  kept: keptStrokes,
  nuts,
  diagnosis,
  writes: () => served(writes),
  screens: () => served(screens),
};
const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !Object.hasOwn(parts, name));
if (unknown.length > 0)
  throw new RangeError(`${unknown.join(', ')}: there is ${Object.keys(parts).join(', ')}`);
for (const name of asked.length > 0 ? asked : Object.keys(parts)) await parts[name]?.();
process.exitCode = missedSoFar() > 0 ? 1 : 0;
