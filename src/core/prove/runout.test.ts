import fc from 'fast-check';
import FFT from 'fft.js';
import { lusolve, matrix, multiply, transpose } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  atRadius,
  bestPlace,
  circleFault,
  discOwn,
  discPlaces,
  fitRunout,
  judgeRunout,
  restStandsOut,
  type TurnedReading,
} from './index.ts';

const rad = (deg: number) => (deg * Math.PI) / 180;
/** A tilted face as an indicator reads it, with what else is on it. */
const face = (count: number, amplitude: number, highAt: number, rest = (_i: number) => 0) =>
  Array.from({ length: count }, (_, i): TurnedReading => {
    const deg = (i * 360) / count;
    return { deg, mm: 1 + amplitude * Math.cos(rad(deg - highAt)) + rest(i) };
  });

describe('readings round a flange', () => {
  it('tell the tilt and where it is highest', () => {
    const f = fitRunout(face(8, 0.04, 130));
    expect(f.tiltMm).toBeCloseTo(0.08, 9);
    expect(f.tilt.highAtDeg).toBeCloseTo(130, 6);
    expect(f.restMm).toBeCloseTo(0, 9);
  });
  it('leave rust and damage as the rest, and point at it', () => {
    const f = fitRunout(face(12, 0.03, 40, (i) => (i === 7 ? 0.05 : 0)));
    expect(f.restMm).toBeGreaterThan(0.04);
    expect(f.worst.deg).toBe(210);
    expect(f.totalMm).toBeGreaterThan(f.tiltMm);
  });
  it('agree with the first line of a Fourier transform, where they are even', () => {
    // A second method: fft.js, a general-purpose library.
    const readings = face(16, 0.037, 77, (i) => 0.004 * Math.sin(3 * i));
    const fft = new FFT(16);
    const out = fft.createComplexArray() as number[];
    fft.realTransform(
      out,
      readings.map((r) => r.mm),
    );
    const f = fitRunout(readings);
    expect(f.tilt.amplitudeMm).toBeCloseTo(Math.hypot(out[2]!, out[3]!) / 8, 9);
    expect(f.tilt.highAtDeg).toBeCloseTo((Math.atan2(-out[3]!, out[2]!) * 180) / Math.PI, 6);
  });
  it('agree with the normal equations of a matrix library, where they are not', () => {
    // A second method: mathjs, a general-purpose library.
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 9, maxLength: 9 }),
        fc.array(fc.double({ min: -0.2, max: 0.2, noNaN: true }), { minLength: 9, maxLength: 9 }),
        (wobble, mm) => {
          const readings = mm.map((v, i) => ({ deg: i * 40 + wobble[i]!, mm: v }));
          const m = readings.map(({ deg }) => [1, Math.cos(rad(deg)), Math.sin(rad(deg))]);
          const t = transpose(m);
          const [a, b, c] = lusolve(matrix(multiply(t, m)), multiply(t, mm)).toArray() as [
            [number],
            [number],
            [number],
          ];
          const f = fitRunout(readings);
          expect(f.tilt.amplitudeMm).toBeCloseTo(Math.hypot(b[0], c[0]), 9);
          expect(f.at(123)).toBeCloseTo(
            a[0] + b[0] * Math.cos(rad(123)) + c[0] * Math.sin(rad(123)),
            9,
          );
        },
      ),
      { numRuns: 50 },
    );
  });
  it('are judged: a limit before rust, rust before good, and neither hides the other', () => {
    const say = (readings: TurnedReading[], limit?: number) =>
      judgeRunout(fitRunout(readings), limit, 'made up').map((v) => v.rule);
    const clean = face(8, 0.04, 10);
    expect([say(clean), say(clean, 0.1), say(clean, 0.07)]).toEqual([
      ['runout.good'],
      ['runout.good'],
      ['runout.over'],
    ]);
    const rusty = face(8, 0.01, 10, (i) => (i === 3 ? 0.09 : 0));
    expect(say(rusty, 0.01)).toEqual(['runout.over', 'runout.rest']);
    expect(say(rusty, 0.2)).toEqual(['runout.rest']);
    expect([restStandsOut(fitRunout(rusty)), restStandsOut(fitRunout(clean))]).toEqual([
      true,
      false,
    ]);
  });
  it('are refused when they are few or leave a part unseen', () => {
    expect(circleFault(face(5, 0.03, 0))).toMatchObject({ rule: 'runout.few' });
    expect(circleFault(face(12, 0.03, 0).slice(0, 8))).toMatchObject({ rule: 'runout.uneven' });
    expect(circleFault(face(6, 0.03, 0))).toBeUndefined();
    expect(() => fitRunout(face(5, 0.03, 0))).toThrow(RangeError);
  });
});

describe('a disc on its hub', () => {
  it('is told apart from the hub, whose tilt grows with the radius', () => {
    const hub = { amplitudeMm: 0.01, highAtDeg: 30 };
    const own = { amplitudeMm: 0.03, highAtDeg: 200 };
    const h = atRadius(hub, 60, 120);
    expect(h.amplitudeMm).toBe(0.02);
    const together = fitRunout(
      face(12, own.amplitudeMm, own.highAtDeg).map((r) => ({
        ...r,
        mm: r.mm + h.amplitudeMm * Math.cos(rad(r.deg - h.highAtDeg)),
      })),
    );
    const found = discOwn(together.tilt, hub, 60, 120);
    expect(found.amplitudeMm).toBeCloseTo(0.03, 9);
    expect(found.highAtDeg).toBeCloseTo(200, 6);
  });
  it('is turned to where the two cancel most: found again by reading the turned disc', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 8 }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (studs, hubAt, discAt) => {
          const [h, d] = [
            { amplitudeMm: 0.03, highAtDeg: hubAt },
            { amplitudeMm: 0.04, highAtDeg: discAt },
          ];
          const places = discPlaces(d, h, studs);
          // The hub is turned clockwise: a point of the disc comes past the indicator sooner by as much as it was turned on.
          const measured = places.map(({ holes }) => {
            const turned = (holes * 360) / studs;
            const readings = face(24, h.amplitudeMm, h.highAtDeg).map((r) => ({
              ...r,
              mm: r.mm + d.amplitudeMm * Math.cos(rad(r.deg + turned - d.highAtDeg)),
            }));
            return fitRunout(readings).tiltMm;
          });
          places.forEach((p, i) => expect(p.tiltMm).toBeCloseTo(measured[i]!, 9));
          const gain = measured[0]! - Math.min(...measured);
          const best = bestPlace(places);
          expect(best.tiltMm).toBeLessThanOrEqual(Math.min(...measured) + 0.01);
          if (gain < 0.01) expect(best.holes).toBe(0);
        },
      ),
    );
    expect(() =>
      discPlaces({ amplitudeMm: 0, highAtDeg: 0 }, { amplitudeMm: 0, highAtDeg: 0 }, 2),
    ).toThrow(RangeError);
  });
});
