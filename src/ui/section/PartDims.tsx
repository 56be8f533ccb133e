import type { Body } from '../../core/press/index.ts';
import { rx } from './BearingHalf.tsx';
import type { Frame } from './cutaway/frame.ts';
import { Dim } from './primitives.tsx';

/** From one length to the next: its figure stands before it. */
const apart = 42;

/** Sizes on demand: each named part by its sizes, with its length beside it. */
export function PartDims({ f }: { f: Frame }) {
  const { scene: s, setup, at, y, marks } = f;
  const named = setup.requirement.picture.bodies.filter((b) => b.tag);
  const x = Math.min(rx(at, s.radius) + 30, 520);
  const shift = (b: Body) => (b.moves ? s.travel : 0);
  // Names that would lie over each other step up.
  const taken: number[] = [];
  const clear = (at: number): number =>
    taken.some((t) => Math.abs(t - at) < 17) ? clear(at - 17) : (taken.push(at), at);
  return (
    <g>
      {named.map((b, i) => {
        const [top, bottom] = [b.edge[0]![1] + shift(b), b.edge.at(-1)![1] + shift(b)];
        const r = Math.max(...b.edge.map(([v]) => v));
        return (
          <g key={b.key}>
            <Dim
              marks={marks}
              from={[x + i * apart, y(top)]}
              to={[x + i * apart, y(bottom)]}
              text={(bottom - top).toFixed(1)}
            />
            <path
              className="extension-line"
              d={`M${rx(at, r)} ${y(top)}H${x + i * apart}M${rx(at, r)} ${y(bottom)}H${x + i * apart}`}
            />
            <text
              className="figure on-paper"
              x={x + i * apart - 4}
              y={clear(y(top) - 5)}
              textAnchor="end"
            >
              {b.name} {b.size}
            </text>
          </g>
        );
      })}
    </g>
  );
}
