import type { Body, Place } from '../../core/press/index.ts';
import { rx } from './BearingHalf.tsx';
import type { Frame } from './Cutaway.tsx';
import { Dim } from './primitives.tsx';

const widest = (points: readonly Place[]): Place => points.reduce((w, p) => (p[0] > w[0] ? p : w));

/** Sizes on demand: each named part with its outside, its bore and its length, right of the section. */
export function PartDims({ f }: { f: Frame }) {
  const { scene: s, bench, at, y, marks } = f;
  const named = bench.requirement.picture.bodies.filter((b) => b.tag);
  const x = Math.min(rx(at, s.radius) + 30, 520);
  const shift = (b: Body) => (b.moves ? s.travel : 0);
  return (
    <g>
      {named.map((b, i) => {
        const [top, bottom] = [b.edge[0]![1] + shift(b), b.edge.at(-1)![1] + shift(b)];
        const [r, z] = widest(b.edge);
        const bore = b.bore.length > 0 ? Math.min(...b.bore.map(([v]) => v)) : 0;
        const yy = y(z + shift(b)) + 6 + 20 * i;
        return (
          <g key={b.key}>
            <Dim marks={marks} from={[x + i * 26, y(top)]} to={[x + i * 26, y(bottom)]} text={(bottom - top).toFixed(1)} />
            <path className="extl" d={`M${rx(at, r)} ${y(top)}H${x + i * 26}M${rx(at, r)} ${y(bottom)}H${x + i * 26}`} />
            <text className="n bgp" x={rx(at, r) - 6} y={yy} textAnchor="end">Ø {(2 * r).toFixed(1)}{bore > 0 ? `, bore ${(2 * bore).toFixed(1)}` : ''}</text>
          </g>
        );
      })}
    </g>
  );
}
