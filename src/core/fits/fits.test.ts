import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { worst } from '../verdict.ts';
import {
  bearingNormal,
  expansionMm,
  forceN,
  hoopMpa,
  itGrade,
  judgeSeat,
  type PressFit,
  pressureMpa,
  type Material,
  judgeTightness,
  clearanceClasses,
  clearanceMm,
  racewayChangeMm,
  tolerance,
} from './index.ts';

describe('ISO 286', () => {
  // ISO 286-2:2010 (memory)
  it.each([
    [25, 'k6', 15, 2],
    [40, 'k6', 18, 2],
    [40, 'm6', 25, 9],
    [45, 'n6', 33, 17],
    [72, 'H7', 30, 0],
    [72, 'N7', -9, -39],
    [72, 'P7', -21, -51],
    [72, 'R7', -32, -62],
    [84, 'P7', -24, -59],
    [40, 'P7', -17, -42],
    [25, 'N7', -7, -28],
    [60, 's6', 72, 53],
  ])('%d %s is %d / %d µm', (size, cls, upperUm, lowerUm) => {
    expect(tolerance(size, cls)).toEqual({ upperUm, lowerUm });
  });

  it('gives the classes that follow no rule: J, j and t (ISO 286-2:2010, memory)', () => {
    expect(tolerance(72, 'J7')).toEqual({ upperUm: 18, lowerUm: -12 });
    expect(tolerance(40, 'j6')).toEqual({ upperUm: 11, lowerUm: -5 });
    expect(tolerance(40, 't6')).toEqual({ upperUm: 64, lowerUm: 48 });
    expect(() => tolerance(20, 't6')).toThrow(/^sizeMm: shafts t begin over 24/u);
    expect(() => tolerance(40, 'J9')).toThrow(/^class: /u);
  });
  it('begins every hole H at nominal and ends every shaft h there', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3.01, max: 500, noNaN: true }),
        fc.integer({ min: 4, max: 11 }),
        (size, grade) => {
          expect(tolerance(size, `H${grade}`).lowerUm).toBe(0);
          expect(tolerance(size, `h${grade}`).upperUm).toBe(0);
        },
      ),
    );
  });
  it('gives the bearing tolerances of ISO 492 class Normal', () => {
    // ISO 492, class Normal (memory)
    expect(
      [
        bearingNormal(40, 'bore'),
        bearingNormal(25, 'bore'),
        bearingNormal(72, 'outside'),
        bearingNormal(90, 'outside'),
      ].map((d) => d.lowerUm),
    ).toEqual([-12, -10, -13, -15]);
  });

  it('names the field of what is outside the table', () => {
    expect(() => tolerance(900, 'H7')).toThrow(/^sizeMm: /u);
    expect(() => tolerance(40, 'q6')).toThrow(/^class: /u);
  });

  it('keeps the width of a class equal to its grade', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 500 }),
        fc.constantFrom('k6', 'm6', 'n6', 'p6', 's6', 'N7', 'P7', 'R7', 'H7', 'js6'),
        (size, cls) => {
          const d = tolerance(size, cls);
          expect(d.upperUm - d.lowerUm).toBeCloseTo(
            itGrade(size, Number(cls.replace(/\D/gu, ''))),
            9,
          );
        },
      ),
    );
  });
});

const steel = (
  interferenceMm: number,
  diameterMm: number,
  outerDiameterMm: number,
  innerBoreMm: number,
): PressFit => ({
  interferenceMm,
  diameterMm,
  outerDiameterMm,
  innerBoreMm,
  outerMaterial: 'steel',
  innerMaterial: 'steel',
});

