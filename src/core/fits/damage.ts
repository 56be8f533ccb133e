import { verdict, type Verdict } from '../verdict.ts';

/** Marks on a seat as they are seen. */
export interface Damage {
  /** Share of the circumference, 0 to 1, and depth. */
  nickShare: number;
  nickDepthMm: number;
  /** It lies where a seal lip runs. */
  sealTrack: boolean;
  /** Grooved all round by a ring that spun. */
  grooved: boolean;
}

/** A local flaw up to this share of the circle is no harm under a ring, once blended smooth (common practice, no published source). */
export const nickShareMax = 0.05;
/** Deeper than this it is no nick but a notch (judgement). */
export const nickDepthMaxMm = 0.5;

/** Reuse, dress or replace by what is seen; empty where there is no mark. `part` carries the seat: a knuckle, a hub, an axle tube. */
export function judgeDamage(part: string, d: Damage): Verdict[] {
  const grooved = d.grooved ? [verdict('seat.grooved', { part })] : [];
  if (d.nickShare === 0 && d.nickDepthMm === 0) return grooved;
  if (d.sealTrack) return [...grooved, verdict('seat.seal-track', { part })];
  return [...grooved, judgeNick(part, d)];
}

function judgeNick(part: string, { nickShare, nickDepthMm }: Damage): Verdict {
  const share = { part, value: 100 * nickShare, max: 100 * nickShareMax, unit: '%' as const };
  if (nickShare > nickShareMax) return verdict('seat.nick-share', share);
  if (nickDepthMm > nickDepthMaxMm)
    return verdict('seat.nick-depth', {
      part,
      value: nickDepthMm,
      max: nickDepthMaxMm,
      unit: 'mm',
    });
  return verdict('seat.dress', share);
}
