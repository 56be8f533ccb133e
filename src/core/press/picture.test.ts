import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleSetups } from '../../../tests/example.ts';
import { band } from '../verdict.ts';
import {
  endsStroke,
  engagedShare,
  follower,
  forceAtKn,
  type StrokeCall,
  strokeForceKn,
  usualSchool,
} from './index.ts';

const all = exampleSetups().filter(
  (x) => x.setup.press.id === 'p' || (x.setup.requirement.drawn && x.setup.press.id === 'screw'),
);

describe.each(all)('the picture of $label', ({ setup }) => {
  const { requirement: r } = setup;
  const { picture } = r;
  it('is made of bodies with a wall, drawn from top to bottom', () => {
    for (const b of picture.bodies) {
      const ends = (list: readonly (readonly [number, number])[]) => [list[0]![1], list.at(-1)![1]];
      expect(Math.min(...b.edge.map(([radius]) => radius)), b.key).toBeGreaterThan(0);
      expect(ends(b.edge)[1], b.key).toBeGreaterThan(ends(b.edge)[0]!);
      if (b.bore.length > 0) expect(ends(b.bore), b.key).toEqual(ends(b.edge));
      if (b.bore.length > 0)
        expect(Math.min(...b.bore.map(([radius]) => radius)), b.key).toBeLessThan(
          Math.max(...b.edge.map(([radius]) => radius)),
        );
    }
  });
  it('has a way for the force through every part that carries it', () => {
    for (const t of r.touches) expect(picture.ways[t.node], t.node).toBeDefined();
    for (const j of r.joins.flat()) if (j !== 'bed') expect(picture.ways[j], j).toBeDefined();
  });
  it('leaves out only where nothing changes', () => {
    if (!picture.cut) return;
    const [from, to] = picture.cut;
    for (const b of picture.bodies)
      for (const [, z] of [...b.edge, ...b.bore])
        for (const travel of b.moves ? [0, r.travelMm] : [0])
          expect(z + travel > from && z + travel < to, `${b.key} at ${z}`).toBe(false);
  });
});

describe.each(all)('the force of $label', ({ setup }) => {
  const { requirement: r, forceKn } = setup;
  const fits = {
    bore: band(0.01, 0.02, 0.03),
    journal: band(0.01, 0.02, 0.03),
    measured: { bore: true, journal: true },
  };
  it('is a band that grows going on and falls coming off, between nothing and all', () => {
    expect(forceKn.low).toBeLessThanOrEqual(forceKn.likely);
    expect(forceKn.likely).toBeLessThanOrEqual(forceKn.high);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (a, b) => {
          const [near, far] = [
            engagedShare(setup, Math.min(a, b)),
            engagedShare(setup, Math.max(a, b)),
          ];
          expect(near >= 0 && near <= 1 && (r.fitting ? far >= near : far <= near)).toBe(true);
          expect(forceAtKn(setup, a).likely).toBeCloseTo(
            forceKn.likely * engagedShare(setup, a),
            9,
          );
        },
      ),
    );
  });
  /** An interference of which this much grips: 0.8 of 8 µm of roughness is flattened (DIN 7190-1). */
  const gripping = (mm: number) => band(mm + 0.0064, mm + 0.0064, mm + 0.0064);
  it('is as the interference: twice the grip, twice the force (Lamé is linear)', () => {
    if (r.seat.kind === 'fixed' || r.then) return;
    const at = (k: number) =>
      strokeForceKn(r, { ...fits, [r.seat.kind]: gripping(0.02 * k) }, usualSchool).likely;
    expect(at(2)).toBeCloseTo(2 * at(1), 9);
  });
  it('is not made up where a seat is not known', () => {
    if (r.seat.kind === 'fixed') return;
    expect(() => strokeForceKn(r, { measured: { bore: false, journal: false } })).toThrow(
      /^fits\./u,
    );
  });
});

it('never takes back that a part is stuck, galls or is free, whatever comes after', () => {
  for (const { setup } of all.filter((x) => !x.setup.requirement.fitting)) {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            travelMm: fc.double({ min: 0, max: 60, noNaN: true }),
            forceKn: fc.double({ min: 0, max: 200, noNaN: true }),
          }),
          { minLength: 1, maxLength: 40 },
        ),
        (list) => {
          const follow = follower(setup);
          let ended: StrokeCall | undefined;
          list.forEach((s, i) => {
            const { call } = follow({ ...s, ms: i * 20 });
            if (ended) expect(call).toBe(ended);
            else if (endsStroke(call)) ended = call;
            expect(['waiting', 'square', 'galling', 'stuck', 'free']).toContain(call);
          });
        },
      ),
      { numRuns: 40 },
    );
  }
});
