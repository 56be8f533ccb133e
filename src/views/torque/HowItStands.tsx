import type { Through } from '../../core/torque/index.ts';
import { hexPath } from '../../ui/section/round.ts';
import { both } from '../../ui/units.ts';
import './fastener-drawing.css';
const [width, margin] = [340, 24];

/** Wrench, hand and what stands between them and the nut, from above, to scale; lengths in mm. */
export function HowItStands({
  lengthMm,
  through,
  setNm,
  travelMm,
}: {
  /** From square to grip; without it nothing is drawn to scale. */
  lengthMm: number;
  through: Through;
  setNm: number | undefined;
  /** How far the hand goes round for an angle. */
  travelMm?: number | undefined;
}) {
  const { offsetMm = 0, offsetAngleDeg = 0 } = through;
  const a = (offsetAngleDeg * Math.PI) / 180;
  // Square of the wrench at the origin, its grip along x; the adapter carries on from it to the nut.
  const nut = { x: -offsetMm * Math.cos(a), y: offsetMm * Math.sin(a) };
  const least = Math.min(nut.x, 0) - 40;
  const scale = (width - 2 * margin) / (lengthMm - least);
  const x = (mm: number) => margin + (mm - least) * scale;
  // The adapter may point away from the drawing's middle line: the sheet grows with it.
  const axis = 46 + Math.max(0, nut.y * scale - 8);
  const height = axis + 58 + Math.max(0, -nut.y * scale - 30);
  const y = (mm: number) => axis - mm * scale;
  const nutR = Math.max(9, 16 * scale);
  const shown = both(lengthMm, 'length', 0);
  const set = setNm === undefined ? undefined : both(setNm, 'torque');
  const arm = offsetMm > 0 ? `, offset ${offsetMm} mm at ${offsetAngleDeg}°` : '';
  return (
    <svg
      className="drawing how-it-stands"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Wrench ${shown.value} mm from square to grip${arm}`}
    >
      <path className="centre-line-thin" d={`M${x(least)} ${y(0)}H${x(lengthMm) + 20}`} />
      <path className="tool-bar" d={`M${x(0)} ${y(0)}H${x(lengthMm)}`} strokeWidth="15" />
      <path className="tool-bar-core" d={`M${x(0)} ${y(0)}H${x(lengthMm)}`} strokeWidth="12" />
      {offsetMm > 0 && (
        <>
          <path
            className="tool-bar"
            d={`M${x(0)} ${y(0)}L${x(nut.x)} ${y(nut.y)}`}
            strokeWidth="21"
          />
          <path
            className="tool-bar-core adapter"
            d={`M${x(0)} ${y(0)}L${x(nut.x)} ${y(nut.y)}`}
            strokeWidth="18"
          />
          <rect className="out f-sheet" x={x(0) - 5} y={y(0) - 5} width="10" height="10" />
          <text className="figure" x={x(nut.x / 2) + 8} y={y(nut.y / 2) + (nut.y < 0 ? 32 : -18)}>
            {both(offsetMm, 'length', 0).value}
          </text>
        </>
      )}
      <path className="hex" d={hexPath(x(nut.x), y(nut.y), nutR)} />
      <circle className="thin" cx={x(nut.x)} cy={y(nut.y)} r={nutR * 0.4} />
      <circle className="now-dot" cx={x(lengthMm)} cy={y(0)} r="9" />
      <path
        className="thin"
        d={`M${x(0)} ${y(0) + 22}v14M${x(lengthMm)} ${y(0) + 22}v14M${x(0)} ${y(0) + 29}H${x(lengthMm)}`}
      />
      <text className="figure" x={(x(0) + x(lengthMm)) / 2} y={y(0) + 46} textAnchor="middle">
        {shown.value} mm / {shown.other}
      </text>
      {set && (
        <text className="strong" x={(x(0) + x(lengthMm)) / 2} y={y(0) - 18} textAnchor="middle">
          set {set.value} {set.unit} / {set.other}
        </text>
      )}
      {travelMm !== undefined && (
        <text className="strong" x={x(lengthMm) + 6} y={y(0) - 18} textAnchor="end">
          {both(travelMm, 'length', 0).value} mm for the hand
        </text>
      )}
    </svg>
  );
}
