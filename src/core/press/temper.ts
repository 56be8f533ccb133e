import { expansionMm, type Film, materials, sealedMaxC } from '../fits/index.ts';
import type { Operation } from './operations.ts';

/** Cold and heat at a new ring before it is pressed: which stroke they help, and by how much. */

/** What the schools chosen on the job do to a stroke. */
export interface School {
  film: Film;
  /** The ring comes out of the freezer this cold, °C, into a shop of 20 °C; absent when it is not chilled. */
  chilledC?: number | undefined;
  /** The ring is brought to this, °C; absent when it is not warmed. */
  warmedC?: number | undefined;
}
export const usualSchool: School = { film: 'oiled' };
/** A domestic freezer, °C. */
export const freezerC = -18;
const shopC = 20;

/**
 * What helps a stroke: a ring that goes into a bore goes in easier when it is cold, one that goes on to a shaft when it is
 * warm. The other way round each only tightens. Geometry.
 */
const helps: Partial<Record<Operation, 'cold' | 'warm'>> = {
  'bearing-in': 'cold',
  'cartridge-in': 'cold',
  'shell-in': 'cold',
  'first-ring-in': 'cold',
  'second-ring-in': 'cold',
  'outer-cup-in': 'cold',
  'inner-cup-in': 'cold',
  'shaft-bearing-on': 'warm',
  'bearing-and-ring-on': 'warm',
};
export const helpsStroke = (operation: Operation): 'cold' | 'warm' | undefined => helps[operation];

/** To what a new bearing may be warmed where it may be sealed or greased, °C. */
export const warmBearingC = sealedMaxC;

/** By how much a stroke's fit is eased at the moment that the ring comes from cold or heat, mm; below 0 it is tightened. */
export function easedMm(
  operation: Operation,
  diameterMm: number,
  { chilledC = shopC, warmedC = shopC }: School,
): number {
  const way = helps[operation];
  if (!way) return 0;
  const grows = (toC: number) => expansionMm(diameterMm, materials.steel.alphaPerK, toC - shopC);
  const grown = grows(chilledC) + grows(warmedC);
  return way === 'cold' ? -grown : grown;
}
