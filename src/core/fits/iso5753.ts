import type { Band } from '../verdict.ts';

/** Classes of radial internal clearance, tightest first. */
export const clearanceClasses = ['C2', 'CN', 'C3', 'C4'] as const;
export type ClearanceClass = (typeof clearanceClasses)[number];
export type ClearanceType = 'deep-groove' | 'cylindrical';

/** [bore over, up to, then least and most of C2, CN, C3, C4], µm. ISO 5753-1, from memory. */
type Row = readonly [number, number, ...(readonly (readonly [number, number])[])];
const rows: Record<ClearanceType, readonly Row[]> = {
  'deep-groove': [
    [10, 18, [0, 9], [3, 18], [11, 25], [18, 33]],
    [18, 24, [0, 10], [5, 20], [13, 28], [20, 36]],
    [24, 30, [1, 11], [5, 20], [13, 28], [23, 41]],
    [30, 40, [1, 11], [6, 20], [15, 33], [28, 46]],
    [40, 50, [1, 11], [6, 23], [18, 36], [30, 51]],
    [50, 65, [1, 15], [8, 28], [23, 43], [38, 61]],
    [65, 80, [1, 15], [10, 30], [25, 51], [46, 71]],
  ],
  // The same table serves needle bearings with both rings.
  cylindrical: [
    [10, 24, [0, 25], [20, 45], [35, 60], [50, 75]],
    [24, 30, [0, 25], [20, 45], [35, 60], [50, 75]],
    [30, 40, [5, 30], [25, 50], [45, 70], [60, 85]],
    [40, 50, [5, 35], [30, 60], [50, 80], [70, 100]],
    [50, 65, [10, 40], [40, 70], [60, 90], [80, 110]],
    [65, 80, [10, 45], [40, 75], [65, 100], [90, 125]],
  ],
};

/** Radial internal clearance of a new bearing before it is fitted, mm; undefined for a bore outside the table. */
export function clearanceMm(
  type: ClearanceType,
  boreMm: number,
  cls: ClearanceClass,
): Band | undefined {
  const row = rows[type].find(([over, to]) => boreMm > over && boreMm <= to);
  const limits = row?.[2 + clearanceClasses.indexOf(cls)];
  if (!Array.isArray(limits)) return undefined;
  const [low = 0, high = 0] = limits as [number, number];
  return { low: low / 1000, likely: (low + high) / 2000, high: high / 1000 };
}
