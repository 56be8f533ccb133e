/** Pitches of metric threads, coarse first, mm. ISO 261 (from memory). */
export const metricPitches: Readonly<Record<number, readonly number[]>> = {
  6: [1],
  8: [1.25, 1],
  10: [1.5, 1.25, 1],
  12: [1.75, 1.5, 1.25],
  14: [2, 1.5],
  16: [2, 1.5],
  18: [2.5, 2, 1.5],
  20: [2.5, 2, 1.5],
  22: [2.5, 2, 1.5],
  24: [3, 2, 1.5],
  27: [3, 2, 1.5],
  30: [3.5, 2, 1.5],
  33: [3.5, 2],
  36: [4, 3, 2],
};

/** Threads per inch of unified threads by their size in inches, coarse (UNC) and fine (UNF). ASME B1.1 (from memory). */
export const unifiedThreads: readonly {
  inch: number;
  name: string;
  unc: number;
  unf: number;
}[] = [
  { inch: 1 / 4, name: '1/4', unc: 20, unf: 28 },
  { inch: 5 / 16, name: '5/16', unc: 18, unf: 24 },
  { inch: 3 / 8, name: '3/8', unc: 16, unf: 24 },
  { inch: 7 / 16, name: '7/16', unc: 14, unf: 20 },
  { inch: 1 / 2, name: '1/2', unc: 13, unf: 20 },
  { inch: 9 / 16, name: '9/16', unc: 12, unf: 18 },
  { inch: 5 / 8, name: '5/8', unc: 11, unf: 18 },
  { inch: 3 / 4, name: '3/4', unc: 10, unf: 16 },
  { inch: 7 / 8, name: '7/8', unc: 9, unf: 14 },
  { inch: 1, name: '1', unc: 8, unf: 12 },
  { inch: 1.125, name: '1 1/8', unc: 7, unf: 12 },
  { inch: 1.25, name: '1 1/4', unc: 7, unf: 12 },
];

export const grades = [
  '4.6',
  '4.8',
  '5.8',
  '6.8',
  '8.8',
  '9.8',
  '10.9',
  '12.9',
  'J429-1',
  'J429-2',
  'J429-5',
  'J429-8',
] as const;
export type Grade = (typeof grades)[number];

/** Strength of a grade up to a size, MPa: proof load over the stress area, and yield. */
export interface Strength {
  upToMm: number;
  proofMpa: number;
  yieldMpa: number;
}
const ksi = 6.894757;
const anySize = Infinity;
const iso = (proofMpa: number, yieldMpa: number): Strength[] => [
  { upToMm: anySize, proofMpa, yieldMpa },
];
const sae = (upToInch: number, proof: number, yields: number): Strength => ({
  upToMm: upToInch * 25.4,
  proofMpa: proof * ksi,
  yieldMpa: yields * ksi,
});

/** ISO 898-1 and SAE J429 (both from memory). */
export const strengths: Record<Grade, readonly Strength[]> = {
  '4.6': iso(225, 240),
  '4.8': iso(310, 340),
  '5.8': iso(380, 420),
  '6.8': iso(440, 480),
  '8.8': [
    { upToMm: 16, proofMpa: 580, yieldMpa: 640 },
    { upToMm: anySize, proofMpa: 600, yieldMpa: 660 },
  ],
  '9.8': iso(650, 720),
  '10.9': iso(830, 940),
  '12.9': iso(970, 1100),
  'J429-1': [sae(1.5, 33, 36)],
  'J429-2': [sae(0.75, 55, 57), sae(1.5, 33, 36)],
  'J429-5': [sae(1, 85, 92), sae(1.5, 74, 81)],
  'J429-8': [sae(1.5, 120, 130)],
};

/** Friction of thread and face by what is on them: low, likely, high. Our judgement, after the classes of VDI 2230. */
export const frictions = {
  dry: [0.12, 0.16, 0.24],
  oiled: [0.1, 0.13, 0.16],
  threadlocker: [0.1, 0.14, 0.18],
  greased: [0.06, 0.09, 0.12],
} as const satisfies Record<string, readonly [number, number, number]>;
export type ThreadState = keyof typeof frictions;

/** Order in which the bolts of a circle are taken, 1 at the top and on clockwise. Common practice, no published source. */
export const crossPatterns: Readonly<Record<number, readonly number[]>> = {
  3: [1, 2, 3],
  4: [1, 3, 2, 4],
  5: [1, 3, 5, 2, 4],
  6: [1, 4, 2, 5, 3, 6],
  7: [1, 4, 7, 3, 6, 2, 5],
  8: [1, 5, 3, 7, 2, 6, 4, 8],
  9: [1, 5, 9, 4, 8, 3, 7, 2, 6],
  10: [1, 6, 3, 8, 5, 10, 7, 2, 9, 4],
};
