import { type Adapter, judgePiece, type Setup, solve } from '../../src/core/press/index.ts';
import { exampleSetups, nearSizes, piece } from '../../tests/example.ts';
import { hold, median, timed } from './hold.ts';

/** A kit of 200: every third piece near a size that fits, so that the joining has work to do. */
function kit(): Adapter[] {
  const near: readonly [number, number, number][] = [
    [75, 68, 30],
    [74, 0, 12],
    [110, 84, 20],
    [52, 41, 60],
    [80, 0, 25],
    [38, 0, 70],
    [200, 140, 100],
    [50, 0, 65],
    [98, 80, 62],
  ];
  return Array.from({ length: 200 }, (_, i) => {
    const [o, inner, h] = near[i % near.length]!;
    const off = i % 3 === 0 ? (i % 7) * 0.1 : ((i * 37) % 60) - 30;
    return piece(
      `p${i}`,
      Math.max(12, o + off),
      inner === 0 ? 0 : Math.max(6, Math.min(o + off - 2, inner + off)),
      h + (i % 5),
    );
  });
}

/** Kits of 200 in which nearly everything fits somewhere: the most that a stroke can give the solver to join. */
const crowded = (b: Setup): Adapter[] => {
  const near = nearSizes(b);
  return Array.from({ length: 200 }, (_, i) => {
    const [o, inner, h, shape] = near[i % near.length]!;
    return piece(
      `c${i}`,
      o + (i % 7) * 0.05,
      inner === 0 ? 0 : inner + (i % 5) * 0.05,
      h + (i % 11),
      { shape, ...(shape === 'half-shells' ? { recessMm: h - 5 } : {}) },
    );
  });
};

/** The solver on a kit of 200 for every stroke and its tools. */
export function solver(): void {
  const pieces = kit();
  const strokes200 = exampleSetups().flatMap(({ label, setup }) => [
    { label, setup, kit: pieces },
    { label: `${label}, crowded`, setup, kit: crowded(setup) },
  ]);
  const solverMs = strokes200.map((s) => ({
    ...s,
    ms: timed(() => solve(s.kit, s.setup), 9),
    found: solve(s.kit, s.setup).solutions.length,
  }));
  const worstStroke = solverMs.reduce((w, s) => (s.ms > w.ms ? s : w));
  const siftMs = timed(() =>
    worstStroke.kit.forEach((p) => {
      judgePiece(p, 'pusher', worstStroke.setup.requirement.pusher, worstStroke.setup.forceKn);
      judgePiece(p, 'support', worstStroke.setup.requirement.support, worstStroke.setup.forceKn);
    }),
  );
  hold(
    'solver, 200 pieces, worst stroke of all',
    worstStroke.ms,
    20,
    'ms',
    `${worstStroke.label}, ${(worstStroke.ms / siftMs).toFixed(1)} × a bare sift; median ${median(solverMs.map((s) => s.ms)).toFixed(1)} ms of ${solverMs.length} (17 strokes, their tools, two kits); ${solverMs.filter((s) => s.found > 0).length} with a stack`,
  );
}
