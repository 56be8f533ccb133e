import { spread } from '../printed.ts';
import { verdict, type Verdict } from '../verdict.ts';
import { lineThrough } from './line.ts';
import type { Followed, PullCall } from './pull.ts';
import type { Stage } from './stage.ts';

/**
 * What a pull says of the nut itself, whatever its figure; undefined while nothing is wrong. A socket that slips loses the
 * angle, not the torque: that is still what the wrench shows.
 */
export function pullVerdict(kind: Stage['kind'], call: PullCall): Verdict | undefined {
  if (call === 'slipped') return kind === 'angle' ? verdict('torque.slipped') : undefined;
  if (call === 'cross-threaded') return verdict('torque.crossed');
  return call === 'yielding' ? verdict('torque.yielding') : undefined;
}

/** The figure of the stage as the wrench has it: highest torque, or degrees from snug; undefined before snug. */
export const pulledFigure = (kind: Stage['kind'], f: Followed): number | undefined =>
  kind === 'torque' ? f.peakNm : f.turnedDeg;

/**
 * What can come next once the hand is off the wrench. A torque is the same from wherever it is pulled again; an angle is
 * counted from snug, and a nut that has gone past it is only carried on by a wrench that saw all of it.
 */
export type AfterPull = 'pull' | 'pull-on' | 'by-mark' | 'spoilt';
export function afterPull(
  kind: Stage['kind'],
  f: Followed | undefined,
  /** The wrench fell silent under load: what the hand did after it nobody saw. */
  lost: boolean,
): AfterPull {
  if (!f) return 'pull';
  if (pullVerdict(kind, f.call)) return 'spoilt';
  if (lost && kind === 'angle' && f.turnedDeg !== undefined) return 'by-mark';
  return lost ? 'pull' : 'pull-on';
}

/** What a pull that broke off asks for; undefined where the hand let go. */
export function brokeOff(kind: Stage['kind'], f: Followed, lost: boolean): Verdict | undefined {
  if (lost) {
    const mark = afterPull(kind, f, lost) === 'by-mark' ? 'yes' : '';
    return verdict('torque.lost', { value: f.torqueNm, with: { mark } });
  }
  return f.free ? undefined : verdict('torque.put-down');
}

/** Whether what was pulled can be put on record: it is spoilt, or the hand has let go and there is a figure. */
export const canBeRecorded = (kind: Stage['kind'], f: Followed): boolean =>
  pullVerdict(kind, f.call) !== undefined || (f.free && pulledFigure(kind, f) !== undefined);

/** How far a joint is expected to leave its own first slope, either way. Our judgement. */
const corridorShare = 0.3;
/** Where the first slope is read, degrees past snug. */
const [slopeFrom, slopeTo, slopeLeast] = [1, 12, 4];

/** Slopes between which the torque is expected to grow, N·m for each degree, from the pull's own first one; undefined before it can be told. */
export function corridorOf(
  curve: readonly (readonly [deg: number, nm: number])[],
): { least: number; most: number } | undefined {
  const early = curve.filter(([deg]) => deg > slopeFrom && deg < slopeTo);
  const degs = early.map(([deg]) => deg);
  if (spread(degs) <= slopeLeast) return undefined;
  const slope = lineThrough(early)?.slope ?? 0;
  return slope > 0
    ? { least: (1 - corridorShare) * slope, most: (1 + corridorShare) * slope }
    : undefined;
}
