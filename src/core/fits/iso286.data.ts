/** Upper ends of the size ranges in mm ("over … up to and including …"), from 3 mm. ISO 286-1:2010 (quoted from memory). */
export const ranges = [6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500] as const;
/** The finer ranges at which r and s step. */
export const fineRanges = [
  6, 10, 18, 30, 50, 65, 80, 100, 120, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450, 500,
] as const;

/** Standard tolerances IT in µm, one figure a range. ISO 286-1:2010, table 1 (memory). */
export const itGrades: Record<number, readonly number[]> = {
  3: [2.5, 2.5, 3, 4, 4, 5, 6, 8, 10, 12, 13, 15],
  4: [4, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20],
  5: [5, 6, 8, 9, 11, 13, 15, 18, 20, 23, 25, 27],
  6: [8, 9, 11, 13, 16, 19, 22, 25, 29, 32, 36, 40],
  7: [12, 15, 18, 21, 25, 30, 35, 40, 46, 52, 57, 63],
  8: [18, 22, 27, 33, 39, 46, 54, 63, 72, 81, 89, 97],
  9: [30, 36, 43, 52, 62, 74, 87, 100, 115, 130, 140, 155],
  10: [48, 58, 70, 84, 100, 120, 140, 160, 185, 210, 230, 250],
  11: [75, 90, 110, 130, 160, 190, 220, 250, 290, 320, 360, 400],
};

/** Upper deviation es of clearance shafts, µm. ISO 286-1:2010 (memory). */
export const upperShaft: Record<string, readonly number[]> = {
  f: [-10, -13, -16, -20, -25, -30, -36, -43, -50, -56, -62, -68],
  g: [-4, -5, -6, -7, -9, -10, -12, -14, -15, -17, -18, -20],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
};

/** Lower deviation ei of transition and interference shafts, µm; r and s by the finer ranges. ISO 286-1:2010 (memory). */
export const lowerShaft: Record<string, readonly number[]> = {
  k: [1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5],
  m: [4, 6, 7, 8, 9, 11, 13, 15, 17, 20, 21, 23],
  n: [8, 10, 12, 15, 17, 20, 23, 27, 31, 34, 37, 40],
  p: [12, 15, 18, 22, 26, 32, 37, 43, 50, 56, 62, 68],
  r: [15, 19, 23, 28, 34, 41, 43, 51, 54, 63, 65, 68, 77, 80, 84, 94, 98, 108, 114, 126, 132],
  s: [
    19, 23, 28, 35, 43, 53, 59, 71, 79, 92, 100, 108, 122, 130, 140, 158, 170, 190, 208, 232, 252,
  ],
};

/** Lower deviation ei of shafts j, and upper deviation ES of holes J, µm, by grade: they follow no rule. ISO 286-2:2010 (memory). */
export const shaftJ: Record<number, readonly number[]> = {
  5: [-2, -2, -3, -4, -5, -7, -9, -11, -13, -16, -18, -20],
  6: [-2, -2, -3, -4, -5, -7, -9, -11, -13, -16, -18, -20],
  7: [-4, -5, -6, -8, -10, -12, -15, -18, -21, -26, -28, -32],
};
export const holeJ: Record<number, readonly number[]> = {
  6: [5, 5, 6, 8, 10, 13, 16, 18, 22, 25, 29, 33],
  7: [6, 8, 10, 12, 14, 18, 22, 26, 30, 36, 39, 43],
  8: [10, 12, 15, 20, 24, 28, 34, 41, 47, 55, 60, 66],
};

/** Lower deviation ei of shafts t, µm, from over 24 mm: [up to mm, ei]. ISO 286-1:2010 (memory). */
export const shaftT: readonly (readonly [number, number])[] = [
  [30, 41],
  [40, 48],
  [50, 54],
  [65, 66],
  [80, 75],
  [100, 91],
  [120, 104],
  [140, 122],
  [160, 134],
  [180, 146],
  [200, 166],
  [225, 180],
  [250, 196],
  [280, 218],
  [315, 240],
  [355, 268],
  [400, 294],
  [450, 330],
  [500, 360],
];

/** ISO 492 class Normal, mean diameter deviation 0/−t: [up to mm, t in µm] (memory). */
export const normalBore: readonly (readonly [number, number])[] = [
  [18, 8],
  [30, 10],
  [50, 12],
  [80, 15],
  [120, 20],
  [180, 25],
  [250, 30],
  [315, 35],
];
/** Taper roller bearings have wider bands of their own, ISO 492 class Normal (from memory). */
export const taperBore: readonly (readonly [number, number])[] = [
  [50, 12],
  [80, 15],
  [120, 20],
  [180, 25],
  [250, 30],
];
export const taperOutside: readonly (readonly [number, number])[] = [
  [30, 12],
  [50, 14],
  [80, 16],
  [120, 18],
  [150, 20],
  [180, 25],
  [250, 30],
  [315, 35],
];
export const normalOutside: readonly (readonly [number, number])[] = [
  [18, 8],
  [30, 9],
  [50, 11],
  [80, 13],
  [120, 15],
  [150, 18],
  [180, 25],
  [250, 30],
  [315, 35],
];
