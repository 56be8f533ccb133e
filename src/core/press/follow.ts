import { fittingFollower } from './follow-fitting.ts';
import { removalFollower } from './follow-removal.ts';
import { endsStroke, type Follower, type LiveCall, type StrokeCall } from './live-call.ts';
import type { Setup } from './stack.ts';
import type { StrokeReading } from './stroke.ts';
import { keptSample, type TraceSample } from './trace.ts';

/** Follows one stroke, of the kind that its setup is. */
export function follower(setup: Setup): Follower {
  const follow = setup.requirement.fitting ? fittingFollower(setup) : removalFollower(setup);
  return (s) => follow(keptSample(s));
}

/** Fewer readings than this of a hand-read gauge have no shape yet (judgement). */
const leastTyped = 5;
/** A hand writes a reading down about every second; only their order matters. */
const typedEveryMs = 1000;

/** What a gauge that is read by eye says so far, by the same follower; undefined while its readings are too few. */
export function typedCall(readings: readonly StrokeReading[], setup: Setup): LiveCall | undefined {
  if (readings.length < leastTyped) return undefined;
  const follow = follower(setup);
  let last: LiveCall | undefined;
  for (const [i, r] of readings.entries()) {
    last = follow({ ...r, ms: i * typedEveryMs });
    if (endsStroke(last.call)) return last;
  }
  return last;
}

/** What a whole trace was: the same judgement as of one that is followed reading by reading. */
export function traceCall(samples: readonly TraceSample[], setup: Setup): StrokeCall {
  const follow = follower(setup);
  return samples.reduce<StrokeCall>((_, s) => follow(s).call, 'waiting');
}
