import { keysOf } from '../keys-of.ts';
import type { Operation } from '../press/operations.ts';
import type { FactId } from './facts.data.ts';
import type { FamilyCode } from './families.data.ts';
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
const merged = (list: readonly Done[]): Done => ({
  strokes: [...new Set(list.flatMap((d) => d.strokes))],
  facts: [...new Set(list.flatMap((d) => d.facts))],
});

const makes = (t: Task, o: Operation) => t.kind === 'stroke' && t.operation === o;
const shows = (t: Task, f: FactId) => t.kind === 'facts' && t.facts.includes(f);

/**
 * What a stroke that takes apart undoes: the fitting strokes whose parts come off with it. A hub pressed out of its
 * bearing pulls it apart through the balls: the bearing is in no more, whatever of it is left in the knuckle.
 */
const undoes: Partial<Record<Operation, readonly Operation[]>> = {
  'hub-out': ['bearing-in', 'hub-in'],
  'bearing-out': ['bearing-in'],
  'cartridge-out': ['cartridge-in'],
  'shaft-bearing-off': ['shaft-bearing-on', 'press-ring-on', 'bearing-and-ring-on'],
};
/** The fitting strokes that one taking apart undoes, in the order they were made. */
export const undoneBy = (o: Operation): readonly Operation[] => undoes[o] ?? [];
/** The stroke that undoes a fitting one; undefined where it comes out by hand. */
export const undoneWith = (fitting: Operation): Operation | undefined =>
  keysOf(undoes).find((o) => undoes[o]?.includes(fitting));

/** Whether some strokes could have been made in this order in a walk: none before one that the walk makes first. */
function isInOrder(walk: Walk, strokes: readonly Operation[]): boolean {
  const list = [...strokesIn(walk.out), ...strokesIn(walk.in)];
  const places = strokes.map((o) => list.indexOf(o));
  return places.every((at, i) => at >= 0 && at > (places[i - 1] ?? -1));
}

/** Studs are changed whenever the need arises: they belong to no walk. */
const isWalked = (o: Operation) => o !== 'stud-in' && o !== 'stud-out';

/**
 * The families whose walk a record can have been made by, where its entries do not say: those that hold its strokes in the order
 * they were made, and what was seen. All of them where none does.
 */
export function familiesDone({ strokes, facts }: Done): readonly FamilyCode[] {
  const every = keysOf(walks);
  const holdsFacts = (code: FamilyCode) => {
    const seen = doneBy([...walks[code].out, ...walks[code].in]).facts;
    return facts.every((f) => seen.includes(f));
  };
  const ordered = every.filter((code) => isInOrder(walks[code], strokes.filter(isWalked)));
  const told = ordered.filter(holdsFacts);
  return [told, ordered, every].find((list) => list.length > 0) ?? every;
}

/** What has to be taken apart and seen anew behind a stroke of the way out, once something had been fitted. */
export function outAfterStroke(gone: readonly Walk[], o: Operation): Done {
  return merged(
    gone.flatMap(({ out: list }) => {
      const at = list.findIndex((t) => makes(t, o));
      return at < 0 ? [] : [doneBy(list.slice(at + 1))];
    }),
  );
}

/** What is fitted and seen in a walk from this fitting stroke on, without the stroke itself. */
export function afterStroke(gone: readonly Walk[], o: Operation): Done {
  return merged(
    gone.flatMap(({ in: list }) => {
      const at = list.findIndex((t) => makes(t, o));
      return at < 0 ? [] : [doneBy(list.slice(at + 1))];
    }),
  );
}

const insAfterOut = (gone: readonly Walk[], f: FactId) =>
  gone.filter(({ out }) => out.some((t) => shows(t, f))).map(({ in: list }) => list);

/** All that is fitted and seen on the way in by the walks whose way out shows this. */
export const fittedAfter = (gone: readonly Walk[], f: FactId): Done =>
  merged(insAfterOut(gone, f).map(doneBy));

/** What tells, in those walks, that the new part is in its place: a stroke, or what is seen where nothing is pressed. */
export const homeAfter = (gone: readonly Walk[], f: FactId): Done =>
  merged(
    insAfterOut(gone, f).map((list) =>
      doneBy(list.filter((t) => t.kind === 'stroke' || (t.kind === 'facts' && t.home))),
    ),
  );

/** Whether a thing is seen on the way in, so that nut and proof are built on it. */
export const isOfFitting = (gone: readonly Walk[], f: FactId): boolean =>
  gone.some(({ in: list }) => list.some((t) => shows(t, f)));

/** Strokes of a walk that must have been made before a thing can be seen. */
export function strokesBefore(walk: Walk, f: FactId): Operation[] {
  for (const list of [walk.out, walk.in]) {
    const at = list.findIndex((t) => shows(t, f));
    if (at >= 0) return strokesIn(list.slice(0, at));
  }
  return [];
}
