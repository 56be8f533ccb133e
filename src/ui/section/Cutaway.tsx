import { bearingInnerMm, type Adapter, type Bench, type Judgement, type PathNode, type Stack } from '../../core/press/index.ts';
import { BearingHalf, rows, rx, type Half } from './BearingHalf.tsx';
import { Defs, Dim, poly, useMarks, type Lining, type Marks, type Point } from './primitives.tsx';
import { pieceCut } from './pieceCut.ts';
import { sceneOf, type Scene } from './scene.ts';

interface Frame {
  scene: Scene;
  stack: Stack;
  bench: Bench;
  at: Half;
  y: (mm: number) => number;
  marks: Marks;
}

export interface CutawayProps {
  stack: Stack;
  bench: Bench;
  judgement: Judgement;
  travelMm: number;
  /** Drawn to the right of the section on the same millimetres. */
  beside?: (f: { y: (mm: number) => number; scene: Scene; marks: Marks; edge: number }) => React.ReactNode;
}

const axisX = 292;
const room = 222;

/** The stroke as it stands in the press: outside view left of the axis, section right of it, to scale. */
export function Cutaway({ stack, bench, judgement, travelMm, beside }: CutawayProps) {
  const marks = useMarks();
  const scene = sceneOf(stack, bench, travelMm);
  const u = Math.min(4.2, 572 / (scene.bottom - scene.top), room / scene.radius);
  const spare = 580 - u * (scene.bottom - scene.top);
  const y = (mm: number) => 4 + spare / 2 + (mm - scene.top) * u;
  const f: Frame = { scene, stack, bench, at: { ax: axisX, u }, y, marks };
  const encoderUp = bench.work.encoderSide === bench.requirement.up;
  const edge = axisX + scene.radius * u;
  return (
    <svg className="dr" viewBox="0 0 924 584" role="img" aria-label={label(stack, judgement, travelMm)}>
      <Defs id={marks.id} />
      <Outside f={f} />
      <KnuckleCut f={f} />
      <Pieces f={f} />
      {scene.hub && <HubCut f={f} />}
      <BearingHalf b={bench.work.bearing} at={f.at} top={y(scene.bearingTop)} marks={marks} encoderUp={bench.work.bearing.encoder.kind === 'none' || !bench.work.encoderSide ? undefined : encoderUp} {...(scene.operation === 'bearing-out' ? { missingInner: 'lower' as const } : {})} />
      <ForcePathLine f={f} judgement={judgement} />
      <path className="axis" d={`M${axisX} ${Math.max(0, y(scene.top) - 8)}V584`} />
      <Heights f={f} />
      <Balloons f={f} />
      {beside?.({ y, scene, marks, edge })}
      <text className="cap hint" x="0" y="14">To scale, as it stands in the press.</text><text className="cap hint" x="0" y="31">Dimensions in mm</text>
    </svg>
  );
}

const label = (s: Stack, j: Judgement, t: number) => `Section: ${s.pusher.name} on top, ${s.support.name} below, travel ${t.toFixed(1)} mm. ${j.path.throughBalls ? 'Force crosses the balls.' : 'Force does not touch a ball.'}`;

const rect = (f: Frame, r: number, z0: number, z1: number, r0 = 0): string => poly([[rx(f.at, -r0), f.y(z0)], [rx(f.at, -r), f.y(z0)], [rx(f.at, -r), f.y(z1)], [rx(f.at, -r0), f.y(z1)]]);

