import { keysOf } from '../../core/keys-of.ts';
import type { Bar, Place, Schedule } from '../../core/plan/index.ts';
import { clockTime } from '../../core/units/index.ts';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';

const names: Record<Place, string> = {
  car: 'Car',
  bench: 'Bench',
  press: 'Press',
  freezer: 'Freezer',
};
const inOrder = keysOf(names);
/** A place, at the car one for each corner that is worked on. */
const rowOf = ({ place, corner }: Pick<Bar, 'place' | 'corner'>) =>
  corner ? `${names[place]} ${corner}` : names[place];

/** The rows of a plan: a job done at the car alone has one; another shows where it could go. */
function rowsOf(bars: readonly Bar[]): string[] {
  const cars = [...new Set(bars.filter((b) => b.place === 'car').map(rowOf))];
  const alone = bars.every((b) => b.place === 'car');
  return alone ? cars : [...cars, ...inOrder.slice(1).map((p) => names[p])];
}
const x0 = 84;
const x1 = 872;

/** One row a place; hands on solid and hatched, waits open and dashed; the heavy line shows where the hands are. */
export function Timeline({
  plan,
  startMs,
  timeZone,
}: {
  plan: Schedule;
  startMs: number;
  timeZone: string;
}) {
  const marks = useMarks();
  const rows = rowsOf(plan.bars);
  const bottom = 66 + rows.length * 54;
  const X = (min: number) => x0 + ((x1 - x0) * min) / plan.endMin;
  const Y = (b: Pick<Bar, 'place' | 'corner'>) => 64 + rows.indexOf(rowOf(b)) * 54;
  const start = new Date(startMs);
  const clock = (min: number) => clockTime(startMs + min * 60_000, timeZone);
  const firstHour = Math.ceil((start.getUTCMinutes() + 0.01) / 60) * 60 - start.getUTCMinutes();
  const hours = Array.from(
    { length: Math.floor((plan.endMin - firstHour) / 60) + 1 },
    (_, i) => firstHour + i * 60,
  ).filter((m) => m > 20 && m < plan.endMin - 24);
  const people = [...new Set(plan.bars.flatMap((b) => b.by ?? []))].sort((a, b) => a - b);
  const wayOf = (by: number) =>
    plan.bars
      .filter((b) => b.by === by)
      .map((b, i, own) => {
        const before = own[i - 1];
        const to = Y(b) + 20;
        const from = before ? `L${X(b.startMin)} ${Y(before) + 20}L` : 'M';
        return `${from}${X(b.startMin)} ${to}L${X(b.endMin)} ${to}`;
      })
      .join('');
  return (
    <svg
      className="drawing timeline"
      viewBox={`0 0 890 ${bottom + 18}`}
      role="img"
      aria-label={`Work ends at ${clock(plan.endMin)}`}
    >
      <Defs id={marks.id} />
      <path className="thin" d={`M0 46H${x1}M0 ${bottom}H${x1}`} />
      {hours.map((m) => (
        <g key={m}>
          <path className="strip-axis" d={`M${X(m)} 34V${bottom}`} />
          <text className="figure" x={X(m)} y="28" textAnchor="middle">
            {clock(m)}
          </text>
        </g>
      ))}
      {rows.map((name, i) => (
        <g key={name}>
          <text className="strong" x="0" y={64 + i * 54 + 25}>
            {name}
          </text>
          <path className="strip-axis" d={`M0 ${64 + i * 54 + 42}H${x1}`} />
        </g>
      ))}
      {people.map((by) => (
        <path key={by} className={by === 1 ? 'hands' : 'hands second'} d={wayOf(by)} />
      ))}
      {plan.bars.map((b, i) => (
        <BarShape
          key={b.id}
          b={b}
          first={i === plan.bars.findIndex((x) => x.handsOn)}
          x={X(b.startMin)}
          w={X(b.endMin) - X(b.startMin)}
          y={Y(b)}
          fill={marks.fill('outer')}
        />
      ))}
      <path className="nowline" d={`M${x0} 46V${bottom}`} />
      <path className="f-blue" d={`M${x0 - 6} 40h12l-6 9z`} />
      <text className="text-blue" x={x0} y={bottom + 14} textAnchor="middle">
        now {clock(0)}
      </text>
      <path className="endline" d={`M${x1} 34V${bottom}`} />
      <text className="figure strong" x={x1} y="28" textAnchor="end" fontSize="18">
        ends {clock(plan.endMin)}
      </text>
    </svg>
  );
}

function BarShape({
  b,
  first,
  x,
  w,
  y,
  fill,
}: {
  b: Bar;
  first: boolean;
  x: number;
  w: number;
  y: number;
  fill: string;
}) {
  const label = b.handsOn ? 'bgp' : '';
  return (
    <g>
      <rect
        className={b.handsOn ? `hands-on${first ? ' first' : ''}` : 'wait-bar'}
        fill={b.handsOn ? fill : 'none'}
        x={x}
        y={y + 6}
        width={w}
        height="28"
      />
      <text
        className={first ? 'text-current' : label}
        x={b.handsOn ? x : x + 6}
        y={b.handsOn ? y + 1 : y + 25}
      >
        {b.label}
      </text>
    </g>
  );
}
