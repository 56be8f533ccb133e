import { gravestFirst, verdict, type Verdict, worst } from '../verdict.ts';
import { forcePath, forcePaths } from './force-path.ts';
import { type Hull, hullOf, sameKind, type Span, widest } from './hull.ts';
import { judgeKnown, judgePieces } from './judge-stack.ts';
import type { Adapter } from './kit.ts';
import { score } from './score.ts';
import { type Solution, solveKnown, type SolveResult } from './solve.ts';
import {
  type Judgement,
  type Open,
  type OpenFigure,
  roles,
  type Setup,
  type Stack,
} from './stack.ts';

/** Lays a stroke out with some figures set, the others as they are drawn; undefined where it cannot be. */
export type SetupWith = (values: ReadonlyMap<string, number>) => Setup | undefined;

/** The same, undefined also where the sizes cannot be pressed into one another at all. */
const laid =
  (setupWith: SetupWith): SetupWith =>
  (values) => {
    try {
      return setupWith(values);
    } catch (e) {
      if (e instanceof RangeError) return undefined;
      throw e;
    }
  };

const at = (mm: number): Span => ({ low: mm, high: mm });
const ends = ({ low, high }: Span): number[] => (low === high ? [low] : [low, high]);

/** Every combination of the ends of spans. */
function cornersOf(spans: ReadonlyMap<string, Span>): Map<string, number>[] {
  return [...spans].reduce<Map<string, number>[]>(
    (all, [path, span]) =>
      all.flatMap((m) => ends(span).map((value) => new Map([...m, [path, value]]))),
    [new Map()],
  );
}

/**
 * Figures that have to be read before anything can be laid out: with them the way to go changes, or what the stroke asks
 * for at all, not only how much of it.
 */
export function decidingFigures(
  figures: readonly OpenFigure[],
  setupWith: SetupWith,
): OpenFigure[] {
  const drawn = setupWith(new Map());
  return figures.filter(({ path, span }) =>
    ends(span).some((value) => {
      const moved = laid(setupWith)(new Map([[path, value]]));
      return !drawn || !moved || !sameKind(drawn, moved);
    }),
  );
}

/** A setup of which some figures are not known; undefined where one of them decides more than a size. */
export function openSetup(
  figures: readonly OpenFigure[],
  drawn: ReadonlyMap<string, number>,
  setupWith: SetupWith,
): Setup | undefined {
  const shown = setupWith(new Map());
  if (!shown || figures.length === 0) return shown;
  const own = new Map(figures.map((f) => [f.path, f.span]));
  const setupsIn = (spans: ReadonlyMap<string, Span>) =>
    cornersOf(spans).map((values) => laid(setupWith)(values));
  const all = setupsIn(own).flatMap((s) => s ?? []);
  if (!sameKind(shown, ...all)) return undefined;
  const within = (spans: ReadonlyMap<string, Span>) =>
    hullOver(setupsIn(new Map([...own, ...spans])));
  const forceKn = widest(all.map((s) => s.forceKn));
  return { ...shown, forceKn, open: { ...within(own), figures, within, drawn } };
}

/** The hull of all corners; where one cannot be laid out nothing bounds what lies towards it, and no stack passes. */
function hullOver(corners: readonly (Setup | undefined)[]): Hull {
  const hull = hullOf(corners.flatMap((s) => s ?? []));
  if (!corners.includes(undefined)) return hull;
  return { ...hull, hard: { ...hull.hard, forceKn: { ...hull.hard.forceKn, high: Infinity } } };
}

/**
 * Judges a stack: Good only where it is good for every value that the unknown figures can have, Stop where it is wrong
 * for every one, otherwise Check until something more is measured.
 */
export function judgeStack(s: Stack, setup: Setup): Judgement {
  const { open } = setup;
  if (!open) return judgeKnown(s, setup);
  const { verdicts } = judgeOpen(s, open);
  const path = forcePath(s, setup);
  return { status: worst(verdicts), verdicts, path, score: score(s, setup) };
}

/** All that can be said of a stack, for one value or another of what is unknown. */
const possibly = (s: Stack, hard: Setup): Verdict[] =>
  gravestFirst([...forcePaths(s, hard).flatMap((p) => p.verdicts), ...judgePieces(s, hard)]);

/** Whether a stack is never wrong, whatever is measured of what is unknown. */
const isSettled = (s: Stack, hard: Setup): boolean => worst(possibly(s, hard)) !== 'stop';

/** What is wrong with a stack whatever is measured. */
function surely(s: Stack, easy: Setup): Verdict[] {
  const ways = forcePaths(s, easy).map((p) => p.verdicts);
  // A way that the force takes for some values only says nothing for sure.
  const always = (ways[0] ?? []).filter((v) =>
    ways.every((way) => way.some((w) => w.rule === v.rule)),
  );
  return gravestFirst([...always, ...judgePieces(s, easy)]);
}

