import { type CardDocument, type CardLine, unmeasured } from './card.ts';

/** One line of a card by its name and what it says, as a correction refers to it. */
export interface NamedLine {
  line: string;
  says: string;
}

const named = (lines: readonly CardLine[] = []): NamedLine[] =>
  lines.filter((l) => l.value !== '').map((l) => ({ line: l.what, says: l.value }));

/** Every line of a card that somebody wrote by what he read or saw, in the order of the card. */
export function cardLines(c: CardDocument): NamedLine[] {
  return [
    ...(c.complaint ? [{ line: 'Complaint', says: c.complaint.short }] : []),
    ...named(c.findings),
    ...named(c.items),
    ...named(c.oldPart),
    ...named(c.raceways ?? []),
    ...named(c.seats),
    ...named(c.figures),
    ...c.strokes.flatMap((s): NamedLine[] => [
      ...(s.peakKn === null ? [] : [{ line: `${s.name}, peak`, says: `${s.peakKn} kN` }]),
      ...(s.depthMm === null ? [] : [{ line: `${s.name}, depth`, says: `${s.depthMm} mm` }]),
    ]),
    ...named(c.fasteners),
    ...(c.torque?.readings ?? []).map((t) => ({
      line: t.stage,
      says: t.actual === null ? unmeasured(t) : `${t.actual} ${t.unit}`,
    })),
    ...named(c.ways),
    ...named(c.seen),
    ...named(c.checks),
  ];
}
