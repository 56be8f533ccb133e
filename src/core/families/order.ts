import { keysOf } from '../keys-of.ts';
import type { Operation } from '../press/operations.ts';
import type { FactId } from './facts.data.ts';
import { strokesIn, type Task, type Walk, walks } from './walk.data.ts';

/** Strokes and things seen of some tasks. */
export interface Done {
  strokes: Operation[];
  facts: FactId[];
}
const doneBy = (tasks: readonly Task[]): Done => ({
  strokes: strokesIn(tasks),
  facts: tasks.flatMap((t) => (t.kind === 'facts' ? t.facts : [])),
});
const every = (): Walk[] => Object.values(walks);
const merged = (list: readonly Done[]): Done => ({
  strokes: [...new Set(list.flatMap((d) => d.strokes))],
  facts: [...new Set(list.flatMap((d) => d.facts))],
});

const makes = (t: Task, o: Operation) => t.kind === 'stroke' && t.operation === o;
const shows = (t: Task, f: FactId) => t.kind === 'facts' && t.facts.includes(f);

/** What a stroke that takes apart undoes: the fitting strokes whose parts come off with it. */
const undoes: Partial<Record<Operation, readonly Operation[]>> = {
  'hub-out': ['hub-in'],
  'bearing-out': ['bearing-in'],
  'cartridge-out': ['cartridge-in'],
  'shaft-bearing-off': ['shaft-bearing-on', 'press-ring-on', 'bearing-and-ring-on'],
};
/** The fitting strokes that one taking apart undoes, in the order they were made. */
export const undoneBy = (o: Operation): readonly Operation[] => undoes[o] ?? [];
/** The stroke that undoes a fitting one; undefined where it comes out by hand. */
export const undoneWith = (fitting: Operation): Operation | undefined =>
  keysOf(undoes).find((o) => undoes[o]?.includes(fitting));

/** What is fitted and seen in a walk from this fitting stroke on, without the stroke itself. */
export function afterStroke(o: Operation): Done {
  return merged(
    every().flatMap(({ in: list }) => {
      const at = list.findIndex((t) => makes(t, o));
      return at < 0 ? [] : [doneBy(list.slice(at + 1))];
    }),
  );
}

const insAfterOut = (f: FactId) =>
  every()
    .filter(({ out }) => out.some((t) => shows(t, f)))
    .map(({ in: list }) => list);

/** All that is fitted and seen on the way in by the families whose way out shows this. */
export const fittedAfter = (f: FactId): Done => merged(insAfterOut(f).map(doneBy));

/** What tells, in those families, that the new part is in its place: a stroke, or what is seen where nothing is pressed. */
export const homeAfter = (f: FactId): Done =>
  merged(
    insAfterOut(f).map((list) =>
      doneBy(list.filter((t) => t.kind === 'stroke' || (t.kind === 'facts' && t.home))),
    ),
  );

/** Whether a thing is seen on the way in, so that nut and proof are built on it. */
export const isOfFitting = (f: FactId): boolean =>
  every().some(({ in: list }) => list.some((t) => shows(t, f)));

/** Strokes of a walk that must have been made before a thing can be seen. */
export function strokesBefore(walk: Walk, f: FactId): Operation[] {
  for (const list of [walk.out, walk.in]) {
    const at = list.findIndex((t) => shows(t, f));
    if (at >= 0) return strokesIn(list.slice(0, at));
  }
  return [];
}
