import { shortest } from './shortest.ts';
import { lowerBoundMin, type Placed, tailsOf, type Task, taskFault } from './task.ts';

/** The order with the shortest time for some people; up to `exactUpTo` tasks there is no shorter one. */
export interface Plan {
  /** By their beginning. */
  placed: readonly Placed[];
  endMin: number;
  /** No plan can be shorter than this. */
  boundMin: number;
  /** Every order was tried, or the bound is reached. */
  exact: boolean;
}

export const exactUpTo = 10;

/** When somebody or some place is taken, in order. */
type Taken = [from: number, to: number][];

/** First time from `from` on at which something is free for so long. */
function freeFrom(taken: Taken, from: number, minutes: number): number {
  let at = from;
  for (const [a, b] of taken) {
    if (at + minutes <= a) break;
    if (b > at) at = b;
  }
  return at;
}

function take(taken: Taken, from: number, to: number): Taken {
  if (to <= from) return taken;
  const i = taken.findIndex(([a]) => a >= from);
  const at = i < 0 ? taken.length : i;
  return [...taken.slice(0, at), [from, to], ...taken.slice(at)];
}

/** What has been placed so far; nothing of it is changed, so that a search can go back. */
interface Board {
  placed: readonly Placed[];
  ends: ReadonlyMap<string, number>;
  hands: ReadonlyMap<string, Taken>;
  places: ReadonlyMap<string, Taken>;
  endMin: number;
}

/** When somebody is free for it and its place is too; the first of them who is. */
function earliest(board: Board, t: Task, people: readonly string[], ready: number) {
  const place = board.places.get(t.place) ?? [];
  const able = t.person === undefined ? people : [t.person];
  let best: { at: number; by: string } | undefined;
  for (const by of able) {
    const own = board.hands.get(by) ?? [];
    let at = ready;
    for (;;) {
      const next = freeFrom(place, freeFrom(own, at, t.handsMin), t.handsMin);
      if (next === at) break;
      at = next;
    }
    if (!best || at < best.at) best = { at, by };
  }
  return best;
}

function put(board: Board, t: Task, people: readonly string[]): Board {
  const ready = Math.max(0, ...t.after.map((id) => board.ends.get(id) ?? 0));
  // What works by itself needs neither hands nor a place of its own.
  const found = t.handsMin > 0 ? earliest(board, t, people, ready) : undefined;
  const startMin = found?.at ?? ready;
  const freeMin = startMin + t.handsMin;
  const endMin = freeMin + t.waitMin;
  const one: Placed = { task: t, startMin, freeMin, endMin, ...(found ? { by: found.by } : {}) };
  return {
    placed: [...board.placed, one],
    ends: new Map(board.ends).set(t.id, endMin),
    hands: found
      ? new Map(board.hands).set(found.by, take(board.hands.get(found.by) ?? [], startMin, freeMin))
      : board.hands,
    places: found
      ? new Map(board.places).set(t.place, take(board.places.get(t.place) ?? [], startMin, freeMin))
      : board.places,
    endMin: Math.max(board.endMin, endMin),
  };
}

const empty: Board = {
  placed: [],
  ends: new Map(),
  hands: new Map(),
  places: new Map(),
  endMin: 0,
};

const mayBegin = (t: Task, board: Board) => t.after.every((id) => board.ends.has(id));

/** Tasks one after the other, always the one of those that may begin which stands first in the order. */
function inOrder(order: readonly Task[], people: readonly string[]): Board {
  let board = empty;
  let left = order;
  while (left.length > 0) {
    const next = left.find((t) => mayBegin(t, board));
    if (!next) throw new RangeError('tasks: they wait for each other');
    board = put(board, next, people);
    left = left.filter((t) => t !== next);
  }
  return board;
}

/** A stream of numbers from 0 to 1 that is the same every time. */
function steady(): () => number {
  let x = 0x2545f491;
  return () => {
    x ^= x << 13;
    x ^= x >>> 17;
    x ^= x << 5;
    return (x >>> 0) / 0x1_0000_0000;
  };
}

/** Better orders by moving one task at a time; ends at the bound or after so many tries. */
function bettered(
  order: readonly Task[],
  people: readonly string[],
  start: Board,
  { boundMin, tries }: { boundMin: number; tries: number },
): Board {
  const r = steady();
  let [best, kept] = [start, [...order]];
  for (let i = 0; i < tries && best.endMin > boundMin; i++) {
    const tried = [...kept];
    const [moved] = tried.splice(Math.floor(r() * tried.length), 1);
    if (!moved) break;
    tried.splice(Math.floor(r() * (tried.length + 1)), 0, moved);
    const board = inOrder(tried, people);
    if (board.endMin > best.endMin) continue;
    best = board;
    kept = tried;
  }
  return best;
}

/** So much work is spent on plans that are too large to try every order of: moves of one task. */
const moves = 20_000;

/** `quick`: a good order at once, without looking for a better one; the search of a large plan takes about 0.1 s. */
export type Search = 'quick' | 'whole';

/**
 * The shortest plan for these tasks and people. Throws RangeError with the sentence of `taskFault`. Up to ten tasks it is
 * the shortest there is; above that it says how far from the bound it may be.
 */
export function plan(
  tasks: readonly Task[],
  people: readonly string[],
  search: Search = 'whole',
): Plan {
  const fault = taskFault(tasks, people);
  if (fault) throw new RangeError(`tasks: ${fault}`);
  const boundMin = lowerBoundMin(tasks, people);
  const tails = tailsOf(tasks);
  const order = [...tasks].sort((a, b) => (tails.get(b.id) ?? 0) - (tails.get(a.id) ?? 0));
  const first = inOrder(order, people);
  const small = tasks.length <= exactUpTo;
  const found: Pick<Board, 'placed' | 'endMin'> = small
    ? (shortest(order, people, first.endMin, boundMin) ?? first)
    : bettered(order, people, first, {
        boundMin,
        tries: search === 'quick' ? 0 : Math.ceil(moves / Math.max(1, tasks.length)),
      });
  return {
    placed: [...found.placed].sort((a, b) => a.startMin - b.startMin),
    endMin: found.endMin,
    boundMin,
    exact: small || found.endMin <= boundMin,
  };
}

/** First come, first served: the tasks in the order they were written, as a shop does without a plan. */
export function asWritten(tasks: readonly Task[], people: readonly string[]): Plan {
  const fault = taskFault(tasks, people);
  if (fault) throw new RangeError(`tasks: ${fault}`);
  const board = inOrder(tasks, people);
  return {
    placed: board.placed,
    endMin: board.endMin,
    boundMin: lowerBoundMin(tasks, people),
    exact: false,
  };
}

/** How far a task has come: over, or begun with so much of it left. */
export type Progress = { over: true } | { handsLeftMin: number; waitLeftMin: number };

/** The plan for what is left from now on: what is over is gone, what was begun goes on with what is left of it. */
export function planFromNow(
  tasks: readonly Task[],
  people: readonly string[],
  progress: ReadonlyMap<string, Progress>,
  search: Search = 'whole',
): Plan {
  const isOver = (id: string) => {
    const p = progress.get(id);
    return p !== undefined && 'over' in p;
  };
  const left = tasks
    .filter((t) => !isOver(t.id))
    .map((t) => {
      const p = progress.get(t.id);
      const begun = p && 'handsLeftMin' in p ? p : undefined;
      return {
        ...t,
        after: t.after.filter((id) => !isOver(id)),
        ...(begun ? { handsMin: begun.handsLeftMin, waitMin: begun.waitLeftMin } : {}),
      };
    });
  return plan(left, people, search);
}
