import { Play, Ruler, ZoomIn, ZoomOut } from 'lucide-react';

export interface Look {
  dims: boolean;
  zoom: number;
}
const closer = [1, 1.7, 2.6] as const;

/** Sizes on the drawing, the stroke run once, and closer in. */
export function LookBar({
  look,
  onLook,
  onPlay,
}: {
  look: Look;
  onLook: (l: Look) => void;
  onPlay: () => void;
}) {
  const at = closer.findIndex((z) => z === look.zoom);
  return (
    <div className="lookbar" role="group" aria-label="Drawing">
      <button
        type="button"
        className="btn quiet small"
        aria-pressed={look.dims}
        onClick={() => onLook({ ...look, dims: !look.dims })}
      >
        <Ruler aria-hidden="true" />
        Sizes
      </button>
      <button type="button" className="btn quiet small" onClick={onPlay}>
        <Play aria-hidden="true" />
        Stroke
      </button>
      <button
        type="button"
        className="btn quiet small"
        aria-label="Closer"
        disabled={at === closer.length - 1}
        onClick={() => onLook({ ...look, zoom: closer[at + 1]! })}
      >
        <ZoomIn aria-hidden="true" />
      </button>
      <button
        type="button"
        className="btn quiet small"
        aria-label="Farther"
        disabled={at === 0}
        onClick={() => onLook({ ...look, zoom: closer[at - 1]! })}
      >
        <ZoomOut aria-hidden="true" />
      </button>
    </div>
  );
}