describe('press fit', () => {
  // Worked by hand from the thick-wall formula (Shigley, press and shrink fits)
  it.each([
    [steel(0.03, 72, 110, 60), 37, 10.67, 10.72],
    [steel(0.025, 40, 52, 0), 37, 26.28, 14.66],
  ])('case %#', (fit, length, pressure, forceKn) => {
    expect(pressureMpa(fit)).toBeCloseTo(pressure, 1);
    expect(forceN(pressureMpa(fit), 0.12, fit.diameterMm, length) / 1000).toBeCloseTo(forceKn, 1);
  });

  it('balances the wall: hoop force in the outer body equals pressure over the bore', () => {
    // Equilibrium of a thick cylinder: the integral of Lamé's hoop stress over the wall is p·d/2.
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 0.08, noNaN: true }),
        fc.double({ min: 90, max: 160, noNaN: true }),
        (delta, Do) => {
          const fit = steel(delta, 76, Do, 60);
          const p = pressureMpa(fit);
          const at = (r: number) =>
            ((p * 38 ** 2) / ((Do / 2) ** 2 - 38 ** 2)) * (1 + (Do / 2) ** 2 / r ** 2);
          const n = 4000;
          const step = (Do / 2 - 38) / n;
          const sum = Array.from({ length: n }, (_, i) => at(38 + (i + 0.5) * step) * step).reduce(
            (a, b) => a + b,
          );
          expect(sum).toBeCloseTo(p * 38, 2);
          expect(hoopMpa(fit).outerMpa).toBeCloseTo(at(38), 6);
        },
      ),
      { numRuns: 20 },
    );
  });

  it('needs more force the tighter it is, in proportion, and none at zero', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        fc.double({ min: 1.01, max: 3, noNaN: true }),
        (delta, k) => {
          const at = (d: number) => forceN(pressureMpa(steel(d, 72, 110, 60)), 0.1, 72, 37);
          expect(at(delta * k)).toBeGreaterThan(at(delta));
          expect(at(delta * k) / at(delta)).toBeCloseTo(k, 9);
          expect(at(0)).toBe(0);
        },
      ),
    );
  });
  it('needs no force when it is loose', () =>
    expect(pressureMpa(steel(-0.01, 72, 110, 60))).toBe(0));

  it('changes the raceways', () => {
    // Worked by hand from Lamé, equal moduli
    const steel = { outerMaterial: 'steel', innerMaterial: 'steel' } as const;
    const inner = { interferenceMm: 0.025, diameterMm: 40, outerDiameterMm: 48, innerBoreMm: 25 };
    const outer = { interferenceMm: 0.03, diameterMm: 72, outerDiameterMm: 110, innerBoreMm: 62 };
    expect(racewayChangeMm('inner', { ...inner, ...steel }, 48)).toBeCloseTo(0.0174, 4);
    expect(racewayChangeMm('outer', { ...outer, ...steel }, 62)).toBeCloseTo(-0.0216, 4);
    // A softer housing presses less, so the ring closes less.
    const soft = { ...outer, ...steel, outerMaterial: 'aluminium' } as const;
    expect(-racewayChangeMm('outer', soft, 62)).toBeLessThan(0.0216 * 0.7);
  });

  it('shrinks a cold ring', () => {
    // Linear expansion; coefficient of steel from Machinery's Handbook (memory)
    expect(expansionMm(76, 12e-6, -38)).toBeCloseTo(-0.0347, 4);
  });
});

describe('seat', () => {
  const seat = (readingsMm: number[][], doubtMm = 0.003, material: Material = 'ductile-iron') =>
    judgeSeat({
      kind: 'bore',
      nominalMm: 76,
      toleranceClass: 'P7',
      classSource: 'test',
      readingsMm,
      instrument: { id: 'x', name: 'gauge', doubtMm },
      material,
      series: 'radial',
    });
  it('passes a bore that is round, straight and to size', () => {
    const r = seat([
      [75.964, 75.961],
      [75.961, 75.959],
      [75.962, 75.958],
    ]);
    expect(worst(r.verdicts)).toBe('good');
    expect(r.interference.likely).toBeCloseTo(0.0323, 3);
  });
  it('stops a bore the ring would slide into', () =>
    expect(
      seat([
        [76.01, 76.01],
        [76.01, 76.01],
        [76.01, 76.01],
      ]).verdicts[0],
    ).toMatchObject({ status: 'stop', rule: 'seat.no-grip' }));
  it('says of an aluminium bore that holds cold that it gives its grip back when it is warm', () => {
    // 76 mm, 60 K, 11e-6/K between aluminium and steel: 0.050 mm (linear expansion, Machinery's Handbook, from memory)
    const read = [75.954, 75.954];
    const rows = [read, read, read];
    expect(worst(seat(rows).verdicts)).toBe('good');
    expect(seat(rows, 0.003, 'aluminium').verdicts).toMatchObject([{ rule: 'seat.warm' }]);
    expect(seat(rows).grip.likely).toBeCloseTo(seat(rows).interference.likely - 0.0064, 6);
  });
  it('stops an oval bore and a tapered one', () => {
    expect(
      seat([
        [75.98, 75.95],
        [75.96, 75.96],
        [75.96, 75.96],
      ]).verdicts.map((v) => v.rule),
    ).toContain('seat.round');
    expect(
      seat([
        [75.98, 75.98],
        [75.96, 75.96],
        [75.95, 75.95],
      ]).verdicts.map((v) => v.rule),
    ).toContain('seat.taper');
  });
  it('says which way a seat lies outside its class while the ring still grips', () => {
    // P7 over 50 up to 80 mm is −21/−51 µm (ISO 286-2:2010, memory); the gauge is off by 3 µm at most.
    const loose = seat([
      [75.984, 75.984],
      [75.984, 75.984],
      [75.984, 75.984],
    ]).verdicts[0]!;
    expect(loose).toMatchObject({ status: 'check', rule: 'seat.size', with: { way: 'looser' } });
  });
  it('will not judge a seat by calliper', () =>
    expect(
      seat(
        [
          [75.96, 75.96],
          [75.96, 75.96],
          [75.96, 75.96],
        ],
        0.03,
      ).verdicts.map((v) => v.rule),
    ).toContain('seat.instrument'));
});

