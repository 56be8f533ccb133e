import { type Adapter, hollowMm, shellWallMm } from '../../core/press/index.ts';
import { type Point, poly } from './primitives.tsx';

/** How far a nose is drawn below the working face, mm: its length is not on record. */
const noseMm = 6;

/** Section of one piece of the kit between two heights, its working face down or up; the hollow opens on it, but behind it in half-shells. */
export function pieceCut(a: Adapter, z0: number, z1: number, faceDown: boolean): Point[] {
  const R = a.outerMm / 2;
  const r = a.innerMm / 2;
  const up = (points: Point[]): Point[] =>
    faceDown ? points : points.map(([x, z]) => [x, z0 + z1 - z]);
  if (a.shape === 'half-shells' && a.recessMm !== undefined) {
    const lip = z1 - (a.heightMm - a.recessMm);
    return up([
      [R - shellWallMm, z0],
      [R, z0],
      [R, z1],
      [r, z1],
      [r, lip],
      [R - shellWallMm, lip],
    ]);
  }
  const hollow = hollowMm(a);
  const nose: Point[] =
    a.pilotMm === undefined
      ? []
      : [
          [a.pilotMm / 2, z1],
          [a.pilotMm / 2, z1 + noseMm],
          [a.pilotMm / 2 - 1, z1 + noseMm + 1],
          [hollow === 0 ? 0 : r, z1 + noseMm + 1],
        ];
  if (hollow === 0)
    return up([[0, z0], [R, z0], [R, z1], ...(nose.length > 0 ? nose : [[0, z1] as Point])]);
  if (hollow >= a.heightMm)
    return up([[r, z0], [R, z0], [R, z1], ...(nose.length > 0 ? nose : [[r, z1] as Point])]);
  return up([
    [0, z0],
    [R, z0],
    [R, z1],
    [r, z1],
    [r, z1 - hollow],
    [0, z1 - hollow],
  ]);
}

/** Height of a piece with the nose below its face, mm. */
export const drawnHeightMm = (a: Adapter): number =>
  a.heightMm + (a.pilotMm === undefined ? 0 : noseMm + 1);

/** Half-section of a piece standing by itself from the axis, working face down, as a path at a scale. */
export const pieceOutline = (a: Adapter, scale: number): string =>
  poly(pieceCut(a, 0, a.heightMm, true).map(([r, z]): Point => [r * scale, z * scale]));
