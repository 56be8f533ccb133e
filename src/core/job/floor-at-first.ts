import type { FloorRow, FloorView } from './job-view.ts';

/** Jobs that somebody works on: on a station, and not closed. */
export const openOn = (rows: readonly FloorRow[]): FloorRow[] =>
  rows.filter((r) => r.station && !r.closed);
export const isWaiting = (r: FloorRow): boolean => r.timers.length > 0;
const isStopped = (r: FloorRow): boolean => r.spine.some((m) => m.mark === 'blocked');

/** What the head of the floor says of all its rows. */
export interface FloorCounts {
  open: number;
  waiting: number;
  stopped: number;
}
export function floorCounts(rows: readonly FloorRow[]): FloorCounts {
  const open = openOn(rows);
  return {
    open: open.length,
    waiting: open.filter(isWaiting).length,
    stopped: open.filter(isStopped).length,
  };
}

/** The floor as it comes with its page: a long one is read on once the page is there. */
export interface FloorAtFirst {
  view: FloorView;
  counts: FloorCounts;
  /** Rows are left out of it. */
  more: boolean;
}

/** Rows that come with the page: those open, and of those due or noted as many as are shown below them. */
const [mostOpen, mostBelow] = [40, 3];

export function atFirst(view: FloorView): FloorAtFirst {
  const { rows } = view;
  const first = new Set([
    ...openOn(rows).slice(0, mostOpen),
    ...rows.filter((r) => r.recheck).slice(0, mostBelow),
    ...rows.filter((r) => r.note).slice(0, mostBelow),
  ]);
  return {
    view: { ...view, rows: rows.filter((r) => first.has(r)) },
    counts: floorCounts(rows),
    more: first.size < rows.length,
  };
}
