import { limitsMm, type SeatKind, tolerance } from '../../core/fits/index.ts';
import type { SeatSpec } from '../../core/press/index.ts';
import { Defs, type Point, poly, useMarks } from '../../ui/section/primitives.tsx';

const x0 = 190;
const x1 = 700;

/** Depths at which a seat is read, mm from the face it is entered by. */
export const seatDepths = ({ fromMm, lengthMm }: SeatSpec): [number, number, number] =>
  [0.13, 0.5, 0.87].map((s) => Math.round((fromMm + s * lengthMm) * 2) / 2) as [
    number,
    number,
    number,
  ];

/** The wall of the seat in section, each depth unrolled once round between its limit lines. */
export function SeatUnrolled({
  kind,
  seat,
  readings,
}: {
  kind: SeatKind;
  seat: SeatSpec;
  readings: (number | undefined)[][];
}) {
  const marks = useMarks();
  const { nominalMm, toleranceClass } = seat;
  const limits = limitsMm(nominalMm, tolerance(nominalMm, toleranceClass));
  const all = readings.flat().filter((r): r is number => r !== undefined);
  const span = limits.highMm - limits.lowMm;
  const low = Math.min(
    limits.lowMm - span * 0.25,
    ...all.map((r) => Math.max(r, limits.lowMm - span)),
  );
  const high = Math.max(
    limits.highMm + span * 0.25,
    ...all.map((r) => Math.min(r, limits.highMm + span)),
  );
  const depths = seatDepths(seat);
  const strip = (i: number) => 26 + i * 104;
  const Y = (i: number, mm: number) =>
    strip(i) + 84 - (84 * (Math.min(high, Math.max(low, mm)) - low)) / (high - low);
  const X = (deg: number) => x0 + ((x1 - x0) * deg) / 360;
  const wall: Point[] =
    kind === 'bore'
      ? [
          [14, 10],
          [96, 10],
          [96, 34],
          [82, 34],
          [82, 44],
          [96, 44],
          [96, 308],
          [116, 308],
          [116, 334],
          [34, 334],
          [20, 210],
        ]
      : [
          [14, 60],
          [60, 60],
          [60, 10],
          [96, 10],
          [96, 320],
          [14, 320],
        ];
  const wallY = (i: number) => (kind === 'bore' ? 70 + i * 105 : 60 + i * 110);
  return (
    <svg
      className="drawing seat"
      viewBox="0 0 800 360"
      role="img"
      aria-label={`${seat.part} ${kind} unrolled: ${all.length} readings between ${limits.lowMm.toFixed(3)} and ${limits.highMm.toFixed(3)} mm`}
    >
      <Defs id={marks.id} />
      <path className="out" fill={marks.fill(kind === 'bore' ? 'knuckle' : 'hub')} d={poly(wall)} />
      {depths.map((d, i) => {
        const row = readings[i] ?? [];
        const [a, b] = [row[0], row[1]];
        const mean = a !== undefined && b !== undefined ? (a + b) / 2 : undefined;
        const oval =
          mean === undefined
            ? undefined
            : `M${Array.from({ length: 37 }, (_, k) => `${X(k * 10)} ${Y(i, mean + ((a! - b!) / 2) * Math.cos((2 * k * 10 * Math.PI) / 180))}`).join('L')}`;
        return (
          <g key={d}>
            <rect
              className="f-sheet"
              x={x0}
              y={Y(i, limits.highMm)}
              width={x1 - x0}
              height={Y(i, limits.lowMm) - Y(i, limits.highMm)}
            />
            <path
              className="out thin2"
              d={`M${x0} ${Y(i, limits.highMm)}H${x1}M${x0} ${Y(i, limits.lowMm)}H${x1}`}
            />
            <text className="figure" x={x1 + 8} y={Y(i, limits.highMm) + 5}>
              {limits.highMm.toFixed(3)}
            </text>
            <text className="figure" x={x1 + 8} y={Y(i, limits.lowMm) + 5}>
              {limits.lowMm.toFixed(3)}
            </text>
            <circle className="f-ink" cx="96" cy={wallY(i)} r="4" />
            <path
              className="centre-line-thin"
              d={`M96 ${wallY(i)}L${x0} ${Y(i, (low + high) / 2)}`}
            />
            <text className="figure" x="104" y={wallY(i) - 7}>
              {d} mm
            </text>
            {oval && <path className="thin" d={oval} />}
            {[a, b].map(
              (r, k) =>
                r !== undefined && (
                  <g key={k}>
                    <circle className="f-blue" cx={X(k * 90)} cy={Y(i, r)} r="6.5" />
                    <circle className="live small" cx={X(k * 90 + 180)} cy={Y(i, r)} r="5" />
                    <text
                      className="figure text-large"
                      x={X(k * 90) + 10}
                      y={Y(i, r) + (k === 0 ? -8 : 19)}
                    >
                      {r.toFixed(3)}
                    </text>
                  </g>
                ),
            )}
          </g>
        );
      })}
      <path className="strip-tick" d={`M${x0} 338H${x1}`} />
      {[0, 90, 180, 270, 360].map((deg) => (
        <g key={deg}>
          <path className="strip-tick" d={`M${X(deg)} 338v-5`} />
          <text className="figure" x={X(deg)} y="355" textAnchor="middle">
            {deg}°
          </text>
        </g>
      ))}
    </svg>
  );
}
