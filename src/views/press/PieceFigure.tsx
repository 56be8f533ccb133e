import { hollowMm, type Adapter } from '../../core/press/index.ts';

/** Half-section of a piece from its axis, all pieces to one scale. */
export function PieceFigure({ piece, scale = 0.8 }: { piece: Adapter; scale?: number }) {
  const R = (piece.outerMm / 2) * scale;
  const r = (piece.innerMm / 2) * scale;
  const h = piece.heightMm * scale;
  const hollow = hollowMm(piece) * scale;
  const w = Math.max(62, R + 4);
  const d = hollow === 0 ? `M0 0H${R}V${h}H0Z` : hollow >= h ? `M${r} 0H${R}V${h}H${r}Z` : `M0 0H${R}V${h}H${r}V${h - hollow}H0Z`;
  return <svg className="fig" width={w} height={Math.max(48, h + 4)} viewBox={`-2 -2 ${w} ${Math.max(48, h + 4)}`} aria-hidden="true"><path className="f-kit out thin2" d={d} /><path className="cl1" d={`M0 -2V${h + 4}`} /></svg>;
}
