import type { AdjustNow } from '../../core/job/index.ts';
import { onLine } from '../../ui/onLine.ts';
import { both } from '../../ui/units.ts';

const [left, right] = [150, 860] as const;

/** End play on one line: the window, where it stands, what each place of the lock would leave; the same again warm. */
export function PlayLine({ now, warmMm }: { now: AdjustNow; warmMm: number | undefined }) {
  const { adjusted, last, window } = now;
  const places = adjusted?.places ?? [];
  const every = [
    0,
    window.lowMm,
    window.highMm,
    ...(last ? [last.meanMm] : []),
    ...places.flatMap((p) => [p.playMm, p.playMm + (warmMm ?? 0)]),
  ];
  const x = onLine(every, [left, right], 0.02);
  const cold = 54;
  const warm = 100;
  return (
    <svg
      className="drawing play-line"
      viewBox="0 0 888 144"
      role="img"
      aria-label={`End play asked ${window.lowMm} to ${window.highMm} mm${last ? `, now ${last.meanMm.toFixed(3)}` : ''}`}
    >
      <text className="strong" x="0" y={cold + 5}>
        cold
      </text>
      <rect
        className="expected-fill"
        x={x(window.lowMm)}
        y={cold - 14}
        width={x(window.highMm) - x(window.lowMm)}
        height="28"
      />
      <path className="out" d={`M${left} ${cold}H${right}`} />
      {places.map((p) => {
        const taken = p.name === adjusted?.safe?.name;
        const b = both(p.playMm, 'length', 3);
        return (
          <g key={p.name}>
            {warmMm !== undefined && (
              <path
                className={taken ? 'way' : 'thin'}
                d={`M${x(p.playMm)} ${cold}L${x(p.playMm + warmMm)} ${warm}`}
              />
            )}
            <circle
              className={taken ? 'place-taken' : 'out f-paper'}
              cx={x(p.playMm)}
              cy={cold}
              r="8"
            />
            <text className="figure" x={x(p.playMm)} y={cold - 20} textAnchor="middle">
              {p.name} {b.value}
            </text>
          </g>
        );
      })}
      {last && (
        <>
          <path className="way" d={`M${x(last.meanMm)} ${cold - 14}v28`} />
          <text className="cap" x={x(last.meanMm)} y={cold + 30} textAnchor="middle">
            now
          </text>
        </>
      )}
      {warmMm !== undefined && (
        <>
          <text className="strong" x="0" y={warm + 5}>
            warm, {warmMm < 0 ? '−' : '+'}
            {Math.abs(warmMm).toFixed(3)}
          </text>
          <path className="out" d={`M${left} ${warm}H${right}`} />
        </>
      )}
      <text className="cap" x={x(window.lowMm)} y="138" textAnchor="middle">
        {window.lowMm}
      </text>
      <text className="cap" x={x(window.highMm)} y="138" textAnchor="middle">
        {window.highMm} mm
      </text>
    </svg>
  );
}
