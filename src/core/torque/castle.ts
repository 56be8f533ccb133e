import type { Locking } from './stage.ts';

/** Castle nuts and bolts in a circle. Geometry; angles in degrees. */

/** Degrees between positions of a castle nut that let the pin through: 360/lcm(slots, hole ends). Geometry. */
export function castleStepDeg(slots: number, holeEnds: number): number {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  return 360 / ((slots * holeEnds) / gcd(slots, holeEnds));
}

/** An odd number of slots stands across from no slot: a pin through the whole shaft never goes in at both its ends. Geometry. */
export const neverLinesUp = (slots: number, holeEnds: number): boolean =>
  slots % 2 === 1 && holeEnds % 2 === 0;

/** Where the slots stand: how far on to the next one that lets the pin through, and how far back to the last. */
export interface CastleTurn {
  stepDeg: number;
  onDeg: number;
  backDeg: number;
}

/** `pastDeg`: how far the nut stands past the last position that lets the pin through. 0 is a slot in line. */
export function castleTurn(slots: number, holeEnds: number, pastDeg: number): CastleTurn {
  const stepDeg = castleStepDeg(slots, holeEnds);
  const backDeg = ((pastDeg % stepDeg) + stepDeg) % stepDeg;
  return { stepDeg, backDeg, onDeg: backDeg === 0 ? 0 : stepDeg - backDeg };
}

export interface CastleWay {
  deg: number;
  way: 'tighten' | 'loosen';
}

/**
 * Which way a castle nut goes to its next slot: one that clamps is tightened, never loosened; one that sets end play is
 * loosened, never tightened past its window. Common practice, no published source.
 */
export function castleWay(turn: CastleTurn, holds: 'clamp' | 'end-play'): CastleWay;
/** Undefined where nobody knows what the nut holds: it is never guessed. */
export function castleWay(
  turn: CastleTurn,
  holds: 'clamp' | 'end-play' | undefined,
): CastleWay | undefined;
export function castleWay(
  { onDeg, backDeg }: CastleTurn,
  holds: 'clamp' | 'end-play' | undefined,
): CastleWay | undefined {
  if (!holds) return undefined;
  return holds === 'clamp' ? { deg: onDeg, way: 'tighten' } : { deg: backDeg, way: 'loosen' };
}

const castleWords = {
  'end-play':
    'Sets end play: loosened to the next slot inside the window, never tightened past it.',
  clamp:
    'Clamps: tightened to the next slot, never loosened to one; where that is too far, another washer.',
  unknown: 'Whether it clamps or sets end play is not on record: the maker’s data says which way.',
};

/** What is done to lock a nut, and what it means for it. Common practice, no published source. */
export function lockingWords({ kind, holds }: Locking): string {
  switch (kind) {
    case 'castle':
      return `${castleWords[holds ?? 'unknown']} New pin, both ends bent.`;
    case 'plate':
      return 'Lock plate over the hex where the pin goes through; new pin, both ends bent.';
    case 'stake':
      return 'Collar punched into the groove with a round punch, without a crack. Staked once: the nut is not used again.';
    case 'tab':
      return 'Tab of a new washer bent flat against one side of the hex; another tab stands in the groove.';
    case 'screw':
      return 'Lock screw in the mark that the nut stands at; none in line, the looser one.';
    case 'self-locking':
      return 'Locks by its own ring: new each time. One that is used again goes with threadlocker, and the card says so.';
  }
}
