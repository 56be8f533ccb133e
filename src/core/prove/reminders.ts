import type { Procedure } from '../torque/index.ts';

/** When a signed job is looked at again, and how. Distances in km, times in UTC milliseconds. */

/** Days after which nut and wheel nuts are looked at again, whatever was driven; the shop's own comes first. Our judgement. */
export const recheckDays = 14;

const dayMs = 86_400_000;

export interface DrivenSince {
  signedMs: number;
  signedKm: number;
  /** Distance after which it is due. */
  dueKm: number;
  /** Distance on the clock as it was last noted. */
  nowKm: number;
  nowMs: number;
  /** Days after which it is due at the latest. */
  days: number;
}

/**
 * The day a recheck is due: at the latest after so many days, sooner where the clock shows that the distance is driven
 * before. Each new reading of the clock rolls it.
 */
export function dueMs({ signedMs, signedKm, dueKm, nowKm, nowMs, days }: DrivenSince): number {
  const latest = signedMs + days * dayMs;
  const [driven, passed] = [nowKm - signedKm, nowMs - signedMs];
  if (driven >= dueKm) return Math.min(latest, nowMs);
  if (!(driven > 0) || !(passed > 0)) return latest;
  return Math.min(latest, signedMs + (dueKm / driven) * passed);
}

/** A fastener that is stretched by its angle, or staked, is looked at by its mark: pulled again it would be stretched further. */
export const byMarkOnly = (p: Pick<Procedure, 'stretch' | 'singleUse' | 'stages'>): boolean =>
  p.stretch || p.singleUse || p.stages.some((s) => s.kind === 'angle');

/** What is done at a recheck, in words. */
export function recheckWords(
  p: Procedure | undefined,
  wheelNm: number | undefined,
  fedByOil = false,
): string {
  const wheel = `Wheel nuts by wrench${wheelNm === undefined ? ', to the maker’s figure' : `: ${wheelNm} N·m`}.${fedByOil ? ' Brakes looked at for oil.' : ''}`;
  if (!p) return `Centre nut by its paint mark. ${wheel}`;
  const nm = p.stages.findLast((s) => s.kind === 'torque')?.value;
  const nut =
    byMarkOnly(p) || nm === undefined
      ? 'by its paint mark only, never pulled again'
      : `by wrench: ${nm} N·m`;
  return `${p.fastener} ${nut}. ${wheel}`;
}
