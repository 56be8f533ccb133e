import {
  castleStepDeg,
  type CastleWay,
  type Hand,
  neverLinesUp,
  turnSign,
  turnWords,
} from '../../core/torque/index.ts';
import { roundOf } from '../../ui/section/round.ts';
import './fastener-drawing.css';
const [cx, cy, r] = [170, 130, 84];
const { at } = roundOf(cx, cy);

/** A castle nut face-on: its slots, the holes of the shaft, and the way to the next place that lets the pin through. */
export function CastleNut({
  slots,
  holeEnds,
  pastDeg,
  way,
  hand = 'right',
}: {
  slots: number;
  holeEnds: number;
  pastDeg: number;
  /** Undefined where it is not known how far past it stands, or which way it may go. */
  way: CastleWay | undefined;
  hand?: Hand;
}) {
  const slotStep = 360 / slots;
  // A nut stands past its slot the way that it is tightened.
  const past = turnSign(hand) * pastDeg;
  const crown = Array.from({ length: slots }, (_, i) => {
    const a = i * slotStep + past;
    const half = Math.min(11, slotStep / 5);
    return `L${at(r, a - half)}L${at(r - 22, a - half)}L${at(r - 22, a + half)}L${at(r, a + half)}A${r} ${r} 0 0 1 ${at(r, a + slotStep - half)}`;
  }).join('');
  const start = at(r, past - Math.min(11, slotStep / 5));
  const deg = way?.deg ?? 0;
  const sign = turnSign(hand) * (way?.way === 'loosen' ? -1 : 1);
  const said = way && (deg > 0.5 ? `${turnWords(way.way, hand)} ${deg.toFixed(0)}°` : 'in line');
  const end = sign * deg;
  const inLine = neverLinesUp(slots, holeEnds)
    ? 'no slot in line with both ends of a hole'
    : `a slot in line every ${castleStepDeg(slots, holeEnds).toFixed(0)}°`;
  return (
    <svg
      className="drawing castle-nut"
      viewBox="0 0 340 260"
      role="img"
      aria-label={`Castle nut${said ? `: ${said}` : ''}, ${inLine}`}
    >
      <path className="hex" d={`M${start}${crown}Z`} />
      <circle className="out f-paper" cx={cx} cy={cy} r="46" />
      {Array.from({ length: holeEnds }, (_, i) => (
        <path
          key={i}
          className="hole"
          d={`M${at(20, (i * 360) / holeEnds)}L${at(46, (i * 360) / holeEnds)}`}
        />
      ))}
      <path
        className="centre-line-thin"
        d={`M${cx} ${cy - 118}V${cy + 118}M${cx - 118} ${cy}H${cx + 118}`}
      />
      {deg > 0.5 && (
        <>
          <path
            className="turn-arrow"
            d={`M${at(r + 14, 0)}A${r + 14} ${r + 14} 0 ${deg > 180 ? 1 : 0} ${sign > 0 ? 1 : 0} ${at(r + 14, end)}`}
          />
          <path
            className="f-blue"
            d={`M${at(r + 14, end + sign * 6)}L${at(r + 5, end - sign * 3)}L${at(r + 23, end - sign * 3)}Z`}
          />
        </>
      )}
      <text className="strong" x="0" y="22">
        {said}
      </text>
    </svg>
  );
}
