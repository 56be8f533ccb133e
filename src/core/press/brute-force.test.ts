import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  exampleSetup,
  exampleSetups,
  exampleWork,
  nearSizes,
  piece,
} from '../../../tests/example.ts';
import { type Adapter, judgeStack, type Setup, solve, type Stack } from './index.ts';

/** The slowest law of the folder, in a file of its own so that a mutation run can leave it out. */

/** Every stack of a kit, tried one by one. */
function bruteForce(kit: readonly Adapter[], setup: Setup): number | undefined {
  const some = [undefined, ...kit];
  let best: number | undefined;
  for (const pusher of kit)
    for (const cap of some)
      for (const support of setup.requirement.support ? kit : [undefined])
        for (const riser of support ? some : [undefined]) {
          const stack: Stack = {
            ...(cap ? { cap } : {}),
            pusher,
            ...(support ? { support } : {}),
            ...(riser ? { riser } : {}),
          };
          const j = judgeStack(stack, setup);
          if (j.status !== 'stop' && (best === undefined || j.score > best)) best = j.score;
        }
  return best;
}

const pieceNear = (near: readonly [number, number, number, Adapter['shape']][]) =>
  fc.oneof(
    {
      weight: 1,
      arbitrary: fc
        .record({
          o: fc.integer({ min: 60, max: 420 }),
          i: fc.integer({ min: 0, max: 300 }),
          h: fc.integer({ min: 10, max: 240 }),
          deep: fc.boolean(),
        })
        .filter(({ o, i }) => i < o)
        .map(({ o, i, h, deep }) => ({
          o: o / 2,
          i: i / 2,
          h: h / 2,
          deep,
          shape: 'sleeve' as Adapter['shape'],
        })),
    },
    {
      weight: 5,
      arbitrary: fc
        .record({ base: fc.constantFrom(...near), d: fc.integer({ min: -1, max: 1 }) })
        .map(({ base: [o, i, h, shape], d }) => ({
          o: Math.max(8, o + d / 2),
          i: i === 0 ? 0 : Math.max(1, Math.min(i + d / 2, o - 4)),
          h,
          deep: false,
          shape,
        })),
    },
  );
const kitNear = (setup: Setup) =>
  fc.array(pieceNear(nearSizes(setup)), { minLength: 3, maxLength: 5 }).map((list) =>
    list.map((p, n): Adapter =>
      piece(`p${n}`, p.o, p.i, p.h, {
        shape: p.shape,
        ...(p.shape === 'half-shells' ? { recessMm: Math.max(1, p.h - 5) } : {}),
        ...(p.shape !== 'half-shells' && p.deep && p.i > 0 ? { recessMm: p.h * 0.8 } : {}),
      }),
    ),
  );

describe('solver', () => {
  const all = exampleSetups();
  it.each(all)('agrees with brute force on random kits: $label', ({ setup }) => {
    fc.assert(
      fc.property(kitNear(setup), (kit) => {
        const found = solve(kit, setup).solutions[0]?.judgement;
        const best = bruteForce(kit, setup);
        expect(found === undefined).toBe(best === undefined);
        expect(found?.score ?? 0).toBeCloseTo(best ?? 0, 9);
      }),
      { numRuns: 10 },
    );
  });
});

/**
 * A second way to find what a stack loads, that shares nothing with the first: both sides are cut into thin rings, each ring
 * of the work goes as far as the nearest steel under it, and those that get there first carry.
 */
