import {
  bearingInnerMm,
  roles,
  type Adapter,
  type Bench,
  type Body,
  type Judgement,
  type PathNode,
  type Place,
  type Role,
  type Stack,
} from '../../core/press/index.ts';
import { BearingHalf, rows, rx, type Half } from './BearingHalf.tsx';
import { PartDims } from './PartDims.tsx';
import { Defs, Dim, poly, useMarks, type Lining, type Marks, type Point } from './primitives.tsx';
import { pieceCut } from './pieceCut.ts';
import { axisX, layoutOf, sheet } from './layout.ts';
import type { Scene } from './scene.ts';
import { Whys } from './Whys.tsx';

export interface Frame {
  scene: Scene;
  stack: Stack;
  bench: Bench;
  at: Half;
  y: (mm: number) => number;
  marks: Marks;
  /** Right end of the section on the sheet. */
  right: number;
}

export interface CutawayProps {
  stack: Stack;
  bench: Bench;
  judgement: Judgement;
  travelMm: number;
  /** Sizes of the parts on the drawing. */
  dims?: boolean;
  /** Times closer, about the place where pusher and part meet. */
  zoom?: number;
  /** Drawn to the right of the section on the same millimetres. */
  beside?: (f: {
    y: (mm: number) => number;
    scene: Scene;
    marks: Marks;
    edge: number;
  }) => React.ReactNode;
}

/** The stroke as it stands in the press: outside view left of the axis, section right of it, to scale. */
export function Cutaway({
  stack,
  bench,
  judgement,
  travelMm,
  dims,
  zoom = 1,
  beside,
}: CutawayProps) {
  const marks = useMarks();
  const { picture } = bench.requirement;
  const { scene, fit, y: fitted, near } = layoutOf(stack, bench, travelMm);
  const u = fit * zoom;
  // Closer in, the place where the pusher meets the part stays where it is.
  const still = near(picture.pusherAtMm + bench.requirement.travelMm / 2);
  const y = (mm: number) => (zoom === 1 ? fitted(mm) : sheet.h / 2 + (near(mm) - still) * u);
  const f: Frame = {
    scene,
    stack,
    bench,
    at: { ax: axisX, u },
    y,
    marks,
    right: zoom === 1 ? 548 : 530,
  };
  const edge = axisX + scene.radius * u;
  const drawing = (
    <>
      <Outside f={f} />
      <Bodies f={f} houses />
      <Pieces f={f} />
      <Bodies f={f} houses={false} />
      {picture.bearing && (
        <BearingHalf
          b={picture.bearing.of}
          at={f.at}
          top={y(picture.bearing.topMm + (picture.bearing.moves ? travelMm : 0))}
          marks={marks}
          encoderUp={picture.bearing.encoderUp}
          {...(picture.bearing.missingInner ? { missingInner: picture.bearing.missingInner } : {})}
        />
      )}
      {picture.rolling?.map((b) => (
        <circle
          key={b.z}
          className="ball"
          cx={rx(f.at, b.r)}
          cy={y(b.z + (b.moves ? travelMm : 0))}
          r={b.radius * u}
        />
      ))}
      <ForcePathLine f={f} judgement={judgement} />
      <path className="axis" d={`M${axisX} ${Math.max(0, y(scene.top) - 8)}V${sheet.h}`} />
      {picture.cut && <BreakLines f={f} cut={picture.cut} />}
      <Heights f={f} />
      {dims ? <PartDims f={f} /> : <Balloons f={f} />}
    </>
  );
  return (
    <svg
      className="dr"
      viewBox={`0 0 ${sheet.w} ${sheet.h}`}
      role="img"
      aria-label={label(stack, judgement, travelMm)}
    >
      <Defs id={marks.id} />
      {zoom === 1 ? (
        drawing
      ) : (
        <>
          <clipPath id={`${marks.id}-clip`}>
            <rect x="0" y="0" width="560" height={sheet.h} />
          </clipPath>
          <g clipPath={`url(#${marks.id}-clip)`}>{drawing}</g>
        </>
      )}
      {beside?.({ y: zoom === 1 ? y : fitted, scene, marks, edge: zoom === 1 ? edge : 560 })}
      <Whys f={f} judgement={judgement} />
      <text className="cap hint" x="0" y="14">
        To scale, as it stands in the press.
      </text>
      <text className="cap hint" x="0" y="31">
        Dimensions in mm
      </text>
    </svg>
  );
}

