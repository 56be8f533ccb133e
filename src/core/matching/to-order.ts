import type { Consumable } from '../schemas/workshop.ts';
import type { CataloguePart } from './catalogue-part.ts';

/** A part that is to be ordered, and how often this shop has fitted it. */
export interface ToOrder {
  part: CataloguePart;
  fitted: number;
}

/** Parts that were fitted here before and are not on the shelf any more, those fitted most often first. */
export function toOrder(parts: readonly CataloguePart[], fitted: readonly string[]): ToOrder[] {
  const times = new Map<string, number>();
  for (const number of fitted) times.set(number, (times.get(number) ?? 0) + 1);
  return parts
    .flatMap((part) => {
      const n = times.get(part.number) ?? 0;
      return n > 0 && part.stock === 0 ? [{ part, fitted: n }] : [];
    })
    .sort((a, b) => b.fitted - a.fitted || a.part.number.localeCompare(b.part.number));
}

/** Things that jobs took off the shelf until none was left, the most used first. */
export const toBuy = (all: readonly Consumable[]): Consumable[] =>
  all
    .filter((c) => c.stock === 0 && (c.used ?? 0) > 0)
    .sort((a, b) => (b.used ?? 0) - (a.used ?? 0) || a.number.localeCompare(b.number));
