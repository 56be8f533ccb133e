import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleSetup, piece } from '../../../tests/example.ts';
import { facePressureMpa } from './contact.ts';
import {
  bestPurchase,
  dentOf,
  hertzSpheres,
  judgePiece,
  nearest,
  mayGiveKn,
  screwForceBandKn,
  screwForceKn,
  screwTorqueBandNm,
  screws,
  type ScrewTool,
  screwTorqueNm,
  solve,
} from './index.ts';

describe('contact', () => {
  it('is Hertz: pressure goes with the cube root of force, radius too, and mean pressure is two thirds of the greatest (Hertz, textbook; from memory)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e5, noNaN: true }),
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 1.1, max: 20, noNaN: true }),
        (force, d, k) => {
          const one = hertzSpheres(force, d, Infinity, 206_000, 0.3, 206_000, 0.3);
          const more = hertzSpheres(force * k, d, Infinity, 206_000, 0.3, 206_000, 0.3);
          expect(more.pressureMpa / one.pressureMpa).toBeCloseTo(Math.cbrt(k), 6);
          expect(more.radiusMm / one.radiusMm).toBeCloseTo(Math.cbrt(k), 6);
          expect(force / (Math.PI * one.radiusMm ** 2) / one.pressureMpa).toBeCloseTo(2 / 3, 9);
        },
      ),
    );
  });
  it('gives a steel ball of 10 mm on a steel flat under 100 N the standard 1.9 GPa (worked from p = 0.388 ∛(F E² / R²), textbook form for ν 0.3; from memory)', () => {
    const { pressureMpa } = hertzSpheres(100, 10, Infinity, 206_000, 0.3, 206_000, 0.3);
    expect(pressureMpa / (0.388 * Math.cbrt((100 * 206_000 ** 2) / 5 ** 2))).toBeCloseTo(1, 2);
  });
  it('of two equal balls is that of one half as large on a flat (Hertz: curvatures add)', () => {
    const two = hertzSpheres(100, 10, 10, 206_000, 0.3, 206_000, 0.3);
    const flat = hertzSpheres(100, 5, Infinity, 206_000, 0.3, 206_000, 0.3);
    expect(two.radiusMm).toBeCloseTo(flat.radiusMm, 12);
    expect(two.pressureMpa).toBeCloseTo(flat.pressureMpa, 6);
  });
  it('is spread over the ring in which piece and face lie on each other, and over none where they do not', () => {
    const need = exampleSetup('bearing-in').requirement.pusher;
    const on = { ...need, face: { ...need.face, innerMm: 60, outerMm: 76 } };
    // 10 kN on π/4 (70² − 60²) = 1,021 mm².
    expect(facePressureMpa(piece('p', 70, 50, 20), on, 10)).toBeCloseTo(9.794, 3);
    expect(facePressureMpa(piece('p', 90, 66, 20), on, 10)).toBeCloseTo(8.966, 3);
    expect([60, 50].map((outer) => facePressureMpa(piece('p', outer, 40, 20), on, 10))).toEqual([
      Infinity,
      Infinity,
    ]);
  });
  it('leaves 0.0001 of the ball and 4200 MPa at the static rating (ISO 76), a quarter of the dent at half of it', () => {
    expect(dentOf(60, 60, 11.5)).toEqual({ depthUm: 1.1500000000000001, stressMpa: 4200 });
    expect(dentOf(30, 60, 11.5).depthUm).toBeCloseTo(1.15 / 4, 9);
  });
  it('stops a piece whose small face would give way', () => {
    const setup = exampleSetup('bearing-in');
    const soft = piece('soft', 75, 68, 30, { material: 'aluminium' });
    expect(
      judgePiece(soft, 'pusher', setup.requirement.pusher, { low: 1, likely: 60, high: 150 }).map(
        (v) => v.rule,
      ),
    ).toContain('press.pressure');
    expect(
      judgePiece(soft, 'pusher', setup.requirement.pusher, setup.forceKn).map((v) => v.rule),
    ).not.toContain('press.pressure');
  });
});

