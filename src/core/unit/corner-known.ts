import type { CornerRecord } from '../corner-record.ts';
import { type Figure, figureAt, figuresFor, type FigureValue } from '../press/index.ts';

/** One figure of a corner as its record says it. */
export interface KnownFigure {
  figure: Figure;
  value: FigureValue;
}

/** What a corner's record says of its family's figures, and what nobody knows yet; what was only drawn is unknown. */
export function cornerKnown(record: CornerRecord): {
  known: KnownFigure[];
  unknown: Figure[];
} {
  // What nothing is judged by is not missed.
  const all = figuresFor(record.family).filter((f) => f.needs.length > 0 || f.seat);
  const known = all.flatMap((figure) => {
    const value = record.outlined?.includes(figure.path)
      ? undefined
      : figureAt(record, figure.path);
    return value === undefined ? [] : [{ figure, value }];
  });
  const unknown = all.filter((f) => !f.derive && !known.some((k) => k.figure === f));
  return { known, unknown };
}