const label = (s: Stack, j: Judgement, t: number) =>
  `Section: ${s.pusher.name} on top, ${s.support ? `${s.support.name} below` : 'the part stands by itself'}, travel ${t.toFixed(1)} mm. ${j.path.throughBalls ? 'Force crosses the balls.' : 'Force does not touch a ball.'}`;

/** Where a stretch is left out: two thin wavy lines over everything. */
function BreakLines({ f, cut }: { f: Frame; cut: readonly [number, number] }) {
  const r = Math.max(f.stack.pusher.outerMm / 2, 20) + 6;
  const w = r * f.at.u;
  const wave = (y: number) => `M${rx(f.at, -r)} ${y}q${w / 2} 5 ${w} 0t${w} 0`;
  const [a, b] = [f.y(cut[0]), f.y(cut[1])];
  return (
    <g>
      <rect className="break-gap" x={rx(f.at, -r)} y={a} width={2 * w} height={b - a} />
      <path className="thin" d={wave(a)} />
      <path className="thin" d={wave(b)} />
    </g>
  );
}

const shifted = ({ scene }: Frame, b: { moves: boolean }) => (b.moves ? scene.travel : 0);
const rect = (f: Frame, r: number, z0: number, z1: number, r0 = 0): string =>
  poly([
    [rx(f.at, -r0), f.y(z0)],
    [rx(f.at, -r), f.y(z0)],
    [rx(f.at, -r), f.y(z1)],
    [rx(f.at, -r0), f.y(z1)],
  ]);
const outline = (f: Frame, b: Body): string =>
  poly(
    [
      ...b.edge,
      ...(b.bore.length > 0
        ? [...b.bore].reverse()
        : ([
            [0, b.edge.at(-1)![1]],
            [0, b.edge[0]![1]],
          ] as Place[])),
    ].map(([r, z]): Point => [rx(f.at, r), f.y(z + shifted(f, b))]),
  );
const silhouette = (f: Frame, b: Body): string =>
  poly(
    ([[0, b.edge[0]![1]], ...b.edge, [0, b.edge.at(-1)![1]]] as Place[]).map(([r, z]): Point => [
      rx(f.at, -r),
      f.y(z + shifted(f, b)),
    ]),
  );

/** What gives the force: the nose of a ram, the washer and rod of a screw, the face of a hammer. */
function Driver({ f, side }: { f: Frame; side: 1 | -1 }) {
  const {
    bench: {
      press,
      requirement: { drawn },
    },
    scene: s,
    y,
    at,
  } = f;
  const x = (r: number) => rx(at, side * r);
  if (press.kind === 'screw' && press.screw) {
    const rod = press.screw.rodMm / 2;
    return (
      <g>
        <path
          className="out f-paper"
          d={`M${x(0)} ${y(drawn ? s.ramBottom - 14 : s.top - 6)}H${x(rod)}V${y(s.bed + 8)}H${x(0)}z`}
        />
        <path
          className="out f-paper"
          d={`M${x(rod)} ${y(s.ramBottom)}H${x(press.ramMm / 2)}V${y(s.ramBottom - 5)}H${x(rod)}z`}
        />
      </g>
    );
  }
  if (drawn)
    return (
      <path
        className="out f-paper"
        d={`M${x(0)} ${y(s.ramBottom - 12)}H${x(9)}V${y(s.bed + 8)}H${x(0)}z`}
      />
    );
  const r = press.kind === 'hammer' ? 16 : press.ramMm / 2;
  return (
    <path
      className="out f-paper"
      d={`M${axisX} ${y(s.ramBottom)}H${x(r)}V${y(s.top) + 6}q${(-side * r * at.u) / 2} ${side * 14} ${-side * r * at.u} 0z`}
    />
  );
}

