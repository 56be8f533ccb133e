import { beforeAfterOf, type BeforeAfter as Pair } from '../../core/job/index.ts';
import { OverOneAnother } from './OverOneAnother.tsx';
import { useJob } from '../shell/useJob.ts';

const [left, width] = [4, 250];

/** A check as it was at Diagnose and as it is now, on one axis with its limit; what was not taken before says so. */
export function BeforeAfter({ checkId }: { checkId: string }) {
  const { view } = useJob();
  const p = beforeAfterOf(view).find((x) => x.checkId === checkId);
  if (!p) return null;
  if (p.unit === undefined || (p.before === undefined && p.now === undefined))
    return (
      <>
        <span className="cap">Before: {p.beforeWords ?? notTaken}.</span>
        {p.trace && <OverOneAnother of={p.trace} />}
      </>
    );
  return <Axis p={p} unit={p.unit} />;
}

const notTaken = 'not taken at Diagnose';

function Axis({ p, unit }: { p: Pair; unit: string }) {
  const most = 1.15 * Math.max(p.max ?? 0, p.before ?? 0, p.now ?? 0);
  const x = (v: number) => left + (v / most) * width;
  const write = (v: number | undefined) => (v === undefined ? undefined : `${v} ${unit}`);
  return (
    <svg
      className="drawing before-after"
      viewBox="0 0 380 74"
      role="img"
      aria-label={`Before ${write(p.before) ?? notTaken}, now ${write(p.now) ?? 'not measured yet'}${p.max === undefined ? '' : `, limit ${p.max} ${unit}`}`}
    >
      <path className="strip-tick" d={`M${left} 56H${left + width}`} />
      {p.max !== undefined && (
        <>
          <path className="limit-mark" d={`M${x(p.max)} 6V62`} />
          <text className="cap" x={x(p.max)} y="73" textAnchor="middle">
            max {p.max}
          </text>
        </>
      )}
      <Bar
        x={x}
        y={18}
        v={p.before}
        name="was-bar"
        words={write(p.before) ?? notTaken}
        what="before"
      />
      <Bar
        x={x}
        y={40}
        v={p.now}
        name="now-bar"
        words={write(p.now) ?? 'not measured yet'}
        what="now"
      />
    </svg>
  );
}

function Bar({
  x,
  y,
  v,
  name,
  words,
  what,
}: {
  x: (v: number) => number;
  y: number;
  v: number | undefined;
  name: string;
  words: string;
  what: string;
}) {
  const end = v === undefined ? left : x(v);
  return (
    <>
      {v !== undefined && <path className={name} d={`M${left} ${y}H${Math.max(left + 2, end)}`} />}
      <text x={end + 8} y={y + 5}>
        {what} {words}
      </text>
    </>
  );
}
