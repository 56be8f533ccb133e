import type { RamPicture } from '../../core/practice/index.ts';
import { both } from '../../ui/units.ts';

const [left, right, top, bottom] = [56, 760, 24, 380];

/** Force over travel as far as the pump has gone; once it is answered, with what would have come and where it had to be stopped. */
export function RamTrace({
  picture: { band, trace, travelMm, ended },
  at,
}: {
  picture: RamPicture;
  /** Point of the trace that the pump stands at. */
  at: number;
}) {
  const shown = trace.slice(0, at + 1);
  // What goes far beyond leaves the drawing: the part that was shown stays as it was.
  const high = 1.5 * Math.max(...band.map((b) => b.high));
  const far = 1.08 * travelMm;
  const X = (mm: number) => left + ((right - left) * Math.min(mm, far)) / far;
  const Y = (kn: number) => bottom - ((bottom - top) * Math.min(kn, high)) / high;
  const line = (list: readonly (readonly [number, number])[]) =>
    list
      .map(([mm, kn], i) => `${i === 0 ? 'M' : 'L'}${X(mm).toFixed(1)} ${Y(kn).toFixed(1)}`)
      .join('');
  const area = `${line(band.map((b) => [b.mm, b.high]))}${[...band]
    .reverse()
    .map((b) => `L${X(b.mm).toFixed(1)} ${Y(b.low).toFixed(1)}`)
    .join('')}Z`;
  const [mm, kn] = shown.at(-1) ?? [0, 0];
  const force = both(kn, 'force');
  const ticks = [0, 0.25, 0.5, 0.75, 1].map((k) => k * travelMm);
  return (
    <svg
      className="drawing"
      viewBox="0 0 800 430"
      role="img"
      aria-label={
        ended
          ? `Force over travel: released at ${force.value} ${force.unit}, ${mm.toFixed(1)} of ${travelMm.toFixed(1)} mm`
          : 'Force over travel, as the pump runs'
      }
    >
      <path className="ram-band" d={area} />
      <path className="thin" d={`M${left} ${top}V${bottom}H${right}`} />
      <path className="dim" d={`M${X(travelMm)} ${top}V${bottom}`} />
      {ticks.map((t) => (
        <text key={t} className="figure" x={X(t)} y={bottom + 22} textAnchor="middle">
          {t.toFixed(0)}
        </text>
      ))}
      <text className="cap" x={right} y={bottom + 42} textAnchor="end">
        mm of travel; band: what is expected, line: the plan
      </text>
      {ended && <path className="ram-then" d={line(trace.slice(at))} />}
      {ended && (
        <path
          className="ram-window"
          d={line(trace.slice(Math.max(0, ended.first), ended.last + 1))}
        />
      )}
      <path className="ram-shown" d={line(shown)} />
      <circle className="ram-now" cx={X(mm)} cy={Y(kn)} r="6" />
      <text className="read" x={left + 12} y={top + 34}>
        {force.value} {force.unit}
      </text>
      <text className="cap" x={left + 12} y={top + 62}>
        {force.other}, at {mm.toFixed(1)} mm
      </text>
    </svg>
  );
}
