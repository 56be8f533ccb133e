import type { Band, Status, Verdict } from '../verdict.ts';
import { verdict } from '../verdict.ts';
import { yieldMpa, yieldsAtMm } from './grip.ts';
import { hoopMpa, type PressFit, pressureMpa } from './pressure.ts';
import type { SeatKind } from './seat.ts';

/**
 * Hoop tension from which a hardened inner ring may crack, MPa: twice what the tightest usual fit of a wheel bearing
 * makes (n6 on 40 mm: 120), our judgement.
 */
const ringTensionMpa = 250;

/** Share of its yield that a whole ring may reach: a housing has a groove, arms and thin places. Our judgement. */
const housingShare = 0.75;

type Fit = Omit<PressFit, 'interferenceMm'>;

/** Interference at which a hollow journal yields at its bore, or a solid one under the pressure, mm. Tresca, as `yieldsAtMm`. */
function journalYieldsAtMm(fit: Fit): number {
  const one = { ...fit, interferenceMm: 1 };
  const { innerMpa } = hoopMpa(one);
  return yieldMpa[fit.innerMaterial] / Math.max(-innerMpa, pressureMpa(one));
}

/** A limit is passed for sure where the least of the grip is over it, and perhaps where only the most is. */
function passed(grip: Band, limitMm: number): Status | undefined {
  if (grip.low > limitMm) return 'stop';
  return grip.high > limitMm ? 'check' : undefined;
}

/** What a fit that is too tight does to the parts: a housing or a journal that yields, an inner ring that cracks. */
export function judgeTightness(kind: SeatKind, part: string, fit: Fit, grip: Band): Verdict[] {
  const one = { ...fit, interferenceMm: 1 };
  const mpa = (perMm: number) => Math.round(perMm * grip.likely);
  const said = (
    rule: 'seat.yields' | 'seat.ring-tension',
    limitMm: number,
    stressMpa: number,
    limitMpa: number,
  ): Verdict[] => {
    const status = passed(grip, limitMm);
    const found = {
      part,
      value: grip.likely,
      max: limitMm,
      unit: 'mm' as const,
      with: { stressMpa, limitMpa, sure: status === 'stop' ? 'yes' : '' },
    };
    return status ? [verdict(rule, found, status)] : [];
  };
  if (kind === 'bore') {
    const shear = hoopMpa(one).outerMpa + pressureMpa(one);
    const limitMpa = housingShare * yieldMpa[fit.outerMaterial];
    return said('seat.yields', housingShare * yieldsAtMm(fit), mpa(shear), Math.round(limitMpa));
  }
  const ring = hoopMpa(one).outerMpa;
  const inside = Math.max(-hoopMpa(one).innerMpa, pressureMpa(one));
  return [
    ...said('seat.ring-tension', ringTensionMpa / ring, mpa(ring), ringTensionMpa),
    ...said('seat.yields', journalYieldsAtMm(fit), mpa(inside), yieldMpa[fit.innerMaterial]),
  ];
}
