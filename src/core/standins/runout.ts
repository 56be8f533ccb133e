import { random } from './cars.ts';

/** Hidden faces of a made-up hub and the disc on it. */
export interface MadeUpFaces {
  hubMm: number;
  hubAtDeg: number;
  discMm: number;
  discAtDeg: number;
  /** A spot of rust on the disc: where, and how high. */
  rustAtDeg: number;
  rustMm: number;
}

export function madeUpFaces(seed: number): MadeUpFaces {
  const r = random(seed);
  return {
    hubMm: 0.006 + 0.008 * r(),
    hubAtDeg: 360 * r(),
    discMm: 0.02 + 0.02 * r(),
    discAtDeg: 360 * r(),
    rustAtDeg: 45 * Math.floor(8 * r()),
    rustMm: 0.008 * r(),
  };
}

const rad = (deg: number) => (deg * Math.PI) / 180;
/** What an indicator would show of a face, mm over its rest, the hub turned clockwise by `deg`, the disc by `turnedDeg` on it. */
export function showsAt(
  f: MadeUpFaces,
  face: 'hub' | 'disc',
  deg: number,
  { ratio, turnedDeg }: { ratio: number; turnedDeg: number },
): number {
  const hub = f.hubMm * Math.cos(rad(deg - f.hubAtDeg));
  if (face === 'hub') return hub;
  const disc = f.discMm * Math.cos(rad(deg + turnedDeg - f.discAtDeg));
  const off = Math.abs(((deg + turnedDeg - f.rustAtDeg + 540) % 360) - 180);
  return ratio * hub + disc + (off < 12 ? f.rustMm : 0);
}

/** How an indicator on a magnet foot repeats, mm r.m.s. */
export const repeatsMm = 0.0012;
