import type { AdjustNow } from '../../core/job/index.ts';
import { type Hand, turnSign, turnWords } from '../../core/torque/index.ts';
import { hexPath, roundOf } from '../../ui/section/round.ts';

const [cx, cy] = [215, 232];
const { at, polar } = roundOf(cx, cy);

/**
 * The nut face-on in its lock: marks round it, the places that come next by their letters, the one to take, and the way to
 * it. The marks stand still, the lock is at the top; a nut that is loosened turns to the left, on a left-hand thread to the right.
 */
export function AdjustFace({ now, hand }: { now: AdjustNow; hand: Hand }) {
  const sign = turnSign(hand);
  const { adjusted, last, stepDeg = 0, marks = 0 } = now;
  const past = sign * (last?.pastDeg ?? 0);
  const safe = adjusted?.safe;
  const turn = sign * (safe?.turnDeg ?? 0);
  const way = turnWords((safe?.turnDeg ?? 0) < 0 ? 'loosen' : 'tighten', hand);
  const label = safe
    ? `Nut in its lock: ${way} ${Math.abs(turn).toFixed(1)}° to place ${safe.name}, end play ${safe.playMm.toFixed(3)} mm`
    : 'Nut in its lock';
  return (
    <svg className="drawing adjust-face" viewBox="0 0 430 446" role="img" aria-label={label}>
      <circle className="out f-sheet" cx={cx} cy={cy} r="176" />
      <circle className="out f-paper" cx={cx} cy={cy} r="150" />
      {Array.from({ length: marks }, (_, i) => {
        const deg = i * stepDeg + past;
        return <path key={i} className="thin" d={`M${at(150, deg)}L${at(168, deg)}`} />;
      })}
      <path className="hex" d={hexPath(cx, cy, 116)} />
      <circle className="out f-paper" cx={cx} cy={cy} r="82" />
      <circle className="out f-sheet" cx={cx} cy={cy} r="58" />
      <path
        className="centre-line-thin"
        d={`M${cx} ${cy - 196}V${cy + 196}M${cx - 196} ${cy}H${cx + 196}`}
      />
      <circle className="out f-sheet" cx={cx} cy={cy - 140} r="8" />
      <path className="out" d={`M${cx - 5} ${cy - 140}h10`} />
      {adjusted?.places.map((p) => {
        // To bring it under the lock at the top the nut turns by so much: it stands there from it.
        const deg = -sign * p.turnDeg;
        const [x, y] = polar(202, deg);
        const taken = p.name === safe?.name;
        return (
          <g key={p.name}>
            <path className={taken ? 'way' : 'thin'} d={`M${at(150, deg)}L${at(189, deg)}`} />
            <circle className={taken ? 'place-taken' : 'out f-paper'} cx={x} cy={y} r="14" />
            <text
              className={taken ? 'place-taken-name' : 'strong'}
              x={x}
              y={y + 5}
              textAnchor="middle"
            >
              {p.name}
            </text>
          </g>
        );
      })}
      {now.turnTo && (
        <path
          className="turn-arrow"
          markerEnd="url(#adjust-arrow)"
          d={`M${at(134, turn < 0 ? -24 : 24)}A134 134 0 0 ${turn < 0 ? 0 : 1} ${at(134, turn < 0 ? -62 : 62)}`}
        />
      )}
      <defs>
        <marker id="adjust-arrow" markerWidth="5" markerHeight="5" refX="3" refY="2" orient="auto">
          <path className="f-blue" d="M0 0L4.5 2L0 4Z" />
        </marker>
      </defs>
      <text className="cap" x="0" y="430">
        {adjusted && `${marks} places: ${stepDeg.toFixed(0)}° = ${adjusted.stepMm.toFixed(3)} mm`}
      </text>
    </svg>
  );
}
