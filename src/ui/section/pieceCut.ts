import { hollowMm, type Adapter } from '../../core/press/index.ts';
import { poly, type Point } from './primitives.tsx';

/** Section of one piece of the kit between two heights; the hollow opens on its working face. */
export function pieceCut(a: Adapter, z0: number, z1: number, opensDown: boolean): Point[] {
  const R = a.outerMm / 2;
  const r = a.innerMm / 2;
  const hollow = hollowMm(a);
  if (hollow === 0) return [[0, z0], [R, z0], [R, z1], [0, z1]];
  if (hollow >= a.heightMm) return [[r, z0], [R, z0], [R, z1], [r, z1]];
  return opensDown ? [[0, z0], [R, z0], [R, z1], [r, z1], [r, z1 - hollow], [0, z1 - hollow]] : [[r, z0], [R, z0], [R, z1], [0, z1], [0, z0 + hollow], [r, z0 + hollow]];
}

/** Half-section of a piece standing by itself from the axis, working face down, as a path at a scale. */
export const pieceOutline = (a: Adapter, scale: number): string => poly(pieceCut(a, 0, a.heightMm, true).map(([r, z]): Point => [r * scale, z * scale]));
