import { judgePiece } from './judge-piece.ts';
import type { Adapter } from './kit.ts';
import type { Measure } from './requirement.ts';
import { solve } from './open.ts';
import { missesOf, pieceWindows } from './solve.ts';
import type { Setup } from './stack.ts';

export interface NearMiss {
  piece: Adapter;
  /** What it fails by, worst first. */
  misses: { measure: Measure; byMm: number; text: string }[];
}

/** Pieces that come nearest to a place, and by how much each fails. Only those that fail by their sizes alone. */
export function nearest(
  kit: readonly Adapter[],
  role: 'pusher' | 'support',
  { requirement, forceKn }: Setup,
  most = 3,
): NearMiss[] {
  const need = requirement[role];
  if (!need) return [];
  return kit
    .filter(
      (a) =>
        !a.retired &&
        (!need.shapes || need.shapes.only.includes(a.shape)) &&
        judgePiece(a, role, undefined, forceKn).every((v) => v.status !== 'stop'),
    )
    .map((piece): NearMiss => ({ piece, misses: missesOf(piece, need) }))
    .filter((n) => n.misses.length > 0)
    .sort((a, b) => sum(a) - sum(b))
    .slice(0, most);
}
const sum = (n: Pick<NearMiss, 'misses'>) => n.misses.reduce((s, m) => s + m.byMm, 0);

/** By how much a piece is off what its place asks, over all its sizes, mm; 0 where every size fits. */
export function misfitMm(
  piece: Adapter,
  role: 'pusher' | 'support',
  { requirement }: Setup,
): number {
  const need = requirement[role];
  return need ? sum({ misses: missesOf(piece, need) }) : 0;
}

export interface Purchase {
  piece: Adapter;
  /** Strokes that have a stack with it and had none before. */
  solves: number[];
}

/** A window's middle, or just inside the one end it has. */
export function inside(
  w: { min?: number | undefined; max?: number | undefined } | undefined,
  otherwise: number,
): number {
  if (w?.min !== undefined && w.max !== undefined) return (w.min + w.max) / 2;
  if (w?.min !== undefined) return w.min + 1;
  return w?.max !== undefined ? w.max - 1 : otherwise;
}

/**
 * The one new piece that would open most of the strokes that this kit cannot set up. Candidates are the middles of the windows
 * of every gap; each is proven by the solver. Undefined when there is no gap or no single piece closes one.
 */
export function bestPurchase(
  kit: readonly Adapter[],
  setups: readonly Setup[],
): Purchase | undefined {
  const open = setups
    .map((b, i) => ({ b, i }))
    .filter(({ b }) => solve(kit, b, 1).solutions.length === 0);
  const pieces = open.flatMap(({ b, i }) =>
    (['pusher', 'support'] as const).flatMap((role): Adapter[] => {
      const need = b.requirement[role];
      if (!need) return [];
      const w = pieceWindows(need);
      const outerMm = inside(w.outerMm, 60);
      const deep =
        Math.max(
          w.heightMm?.min ?? 10,
          (w.hollowMm?.min ?? 0) + 1,
          w.lipMm?.max === undefined ? 0 : 40,
        ) + 1;
      const innerMm =
        w.innerMm?.min === undefined
          ? 0
          : Math.min(inside(w.innerMm, 0), outerMm - 2 * need.face.leastMm);
      const shape = need.shapes?.only[0] ?? (innerMm > 0 ? 'sleeve' : 'disc');
      return [
        {
          id: `new-${i}-${role}`,
          name: 'New piece',
          shape,
          outerMm: round(outerMm),
          innerMm: round(innerMm),
          heightMm: round(deep),
          material: 'steel',
          ratingKn: Math.ceil(b.forceKn.high * 1.5),
          ...(w.lipMm?.max === undefined ? {} : { recessMm: round(deep - w.lipMm.max + 0.5) }),
        },
      ];
    }),
  );
  const tried = pieces.map((piece): Purchase => ({
    piece,
    solves: open
      .filter(({ b }) => solve([...kit, piece], b, 1).solutions.length > 0)
      .map(({ i }) => i),
  }));
  const best = tried.sort(
    (a, b) => b.solves.length - a.solves.length || a.piece.heightMm - b.piece.heightMm,
  )[0];
  return best && best.solves.length > 0 ? best : undefined;
}
const round = (mm: number) => Math.round(mm * 10) / 10;
