import { type Parsed, parseQuantity, type UnitSystem } from '../units/index.ts';
import type { Press } from './kit.ts';
import type { Band } from '../verdict.ts';
import { screwForceBandKn } from './screw.ts';

/** Force of a hydraulic ram from its pressure, kN: pressure × piston area. 1 bar = 0.1 MPa (exact). */
export const ramForceKn = (bar: number, pistonMm: number): number =>
  (bar * 0.1 * (Math.PI / 4) * pistonMm ** 2) / 1000;

/** What the gauge of a tool shows when no unit is written: torque at the wrench of a screw, force else. */
export const gaugeDimension = (press: Press): 'torque' | 'force' =>
  press.screw ? 'torque' : 'force';

/** By what a figure was turned into force; absent where it was a force as written. */
export type GaugeReading =
  | {
      ok: true;
      forceKn: number;
      typed: string;
      by?: 'thread' | 'piston';
      /** Of a screw: what it may be, by the friction of its thread. */
      bandKn?: Band;
    }
  | { ok: false; reason: string };

/**
 * Force from what was read at a tool, each figure by its own unit: bar by the piston, N·m by the greased thread, kN as it is.
 * A bare number is in the unit that the tool's own field shows in this shop. Never turns one into another in silence; says why it cannot.
 */
export function readGauge(text: string, press: Press, system: UnitSystem = 'metric'): GaugeReading {
  const bar = /^\s*(\d+(?:[.,]\d+)?)\s*bar\s*$/iu.exec(text);
  if (bar) return byPiston(Number(bar[1]!.replace(',', '.')), text.trim(), press);
  const own = parseQuantity(text, gaugeDimension(press), undefined, system);
  if (!press.screw) return asForce(own);
  if (own.ok) {
    const bandKn = screwForceBandKn(own.value, press.screw);
    return { ok: true, forceKn: bandKn.likely, typed: own.typed, by: 'thread', bandKn };
  }
  const force = asForce(parseQuantity(text, 'force'));
  return force.ok ? force : { ok: false, reason: own.reason };
}

const asForce = (q: Parsed): GaugeReading =>
  q.ok ? { ok: true, forceKn: q.value, typed: q.typed } : q;

function byPiston(value: number, typed: string, { pistonMm, name }: Press): GaugeReading {
  if (pistonMm === undefined)
    return {
      ok: false,
      reason: `The piston of ${name} is not on record, so bar cannot be turned into force.`,
    };
  return { ok: true, forceKn: ramForceKn(value, pistonMm), typed, by: 'piston' };
}
