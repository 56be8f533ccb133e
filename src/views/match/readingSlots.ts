import { type DimensionId, isCount, type Reading } from '../../core/matching/index.ts';

export interface Slot {
  plane?: number;
  angleDeg?: number;
  name: string;
}

/** Where a size is read: angles in planes for a diameter, places for a width; a count has none. */
export function slotsOf(d: DimensionId): Slot[] {
  if (isCount(d) || d === 'boltCircleMm') return [{ name: 'once' }];
  if (d === 'widthMm')
    return [
      { plane: 0, angleDeg: 0, name: '0°' },
      { plane: 0, angleDeg: 180, name: '180°' },
    ];
  return [0, 1].flatMap((plane) =>
    [0, 90].map((angleDeg) => ({
      plane,
      angleDeg,
      name: `${plane === 0 ? 'face' : 'middle'} ${angleDeg}°`,
    })),
  );
}
/** Whether a place has been read. Readings without a place fill 0° and 90° in turn. */
export const taken = (
  list: readonly Reading[],
  s: { plane?: number | undefined; angleDeg?: number | undefined },
) =>
  list.some(
    (r) =>
      s.plane === undefined ||
      ((r.plane ?? 0) === s.plane &&
        (r.angleDeg ?? (list.indexOf(r) === 0 ? 0 : 90)) === s.angleDeg),
  );
