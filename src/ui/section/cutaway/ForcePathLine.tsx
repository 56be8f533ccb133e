import {
  type Adapter,
  bearingInnerMm,
  type Judgement,
  type PathNode,
} from '../../../core/press/index.ts';
import { rows, rx } from '../BearingHalf.tsx';
import type { Point } from '../primitives.tsx';
import { type Frame, shifted } from './frame.ts';

/** The way of the force through the parts that carry it; broken and crossed out where it may not go. */
export function ForcePathLine({ f, judgement }: { f: Frame; judgement: Judgement }) {
  const { nodes, throughBalls } = judgement.path;
  if (nodes.length === 0) return null;
  const bad = judgement.status === 'stop' && throughBalls;
  const d = smooth(nodes.flatMap((n) => nodePoints(n, f)));
  const [bx, by] = ballAt(f) ?? [0, 0];
  return (
    <g className={bad ? 'bad' : ''}>
      <path className="force-band" d={d} />
      <path className="force-path" d={d} markerEnd={bad ? f.marks.headBad : f.marks.head} />
      {bad && <path className="cross-out" d={`M${bx - 16} ${by - 16}l32 32m0 -32l-32 32`} />}
    </g>
  );
}

function ballAt(f: Frame): Point | undefined {
  const { bearing, rolling } = f.setup.requirement.picture;
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
function wallOf(role: 'pusher' | 'support', { stack, setup }: Frame): number {
  const a = stack[role]!;
  const need = setup.requirement[role];
  const inner = Math.max(bearingInnerMm(a, need?.proudMm ?? 0), need?.face.innerMm ?? 0);
  const outer = Math.min(a.outerMm, need?.face.outerMm ?? a.outerMm);
  return outer > inner ? (outer + inner) / 4 : (a.outerMm + a.innerMm) / 4;
}

/** Points of one part on the way of the force, from ram to bed. */
function nodePoints(node: PathNode, f: Frame): Point[] {
  const { scene: s, stack, setup, at, y } = f;
  const p: At = (r, z) => [rx(at, r), y(z)];
  switch (node) {
    case 'ram':
      return ramPoints(p, f);
    case 'cap':
      return capPoints(p, f);
    case 'pusher':
      return pusherPoints(p, f);
    case 'support': {
      const z = s.at.support;
      const r = wallOf('support', f);
      return z ? [p(r, z[0] + 3), p(r, z[1])] : [];
    }
    case 'riser':
      return stack.riser ? through(p, s.at.riser, middleOf(stack.riser)) : [];
    case 'bed':
      return [p(footRadius(f), s.bed + 6)];
    default:
      return (setup.requirement.picture.ways[node] ?? []).map((w) =>
        p(w.at[0], w.at[1] + shifted(f, w)),
      );
  }
}

type At = (r: number, z: number) => Point;
type Span = readonly [number, number] | undefined;

const middleOf = (a: Adapter): number => (a.outerMm + a.innerMm) / 4;
const through = (p: At, z: Span, r: number): Point[] =>
  z ? [p(r, z[0] + Math.min(4, (z[1] - z[0]) / 4)), p(r, z[1])] : [];

/** Where the nose of the ram, or the washer of a screw, gives the force. */
function driverRadius({ setup: { press } }: Frame): number {
  const nose = Math.min(12, Math.min(press.ramMm, 40) / 4);
  return press.screw ? (press.screw.rodMm + press.ramMm) / 4 : nose;
}

function ramPoints(p: At, f: Frame): Point[] {
  const { scene: s, setup } = f;
  const r = driverRadius(f);
  const from = setup.requirement.drawn ? s.ramBottom - 6 : s.top + 3;
  return [p(r, from), p(r, s.ramBottom)];
}

function capPoints(p: At, f: Frame): Point[] {
  const { scene: s, stack, setup } = f;
  const z = s.at.cap;
  if (!z || !stack.cap) return [];
  if (setup.requirement.drawn) return [p(shellRadius(f), z[0] + 6)];
  const r = Math.max(driverRadius(f), Math.min(14, stack.cap.outerMm / 4));
  return [p(r, z[0] + stack.cap.heightMm * 0.4)];
}

/** Half-shells carry the force in their wall, and give it at their lip. */
const shellRadius = ({ stack }: Frame): number => stack.pusher.outerMm / 2 - 4;

function pusherPoints(p: At, f: Frame): Point[] {
  const { scene: s, stack, setup } = f;
  const z = s.at.pusher;
  if (!z) return [];
  const face = wallOf('pusher', f);
  if (setup.requirement.drawn)
    return [p(shellRadius(f), z[1]), p(shellRadius(f), z[0] + 4), p(face, z[0])];
  if (stack.pusher.shape === 'half-shells')
    return [...through(p, z, shellRadius(f)), p(face, z[1])];
  return through(p, z, face);
}

/** Where the force goes into the bed. */
function footRadius(f: Frame): number {
  const { stack, setup } = f;
  if (stack.riser) return middleOf(stack.riser);
  return stack.support ? wallOf('support', f) : setup.requirement.picture.radiusMm * 0.85;
}
