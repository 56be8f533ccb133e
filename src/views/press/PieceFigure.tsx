import type { Adapter } from '../../core/press/index.ts';
import { drawnHeightMm, pieceOutline } from '../../ui/section/pieceCut.ts';

const scale = 0.8;

/** Half-section of a piece from its axis, all pieces to one scale. */
export function PieceFigure({ piece }: { piece: Adapter }) {
  const h = drawnHeightMm(piece) * scale;
  const w = Math.max(62, (piece.outerMm / 2) * scale + 4);
  return (
    <svg
      className="fig"
      width={w}
      height={Math.max(48, h + 4)}
      viewBox={`-2 -2 ${w} ${Math.max(48, h + 4)}`}
      aria-hidden="true"
    >
      <path className="f-kit out thin2" d={pieceOutline(piece, scale)} />
      <path className="centre-line-thin" d={`M0 -2V${h + 4}`} />
    </svg>
  );
}
