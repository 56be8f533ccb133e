import type { PullSample } from './pull.ts';

/** Which way round a thread is tightened. */

export type Hand = 'right' | 'left';

/** Seen from the nut's face, where a turn of it goes. Geometry of a screw. */
export const turnGoes = (way: 'tighten' | 'loosen', hand: Hand): 'clockwise' | 'anticlockwise' =>
  (way === 'tighten') === (hand === 'right') ? 'clockwise' : 'anticlockwise';

/** +1 where tightening goes clockwise, −1 where it goes the other way: drawings and readings are turned by it. */
export const turnSign = (hand: Hand): 1 | -1 => (hand === 'right' ? 1 : -1);

/** A turn in words; where a hand would go the wrong way by habit it is said which way round. */
export const turnWords = (way: 'tighten' | 'loosen', hand: Hand): string =>
  hand === 'right' ? way : `${way}, ${turnGoes(way, hand)}`;

/** What a wrench shows, clockwise positive, as the nut has it: tightening positive, with what stands between counted in. */
export const sampleAtNut = (s: PullSample, gain: number, hand: Hand): PullSample => ({
  ...s,
  torqueNm: turnSign(hand) * gain * s.torqueNm,
  angleDeg: turnSign(hand) * s.angleDeg,
});
/** The same the other way: what a wrench on a made-up nut shows. */
export const sampleAtWrench = (s: PullSample, gain: number, hand: Hand): PullSample =>
  sampleAtNut(s, 1 / gain, hand);
