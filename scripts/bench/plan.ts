import { keysOf } from '../../src/core/keys-of.ts';
import { asWritten, type CornerWork, plan, tasksOf, type Task } from '../../src/core/plan/index.ts';
import { walks } from '../../src/core/families/index.ts';
import { random } from '../../src/core/standins/cars.ts';

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;
const places = ['car LF', 'car RF', 'car LR', 'press', 'bench'];

/** Made-up tasks, each after some of those before it. */
function madeUpTasks(count: number, r: () => number): Task[] {
  return Array.from({ length: count }, (_, i) => ({
    id: String(i),
    label: String(i),
    place: places[Math.floor(r() * places.length)] ?? 'bench',
    handsMin: 3 + Math.floor(r() * 25),
    waitMin: r() < 0.15 ? 20 : 0,
    after:
      i === 0
        ? []
        : [
            ...new Set(
              Array.from({ length: Math.floor(r() * 3) }, () => String(Math.floor(r() * i))),
            ),
          ],
  }));
}

/** How far plans of more than ten tasks lie over their bound, in the middle and at worst, per cent. */
export function planGaps(plans: number, seed: number): { median: number; worst: number } {
  const r = random(seed);
  const gaps = Array.from({ length: plans }, () => {
    const tasks = madeUpTasks(11 + Math.floor(r() * 49), r);
    const { endMin, boundMin } = plan(tasks, r() < 0.5 ? ['1'] : ['1', '2']);
    return (100 * (endMin - boundMin)) / boundMin;
  });
  return { median: median(gaps), worst: Math.max(...gaps) };
}

/** Sixty tasks planned for two: ms in the middle of some runs. */
export function sixtyTasksMs(seed: number, runs = 21): number {
  const r = random(seed);
  return median(
    Array.from({ length: runs }, () => {
      const tasks = madeUpTasks(60, r);
      const t = performance.now();
      plan(tasks, ['1', '2']);
      return performance.now() - t;
    }),
  );
}

/** A made-up week: every day some corners for two people, planned and as they came; minutes to the end of all days. */
export function weekOfWork(seed: number): { planned: number; asTheyCame: number } {
  const r = random(seed);
  const codes = keysOf(walks);
  const corners = ['LF', 'RF', 'LR', 'RR'];
  const people = ['1', '2'];
  let [planned, asTheyCame] = [0, 0];
  for (let day = 0; day < 5; day++) {
    const tasks = corners.slice(0, 2 + Math.floor(r() * 3)).flatMap((corner) => {
      const work: CornerWork = {
        corner,
        family: codes[Math.floor(r() * codes.length)],
        route: 'bench',
        soak: true,
        chill: r() < 0.3,
      };
      return tasksOf(work);
    });
    planned += plan(tasks, people).endMin;
    asTheyCame += asWritten(tasks, people).endMin;
  }
  return { planned, asTheyCame };
}
