import {
  aroundRoles,
  type Body,
  type BodyRole,
  type FamilyCode,
  type RingSizes,
  cornerOf,
  extentOf,
  sectionOf,
} from '../../core/families/index.ts';
import { Defs, type Lining, type Marks, poly, useMarks } from './primitives.tsx';

const linings: Partial<Record<BodyRole, Lining>> = {
  outer: 'outer',
  inner: 'inner',
  knuckle: 'knuckle',
  housing: 'knuckle',
  hub: 'hub',
  spindle: 'bed',
  plate: 'seat',
  'press-ring': 'seat',
  spacer: 'seat',
  locking: 'bed',
  puller: 'pusher',
};
/** Solid round parts are not cut along the axis: drawn whole, without lining. */
const whole: readonly BodyRole[] = ['shaft', 'nut', 'bolt', 'flange-bolt', 'ball', ...aroundRoles];

/** What is said of a body besides its part. */
interface Looks {
  lit: boolean;
  off: boolean;
  hurt: boolean;
}

/** Small rubber and wire is black; what is not cut is paper; the rest is lined. */
function fillOf({ role }: Body): string {
  if (role === 'seal' || role === 'clip' || role === 'encoder') return ' f-ink';
  return whole.includes(role) ? ' f-sheet' : '';
}

/** Harmed, lit by this step, off the car, or as it is. */
function lookOf(b: Body, { lit, off, hurt }: Looks): string {
  if (hurt) return ' hurt-body';
  if (lit) return ' lit-body';
  return off ? ' off-body' : fillOf(b);
}

/** A kind of wheel bearing in section to one scale, outboard to the left; bodies in `lit` are marked. */
export function FamilySection({
  code,
  ring,
  lit = [],
  off = [],
  hurt = [],
  bodies,
  corner = false,
  small,
  label,
}: {
  code: FamilyCode;
  ring?: RingSizes | undefined;
  lit?: readonly string[];
  /** Bodies that are off the car: their outline, dashed. */
  off?: readonly string[];
  /** Bodies that come to harm. */
  hurt?: readonly string[];
  /** Other than the family's own: with something wrong in them. */
  bodies?: readonly Body[] | undefined;
  /** With wheel, brake and what else stands round the bearing. */
  corner?: boolean;
  small?: boolean;
  label: string;
}) {
  const marks = useMarks();
  const s = bodies ? extentOf(bodies) : (corner ? cornerOf : sectionOf)(code, ring);
  const edge = 8;
  const scale = small ? 1 : 2;
  const x = (z: number) => (z - s.z0 + edge) * scale;
  const y = (r: number) => (s.r + edge - r) * scale;
  const w = (s.z1 - s.z0 + 2 * edge) * scale;
  const h = 2 * (s.r + edge) * scale;
  return (
    <svg
      className={`drawing famsec${small ? ' small' : ''}`}
      viewBox={`0 0 ${w.toFixed(0)} ${h.toFixed(0)}`}
      role="img"
      aria-label={label}
    >
      <Defs id={marks.id} />
      {([1, -1] as const).map((side) => (
        <g key={side}>
          {s.bodies.map((b, i) => (
            <BodyShape
              key={i}
              b={b}
              side={side}
              x={x}
              y={y}
              marks={marks}
              looks={{
                lit: lit.includes(b.role),
                off: off.includes(b.role),
                hurt: hurt.includes(b.role),
              }}
              scale={scale}
            />
          ))}
        </g>
      ))}
      <path className="axis" d={`M0 ${h / 2}H${w}`} />
    </svg>
  );
}

function BodyShape({
  b,
  side,
  x,
  y,
  marks,
  looks,
  scale,
}: {
  b: Body;
  side: 1 | -1;
  x: (z: number) => number;
  y: (r: number) => number;
  marks: Marks;
  looks: Looks;
  scale: number;
}) {
  if (b.side === -side) return null;
  const plain = !looks.lit && !looks.off && !looks.hurt;
  const cls = `out thin2${lookOf(b, looks)}`;
  // A solid body is one outline across the axis, so that no edge is drawn along it.
  if (!('ball' in b) && b.points.some(([, r]) => r === 0)) {
    if (side === -1) return null;
    const upper = b.points.filter(([, r]) => r > 0);
    return (
      <path
        className={cls}
        {...(plain && linings[b.role] ? { fill: marks.fill(linings[b.role]!) } : {})}
        d={poly(
          [...upper, ...[...upper].reverse().map(([z, r]) => [z, -r] as const)].map(
            ([z, r]) => [x(z), y(r)] as const,
          ),
        )}
      />
    );
  }
  if ('ball' in b)
    return (
      <circle className={cls} cx={x(b.ball.z)} cy={y(side * b.ball.r)} r={b.ball.radius * scale} />
    );
  const lining = linings[b.role];
  return (
    <path
      className={cls}
      {...(plain && lining ? { fill: marks.fill(lining) } : {})}
      d={poly(b.points.map(([z, r]) => [x(z), y(side * r)] as const))}
    />
  );
}
