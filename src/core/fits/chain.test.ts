import { erf } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  drawChain,
  type FitChain,
  fromLimits,
  gripLostMm,
  gripOf,
  gripWarmMm,
  halfGoneMin,
  holds,
  judgeDamage,
  leftMm,
  pressureMpa,
  type Material,
  seatFriction,
  shareBelow,
  warmingFaults,
  yieldMpa,
  yieldsAtMm,
} from './index.ts';

const fit = {
  diameterMm: 76,
  outerDiameterMm: 102,
  innerBoreMm: 67,
  outerMaterial: 'ductile-iron',
  innerMaterial: 'steel',
} as const;
const chain: FitChain = {
  fit,
  lengthMm: 37,
  inside: fromLimits(75.987, 76),
  outside: { mean: 75.958, sd: 0.0015 },
  roughness: { mean: 0.008, sd: 0.002 },
  friction: fromLimits(0.07, 0.12, 2),
  creepMm: 0.024,
  tightMm: 0.036,
};

describe('the chain of a fit', () => {
  it('draws what calculation says: mean and deviation within 1 %, tails within three standard errors', () => {
    const draws = 400_000;
    const grip = gripOf(chain);
    const d = drawChain(chain, draws, 3);
    expect(Math.abs(d.grip.mean / grip.mean - 1)).toBeLessThan(0.01);
    expect(Math.abs(d.grip.sd / grip.sd - 1)).toBeLessThan(0.01);
    for (const [drawn, share] of [
      [d.creeps, shareBelow(chain.creepMm, grip)],
      [d.tooTight, 1 - shareBelow(chain.tightMm!, grip)],
    ] as const) {
      expect(share).toBeGreaterThan(0.001);
      expect(Math.abs(drawn - share)).toBeLessThan(3 * Math.sqrt((share * (1 - share)) / draws));
    }
    expect(d.counts.reduce((a, b) => a + b, 0)).toBe(draws);
    expect(d.forceKn.low).toBeLessThan(d.forceKn.likely);
  });
  it('takes the normal law as a mathematics library does', () => {
    for (const z of [-3, -1, -0.2, 0, 0.7, 2.5])
      expect(shareBelow(z, { mean: 0, sd: 1 })).toBeCloseTo((1 + erf(z / Math.SQRT2)) / 2, 6);
  });
  it('flattens 0.8 of the roughness (DIN 7190-1)', () => {
    expect(
      gripOf(chain).mean - gripOf({ ...chain, roughness: { mean: 0, sd: 0 } }).mean,
    ).toBeCloseTo(-0.8 * 0.008, 12);
  });
});

describe('in service', () => {
  it('gives grip back in warm aluminium: 76 mm, +60 K, 0.05 mm (handbook; difference of expansions)', () => {
    expect(0.06 - gripWarmMm(0.06, 76, 'aluminium', 60)).toBeCloseTo(0.05, 3);
    expect(gripWarmMm(0.06, 76, 'steel', 60)).toBeCloseTo(0.06, 12);
  });
  it('loses grip under load: 0.08 √(F d ÷ B) µm (rule of thumb, from memory)', () =>
    expect(gripLostMm(4200, 40, 37)).toBeCloseTo(0.0054, 4));
  it('holds torque and axial force by friction on the seat: force as pressed, torque half a diameter of it', () => {
    // Case of 0.03 mm on 72 × 37 in steel: 10.72 kN at μ 0.12 (worked from Shigley's thick-wall formula)
    const h = holds(
      {
        interferenceMm: 0.03,
        diameterMm: 72,
        outerDiameterMm: 110,
        innerBoreMm: 60,
        outerMaterial: 'steel',
        innerMaterial: 'steel',
      },
      0.12,
      37,
    );
    expect(h.axialKn).toBeCloseTo(10.72, 1);
    expect(h.torqueNm).toBeCloseTo((h.axialKn * 1000 * 0.072) / 2, 6);
  });
  it('yields at the pressure of the textbook: σ_y/2 · (1 − (d/D)²), thick wall or thin', () => {
    // Shigley's Mechanical Engineering Design, thick cylinders by the greatest shear.
    for (const outerDiameterMm of [80, 100, 300]) {
      const wall = { ...fit, outerDiameterMm };
      const { diameterMm: d } = wall;
      const atYield = pressureMpa({ ...wall, interferenceMm: yieldsAtMm(wall) });
      const limit = yieldMpa[wall.outerMaterial] / 2;
      expect(atYield).toBeCloseTo(limit * (1 - (d / outerDiameterMm) ** 2), 6);
    }
  });
});

describe('temperature', () => {
  const ring = { diameterMm: 76, material: 'steel', startC: -18, shopC: 20, tauMin: 6 } as const;
  it('shrinks a chilled ring by 0.035 mm (linear expansion, coefficient from Machinery’s Handbook, memory), half gone after τ ln 2', () => {
    expect(leftMm(ring, 0)).toBeCloseTo(-0.0347, 4);
    expect(leftMm(ring, halfGoneMin(6)) / leftMm(ring, 0)).toBeCloseTo(0.5, 12);
    expect(halfGoneMin(6)).toBeCloseTo(4.16, 2);
  });
  // DIN 7190-1, from memory: a steel ring on aluminium rubs least, on steel most.
  it('rubs by the metal of the seat', () => {
    const on = (outerMaterial: Material) =>
      seatFriction('oiled', { outerMaterial, innerMaterial: 'steel' }).likely;
    expect(on('aluminium')).toBeLessThan(on('ductile-iron'));
    expect(on('ductile-iron')).toBeLessThanOrEqual(on('steel'));
    // On a journal the inner body is the one that is not the ring.
    expect(
      seatFriction('dry', { outerMaterial: 'steel', innerMaterial: 'aluminium' }).likely,
    ).toBeLessThan(seatFriction('dry', { outerMaterial: 'steel', innerMaterial: 'steel' }).likely);
  });
  it('warns of heat that a sealed bearing does not stand', () => {
    expect(warmingFaults('bearing', 95)).toHaveLength(1);
    expect(warmingFaults('bearing', 70)).toEqual([]);
    expect(warmingFaults('housing', 160)).toHaveLength(1);
  });
});

describe('marks on a seat', () => {
  const mark = { nickShare: 0.03, nickDepthMm: 0.2, sealTrack: false, grooved: false };
  it('lets a few per cent be dressed, and nothing under a seal lip (common practice, no published source)', () => {
    expect(judgeDamage('hub', mark)[0]).toMatchObject({ status: 'check', rule: 'seat.dress' });
    expect(judgeDamage('hub', { ...mark, sealTrack: true })[0]).toMatchObject({
      status: 'stop',
      rule: 'seat.seal-track',
    });
    expect(judgeDamage('hub', { ...mark, nickDepthMm: 0.6 })[0]!.rule).toBe('seat.nick-depth');
    expect(judgeDamage('hub', { ...mark, nickShare: 0.2 })[0]!.rule).toBe('seat.nick-share');
    expect(
      judgeDamage('knuckle', { ...mark, nickShare: 0, nickDepthMm: 0, grooved: true }).map(
        (v) => v.rule,
      ),
    ).toEqual(['seat.grooved']);
    expect(judgeDamage('knuckle', { ...mark, nickShare: 0, nickDepthMm: 0 })).toEqual([]);
  });
});
