import { roundOf } from '../../ui/section/round.ts';

const [cx, cy, r] = [130, 124, 104];
const { at, polar } = roundOf(cx, cy);
/** One turn of the hand, mm. */
const turnMm = 0.2;
const degOf = (mm: number) => (mm / turnMm) * 360;

/** The dial pushed in and pulled out: what lies between is the end play. */
export function PlayDial({
  playMm,
  hand,
}: {
  playMm: number | undefined;
  hand?: number | undefined;
}) {
  const deg = degOf(hand ?? playMm ?? 0);
  const shown = playMm ?? 0;
  return (
    <svg
      className="drawing play-dial"
      viewBox="0 0 260 262"
      role="img"
      aria-label={
        playMm === undefined
          ? 'Dial, not read yet'
          : `Dial: ${playMm.toFixed(3)} mm from pushed to pulled`
      }
    >
      <path className="out f-sheet" d={`M${cx - 9} ${cy + r - 2}h18v16h-18Z`} />
      <circle className="out f-sheet" cx={cx} cy={cy} r={r} />
      {shown > 0 && shown < turnMm && (
        <path
          className="expected-fill"
          d={`M${cx} ${cy}L${at(66, 0)}A66 66 0 ${degOf(shown) > 180 ? 1 : 0} 1 ${at(66, degOf(shown))}Z`}
        />
      )}
      {Array.from({ length: 40 }, (_, i) => (
        <path
          key={i}
          className={i % 4 === 0 ? 'out' : 'thin'}
          d={`M${at(r - 12, i * 9)}L${at(r - 3, i * 9)}`}
        />
      ))}
      {Array.from({ length: 10 }, (_, i) => {
        const [x, y] = polar(r - 24, i * 36);
        return (
          <text key={i} className="cap" x={x} y={y + 5} textAnchor="middle">
            {(i * 2).toFixed(0)}
          </text>
        );
      })}
      <text className="cap" x={cx} y={cy + 44} textAnchor="middle">
        0.01 mm
      </text>
      <path className="way" d={`M${cx} ${cy}L${at(r - 16, deg)}`} />
      <circle className="f-ink" cx={cx} cy={cy} r="6" />
    </svg>
  );
}
