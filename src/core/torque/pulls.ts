import { type Line, lineThrough } from './line.ts';
import type { PullSample } from './pull.ts';

/** Below this share of the snug torque the wrench is free: nobody pulls. Our judgement. */
export const freeShare = 0.06;
/** The nut stands still while the torque is below this share of what it was left at. Our judgement. */
export const stillShare = 0.85;

/** Stretches in which somebody pulls, as [first, last] readings. */
function pullsIn(samples: readonly PullSample[], freeNm: number): [number, number][] {
  const out: [number, number][] = [];
  let from: number | undefined;
  for (const [i, s] of samples.entries()) {
    if (s.torqueNm > freeNm) from ??= i;
    else if (from !== undefined) {
      if (i - from > 3) out.push([from, i - 1]);
      from = undefined;
    }
  }
  if (from !== undefined && samples.length - from > 3) out.push([from, samples.length - 1]);
  return out;
}

/** Where the hand begins to let go: back from the end, as long as the torque was higher before. */
function letGoAt(samples: readonly PullSample[], [from, to]: readonly [number, number]): number {
  let at = to;
  let top = samples[to]!.torqueNm;
  for (let i = to - 1; i >= from; i--) {
    const t = samples[i]!.torqueNm;
    if (t > top) [at, top] = [i, t];
    // Noise goes up and down; a pull goes up for good.
    else if (t < 0.93 * top) break;
  }
  return at;
}

/** Angle of the wrench’s body as a line over torque. */
export const bodyLine = (part: readonly PullSample[]): Line | undefined =>
  lineThrough(part.map((s) => [s.torqueNm, s.angleDeg]));

export interface Pull {
  all: readonly PullSample[];
  /** Readings up to where the hand lets go, or to the last one. */
  rise: readonly PullSample[];
  /** Torque that it was left at before, under which the nut stands still; 0 at the first. */
  heldNm: number;
  /** The body over torque while the nut stands still: as the torque comes back, and as the hand lets go. */
  loading: Line | undefined;
  unloading: Line | undefined;
}

export function pullsOf(samples: readonly PullSample[], freeNm: number): Pull[] {
  let heldNm = 0;
  return pullsIn(samples, freeNm).map((part): Pull => {
    const top = letGoAt(samples, part);
    const topNm = samples[top]?.torqueNm ?? 0;
    const rise = samples.slice(part[0], top + 1);
    const above = rise.findIndex((s) => s.torqueNm >= stillShare * heldNm);
    const fall = samples
      .slice(top, part[1] + 1)
      .filter((s) => s.torqueNm > 0.1 * topNm && s.torqueNm < 0.92 * topNm);
    const pull = {
      all: samples.slice(part[0], part[1] + 1),
      rise,
      heldNm,
      loading: heldNm > 0 ? bodyLine(rise.slice(0, Math.max(0, above))) : undefined,
      unloading: bodyLine(fall),
    };
    heldNm = Math.max(heldNm, topNm);
    return pull;
  });
}

/** Twist of the wrench from every stretch in which the nut stood still. */
export function springFrom(pulls: readonly Pull[]): number | undefined {
  const lines = pulls
    .flatMap((p) => [p.loading, p.unloading])
    .filter((l) => l !== undefined)
    .filter((l) => l.slope > 0);
  const weight = lines.reduce((a, l) => a + l.weight, 0);
  return weight > 0 ? lines.reduce((a, l) => a + l.slope * l.weight, 0) / weight : undefined;
}
