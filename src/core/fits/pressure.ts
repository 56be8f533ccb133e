import type { Housing } from '../corner-record.ts';
import type { Band } from '../verdict.ts';

export type Material = Housing['material'];

/** Elastic modulus in MPa, Poisson's ratio and expansion per K. Handbook means (Machinery's Handbook, memory). */
export const materials: Record<Material, { eMpa: number; poisson: number; alphaPerK: number }> = {
  steel: { eMpa: 206_000, poisson: 0.3, alphaPerK: 12e-6 },
  'grey-iron': { eMpa: 110_000, poisson: 0.26, alphaPerK: 10.5e-6 },
  'ductile-iron': { eMpa: 169_000, poisson: 0.28, alphaPerK: 11.5e-6 },
  aluminium: { eMpa: 70_000, poisson: 0.33, alphaPerK: 23e-6 },
};

export interface PressFit {
  /** Diametral interference, mm; zero or negative is a loose fit with no pressure. */
  interferenceMm: number;
  diameterMm: number;
  /** Outside of the outer body and bore of the inner body (0 = solid), mm. */
  outerDiameterMm: number;
  innerBoreMm: number;
  outerMaterial: Material;
  innerMaterial: Material;
}

/**
 * Contact pressure of a press fit, MPa: thick-wall cylinders (Lamé), as in Shigley's Mechanical
 * Engineering Design, chapter on load and stress analysis. Never negative.
 */
export function pressureMpa(fit: PressFit): number {
  const { interferenceMm: delta, diameterMm: d, outerDiameterMm: Do, innerBoreMm: di } = fit;
  if (!(Do > d)) throw new RangeError(`outerDiameterMm: ${Do} must be larger than the seat ${d}`);
  if (!(di >= 0 && di < d))
    throw new RangeError(`innerBoreMm: ${di} must be from 0 to below the seat ${d}`);
  const o = materials[fit.outerMaterial];
  const i = materials[fit.innerMaterial];
  const give =
    (d / o.eMpa) * ((Do ** 2 + d ** 2) / (Do ** 2 - d ** 2) + o.poisson) +
    (d / i.eMpa) * ((d ** 2 + di ** 2) / (d ** 2 - di ** 2) - i.poisson);
  return Math.max(0, delta) / give;
}

/** Largest hoop stress in each body, MPa (tension positive), at the fit pressure. Lamé. */
export function hoopMpa(fit: PressFit): { outerMpa: number; innerMpa: number } {
  const p = pressureMpa(fit);
  const { diameterMm: d, outerDiameterMm: Do, innerBoreMm: di } = fit;
  return {
    outerMpa: (p * (Do ** 2 + d ** 2)) / (Do ** 2 - d ** 2),
    innerMpa: di === 0 ? -p : (-2 * p * d ** 2) / (d ** 2 - di ** 2),
  };
}

/** Force in N to move a fit of engaged length x mm: F = μ p π d x. */
export const forceN = (
  pressure: number,
  friction: number,
  diameterMm: number,
  engagedMm: number,
): number => friction * pressure * Math.PI * diameterMm * Math.max(0, engagedMm);

/** What is on the seat: a choice of school. */
export const films = ['oiled', 'dry', 'paste'] as const;
export type Film = (typeof films)[number];

/**
 * Friction of a hardened ring on its seat, by the metal of that and what is on it: the order of the pairs as in DIN 7190-1
 * (from memory), the figures our judgement; the band is the honest part.
 */
export const frictions: Record<Material, Record<Film, Band>> = {
  steel: {
    paste: { low: 0.06, likely: 0.08, high: 0.11 },
    oiled: { low: 0.07, likely: 0.1, high: 0.12 },
    dry: { low: 0.12, likely: 0.16, high: 0.22 },
  },
  'ductile-iron': {
    paste: { low: 0.06, likely: 0.08, high: 0.11 },
    oiled: { low: 0.07, likely: 0.1, high: 0.12 },
    dry: { low: 0.12, likely: 0.15, high: 0.2 },
  },
  // Its graphite smears: as ductile iron.
  'grey-iron': {
    paste: { low: 0.06, likely: 0.08, high: 0.11 },
    oiled: { low: 0.07, likely: 0.1, high: 0.12 },
    dry: { low: 0.12, likely: 0.15, high: 0.2 },
  },
  aluminium: {
    paste: { low: 0.04, likely: 0.06, high: 0.09 },
    oiled: { low: 0.05, likely: 0.075, high: 0.11 },
    dry: { low: 0.07, likely: 0.11, high: 0.18 },
  },
};

/** Friction of one fit: the ring is steel, the other body decides. */
export const seatFriction = (
  film: Film,
  { innerMaterial, outerMaterial }: Pick<PressFit, 'innerMaterial' | 'outerMaterial'>,
): Band => frictions[outerMaterial === 'steel' ? innerMaterial : outerMaterial][film];

/** Removal force over fitting force, from clean to rusted (judgement: up to 2–5 when rusted). */
export const removalFactor: Band = { low: 1, likely: 1.8, high: 4 };

/** Change of a diameter with temperature, mm: α d ΔT. */
export const expansionMm = (diameterMm: number, alphaPerK: number, deltaK: number): number =>
  alphaPerK * diameterMm * deltaK;

/**
 * Change of the raceway diameter of a steel ring when it is fitted, mm: the pressure of the fit, each body with its own
 * modulus, widens an inner ring and closes an outer one. The ring is taken as thick as its raceway. Lamé, as above.
 */
export function racewayChangeMm(ring: 'inner' | 'outer', fit: PressFit, racewayMm: number): number {
  const { diameterMm: seat } = fit;
  const p = pressureMpa({
    ...fit,
    ...(ring === 'inner' ? { outerDiameterMm: racewayMm } : { innerBoreMm: racewayMm }),
  });
  const wall = Math.abs(racewayMm ** 2 - seat ** 2);
  const change = (2 * p * racewayMm * seat ** 2) / (materials.steel.eMpa * wall);
  return ring === 'inner' ? change : -change;
}

/** Fit band from limits of shaft-like and hole-like sizes in mm; likely is the difference of the middles. */
export function interferenceBand(
  inside: { lowMm: number; highMm: number },
  outside: { lowMm: number; highMm: number },
): Band {
  return {
    low: inside.lowMm - outside.highMm,
    likely: (inside.lowMm + inside.highMm - outside.lowMm - outside.highMm) / 2,
    high: inside.highMm - outside.lowMm,
  };
}
