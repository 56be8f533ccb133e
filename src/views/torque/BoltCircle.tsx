import { circleTurns } from '../../core/torque/index.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import './bolt-circle.css';

const [cx, cy, circle, hole] = [170, 170, 118, 30];
/** Wheel nuts are taken round twice: the first round lets the wheel down on its seat, and the first nuts go loose by it. */
const rounds = 2;

/** Nuts in a circle, face-on: which one is next, which have had their turn, the line that the hand goes. */
export function BoltCircle({
  count,
  id,
  figure,
}: {
  count: number;
  id: string;
  figure: string | undefined;
}) {
  const { view } = useJob();
  const [said, setSaid] = useDraft(`${view.job.id}:circle:${id}`);
  const turns = circleTurns(count, rounds);
  if (!turns) return null;
  const done = Math.min(turns.length, Number(said) || 0);
  const next = turns[done];
  const place = (bolt: number) => {
    const a = ((bolt - 1) * 2 * Math.PI) / count;
    return { x: cx + circle * Math.sin(a), y: cy - circle * Math.cos(a) };
  };
  const round = next?.round ?? rounds;
  const inRound = turns.filter((t) => t.round === round);
  const turned = new Set(turns.slice(0, done).flatMap((t) => (t.round === round ? [t.bolt] : [])));
  const path = inRound
    .map((t) => place(t.bolt))
    .map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('L');
  return (
    <div className="bolt-circle">
      <svg
        className="drawing"
        viewBox="0 0 340 340"
        role="img"
        aria-label={next ? `Round ${round}: nut ${next.bolt} is next` : 'Every nut had its turns'}
      >
        <circle className="out f-paper thin2" cx={cx} cy={cy} r="160" />
        <circle className="centre-line-thin" cx={cx} cy={cy} r={circle} />
        <path className="centre-line-thin" d={`M${path}`} fill="none" />
        {inRound.map((t, i) => {
          const { x, y } = place(t.bolt);
          const state = next?.bolt === t.bolt ? 'now' : turned.has(t.bolt) && 'done';
          return (
            <g key={t.bolt} className={`bolt ${state || ''}`}>
              <circle cx={x} cy={y} r={hole} />
              <text className="figure" x={x} y={y + 7} textAnchor="middle">
                {i + 1}
              </text>
            </g>
          );
        })}
        <circle className="out f-sheet thin2" cx={cx} cy={cy} r="44" />
      </svg>
      <p className="cap">
        {next
          ? `Round ${round} of ${rounds}${figure ? `: ${figure}` : ''}. Crosswise, so that the wheel comes down evenly; once round again, for the first ones have gone loose.`
          : 'Twice round. By wrench, never by the driver of the gun alone.'}
      </p>
      <div className="two">
        <button
          type="button"
          className="btn quiet"
          onClick={() => setSaid(String(Math.max(0, done - 1)))}
        >
          Back
        </button>
        <button
          type="button"
          className={`btn ${next ? '' : 'notyet'}`}
          onClick={() => next && setSaid(String(done + 1))}
        >
          {next ? `Nut ${inRound.findIndex((t) => t.bolt === next.bolt) + 1} pulled` : 'All pulled'}
        </button>
      </div>
    </div>
  );
}
