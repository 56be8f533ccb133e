import { type Corner, cornerNames, corners, type JobCorner } from '../../core/corner.ts';

const wheel: Record<Corner, readonly [number, number]> = {
  LF: [58, 96],
  RF: [202, 96],
  LR: [58, 400],
  RR: [202, 400],
};

/** The car from above, nose up: tap the corner, or the roof when nobody can tell. */
export function CarAbove({
  corner,
  onCorner,
}: {
  corner: JobCorner;
  onCorner: (c: JobCorner) => void;
}) {
  const target = (id: JobCorner, label: string) => ({
    role: 'radio',
    'aria-checked': id === corner,
    'aria-label': label,
    tabIndex: 0,
    className: `zone${id === corner ? ' is-on' : ''}`,
    onClick: () => onCorner(id),
    onKeyDown: (e: React.KeyboardEvent) => {
      if (e.key === 'Enter' || e.key === ' ') {
        e.preventDefault();
        onCorner(id);
      }
    },
  });
  return (
    <svg
      className="drawing car"
      viewBox="0 0 280 560"
      role="radiogroup"
      aria-label="Where is it heard?"
    >
      <path className="axis" d="M140 8V556M30 118H250M30 424H250" />
      <path className="arrow-head" d="M140 2l5 14h-10z" />
      <text x="152" y="16">
        nose
      </text>
      <path
        className="out f-sheet"
        d="M76 120C74 60 98 34 140 34S206 60 204 120V500q0 30-30 32H106q-30-2-30-32z"
      />
      <path
        className="thin"
        d="M90 176q50-44 100 0l8 44q-58-22-116 0zM84 240v196M196 240v196M92 470q48 20 96 0M106 60l-12 60M174 60l12 60"
      />
      {corners.map((c) => {
        const [x, y] = wheel[c];
        return (
          <g key={c} {...target(c, cornerNames[c])}>
            <rect className="frame-z" x={x - 36} y={y - 24} width="88" height="100" />
            <rect
              className="tyre"
              x={x + (x < 140 ? 14 : -10)}
              y={y - 4}
              width="22"
              height="62"
              rx="3"
            />
            <text
              className="figure strong"
              x={x < 140 ? x - 28 : x + 44}
              y={y - 4}
              textAnchor={x < 140 ? 'start' : 'end'}
              fontSize="20"
            >
              {c}
            </text>
          </g>
        );
      })}
      <g {...target('unknown', 'Cannot tell')}>
        <rect className="frame-z" x="86" y="268" width="108" height="70" />
        <text className="strong" x="140" y="308" textAnchor="middle">
          Cannot tell
        </text>
      </g>
    </svg>
  );
}
