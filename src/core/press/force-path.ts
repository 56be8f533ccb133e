import { opposite } from '../parts.ts';
import type { Verdict } from '../verdict.ts';
import { dentOf } from './contact.ts';
import { bearingInnerMm, type Adapter } from './kit.ts';
import type { Bench, Stack } from './stack.ts';

export type PathNode = 'ram' | 'cap' | 'pusher' | 'hub' | 'inner' | 'balls' | 'outer' | 'knuckle' | 'support' | 'bed';

export interface ForcePath {
  /** Parts that carry the force, from ram to bed; empty when the stack cannot carry any. */
  nodes: PathNode[];
  throughBalls: boolean;
  verdicts: Verdict[];
}

/** Radial overlap of a piece's face with an annulus, mm. */
const overlap = (a: Adapter, proudMm: number, innerMm: number, outerMm: number): number =>
  Math.max(0, (Math.min(a.outerMm, outerMm) - Math.max(bearingInnerMm(a, proudMm), innerMm)) / 2);

const touch = 0.1;

/** ISO 76 static axial factor Y0 of one row by contact angle in degrees (memory). */
const axialFactors: readonly (readonly [number, number])[] = [[15, 0.46], [20, 0.42], [25, 0.38], [30, 0.33], [35, 0.29], [40, 0.26], [45, 0.22]];

/**
 * Axial force on one row at which the static rating is reached, kN: C0 of the row over Y0 (ISO 76).
 * At that load the lasting dent is 0.0001 of the ball; a blow or a jump at the shoulder goes beyond it.
 */
export function staticAxialKn(doubleRowStaticKn: number, contactAngleDeg: number): number {
  const factor = axialFactors.reduce((best, row) => (Math.abs(row[0] - contactAngleDeg) < Math.abs(best[0] - contactAngleDeg) ? row : best));
  return doubleRowStaticKn / 2 / factor[1];
}

/**
 * Follows the force from ram to bed over the contacts that this stack really makes.
 * A contact list is a graph; the balls are a bridge that is only crossed when there is no other way,
 * or when both rings are loaded at once, since then they share.
 */
export function forcePath(s: Stack, bench: Bench): ForcePath {
  const edges = contacts(s, bench);
  const nodes = lightestWay(edges);
  const bothRings = edges.some(([a, b]) => isPair(a, b, ['pusher', 'inner'])) && edges.some(([a, b]) => isPair(a, b, ['pusher', 'outer']));
  const throughBalls = nodes.includes('balls') || (bothRings && bench.requirement.operation === 'bearing-in');
  return { nodes: throughBalls && !nodes.includes('balls') ? viaBalls(edges) : nodes, throughBalls, verdicts: pathVerdicts(nodes, throughBalls, bench) };
}

function pathVerdicts(nodes: PathNode[], throughBalls: boolean, { requirement, work, forceKn }: Bench): Verdict[] {
  if (nodes.length === 0) return [{ status: 'stop', rule: 'press.no-path', text: 'No unbroken way for the force from ram to bed: a piece misses what it should carry.', source: 'geometry of the parts' }];
  const fitting = requirement.operation === 'bearing-in' || requirement.operation === 'hub-in';
  const ring = requirement.operation === 'bearing-in' || requirement.operation === 'bearing-out' ? 'outer' : 'inner';
  if (!throughBalls) return [{ status: 'good', rule: 'press.path', text: `Force runs through the ${ring} ring. No ball carries any of it.`, source: 'geometry of the parts' }];
  if (!fitting) return [{ status: 'good', rule: 'press.scrap', text: 'Force crosses the balls. Allowed on removal: the old bearing is scrap.', source: 'common practice' }];
  const limit = staticAxialKn(work.bearing.staticRatingKn, work.bearing.contactAngleDeg);
  const dent = dentOf(forceKn.high, limit, work.bearing.ballMm);
  return [{
    status: 'stop',
    rule: 'press.through-balls',
    value: forceKn.likely,
    limit: '0 kN through the balls of a new bearing',
    text: `Balls carry ${forceKn.likely.toFixed(0)} kN (${forceKn.low.toFixed(0)}–${forceKn.high.toFixed(0)}), ${Math.round((100 * forceKn.high) / limit)} % of the row's static axial rating before any blow, ${dent.stressMpa.toFixed(0)} MPa in the contact: dents of about ${dent.depthUm < 0.1 ? 'under 0.1' : dent.depthUm.toFixed(1)} µm that nobody sees and everybody hears later.`,
    source: `static axial rating C0/Y0 ${limit.toFixed(0)} kN and contact stress, ISO 76; dent by the square of the load, Palmgren`,
  }];
}