describe('forcing screw', () => {
  it('turns torque into force by the thread formula (Shigley’s, power screws): M20 × 1.5 at μ 0.12 without a collar', () => {
    // F = T / (P/2π + μ d2 / (2 cos 30°)) = 100 N·m / (0.2387 + 1.3184) mm
    expect(screwForceKn(100, screws[0]!.tool)).toBeCloseTo(
      100 / (1.5 / (2 * Math.PI) + (0.12 * 19.03) / (2 * Math.cos(Math.PI / 6))),
      9,
    );
    expect(screwForceKn(100, screws[0]!.tool)).toBeCloseTo(64.2, 1);
    // The same formula by hand with a friction of 0.16 and of 0.08, VDI 2230 class B and better (from memory).
    const arm = (mu: number) => 1.5 / (2 * Math.PI) + (mu * 19.03) / (2 * Math.cos(Math.PI / 6));
    const force = screwForceBandKn(100, screws[0]!.tool);
    expect([force.low, force.high]).toEqual([
      expect.closeTo(100 / arm(0.16), 9),
      expect.closeTo(100 / arm(0.08), 9),
    ]);
    const torque = screwTorqueBandNm(64.2, screws[0]!.tool);
    expect(torque.low).toBeCloseTo(64.2 * arm(0.08), 9);
    expect(torque.high).toBeCloseTo(64.2 * arm(0.16), 9);
    // Thought to give 64 kN it may give 92: a tool that ends at 80 is not rated for it.
    expect(mayGiveKn(64.2, screws[0]!.tool)).toBeCloseTo((64.2 * arm(0.12)) / arm(0.08), 9);
    expect(mayGiveKn(64.2, undefined)).toBe(64.2);
  });
  it('is undone by its opposite, and a washer costs torque', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 800, noNaN: true }),
        fc.constantFrom(...screws),
        (t, s) => {
          expect(screwTorqueNm(screwForceKn(t, s.tool), s.tool)).toBeCloseTo(t, 6);
        },
      ),
    );
    expect(screwTorqueNm(30, screws[3]!.tool)).toBeGreaterThan(screwTorqueNm(30, screws[0]!.tool));
  });
  it('turns against its thread and the face under its head, by hand', () => {
    // P/2π + μ d₂/2 + μ D/2 = 1 + 1 + 1 mm, with flanks square to the axis.
    const round: ScrewTool = {
      pitchMm: 2 * Math.PI,
      flankMm: 20,
      threadDeg: 0,
      faceMm: 10,
      threadFriction: 0.1,
      faceFriction: 0.2,
    };
    expect(screwForceKn(6, round)).toBeCloseTo(2, 12);
    expect(screwForceKn(5, { ...round, faceMm: 0 })).toBeCloseTo(2.5, 12);
  });
  it.each<[keyof ScrewTool, number]>([
    ['pitchMm', 0],
    ['flankMm', 1.5],
    ['flankMm', Number.NaN],
    ['threadDeg', 120],
    ['threadDeg', -1],
  ])('is none with %s of %s', (field, value) => {
    const tool = { ...screws[0]!.tool, [field]: value } as ScrewTool;
    expect(() => screwForceKn(10, tool)).toThrow(new RegExp(`^${field}`, 'u'));
  });
});

describe('gaps of a kit', () => {
  const setups = (['hub-out', 'bearing-out', 'bearing-in', 'hub-in'] as const).map((o) =>
    exampleSetup(o),
  );
  const kit = [
    piece('support', 110, 84, 20),
    piece('disc', 74, 0, 12),
    piece('low', 52, 44, 3),
    piece('legs', 240, 140, 100),
  ];
  it('name the nearest pieces and by how much they fail', () => {
    const near = nearest(kit, 'support', setups[3]!, 2);
    expect(near[0]!.piece.id).toBe('low');
    expect(near[0]!.misses.map((m) => m.text).join()).toMatch(/height|inside depth/u);
  });
  it('name the one piece that opens most, and it does', () => {
    const before = setups.filter((b) => solve(kit, b, 1).solutions.length === 0).length;
    const buy = bestPurchase(kit, setups)!;
    expect(buy.solves.length).toBeGreaterThan(0);
    expect(
      setups.filter((b) => solve([...kit, buy.piece], b, 1).solutions.length === 0).length,
    ).toBe(before - buy.solves.length);
    const full = [piece('s', 110, 84, 20), piece('d', 74, 0, 12)];
    expect(bestPurchase(full, [])).toBeUndefined();
  });
});
