import { type FamilyCode, isPressed, walks, type WalkStep, walkSteps } from '../families/index.ts';
import type { Task } from './task.ts';

/** The work on one corner as tasks: what the hands do, what works by itself, what comes first. */
export interface CornerWork {
  /** Tells the tasks of one corner from those of another; left out where there is one corner only. */
  corner?: string;
  /** A pressed-in bearing on the bench while nothing else is said. */
  family?: FamilyCode | undefined;
  route?: string | undefined;
  chill: boolean;
  soak: boolean;
  /** Hands of this shop against our minutes; as ours where nothing is said. */
  pace?: number | undefined;
}

/** Handling and press times of the bench work, minutes (engineering judgement until the shop has its own history). */
const minutes = { stack: 8, pressOut: 20, measure: 14, pressIn: 20, nut: 10, proof: 25 };

/** Bond broken, seat cleaned and judged, the new unit on by hand, minutes (engineering judgement). */
const unitMinutes = 35;

/** Penetrant needs about this long, longer on rust (common practice, no published source). */
const soakMinutes = 20;

/** Freezer: a ring is within 2 K of it after about this long (lumped cooling, engineering judgement). */
export const chillMinutes = 75;

const sum = (list: readonly WalkStep[]) => list.reduce((a, s) => a + s.minutes, 0);

/** Every task of one corner in the order of the metal. */
export function tasksOf(o: CornerWork): Task[] {
  const walk = walks[o.family ?? 'P1'];
  const strip = walkSteps(walk.steps, 'strip', o.route);
  const soaks = strip.findIndex((s) => s.id === 'soak') + 1;
  const car = o.corner ? `car ${o.corner}` : 'car';
  const name = (id: string) => (o.corner ? `${o.corner}:${id}` : id);
  const task = (
    id: string,
    label: string,
    place: string,
    handsMin: number,
    after: readonly string[],
    waitMin = 0,
  ): Task => ({
    id: name(id),
    label,
    place,
    handsMin: handsMin === 0 ? 0 : Math.max(1, Math.round(handsMin * (o.pace ?? 1))),
    waitMin,
    after: after.map(name),
  });
  const began = soaks > 0;
  const prepare = began
    ? [
        {
          ...task(
            'prepare',
            'start',
            car,
            sum(strip.slice(0, soaks)),
            [],
            o.soak ? soakMinutes : 0,
          ),
          waitLabel: 'soak',
        },
      ]
    : [];
  const rest = sum(strip.slice(soaks));
  const before = began ? ['prepare'] : [];
  const rebuild = (last: string) => [
    task('rebuild', 'rebuild', car, sum(walkSteps(walk.steps, 'rebuild', o.route)), [last]),
    task('torque', 'nut', car, minutes.nut, ['rebuild']),
    task('prove', 'proof', car, minutes.proof, ['torque']),
  ];
  if (!isPressed(walk))
    return [
      ...prepare,
      task('strip', 'strip', car, rest, before),
      task('unit', 'unit off, seat, unit on', car, unitMinutes, ['strip']),
      ...rebuild('unit'),
    ];
  return [
    ...(o.chill ? [task('chill', 'bearing chills', 'freezer', 0, [], chillMinutes)] : []),
    ...prepare,
    task('stack', 'set up press', 'press', minutes.stack, []),
    task('strip', o.route === 'on-car' ? 'strip' : 'strip, parts to the bench', car, rest, before),
    task('press-out', 'press out', 'press', minutes.pressOut, ['strip', 'stack']),
    task('measure', 'measure', 'bench', minutes.measure, ['press-out']),
    task('press-in', 'press in', 'press', minutes.pressIn, [
      'measure',
      ...(o.chill ? ['chill'] : []),
    ]),
    ...rebuild('press-in'),
  ];
}
