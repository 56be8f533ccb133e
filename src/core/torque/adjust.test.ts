import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { angleForMm, endPlayMm, lockPlaces, safePlace, warmShiftMm } from './index.ts';

// Common practice for a grease-packed taper pair, no published source.
const window = { lowMm: 0.025, highMm: 0.127 };

describe('end play by the nut', () => {
  it('is the geometry of a screw, both ways', () => {
    expect(endPlayMm(1.5, 12)).toBeCloseTo(0.05, 9);
    // Twenty threads an inch: 0.001 in is 7.2°.
    expect(angleForMm(25.4 / 20, 0.0254)).toBeCloseTo(7.2, 9);
    expect(() => endPlayMm(0, 1)).toThrow(/pitchMm/u);
    expect(() => angleForMm(-1, 1)).toThrow(/pitchMm/u);
  });
  it('is locked in the place furthest from both limits, never in a tighter one outside', () => {
    // Six slots and one hole: every 60°, 0.25 mm a place on a pitch of 1.5; it stands 20° past the last.
    const places = lockPlaces(0.05, { pitchMm: 1.5, stepDeg: 60, pastDeg: 20 }, window);
    expect(places.map((p) => p.turnDeg)).toEqual([160, 100, 40, -20, -80, -140, -200]);
    expect(places[3]!.playMm).toBeCloseTo(0.05 + (20 / 360) * 1.5, 9);
    expect(safePlace(places)).toBeUndefined();
    // Crossed holes, 30°: backing off 5° leaves 0.071 mm.
    const fine = lockPlaces(0.05, { pitchMm: 1.5, stepDeg: 30, pastDeg: 5 }, window);
    expect(safePlace(fine)?.turnDeg).toBe(-5);
    // 0.8 mm for a turn, back by 54°: 0.12 mm, at the end of its window and not a hair past it; 36° is nearer its middle.
    const edge = { lowMm: 0.02, highMm: 0.12 };
    const at = lockPlaces(0, { pitchMm: 0.8, stepDeg: 18, pastDeg: 0 }, edge);
    expect(safePlace(at)).toMatchObject({ turnDeg: -36, playMm: 0.08 });
    expect(at.find((p) => p.turnDeg === -54)).toMatchObject({ playMm: 0.12, inWindow: true });
    // Two inside, 0.060 and 0.102: the middle is 0.076.
    const two = lockPlaces(0.06, { pitchMm: 1, stepDeg: 15, pastDeg: 0 }, window);
    expect(two.filter((p) => p.inWindow).length).toBeGreaterThan(1);
    expect(safePlace(two)?.turnDeg).toBe(0);
    expect(() => lockPlaces(0, { pitchMm: 1, stepDeg: 0, pastDeg: 0 }, window)).toThrow(/stepDeg/u);
    const turned = { lowMm: 0.1, highMm: 0.1 };
    expect(() => lockPlaces(0, { pitchMm: 1, stepDeg: 30, pastDeg: 0 }, turned)).toThrow(/window/u);
  });
  it('no place inside is further from both limits than the safe one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.2, max: 0.4, noNaN: true }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        fc.constantFrom(10, 15, 30, 60),
        (play, pastDeg, stepDeg) => {
          const places = lockPlaces(play, { pitchMm: 1.5, stepDeg, pastDeg }, window, 8);
          const safe = safePlace(places);
          for (const p of places.filter((x) => x.inWindow))
            expect(p.insideMm).toBeLessThan(safe!.insideMm + 0.0021);
          // Every place is where the lock holds: a whole number of steps from the last one.
          for (const p of places)
            expect(
              Math.abs(Math.round((p.turnDeg + pastDeg) / stepDeg) * stepDeg - p.turnDeg - pastDeg),
            ).toBeLessThan(1e-6);
        },
      ),
    );
  });
});

it('a warm hub is looser by its cones, tighter by its length', () => {
  // Worked by hand: 30 mm, 15°, 60 mm apart, aluminium 60 K over the spindle (660e-6) give 0.108 mm.
  const row = { radiusMm: 30, cupDeg: 15 };
  expect(warmShiftMm(660e-6, [row, row], 60, 'back-to-back')).toBeCloseTo(0.108, 3);
  // Nothing changes where the cones' apexes meet.
  const apart = (2 * 30) / Math.tan((15 * Math.PI) / 180);
  expect(warmShiftMm(660e-6, [row, row], apart, 'back-to-back')).toBeCloseTo(0, 12);
  expect(warmShiftMm(1e-4, [row, row], 60, 'face-to-face')).toBeGreaterThan(
    warmShiftMm(1e-4, [row, row], 60, 'back-to-back'),
  );
  expect(() => warmShiftMm(1e-4, [row, { ...row, cupDeg: 0 }], 60, 'back-to-back')).toThrow(
    /cupDeg/u,
  );
});
