/** A shop's own pieces and presses. */
export const adapterShapes = ['plate', 'sleeve', 'cup', 'disc', 'mandrel', 'socket', 'old-ring', 'legs', 'block'] as const;
export type AdapterShape = (typeof adapterShapes)[number];

/** Kits a shop keeps apart. */
export const kitNames = ['bench', 'van', 'borrowed'] as const;
export type KitName = (typeof kitNames)[number];

export interface Adapter {
  id: string;
  name: string;
  shape: AdapterShape;
  outerMm: number;
  /** Inside diameter; 0 for a solid piece. For legs: the clear opening between them. */
  innerMm: number;
  heightMm: number;
  /** Depth of a blind recess; absent for a hole right through and for a solid piece. */
  recessMm?: number;
  material: 'steel' | 'hardened-steel' | 'aluminium' | 'chrome' | 'wood';
  ratingKn: number;
  /** Where it is kept; the bench unless said. */
  kit?: KitName;
  retired?: string;
  note?: string;
}

export interface Press {
  id: string;
  name: string;
  capacityKn: number;
  /** Diameter of the ram's nose, mm. */
  ramMm: number;
  /** Clear height between bed and ram, mm. */
  daylightMm: number;
  /** How far the ram goes in one reach, mm; not judged where it is not on record. */
  strokeMm?: number;
  /** Diameter of the piston, mm: force from a gauge that reads pressure. */
  pistonMm?: number;
}

/** Force of a hydraulic ram from its pressure, kN: pressure × piston area. 1 bar = 0.1 MPa (exact). */
export const ramForceKn = (bar: number, pistonMm: number): number => (bar * 0.1 * (Math.PI / 4) * pistonMm ** 2) / 1000;

/**
 * Force from what a gauge shows: kN, or a pressure in bar turned to force by the press's piston. Undefined where the text is no
 * pressure; a sentence where it is one but the piston is not on record.
 */
export function fromPressureText(text: string, press: Press): { ok: true; forceKn: number } | { ok: false; reason: string } | undefined {
  const found = /^\s*(\d+(?:[.,]\d+)?)\s*bar\s*$/iu.exec(text);
  if (!found) return undefined;
  if (press.pistonMm === undefined) return { ok: false, reason: `The piston of ${press.name} is not on record, so bar cannot be turned into force.` };
  return { ok: true, forceKn: ramForceKn(Number(found[1]!.replace(',', '.')), press.pistonMm) };
}

/** What is ground off an old ring, so that it comes out of the bore again, mm on diameter (common practice, no published source). */
export const grindMm = 0.3;
/** What an old ring may carry as a driver, kN: far under what hardened steel of its wall bears (judgement). */
const oldRingKn = 100;

/** The old outer ring as a piece of the kit, once it is ground: the best driver for the next of its size. */
export const keptRing = (jobNumber: string, outerMm: number, faceInnerMm: number, widthMm: number): Adapter => ({
  id: `old-ring-${jobNumber}`, name: `Old outer ring ${Math.round(outerMm)}`, shape: 'old-ring', outerMm: Number((outerMm - grindMm).toFixed(1)), innerMm: faceInnerMm, heightMm: Number(widthMm.toFixed(1)), material: 'hardened-steel', ratingKn: oldRingKn, note: `ground ${grindMm} mm off, from job ${jobNumber}`,
});

/** How deep the piece is hollow from its working face. */
export const hollowMm = (a: Adapter): number => (a.innerMm === 0 ? 0 : (a.recessMm ?? a.heightMm));

/** Open at the back too, so that a smaller ram would fall through. */
export const openBehind = (a: Adapter): boolean => a.innerMm > 0 && a.recessMm === undefined;

/** Inside diameter of the face that bears; a recess too shallow for what stands proud does not count. */
export const bearingInnerMm = (a: Adapter, proudMm: number): number => (hollowMm(a) > proudMm ? a.innerMm : 0);

/** What is wrong with a piece's own figures; empty when it is sound. */
export function adapterFaults(a: Adapter): { field: string; reason: string }[] {
  const faults: { field: string; reason: string }[] = [];
  const positive = (field: 'outerMm' | 'heightMm' | 'ratingKn', what: string) => {
    if (!(a[field] > 0)) faults.push({ field, reason: `${what} must be more than 0, not ${a[field]}.` });
  };
  positive('outerMm', 'Outside diameter');
  positive('heightMm', 'Height');
  positive('ratingKn', 'Rating');
  if (a.innerMm < 0) faults.push({ field: 'innerMm', reason: `Inside diameter cannot be negative (${a.innerMm}).` });
  if (a.innerMm >= a.outerMm) faults.push({ field: 'innerMm', reason: `Inside diameter ${a.innerMm} mm must be smaller than the outside, ${a.outerMm} mm.` });
  if (a.recessMm !== undefined && !(a.recessMm > 0 && a.recessMm < a.heightMm)) faults.push({ field: 'recessMm', reason: `A recess of ${a.recessMm} mm must be more than 0 and less than the height, ${a.heightMm} mm.` });
  return faults;
}
