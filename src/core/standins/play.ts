import { random } from './cars.ts';

/** The hidden end play of a made-up pair when its nut was first left, mm. */
export const madeUpPlayMm = (seed: number): number => 0.03 + 0.09 * random(seed)();

/** What the dial shows of it, mm over its rest: pushed in nothing, pulled out the play that the turned nut leaves. */
export const dialShows = (
  end: 'push' | 'pull',
  playMm: number,
  pitchMm: number,
  turnedDeg: number,
): number => (end === 'push' ? 0 : Math.max(0, playMm - (pitchMm * turnedDeg) / 360));
