import { keysOf } from '../core/keys-of.ts';
import { type Corner, cornerNames, type JobCorner } from '../core/corner.ts';
import type { Mark } from '../core/job/index.ts';
import type { Status } from '../core/verdict.ts';

export const verdictWords: Record<Status, string> = { good: 'Good', check: 'Check', stop: 'Stop' };

/** Round, pointed, square: the verdict survives one colour and blur. */
export function VerdictShape({ status, size = 24 }: { status: Status; size?: number }) {
  return (
    <svg
      className={`verdict-shape ${status}`}
      width={size}
      height={size}
      viewBox="0 0 28 28"
      aria-hidden="true"
    >
      {status === 'good' && (
        <>
          <circle className="shape-line" cx="14" cy="14" r="11.5" />
          <circle className="shape-fill" cx="14" cy="14" r="5.5" />
        </>
      )}
      {status === 'check' && (
        <>
          <path className="shape-fill" d="M14 1v26L1 14z" />
          <path className="shape-line" d="M14 1.8L26.2 14 14 26.2 1.8 14z" />
        </>
      )}
      {status === 'stop' && (
        <>
          <rect className="shape-fill" x="1.5" y="1.5" width="25" height="25" />
          <path className="shape-knock" d="M7.5 7.5l13 13M20.5 7.5l-13 13" />
        </>
      )}
    </svg>
  );
}

export function VerdictWord({ status, size = 20 }: { status: Status; size?: number }) {
  return (
    <span className={`verdict-line ${status}`}>
      <VerdictShape status={status} size={size} />
      <b>{verdictWords[status]}</b>
    </span>
  );
}

const wheels: Record<Corner, readonly [number, number]> = {
  LF: [3, 10],
  RF: [27, 10],
  LR: [3, 36],
  RR: [27, 36],
};

/** Plan view, nose up, the corner of the job filled. */
export function CornerGlyph({ corner, height = 54 }: { corner: JobCorner; height?: number }) {
  return (
    <svg
      className="corner-glyph"
      width={(height * 36) / 54}
      height={height}
      viewBox="0 0 36 54"
      role="img"
      aria-label={cornerNames[corner]}
    >
      <path className="centre-line" d="M18 0v54M2 15.5h32M2 41.5h32" />
      <path className="car-body" d="M12.5 4h11l3.5 5v40l-3 2.5h-12l-3-2.5v-40z" />
      <path className="nose" d="M14.5 13.5l3.5-5 3.5 5z" />
      {keysOf(wheels).map((c) => (
        <rect
          key={c}
          className={`wheel${c === corner ? ' is-on' : ''}`}
          x={wheels[c][0]}
          y={wheels[c][1]}
          width="6"
          height="11"
        />
      ))}
    </svg>
  );
}

/** One station on the centre line: two squares mirrored about it, a cross that carries or a saltire that refuses. */
export function BearingMark({ mark, small = false }: { mark: Mark; small?: boolean }) {
  const big = mark === 'now' || mark === 'blocked';
  const s = (big ? 27 : 17) - (small ? 2 : 0);
  const gap = small ? 13 + Number(big) : 16;
  const w = s + 6;
  const h = 2 * s + gap + 4;
  const lower = 2 + s + gap;
  const arm = s * 0.28;
  const mid = 3 + s / 2;
  const cross = (y: number) =>
    mark === 'blocked'
      ? `M${mid - arm} ${y - arm}l${2 * arm} ${2 * arm}M${mid + arm} ${y - arm}l${-2 * arm} ${2 * arm}`
      : `M${mid} ${y - arm}v${2 * arm}M${mid - arm} ${y}h${2 * arm}`;
  return (
    <svg
      className={`bearing-mark ${mark}`}
      width={w}
      height={h}
      viewBox={`0 0 ${w} ${h}`}
      aria-hidden="true"
    >
      <rect className="mark-square upper" x="3" y="2" width={s} height={s} />
      <path className="mark-cross upper" d={cross(2 + s / 2)} />
      <rect className="mark-square lower" x="3" y={lower} width={s} height={s} />
      <path className="mark-cross lower" d={cross(lower + s / 2)} />
      {mark === 'blocked' && <path className="strike" d={`M0 ${h * 0.7}L${w} ${h * 0.3}`} />}
    </svg>
  );
}

export function Logo() {
  return (
    <svg className="logo" width="34" height="34" viewBox="0 0 40 40" aria-hidden="true">
      <path className="centre-line" d="M0 20h40" />
      <rect x="11" y="2" width="14" height="14" />
      <rect x="11" y="24" width="14" height="14" />
      <path d="M18 5v8M14 9h8M18 27v8M14 31h8M4 17h28M4 23h28M32 17v6" />
    </svg>
  );
}
