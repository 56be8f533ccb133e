import { type LookId, looks } from '../../core/old-part/index.ts';
import { glyphs } from './glyphs.tsx';

/** A look on a piece of track with its lines of grinding, as under a glass. */
export const LookTile = ({ look }: { look: LookId }) => (
  <svg className="drawing look-tile" viewBox="0 0 96 60" role="img" aria-label={looks[look].seen}>
    <rect className="track" x="1" y="1" width="94" height="58" />
    {Array.from({ length: 9 }, (_, i) => (
      <path key={i} className="grinding" d={`M1 ${7 + i * 6}H95`} />
    ))}
    <g transform="translate(48 30) scale(1.7)">{glyphs[look]}</g>
  </svg>
);
