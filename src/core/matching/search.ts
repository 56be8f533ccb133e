import { type CataloguePart, type DimensionId, type PartKind, sizeOf } from './catalogue-part.ts';

export interface PartQuery {
  /** Sizes looked for, mm or counts. */
  sizes?: Partial<Record<DimensionId, number>>;
  /** Half-width of the window round each size, mm. */
  toleranceMm?: number;
  kind?: PartKind;
  /** Part of a number or maker, any case. */
  text?: string;
  most?: number;
}

/** A catalogue laid out for search: by outside diameter, with what is compared in plain arrays. */
export interface PartIndex {
  parts: readonly CataloguePart[];
  byNumber: ReadonlyMap<string, CataloguePart>;
  outer: Float64Array;
  words: readonly string[];
}

export function indexParts(list: readonly CataloguePart[]): PartIndex {
  const parts = [...list].sort((a, b) => a.bearing.outerMm - b.bearing.outerMm);
  return {
    parts,
    byNumber: new Map(parts.map((p) => [p.number, p])),
    outer: Float64Array.from(parts, (p) => p.bearing.outerMm),
    words: parts.map((p) => `${p.number} ${p.maker}`.toLowerCase()),
  };
}

/** First place whose value is not below `x`. */
function lower(a: Float64Array, x: number): number {
  let lo = 0;
  let hi = a.length;
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (a[mid]! < x) lo = mid + 1;
    else hi = mid;
  }
  return lo;
}

export interface Found {
  parts: CataloguePart[];
  /** How many there are in all, also beyond `most`. */
  total: number;
}

/** Parts within the window, nearest first; a text alone keeps the catalogue's order. */
export function searchParts(
  index: PartIndex,
  { sizes = {}, toleranceMm = 0.5, kind, text, most = 40 }: PartQuery,
): Found {
  const asked = (Object.entries(sizes) as [DimensionId, number][]).filter(([, v]) =>
    Number.isFinite(v),
  );
  const [from, to] =
    sizes.outerMm === undefined
      ? [0, index.parts.length]
      : [
          lower(index.outer, sizes.outerMm - toleranceMm - 1e-9),
          lower(index.outer, sizes.outerMm + toleranceMm + 1e-9),
        ];
  const word = text?.trim().toLowerCase();
  const found: { part: CataloguePart; off: number }[] = [];
  for (let i = from; i < to; i++) {
    const part = index.parts[i]!;
    if (kind && part.kind !== kind) continue;
    if (word && !index.words[i]!.includes(word)) continue;
    let off = 0;
    for (const [d, v] of asked) {
      const size = sizeOf(part, d);
      const far = size === undefined ? Infinity : Math.abs(size - v);
      if (far > toleranceMm + 1e-9) {
        off = Infinity;
        break;
      }
      off += far;
    }
    if (off < Infinity) found.push({ part, off });
  }
  const best =
    asked.length > 0
      ? found.sort((a, b) => a.off - b.off || (a.part.number < b.part.number ? -1 : 1))
      : found;
  return { parts: best.slice(0, most).map((f) => f.part), total: found.length };
}