function loadedRings(s: Stack, { requirement: r }: Setup, end: 'pusher' | 'support'): Set<string> {
  const [piece, behind] = end === 'pusher' ? [s.pusher, s.cap] : [s.support, s.riser];
  if (!piece) return new Set();
  const steelAt = (a: Adapter, radius: number): number => {
    if (radius > a.outerMm / 2) return Infinity;
    if (radius > a.innerMm / 2) return 0;
    return a.recessMm !== undefined && a.shape !== 'half-shells' ? a.recessMm : Infinity;
  };
  const wayAt = (radius: number): number => {
    const own = steelAt(piece, radius);
    if (r.drawn) return own;
    const second = behind ? piece.heightMm + steelAt(behind, radius) : Infinity;
    const bed = end === 'support' ? piece.heightMm + (behind?.heightMm ?? 0) : Infinity;
    return Math.min(own, second, bed);
  };
  const step = 0.02;
  const met = r.touches
    .filter((t) => t.role === end)
    .flatMap((t) => {
      const ways = new Map<number, number>();
      for (let radius = t.innerMm / 2 + step / 2; radius < t.outerMm / 2; radius += step) {
        const way = wayAt(radius);
        ways.set(way, (ways.get(way) ?? 0) + step);
      }
      // A sliver of contact carries nothing.
      return [...ways].flatMap(([way, width]) =>
        width > 0.1 + step ? [{ node: t.node, way: way - (t.proudMm ?? 0) }] : [],
      );
    });
  const first = Math.min(...met.map((m) => m.way));
  return new Set(met.filter((m) => m.way < first + 0.05 && m.way < Infinity).map((m) => m.node));
}

describe('the force path', () => {
  const rows = exampleSetups().filter(
    ({ setup }) => setup.requirement.row && setup.requirement.fitting,
  );
  it.each(rows)(
    'loads the rolling elements just where thin rings of steel do: $label',
    ({ setup }) => {
      const { joins } = setup.requirement;
      const withoutBalls = (from: string): Set<string> => {
        const seen = new Set([from]);
        for (const a of seen)
          for (const [x, y] of joins)
            if (x !== 'balls' && y !== 'balls' && (x === a || y === a)) seen.add(x).add(y);
        return seen;
      };
      fc.assert(
        fc.property(kitNear(setup), fc.nat(), (kit, n) => {
          const pick = (k: number) => kit[(n + k) % kit.length]!;
          const stack: Stack = {
            pusher: pick(0),
            support: pick(1),
            ...(n % 2 ? { riser: pick(2) } : {}),
            ...(n % 3 ? { cap: pick(3) } : {}),
          };
          const [above, below] = (['pusher', 'support'] as const).map((end) =>
            loadedRings(stack, setup, end),
          );
          const { path } = judgeStack(stack, setup);
          const none = above!.size === 0 || below!.size === 0;
          expect(path.nodes.length === 0).toBe(none);
          if (none) return;
          const both = above!.has('inner') && above!.has('outer');
          const free = [...above!].some((a) => [...withoutBalls(a)].some((b) => below!.has(b)));
          expect(path.throughBalls).toBe(both || !free);
        }),
        { numRuns: 60 },
      );
    },
  );
  it('sees the plate under a low ring meet the knuckle, and a proud ring in a recess that is too shallow', () => {
    const work = { ...exampleWork, knuckle: { ...exampleWork.knuckle, seatDepthMm: 41.5 } };
    const hubIn = exampleSetup('hub-in', work);
    const pusher = piece('flange block', 80, 0, 25);
    const stand = (riser?: Adapter) =>
      judgeStack({ pusher, support: piece('ring', 52, 41, 7), ...(riser ? { riser } : {}) }, hubIn)
        .path.throughBalls;
    expect(stand(piece('plate', 160, 45, 30))).toBe(true);
    expect(stand(piece('narrow sleeve', 66, 45, 30))).toBe(false);
    const wide = { ...exampleWork, bearing: { ...exampleWork.bearing, innerWidthMm: 43 } };
    const cup = (recessMm: number) =>
      judgeStack(
        {
          pusher: piece('cup', 75, 68, 30, { recessMm }),
          support: piece('support', 110, 84, 20),
        },
        exampleSetup('bearing-in', wide),
      ).path.throughBalls;
    expect([cup(1), cup(4)]).toEqual([true, false]);
  });
});
