/** Work of a plan as the scheduler sees it: who, where, how long, after what. Minutes. */

export interface Task {
  id: string;
  label: string;
  /** Where hands are at work: one task at a time in each place. */
  place: string;
  /** With hands on it. */
  handsMin: number;
  /** By itself afterwards, before what follows it may begin. */
  waitMin: number;
  /** What works by itself then; the task's own name where it is left out. */
  waitLabel?: string;
  /** Ids of the tasks that come first. */
  after: readonly string[];
  /** Only this one may do it. */
  person?: string;
}

/** A task with its time and its hands; `by` is absent where none are needed. */
export interface Placed {
  task: Task;
  startMin: number;
  /** Hands off. */
  freeMin: number;
  /** Over, its wait too. */
  endMin: number;
  by?: string;
}

/** What is wrong with a list of tasks, as a sentence that names the task; undefined where it can be planned. */
export function taskFault(tasks: readonly Task[], people: readonly string[]): string | undefined {
  if (people.length === 0) return 'Nobody is there to do it.';
  const byId = new Map(tasks.map((t) => [t.id, t]));
  if (byId.size < tasks.length) return 'Two tasks have the same name.';
  for (const t of tasks) {
    if (!(t.handsMin >= 0 && t.waitMin >= 0 && Number.isFinite(t.handsMin + t.waitMin)))
      return `“${t.label}” has no time that can be.`;
    if (t.handsMin + t.waitMin === 0) return `“${t.label}” takes no time: leave it out.`;
    if (t.person !== undefined && !people.includes(t.person))
      return `“${t.label}” waits for ${t.person}, who is not here.`;
    const unknown = t.after.find((id) => !byId.has(id));
    if (unknown !== undefined)
      return `“${t.label}” comes after “${unknown}”, which is not planned.`;
  }
  const round = cycleIn(tasks);
  return round && `These wait for each other: ${round.map((t) => t.label).join(' → ')}.`;
}

/** Tasks that wait for each other in a ring; undefined where there are none. */
function cycleIn(tasks: readonly Task[]): Task[] | undefined {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const settled = new Set<string>();
  const walk = (t: Task, path: readonly Task[]): Task[] | undefined => {
    const at = path.indexOf(t);
    if (at >= 0) return [...path.slice(at), t];
    if (settled.has(t.id)) return undefined;
    for (const id of t.after) {
      const before = byId.get(id);
      const found = before && walk(before, [...path, t]);
      if (found) return found;
    }
    settled.add(t.id);
    return undefined;
  };
  for (const t of tasks) {
    const found = walk(t, []);
    if (found) return found;
  }
  return undefined;
}

/** Longest way from the beginning of each task to the end of all, minutes: what waits longest behind it. */
export function tailsOf(tasks: readonly Task[]): Map<string, number> {
  const next = new Map<string, Task[]>();
  for (const t of tasks) for (const id of t.after) next.set(id, [...(next.get(id) ?? []), t]);
  const tails = new Map<string, number>();
  const tail = (t: Task): number => {
    const known = tails.get(t.id);
    if (known !== undefined) return known;
    const behind = Math.max(0, ...(next.get(t.id) ?? []).map(tail));
    tails.set(t.id, t.handsMin + t.waitMin + behind);
    return t.handsMin + t.waitMin + behind;
  };
  tasks.forEach(tail);
  return tails;
}

/** No plan can be shorter than this: the longest chain, the hands by people, and the load of each place. */
export function lowerBoundMin(tasks: readonly Task[], people: readonly string[]): number {
  const chain = Math.max(0, ...tailsOf(tasks).values());
  const hands = tasks.reduce((sum, t) => sum + t.handsMin, 0) / people.length;
  const own = people.map((p) =>
    tasks.reduce((sum, t) => sum + (t.person === p ? t.handsMin : 0), 0),
  );
  const loads = new Map<string, number>();
  for (const t of tasks) loads.set(t.place, (loads.get(t.place) ?? 0) + t.handsMin);
  return Math.max(chain, hands, ...own, ...loads.values());
}