/** Left of the axis: what the eye sees; a housing covers what is in it. */
function Outside({ f }: { f: Frame }) {
  const { scene: s, stack, y, at, bench } = f;
  const { bodies } = bench.requirement.picture;
  const seen = bodies.filter((b) => b.lining !== 'none');
  const etch = (a: Adapter, z0: number, z1: number) =>
    (z1 - z0) * at.u > 20 && (a.outerMm / 2) * at.u > 60 ? (
      <text
        className="etch"
        x={rx(at, -a.outerMm / 4)}
        y={(y(z0) + y(z1)) / 2 + 5}
        textAnchor="middle"
      >
        {a.innerMm ? `${a.outerMm} × ${a.innerMm}` : `Ø ${a.outerMm}`}
      </text>
    ) : null;
  const inside = seen.some((b) => b.houses)
    ? Math.min(...seen.filter((b) => b.houses).flatMap((b) => b.edge.map(([, z]) => z)))
    : Infinity;
  const outside = Math.max(
    ...seen.filter((b) => b.houses).flatMap((b) => b.edge.map(([, z]) => z)),
    -Infinity,
  );
  return (
    <g>
      <Driver f={f} side={-1} />
      {seen
        .filter((b) => !b.houses)
        .map((b) => (
          <path key={b.key} className="out f-sheet" d={silhouette(f, b)} />
        ))}
      {(bench.requirement.drawn ? (['support', 'riser'] as const) : roles).map((role) => {
        const a = stack[role];
        const z = s.at[role];
        return (
          a &&
          z && (
            <path
              key={role}
              className="out f-kit"
              d={rect(f, a.outerMm / 2, z[0], z[1], a.shape === 'legs' ? a.innerMm / 2 : 0)}
            />
          )
        );
      })}
      {seen
        .filter((b) => b.houses)
        .map((b) => (
          <path key={b.key} className="out f-paper" d={silhouette(f, b)} />
        ))}
      <path
        className="out f-paper"
        d={rect(
          f,
          s.radius + 6,
          s.bed,
          s.bed + 8,
          Math.max(0, Math.min(lowest(stack)?.innerMm ?? 0, 2 * s.radius) / 2 - 8),
        )}
      />
      {s.at.pusher &&
        !bench.requirement.drawn &&
        etch(
          stack.pusher,
          s.at.pusher[0],
          Math.min(s.at.pusher[1], bench.requirement.drawn ? s.at.pusher[1] : inside),
        )}
      {stack.support &&
        s.at.support &&
        stack.support.shape !== 'legs' &&
        etch(stack.support, Math.max(s.at.support[0], outside), s.at.support[1])}
    </g>
  );
}

const lowest = (s: Stack): Adapter | undefined => s.riser ?? s.support;

/** The parts of the work right of the axis, cut. */
function Bodies({ f, houses }: { f: Frame; houses: boolean }) {
  return (
    <g>
      {f.bench.requirement.picture.bodies
        .filter((b) => (b.houses ?? false) === houses)
        .map((b) => (
          <path
            key={b.key}
            className={`out${b.key === 'snap-ring' ? ' f-ink' : b.lining === 'none' ? ' f-sheet thin2' : ''}`}
            {...(b.lining === 'none' ? {} : { fill: f.marks.fill(b.lining) })}
            d={outline(f, b)}
          />
        ))}
    </g>
  );
}

const linings: Record<Role, Lining> = {
  cap: 'cap',
  pusher: 'pusher',
  support: 'support',
  riser: 'cap',
};

function Pieces({ f }: { f: Frame }) {
  const { scene: s, stack, bench, at, y, marks } = f;
  const drawn = bench.requirement.drawn ?? false;
  const opening = Math.max(0, Math.min(lowest(stack)?.innerMm ?? 0, 2 * s.radius) / 2 - 8);
  return (
    <g>
      <Driver f={f} side={1} />
      {roles.map((role) => {
        const a = stack[role];
        const z = s.at[role];
        return (
          a &&
          z && (
            <path
              key={role}
              className="out"
              fill={marks.fill(linings[role])}
              d={poly(
                pieceCut(a, z[0], z[1], role === 'cap' || (role === 'pusher' && !drawn)).map(
                  ([r, v]): Point => [rx(at, r), y(v)],
                ),
              )}
            />
          )
        );
      })}
      <path
        className="out"
        fill={marks.fill('bed')}
        d={poly(
          (
            [
              [opening, s.bed],
              [s.radius + 6, s.bed],
              [s.radius + 6, s.bed + 8],
              [opening, s.bed + 8],
            ] as Point[]
          ).map(([r, z]): Point => [rx(at, r), y(z)]),
        )}
      />
    </g>
  );
}