/** Left of the axis: what the eye sees, the outermost part last. */
function Outside({ f }: { f: Frame }) {
  const { scene: s, stack, bench, y, at } = f;
  const { bearing: b, knuckle: k, hub: h } = bench.work;
  const etch = (r: number, z0: number, z1: number, text: string) => ((z1 - z0) * at.u > 20 && r * at.u > 60 ? <text className="etch" x={rx(at, -r / 2)} y={(y(z0) + y(z1)) / 2 + 5} textAnchor="middle">{text}</text> : null);
  const size = (a: Adapter) => (a.innerMm ? `${a.outerMm} × ${a.innerMm}` : `Ø ${a.outerMm}`);
  const legs = stack.support.shape === 'legs' ? stack.support.innerMm / 2 : 0;
  const flange = s.hub && (s.hub.flangeUp ? [s.hub.shoulder - h.overhangMm, s.hub.shoulder - h.overhangMm + h.flangeThickMm] : [s.hub.shoulder + h.overhangMm - h.flangeThickMm, s.hub.shoulder + h.overhangMm]) as [number, number] | undefined;
  const ram = bench.press.ramMm / 2;
  const capRam = s.top;
  return (
    <g>
      <path className="out f-paper" d={`M${axisX} ${y(s.ramBottom)}H${rx(at, -ram)}V${y(capRam) + 6}q${(ram * at.u) / 2} -14 ${ram * at.u} 0z`} />
      {s.hub && <><path className="out f-sheet" d={rect(f, h.journalMm / 2, s.hub.flangeUp ? s.hub.shoulder : s.hub.shoulder - h.journalLengthMm, s.hub.flangeUp ? s.hub.shoulder + h.journalLengthMm : s.hub.shoulder)} /><path className="out f-sheet" d={rect(f, b.innerFaceOuterMm / 2 + 1.5, Math.min(s.hub.shoulder, flange![0]), Math.max(s.hub.shoulder, flange![1]))} /><path className="out f-sheet" d={rect(f, h.flangeMm / 2, ...flange!)} /></>}
      {(s.operation === 'bearing-in' || s.operation === 'bearing-out') && <path className="out f-sheet" d={rect(f, b.outerMm / 2, s.bearingTop, s.bearingTop + b.widthMm)} />}
      {stack.cap && <><path className="out f-kit" d={rect(f, stack.cap.outerMm / 2, s.capTop!, s.pusherTop)} /></>}
      <path className="out f-kit" d={rect(f, stack.pusher.outerMm / 2, s.pusherTop, s.pusherBottom)} />
      <path className="out f-paper" d={poly(knuckleOutside(f).map(([r, z]): Point => [rx(at, -r), y(z)]))} />
      <circle className="out f-sheet thin2" cx={rx(at, -(k.bossOuterMm / 2) * 0.5)} cy={y(k.bossDepthMm * 0.52)} r={Math.min(18, 4.6 * at.u)} /><path className="cl1" d={`M${rx(at, -(k.bossOuterMm / 2) * 0.5) - 26} ${y(k.bossDepthMm * 0.52)}h52M${rx(at, -(k.bossOuterMm / 2) * 0.5)} ${y(k.bossDepthMm * 0.52) - 26}v52`} />
      {s.operation !== 'hub-in' || stack.support.outerMm > k.boreMm ? <path className="out f-kit" d={rect(f, stack.support.outerMm / 2, s.supportTop, s.supportBottom, legs)} /> : <path className="out f-kit" d={rect(f, stack.support.outerMm / 2, Math.max(s.supportTop, k.bossDepthMm), s.supportBottom)} />}
      <path className="out f-paper" d={rect(f, s.radius + 6, s.supportBottom, s.supportBottom + 8, Math.min(legs || stack.support.outerMm / 2, s.radius) - 8)} />
      {etch(stack.pusher.outerMm / 2, s.pusherTop, Math.min(s.pusherBottom, s.operation === 'bearing-out' || s.operation === 'hub-out' ? 0 : s.pusherBottom), size(stack.pusher))}
      {legs === 0 && etch(stack.support.outerMm / 2, Math.max(s.supportTop, k.bossDepthMm), s.supportBottom, size(stack.support))}
    </g>
  );
}

/** Outer contour of the knuckle with an arm, radius and height. */
function knuckleOutside({ bench, scene }: Frame): Point[] {
  const k = bench.work.knuckle;
  const Z = (z: number) => (scene.flipped ? k.bossDepthMm - z : z);
  return [[0, Z(0)], ...knuckleEdge(bench, scene).map(([r, z]): Point => [r, Z(z)]), [0, Z(k.bossDepthMm)]];
}

/** Right-hand edge of the casting from its snap-ring face to its far face: boss, arm, flare. */
function knuckleEdge({ work: { knuckle: k } }: Bench, { operation }: Scene): Point[] {
  const boss = k.bossOuterMm / 2;
  const far = k.farFaceOuterMm / 2;
  const reach = k.wheelSideReachMm / 2;
  const depth = k.bossDepthMm;
  const arm = Math.min(14, depth * 0.28);
  if (operation === 'hub-out') return k.snapRingSide === 'outboard' ? [[reach, 0], [reach, arm], [boss, arm + 5], [boss, depth - 10], [far, depth - 5], [far, depth]] : [[boss, 0], [boss, depth - arm - 5], [reach, depth - arm], [reach, depth]];
  return [[boss, 0], [boss, depth * 0.28], [boss + 9, depth * 0.34], [boss + 8, depth * 0.45], [boss + 9.5, depth * 0.55], [boss + 8.5, depth * 0.66], [boss + 1.5, depth * 0.74], [far - 1, depth * 0.84], [far, depth]];
}

