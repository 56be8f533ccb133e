import { describe, expect, it } from 'vitest';
import { exampleWorks } from '../../../tests/example.ts';
import { schedule } from '../plan/index.ts';
import { requirement } from '../press/index.ts';
import { checksOf } from '../prove/index.ts';
import {
  cautions,
  cornerOf,
  factIds,
  facts,
  familyByCode,
  isPressed,
  type FamilyCode,
  itemsOf,
  offNow,
  sectionOf,
  strokesIn,
  strokesInWords,
  type Walk,
  walks,
  walkSteps,
} from './index.ts';

const walked = Object.entries(walks) as [FamilyCode, Walk][];
const set: readonly FamilyCode[] = ['T2', 'A3'];
const factsIn = (w: Walk) =>
  [...w.out, ...w.in].flatMap((t) => (t.kind === 'facts' ? t.facts : []));

describe.each(walked)('the walk of %s', (code, walk) => {
  const strokes = [...strokesIn(walk.out), ...strokesIn(walk.in)];
  it('has only strokes that its parts have, and takes off before it puts on', () => {
    if (!isPressed(walk)) return expect(strokes).toEqual([]);
    // A full-floating hub takes its cups as any hub on two taper rows.
    const work = exampleWorks.find((w) => w.family === (code === 'A3' ? 'T2' : code))!;
    expect(strokes.filter((o) => !requirement(o, work))).toEqual([]);
    expect(strokesIn(walk.out).filter((o) => requirement(o, work)!.fitting)).toEqual([]);
    expect(strokesIn(walk.in).filter((o) => !requirement(o, work)!.fitting)).toEqual([]);
  });
  it('reads the old part and the seats at the end of Press out, and judges the seats before anything goes on', () => {
    expect(walk.out[0]!.kind).toBe('strip');
    // What is bolted on stands on a seat that is looked at, not measured.
    const [end, begin] = isPressed(walk) ? [['old', 'seats'], 'verdict'] : [['old'], 'facts'];
    expect(walk.out.slice(-end.length).map((t) => t.kind)).toEqual(end);
    expect(walk.in[0]!.kind).toBe(begin);
    // A hub that is set by its nut turns only once it is on.
    expect(walk.in.findLast((t) => !t.way)).toMatchObject({
      kind: 'facts',
      id: set.includes(code) ? 'cones' : 'turn',
    });
  });
  it('asks for what locks a stroke before that stroke comes', () => {
    const order = [...walk.out, ...walk.in].flatMap((t): string[] => {
      if (t.kind === 'facts') return [...t.facts];
      return t.kind === 'stroke' ? [t.operation] : [];
    });
    for (const id of factsIn(walk))
      for (const o of facts[id].locks?.before ?? [])
        if (strokes.includes(o))
          expect(order.indexOf(id), `${id} before ${o}`).toBeLessThan(order.indexOf(o));
  });
  it('has a picture for each thing to see, and a caution and an item for each that a step names', () => {
    const roles = new Set(sectionOf(code).bodies.map((b) => b.role));
    for (const id of factsIn(walk))
      for (const lit of facts[id].lit ?? [])
        expect(roles.has(lit), `${id} lights ${lit}`).toBe(true);
    const corner = new Set(cornerOf(code).bodies.map((b) => b.role));
    for (const s of walk.steps) {
      expect(s.lit.length, `${s.id} lights nothing`).toBeGreaterThan(0);
      for (const lit of s.lit) expect(corner.has(lit), `${s.id} lights ${lit}`).toBe(true);
      for (const side of [s.out, s.back])
        if (side?.caution) expect(cautions[side.caution], `${s.id}: ${side.caution}`).toBeDefined();
      if (s.single)
        expect(
          itemsOf(code).map((i) => i.id),
          s.id,
        ).toContain(s.single);
    }
    expect(new Set(walk.steps.map((s) => s.id)).size).toBe(walk.steps.length);
  });
  it('has off the car what was taken off, and puts all of it back', () => {
    for (const phase of ['strip', 'rebuild'] as const) {
      const steps = walkSteps(walk.steps, phase);
      const off = (done: readonly string[]) => new Set(offNow(steps, phase, done));
      const moved = new Set(steps.filter((s) => !s.stays).flatMap((s) => s.lit));
      const [none, all] = [off([]), off(steps.map((s) => s.id))];
      expect([none, all]).toEqual(phase === 'strip' ? [new Set(), moved] : [moved, new Set()]);
      expect(moved.size).toBeGreaterThan(2);
    }
  });
  it('turns the strip round on the way back, on each of its routes, and ends within a day', () => {
    for (const route of familyByCode(code).routes.filter((r) => r.walked)) {
      const order = walk.steps.map((s) => s.id);
      const strip = walkSteps(walk.steps, 'strip', route.id).map((s) => s.id);
      const back = walkSteps(walk.steps, 'rebuild', route.id).map((s) => s.id);
      expect(strip).toEqual(order.filter((id) => strip.includes(id)));
      expect(back).toEqual(order.filter((id) => back.includes(id)).reverse());
      const { endMin, bars } = schedule({
        family: code,
        route: route.id,
        chill: false,
        soak: true,
      });
      expect(endMin).toBe(Math.max(...bars.filter((b) => b.handsOn).map((b) => b.endMin)));
      expect(endMin).toBeLessThan(600);
    }
  });
  it('releases no vehicle with the road test, the brake or the wheel nuts open', () => {
    const held = checksOf(code)
      .filter((c) => c.release)
      .map((c) => c.id);
    expect(held).toEqual(expect.arrayContaining(['smooth', 'hose', 'wheel-nuts', 'road']));
    expect(checksOf(code, 'on-car').map((c) => c.id)).not.toContain('alignment');
    // A step that is not owed at Torque is owed by what answers for it: oil only once the cover is tight.
    const answers = walkSteps(walk.steps, 'rebuild').flatMap((s) => s.answeredBy ?? []);
    expect(answers).toContain('wheel-nuts');
    expect(answers.filter((id) => ![...held, ...factsIn(walk)].includes(id))).toEqual([]);
  });
});

it('uses every thing to see somewhere, and says in words what a family presses', () => {
  const used = new Set(walked.flatMap(([, w]) => factsIn(w)));
  expect(factIds.filter((id) => !used.has(id))).toEqual([]);
  expect(strokesInWords('A2')).toBe(
    'bearing off the shaft, bearing on to the shaft, ring on to the shaft',
  );
});

it('saves the hands the joints and the strut when a pressed-in bearing is done on the car', () => {
  const ids = (route: string) => walkSteps(walks.P1!.steps, 'strip', route).map((s) => s.id);
  expect(ids('bench').filter((id) => !ids('on-car').includes(id))).toEqual([
    'steering',
    'lower',
    'strut',
  ]);
});
