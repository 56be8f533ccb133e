import type { PracticePicture } from '../../core/practice/index.ts';
import { onLine } from '../../ui/onLine.ts';

const [left, right] = [40, 840] as const;

/** End play on a line: the window, where it stands, what each place of the lock would leave. */
export function WindowLine({
  picture: p,
}: {
  picture: Extract<PracticePicture, { of: 'places' }>;
}) {
  const every = [
    0,
    ...(p.locked ? [p.locked.playMm] : []),
    p.window.highMm,
    p.playMm,
    ...p.places.map((x) => x.playMm),
  ];
  const x = onLine(every, [left, right], 0.02);
  return (
    <svg
      className="drawing"
      viewBox="0 0 880 240"
      role="img"
      aria-label={`End play ${p.playMm} mm, asked ${p.window.lowMm} to ${p.window.highMm} mm; ${p.places.length} places of the lock`}
    >
      <rect
        className="window-asked"
        x={x(p.window.lowMm)}
        y="60"
        width={x(p.window.highMm) - x(p.window.lowMm)}
        height="80"
      />
      <text className="cap" x={x(p.window.lowMm)} y="50">
        asked {p.window.lowMm}–{p.window.highMm} mm
      </text>
      <path className="centre-line-thin" d={`M${left} 100H${right}`} />
      <path className="thin" d={`M${x(0)} 80v40`} />
      <text className="figure" x={x(0)} y="160" textAnchor="middle">
        0
      </text>
      {p.places.map((q) => (
        <g key={q.turnDeg}>
          <path className="out" d={`M${x(q.playMm)} 84v32`} />
          {p.figures && (
            <text className="figure" x={x(q.playMm)} y="186" textAnchor="middle">
              {q.playMm.toFixed(3)}
            </text>
          )}
        </g>
      ))}
      {p.locked && (
        <g>
          <circle
            className={p.locked.inWindow ? 'now-dot' : 'out-dot'}
            cx={x(p.locked.playMm)}
            cy="100"
            r="11"
          />
          <text className="figure strong" x={x(p.locked.playMm)} y="40" textAnchor="middle">
            locked {p.locked.playMm.toFixed(3)}
          </text>
        </g>
      )}
      <circle className="now-dot" cx={x(p.playMm)} cy="100" r="8" />
      <text className="figure half-km" x={x(p.playMm)} y="222" textAnchor="middle">
        now {p.playMm.toFixed(3)}
      </text>
    </svg>
  );
}