function KnuckleCut({ f }: { f: Frame }) {
  const { bench, scene, at, y, marks } = f;
  const k = bench.work.knuckle;
  const R = k.boreMm / 2;
  const inside: Point[] = [[k.shoulderMm / 2, k.bossDepthMm], [k.shoulderMm / 2, k.seatDepthMm], [R, k.seatDepthMm], [R, k.grooveFromFaceMm + k.grooveWidthMm], [k.grooveMm / 2, k.grooveFromFaceMm + k.grooveWidthMm], [k.grooveMm / 2, k.grooveFromFaceMm], [R, k.grooveFromFaceMm], [R, 0]];
  const Z = (z: number) => y(scene.flipped ? k.bossDepthMm - z : z);
  return <path className="out" fill={marks.fill('knuckle')} d={poly([...inside, ...knuckleEdge(bench, scene)].map(([r, z]): Point => [rx(at, r), Z(z)]))} />;
}

function HubCut({ f }: { f: Frame }) {
  const { scene: { hub }, bench, at, y, marks } = f;
  const { hub: h, bearing: b } = bench.work;
  const dir = hub!.flangeUp ? -1 : 1;
  const s = hub!.shoulder;
  const neck = b.innerFaceOuterMm / 2 + 1.5;
  const pts: Point[] = [[h.boreMm / 2, s - dir * h.journalLengthMm], [h.journalMm / 2 - 1, s - dir * h.journalLengthMm], [h.journalMm / 2, s - dir * (h.journalLengthMm - 1)], [h.journalMm / 2, s], [neck, s], [neck, s + dir * (h.overhangMm - h.flangeThickMm)], [h.flangeMm / 2, s + dir * (h.overhangMm - h.flangeThickMm)], [h.flangeMm / 2, s + dir * h.overhangMm], [h.boreMm / 2, s + dir * h.overhangMm]];
  const stud = h.studCircleMm / 2;
  return (
    <g>
      <path className="out" fill={marks.fill('hub')} d={poly(pts.map(([r, z]): Point => [rx(at, r), y(z)]))} />
      <path className="out f-sheet thin2" d={poly(([[stud - 6, s + dir * (h.overhangMm - h.flangeThickMm)], [stud + 6, s + dir * (h.overhangMm - h.flangeThickMm)], [stud + 6, s + dir * (h.overhangMm + 16)], [stud - 6, s + dir * (h.overhangMm + 16)]] as Point[]).map(([r, z]): Point => [rx(at, r), y(z)]))} />
    </g>
  );
}

function Pieces({ f }: { f: Frame }) {
  const { scene: s, stack, bench, at, y, marks } = f;
  const draw = (a: Adapter, z0: number, z1: number, opensDown: boolean, lining: Lining) => <path className="out" fill={marks.fill(lining)} d={poly(pieceCut(a, z0, z1, opensDown).map(([r, z]): Point => [rx(at, r), y(z)]))} />;
  const legs = stack.support.innerMm / 2;
  const ram = bench.press.ramMm / 2;
  return (
    <g>
      <path className="out f-paper" d={`M${axisX} ${y(s.ramBottom)}H${rx(at, ram)}V${y(s.top) + 6}q${-(ram * at.u) / 2} 14 ${-ram * at.u} 0z`} />
      {stack.cap && draw(stack.cap, s.capTop!, s.pusherTop, true, 'cap')}
      {draw(stack.pusher, s.pusherTop, s.pusherBottom, true, 'pusher')}
      {draw(stack.support, s.supportTop, s.supportBottom, false, 'support')}
      <path className="out" fill={marks.fill('bed')} d={poly(([[Math.min(legs, s.radius) - 8 > 0 ? Math.min(legs || 0, s.radius) - 8 : 0, s.supportBottom], [s.radius + 6, s.supportBottom], [s.radius + 6, s.supportBottom + 8], [Math.max(0, legs - 8), s.supportBottom + 8]] as Point[]).map(([r, z]): Point => [rx(at, Math.max(0, r)), y(z)]))} />
    </g>
  );
}

