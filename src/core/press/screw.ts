import { type Static, Type } from '@sinclair/typebox';
import { closed, Mm } from '../schemas/common.ts';
import type { Band } from '../verdict.ts';

/** A forcing screw with its thread and the bearing or washer under its head. */
export const ScrewToolSchema = closed({
  /** Pitch and flank (mean) diameter of the thread. */
  pitchMm: Mm(),
  flankMm: Mm(),
  /** Angle between the flanks, degrees: 60 metric, 30 trapezoidal. */
  threadDeg: Type.Number({ minimum: 0, exclusiveMaximum: 120 }),
  /** Mean diameter of the face that turns under the head; 0 with a thrust bearing. */
  faceMm: Type.Number({ minimum: 0, maximum: 200 }),
  threadFriction: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
  faceFriction: Type.Number({ minimum: 0, maximum: 1 }),
});
export type ScrewTool = Static<typeof ScrewToolSchema>;

/** Friction of a greased thread and of a greased face (common practice, no published source). */
export const greased = 0.12;

/** What the friction of a screw is known to, as shares of the one on its record: 0.08 to 0.16 where that is 0.12. Our judgement. */
const frictionShare: Band = { low: 2 / 3, likely: 1, high: 4 / 3 };
const rubbing = (s: ScrewTool, which: keyof Band): ScrewTool => ({
  ...s,
  threadFriction: s.threadFriction * frictionShare[which],
  faceFriction: s.faceFriction * frictionShare[which],
});

/** Force that a torque gives with as little, as likely and as much friction as there may be, kN; the least friction gives the most. */
export const screwForceBandKn = (torqueNm: number, s: ScrewTool): Band => ({
  low: screwForceKn(torqueNm, rubbing(s, 'high')),
  likely: screwForceKn(torqueNm, s),
  high: screwForceKn(torqueNm, rubbing(s, 'low')),
});
/** Torque for a force, N·m, over the same friction. */
export const screwTorqueBandNm = (forceKn: number, s: ScrewTool): Band => ({
  low: screwTorqueNm(forceKn, rubbing(s, 'low')),
  likely: screwTorqueNm(forceKn, s),
  high: screwTorqueNm(forceKn, rubbing(s, 'high')),
});
/** Greatest force at the torque that likely gives `forceKn`, kN: a screw with less friction pulls harder. Other tools give what their gauge shows. */
export const mayGiveKn = (forceKn: number, screw: ScrewTool | undefined): number =>
  screw ? screwForceBandKn(screwTorqueNm(forceKn, screw), screw).high : forceKn;

/** Force that a torque gives, kN: F = T / (P/2π + μ d₂ / (2 cos β) + μ D_b / 2). Thread formula, as in Shigley's and ISO 16047. Throws RangeError. */
export function screwForceKn(torqueNm: number, s: ScrewTool): number {
  return torqueNm / armMm(s);
}
/** Torque for a force, N·m: the same turned round. */
export function screwTorqueNm(forceKn: number, s: ScrewTool): number {
  return forceKn * armMm(s);
}

function armMm({
  pitchMm,
  flankMm,
  threadDeg,
  faceMm,
  threadFriction,
  faceFriction,
}: ScrewTool): number {
  if (!(pitchMm > 0)) throw new RangeError('pitchMm: must be more than 0 mm');
  if (!(flankMm > pitchMm))
    throw new RangeError('flankMm: the thread must be thicker than its pitch');
  if (!(threadDeg >= 0 && threadDeg < 120)) throw new RangeError('threadDeg: from 0 to below 120°');
  return (
    pitchMm / (2 * Math.PI) +
    (threadFriction * flankMm) / (2 * Math.cos((threadDeg * Math.PI) / 360)) +
    (faceFriction * faceMm) / 2
  );
}

/** Common screws of pullers and portable tools, greased; ISO metric and trapezoidal proportions. */
export const screws: readonly { id: string; name: string; tool: ScrewTool }[] = [
  {
    id: 'm20',
    name: 'M20 × 1.5, thrust bearing',
    tool: {
      pitchMm: 1.5,
      flankMm: 19.03,
      threadDeg: 60,
      faceMm: 0,
      threadFriction: greased,
      faceFriction: greased,
    },
  },
  {
    id: 'm24',
    name: 'M24 × 2, thrust bearing',
    tool: {
      pitchMm: 2,
      flankMm: 22.7,
      threadDeg: 60,
      faceMm: 0,
      threadFriction: greased,
      faceFriction: greased,
    },
  },
  {
    id: 'tr24',
    name: 'Tr 24 × 5, thrust bearing',
    tool: {
      pitchMm: 5,
      flankMm: 21.5,
      threadDeg: 30,
      faceMm: 0,
      threadFriction: greased,
      faceFriction: greased,
    },
  },
  {
    id: 'm20-washer',
    name: 'M20 × 1.5, plain washer',
    tool: {
      pitchMm: 1.5,
      flankMm: 19.03,
      threadDeg: 60,
      faceMm: 28,
      threadFriction: greased,
      faceFriction: greased,
    },
  },
];
