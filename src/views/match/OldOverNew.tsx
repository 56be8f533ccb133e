import type { Bearing, Rolling } from '../../core/corner-record.ts';
import type { Side } from '../../core/corner.ts';
import { bearingBodies } from '../../core/families/index.ts';
import { meanOf, type OldPart, type ReadingStats } from '../../core/matching/index.ts';
import { BearingHalf } from '../../ui/section/BearingHalf.tsx';
import { Defs, poly, useMarks } from '../../ui/section/primitives.tsx';

/** The sizes that a ring section can show. */
export type RingDimension = 'outerMm' | 'boreMm' | 'widthMm';

const ax = 270;
const top = 110;

/** The new part in section, the old one's outline over it: new solid blue, old dashed ink, the difference shaded. */
export function OldOverNew({
  part,
  rolling = 'ball',
  single,
  partName,
  old,
  lit,
  encoderSide,
  nominal,
  stats,
}: {
  part: Bearing;
  /** One row, of what rolls; double-row balls otherwise. */ single?: boolean;
  rolling?: Rolling | undefined;
  partName: string;
  old: OldPart['readings'];
  lit: string | undefined;
  encoderSide: Side | undefined;
  nominal?: boolean;
  stats?: Partial<Record<string, ReadingStats | undefined>>;
}) {
  const marks = useMarks();
  const read = {
    outerMm: meanOf(old.outerMm),
    boreMm: meanOf(old.boreMm),
    widthMm: meanOf(old.widthMm),
  };
  const size = {
    outerMm: Math.max(part.outerMm, read.outerMm ?? 0),
    widthMm: Math.max(part.widthMm, read.widthMm ?? 0),
  };
  const u = Math.min(4.4, 340 / size.outerMm, 240 / size.widthMm);
  const x = (r: number) => ax + r * u;
  const bottom = top + part.widthMm * u;
  const o = {
    outerMm: (read.outerMm ?? part.outerMm) / 2,
    boreMm: (read.boreMm ?? part.boreMm) / 2,
    widthMm: read.widthMm ?? part.widthMm,
  };
  const any = read.outerMm !== undefined || read.boreMm !== undefined || read.widthMm !== undefined;
  const oldHalf = (s: 1 | -1) =>
    `M${x(s * o.boreMm)} ${top}H${x(s * o.outerMm)}V${top + o.widthMm * u}H${x(s * o.boreMm)}Z`;
  const newHalf = (s: 1 | -1) =>
    `M${x((s * part.boreMm) / 2)} ${top}H${x((s * part.outerMm) / 2)}V${bottom}H${x((s * part.boreMm) / 2)}Z`;
  const cls = (d: RingDimension) => (lit === d ? 'dim blue' : 'dim');
  const arrow = (d: RingDimension) => (lit === d ? marks.arrowBlue : marks.arrow);
  const encoderUp =
    part.encoder.kind === 'none' || !encoderSide ? undefined : encoderSide === 'outboard';
  const doubt = (d: RingDimension) =>
    stats?.[d] ? ` ± ${stats[d].doubtMm.toFixed(stats[d].doubtMm < 0.01 ? 3 : 2)}` : '';
  const figure = (d: RingDimension, pre: string) => {
    if (read[d] !== undefined) return `${pre}${read[d].toFixed(2)}${doubt(d)}`;
    return nominal ? `${pre}${part[d]}` : `${pre}?`;
  };
  return (
    <svg
      className="drawing old-over-new"
      viewBox={`0 0 540 ${Math.round(bottom + 64)}`}
      role="img"
      aria-label={`Section of ${partName}${any ? ' with the outline of the old part' : ''}`}
    >
      <Defs id={marks.id} />
      {single ? (
        ([1, -1] as const).map((s) => (
          <g key={s}>
            {bearingBodies(rolling, part).map((b, i) =>
              'ball' in b ? (
                <circle
                  key={i}
                  className="ball"
                  cx={x(s * b.ball.r)}
                  cy={top + b.ball.z * u}
                  r={b.ball.radius * u}
                />
              ) : (
                <path
                  key={i}
                  className={`out thin2${b.role === 'ball' ? ' f-sheet' : ''}`}
                  {...(b.role === 'outer' || b.role === 'inner'
                    ? { fill: marks.fill(b.role) }
                    : {})}
                  d={poly(b.points.map(([z, r]) => [x(s * r), top + z * u] as const))}
                />
              ),
            )}
          </g>
        ))
      ) : (
        <>
          <BearingHalf b={part} at={{ ax, u }} top={top} marks={marks} encoderUp={encoderUp} />
          <BearingHalf
            b={part}
            at={{ ax, u, dir: -1 }}
            top={top}
            marks={marks}
            encoderUp={encoderUp}
          />
        </>
      )}
      <path
        className="thin"
        d={`M${x(-part.boreMm / 2)} ${top}H${x(part.boreMm / 2)}M${x(-part.boreMm / 2)} ${bottom}H${x(part.boreMm / 2)}`}
      />
      {any &&
        [1, -1].map((s) => (
          <g key={s}>
            <path
              fill={marks.fill('only')}
              fillRule="evenodd"
              d={`${oldHalf(s as 1)}${newHalf(s as 1)}`}
              className="diff"
            />
            <path className="new-line" d={newHalf(s as 1)} />
            <path className="old-line" d={oldHalf(s as 1)} />
          </g>
        ))}
      <path className="axis" d={`M${ax} ${top - 26}V${bottom + 26}`} />
      <path
        className="extension-line"
        d={`M${x(-o.outerMm)} ${top - 4}V52M${x(o.outerMm)} ${top - 4}V52M${x(-o.boreMm)} ${bottom + 4}v44M${x(o.boreMm)} ${bottom + 4}v44M${x(o.outerMm) + 4} ${top}h46M${x(o.outerMm) + 4} ${top + o.widthMm * u}h46`}
      />
      <path
        className={cls('outerMm')}
        markerStart={arrow('outerMm')}
        markerEnd={arrow('outerMm')}
        d={`M${x(-o.outerMm)} 60H${x(o.outerMm)}`}
      />
      <text
        className={`figure strong on-paper${lit === 'outerMm' ? ' text-blue' : ''}`}
        x={ax}
        y="66"
        textAnchor="middle"
      >
        {figure('outerMm', 'Ø ')}
      </text>
      <path
        className={cls('boreMm')}
        markerStart={arrow('boreMm')}
        markerEnd={arrow('boreMm')}
        d={`M${x(-o.boreMm)} ${bottom + 38}H${x(o.boreMm)}`}
      />
      <text
        className={`figure strong on-paper${lit === 'boreMm' ? ' text-blue' : ''}`}
        x={ax}
        y={bottom + 44}
        textAnchor="middle"
      >
        {figure('boreMm', 'Ø ')}
      </text>
      <path
        className={cls('widthMm')}
        markerStart={arrow('widthMm')}
        markerEnd={arrow('widthMm')}
        d={`M${x(o.outerMm) + 36} ${top}V${top + o.widthMm * u}`}
      />
      <text
        className={`figure strong on-paper${lit === 'widthMm' ? ' text-blue' : ''}`}
        y={(top + bottom) / 2}
      >
        {figure('widthMm', '')
          .split(' ± ')
          .map((line, i) => (
            <tspan key={line} x={x(o.outerMm) + 44} dy={i * 20}>
              {i > 0 ? `± ${line}` : line}
            </tspan>
          ))}
      </text>
      <text className="strong" x="4" y="18">
        {any ? 'Old over new' : 'The new part'}
      </text>
      <text className="cap" x={x(-part.outerMm / 2) - 8} y={top + 6} textAnchor="end">
        outboard
      </text>
      <text className="cap" x={x(-part.outerMm / 2) - 8} y={bottom} textAnchor="end">
        inboard
      </text>
      <text x="4" y="36">
        {partName}: {part.boreMm} × {part.outerMm} × {part.widthMm}
      </text>
      {any && (
        <>
          <path className="old-line" d="M330 14h34" />
          <text x="372" y="19">
            old part
          </text>
          <path className="new-line" d="M330 34h34" />
          <text x="372" y="39">
            new part
          </text>
        </>
      )}
      {part.encoder.kind !== 'none' && encoderSide && (
        <text
          className="text-current"
          x={x(part.outerMm / 2) + 4}
          y={encoderSide === 'inboard' ? bottom + 18 : top - 10}
        >
          encoder
        </text>
      )}
    </svg>
  );
}
