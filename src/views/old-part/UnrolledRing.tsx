import type { MouseEvent } from 'react';
import { loadZoneAt, loadZoneDeg, type Mark, type Ring } from '../../core/old-part/index.ts';
import { glyphs } from './glyphs.tsx';
import './old-part.css';

const rowHeight = 42;
/** Width of the outer ring unrolled; a smaller ring is as much shorter on the same sheet. */
export const outerPx = 800;
const rows = ['outboard', 'inboard'] as const;
export type Row = (typeof rows)[number];

/** Where the strip begins, degrees: a standing ring has its load zone in the middle. */
const firstDeg = (ring: Ring, stands: boolean) => (stands ? loadZoneAt(ring) + 180 : 0) % 360;

const names: Record<number, string> = { 0: 'top', 90: 'front', 180: 'bottom', 270: 'rear' };

/** One ring cut open and laid flat, both rows, to scale along the track; a tap lays a mark down where it was tapped. */
export function UnrolledRing({
  ring,
  stands,
  trackMm,
  pxPerMm,
  pitchDeg,
  marks,
  onTap,
}: {
  ring: Ring;
  stands: boolean;
  trackMm: number;
  pxPerMm: number;
  pitchDeg: number;
  marks: readonly Mark[];
  /** Absent where it is only looked at. */
  onTap?: (row: Row, atDeg: number) => void;
}) {
  const width = Math.PI * trackMm * pxPerMm;
  const from = firstDeg(ring, stands);
  const x = (deg: number) => ((((deg - from) % 360) + 360) % 360) * (width / 360);
  const tap = (row: Row) => (e: MouseEvent<SVGRectElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const share = (e.clientX - box.left) / box.width;
    onTap?.(row, Math.round((from + 360 * share) % 360));
  };
  const height = 2 * rowHeight + 28;
  const zone = (loadZoneDeg / 360) * width;
  return (
    <svg
      className="drawing unrolled"
      viewBox={`-78 -20 ${outerPx + 130} ${height + 20}`}
      role="group"
      aria-label={`${ring === 'outer' ? 'Outer' : 'Inner'} ring unrolled, ${stands ? 'stands still' : 'turns with the wheel'}, ${marks.length} marks`}
    >
      {stands && (
        <>
          <rect
            className="load-zone"
            x={(width - zone) / 2}
            y="-4"
            width={zone}
            height={2 * rowHeight + 8}
          />
          <text className="cap" x={width / 2} y="-8" textAnchor="middle">
            load zone {loadZoneDeg}°
          </text>
        </>
      )}
      {rows.map((row, i) => (
        <g key={row} transform={`translate(0 ${i * rowHeight})`}>
          <text className="cap" x="-8" y="26" textAnchor="end">
            {row}
          </text>
          <path className="thin" d={`M0 7H${width}M0 35H${width}`} />
          <path className="centre-line-thin" d={`M-6 21H${width + 6}`} />
          {marks
            .filter((m) => (m.row ?? 'outboard') === row)
            .map((m, k) => (
              <g key={k} className="on-ring">
                {placesOf(m, pitchDeg).map((deg) => (
                  <g key={deg} transform={`translate(${x(deg)} 21)`}>
                    {glyphs[m.look]}
                  </g>
                ))}
              </g>
            ))}
          <rect
            className="tap-row"
            x="0"
            y="0"
            width={width}
            height={rowHeight}
            onClick={tap(row)}
          />
        </g>
      ))}
      <path className="out" fill="none" d={`M0 0H${width}V${2 * rowHeight}H0Z`} />
      {[0, 90, 180, 270, 360].map((step) => {
        const deg = (from + step) % 360;
        return (
          <text
            key={step}
            className="figure small"
            x={(step / 360) * width}
            y={2 * rowHeight + 20}
            textAnchor="middle"
          >
            {deg}° {names[deg]}
          </text>
        );
      })}
    </svg>
  );
}

/** Where a mark is drawn: once where it was tapped, or round the ring at its gap. */
function placesOf(m: Mark, pitchDeg: number): number[] {
  if (!m.round) return [m.atDeg ?? 0];
  const gap = m.gapDeg ?? pitchDeg;
  const from = m.atDeg ?? gap / 2;
  return Array.from(
    { length: Math.max(1, Math.round(360 / gap)) },
    (_, i) => (from + i * gap) % 360,
  );
}
