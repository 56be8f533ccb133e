import fc from 'fast-check';
import { expect, it } from 'vitest';
import { Value } from '@sinclair/typebox/value';
import { keptSignal, KeptSignalSchema, keptSpectrum, KeptSpectrumSchema } from './index.ts';

const levels = (least: number, most: number) =>
  fc.array(fc.double({ min: -90, max: 90, noNaN: true }), { minLength: least, maxLength: most });

it('a kept spectrum loses no line up to its last order, however fine it was', () => {
  fc.assert(
    fc.property(levels(2, 2000), fc.constantFrom(1 / 64, 1 / 16, 0.25), (db, step) => {
      const kept = keptSpectrum({ step, db: Float32Array.from(db) });
      expect(Value.Check(KeptSpectrumSchema, kept)).toBe(true);
      const within = db.slice(0, Math.round(kept.maxOrder / step));
      expect(Math.max(...kept.db)).toBeCloseTo(Math.max(...within), 1);
    }),
  );
});

it('a kept signal swings about nothing and is as long as it was', () => {
  const volts = Array.from({ length: 900 }, (_, i) => 2.5 + Math.sin(i / 20));
  const kept = keptSignal({ volts, seconds: 0.09 }, 2.5);
  expect(Value.Check(KeptSignalSchema, kept)).toBe(true);
  expect(kept.seconds).toBe(0.09);
  expect(Math.max(...kept.volts)).toBeCloseTo(1, 2);
  expect(Math.min(...kept.volts)).toBeCloseTo(-1, 2);
});
