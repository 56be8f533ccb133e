import type { CardDocument } from './card.ts';
import { cardVersion } from './card.ts';

/** Strokes that version 1 knew to put a part on; it did not say so itself. */
const fittedInVersion1 = new Set([
  'bearing-in',
  'hub-in',
  'cartridge-in',
  'shaft-bearing-on',
  'press-ring-on',
  'shell-in',
  'seal-in',
  'first-ring-in',
  'second-ring-in',
  'outer-cup-in',
  'inner-cup-in',
  'stud-in',
]);

type Older = Record<string, unknown> & { version: number };

/** Each step brings a card one version on. A card that was signed keeps what it says; only its form changes. */
const steps: Record<number, (card: Older) => Older> = {
  1: (card) => ({
    ...card,
    version: 2,
    strokes: (card['strokes'] as { operation: string }[]).map((s) => ({
      ...s,
      fitting: fittedInVersion1.has(s.operation),
    })),
  }),
  // What was turned back stood in the record only.
  2: (card) => ({ ...card, version: 3, turnedBack: [] }),
};

/** A kept card in today's form. Throws RangeError for a version that is not known. */
export function upcastCard(kept: { version: number }): CardDocument {
  let card = kept as Older;
  while (card.version !== cardVersion) {
    const step = steps[card.version];
    if (!step) throw new RangeError(`version: ${card.version} is no version of a job card`);
    card = step(card);
  }
  return card as unknown as CardDocument;
}
