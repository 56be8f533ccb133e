import { endsStroke, type Follower, inTime, said, since, waiting } from './live-call.ts';
import type { Setup } from './stack.ts';
import { engagedShare, forceAtKn } from './stroke.ts';
import type { TraceSample } from './trace.ts';

/** Figures of the follower: engineering judgement, tuned on one range of made-up strokes and reported on another. */
const tuning = {
  /** Not moved yet under this travel, mm; over the greatest expected force by this factor and kN it is stuck. */
  stillMm: 0.8,
  stuckFactor: 1.15,
  stuckKn: 1,
  /** Over the band by this factor, and this share of the greatest expected force and kN beside it, for this far, mm: it galls. */
  gallFactor: 1.15,
  overShare: 0.06,
  overKn: 0.4,
  gallMm: 0.7,
  /** Free once this share of the seat is all that is left and the force has fallen to this share of its peak, or this many kN. */
  leftShare: 0.2,
  freeShare: 0.12,
  freeKn: 0.43,
};

/** Follows a part coming off: it breaks away, goes on inside what a clean to rusted seat needs, and is free; or it sticks, or galls. */
export function removalFollower(setup: Setup): Follower {
  const { forceKn: full } = setup;
  let now = waiting;
  let last: TraceSample | undefined;
  let peak = 0;
  let overSince: number | undefined;
  return (s) => {
    inTime(last, s);
    const moving = !last || s.travelMm > last.travelMm + 0.002;
    last = s;
    if (endsStroke(now.call)) return now;
    peak = Math.max(peak, s.forceKn);
    // What has moved once does not stand still again because a reading trembles.
    if (now === waiting && s.travelMm < tuning.stillMm)
      return (now =
        s.forceKn > full.high * tuning.stuckFactor + tuning.stuckKn ? said('stuck', s) : now);
    if (
      engagedShare(setup, s.travelMm) < tuning.leftShare &&
      s.forceKn < Math.max(tuning.freeKn, peak * tuning.freeShare)
    )
      return (now = said('free', s));
    const over =
      s.forceKn >
      forceAtKn(setup, s.travelMm).high * tuning.gallFactor +
        full.high * tuning.overShare +
        tuning.overKn;
    overSince = since(over, moving, overSince, s.travelMm);
    if (overSince !== undefined && s.travelMm - overSince > tuning.gallMm)
      return (now = said('galling', s, 'follow.galls-out'));
    return (now = said('square', s, 'follow.moves'));
  };
}
