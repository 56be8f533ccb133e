import { describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, type Walked, walked, Worked, workThrough } from '../../../tests/technician.ts';
import { project, projectOn, spine } from './index.ts';

/** What the centre line says of the signed job, from the match to the axle nut. */
const walks: readonly (readonly [Walked, string])[] = [
  [walked[0]!, '40 × 76 × 37, bench press, peak 12 kN, seat 41.5 mm, 70 N·m + 60°'],
  [walked[1]!, '40 × 76 × 37, on the car, peak 12 kN, seat 41.5 mm, 70 N·m + 60°'],
  [walked[2]!, '32 × 72 × 45, on the car, half-shells, peak 6 kN, seat 38.0 mm, 80 N·m + 50°'],
  [walked[3]!, '32 × 72 × 45, bench press, peak 6 kN, seat 38.0 mm, 80 N·m + 50°'],
  [walked[4]!, '41 × 64 × 22, on the car, puller and slide hammer, seat 24.0 mm, 15 N·m + 30 N·m'],
  [walked[5]!, '40 × 80 × 30, bench press, peak 13 kN, seat 48.0 mm, 30 N·m + 75 N·m'],
  [walked[6]!, '40 × 80 × 30, bench press, peak 13 kN, seat 48.0 mm, 30 N·m + 75 N·m'],
  [walked[7]!, '30 × 62 × 16, bench press, seat 22.0 mm, 160 N·m'],
  [walked[8]!, '30 × 37 × 20, bench press, seat 8.0 mm, 35 N·m + 65 N·m'],
  [walked[9]!, 'pilot 78, 4 on 116, on the car, 90 N·m + 60°'],
  [walked[10]!, 'pilot 84, 4 on 122, on the car, 45 N·m + 95 N·m'],
];

/** What may be left out of a record and still be signed, and why. */
const spared = [
  'test-recorded spring', // a call may rest on the complaint alone
  'step-done wheel', // answered for by the final checks
  'step-done level', // answered for by the final check of the oil
  'step-done shield', // answered for by its interlock before the hub
  'check-recorded warmth', // told, no condition of the release
];
const nameOf = (e: Entry): string => {
  if ('choice' in e) return e.choice;
  const { testId, stepId, checkId } = e.body as Record<string, unknown>;
  return [e.type, testId ?? stepId ?? checkId ?? JSON.stringify(e.body)].join(' ');
};

describe.each(walks)('$family of $unit $corner, $route', (walk, line) => {
  const { worked, entries } = workThrough(walk);
  it('is walked by its own tasks from the complaint to the signature', () => {
    expect(worked.now.state.signed).toBeDefined();
    const marks = spine(worked.now);
    expect(new Set(marks.map((m) => m.mark))).toEqual(new Set(['done']));
    const told = marks.slice(2, -1).map((m) => m.result);
    expect(told.filter(Boolean).join(', ')).toBe(line);
  });
  it('has no entry that could be left out unless it is said why', () => {
    const before = new Worked(shopContext(walk.unit, walk.corner));
    const idle = entries.filter((left, i) => {
      const without = before.fork();
      const refused = entries.slice(i + 1).some((e) => without.put(e) !== undefined);
      before.put(left);
      return !refused && without.now.state.signed !== undefined;
    });
    expect(idle.map(nameOf).filter((n) => !spared.includes(n))).toEqual([]);
  });
});

it('names what is next in words, at every turn of the way', () =>
  expect(workThrough(walked[0]!).actions).toEqual([
    'Nothing recorded yet',
    'No call made yet',
    'Axle nut is not here',
    'No route chosen',
    '12 strip steps to go: level ground, wheels chocked, gearbox in neutral',
    'Press hub out of bearing: not done',
    'Old inner ring off the hub journal: not seen yet',
    'Press bearing out of knuckle: not done',
    'Outer diameter of the old part: 2 reading to go',
    'Knuckle bore not measured',
    'Ready to go on',
    'No verdict on the knuckle bore',
    'Encoder side not checked',
    'Press bearing into knuckle: not done',
    'Snap-ring groove fully clear: not seen yet',
    'Press hub into bearing: not done',
    'Turned by hand, ten turns: not seen yet',
    'Ready to go on',
    '7 rebuild steps to go: knuckle on, strut bolts to the paint marks',
    'Turns smoothly, no rub of shield, disc or drum: not checked',
    'Recheck after 160 km',
  ]));

// From memory of event-sourced records, no published source: folding on is folding anew.
describe.each(walked)('$family of $unit $corner, $route', (walk) => {
  it('stands the same when it is carried forward from any entry, and what it was carried from stays', () => {
    const { events } = workThrough(walk).worked;
    for (let i = 0; i <= events.length; i += 3) {
      const before = project(events.slice(0, i));
      const kept = structuredClone({ ...before });
      expect(projectOn(before, events.slice(i))).toEqual(project(events));
      expect({ ...before }).toEqual(kept);
    }
  });
});
