import { verdict, type Verdict } from '../verdict.ts';
import { dentOf } from './contact.ts';
import { type Adapter, bearingInnerMm } from './kit.ts';
import type { PartNode, Requirement, Touch } from './requirement.ts';
import type { Setup, Stack } from './stack.ts';

export type PathNode = PartNode | 'ram' | 'cap' | 'pusher' | 'support' | 'riser' | 'bed';

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

/**
 * Follows the force from ram to bed over the contacts that this stack really makes.
 * A contact list is a graph; the balls are a bridge that is only crossed when there is no other way,
 * or when both rings are loaded at once, since then they share.
 */
export function forcePath(s: Stack, setup: Setup): ForcePath {
  const edges = contacts(s, setup);
  const nodes = lightestWay(edges);
  const both = (['inner', 'outer'] as const).every((ring) =>
    edges.some((e) => isPair(...e, ['pusher', ring])),
  );
  const throughBalls =
    nodes.includes('balls') || (both && (setup.requirement.fitting || setup.usedAgain === true));
  return {
    nodes: throughBalls && !nodes.includes('balls') ? viaBalls(edges) : nodes,
    throughBalls,
    verdicts: pathVerdicts(nodes, throughBalls, setup),
  };
}

function pathVerdicts(
  nodes: PathNode[],
  throughBalls: boolean,
  { requirement: r, forceKn, usedAgain }: Setup,
): Verdict[] {
  if (nodes.length === 0) return [verdict('press.no-path')];
  if (!throughBalls || !r.row)
    return [verdict('press.path', { part: r.carries, with: { rows: r.row ? 1 : 0 } })];
  if (!r.fitting && !usedAgain) return [verdict('press.scrap')];
  const limitKn = r.row.staticAxialKn;
  const dent = dentOf(forceKn.high, limitKn, r.row.ballMm);
  return [
    verdict('press.through-balls', {
      part: r.fitting ? 'new bearing' : 'bearing that goes back',
      value: forceKn.likely,
      max: 0,
      unit: 'kN',
      with: {
        low: forceKn.low.toFixed(0),
        high: forceKn.high.toFixed(0),
        percent: Math.round((100 * forceKn.high) / limitKn),
        stress: dent.stressMpa.toFixed(0),
        dent: dent.depthUm < 0.1 ? 'under 0.1' : dent.depthUm.toFixed(1),
      },
    }),
  ];
}

type Edge = readonly [PathNode, PathNode];
const isPair = (a: PathNode, b: PathNode, pair: Edge) =>
  (a === pair[0] && b === pair[1]) || (a === pair[1] && b === pair[0]);

/** The contacts of this stack with the parts, and of the parts with each other. */
function contacts(s: Stack, { requirement: r }: Setup): Edge[] {
  const edges: Edge[] = [
    ...r.joins,
    ...(s.cap
      ? ([
          ['ram', 'cap'],
          ['cap', 'pusher'],
        ] as const)
      : ([['ram', 'pusher']] as const)),
  ];
  if (s.support)
    edges.push(
      ...(s.riser
        ? ([
            ['support', 'riser'],
            ['riser', 'bed'],
          ] as const)
        : ([['support', 'bed']] as const)),
    );
  const reached = r.touches.filter((t) => {
    const piece = s[t.role];
    return piece !== undefined && reaches(piece, t, r);
  });
  // What stands proud is met before anything else on that side.
  for (const t of reached)
    if (t.first || !reached.some((x) => x.first && x.role === t.role)) edges.push([t.role, t.node]);
  return edges;
}

const reaches = (a: Adapter, t: Touch, r: Requirement): boolean =>
  overlap(a, (t.role === 'pusher' ? r.pusher : r.support)?.proudMm ?? 0, t.innerMm, t.outerMm) >
  touch;

/** Which parts a piece touches in a place, as a key: two pieces with the same key carry the force the same way. */
export const touchKey = (a: Adapter, role: Touch['role'], r: Requirement): string =>
  r.touches.map((t) => (t.role === role && reaches(a, t, r) ? 1 : 0)).join('');

/** Shortest way from ram to bed that avoids the balls if it can. */
function lightestWay(edges: readonly Edge[]): PathNode[] {
  return walk(edges.filter((e) => !e.includes('balls'))) ?? walk(edges) ?? [];
}

/** The shared way, drawn through the ring that must not be loaded. */
function viaBalls(edges: readonly Edge[]): PathNode[] {
  const ways = (['outer', 'inner'] as const).map(
    (right) => walk(edges.filter(([a, b]) => !isPair(a, b, ['pusher', right]))) ?? [],
  );
  return ways.find((w) => w.includes('balls')) ?? [];
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
      if (a !== node && b !== node) continue;
      const next = a === node ? b : a;
      if (!from.has(next)) {
        from.set(next, node);
        queue.push(next);
      }
    }
  }
  return undefined;
}
