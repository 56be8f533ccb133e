import type { Adapter } from './kit.ts';
import type { Measure } from './operation.ts';
import { pieceWindows, solve } from './solve.ts';
import { judgePiece, measured, type Bench } from './stack.ts';

export interface NearMiss {
  piece: Adapter;
  /** What it fails by, worst first. */
  misses: { measure: Measure; byMm: number; text: string }[];
}

const measureWords: Record<Measure, string> = { outerMm: 'outside', innerMm: 'inside', heightMm: 'height', hollowMm: 'inside depth' };

/** Pieces that come nearest to a place, and by how much each fails. Only those that fail by their sizes alone. */
export function nearest(kit: readonly Adapter[], role: 'pusher' | 'support', bench: Bench, most = 3): NearMiss[] {
  const windows = Object.entries(pieceWindows(bench.requirement[role])) as [Measure, { min?: number; max?: number }][];
  return kit
    .filter((a) => !a.retired && judgePiece(a, role, undefined, bench.forceKn).every((v) => v.status !== 'stop'))
    .map((piece): NearMiss => ({
      piece,
      misses: windows.flatMap(([measure, { min, max }]) => {
        const v = measured(piece, measure);
        const byMm = min !== undefined && v < min ? min - v : max !== undefined && v > max ? v - max : 0;
        return byMm > 0 ? [{ measure, byMm, text: `${measureWords[measure]} ${byMm.toFixed(1)} mm too ${v < (min ?? -Infinity) ? 'small' : 'large'}` }] : [];
      }).sort((a, b) => b.byMm - a.byMm),
    }))
    .filter((n) => n.misses.length > 0)
    .sort((a, b) => sum(a) - sum(b))
    .slice(0, most);
}
const sum = (n: NearMiss) => n.misses.reduce((s, m) => s + m.byMm, 0);

export interface Purchase {
  piece: Adapter;
  /** Strokes that have a stack with it and had none before. */
  solves: number[];
}

/** A window's middle, or just inside the one end it has. */
const inside = (w: { min?: number | undefined; max?: number | undefined } | undefined, otherwise: number): number =>
  w?.min !== undefined && w.max !== undefined ? (w.min + w.max) / 2 : w?.min !== undefined ? w.min + 1 : w?.max !== undefined ? w.max - 1 : otherwise;

/**
 * The one new piece that would open most of the strokes that this kit cannot set up. Candidates are the middles of the windows
 * of every gap; each is proven by the solver. Undefined when there is no gap or no single piece closes one.
 */
export function bestPurchase(kit: readonly Adapter[], benches: readonly Bench[]): Purchase | undefined {
  const open = benches.map((b, i) => ({ b, i })).filter(({ b }) => solve(kit, b, 1).solutions.length === 0);
  const pieces = open.flatMap(({ b, i }) => (['pusher', 'support'] as const).map((role): Adapter => {
    const w = pieceWindows(b.requirement[role]);
    const outerMm = inside(w.outerMm, 60);
    const deep = Math.max(w.heightMm?.min ?? 10, (w.hollowMm?.min ?? 0) + 1) + 1;
    const innerMm = w.innerMm?.min === undefined ? 0 : Math.min(inside(w.innerMm, 0), outerMm - 2 * b.requirement[role].face.leastMm);
    return { id: `new-${i}-${role}`, name: 'New piece', shape: innerMm > 0 ? 'sleeve' : 'disc', outerMm: round(outerMm), innerMm: round(innerMm), heightMm: round(deep), material: 'steel', ratingKn: Math.ceil(b.forceKn.high * 1.5) };
  }));
  const tried = pieces.map((piece): Purchase => ({ piece, solves: open.filter(({ b }) => solve([...kit, piece], b, 1).solutions.length > 0).map(({ i }) => i) }));
  const best = tried.sort((a, b) => b.solves.length - a.solves.length || a.piece.heightMm - b.piece.heightMm)[0];
  return best && best.solves.length > 0 ? best : undefined;
}
const round = (mm: number) => Math.round(mm * 10) / 10;
