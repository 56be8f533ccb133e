import type { Calls } from '../../core/logbook/index.ts';

const [left, right, top, foot] = [70, 590, 30, 470];
const x = (share: number) => left + share * (right - left);
const y = (share: number) => foot - share * (foot - top);
const percent = (share: number) => `${Math.round(100 * share)}`;

/** What was said against how often it was so: on the line we know what we know. */
export function CallsPlot({ calls }: { calls: Calls }) {
  return (
    <svg
      className="drawing calls-plot"
      viewBox="0 0 640 530"
      role="img"
      aria-label={`What was said against how often it was right: ${calls.bins.map((b) => `said ${percent(b.said)} %, right ${b.right} of ${b.of}`).join('; ')}`}
    >
      {[0, 0.25, 0.5, 0.75, 1].map((s) => (
        <g key={s}>
          <path className="grid-line" d={`M${left} ${y(s)}H${right}`} />
          <text className="figure" x={left - 8} y={y(s) + 5} textAnchor="end">
            {percent(s)}
          </text>
          <text className="figure" x={x(s)} y={foot + 24} textAnchor="middle">
            {percent(s)}
          </text>
        </g>
      ))}
      <path className="centre-line-thin" d={`M${x(0)} ${y(0)}L${x(1)} ${y(1)}`} />
      <text className="cap" x={x(0.3)} y={y(0.34)} textAnchor="end">
        as often as said
      </text>
      {calls.bins.map((b, i) => (
        <g key={b.said} className={calls.off.includes(b) ? 'call-bin off' : 'call-bin'}>
          <path d={`M${x(b.said)} ${y(b.low)}V${y(b.high)}`} />
          <path d={`M${x(b.said) - 7} ${y(b.low)}h14M${x(b.said) - 7} ${y(b.high)}h14`} />
          <circle cx={x(b.said)} cy={y(b.right / b.of)} r="7" />
          <text
            className="figure"
            x={x(b.said)}
            y={i % 2 === 0 ? y(b.high) - 8 : y(b.low) + 20}
            textAnchor="middle"
          >
            {b.right}/{b.of}
          </text>
        </g>
      ))}
      <path className="plot-axis" d={`M${left} ${top - 6}V${foot}H${right}`} />
      <text className="cap" x="0" y="16">
        right, %
      </text>
      <text className="cap" x={right} y={foot + 48} textAnchor="end">
        said before it was opened, %
      </text>
    </svg>
  );
}