const onceEachRule = (verdicts: readonly Verdict[]): Verdict[] =>
  verdicts.filter(
    (v, i) => verdicts.findIndex((o) => o.rule === v.rule && o.role === v.role) === i,
  );

function judgeOpen(s: Stack, { hard, easy }: Open): { verdicts: Verdict[] } {
  if (isSettled(s, hard)) return { verdicts: onceEachRule(possibly(s, hard)) };
  const wrong = surely(s, easy);
  if (worst(wrong) === 'stop') return { verdicts: wrong };
  const seen = wrong.filter((v) => v.status === 'check');
  return { verdicts: [verdict('press.unmeasured'), ...seen] };
}

/** One figure that a stack still waits for, and what it has to show for the stack to be right. */
export interface StillOpen {
  figure: OpenFigure;
  min?: number;
  max?: number;
}

/** Figures without which a stack is not settled, in the order of reach; what is usual stands in for the others. */
function waitsFor(s: Stack, open: Open): OpenFigure[] {
  const pins = (free: readonly OpenFigure[]) =>
    new Map(
      open.figures
        .filter((f) => !free.includes(f))
        .map((f) => [f.path, at(open.drawn.get(f.path) ?? f.span.low)] as const),
    );
  const settledWith = (free: readonly OpenFigure[]) => isSettled(s, open.within(pins(free)).hard);
  if (!settledWith([])) return [...open.figures];
  const alone = open.figures.filter((f) => !settledWith([f]));
  const rest = open.figures.filter((f) => !alone.includes(f));
  // Together the others may still matter: as few of them as settle it are asked for too.
  while (rest.length > 0 && !settledWith(rest)) alone.push(rest.shift()!);
  return open.figures.filter((f) => alone.includes(f));
}

/** How near the limit of a figure is worked out, mm. */
const nearMm = 0.05;

/** Limits of one figure within which a stack can still be right, searched from the value it is drawn with. */
function limitsFor(s: Stack, open: Open, figure: OpenFigure, only: boolean): StillOpen {
  const { path, span } = figure;
  const holds = (mm: number) => {
    const { hard, easy } = open.within(new Map([[path, at(mm)]]));
    return only ? isSettled(s, hard) : worst(surely(s, easy)) !== 'stop';
  };
  const from = open.drawn.get(path) ?? span.low;
  if (!holds(from)) return { figure };
  const edge = (end: number): number | undefined => {
    if (holds(end)) return undefined;
    let [inside, outside] = [from, end];
    while (Math.abs(outside - inside) > nearMm) {
      const mid = (inside + outside) / 2;
      if (holds(mid)) inside = mid;
      else outside = mid;
    }
    return inside;
  };
  const [min, max] = [edge(span.low), edge(span.high)];
  return {
    figure,
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
  };
}

/**
 * What would settle a stack that is not settled, in the order of reach: the figure that is read next with what it has to
 * show, and those behind it, whose limits follow once it is read; empty where it is settled.
 */
export function toSettle(s: Stack, { open }: Setup): StillOpen[] {
  if (!open || isSettled(s, open.hard) || worst(surely(s, open.easy)) === 'stop') return [];
  const [first, ...rest] = waitsFor(s, open);
  if (!first) return [];
  return [limitsFor(s, open, first, rest.length === 0), ...rest.map((figure) => ({ figure }))];
}

/** More stacks than are shown are held against each other by how little they still wait for. */
const looked = 8;
const sameStack = (a: Stack, b: Stack) => roles.every((r) => a[r]?.id === b[r]?.id);

/**
 * The best stacks of a kit for one stroke, at most `most` of them. Where figures are unknown, first those that are right
 * whatever is measured, then those that wait for the least.
 */
export function solve(kit: readonly Adapter[], setup: Setup, most = 5): SolveResult {
  const { open } = setup;
  if (!open) return solveKnown(kit, setup, most);
  const { open: _open, ...drawn } = setup;
  const sure = solveKnown(kit, open.hard, most).solutions;
  const likely = solveKnown(kit, drawn, looked);
  const stacks = [...sure, ...likely.solutions].map((x) => x.stack);
  const own = stacks.filter((s, i) => stacks.findIndex((o) => sameStack(o, s)) === i);
  const solutions = own
    .map((stack): Solution & { waits: number } => {
      const judgement = judgeStack(stack, setup);
      const settled = judgement.status === 'stop' || isSettled(stack, open.hard);
      return { stack, judgement, waits: settled ? 0 : waitsFor(stack, open).length };
    })
    .filter((x) => x.judgement.status !== 'stop')
    .sort((a, b) => a.waits - b.waits || b.judgement.score - a.judgement.score)
    .slice(0, most)
    .map(({ stack, judgement }) => ({ stack, judgement }));
  return { solutions, missing: solutions.length > 0 ? [] : likely.missing };
}
