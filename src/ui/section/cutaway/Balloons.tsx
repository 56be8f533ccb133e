import { roles } from '../../../core/press/index.ts';
import { rx } from '../BearingHalf.tsx';
import { axisX } from '../layout.ts';
import type { Point } from '../primitives.tsx';
import { type Frame, shifted } from './frame.ts';
import { stackList } from './stackList.ts';

/** Numbers of the stack list, each with a leader to its part, kept clear of each other. */
export function Balloons({ f }: { f: Frame }) {
  const { scene: s, stack, setup, at, y, marks } = f;
  const { bodies, bearing } = setup.requirement.picture;
  const where = (key: string): Point => {
    const role = roles.find((r) => r === key);
    const z = role && s.at[role];
    if (role && z) return [stack[role]!.outerMm / 2 - 2, (z[0] + z[1]) / 2];
    const body = bodies.find((b) => b.key === key && b.tag);
    if (body) return [body.tag![0], body.tag![1] + shifted(f, body)];
    return bearing
      ? [
          bearing.of.outerMm / 2 - 2,
          bearing.topMm + shifted(f, bearing) + bearing.of.widthMm * 0.12,
        ]
      : [0, 0];
  };
  const list = stackList(stack, setup)
    .map((p, i) => {
      const [r, z] = where(p.key);
      return { ...p, n: i + 1, from: [rx(at, r), y(z)] as Point };
    })
    .sort((a, z) => a.from[1] - z.from[1]);
  const x = Math.min(axisX + s.radius * at.u + 38, f.right);
  const placed = list.reduce<((typeof list)[number] & { cy: number })[]>((done, p) => {
    const above = done.at(-1)?.cy ?? -Infinity;
    return [...done, { ...p, cy: Math.max(p.from[1], above + 32) }];
  }, []);
  return (
    <g>
      {placed.map((p) => {
        const { cy: yy } = p;
        return (
          <g key={p.key}>
            <path
              className="leader"
              markerStart={marks.dot}
              d={`M${p.from[0]} ${p.from[1]}L${x - 14} ${yy}`}
            />
            <circle className={`balloon${p.kit ? ' from-kit' : ''}`} cx={x} cy={yy} r="14" />
            <text className="figure strong" x={x} y={yy + 5} textAnchor="middle">
              {p.n}
            </text>
          </g>
        );
      })}
    </g>
  );
}