/** The way of the force through the parts that carry it; broken and crossed out where it may not go. */
function ForcePathLine({ f, judgement }: { f: Frame; judgement: Judgement }) {
  const { nodes, throughBalls } = judgement.path;
  if (nodes.length === 0) return null;
  const bad = judgement.status === 'stop' && throughBalls;
  const pts = nodes.flatMap((n) => nodePoints(n, f));
  const d = smooth(pts);
  const { pc, z } = rows(f.bench.work.bearing);
  const bx = rx(f.at, pc);
  const by = f.y(f.scene.bearingTop + z[0]);
  return (
    <g className={bad ? 'bad' : ''}>
      <path className="fband" d={d} /><path className="fp" d={d} markerEnd={bad ? f.marks.headBad : f.marks.head} />
      {bad && <path className="x" d={`M${bx - 16} ${by - 16}l32 32m0 -32l-32 32`} />}
    </g>
  );
}

/** Straight down inside a part, eased over where the force changes its radius. */
function smooth(pts: readonly Point[]): string {
  return pts.map(([x, y], i) => {
    const before = pts[i - 1];
    if (!before) return `M${x.toFixed(1)} ${y.toFixed(1)}`;
    const mid = (before[1] + y) / 2;
    return Math.abs(before[0] - x) < 1 ? `L${x.toFixed(1)} ${y.toFixed(1)}` : `C${before[0].toFixed(1)} ${mid.toFixed(1)} ${x.toFixed(1)} ${mid.toFixed(1)} ${x.toFixed(1)} ${y.toFixed(1)}`;
  }).join('');
}

function nodePoints(node: PathNode, { scene: s, stack, bench, at, y }: Frame): Point[] {
  const { bearing: b, knuckle: k, hub: h } = bench.work;
  const p = (r: number, z: number): Point => [rx(at, r), y(z)];
  const wall = (a: Adapter, proud: number) => (a.outerMm / 2 + bearingInnerMm(a, proud) / 2) / 2;
  const outerR = (b.outerMm + b.outerFaceInnerMm) / 4;
  const innerR = (b.boreMm + b.innerFaceOuterMm) / 4;
  const { pc, z } = rows(b);
  const mid = s.bearingTop + b.widthMm / 2;
  switch (node) {
    case 'ram': return [p(Math.min(12, bench.press.ramMm / 4), s.top + 3), p(Math.min(12, bench.press.ramMm / 4), s.ramBottom)];
    case 'cap': return [p(Math.min(14, stack.cap!.outerMm / 4), s.capTop! + stack.cap!.heightMm * 0.4)];
    case 'pusher': {
      const r = Math.min(wall(stack.pusher, bench.requirement.pusher.proudMm), (bench.requirement.pusher.face.outerMm + Math.max(stack.pusher.innerMm, bench.requirement.pusher.face.innerMm)) / 4);
      return [p(r, s.pusherTop + Math.min(4, stack.pusher.heightMm / 4)), p(r, s.pusherBottom)];
    }
    case 'hub': return s.hub!.flangeUp ? [p((h.journalMm + h.boreMm) / 4, s.hub!.shoulder - h.overhangMm / 2), p((h.journalMm + h.boreMm) / 4, s.hub!.shoulder + b.widthMm * 0.4)] : [p((h.journalMm + h.boreMm) / 4, s.hub!.shoulder - h.journalLengthMm + 4), p((h.journalMm + h.boreMm) / 4, mid)];
    case 'inner': return s.operation === 'hub-in' && !s.hub!.flangeUp ? [p(innerR, mid)] : [p(innerR, s.bearingTop + b.widthMm * (s.operation === 'hub-in' ? 0.72 : 0.25)), ...(s.operation === 'hub-in' ? [p(innerR, s.bearingTop + b.widthMm - 1)] : [])];
    case 'balls': return [p(pc, s.bearingTop + z[0])];
    case 'outer': return [p(outerR, s.bearingTop + b.widthMm * 0.3), p(outerR, s.bearingTop + b.widthMm * 0.6)];
    case 'knuckle': {
      const r = Math.max(k.boreMm / 2 + 5, Math.min(stack.support.outerMm / 2 - 3, (k.boreMm / 2 + k.bossOuterMm / 2) / 2));
      const lower = wall(stack.support, bench.requirement.support.proudMm);
      return [p(r, Math.min(k.bossDepthMm * 0.7, Math.max(k.bossDepthMm * 0.35, mid + 6))), p(Math.max(lower, k.boreMm / 2), k.bossDepthMm - 2)];
    }
    case 'support': return [p(wall(stack.support, bench.requirement.support.proudMm), s.supportTop + 3), p(wall(stack.support, bench.requirement.support.proudMm), s.supportBottom)];
    case 'bed': return [p(wall(stack.support, bench.requirement.support.proudMm), s.supportBottom + 6)];
  }
}

