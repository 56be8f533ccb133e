import {
  type Setup,
  forceAtKn,
  seatToleranceMm,
  type StrokeReading,
} from '../../core/press/index.ts';
import { both } from '../units.ts';
import { anchorAt } from '../firstThat.ts';
import type { Marks } from './primitives.tsx';
import type { Scene } from './scene.ts';

const x0 = 668;
const x1 = 862;

/** Force against travel on the drawing's own millimetres: expected band, readings, seat. */
export function ForceStrip({
  setup,
  readings,
  peakKn,
  basis,
  y,
  scene,
  marks,
  edge,
}: {
  setup: Setup;
  /** A peak that was read without its travel. */
  peakKn: number | undefined;
  basis: string;
  readings: readonly StrokeReading[];
  y: (mm: number) => number;
  scene: Scene;
  marks: Marks;
  edge: number;
}) {
  const { requirement: r, forceKn: full } = setup;
  const { fitting } = r;
  const peak = Math.max(full.high, peakKn ?? 0, ...readings.map((p) => p.forceKn));
  const axis = nice(1.4 * peak);
  const X = (kn: number) => x0 + ((x1 - x0) * Math.min(kn, axis)) / axis;
  const Y = (travel: number) => y(scene.leadStart + travel);
  const steps = Array.from({ length: 21 }, (_, i) => (r.travelMm * i) / 20);
  const at = steps.map((t) => ({ t, ...forceAtKn(setup, t) }));
  const bandPath = `M${at.map((p) => `${X(p.low)} ${Y(p.t)}`).join('L')}L${[...at]
    .reverse()
    .map((p) => `${X(p.high)} ${Y(p.t)}`)
    .join('L')}Z`;
  const trace =
    readings.length > 0
      ? `M${fitting ? `${x0} ${Y(0)}L` : ''}${readings.map((p) => `${X(p.forceKn)} ${Y(p.travelMm)}`).join('L')}`
      : undefined;
  const last = readings.at(-1);
  const onlyPeak = last ? undefined : peakKn;
  const now = last ?? { travelMm: 0, forceKn: onlyPeak ?? 0 };
  const step = nice(axis / 3.2);
  // As many figures as stand clear of each other.
  const every = [5, 10, 20, 50].find((mm) => Y(mm) - Y(0) >= 24) ?? 100;
  const low = Y(0) > 215;
  const ry = low ? 0 : Y(r.travelMm) + 40;
  const f = both(now.forceKn, 'force');
  const t = both(now.travelMm, 'length', 1);
  return (
    <g>
      <defs>
        <linearGradient
          id={marks.ramp}
          gradientUnits="userSpaceOnUse"
          x1={x0}
          x2={x1}
          y1="0"
          y2="0"
        >
          <stop offset="0" className="spread-1" />
          <stop offset=".2" className="spread-2" />
          <stop offset=".42" className="spread-3" />
          <stop offset=".66" className="spread-4" />
          <stop offset=".85" className="spread-5" />
          <stop offset="1" className="spread-5" />
        </linearGradient>
      </defs>
      {last || onlyPeak !== undefined ? (
        <>
          <text className="cap" x="570" y={ry + 20}>
            {last ? 'Force now' : 'Peak'}
          </text>
          <text className="far" x="568" y={ry + 80}>
            {f.value}
            <tspan className="unit" dx="8">
              kN
            </tspan>
          </text>
          <text className="figure-small" x="570" y={ry + 106}>
            {f.other}
          </text>
          <text className="cap" x="778" y={ry + 20}>
            {last ? 'Travel' : 'Travel not read'}
          </text>
          {last && (
            <>
              <text className="mid" x="776" y={ry + 54}>
                {t.value}
                <tspan className="unit-small" dx="5">
                  mm
                </tspan>
              </text>
              <text className="figure-small" x="778" y={ry + 80}>
                {t.other}
              </text>
            </>
          )}
        </>
      ) : (
        <text className="cap" x="668" y={ry + 30}>
          No reading yet
        </text>
      )}
      <path className="expected-fill" d={bandPath} />
      <rect
        x={x0}
        y={Y(0) - 12}
        width={x1 - x0}
        height="9"
        fill={`url(#${marks.ramp})`}
        className="strip-mark"
      />
      {Array.from({ length: Math.floor(axis / step) + 1 }, (_, i) => i * step).map((v) => (
        <g key={v}>
          <path className="strip-axis" d={`M${X(v)} ${Y(0)}V${Y(r.travelMm) + 12}`} />
          <text className="figure" x={X(v)} y={Y(0) - 18} textAnchor="middle">
            {v}
            {v + step > axis ? ' kN' : ''}
          </text>
        </g>
      ))}
      {Array.from({ length: Math.floor(r.travelMm / every) + 1 }, (_, i) => i * every).map((v) => (
        <g key={v}>
          <path className="strip-tick" d={`M${x1} ${Y(v)}h6`} />
          <text className="figure" x={x1 + 10} y={Y(v) + 5}>
            {v}
            {v === 0 ? ' mm' : ''}
          </text>
        </g>
      ))}
      {trace && (
        <path
          fill={`url(#${marks.ramp})`}
          d={`${trace}L${x0} ${Y(now.travelMm)}L${x0} ${Y(fitting ? 0 : readings[0]!.travelMm)}Z`}
        />
      )}
      <path className="expected-edge" d={bandPath} />
      {trace && <path className="force-trace" d={trace} />}
      {fitting && (
        <rect
          className="strip-mark"
          x={x0}
          y={Y(r.travelMm) - 4}
          width={x1 - x0}
          height="8"
          fill={marks.fill('seat')}
        />
      )}
      <path className="strip-tick" d={`M${x0} ${Y(0)}V${Y(r.travelMm) + 14}`} />
      {fitting && (
        <>
          <path
            className="projection at-seat"
            d={`M${Math.min(edge, 560)} ${Y(r.travelMm)}H${x0}`}
          />
          <text x={x0} y={Y(r.travelMm) + 28}>
            Seat at{' '}
            <tspan className="figure">
              {r.travelMm.toFixed(1)} ± {seatToleranceMm} mm
            </tspan>
          </text>
        </>
      )}
      {last && (
        <path
          className="projection"
          d={`M${Math.min(edge, 560)} ${Y(last.travelMm)}H${X(last.forceKn)}`}
        />
      )}
      {last && fitting && r.travelMm - last.travelMm > 1 && (
        <>
          <path
            className="dim blue"
            markerStart={marks.arrowBlue}
            markerEnd={marks.arrowBlue}
            d={`M640 ${Y(last.travelMm)}V${Y(r.travelMm)}`}
          />
          <text
            className="figure text-blue on-paper"
            x="632"
            y={(Y(last.travelMm) + Y(r.travelMm)) / 2 + 6}
            textAnchor="end"
          >
            {(r.travelMm - last.travelMm).toFixed(1)}
          </text>
        </>
      )}
      <Capacity setup={setup} basis={basis} y={Y(r.travelMm) + 30 < 512 ? 526 : 176} />
      {onlyPeak !== undefined && (
        <path className="live peak" d={`M${X(onlyPeak)} ${Y(0)}V${Y(r.travelMm)}`} />
      )}
      {last && <circle className="live" cx={X(last.forceKn)} cy={Y(last.travelMm)} r="7" />}
    </g>
  );
}