/** The way of the force through the parts that carry it; broken and crossed out where it may not go. */
function ForcePathLine({ f, judgement }: { f: Frame; judgement: Judgement }) {
  const { nodes, throughBalls } = judgement.path;
  if (nodes.length === 0) return null;
  const bad = judgement.status === 'stop' && throughBalls;
  const d = smooth(nodes.flatMap((n) => nodePoints(n, f)));
  const [bx, by] = ballAt(f) ?? [0, 0];
  return (
    <g className={bad ? 'bad' : ''}>
      <path className="fband" d={d} />
      <path className="fp" d={d} markerEnd={bad ? f.marks.headBad : f.marks.head} />
      {bad && <path className="x" d={`M${bx - 16} ${by - 16}l32 32m0 -32l-32 32`} />}
    </g>
  );
}

function ballAt(f: Frame): Point | undefined {
  const { bearing, rolling } = f.bench.requirement.picture;
  if (bearing) {
    const { pc, z } = rows(bearing.of);
    return [rx(f.at, pc), f.y(bearing.topMm + shifted(f, bearing) + z[0])];
  }
  const one = rolling?.[0];
  return one && [rx(f.at, one.r), f.y(one.z + shifted(f, one))];
}

/** Straight down inside a part, eased over where the force changes its radius. */
function smooth(pts: readonly Point[]): string {
  return pts
    .map(([x, y], i) => {
      const before = pts[i - 1];
      if (!before) return `M${x.toFixed(1)} ${y.toFixed(1)}`;
      const mid = (before[1] + y) / 2;
      return Math.abs(before[0] - x) < 1
        ? `L${x.toFixed(1)} ${y.toFixed(1)}`
        : `C${before[0].toFixed(1)} ${mid.toFixed(1)} ${x.toFixed(1)} ${mid.toFixed(1)} ${x.toFixed(1)} ${y.toFixed(1)}`;
    })
    .join('');
}

/** Middle of the wall with which a piece bears on the face it is for. */
function wallOf(role: 'pusher' | 'support', { stack, bench }: Frame): number {
  const a = stack[role]!;
  const need = bench.requirement[role];
  const inner = Math.max(bearingInnerMm(a, need?.proudMm ?? 0), need?.face.innerMm ?? 0);
  const outer = Math.min(a.outerMm, need?.face.outerMm ?? a.outerMm);
  return outer > inner ? (outer + inner) / 4 : (a.outerMm + a.innerMm) / 4;
}

function nodePoints(node: PathNode, f: Frame): Point[] {
  const { scene: s, stack, bench, at, y } = f;
  const p = (r: number, z: number): Point => [rx(at, r), y(z)];
  const nose = Math.min(12, Math.min(bench.press.ramMm, 40) / 4);
  const driver = bench.press.screw ? (bench.press.screw.rodMm + bench.press.ramMm) / 4 : nose;
  const through = (role: Role, r: number): Point[] => {
    const z = s.at[role];
    return z ? [p(r, z[0] + Math.min(4, (z[1] - z[0]) / 4)), p(r, z[1])] : [];
  };
  switch (node) {
    case 'ram':
      return bench.requirement.drawn
        ? [p(driver, s.ramBottom - 6), p(driver, s.ramBottom)]
        : [p(driver, s.top + 3), p(driver, s.ramBottom)];
    case 'cap':
      return bench.requirement.drawn
        ? [p(stack.pusher.outerMm / 2 - 4, s.at.cap![0] + 6)]
        : [
            p(
              Math.max(driver, Math.min(14, stack.cap!.outerMm / 4)),
              s.at.cap![0] + stack.cap!.heightMm * 0.4,
            ),
          ];
    case 'pusher':
      return bench.requirement.drawn
        ? [
            p(stack.pusher.outerMm / 2 - 4, s.at.pusher![1]),
            p(stack.pusher.outerMm / 2 - 4, s.at.pusher![0] + 4),
            p(wallOf('pusher', f), s.at.pusher![0]),
          ]
        : through(
            'pusher',
            stack.pusher.shape === 'half-shells'
              ? stack.pusher.outerMm / 2 - 4
              : wallOf('pusher', f),
          ).concat(
            stack.pusher.shape === 'half-shells' ? [p(wallOf('pusher', f), s.at.pusher![1])] : [],
          );
    case 'support':
      return [
        p(wallOf('support', f), s.at.support![0] + 3),
        p(wallOf('support', f), s.at.support![1]),
      ];
    case 'riser':
      return through('riser', (stack.riser!.outerMm + stack.riser!.innerMm) / 4);
    case 'bed':
      return [
        p(
          stack.riser
            ? (stack.riser.outerMm + stack.riser.innerMm) / 4
            : stack.support
              ? wallOf('support', f)
              : bench.requirement.picture.radiusMm * 0.85,
          s.bed + 6,
        ),
      ];
    default:
      return (bench.requirement.picture.ways[node] ?? []).map((w) =>
        p(w.at[0], w.at[1] + shifted(f, w)),
      );
  }
}

