import type { Verdict } from '../verdict.ts';
import type { SeatKind } from './seat.ts';

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

/** Reuse, dress or replace by what is seen; empty where there is no mark. */
export function judgeDamage(kind: SeatKind, d: Damage): Verdict[] {
  const part = kind === 'bore' ? 'knuckle' : 'hub';
  const source = 'common practice, no published source';
  const out: Verdict[] = [];
  if (d.grooved)
    out.push({
      status: 'stop',
      rule: 'seat.grooved',
      text: `Grooved by a ring that spun: the ${part} is scrap.`,
      source,
    });
  if (d.nickShare === 0 && d.nickDepthMm === 0) return out;
  if (d.sealTrack)
    return [
      ...out,
      {
        status: 'stop',
        rule: 'seat.seal-track',
        text: 'A nick under a seal lip leaks, however small: replace.',
        source,
      },
    ];
  const share = `${Math.round(d.nickShare * 100)} % of the circle`;
  if (d.nickShare > nickShareMax)
    out.push({
      status: 'stop',
      rule: 'seat.nick-share',
      value: d.nickShare,
      limit: `max ${nickShareMax * 100} %`,
      text: `${share} is gone: more than a few per cent no longer carries the ring.`,
      source,
    });
  else if (d.nickDepthMm > nickDepthMaxMm)
    out.push({
      status: 'stop',
      rule: 'seat.nick-depth',
      value: d.nickDepthMm,
      limit: `max ${nickDepthMaxMm} mm`,
      text: `${d.nickDepthMm.toFixed(2)} mm deep is a notch: a crack starts there.`,
      source: 'judgement',
    });
  else
    out.push({
      status: 'check',
      rule: 'seat.dress',
      value: d.nickShare,
      limit: `max ${nickShareMax * 100} %`,
      text: `Dress it: blend ${share} smooth, no high spot, then measure again.`,
      source,
    });
  return out;
}
