import { familyByCode } from '../../core/families/index.ts';
import type { TookAgainst } from '../../core/logbook/index.ts';

const [left, right, row] = [300, 840, 62];

/** Each job as a mark: what it took over what was planned, on one scale a family, with the middle. */
export function TookPlot({ took }: { took: readonly TookAgainst[] }) {
  const most = Math.max(2, ...took.flatMap((t) => t.jobs.map((j) => j.worked / j.planned)));
  const x = (ratio: number) => left + (Math.min(ratio, most) / most) * (right - left);
  const height = 70 + took.length * row;
  const marks = [0.5, 1, 1.5, 2].filter((m) => m <= most);
  return (
    <svg
      className="drawing took-plot"
      viewBox={`0 0 880 ${height}`}
      role="img"
      aria-label={`Hands-on minutes over planned: ${took.map((t) => `${familyByCode(t.family)?.name ?? t.family} ${t.ratio.toFixed(2)}`).join('; ')}`}
    >
      {marks.map((m) => (
        <g key={m}>
          <path
            className={m === 1 ? 'centre-line-thin' : 'grid-line'}
            d={`M${x(m)} 30V${height - 20}`}
          />
          <text className="figure" x={x(m)} y="20" textAnchor="middle">
            {m === 1 ? 'as planned' : `× ${m}`}
          </text>
        </g>
      ))}
      {took.map((t, i) => {
        const at = 66 + i * row;
        return (
          <g key={t.family}>
            <path className="grid-line" d={`M0 ${at + 22}H860`} />
            <text className="watched-name" x="0" y={at + 2}>
              {familyByCode(t.family)?.name ?? t.family}
            </text>
            <text className="cap" x="0" y={at + 18}>
              {t.jobs.length} jobs
            </text>
            {t.jobs.map((j) => (
              <path
                key={j.id}
                className="job-mark"
                d={`M${x(j.worked / j.planned)} ${at - 12}v24`}
              />
            ))}
            <circle className="mean-dot" cx={x(t.ratio)} cy={at} r="7" />
            <text className="figure half-km" x={x(t.ratio) + 12} y={at - 10}>
              × {t.ratio.toFixed(2)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
