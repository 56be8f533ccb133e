import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleSetups, nearSizes, piece } from '../../../tests/example.ts';
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
