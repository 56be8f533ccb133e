import { indexParts, type PartQuery, searchParts } from '../../src/core/matching/index.ts';
import { madeUpParts } from '../../src/core/standins/catalogue.ts';
import { hold, median } from './hold.ts';

/** 95th of 100 searches in a catalogue of 50,000 made-up parts, each kind of question in turn. */
export function search(): void {
  const catalogue = indexParts(madeUpParts(50_000, 5));
  const questions: PartQuery[] = Array.from({ length: 200 }, (_, i) => {
    const p = catalogue.parts[(i * 7919) % catalogue.parts.length]!;
    const sizes = { outerMm: p.bearing.outerMm, boreMm: p.bearing.boreMm };
    return [
      { sizes, toleranceMm: 0.5 },
      { sizes: { boreMm: sizes.boreMm }, toleranceMm: 0.3, kind: p.kind },
      { text: p.number.slice(0, 5) },
      { sizes: { ...sizes, widthMm: p.bearing.widthMm }, toleranceMm: 2, kind: p.kind },
    ][i % 4]!;
  });
  questions.forEach((q) => searchParts(catalogue, q));
  const took = questions
    .map((q) => {
      const t = performance.now();
      searchParts(catalogue, q);
      return performance.now() - t;
    })
    .sort((a, b) => a - b);
  hold(
    'search in 50,000 parts, 95th of 100',
    took[Math.floor(took.length * 0.95)]!,
    50,
    'ms',
    `median ${median(took).toFixed(2)} ms`,
  );
}
