import type { Judgement } from '../../core/diagnosis/index.ts';

const left = 236;
const width = 404;
const x = (p: number) => left + width * p;

/** Suspects on one axis with the line where replacing is the right call; the value before the last test as a dashed tick. */
export function Suspects({
  judgement: j,
  shown,
  about,
  onAbout,
}: {
  judgement: Judgement;
  shown: readonly number[];
  about: string;
  onAbout: (id: string) => void;
}) {
  const list = j.suspects.slice(0, 5);
  const other = shown.slice(5).reduce((a, b) => a + b, 0);
  const rowY = (i: number) => (i === 0 ? 34 : 74 + 40 * i);
  return (
    <svg
      className="drawing suspect-bar"
      viewBox="0 0 760 322"
      role="group"
      aria-label="Suspects by probability"
    >
      <defs>
        <pattern
          id="sb1"
          patternUnits="userSpaceOnUse"
          width="6"
          height="6"
          patternTransform="rotate(45)"
          className="in-blue-ink"
        >
          <rect width="6" height="6" className="face" />
          <path d="M0 0V6" className="hatch-stroke" strokeWidth=".9" />
        </pattern>
        <pattern
          id="sb2"
          patternUnits="userSpaceOnUse"
          width="6"
          height="6"
          patternTransform="rotate(-45)"
        >
          <rect width="6" height="6" className="face" />
          <path d="M0 0V6" className="hatch-stroke" strokeWidth=".9" />
        </pattern>
      </defs>
      {[0, 20, 40, 60, 80, 100].map((v) => (
        <g key={v}>
          <path className={v === 0 ? 'strip-tick' : 'strip-axis'} d={`M${x(v / 100)} 26V298`} />
          <text className="figure" x={x(v / 100)} y="316" textAnchor="middle">
            {v}
            {v === 100 ? ' %' : ''}
          </text>
        </g>
      ))}
      <path className="act" d={`M${x(j.replaceLine)} 18V298`} />
      <text className="text-good" x={x(j.replaceLine) - 6} y="16" textAnchor="end">
        replace from {Math.round(j.replaceLine * 100)} %
      </text>
      {list.map((s, i) => {
        const h = i === 0 ? 44 : 20;
        return (
          <g
            key={s.id}
            className={`suspect${s.id === about ? ' is-on' : ''}`}
            role="button"
            tabIndex={0}
            aria-pressed={s.id === about}
            onClick={() => onAbout(s.id)}
            onKeyDown={(e) => {
              if (e.key === 'Enter') onAbout(s.id);
            }}
          >
            <rect x="0" y={rowY(i) - 6} width="756" height={h + 12} className="hit" />
            <text className={`name${i === 0 ? ' top' : ''}`} x="0" y={rowY(i) + h / 2 + 6}>
              {s.name}
            </text>
            <rect
              className={i === 0 ? 'bar-box' : 'bar-outline'}
              fill={`url(#${i === 0 ? 'sb1' : 'sb2'})`}
              x={left}
              y={rowY(i)}
              width={Math.max(1, width * s.probability)}
              height={h}
            />
            {Math.abs(s.before - s.probability) > 0.004 && (
              <path className="was" d={`M${x(s.before)} ${rowY(i) - 3}v${h + 6}`} />
            )}
            <text
              className={`percent${i === 0 ? ' top' : ''}`}
              x="738"
              y={rowY(i) + h / 2 + (i === 0 ? 15 : 8)}
            >
              {shown[i]}
            </text>
            <text x="742" y={rowY(i) + h / 2 + (i === 0 ? 15 : 8)}>
              %
            </text>
          </g>
        );
      })}
      <text className="name" x="0" y="290">
        Other
      </text>
      <rect
        className="bar-outline"
        fill="url(#sb2)"
        x={left}
        y="276"
        width={Math.max(1, (width * other) / 100)}
        height="18"
      />
      <text className="percent" x="738" y="292">
        {other}
      </text>
      <text x="742" y="292">
        %
      </text>
    </svg>
  );
}
