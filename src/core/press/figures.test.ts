import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleTools, exampleWork, exampleWorks, recordOfWork } from '../../../tests/example.ts';
import { shopContext } from '../../../tests/shop.ts';
import type { CornerRecord } from '../corner-record.ts';
import type { FamilyCode } from '../families/index.ts';
import {
  drawnCorner,
  figureAt,
  figureFault,
  figuresFor,
  type FigureValue,
  hammer,
  looksLikeInches,
  type Operation,
  operations,
  seatsOf,
  setupFor,
  solve,
  withFigure,
  type Work,
  workFrom,
} from './index.ts';

const kit = shopContext('unit-07', 'LF').adapters;

/** All that is said of a stroke: what it asks for, its force, and its best stacks with their verdicts; not its picture. */
function saidOf(operation: Operation, work: Work): string {
  const said = [...exampleTools, hammer].map((tool) => {
    const setup = setupFor(operation, work, tool);
    if (!setup) return undefined;
    const { picture: _p, ...asks } = setup.requirement;
    const best = solve(kit, setup, 3).solutions.map((s) => [s.stack, s.judgement.verdicts]);
    return [asks, setup.forceKn, best];
  });
  return JSON.stringify(said);
}

const otherWords: Record<string, FigureValue> = {
  'ductile-iron': 'aluminium',
  'grey-iron': 'aluminium',
  steel: 'aluminium',
  outboard: 'inboard',
  inboard: 'outboard',
  P7: 'N7',
  N7: 'P7',
  m6: 'k6',
};
const moved = (v: FigureValue, by: number): FigureValue =>
  typeof v === 'number' ? v * by + 0.1 : (otherWords[v] ?? v);

const families = exampleWorks.filter((w) => figuresFor(w.family).length > 0);

describe.each(families.map((w) => [w.family, w] as const))('the figures of %s', (family, work) => {
  const record = recordOfWork(work);
  const strokes = operations.filter(
    (o) => !o.startsWith('stud') && saidOf(o, work) !== '[null,null,null,null]',
  );
  const figures = figuresFor(family);
  const with_ = (path: string, by: number): Work | undefined => {
    const now = figureAt(record, path);
    const next = now !== undefined && withFigure(record, path, moved(now, by));
    // What follows from the part would no longer be this part's: the work is put together by hand.
    return next ? ({ ...work, ...next, family: work.family } as unknown as Work) : undefined;
  };

  it('leave every stroke that does not name them as it is', () => {
    for (const operation of strokes) {
      const said = saidOf(operation, work);
      const others = figures.filter((f) => !f.needs.includes(operation));
      fc.assert(
        fc.property(
          fc.constantFrom(...others),
          fc.double({ min: 0.95, max: 1.06, noNaN: true }),
          (f, by) => {
            const changed = with_(f.path, by);
            if (changed) expect(saidOf(operation, changed), `${operation}: ${f.path}`).toBe(said);
          },
        ),
        { numRuns: 12 },
      );
    }
  });
  it('are needed by the strokes that name them', () => {
    const idle = figures.flatMap((f) =>
      f.needs.flatMap((operation) => {
        if (figureAt(record, f.path) === undefined) return [];
        const said = saidOf(operation, work);
        const moves = [1.07, 0.94].some((by) => saidOf(operation, with_(f.path, by)!) !== said);
        return moves ? [] : [`${operation}: ${f.path}`];
      }),
    );
    expect(idle).toEqual([]);
  });
  it('leave the seats alone where they do not name them', () => {
    const said = JSON.stringify(seatsOf(work));
    for (const f of figures.filter((x) => !x.seat)) {
      const changed = with_(f.path, 0.96);
      if (changed) expect(JSON.stringify(seatsOf(changed)), f.path).toBe(said);
    }
  });
  it('make a corner of which nothing is known drawable, and say what is unknown', () => {
    const drawn = drawnCorner(family as FamilyCode, undefined, work.bearing)!;
    const { record: full, unknown } = drawn;
    expect(workFrom(family, full, work.bearing)).toBeDefined();
    // What follows from the part or its class needs no reading.
    expect(unknown.map((f) => f.path)).not.toContain('knuckle.boreMm');
    const told = unknown.reduce(
      (r, f) => withFigure(r, f.path, figureAt(record, f.path) ?? f.outline(work.bearing)),
      { family, source: 'read' } as CornerRecord,
    );
    expect(drawnCorner(family as FamilyCode, told, work.bearing)!.unknown).toEqual([]);
  });
});

describe('figures that cannot all be true', () => {
  const record = recordOfWork(exampleWork);
  const known = (path: string) => figureAt(record, path);
  it.each([
    ['a shoulder wider than its bore', 'knuckle.shoulderMm', 77, 'Knuckle bore', 76],
    ['a boss narrower than the bore in it', 'knuckle.bossOuterMm', 60, 'Knuckle bore', 76],
    [
      'a seat deeper than the knuckle',
      'knuckle.seatDepthMm',
      52,
      'Knuckle, whole depth at the bore',
      49,
    ],
  ])('are told with both: %s', (_what, path, value, other, otherMm) => {
    expect(figureFault('P1', path, value, known)).toMatchObject({ other, otherMm });
  });
  it('tell inches by what they would be', () => {
    expect(looksLikeInches('P1', 'knuckle.bossOuterMm', 4.02, known)).toBe(true);
    expect(looksLikeInches('P1', 'knuckle.bossOuterMm', 102, known)).toBe(false);
    expect(looksLikeInches('P1', 'knuckle.shoulderMm', 200, known)).toBe(false);
  });
});
