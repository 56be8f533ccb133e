import { keysOf } from '../../core/keys-of.ts';
import { useId } from 'react';

/** Angle and pitch of the section lining by part; parts that touch differ by 30° or more. */
const linings = {
  outer: { angle: 45, pitch: 5, tone: '' },
  inner: { angle: -45, pitch: 5, tone: '' },
  knuckle: { angle: -45, pitch: 9, tone: '' },
  hub: { angle: 30, pitch: 8, tone: '' },
  bed: { angle: 30, pitch: 12, tone: '' },
  cap: { angle: -60, pitch: 7, tone: 'from-the-kit' },
  pusher: { angle: -30, pitch: 5, tone: 'from-the-kit' },
  support: { angle: 60, pitch: 7, tone: 'from-the-kit' },
  seat: { angle: 45, pitch: 4, tone: '' },
  only: { angle: 45, pitch: 4, tone: 'in-check-ink' },
} as const;
export type Lining = keyof typeof linings;

/** Ids of this drawing's patterns and arrowheads: several drawings may stand on one page. */
export function useMarks() {
  const id = useId().replaceAll(':', '');
  return {
    fill: (l: Lining) => `url(#${id}-${l})`,
    arrow: `url(#${id}-a)`,
    arrowBlue: `url(#${id}-b)`,
    head: `url(#${id}-f)`,
    headBad: `url(#${id}-g)`,
    dot: `url(#${id}-d)`,
    ramp: `${id}-ramp`,
    id,
  };
}
export type Marks = ReturnType<typeof useMarks>;

export function Defs({ id }: { id: string }) {
  const arrow = (name: string, d: string, cls: string, w: number, h: number, orient: string) => (
    <marker
      id={`${id}-${name}`}
      viewBox={`0 0 ${w} ${h}`}
      refX={w}
      refY={h / 2}
      markerWidth={w}
      markerHeight={h}
      markerUnits="userSpaceOnUse"
      orient={orient}
    >
      <path className={cls} d={d} />
    </marker>
  );
  return (
    <defs>
      {keysOf(linings).map((l) => {
        const { angle, pitch, tone } = linings[l];
        return (
          <pattern
            key={l}
            id={`${id}-${l}`}
            className={tone}
            patternUnits="userSpaceOnUse"
            width={pitch}
            height={pitch}
            patternTransform={`rotate(${angle})`}
          >
            <rect width={pitch} height={pitch} className="face" />
            <path d={`M0 0V${pitch}`} className="hatch-stroke" strokeWidth=".9" />
          </pattern>
        );
      })}
      {arrow('a', 'M0 1L12 4L0 7z', 'ah', 12, 8, 'auto-start-reverse')}
      {arrow('b', 'M0 1L12 4L0 7z', 'arrow-blue', 12, 8, 'auto-start-reverse')}
      {arrow('f', 'M0 0L16 7L0 14z', 'arrow-blue', 16, 14, 'auto')}
      {arrow('g', 'M0 0L16 7L0 14z', 'arrow-stop', 16, 14, 'auto')}
      <marker
        id={`${id}-d`}
        viewBox="0 0 8 8"
        refX="4"
        refY="4"
        markerWidth="7"
        markerHeight="7"
        markerUnits="userSpaceOnUse"
      >
        <circle className="arrow-head" cx="4" cy="4" r="3" />
      </marker>
    </defs>
  );
}

export type Point = readonly [number, number];
export const poly = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

/** A dimension line between two points with its figure on it. */
export function Dim({
  from,
  to,
  text,
  marks,
  blue,
}: {
  from: Point;
  to: Point;
  text: string;
  marks: Marks;
  blue?: boolean;
}) {
  const arrow = blue ? marks.arrowBlue : marks.arrow;
  const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const upright = Math.abs(from[0] - to[0]) < 1;
  return (
    <g>
      <path
        className={`dim${blue ? ' blue' : ''}`}
        markerStart={arrow}
        markerEnd={arrow}
        d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}`}
      />
      <text
        className={`figure on-paper${blue ? ' text-blue' : ''}`}
        x={upright ? mx - 8 : mx}
        y={upright ? my + 5 : my + 5}
        textAnchor={upright ? 'end' : 'middle'}
      >
        {text}
      </text>
    </g>
  );
}