type Edge = readonly [PathNode, PathNode];
const isPair = (a: PathNode, b: PathNode, pair: Edge) => (a === pair[0] && b === pair[1]) || (a === pair[1] && b === pair[0]);

/** The contacts of this stack with the parts, and of the parts with each other. */
function contacts(s: Stack, { work, requirement }: Bench): Edge[] {
  const { bearing: b, knuckle: k, hub: h } = work;
  const { operation, pusher: pn, support: sn } = requirement;
  const edges: Edge[] = [['support', 'bed'], ['inner', 'balls'], ['balls', 'outer'], ['outer', 'knuckle']];
  edges.push(...(s.cap ? [['ram', 'cap'], ['cap', 'pusher']] as const : [['ram', 'pusher']] as const));
  const reach = (role: 'pusher' | 'support', node: PathNode, innerMm: number, outerMm: number) => {
    const need = role === 'pusher' ? pn : sn;
    if (overlap(s[role], need.proudMm, innerMm, outerMm) > touch) edges.push([role, node]);
  };
  switch (operation) {
    case 'bearing-in':
      reach('pusher', 'outer', b.outerFaceInnerMm, b.outerMm);
      reach('pusher', 'inner', b.boreMm, b.innerFaceOuterMm);
      reach('support', 'knuckle', k.shoulderMm, k.farFaceOuterMm);
      break;
    case 'bearing-out':
      reach('pusher', 'outer', b.outerFaceInnerMm, k.shoulderMm);
      reach('pusher', 'inner', b.boreMm, b.innerFaceOuterMm);
      reach('support', 'knuckle', k.boreMm, k.bossOuterMm);
      break;
    case 'hub-in': {
      edges.push(['hub', 'inner']);
      reach('pusher', 'hub', h.boreMm, h.flangeMm);
      reach('support', 'inner', b.boreMm, b.innerFaceOuterMm);
      reach('support', 'outer', b.outerFaceInnerMm, b.outerMm);
      const snapFaceDown = k.snapRingSide === opposite(requirement.up);
      reach('support', 'knuckle', snapFaceDown ? k.boreMm : k.shoulderMm, snapFaceDown ? k.bossOuterMm : k.farFaceOuterMm);
      // What stands proud meets the support first: the knuckle before either ring, so a wide support leaves the inner ring in the air.
      if (edges.some(([from, to]) => from === 'support' && to === 'knuckle')) return edges.filter(([from, to]) => !(from === 'support' && to !== 'knuckle' && to !== 'bed'));
      break;
    }
    case 'hub-out':
      edges.push(['hub', 'inner']);
      reach('pusher', 'hub', h.boreMm, h.journalMm);
      reach('support', 'knuckle', k.snapRingSide === 'outboard' ? k.boreMm : k.shoulderMm, k.wheelSideReachMm);
      break;
  }
  return edges;
}

/** Shortest way from ram to bed that avoids the balls if it can. */
function lightestWay(edges: readonly Edge[]): PathNode[] {
  return walk(edges.filter((e) => !e.includes('balls'))) ?? walk(edges) ?? [];
}

/** The shared way, drawn through the ring that must not be loaded. */
function viaBalls(edges: readonly Edge[]): PathNode[] {
  return walk(edges.filter(([a, b]) => !isPair(a, b, ['pusher', 'outer']))) ?? [];
}

function walk(edges: readonly Edge[]): PathNode[] | undefined {
  const from = new Map<PathNode, PathNode | undefined>([['ram', undefined]]);
  const queue: PathNode[] = ['ram'];
  for (let node = queue.shift(); node !== undefined; node = queue.shift()) {
    if (node === 'bed') {
      const way: PathNode[] = [];
      for (let n: PathNode | undefined = node; n !== undefined; n = from.get(n)) way.unshift(n);
      return way;
    }
    for (const [a, b] of edges) {
      const next = a === node ? b : b === node ? a : undefined;
      if (next !== undefined && !from.has(next)) {
        from.set(next, node);
        queue.push(next);
      }
    }
  }
  return undefined;
}
