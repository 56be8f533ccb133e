import type { Adapter } from '../../core/press/index.ts';
import { drawnHeightMm, pieceOutline } from '../../ui/section/pieceCut.ts';

const scale = 1.25;

/** Every piece as a half-section from its axis, one scale, by inside diameter, in rows like a drawer. */
export function Shelf({
  pieces,
  open,
  onOpen,
}: {
  pieces: readonly Adapter[];
  open: string | undefined;
  onOpen: (a: Adapter) => void;
}) {
  const sorted = [...pieces].sort((a, b) => a.innerMm - b.innerMm || a.outerMm - b.outerMm);
  return (
    <ul className="shelf">
      {sorted.map((p) => {
        const R = (p.outerMm / 2) * scale;
        const r = (p.innerMm / 2) * scale;
        const h = drawnHeightMm(p) * scale;
        return (
          <li key={p.id} className={p.retired ? 'retired' : ''}>
            <button type="button" aria-pressed={open === p.id} onClick={() => onOpen(p)}>
              <svg
                width={R + 8}
                height="146"
                viewBox={`-4 ${h - 142} ${R + 8} 146`}
                aria-hidden="true"
              >
                <path
                  className={p.retired ? 'ghost' : 'f-kit out thin2'}
                  d={pieceOutline(p, scale)}
                />
                <path className="centre-line-thin" d={`M0 ${h - 142}V${h + 4}`} />
                {p.retired && <path className="strike" d={`M${r} 0L${R} ${h}M${R} 0L${r} ${h}`} />}
              </svg>
              <b>{p.name}</b>
              <span className="num">
                {p.outerMm} × {p.innerMm || '–'} × {p.heightMm}
              </span>
              {p.retired && <span className="visually-hidden">retired</span>}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
