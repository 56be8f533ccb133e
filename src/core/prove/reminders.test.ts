import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { Stage } from '../torque/index.ts';
import { byMarkOnly, dueMs, recheckWords } from './index.ts';

const day = 86_400_000;
const since = { signedMs: 0, signedKm: 1000, dueKm: 160, days: 14 };

it('a recheck is due by date at the latest, sooner as the clock shows', () => {
  expect(dueMs({ ...since, nowKm: 1000, nowMs: 3 * day })).toBe(14 * day);
  // 80 of 160 km in three days: the rest takes three more.
  expect(dueMs({ ...since, nowKm: 1080, nowMs: 3 * day })).toBe(6 * day);
  expect(dueMs({ ...since, nowKm: 1200, nowMs: 3 * day })).toBe(3 * day);
  expect(dueMs({ ...since, nowKm: 1200, nowMs: 30 * day })).toBe(14 * day);
});
it('more on the clock never puts it off', () => {
  fc.assert(
    fc.property(fc.nat(400), fc.nat(400), fc.integer({ min: 1, max: 40 }), (a, b, days) => {
      const at = (km: number) => dueMs({ ...since, nowKm: 1000 + km, nowMs: days * day });
      expect(at(Math.max(a, b))).toBeLessThanOrEqual(at(Math.min(a, b)));
    }),
  );
});
it('a nut that is stretched or staked is looked at by its mark, another pulled', () => {
  const stages: Stage[] = [
    { id: 'a', kind: 'torque', value: 150, text: '', why: '', wheel: 'air' },
  ];
  const angle: Stage = { id: 'b', kind: 'angle', value: 60, text: '', why: '', wheel: 'air' };
  const plain = { stretch: false, singleUse: false, stages };
  expect(
    [plain, { ...plain, stretch: true }, { ...plain, singleUse: true }].map(byMarkOnly),
  ).toEqual([false, true, true]);
  expect(byMarkOnly({ ...plain, stages: [...stages, angle] })).toBe(true);
  const p = { ...plain, fastener: 'Axle nut' } as never;
  expect(recheckWords(p, 120)).toBe('Axle nut by wrench: 150 N·m. Wheel nuts by wrench: 120 N·m.');
  expect(recheckWords(p, 120, true)).toMatch(/N·m\. Brakes looked at for oil\.$/u);
  expect(recheckWords(undefined, undefined)).toMatch(/paint mark.*maker’s figure/u);
});
