import type { ReactNode } from 'react';
import type { Phase } from '../../core/families/index.ts';
import { Defs, useMarks } from '../../ui/section/primitives.tsx';

/** Which step takes which part of the corner off; the parts are drawn in this order. */
const parts: readonly {
  id: string;
  steps: readonly string[];
  at: readonly [number, number];
  name: string;
  draw: (fill: string) => ReactNode;
}[] = [
  {
    id: 'strut',
    steps: ['strut'],
    at: [330, 26],
    name: 'strut',
    draw: () => <path d="M318 8h22v92h22v34h-50v-34h6z" />,
  },
  {
    id: 'shaft',
    steps: ['shaft'],
    at: [118, 196],
    name: 'shaft',
    draw: () => <path d="M20 178h150v-18h64v18h176v24H234v18h-64v-18H20z" />,
  },
  {
    id: 'knuckle',
    steps: ['soak'],
    at: [292, 138],
    name: 'knuckle',
    draw: (f) => <path fill={f} d="M296 118h62v36h-8v18h-54zM296 208h54v18h8v40h-62z" />,
  },
  {
    id: 'lower',
    steps: ['lower'],
    at: [300, 306],
    name: 'lower joint',
    draw: () => <path d="M316 268h22v18a11 11 0 1 1-22 0zM180 296h150v12H180z" />,
  },
  {
    id: 'steering',
    steps: ['steering'],
    at: [206, 250],
    name: 'steering joint',
    draw: () => <path d="M190 232h80v12h-80zM262 226h18v24h-18z" />,
  },
  {
    id: 'sensor',
    steps: ['sensor'],
    at: [226, 128],
    name: 'sensor',
    draw: () => <path d="M248 138h46v14h-46zM214 142h34v4h-34z" />,
  },
  {
    id: 'shield',
    steps: ['shield'],
    at: [372, 66],
    name: 'shield',
    draw: () => <path d="M364 78h5v96h-5zM364 206h5v96h-5z" />,
  },
  {
    id: 'hub',
    steps: [],
    at: [396, 228],
    name: 'hub',
    draw: (f) => <path fill={f} d="M300 172h78v-32h14v100h-14v-32h-78z" />,
  },
  {
    id: 'disc',
    steps: ['disc'],
    at: [432, 58],
    name: 'disc',
    draw: (f) => <path fill={f} d="M392 136h8V70h18v240h-18v-66h-8z" />,
  },
  {
    id: 'calliper',
    steps: ['calliper'],
    at: [468, 104],
    name: 'calliper',
    draw: () => <path d="M382 60h72v64h-26V88h-20v36h-26z" />,
  },
  {
    id: 'nut',
    steps: ['nut', 'shaft'],
    at: [440, 178],
    name: 'axle nut',
    draw: () => <path d="M398 172h22v36h-22z" />,
  },
  {
    id: 'wheel',
    steps: ['wheel'],
    at: [520, 40],
    name: 'wheel',
    draw: () => <path d="M420 140h24V40h70V16h26v348h-26v-24h-70V240h-24z" fillOpacity=".4" />,
  },
];

/** One corner in section, seen from the rear, outboard right; not to scale. What this step touches is lit, what is off is dashed. */
export function CornerAssembly({
  phase,
  lit,
  done,
}: {
  phase: Phase;
  lit: string;
  done: readonly string[];
}) {
  const marks = useMarks();
  const off = (steps: readonly string[]) =>
    steps.length > 0 &&
    (phase === 'strip'
      ? steps.some((s) => s !== 'soak' && s !== 'nut' && done.includes(s))
      : steps.every((s) => !done.includes(s)) && !steps.includes('soak'));
  return (
    <svg
      className="drawing assembly"
      viewBox="0 0 640 372"
      role="img"
      aria-label={`One corner in section; ${
        parts
          .filter((p) => p.steps.includes(lit))
          .map((p) => p.name)
          .join(', ') || 'the whole corner'
      } lit`}
    >
      <Defs id={marks.id} />
      <path className="axis" d="M0 190H620" />
      {parts.map((p) => {
        const on = p.steps.includes(lit);
        const gone = off(p.steps) ? 'off' : '';
        return (
          <g key={p.id} className={`assembly-part ${on ? 'is-on' : gone}`}>
            {p.draw(on ? marks.fill('pusher') : marks.fill('knuckle'))}
          </g>
        );
      })}
      {parts
        .filter((p) => p.steps.includes(lit))
        .map((p) => (
          <text key={p.id} className="text-current on-paper" x={p.at[0]} y={p.at[1]}>
            {p.name}
          </text>
        ))}
      <text className="cap" x="0" y="366">
        inboard; not to scale
      </text>
      <text className="cap" x="520" y="366" textAnchor="end">
        outboard
      </text>
    </svg>
  );
}
