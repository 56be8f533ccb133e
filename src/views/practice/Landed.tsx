import type { PracticePicture } from '../../core/practice/index.ts';
import { onLine } from '../../ui/onLine.ts';
import { both } from '../../ui/units.ts';

const [left, right, line] = [20, 420, 90] as const;
const kinds = { 'N·m': 'torque', mm: 'length' } as const;

/** What a choice comes to on a line, against the window that is asked. */
export function Landed({ picture: p }: { picture: Extract<PracticePicture, { of: 'landed' }> }) {
  const every = [p.low, p.high, p.at];
  const room = 0.15 * (Math.max(...every) - Math.min(...every));
  const x = onLine(every, [left, right], room);
  const write = (v: number) => both(v, kinds[p.unit]);
  const at = write(p.at);
  return (
    <svg
      className="drawing"
      viewBox="0 0 440 220"
      role="img"
      aria-label={`${p.title}: ${at.value} ${at.unit}, asked ${write(p.low).value} to ${write(p.high).value}`}
    >
      <text className="cap" x={left} y="22">
        {p.title}
      </text>
      <rect
        className="window-asked"
        x={x(p.low)}
        y={line - 40}
        width={x(p.high) - x(p.low)}
        height="80"
      />
      <path className="centre-line-thin" d={`M${left} ${line}H${right}`} />
      {[p.low, p.high].map((v) => (
        <text key={v} className="figure half-km" x={x(v)} y={line + 66} textAnchor="middle">
          {write(v).value}
        </text>
      ))}
      <circle className={p.inside ? 'now-dot' : 'out-dot'} cx={x(p.at)} cy={line} r="10" />
      <text className="read" x={x(p.at)} y={line + 112} textAnchor={anchorAt(x(p.at))}>
        {at.value} {at.unit}
      </text>
    </svg>
  );
}

/** A text near an end of the line stays on the sheet. */
function anchorAt(x: number): 'start' | 'middle' | 'end' {
  if (x < 100) return 'start';
  return x > 340 ? 'end' : 'middle';
}
