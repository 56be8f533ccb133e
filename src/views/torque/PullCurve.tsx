import { useId } from 'react';
import { corridorOf, type Stage, stageWindow } from '../../core/torque/index.ts';

const [left, right, top, bottom] = [52, 330, 14, 150];
/** A step that divides a scale into three to six. */
const stepOf = (most: number) =>
  [5, 10, 15, 20, 30, 40, 50, 100, 200].find((s) => most / s <= 6) ?? 500;

/** Torque over the angle from snug as it is pulled, in the window it has to end in and the corridor of its own first slope. */
export function PullCurve({
  curve,
  stage,
  snugNm,
}: {
  curve: readonly (readonly [number, number])[];
  stage: Stage;
  snugNm: number;
}) {
  const clip = useId();
  const window = stageWindow(stage);
  const angle = stage.kind === 'angle';
  const mostDeg = Math.max(angle ? (window?.high ?? 60) * 1.1 : 20, ...curve.map(([d]) => d));
  const leastDeg = Math.min(-10, ...curve.map(([d]) => d)) * 0.5;
  const mostNm = Math.max(snugNm * (angle ? 2.4 : 1.2), ...curve.map(([, t]) => t)) * 1.05;
  const x = (deg: number) => left + ((deg - leastDeg) / (mostDeg - leastDeg)) * (right - left);
  const y = (nm: number) => bottom - (nm / mostNm) * (bottom - top);
  const shown = curve.filter(([d]) => d >= leastDeg);
  const path = shown.map(([d, t]) => `${x(d).toFixed(1)} ${y(t).toFixed(1)}`).join('L');
  const corridor = angle ? corridorOf(curve) : undefined;
  const now = shown.at(-1);
  const [nmStep, degStep] = [stepOf(mostNm), stepOf(mostDeg - leastDeg)];
  return (
    <svg
      className="drawing pull-curve"
      viewBox="0 0 340 176"
      role="img"
      aria-label="Torque over angle"
    >
      {Array.from({ length: Math.floor(mostNm / nmStep) + 1 }, (_, i) => i * nmStep).map((t) => (
        <g key={t}>
          <path className="rule" d={`M${left} ${y(t)}H${right}`} />
          <text className="figure" x={left - 6} y={y(t) + 5} textAnchor="end">
            {t}
          </text>
        </g>
      ))}
      {Array.from({ length: Math.floor(mostDeg / degStep) + 1 }, (_, i) => i * degStep).map((d) => (
        <text key={d} className="figure" x={x(d)} y={bottom + 20} textAnchor="middle">
          {d}°
        </text>
      ))}
      {window && angle && (
        <rect
          className="expected-fill"
          x={x(window.low)}
          y={top}
          width={x(window.high) - x(window.low)}
          height={bottom - top}
        />
      )}
      {window && !angle && (
        <rect
          className="expected-fill"
          x={left}
          y={y(window.high)}
          width={right - left}
          height={y(window.low) - y(window.high)}
        />
      )}
      <clipPath id={clip}>
        <path d={`M${left} ${top}H${right}V${bottom}H${left}Z`} />
      </clipPath>
      {corridor && (
        <path
          clipPath={`url(#${clip})`}
          className="corridor"
          d={`M${x(0)} ${y(snugNm)}L${x(mostDeg)} ${y(snugNm + corridor.most * mostDeg)}V${y(snugNm + corridor.least * mostDeg)}Z`}
        />
      )}
      <path className="thin" d={`M${left} ${top}V${bottom}H${right}`} />
      {shown.length > 1 && <path className="out" fill="none" d={`M${path}`} />}
      {now && <circle className="now-dot" cx={x(now[0])} cy={y(now[1])} r="6" />}
      <text className="cap" x="4" y={bottom + 20}>
        N·m
      </text>
    </svg>
  );
}