/** The expected band on the axis of what the press can give. */
function Capacity({
  setup: { forceKn, press },
  basis,
  y,
}: {
  setup: Setup;
  basis: string;
  y: number;
}) {
  const X = (kn: number) => x0 + (246 * Math.min(kn, press.capacityKn)) / press.capacityKn;
  const ticks = [0, 0.25, 0.5, 0.75, 1].map((s) => Math.round(s * press.capacityKn));
  return (
    <g>
      <text className="cap" x={x0} y={y}>
        Needs{' '}
        <tspan className="figure">
          {forceKn.low.toFixed(0)}–{forceKn.high.toFixed(0)} kN
        </tspan>
        , {basis}
      </text>
      <text className="cap" x={x0 + 246} y={y - 18} textAnchor="end">
        {press.name}
      </text>
      <path className="strip-tick" d={`M${x0} ${y + 28}H${x0 + 246}`} />
      {ticks.map((v) => (
        <g key={v}>
          <path className="strip-tick" d={`M${X(v)} ${y + 28}v7`} />
          <text
            className="figure"
            x={X(v)}
            y={y + 51}
            textAnchor={anchorAt(v, 0, press.capacityKn)}
          >
            {v}
          </text>
        </g>
      ))}
      <rect
        className="capacity-mark"
        x={X(forceKn.low)}
        y={y + 13}
        width={Math.max(2, X(forceKn.high) - X(forceKn.low))}
        height="15"
      />
      <path className="likely-mark" d={`M${X(forceKn.likely)} ${y + 9}v19`} />
    </g>
  );
}

/** The next of 1, 2, 5 × 10ⁿ not below. */
function nice(v: number): number {
  const base = 10 ** Math.floor(Math.log10(v));
  return [1, 2, 3, 5, 10].map((m) => m * base).find((x) => x >= v) ?? v;
}
