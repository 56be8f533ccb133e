import { cornerNames } from '../../core/corner.ts';
import { endToEnd, type HungryCorner } from '../../core/logbook/index.ts';

const [left, right, row] = [230, 840, 74];

/** Bearings of a corner laid end to end over distance: a cross where one failed. */
export function HungryPlot({ hungry }: { hungry: readonly HungryCorner[] }) {
  const shown = hungry.slice(0, 7);
  const longest = Math.max(1, ...shown.map((h) => h.withinKm));
  const x = (km: number) => left + (km / longest) * (right - left);
  return (
    <svg
      className="drawing hungry-plot"
      viewBox={`0 0 880 ${60 + shown.length * row}`}
      role="img"
      aria-label={`Corners with more than one bearing failed: ${shown.map((h) => `unit ${h.unit} ${cornerNames[h.corner]}, ${h.failed}`).join('; ')}`}
    >
      {shown.map((h, i) => {
        const at = 48 + i * row;
        return (
          <g key={h.unit + h.corner}>
            <text className="watched-name" x="0" y={at}>
              Unit {h.unit}
            </text>
            <text className="cap" x="0" y={at + 18}>
              {cornerNames[h.corner].toLowerCase()}
            </text>
            <path className="centre-line-thin" d={`M${left - 14} ${at}H${right + 14}`} />
            {endToEnd(h).map(({ from, to, cause }) => (
              <g key={from}>
                <rect
                  className="out f-sheet"
                  x={x(from)}
                  y={at - 14}
                  width={Math.max(4, x(to) - x(from) - 3)}
                  height="28"
                />
                <path className="failed-here" d={`M${x(to) - 3} ${at - 20}v40`} />
                <text className="figure" x={(x(from) + x(to)) / 2} y={at + 5} textAnchor="middle">
                  {x(to) - x(from) > 54 ? ((to - from) / 1000).toFixed(1) : ''}
                </text>
                {cause && x(to) - x(from) > 120 && (
                  <text className="cap" x={x(from) + 2} y={at + 32}>
                    {cause}
                  </text>
                )}
              </g>
            ))}
          </g>
        );
      })}
      <text className="cap" x={right} y="16" textAnchor="end">
        thousand km that each ran, end to end
      </text>
    </svg>
  );
}
