import {
  both as bothSystems,
  type BothSystems,
  coreUnit,
  type Dimension,
  firstUnit,
  type Parsed,
  parseQuantity,
  type UnitSystem,
} from '../core/units/index.ts';

/** What the server renders with: set by the layout of each page from the shop's settings. */
let rendered: UnitSystem = 'metric';
export const renderUnits = (system: UnitSystem): void => {
  rendered = system;
};

/** The system this shop reads first. */
export const systemHere = (): UnitSystem => {
  if (typeof document === 'undefined') return rendered;
  return document.documentElement.dataset['units'] === 'inch' ? 'inch' : 'metric';
};

/** A figure in both systems, the one first that this shop reads first. */
export const both = (value: number, dimension: Dimension, decimals?: number): BothSystems =>
  bothSystems(value, dimension, decimals, systemHere());

/** The unit that a field shows, and in which a bare number in it is read. */
export const unitHere = (dimension: Dimension): string => firstUnit(dimension, systemHere());

/** What was typed into a field of this shop; every view reads figures by this and by nothing else. */
export const readTyped = (text: string, dimension: Dimension, near?: number): Parsed =>
  parseQuantity(text, dimension, near, systemHere());

/** A figure of the core as a text for a field: with its unit where this shop would read a bare one in another. */
export function asTyped(value: number, dimension: Dimension, decimals: number): string {
  const bare = value.toFixed(decimals);
  const core = coreUnit(dimension);
  return unitHere(dimension) === core ? bare : `${bare} ${core}`;
}

/** A text from outside, where a bare number is in the core's unit whatever the shop reads first. */
export const fromOutside = (text: string, dimension: Dimension): string =>
  unitHere(dimension) !== coreUnit(dimension) && /^[+\-−]?[\d.,\s]+$/u.test(text.trim())
    ? `${text.trim()} ${coreUnit(dimension)}`
    : text;

/** A text of this shop for outside: never bare where a shop of the other system would read it in another unit. */
export function forOutside(text: string, dimension: Dimension): string {
  const bare = /^[+\-−]?[\d.,\s]+$/u.test(text.trim());
  const splits = firstUnit(dimension, 'inch') !== firstUnit(dimension, 'metric');
  return bare && splits ? `${text.trim()} ${unitHere(dimension)}` : text;
}
