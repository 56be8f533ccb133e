import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleTools, exampleWork, exampleWorks, recordOfWork } from '../../../tests/example.ts';
import { shopContext } from '../../../tests/shop.ts';
import {
  type Adapter,
  classFits,
  decidingFigures,
  drawnCorner,
  figureAt,
  figuresFor,
  judgeKnown,
  judgeStack,
  type OpenFigure,
  openSetup,
  type Operation,
  operations,
  piecesOf,
  type Setup,
  setupFor,
  solve,
  solveKnown,
  type Stack,
  toSettle,
  withFigure,
  type Work,
  workFrom,
} from './index.ts';

const kit = shopContext('unit-07', 'LF').adapters;

/** A stroke of a corner of which some figures are unknown, and the same once they are filled in. */
function openStroke(
  work: Work,
  operation: Operation,
  tool: (typeof exampleTools)[number],
  hide: (path: string) => boolean,
) {
  const record = recordOfWork(work);
  const figures = figuresFor(work.family);
  const hidden = figures.filter(
    (f) => !f.options && !f.derive && f.needs.includes(operation) && hide(f.path),
  );
  const corner = drawnCorner(work.family, record, work.bearing, (path) =>
    hidden.some((f) => f.path === path),
  )!;
  const at = (values: ReadonlyMap<string, number>): Setup | undefined => {
    const full = [...values].reduce((r, [path, mm]) => withFigure(r, path, mm), corner.record);
    const then = workFrom(work.family, full, work.bearing);
    return then && setupFor(operation, then, tool, classFits(then));
  };
  const listed = hidden.map((f): OpenFigure => ({
    path: f.path,
    name: f.name,
    span: corner.spans.get(f.path)!,
  }));
  const deciding = decidingFigures(listed, at).map((f) => f.path);
  const truth = new Map(deciding.map((path) => [path, Number(figureAt(record, path))]));
  const open = listed.filter((f) => !deciding.includes(f.path));
  const drawn = new Map(open.map((f) => [f.path, Number(figureAt(corner.record, f.path))]));
  const setupWith = (values: ReadonlyMap<string, number>) => at(new Map([...truth, ...values]));
  return { setup: openSetup(open, drawn, setupWith), open, setupWith };
}

/** Where a verdict can turn: at the ends of a span, at the sizes of the pieces give or take a clearance, and between. */
const valueOf = (f: OpenFigure, pieces: readonly Adapter[]): fc.Arbitrary<number> => {
  const { low, high } = f.span;
  const sizes = pieces.flatMap((a) => [
    a.outerMm,
    a.innerMm,
    a.heightMm,
    a.heightMm - (a.recessMm ?? 0),
  ]);
  const near = sizes.flatMap((x) => [x - 3, x - 0.5, x, x + 0.5, x + 3, x + 6]);
  const inside = near.filter((x) => x > low && x < high);
  return fc.oneof(
    fc.constantFrom(low, high),
    fc.double({ min: low, max: Math.min(high, 400), noNaN: true }),
    ...(inside.length > 0 ? [fc.constantFrom(...inside)] : []),
  );
};

const strokesOf = exampleWorks.flatMap((work) =>
  operations
    .filter((o) => !o.startsWith('stud') && exampleTools.some((t) => setupFor(o, work, t)))
    .filter(() => figuresFor(work.family).length > 0)
    .map((operation) => [`${work.family} ${operation}`, work, operation] as const),
);

describe('a verdict on a corner that is not all known', () => {
  let sure = 0;
  it.each(strokesOf)(
    'holds for every value of it: %s',
    (_name, work, operation) => {
      let stop = 0;
      const paths = figuresFor(work.family)
        .filter((f) => f.needs.includes(operation))
        .map((f) => f.path);
      fc.assert(
        fc.property(
          fc.constantFrom(...exampleTools),
          fc.subarray(paths, { minLength: 1, maxLength: 5 }),
          fc.gen(),
          (tool, hidden, gen) => {
            const { setup, open, setupWith } = openStroke(work, operation, tool, (p) =>
              hidden.includes(p),
            );
            if (!setup?.open) return;
            const piece = () => gen(fc.constantFrom, ...kit);
            const maybe = () => (gen(fc.boolean) ? piece() : undefined);
            const byHand = (): Stack => {
              const [cap, support, riser] = [maybe(), piece(), maybe()];
              return {
                pusher: piece(),
                ...(cap ? { cap } : {}),
                ...(setup.requirement.support ? { support } : {}),
                ...(riser && setup.requirement.support ? { riser } : {}),
              };
            };
            const best = [
              ...solve(kit, setup, 3).solutions,
              ...solveKnown(kit, setup, 2).solutions,
            ].map((s) => s.stack);
            for (const stack of [...best, byHand(), byHand()]) {
              const said = judgeStack(stack, setup);
              const settled =
                said.status !== 'stop' &&
                toSettle(stack, setup).length === 0 &&
                !said.verdicts.some((v) => v.rule === 'press.unmeasured');
              for (let i = 0; i < 4; i += 1) {
                const values = new Map(
                  open.map((f) => [f.path, gen(() => valueOf(f, piecesOf(stack)))]),
                );
                const then = setupWith(values);
                if (!then) continue;
                const known = judgeKnown(stack, then);
                const where = JSON.stringify([...values]);
                if (settled) expect(known.status, where).not.toBe('stop');
                if (said.status === 'stop') expect(known.status, where).toBe('stop');
                if (said.status === 'good')
                  expect(
                    known.verdicts.filter((v) => v.status !== 'good' && !v.rule.endsWith('-spare')),
                  ).toEqual([]);
                if (settled) sure += 1;
                if (said.status === 'stop') stop += 1;
              }
            }
          },
        ),
        { numRuns: 25 },
      );
      // It says nothing if it never says anything.
      expect(stop).toBeGreaterThan(0);
    },
    30_000,
  );

  it('is Good for many of them all the same', () => {
    expect(sure).toBeGreaterThan(100);
  });

  const boss = (path: string) => path === 'knuckle.bossOuterMm';
  const press = exampleTools.find((t) => (t.kind ?? 'press') === 'press')!;
  it('is Check where the unknown decides, and tells what it has to show', () => {
    const { setup, setupWith } = openStroke(exampleWork, 'bearing-out', press, boss);
    const [best] = solve(kit, setup!).solutions;
    expect(best!.judgement.verdicts.map((v) => v.rule)).toEqual(['press.unmeasured']);
    const [asked, ...others] = toSettle(best!.stack, setup!);
    expect(others).toEqual([]);
    expect(asked!.figure.path).toBe('knuckle.bossOuterMm');
    const at = (mm: number) =>
      judgeStack(best!.stack, setupWith(new Map([['knuckle.bossOuterMm', mm]]))!);
    expect(at(asked!.min! + 0.1).status).not.toBe('stop');
    expect(at(asked!.min! - 0.1).status).toBe('stop');
  });
  it('widens the force with what is unknown', () => {
    const known = openStroke(exampleWork, 'bearing-in', press, () => false).setup!;
    const open = openStroke(exampleWork, 'bearing-in', press, boss).setup!;
    expect(open.forceKn.low).toBeLessThan(known.forceKn.low);
    expect(open.forceKn.high).toBeGreaterThan(known.forceKn.high);
  });
});