/** Heights of the pieces on the left. */
function Heights({ f }: { f: Frame }) {
  const { scene: s, stack, at, y, marks } = f;
  const x = (a: Adapter) => Math.max(34, rx(at, -a.outerMm / 2) - 20);
  return (
    <g>
      <Dim marks={marks} from={[x(stack.pusher), y(s.pusherTop)]} to={[x(stack.pusher), y(s.pusherBottom)]} text={String(stack.pusher.heightMm)} />
      <Dim marks={marks} from={[x(stack.support), y(s.supportTop)]} to={[x(stack.support), y(s.supportBottom)]} text={String(stack.support.heightMm)} />
    </g>
  );
}

/** The stack from top to bottom, in the order that the list names it. */
export function stackList(stack: Stack, bench: Bench): { key: string; kit: boolean; name: string; size: string; role?: 'cap' | 'pusher' | 'support' }[] {
  const size = (a: Adapter) => `${a.outerMm} × ${a.innerMm || '–'} × ${a.heightMm}`;
  const { bearing: b, knuckle: k, hub: h } = bench.work;
  const o = bench.requirement.operation;
  const work = {
    bearing: { key: 'bearing', kit: false, name: o === 'bearing-out' || o === 'hub-out' ? 'Old bearing' : 'Bearing', size: `${b.outerMm} × ${b.boreMm} × ${b.widthMm}` },
    knuckle: { key: 'knuckle', kit: false, name: 'Knuckle', size: `bore ${k.boreMm} × ${k.seatDepthMm}` },
    hub: { key: 'hub', kit: false, name: 'Hub', size: `journal ${h.journalMm} × ${h.journalLengthMm}` },
  };
  const parts = { 'hub-out': [work.hub, work.bearing, work.knuckle], 'bearing-out': [work.bearing, work.knuckle], 'bearing-in': [work.bearing, work.knuckle], 'hub-in': [work.hub, work.bearing, work.knuckle] }[o];
  return [
    ...(stack.cap ? [{ key: 'cap', kit: true, name: stack.cap.name, size: size(stack.cap), role: 'cap' as const }] : []),
    { key: 'pusher', kit: true, name: stack.pusher.name, size: size(stack.pusher), role: 'pusher' },
    ...parts,
    { key: 'support', kit: true, name: stack.support.name, size: size(stack.support), role: 'support' },
  ];
}

function Balloons({ f }: { f: Frame }) {
  const { scene: s, stack, bench, at, y, marks } = f;
  const { bearing: b, knuckle: k, hub: h } = bench.work;
  const where: Record<string, Point> = {
    cap: [(stack.cap?.outerMm ?? 0) / 2 - 3, s.capTop === undefined ? 0 : (s.capTop + s.pusherTop) / 2],
    pusher: [stack.pusher.outerMm / 2 - 1.5, s.pusherTop + stack.pusher.heightMm * 0.45],
    bearing: [b.outerMm / 2 - 2, s.bearingTop + b.widthMm * 0.12],
    knuckle: [k.bossOuterMm / 2 - 4, k.bossDepthMm * 0.5],
    hub: s.hub ? [h.flangeMm / 2 - 6, s.hub.flangeUp ? s.hub.shoulder - h.overhangMm + 5 : s.hub.shoulder + h.overhangMm - 5] : [0, 0],
    support: [stack.support.outerMm / 2 - 3, (Math.max(s.supportTop, k.bossDepthMm) + s.supportBottom) / 2],
  };
  const list = stackList(stack, bench).map((p, i) => ({ ...p, n: i + 1, from: [rx(at, where[p.key]![0]), y(where[p.key]![1])] as Point })).sort((a, z) => a.from[1] - z.from[1]);
  const x = Math.min(axisX + s.radius * at.u + 38, 548);
  let last = -Infinity;
  return (
    <g>
      {list.map((p) => {
        const yy = Math.max(p.from[1], last + 32);
        last = yy;
        return <g key={p.key}><path className="ldr" markerStart={marks.dot} d={`M${p.from[0]} ${p.from[1]}L${x - 14} ${yy}`} /><circle className={`bal${p.kit ? ' k' : ''}`} cx={x} cy={yy} r="14" /><text className="n b" x={x} y={yy + 5} textAnchor="middle">{p.n}</text></g>;
      })}
    </g>
  );
}