/** Heights of the pieces on the left. */
function Heights({ f }: { f: Frame }) {
  const { scene: s, stack, at, y, marks } = f;
  // The upper ones keep clear of the buttons beside the drawing.
  const x = (a: Adapter) => Math.max(a === stack.pusher ? 96 : 34, rx(at, -a.outerMm / 2) - 20);
  return (
    <g>
      {(
        (f.bench.requirement.drawn
          ? ['support', 'riser']
          : ['pusher', 'support', 'riser']) as Role[]
      ).map((role) => {
        const a = stack[role];
        const z = s.at[role];
        return (
          a &&
          z && (
            <Dim
              key={role}
              marks={marks}
              from={[x(a), y(z[0])]}
              to={[x(a), y(z[1])]}
              text={String(a.heightMm)}
            />
          )
        );
      })}
    </g>
  );
}

export interface StackLine {
  key: string;
  kit: boolean;
  name: string;
  size: string;
  role?: Role;
}

/** The stack from top to bottom, in the order that the list names it. */
export function stackList(stack: Stack, { requirement: r }: Bench): StackLine[] {
  const piece = (role: Role): StackLine[] => {
    const a = stack[role];
    return a
      ? [
          {
            key: role,
            kit: true,
            name: a.name,
            size: `${a.outerMm} × ${a.innerMm || '–'} × ${a.heightMm}`,
            role,
          },
        ]
      : [];
  };
  const parts = r.picture.bodies
    .filter((b) => b.tag)
    .sort(
      (a, b) =>
        Number(a.houses ?? false) - Number(b.houses ?? false) || a.edge[0]![1] - b.edge[0]![1],
    )
    .map((b): StackLine => ({ key: b.key, kit: false, name: b.name, size: b.size }));
  const bearing =
    r.picture.bearing && !parts.some((p) => p.key === 'bearing') && r.operation.startsWith('hub')
      ? [
          {
            key: 'bearing',
            kit: false,
            name: r.fitting ? 'Bearing' : 'Old bearing',
            size: `${r.picture.bearing.of.outerMm} × ${r.picture.bearing.of.boreMm} × ${r.picture.bearing.of.widthMm}`,
          },
        ]
      : [];
  const at = parts.findIndex((p) => p.key === 'knuckle');
  return [
    ...piece('cap'),
    ...piece('pusher'),
    ...parts.slice(0, Math.max(0, at)),
    ...bearing,
    ...parts.slice(Math.max(0, at)),
    ...piece('support'),
    ...piece('riser'),
  ];
}

function Balloons({ f }: { f: Frame }) {
  const { scene: s, stack, bench, at, y, marks } = f;
  const { bodies, bearing } = bench.requirement.picture;
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
  const list = stackList(stack, bench)
    .map((p, i) => {
      const [r, z] = where(p.key);
      return { ...p, n: i + 1, from: [rx(at, r), y(z)] as Point };
    })
    .sort((a, z) => a.from[1] - z.from[1]);
  const x = Math.min(axisX + s.radius * at.u + 38, f.right);
  let last = -Infinity;
  return (
    <g>
      {list.map((p) => {
        const yy = Math.max(p.from[1], last + 32);
        last = yy;
        return (
          <g key={p.key}>
            <path
              className="ldr"
              markerStart={marks.dot}
              d={`M${p.from[0]} ${p.from[1]}L${x - 14} ${yy}`}
            />
            <circle className={`bal${p.kit ? ' k' : ''}`} cx={x} cy={yy} r="14" />
            <text className="n b" x={x} y={yy + 5} textAnchor="middle">
              {p.n}
            </text>
          </g>
        );
      })}
    </g>
  );
}
