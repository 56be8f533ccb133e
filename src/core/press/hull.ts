import { type Band, band } from '../verdict.ts';
import type { Need, Requirement, Touch, Window } from './requirement.ts';
import type { Setup } from './stack.ts';

/** Where a figure can lie, mm. */
export interface Span {
  low: number;
  high: number;
}

/** What a stroke asks when not all is known: the most that any value can ask, and the least. */
export interface Hull {
  /** Who passes here passes whatever is measured. */
  hard: Setup;
  /** Who fails here fails whatever is measured. */
  easy: Setup;
}

type Pick<T> = (of: T) => number | undefined;
const least = <T>(of: readonly T[], pick: Pick<T>, none = -Infinity): number =>
  Math.min(...of.map((x) => pick(x) ?? none));
const most = <T>(of: readonly T[], pick: Pick<T>, none = Infinity): number =>
  Math.max(...of.map((x) => pick(x) ?? none));
const spanOf = <T>(of: readonly T[], pick: (x: T) => number): Span => ({
  low: least(of, pick),
  high: most(of, pick),
});

/** What of two setups has to be the same for one hull: their windows, faces and contacts, and the way to go. */
const kindOf = ({ requirement: r }: Setup): string =>
  JSON.stringify([
    [r.pusher, r.support].map((n) => n?.windows.map((w) => [w.measure, w.rule])),
    r.touches.map((t) => [t.role, t.node]),
    r.joins,
    r.hammer.allowed,
    r.drawn,
    r.travelMm,
    r.seat.kind,
    r.seat.fit.diameterMm,
  ]);

/** Whether setups of a stroke differ only in figures of their pieces: same windows, same contacts, same way. */
export function sameKind(first: Setup, ...others: readonly Setup[]): boolean {
  const kind = kindOf(first);
  return others.every((s) => kindOf(s) === kind);
}

/**
 * The hull of setups that differ in their figures. Each figure of a requirement grows or falls steadily with each
 * measure of the corner, so those at the ends of all measures together bound it. They have to be of one kind: see
 * `sameKind`. Throws RangeError for none.
 */
export function hullOf(setups: readonly Setup[]): Hull {
  const [first] = setups;
  if (!first) throw new RangeError('setups: at least one');
  const forces = setups.map((s) => s.forceKn);
  const of = (hard: boolean): Setup => ({
    ...first,
    requirement: bound(
      setups.map((s) => s.requirement),
      hard,
    ),
    forceKn: hard ? widest(forces) : lightest(forces),
  });
  return { hard: of(true), easy: of(false) };
}

/** A force that is any of several: its likely value is the middle of theirs. */
export function widest(forces: readonly Band[]): Band {
  const likely = spanOf(forces, (f) => f.likely);
  return band(
    least(forces, (f) => f.low),
    (likely.low + likely.high) / 2,
    most(forces, (f) => f.high),
  );
}
const lightest = (forces: readonly Band[]): Band =>
  band(
    least(forces, (f) => f.low),
    least(forces, (f) => f.likely),
    least(forces, (f) => f.high),
  );

function bound(all: readonly Requirement[], hard: boolean): Requirement {
  const [first] = all as readonly [Requirement, ...Requirement[]];
  const [asks, allows] = hard ? [most, least] : [least, most];
  const needs = (pick: (r: Requirement) => Need | undefined) =>
    boundNeed(
      all.flatMap((r) => pick(r) ?? []),
      hard,
    );
  return {
    ...first,
    pusher: needs((r) => r.pusher),
    ...(first.support ? { support: needs((r) => r.support) } : {}),
    travelMm: asks(all, (r) => r.travelMm),
    workHeightMm: asks(all, (r) => r.workHeightMm),
    followMm: asks(all, (r) => r.followMm),
    entryMm: allows(all, (r) => r.entryMm),
    riserMm: asks(all, (r) => r.riserMm),
    throughMm: allows(all, (r) => r.throughMm),
    touches: first.touches.map((_, i) => boundTouch(all.map((r) => r.touches[i]!))),
  };
}

function boundNeed(all: readonly Need[], hard: boolean): Need {
  const [first] = all as readonly [Need, ...Need[]];
  const [asks, allows] = hard ? [most, least] : [least, most];
  return {
    ...first,
    face: {
      ...first.face,
      innerMm: asks(all, (n) => n.face.innerMm),
      outerMm: allows(all, (n) => n.face.outerMm),
      leastMm: asks(all, (n) => n.face.leastMm),
    },
    proudMm: asks(all, (n) => n.proudMm),
    windows: first.windows.map((w, i): Window => {
      const of = all.map((n) => n.windows[i]!);
      const min = asks(of, (x) => x.min, -Infinity);
      const max = allows(of, (x) => x.max, Infinity);
      const { min: _min, max: _max, ...rest } = w;
      return {
        ...rest,
        ...(Number.isFinite(min) ? { min } : {}),
        ...(Number.isFinite(max) ? { max } : {}),
      };
    }),
  };
}

/** A face that can lie anywhere between several places. */
function boundTouch(all: readonly Touch[]): Touch {
  const [first] = all as readonly [Touch, ...Touch[]];
  const reach = {
    innerMm: spanOf(all, (t) => t.innerMm),
    outerMm: spanOf(all, (t) => t.outerMm),
    proudMm: spanOf(all, (t) => t.proudMm ?? 0),
  };
  const known = Object.values(reach).every((s) => s.low === s.high);
  return known ? first : { ...first, reach };
}
