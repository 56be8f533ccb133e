import { verdict, type Verdict } from '../verdict.ts';
import { dentOf } from './contact.ts';
import { contactsAt } from './contacts.ts';
import type { PartNode } from './requirement.ts';
import type { Setup, Stack } from './stack.ts';

export type PathNode = PartNode | 'ram' | 'cap' | 'pusher' | 'support' | 'riser' | 'bed';

export interface ForcePath {
  /** Parts that carry the force, from ram to bed; empty when the stack cannot carry any. */
  nodes: PathNode[];
  throughBalls: boolean;
  verdicts: Verdict[];
}

/**
 * Follows the force from ram to bed over the contacts that this stack really makes.
 * A contact list is a graph; the balls are a bridge that is only crossed when there is no other way,
 * or when both rings are loaded at once, since then they share.
 */
export function forcePath(s: Stack, setup: Setup): ForcePath {
  const [first] = forcePaths(s, setup) as [ForcePath];
  return first;
}

/** Every way that the force can take for some value of what is unknown; one where all is known. */
export function forcePaths(s: Stack, setup: Setup): ForcePath[] {
  return contacts(s, setup).map((edges) => pathOver(edges, setup));
}

function pathOver(edges: readonly Edge[], setup: Setup): ForcePath {
  const nodes = lightestWay(edges);
  const both = (['inner', 'outer'] as const).every((ring) =>
    edges.some((e) => e.includes(ring) && loads.some((by) => e.includes(by))),
  );
  const throughBalls =
    nodes.includes('balls') || (both && (setup.requirement.fitting || setup.usedAgain === true));
  return {
    nodes: throughBalls && !nodes.includes('balls') ? (viaBalls(edges) ?? nodes) : nodes,
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

/** What presses on the work from above. */
const loads: readonly PathNode[] = ['pusher', 'cap'];

type Edge = readonly [PathNode, PathNode];

/** The contacts of this stack with the parts, and of the parts with each other, as they can be. */
function contacts(s: Stack, { requirement: r }: Setup): Edge[][] {
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
  const below = contactsAt('support', s, r);
  return contactsAt('pusher', s, r).flatMap((above) =>
    below.map((under) => [...edges, ...above, ...under]),
  );
}

/** Shortest way from ram to bed that avoids the balls if it can. */
function lightestWay(edges: readonly Edge[]): PathNode[] {
  return walk(edges.filter((e) => !e.includes('balls'))) ?? walk(edges) ?? [];
}

/** The shared way, drawn through the ring that must not be loaded. */
function viaBalls(edges: readonly Edge[]): PathNode[] | undefined {
  const ways = (['outer', 'inner'] as const).map(
    (right) =>
      walk(edges.filter((e) => !(e.includes(right) && loads.some((by) => e.includes(by))))) ?? [],
  );
  return ways.find((w) => w.includes('balls'));
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
