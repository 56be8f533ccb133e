import { type Corner, corners } from '../../core/corner.ts';
import type { RankedSuspect } from '../../core/diagnosis/index.ts';

const wheel: Record<Corner, readonly [number, number]> = {
  LF: [22, 52],
  RF: [122, 52],
  LR: [22, 216],
  RR: [122, 216],
};

/** The car from above: each corner filled by how much of the probability sits there. */
export function PlanView({ suspects }: { suspects: readonly RankedSuspect[] }) {
  const share = (c: Corner) =>
    suspects.filter((s) => s.corner === c).reduce((a, s) => a + s.probability, 0);
  return (
    <svg
      className="drawing planview"
      viewBox="0 0 170 312"
      role="img"
      aria-label={corners.map((c) => `${c} ${Math.round(share(c) * 100)} per cent`).join(', ')}
    >
      <path className="centre-line-thin" d="M85 4V308M10 84H160M10 248H160" />
      <path
        className="out f-sheet thin2"
        d="M44 84C42 44 58 24 85 24S128 44 126 84V280q0 18-18 20H62q-18-2-18-20z"
      />
      <path className="thin" d="M56 116q29-26 58 0l5 26q-34-14-68 0z" />
      {corners.map((c) => {
        const [x, y] = wheel[c];
        const p = share(c);
        const h = 64 * p;
        return (
          <g key={c}>
            <rect className="out f-paper thin2" x={x} y={y} width="26" height="64" />
            <rect className="f-blue" x={x} y={y + 64 - h} width="26" height={h} />
            <text
              className="figure strong"
              x={x < 85 ? x + 32 : x - 6}
              y={y + 28}
              textAnchor={x < 85 ? 'start' : 'end'}
            >
              {Math.round(p * 100)}
            </text>
            <text
              className="cap"
              x={x < 85 ? x + 32 : x - 6}
              y={y + 46}
              textAnchor={x < 85 ? 'start' : 'end'}
            >
              {c}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
