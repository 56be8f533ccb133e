import {
  expansionMm,
  hoopMpa,
  type Material,
  materials,
  type PressFit,
  pressureMpa,
} from './pressure.ts';

/** Yield, MPa; for grey iron, which does not yield, half its tensile strength. Handbook means, from memory; the maker's figure comes first. */
export const yieldMpa: Record<Material, number> = {
  steel: 350,
  'grey-iron': 110,
  'ductile-iron': 310,
  aluminium: 200,
};

/** Grip lost by a ring under radial load, mm: 0.08 √(F d ÷ B) µm, F in N (rule of thumb, from memory). */
export const gripLostMm = (radialN: number, boreMm: number, widthMm: number): number =>
  (0.08 * Math.sqrt((radialN * boreMm) / widthMm)) / 1000;

/**
 * Interference at which the outer body begins to yield at its bore, mm: greatest shear (Tresca), hoop tension and the
 * pressure against it, for thick walls as for thin. Shigley's Mechanical Engineering Design, thick cylinders.
 */
export function yieldsAtMm(fit: Omit<PressFit, 'interferenceMm'>): number {
  const one = { ...fit, interferenceMm: 1 };
  return yieldMpa[fit.outerMaterial] / (hoopMpa(one).outerMpa + pressureMpa(one));
}

/** Torque in N·m and axial force in kN that a fit can hold before it creeps: friction on the whole seat. */
export function holds(
  fit: PressFit,
  friction: number,
  lengthMm: number,
): { torqueNm: number; axialKn: number } {
  const newton = friction * pressureMpa(fit) * Math.PI * fit.diameterMm * lengthMm;
  return { torqueNm: (newton * fit.diameterMm) / 2000, axialKn: newton / 1000 };
}

/** Interference left when a housing is warmer than 20 °C by `deltaK`: the difference of expansions of housing and ring. */
export const gripWarmMm = (
  interferenceMm: number,
  seatMm: number,
  housing: Material,
  deltaK: number,
): number =>
  interferenceMm -
  expansionMm(seatMm, materials[housing].alphaPerK - materials.steel.alphaPerK, deltaK);

/** How much warmer than the shop a housing runs on the road, K (judgement). */
export const serviceK = 60;

/** Grip that a bore gives back when it is warm, mm: nothing to speak of in iron, much in aluminium. */
export const givenBackWarmMm = (seatMm: number, housing: Material): number =>
  housing === 'aluminium' ? -gripWarmMm(0, seatMm, housing, serviceK) : 0;

export interface Warming {
  diameterMm: number;
  material: Material;
  /** °C it was brought to, and of the shop. */
  startC: number;
  shopC: number;
  /** Time in which the difference falls to 37 %, min: 6 for a ring in still air, longer for a knuckle (judgement). */
  tauMin: number;
}

/** Change of a diameter after some minutes in the shop, mm against the shop's temperature. */
export const leftMm = (w: Warming, minutes: number): number =>
  expansionMm(
    w.diameterMm,
    materials[w.material].alphaPerK,
    (w.startC - w.shopC) * Math.exp(-minutes / w.tauMin),
  );

/** Minutes until half of the change is gone: τ ln 2. */
export const halfGoneMin = (tauMin: number): number => tauMin * Math.LN2;

/** Highest temperature of a sealed, greased bearing, °C (common practice, no published source). */
export const sealedMaxC = 80;

/** What speaks against a temperature; empty when nothing does. */
export function warmingFaults(what: 'bearing' | 'housing', startC: number): string[] {
  if (what === 'bearing' && startC > sealedMaxC)
    return [
      `A sealed, greased bearing goes no higher than about ${sealedMaxC} °C: grease, seals and encoder set the limit.`,
    ];
  if (what === 'housing' && startC > 120)
    return [
      'Warm a housing gently: over 120 °C its strength and the seals beside it suffer. Never by flame.',
    ];
  if (startC < -60)
    return ['Colder than −60 °C is not asked for here: grease and seals stiffen and crack.'];
  return [];
}