describe('a seat that is too tight', () => {
  const grip = (mm: number) => ({ low: mm - 0.01, likely: mm, high: mm + 0.01 });
  const said = (kind: 'bore' | 'journal', fit: Omit<PressFit, 'interferenceMm'>, mm: number) =>
    judgeTightness(kind, 'seat', fit, grip(mm)).map((v) => `${v.rule} ${v.status}`);
  const knuckle = {
    diameterMm: 76,
    outerDiameterMm: 110,
    innerBoreMm: 67,
    outerMaterial: 'ductile-iron',
    innerMaterial: 'steel',
  } as const;
  it('stops a knuckle that yields, from the pressure at which Tresca says so', () => {
    // Shigley, thick cylinders: a cylinder yields at its bore at p = σ (1 − d²/D²)/2.
    const yields = (310 * (1 - (76 / 110) ** 2)) / 2;
    // Three quarters of it: a knuckle has a groove.
    const at = (0.75 * yields) / pressureMpa({ ...knuckle, interferenceMm: 1 });
    expect(said('bore', knuckle, at + 0.02)).toEqual(['seat.yields stop']);
    expect(said('bore', knuckle, at)).toEqual(['seat.yields check']);
    expect(said('bore', knuckle, at - 0.02)).toEqual([]);
    // A bore of 75.70 for a ring of 76, as it was found: 0.3 mm.
    expect(said('bore', knuckle, 0.29)).toEqual(['seat.yields stop']);
  });
  it('stops an inner ring that would crack on a journal a tenth too large', () => {
    const hub = {
      diameterMm: 40,
      outerDiameterMm: 48,
      innerBoreMm: 26,
      outerMaterial: 'steel',
      innerMaterial: 'steel',
    } as const;
    expect(said('journal', hub, 0.1)).toContain('seat.ring-tension stop');
    // The tightest usual class, n6 on a ring at its least: 0.045 mm by ISO 286-2 and ISO 492.
    expect(said('journal', hub, 0.045).filter((v) => v.endsWith('stop'))).toEqual([]);
  });
  it('knows the clearance of a class', () => {
    // ISO 5753-1, from memory: 6206 C3 has 13 to 28 µm.
    expect(clearanceMm('deep-groove', 30, 'C3')).toEqual({
      low: 0.013,
      likely: 0.0205,
      high: 0.028,
    });
    expect(clearanceMm('deep-groove', 300, 'C3')).toBeUndefined();
    for (const type of ['deep-groove', 'cylindrical'] as const)
      for (const bore of [20, 30, 35, 45, 60, 70])
        clearanceClasses.slice(1).forEach((cls, i) => {
          const [tighter, looser] = [clearanceClasses[i]!, cls].map((c) =>
            clearanceMm(type, bore, c)!,
          );
          expect(looser!.low, `${type} ${bore} ${cls}`).toBeGreaterThan(tighter!.low);
          expect(looser!.high).toBeGreaterThan(tighter!.high);
        });
  });
});
