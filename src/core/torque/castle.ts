/** Castle nuts and bolts in a circle. Geometry; angles in degrees. */

/** Degrees between positions of a castle nut that let the pin through: 360/lcm(slots, hole ends). Geometry. */
export function castleStepDeg(slots: number, holeEnds: number): number {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  return 360 / ((slots * holeEnds) / gcd(slots, holeEnds));
}

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

/**
 * Which way a castle nut goes to its next slot: one that clamps is tightened, never loosened; one that sets end play is
 * loosened, never tightened past its window. Common practice, no published source.
 */
export const castleWay = (
  { onDeg, backDeg }: CastleTurn,
  holds: 'clamp' | 'end-play',
): { deg: number; way: 'tighten' | 'loosen' } =>
  holds === 'clamp' ? { deg: onDeg, way: 'tighten' } : { deg: backDeg, way: 'loosen' };
