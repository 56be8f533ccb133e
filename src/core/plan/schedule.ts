import { plan, type Plan, planFromNow, type Progress, type Search } from './scheduler.ts';
import { type CornerWork, tasksOf } from './work.ts';

export type Place = 'car' | 'bench' | 'press' | 'freezer';

/** One bar of the timeline, minutes from the start of work. */
export interface Bar {
  id: string;
  label: string;
  place: Place;
  /** Corner it is worked on, where there are several. */
  corner?: string;
  startMin: number;
  endMin: number;
  handsOn: boolean;
  /** Whose hands, by number. */
  by?: number;
}

export interface Schedule {
  bars: Bar[];
  endMin: number;
  handsOnMin: number;
  /** Minutes in which a wait leaves the hands idle. */
  idleMin: number;
  /** No order can be shorter than this. */
  boundMin: number;
  /** There is no shorter one. */
  exact: boolean;
}

export type ScheduleOptions = CornerWork & {
  /** How many work at it. */
  people?: number;
};

const hands = (n: number) => Array.from({ length: n }, (_, i) => String(i + 1));

const placeOf = (place: string): { place: Place; corner?: string } => {
  const [kind = 'car', corner] = place.split(' ');
  return { place: kind as Place, ...(corner ? { corner } : {}) };
};

function barsOf({ placed }: Plan): Bar[] {
  return placed.flatMap(({ task, startMin, freeMin, endMin, by }): Bar[] => {
    const where = placeOf(task.place);
    const work = { id: task.id, label: task.label, ...where, startMin, endMin: freeMin };
    const wait = {
      id: `${task.id}:wait`,
      label: task.waitLabel ?? task.label,
      ...where,
      startMin: freeMin,
      endMin,
      handsOn: false,
    };
    return [
      ...(freeMin > startMin
        ? [{ ...work, handsOn: true, ...(by ? { by: Number(by) } : {}) }]
        : []),
      ...(endMin > freeMin ? [wait] : []),
    ];
  });
}

/** Work on some corners of a car, who does it, and how far it has come. */
export interface WorkToPlan {
  corners: readonly CornerWork[];
  people?: number;
  progress?: ReadonlyMap<string, Progress>;
}

/** The shortest order of the work on some corners, for one or two people, each wait used. */
export function scheduleAll(
  { corners, people = 1, progress = new Map() }: WorkToPlan,
  search: Search = 'whole',
): Schedule {
  const tasks = corners.flatMap(tasksOf);
  const p =
    progress.size > 0
      ? planFromNow(tasks, hands(people), progress, search)
      : plan(tasks, hands(people), search);
  const bars = barsOf(p);
  const handsOnMin = bars.reduce((a, b) => a + (b.handsOn ? b.endMin - b.startMin : 0), 0);
  return {
    bars,
    endMin: p.endMin,
    handsOnMin,
    idleMin: people * p.endMin - handsOnMin,
    boundMin: p.boundMin,
    exact: p.exact,
  };
}

/** The same for one corner. */
export const schedule = ({ people, ...work }: ScheduleOptions): Schedule =>
  scheduleAll({ corners: [work], ...(people === undefined ? {} : { people }) });
