import type { Comparison, CurvePoint } from '../../core/logbook/index.ts';
import { both } from '../../ui/units.ts';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';

const [left, right, top, foot] = [58, 842, 32, 478];
const y = (share: number) => foot - share * (foot - top);

/** Steps of a share over distance, from 100 % to the end of what was watched. */
function steps(
  curve: readonly CurvePoint[],
  of: (p: CurvePoint) => number | undefined,
  x: (km: number) => number,
  endKm: number,
): string {
  const path = curve.flatMap((p) => {
    const share = of(p);
    return share === undefined ? [] : [`H${x(p.time).toFixed(1)}V${y(share).toFixed(1)}`];
  });
  return `M${left} ${y(1)}${path.join('')}H${x(endKm).toFixed(1)}`;
}

/** The band between its two edges; beyond the last point that has one it stays as wide. */
function bandPath(curve: readonly CurvePoint[], x: (km: number) => number, endKm: number): string {
  const own = curve.filter((p) => p.low !== undefined && p.high !== undefined);
  if (own.length === 0) return '';
  const edge = (of: (p: CurvePoint) => number) =>
    own.flatMap((p, i) => {
      const to = own[i + 1]?.time ?? endKm;
      return [
        [x(p.time), y(of(p))],
        [x(to), y(of(p))],
      ] as const;
    });
  const upper = edge((p) => p.high ?? 1);
  const lower = edge((p) => p.low ?? 0).reverse();
  return `M${[...upper, ...lower].map(([a, b]) => `${a.toFixed(1)} ${b.toFixed(1)}`).join('L')}Z`;
}

const thousand = (km: number) => (km / 1000).toFixed(km % 1000 === 0 ? 0 : 1);

/** Share still running over distance since fitted, a step for each failure, with its band, and where half have failed. */
export function SurvivalPlot({ comparison: c }: { comparison: Comparison }) {
  const marks = useMarks();
  const longest = c.marksKm.at(-1) ?? 1;
  const x = (km: number) => left + (km / longest) * (right - left);
  const rows = c.watched.length;
  return (
    <svg
      className="drawing survival"
      viewBox={`0 0 880 ${546 + rows * 38}`}
      role="img"
      aria-label={`Share still running over distance: ${c.groups.map((g) => `${g.name}, ${g.failed} of ${g.lives} failed`).join('; ')}`}
    >
      <Defs id={marks.id} />
      <text className="cap" x="0" y="14">
        still running
      </text>
      {[0, 0.25, 0.5, 0.75, 1].map((share) => (
        <g key={share}>
          <path className="grid-line" d={`M${left} ${y(share)}H${right}`} />
          <text className="figure" x={left - 8} y={y(share) + 5} textAnchor="end">
            {share === 1 ? '100 %' : share * 100}
          </text>
        </g>
      ))}
      {c.groups.slice(0, 2).map((g, i) => (
        <path
          key={g.name}
          className={`life-band of-${i}`}
          fill={i === 0 ? marks.fill('knuckle') : undefined}
          d={bandPath(g.curve, x, endOf(c, i))}
        />
      ))}
      {c.groups.map((g, i) => (
        <path
          key={g.name}
          className={`life-steps of-${i}`}
          d={steps(g.curve, (p) => p.survival, x, endOf(c, i))}
        />
      ))}
      {c.groups.map((g, i) => {
        const half = g.median.time;
        if (half === undefined) return null;
        return (
          <g key={g.name} className={`half of-${i}`}>
            <path className="projection" d={`M${x(half)} ${y(0.5)}V${foot}`} />
            <circle cx={x(half)} cy={y(0.5)} r="6" />
            <text className="figure half-km" x={x(half) + 12} y={y(0.5) - 10 - 20 * i}>
              {thousand(half)}
            </text>
          </g>
        );
      })}
      <path className="plot-axis" d={`M${left} ${top - 6}V${foot}H${right}`} />
      {c.marksKm.map((km) => (
        <g key={km}>
          <path className="thin" d={`M${x(km)} ${foot}v7`} />
          <text className="figure" x={x(km)} y={foot + 24} textAnchor="middle">
            {thousand(km)}
          </text>
        </g>
      ))}
      <text className="cap" x={right} y={foot + 46} textAnchor="end">
        thousand km since fitted; 100 are {both(100_000, 'distance').other}
      </text>
      <text className="cap" x="0" y={foot + 46}>
        still under watch at
      </text>
      {c.watched.map((w, i) => (
        <g key={w.name} className={`watched of-${i}`}>
          <path className="grid-line" d={`M0 ${538 + i * 38}H860`} />
          {w.at.map((n, k) => (
            <text
              key={c.marksKm[k]}
              className="figure"
              x={k === 0 ? x(0) + 96 : x(c.marksKm[k] ?? 0)}
              y={562 + i * 38}
              textAnchor="middle"
            >
              {k === 0 ? '' : n}
            </text>
          ))}
          <text className="watched-name" x="0" y={562 + i * 38}>
            {short(w.name)} <tspan className="figure">{w.at[0]}</tspan>
          </text>
        </g>
      ))}
    </svg>
  );
}

/** How far a group was watched, km. */
function endOf(c: Comparison, i: number): number {
  const w = c.watched[i];
  const last = w ? w.at.findLastIndex((n) => n > 0) : -1;
  const failed = c.groups[i]?.curve.at(-1)?.time ?? 0;
  return Math.max(failed, c.marksKm[last] ?? 0);
}

const short = (name: string) => (name.length > 15 ? `${name.slice(0, 14)}…` : name);
