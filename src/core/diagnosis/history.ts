import { type Corner, corners } from '../corner.ts';
import type { Suspect } from './suspects.ts';

export const exposures = ['salt', 'deep-water', 'towing', 'rough-roads'] as const;
export type Exposure = (typeof exposures)[number];
export const exposureNames: Record<Exposure, string> = {
  salt: 'salted roads',
  'deep-water': 'deep water',
  towing: 'heavy towing',
  'rough-roads': 'rough roads',
};

/** When the bearing of a corner was fitted. A corner without one is not on record and speaks neither way. */
export interface Fitted {
  atKm: number;
  /** Fitted in a workshop, not in the factory. */
  again: boolean;
}

export interface UnitHistory {
  /** Absent while nobody has read the clock: then no bearing's age is known. */
  odometerKm: number | undefined;
  fitted: Partial<Record<Corner, Fitted>>;
  exposure: readonly Exposure[];
}

/** Distance that a wheel bearing is commonly expected to last (common practice, no published source). */
export const usualLifeKm = 150_000;
/** Below this a fault of fitting is likelier than wear (judgement). */
const runInKm = 3000;

/**
 * How much likelier than a bearing of middle age this one is to be the cause: wear grows with distance, and work done
 * lately shows its faults early. Between 0.35 and 2.5 (judgement, no published source).
 */
export function ageWeight(odometerKm: number, f: Fitted): number {
  const km = Math.max(0, odometerKm - f.atKm);
  if (f.again && km < runInKm) return 1.6;
  return Math.min(2.5, Math.max(0.35, 2 * (km / usualLifeKm) ** 1.2));
}

/** How much more often each kind of part fails after such use; 1 for the kinds not named. */
const byKind =
  (weights: Partial<Record<Suspect['kind'], number>>) =>
  (s: Suspect): number =>
    weights[s.kind] ?? 1;

const exposureWeights: Record<Exposure, (s: Suspect) => number> = {
  salt: byKind({ brake: 1.3, bearing: 1.2 }),
  'deep-water': byKind({ bearing: 1.4 }),
  towing: (s) => (s.kind === 'bearing' && s.axle === 'rear' ? 1.4 : 1),
  'rough-roads': byKind({ joint: 1.6, bearing: 1.2 }),
};

/** The unit's record as evidence: one line a corner, one an exposure. */
export function historyEvidence(
  h: UnitHistory,
): { label: string; group: string; weight: (s: Suspect) => number }[] {
  return [
    ...corners.flatMap((c) => {
      const f = h.fitted[c];
      if (!f || h.odometerKm === undefined) return [];
      const factor = ageWeight(h.odometerKm, f);
      const km = Math.max(0, h.odometerKm - f.atKm)
        .toLocaleString('en-GB')
        .replaceAll(',', ' ');
      return [
        {
          label: `${c} bearing ${f.again ? 'fitted anew,' : 'from the factory,'} ${km} km`,
          group: 'history',
          weight: (s: Suspect) => (s.kind === 'bearing' && s.corner === c ? factor : 1),
        },
      ];
    }),
    ...h.exposure.map((e) => ({
      label: `On record: ${exposureNames[e]}`,
      group: 'history',
      weight: exposureWeights[e],
    })),
  ];
}
