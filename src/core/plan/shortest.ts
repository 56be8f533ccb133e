import { type Placed, tailsOf, type Task } from './task.ts';

/** Where a plan stands when its last task was begun: nothing that is still to come begins earlier. */
interface Front {
  placed: readonly Placed[];
  nowMin: number;
  endMin: number;
  ends: ReadonlyMap<string, number>;
  /** When each one's hands, and each place, are free again. */
  free: ReadonlyMap<string, number>;
  places: ReadonlyMap<string, number>;
}

const at = (m: ReadonlyMap<string, number>, key: string) => m.get(key) ?? 0;
const readyOf = (t: Task, f: Front) => Math.max(0, ...t.after.map((id) => at(f.ends, id)));

/** The front with this task begun as early as it can by this one; undefined where that would be before what was begun last. */
function begun(f: Front, t: Task, by: string | undefined): Front | undefined {
  const ready = readyOf(t, f);
  const startMin =
    by === undefined ? ready : Math.max(ready, at(f.free, by), at(f.places, t.place));
  if (startMin < f.nowMin) return undefined;
  const freeMin = startMin + t.handsMin;
  const endMin = freeMin + t.waitMin;
  const one: Placed = { task: t, startMin, freeMin, endMin, ...(by === undefined ? {} : { by }) };
  return {
    placed: [...f.placed, one],
    nowMin: startMin,
    endMin: Math.max(f.endMin, endMin),
    ends: new Map(f.ends).set(t.id, endMin),
    free: by === undefined ? f.free : new Map(f.free).set(by, freeMin),
    places: by === undefined ? f.places : new Map(f.places).set(t.place, freeMin),
  };
}

/** No plan that goes on from here can be shorter than this. */
function leastEnd(
  f: Front,
  left: readonly Task[],
  people: readonly string[],
  tails: ReadonlyMap<string, number>,
): number {
  const tail = (t: Task) => tails.get(t.id) ?? 0;
  const chain = left.map((t) => Math.max(f.nowMin, readyOf(t, f)) + tail(t));
  const open = people.reduce((sum, p) => sum + Math.max(f.nowMin, at(f.free, p)), 0);
  const hands = left.reduce((sum, t) => sum + t.handsMin, 0);
  const load = new Map<string, { handsMin: number; behind: number }>();
  for (const t of left) {
    const so = load.get(t.place) ?? { handsMin: 0, behind: Infinity };
    load.set(t.place, {
      handsMin: so.handsMin + t.handsMin,
      behind: Math.min(so.behind, tail(t) - t.handsMin),
    });
  }
  const places = [...load].map(
    ([place, { handsMin, behind }]) => Math.max(f.nowMin, at(f.places, place)) + handsMin + behind,
  );
  return Math.max(f.endMin, (open + hands) / people.length, ...chain, ...places);
}

/** Fronts that have the same before them: the same tasks begun, everything free at the same times. */
function keyOf(f: Front, left: readonly Task[], people: readonly string[]): string {
  const ends = left.flatMap((t) =>
    t.after.map((id) => `${id}=${Math.max(f.nowMin, at(f.ends, id))}`),
  );
  const own = left.some((t) => t.person !== undefined);
  const hands = people.map((p) => Math.max(f.nowMin, at(f.free, p)));
  return [
    left.map((t) => t.id).join(),
    f.nowMin,
    // Who is who does not matter while no task is somebody's own.
    (own ? hands : hands.sort((a, b) => a - b)).join(),
    [...new Set(left.map((t) => t.place))]
      .map((p) => `${p}=${Math.max(f.nowMin, at(f.places, p))}`)
      .join(),
    [...new Set(ends)].join(),
    f.endMin,
  ].join('|');
}

/**
 * The shortest plan there is, where one is shorter than `belowMin`; undefined where none is. Tasks are begun in the order
 * of time, each as early as it can be (active schedules hold a shortest one; textbook result), by everybody who may; what
 * cannot become shorter than the best so far is left, and so is what has been seen.
 */
export function shortest(
  tasks: readonly Task[],
  people: readonly string[],
  belowMin: number,
  boundMin: number,
): Pick<Front, 'placed' | 'endMin'> | undefined {
  const tails = tailsOf(tasks);
  const whole = tasks.every((t) => Number.isInteger(t.handsMin) && Number.isInteger(t.waitMin));
  // Whole minutes add up to whole minutes.
  const least = whole ? Math.ceil(boundMin) : boundMin;
  const seen = new Set<string>();
  let best: Front | undefined;
  const limit = () => best?.endMin ?? belowMin;
  const search = (f: Front, left: readonly Task[]): void => {
    if (left.length === 0) {
      if (f.endMin < limit()) best = f;
      return;
    }
    if (limit() <= least) return;
    const key = keyOf(f, left, people);
    if (seen.has(key)) return;
    seen.add(key);
    for (const t of left) {
      if (!t.after.every((id) => f.ends.has(id))) continue;
      const able = t.person === undefined ? people : [t.person];
      for (const by of t.handsMin > 0 ? able : [undefined]) {
        const next = begun(f, t, by);
        if (!next) continue;
        const rest = left.filter((x) => x !== t);
        if (leastEnd(next, rest, people, tails) < limit()) search(next, rest);
      }
    }
  };
  search(
    { placed: [], nowMin: 0, endMin: 0, ends: new Map(), free: new Map(), places: new Map() },
    tasks,
  );
  return best;
}
