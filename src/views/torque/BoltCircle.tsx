import type { Turn } from '../../core/torque/index.ts';
import { hexPath } from '../../ui/section/round.ts';
import './bolt-circle.css';
import './fastener-drawing.css';
const [cx, cy] = [326, 268];
const circle = 168;

/** How far apart two of a row stand, as a share of the circle. */
const place = (count: number, bolt: number) => {
  if (count === 1) return { x: cx, y: cy };
  // A pair stands one above the other, as it does in its bracket.
  const a = ((bolt - 1) * 2 * Math.PI) / count;
  const r = count === 2 ? 0.7 * circle : circle;
  return { x: cx + r * Math.sin(a), y: cy - r * Math.cos(a) };
};

export interface BoltState extends Turn {
  state: 'now' | 'done' | 'stop' | 'todo';
}

/** Bolts or nuts face-on: which is next, which have had their turn in this round, and the line that the hand goes. */
export function BoltCircle({
  turns,
  big,
  unit,
  note,
  label,
}: {
  /** This round, in its order. */
  turns: readonly BoltState[];
  big: string;
  unit: string;
  note: string;
  label: string;
}) {
  const count = turns.length;
  const r = count === 1 ? 96 : Math.min(46, 220 / count);
  const path = turns
    .map((t) => place(count, t.bolt))
    .map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('L');
  return (
    <svg className="drawing bolt-circle" viewBox="0 0 560 520" role="img" aria-label={label}>
      {count > 2 && <circle className="out f-paper thin2" cx={cx} cy={cy} r="232" />}
      {count > 2 && <circle className="centre-line-thin" cx={cx} cy={cy} r={circle} />}
      {count === 2 && (
        <rect
          className="out f-paper thin2"
          x={cx - 90}
          y={cy - 210}
          width="180"
          height="420"
          rx="60"
        />
      )}
      {count === 1 && <circle className="out f-paper thin2" cx={cx} cy={cy} r="150" />}
      <path
        className="centre-line-thin"
        d={`M${cx - 245} ${cy}H${cx + 245}M${cx} ${cy - 245}V${cy + 250}`}
      />
      {count > 1 && <path className="order-line" d={`M${path}`} />}
      {turns.map((t, i) => {
        const { x, y } = place(count, t.bolt);
        return (
          <g key={t.bolt} className={`bolt ${t.state}`}>
            <path className="head" d={hexPath(x, y, r)} />
            <circle className="thin" cx={x} cy={y} r={r * 0.5} />
            {count > 1 && (
              <text className="strong" x={x} y={y + 8} textAnchor="middle">
                {i + 1}
              </text>
            )}
            {t.state === 'done' && (
              <path className="tick" d={`M${x + r * 0.7} ${y - r * 0.9}l7 8 14-18`} />
            )}
            {t.state === 'stop' && (
              <path className="cross" d={`M${x + r * 0.8} ${y - r}l16 16m0-16l-16 16`} />
            )}
          </g>
        );
      })}
      {count > 2 && <circle className="out f-sheet thin2" cx={cx} cy={cy} r="60" />}
      <text className="giant" x="0" y="84">
        {big}
      </text>
      <text x="4" y="114">
        <tspan className="strong">{unit}</tspan>
        {unit && note ? ', ' : ''}
        {note}
      </text>
    </svg>
  );
}
