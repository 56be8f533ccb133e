import type { FaceRead, RunoutNow } from '../../core/job/index.ts';
import { restStandsOut } from '../../core/prove/index.ts';
import { both } from '../../ui/units.ts';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';
import { roundOf } from '../../ui/section/round.ts';
import '../torque/fastener-drawing.css';

const [cx, cy, base, most] = [320, 248, 150, 56];
/** Places on the hub as it stood at first, clockwise from the top, seen from outside. */
const { polar, at } = roundOf(cx, cy);

/** Turned clockwise by so much, the hub brings the place that lies as far to the left of the top under the indicator. */
const placeOf = (turnedDeg: number) => -turnedDeg;

export interface OpenReadings {
  /** Where a reading is taken, degrees; those still to come have no figure. */
  places: readonly { deg: number; mm: number | undefined }[];
  now: number | undefined;
}

/** Readings round the circle, the fitted tilt through them, and the disc on its studs at its best place. */
export function RunoutFace({
  face,
  open,
  runout,
  studs,
}: {
  face: 'hub' | 'disc';
  open: OpenReadings | undefined;
  runout: RunoutNow;
  studs: number;
}) {
  const marks = useMarks();
  const read: FaceRead | undefined = open ? undefined : runout[face];
  const shown =
    read?.readings ??
    (open?.places ?? []).flatMap(({ deg, mm }) => (mm === undefined ? [] : [{ deg, mm }]));
  const middle = shown.length > 0 ? shown.reduce((a, r) => a + r.mm, 0) / shown.length : 0;
  const mean = read
    ? read.fit.at(0) -
      read.fit.tilt.amplitudeMm * Math.cos((read.fit.tilt.highAtDeg * Math.PI) / 180)
    : middle;
  const far = Math.max(0.005, ...shown.map((r) => Math.abs(r.mm - mean)));
  const r = (mm: number) => base + ((mm - mean) / far) * most;
  const curve = read
    ? Array.from({ length: 73 }, (_, i) => at(r(read.fit.at(i * 5)), placeOf(i * 5))).join('L')
    : undefined;
  const total = read && both(read.fit.totalMm, 'length', 3);
  const best = face === 'disc' && !open ? runout.best : undefined;
  const turn = best ? (best.holes * 360) / studs : 0;
  const high = read?.fit.tilt;
  return (
    <svg
      className="drawing runout-face"
      viewBox="0 0 560 520"
      role="img"
      aria-label={`${face === 'hub' ? 'Flange of the hub' : 'Disc'}: ${shown.length} readings${total ? `, ${total.value} mm in all` : ''}`}
    >
      <Defs id={marks.id} />
      <circle className="out f-paper thin2" cx={cx} cy={cy} r={base + most + 10} />
      <circle className="centre-line-thin" cx={cx} cy={cy} r={base} />
      <path
        className="centre-line-thin"
        d={`M${cx - 250} ${cy}H${cx + 250}M${cx} ${cy - 250}V${cy + 250}`}
      />
      {Array.from({ length: studs }, (_, i) => {
        const [x, y] = polar(70, (i * 360) / studs);
        return <circle key={i} className="out f-sheet thin2" cx={x} cy={y} r="11" />;
      })}
      <circle className="out f-sheet" cx={cx} cy={cy} r="36" />
      {(open?.places ?? []).map((p, i) => (
        <Place key={p.deg} turnedDeg={p.deg} now={i === open?.now} />
      ))}
      {curve && <path className="fitted" d={`M${curve}Z`} />}
      {shown.map((x) => (
        <g key={x.deg}>
          <path
            className="off-line"
            d={`M${at(base, placeOf(x.deg))}L${at(r(x.mm), placeOf(x.deg))}`}
          />
          <circle
            className={`read-dot${read && read.fit.worst.deg === x.deg && restStandsOut(read.fit) ? ' worst' : ''}`}
            cx={polar(r(x.mm), placeOf(x.deg))[0]}
            cy={polar(r(x.mm), placeOf(x.deg))[1]}
            r="6"
          />
        </g>
      ))}
      {high && <High deg={placeOf(high.highAtDeg)} />}
      {best && best.holes > 0 && (
        <g className="turn-disc">
          <path
            className="turn-arrow"
            d={`M${at(92, 0)}A92 92 0 ${turn > 180 ? 1 : 0} 1 ${at(92, turn)}`}
          />
          <path
            className="f-blue"
            d={`M${at(92, turn + 8)}L${at(84, turn - 4)}L${at(100, turn - 4)}Z`}
          />
          <circle className="hole-now" cx={polar(70, turn)[0]} cy={polar(70, turn)[1]} r="11" />
        </g>
      )}
      {total && (
        <>
          <text className="giant small" x="0" y="62">
            {total.value}
            <tspan className="unit" dx="6">
              {total.unit}
            </tspan>
          </text>
          <text x="2" y="88">
            {total.other}
          </text>
        </>
      )}
      <text className="cap" x="2" y="508">
        the hub as it stood at 0°, seen from outside; {((base / most) * far).toFixed(3)} mm drawn as
        the radius
      </text>
    </svg>
  );
}

/** Where a reading is taken, by how far the hub is turned for it. */
function Place({ turnedDeg, now }: { turnedDeg: number; now: boolean }) {
  const deg = placeOf(turnedDeg);
  const [x, y] = polar(base - 30, deg);
  return (
    <g className={now ? 'read-place now' : 'read-place'}>
      <path d={`M${at(base - 8, deg)}L${at(base + 8, deg)}`} />
      {now && (
        <path
          className="f-blue"
          d={`M${at(base + 14, deg)}L${at(base + 42, deg - 5)}L${at(base + 42, deg + 5)}Z`}
        />
      )}
      <text className="figure" x={x} y={y + 5} textAnchor="middle">
        {turnedDeg.toFixed(0)}°
      </text>
    </g>
  );
}

/** The place that stands out most by the tilt. */
function High({ deg }: { deg: number }) {
  const [x, y] = polar(base + most + 24, deg);
  const below = Math.cos((deg * Math.PI) / 180) < 0;
  const [inner, outer] = [base + most + 16, base + most + 36];
  return (
    <g>
      <path
        className="high-mark"
        d={`M${at(inner, deg)}L${at(outer, deg - 4)}L${at(outer, deg + 4)}Z`}
      />
      <text className="strong" x={x} y={y + (below ? 34 : -20)} textAnchor="middle">
        high
      </text>
    </g>
  );
}
