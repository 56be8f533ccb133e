import {
  type Setup,
  type Operation,
  piecesOf,
  type Role,
  type Stack,
} from '../../core/press/index.ts';

/** Where everything stands on the press at a travel; heights in mm, down, from the datum of the stroke's picture. */
export interface Scene {
  operation: Operation;
  /** Height of each piece's upper and lower face; only of those that are laid. */
  at: Partial<Record<Role, readonly [number, number]>>;
  /** How far the moving bodies have gone. */
  travel: number;
  ramBottom: number;
  bed: number;
  /** Leading edge of what moves, at the start and at home. */
  leadStart: number;
  leadHome: number;
  /** Extent of the whole drawing at the start of the stroke. */
  top: number;
  bottom: number;
  radius: number;
}

const ramShown = 10;
const bedShown = 9;

export function sceneOf(stack: Stack, { requirement: r }: Setup, travel: number): Scene {
  const { picture: p } = r;
  const face = p.pusherAtMm + travel;
  const { cap, pusher, support, riser } = stack;
  // What draws hangs below the face it grips, and its plate below it.
  const pusherAt: readonly [number, number] = r.drawn
    ? [face, face + pusher.heightMm]
    : [face - pusher.heightMm, face];
  const capAt = cap
    ? ((r.drawn
        ? [pusherAt[1], pusherAt[1] + cap.heightMm]
        : [pusherAt[0] - cap.heightMm, pusherAt[0]]) as readonly [number, number])
    : undefined;
  const supportAt = support
    ? ([p.supportAtMm, p.supportAtMm + support.heightMm] as const)
    : undefined;
  const riserAt =
    supportAt && riser ? ([supportAt[1], supportAt[1] + riser.heightMm] as const) : undefined;
  const bed = riserAt?.[1] ?? supportAt?.[1] ?? p.lowestMm;
  const ramBottom = capAt?.[0] ?? (r.drawn ? pusherAt[1] : pusherAt[0]);
  return {
    operation: r.operation,
    travel,
    ramBottom,
    bed,
    at: {
      ...(capAt ? { cap: capAt } : {}),
      pusher: pusherAt,
      ...(supportAt ? { support: supportAt } : {}),
      ...(riserAt ? { riser: riserAt } : {}),
    },
    leadStart: p.leadMm,
    leadHome: p.leadMm + r.travelMm,
    top: (r.drawn ? p.leadMm - ramShown : ramBottom - travel) - ramShown,
    bottom: Math.max(bed, p.lowestMm) + bedShown,
    radius: Math.max(...piecesOf(stack).map((a) => a.outerMm / 2), p.radiusMm),
  };
}
