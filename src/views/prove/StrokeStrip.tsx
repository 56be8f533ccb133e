import type { CardStroke } from '../../core/card/index.ts';

/** A stroke, small: expected band at its greatest, the readings, the peak. */
export function StrokeStrip({ stroke: s }: { stroke: CardStroke }) {
  const { fitting } = s;
  const axis = 1.2 * Math.max(s.expectedKn.high, s.peakKn ?? 0);
  const X = (kn: number) => 4 + (120 * kn) / axis;
  const Y = (mm: number) => 6 + (70 * Math.min(mm, s.plannedMm)) / s.plannedMm;
  const band = fitting
    ? `M4 6L${X(s.expectedKn.low)} 76H${X(s.expectedKn.high)}Z`
    : `M${X(s.expectedKn.low)} 6H${X(s.expectedKn.high)}L4 76Z`;
  return (
    <svg
      className="drawing strip"
      viewBox="0 0 132 84"
      role="img"
      aria-label={s.peakKn === null ? 'Driven, no force read' : `Peak ${s.peakKn} kN`}
    >
      <path className="expected-fill" d={band} />
      <path className="expected-edge" d={band} />
      <path className="strip-tick" d="M4 2V80M4 6H128" />
      {s.readings.length > 0 && (
        <path
          className="force-trace"
          d={`M${fitting ? '4 6L' : ''}${s.readings.map((r) => `${X(r.forceKn)} ${Y(r.travelMm)}`).join('L')}`}
        />
      )}
      {s.peakKn !== null && (
        <circle className="f-ink" cx={X(s.peakKn)} cy={fitting ? 76 : 6} r="4" />
      )}
    </svg>
  );
}
