import type { Adapter, Setup, Body, Place, Stack } from '../../../core/press/index.ts';
import { type Half, rx } from '../BearingHalf.tsx';
import { type Marks, type Point, poly } from '../primitives.tsx';
import type { Scene } from '../scene.ts';

/** All that the parts of the drawing share: what is drawn, and how millimetres come to the sheet. */
export interface Frame {
  scene: Scene;
  stack: Stack;
  setup: Setup;
  at: Half;
  y: (mm: number) => number;
  marks: Marks;
  /** Right end of the section on the sheet. */
  right: number;
}

/** How far a moving body has gone, mm. */
export const shifted = ({ scene }: Frame, b: { moves: boolean }) => (b.moves ? scene.travel : 0);
/** An outside view left of the axis. */
export const rect = (f: Frame, r: number, z0: number, z1: number, r0 = 0): string =>
  poly([
    [rx(f.at, -r0), f.y(z0)],
    [rx(f.at, -r), f.y(z0)],
    [rx(f.at, -r), f.y(z1)],
    [rx(f.at, -r0), f.y(z1)],
  ]);
/** A cut body right of the axis. */
export const outline = (f: Frame, b: Body): string =>
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
/** A body as it is seen, left of the axis. */
export const silhouette = (f: Frame, b: Body): string =>
  poly(
    ([[0, b.edge[0]![1]], ...b.edge, [0, b.edge.at(-1)![1]]] as Place[]).map(([r, z]): Point => [
      rx(f.at, -r),
      f.y(z + shifted(f, b)),
    ]),
  );

/** What stands on the bed. */
export const lowest = (s: Stack): Adapter | undefined => s.riser ?? s.support;

/** Radius of the opening of the bed, mm. */
export const bedOpening = ({ stack, scene }: Frame): number =>
  Math.max(0, Math.min(lowest(stack)?.innerMm ?? 0, 2 * scene.radius) / 2 - 8);

/** Bodies of the section by where their figures stand in a record, where the two names differ. */
const bodyOfPath: Readonly<Record<string, string>> = { far: 'housing', cartridge: 'hub' };

/** A body with a size that nobody has read is dashed: it is drawn with what is usual. */
export function guessedLine({ setup }: Pick<Frame, 'setup'>, key: string): string {
  const guessed = setup.open?.figures.some(({ path }) => {
    const [of = ''] = path.split('.');
    return (bodyOfPath[of] ?? of) === key;
  });
  return guessed ? ' guessed' : '';
}
