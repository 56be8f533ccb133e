import { fittingFollower } from './follow-fitting.ts';
import { removalFollower } from './follow-removal.ts';
import type { Follower, StrokeCall } from './live-call.ts';
import type { Setup } from './stack.ts';
import { keptSample, type TraceSample } from './trace.ts';

/** Follows one stroke, of the kind that its setup is. */
export function follower(setup: Setup): Follower {
  const follow = setup.requirement.fitting ? fittingFollower(setup) : removalFollower(setup);
  return (s) => follow(keptSample(s));
}

/** What a whole trace was: the same judgement as of one that is followed reading by reading. */
export function traceCall(samples: readonly TraceSample[], setup: Setup): StrokeCall {
  const follow = follower(setup);
  return samples.reduce<StrokeCall>((_, s) => follow(s).call, 'waiting');
}
