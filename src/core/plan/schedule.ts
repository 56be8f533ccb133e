import { type FamilyCode, isPressed, walks, type WalkStep, walkSteps } from '../families/index.ts';

export type Place = 'car' | 'bench' | 'press' | 'freezer';

/** One bar of the timeline, minutes from the start of work. */
export interface Bar {
  id: string;
  label: string;
  place: Place;
  startMin: number;
  endMin: number;
  handsOn: boolean;
}

export interface Schedule {
  bars: Bar[];
  endMin: number;
  handsOnMin: number;
  /** Minutes in which a wait leaves the hands idle. */
  idleMin: number;
}

export interface ScheduleOptions {
  /** A pressed-in bearing on the bench while nothing else is said. */
  family?: FamilyCode | undefined;
  route?: string | undefined;
  chill: boolean;
  soak: boolean;
}

/** Handling and press times of the bench work, minutes (engineering judgement until the shop has its own history). */
const benchWork: readonly { id: string; label: string; place: Place; minutes: number }[] = [
  { id: 'stack', label: 'set up press', place: 'press', minutes: 8 },
  { id: 'press-out', label: 'press out', place: 'press', minutes: 20 },
  { id: 'measure', label: 'measure', place: 'bench', minutes: 14 },
  { id: 'press-in', label: 'press in', place: 'press', minutes: 20 },
];

/** Bond broken, seat cleaned and judged, the new unit on by hand, minutes (engineering judgement). */
const unitMinutes = 35;

/** Freezer: a ring is within 2 K of it after about this long (lumped cooling, engineering judgement). */
export const chillMinutes = 75;

/**
 * One technician on one corner: work in order, each wait started as early as its work allows.
 * The soak runs beside work that does not need it (all before the nut is cracked is on the same corner, so
 * the press is set up meanwhile); the freezer runs beside the strip.
 */
export function schedule(o: ScheduleOptions): Schedule {
  const bars: Bar[] = [];
  let now = 0;
  let idle = 0;
  const hands = (id: string, label: string, place: Place, minutes: number) => {
    bars.push({ id, label, place, startMin: now, endMin: now + minutes, handsOn: true });
    now += minutes;
  };
  const wait = (id: string, label: string, place: Place, minutes: number): number => {
    bars.push({ id, label, place, startMin: now, endMin: now + minutes, handsOn: false });
    return now + minutes;
  };
  const until = (t: number) => {
    idle += Math.max(0, t - now);
    now = Math.max(now, t);
  };
  const steps = walks[o.family ?? 'P1']?.steps ?? [];
  const strip = walkSteps(steps, 'strip', o.route);
  const sum = (list: readonly WalkStep[]) => list.reduce((a, s) => a + s.minutes, 0);
  const cold = o.chill ? wait('chill', 'bearing chills', 'freezer', chillMinutes) : 0;
  const before = strip.findIndex((s) => s.id === 'soak') + 1;
  hands('prepare', 'start', 'car', sum(strip.slice(0, before)));
  // A family without a soak in its strip has nothing to wait for.
  const soaked = o.soak && before > 0 ? wait('soak', 'soak', 'car', 20) : now;
  const walk = walks[o.family ?? 'P1'];
  const [stack, ...pressed] = !walk || isPressed(walk) ? benchWork : [];
  if (stack) hands(stack.id, stack.label, stack.place, stack.minutes);
  until(soaked);
  const toBench = stack && o.route !== 'on-car' ? 'strip, parts to the bench' : 'strip';
  hands('strip', toBench, 'car', sum(strip.slice(before)));
  if (!stack) hands('unit', 'unit off, seat, unit on', 'car', unitMinutes);
  for (const b of pressed) {
    // The cold ring is wanted for the last of them.
    if (b === pressed.at(-1)) until(cold);
    hands(b.id, b.label, b.place, b.minutes);
  }
  hands('rebuild', 'rebuild', 'car', sum(walkSteps(steps, 'rebuild', o.route)));
  hands('torque', 'nut', 'car', 10);
  hands('prove', 'proof', 'car', 25);
  return {
    bars,
    endMin: now,
    handsOnMin: bars.filter((b) => b.handsOn).reduce((a, b) => a + b.endMin - b.startMin, 0),
    idleMin: idle,
  };
}
